/** Every method as a program: balances close, what cooks know of each holds, extremes answer or refuse in words. */
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { CONSTANTS } from '#core/heat/constants'
import { KEEP_ENDS, run } from '#core/heat/program'
import { COARSE_STEPS } from '#core/heat/stepControl'
import { KITCHEN } from '#core/kit/air'
import { mixed } from '#core/kit/bath'
import { cutById } from '#core/meat/cuts'
import { isFlat, type Piece, type PieceCoat } from '#core/meat/piece'
import { METHOD_KINDS, METHODS, type MethodKind, type SettingsOf } from '#core/method/methods'
import type { Method } from '#core/method/method'
import { endsAlike, type Setup } from '#core/method/setup'
import { USUAL_KIT, usualSettings } from '#core/method/usual'
import { waterAtStart } from '#core/method/pot'
import { InfeasibleError, planMethod, type Plan } from './plan'
import { timelineOf } from '#core/method/timeline'
import { misjudged } from './misjudged'

const STEAK: Piece = { cutId: 'strip', count: 1, thicknessMm: 38, weightG: 450, lengthMm: 160, widthMm: 90, startC: 5, surface: 'patted' }
const LOG: Piece = { ...STEAK, cutId: 'fillet', form: 'roast', thicknessMm: 60, weightG: 550, lengthMm: 185, widthMm: 60 }
const pieceFor = (kind: MethodKind): Piece => (kind === 'roast' || kind === 'in pastry' ? LOG : STEAK)

function setupFor<K extends MethodKind>(kind: K, piece: Piece, settings: Partial<SettingsOf[K]> = {}, target = 54): Setup<SettingsOf[K]> {
  const cut = cutById(piece.cutId)!
  const usual = usualSettings(USUAL_KIT, target)[kind]
  return { piece, cut, room: KITCHEN, constants: CONSTANTS, flat: isFlat(piece, cut), settings: { ...usual, ...settings } }
}

const methodOf = <K extends MethodKind>(kind: K): Method<SettingsOf[K]> => METHODS[kind] as unknown as Method<SettingsOf[K]>
const planned = <K extends MethodKind>(kind: K, piece: Piece, settings: Partial<SettingsOf[K]> = {}, target = 54): Plan =>
  planMethod(methodOf(kind), setupFor(kind, piece, settings, target), target)

describe.each(METHOD_KINDS)('%s', kind => {
  const piece = pieceFor(kind)
  const setup = setupFor(kind, piece)
  const method = methodOf(kind)
  const subject = method.subject(setup, 'coarse')
  const program = timelineOf(method, setup, method.guess(setup))
  const { body } = run(subject, [...program.heating, program.rest(900)], KEEP_ENDS)
  const before = run(subject, [], KEEP_ENDS).body

  it('closes its balances: energy to 0.1 % of the heat that came in, water to rounding against what left', () => {
    const { heatIn, latentOut, carriedOut, evaporated, dripped } = body.ledger
    const stored = body.enthalpy - before.enthalpy
    expect(Math.abs(stored - (heatIn - latentOut - carriedOut)) / Math.abs(heatIn)).toBeLessThan(1e-3)
    expect(Math.abs(before.waterHeld - body.waterHeld - evaporated - dripped) / before.waterHeld).toBeLessThan(1e-9)
  })

  it('is solved backward: the least cooked point peaks at its goal', () => {
    const plan = planned(kind, piece)
    expect(Math.abs(plan.peak.core - method.goal(setup, 54))).toBeLessThan(0.15)
    expect(plan.loss).toBeGreaterThan(0.01)
    expect(plan.loss).toBeLessThan(0.35)
    expect(plan.handsOn).toBeLessThanOrEqual(plan.carve.time + 240)
    for (const [i, span] of plan.phases.entries()) expect(span.from).toBe(i === 0 ? 0 : plan.phases[i - 1].to)
  })
})

describe('what cooks know of the methods', () => {
  it('the gentler the finish, the evener the section; the pan is quickest, and evener the oftener it is turned; the bath slowest', () => {
    const [pan, oven, bath] = [
      planned('pan sear', STEAK, { turning: 'once' }),
      planned('sear then oven', STEAK),
      planned('sear then bath', STEAK)
    ]
    expect(pan.section.evenness).toBeLessThan(oven.section.evenness)
    expect(oven.section.evenness).toBeLessThan(bath.section.evenness)
    expect(planned('pan sear', STEAK).carve.time).toBeLessThan(oven.carve.time)
    expect(oven.carve.time).toBeLessThan(bath.carve.time)
  })

  it('a cold sear after the bath leaves less grey than a warm one', () => {
    const grey = (coolS: number): number => planned('bath then sear', STEAK, { coolS }).section.greyMm[0]
    expect(grey(600)).toBeLessThan(grey(0))
  })

  it('a hot oven is sooner, and stores more heat for the rest', () => {
    const [slow, fast] = [120, 220].map(ovenC => planned('roast', LOG, { ovenC }))
    expect(fast.free).toBeLessThan(slow.free)
    expect(fast.peak.core - fast.pull.core).toBeGreaterThan(slow.peak.core - slow.pull.core)
  })

  it('left in its hot pan a steak is sooner done in the oven than on a rack, and greyer underneath', () => {
    const [rack, floor] = (['rack', 'pan floor'] as const).map(standing => planned('sear then oven', STEAK, { standing }))
    expect(floor.free).toBeLessThan(rack.free)
    expect(floor.section.greyMm[0]).toBeGreaterThan(rack.section.greyMm[0])
  })

  it('a tall fillet is done sooner than a wide steak of its thickness', () => {
    const tall: Piece = { ...STEAK, cutId: 'fillet', weightG: 130, lengthMm: 60, widthMm: 60 }
    const wide: Piece = { ...tall, weightG: 900, lengthMm: 170, widthMm: 150 }
    expect(planned('sear then oven', tall, { searS: 120 }).free).toBeLessThan(0.9 * planned('sear then oven', wide, { searS: 120 }).free)
  })

  it('a cap of fat or a bone keeps heat from its side', () => {
    const bare = planned('pan sear', STEAK)
    for (const what of ['fat cap', 'bone'] as const) {
      const coats: PieceCoat[] = [{ what, on: 'second', thicknessMm: 8 }]
      expect(planned('pan sear', { ...STEAK, coats }).free).toBeGreaterThan(bare.free)
    }
  })

  it('four parts boiling and one part at 12 °C make 82; in a pot of metal a little less; without a lid it falls faster', () => {
    expect(
      mixed([
        { litres: 4, celsius: 100 },
        { litres: 1, celsius: 12 }
      ])
    ).toBeCloseTo(82.4, 1)
    expect(waterAtStart(setupFor('pot', STEAK))).toBeGreaterThan(78)
    const water = (lid: boolean): number => {
      const setup = setupFor('pot', STEAK, { lid })
      const { heating } = timelineOf(METHODS.pot, setup, 1800)
      return run(METHODS.pot.subject(setup, 'coarse'), heating, KEEP_ENDS).history.plate.at(-1)!
    }
    expect(water(false)).toBeLessThan(water(true) - 3)
  })

  it('a top-up of boiling water brings the pot back up', () => {
    const topped = planned('pot', STEAK, { topUps: [{ at: 600, litres: 0.5 }] })
    expect(topped.free).toBeLessThan(planned('pot', STEAK).free)
  })

  it('long rested and warmed again in the pan: the crust hotter at carving, the centre no further', () => {
    const rest = { kind: 'clock', seconds: 900 } as const
    const [cold, warm] = [0, 30].map(rewarmS => planned('sear then oven', STEAK, { rest, rewarmS }))
    const surface = (p: Plan): number => Math.max(...p.fields.find(f => f.time >= p.carve.time - 1)!.temperature)
    expect(surface(warm)).toBeGreaterThan(surface(cold) + 20)
    expect(Math.abs(warm.carve.core - cold.carve.core)).toBeLessThan(3)
  })

  it('kept warm under foil in an oven at 60 °C it stays pink for an hour, loses more, and is never hotter than that oven', () => {
    const held = [0, 20, 60, 120].map(min => planned('pan sear', STEAK, { heldS: 60 * min }))
    const [now, ...later] = held
    expect(new Set(held.map(p => Math.round(p.free))).size).toBe(1)
    for (const [i, p] of later.entries()) {
      expect(p.carve.time - now.carve.time).toBeCloseTo([1200, 3600, 7200][i], 0)
      expect(p.carve.core).toBeGreaterThan(now.carve.core - 1)
      expect(p.peak.core).toBeLessThan(60)
      expect(p.loss).toBeGreaterThan(held[i].loss)
      expect(p.phases.at(-1)).toMatchObject({ phase: 'hold' })
    }
    expect(later[1].carve.core).toBeLessThan(57.5)
    const onTheBoard = planned('pan sear', STEAK, { rest: { kind: 'clock', seconds: 1200 } })
    expect(later[0].carve.core - onTheBoard.carve.core).toBeGreaterThan(4)
  })

  it('thicker by three millimetres and cooked by the clock it stays behind, and the bath forgives most', () => {
    const off = <K extends MethodKind>(kind: K): number => {
      const setup = setupFor(kind, STEAK)
      return misjudged(methodOf(kind), setup, planMethod(methodOf(kind), setup, 54)).thickerK
    }
    expect(off('pan sear')).toBeLessThan(-2)
    expect(off('sear then bath')).toBeGreaterThan(-1)
  })
})

describe('refusals in words', () => {
  const refusal = (work: () => unknown): string => {
    try {
      work()
    } catch (error) {
      if (error instanceof InfeasibleError) return error.message
      throw error
    }
    return 'nothing was refused'
  }

  it.each([
    ['too thin for an oven', () => planned('sear then oven', { ...STEAK, thicknessMm: 15, weightG: 180 }), /nothing left to do/],
    ['a bath below the target', () => planned('bath then sear', STEAK, { bathC: 50 }), /never brings the core/],
    ['a short hot bath that is not hot', () => planned('short hot bath', STEAK, { bathC: 55 }), /well above the target/],
    ['a roast in a pan', () => planned('pan sear', LOG), /gentler heat/],
    ['too much meat for the pot', () => planned('pot', { ...STEAK, count: 4 }), /at most/],
    ['pastry round a steak', () => planned('in pastry', STEAK), /trimmed log/],
    [
      'a sear that alone overshoots',
      () => planned('oven then sear', { ...STEAK, thicknessMm: 26, weightG: 310, startC: 25 }, { searS: 600 }),
      /the rest of the program alone/
    ]
  ])('%s', (_, work, words) => {
    expect(refusal(work)).toMatch(words)
  })
})

describe('extremes answer with numbers or refuse, and never hang', () => {
  it('any thickness from 3 to 200 mm, any start, any method', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...METHOD_KINDS),
        fc.integer({ min: 3, max: 200 }),
        fc.integer({ min: -1, max: 25 }),
        fc.integer({ min: 45, max: 70 }),
        (kind, thicknessMm, startC, target) => {
          const form = kind === 'roast' || kind === 'in pastry' ? 'roast' : 'steak'
          const across = form === 'roast' ? thicknessMm / 60 : 1
          const base = form === 'roast' ? LOG : STEAK
          const weightG = form === 'roast' ? base.weightG * across ** 2 : 14 * thicknessMm
          const setup = setupFor(kind, { ...base, thicknessMm, startC, weightG, widthMm: thicknessMm }, {}, target)
          const method = methodOf(kind)
          const [low, high] = method.bounds(setup)
          const free = Math.min(high, Math.max(low, method.guess(setup)))
          const program = timelineOf(method, setup, free)
          const { history, body } = run(method.subject(setup, 'coarse'), [...program.heating, program.rest(600)], {
            ...KEEP_ENDS,
            every: 60
          })
          expect([...history.core, ...body.temperature, ...body.water].every(Number.isFinite)).toBe(true)
          expect(Math.min(...body.temperature)).toBeGreaterThan(-3)
          expect(Math.max(...body.hottest)).toBeLessThan(310)
          expect(Math.min(...body.water)).toBeGreaterThan(-0.01)
          expect(endsAlike(setup.piece)).toBe(body.grid.mirrored || body.grid.axial.cells === 1)
        }
      ),
      { numRuns: 40, seed: 7 }
    )
  })

  it.each(['roast', 'in pastry'] as const)('%s: the middle alone, which the search runs, tells the core of the whole log', kind => {
    const setup = setupFor(kind, { ...LOG, lengthMm: 4 * LOG.thicknessMm, weightG: 700 }, {})
    // About as long as medium rare takes.
    const program = timelineOf(methodOf(kind), setup, (kind === 'roast' ? 28 : 40) * 60)
    const stages = [...program.heating, program.rest(1200)]
    const whole = run(methodOf(kind).subject(setup, 'fine'), stages, KEEP_ENDS)
    const middle = run(methodOf(kind).subject(setup, 'coarse'), stages, KEEP_ENDS, COARSE_STEPS)
    expect(middle.body.grid.cells).toBeLessThan(40)
    expect(whole.peak.core).toBeGreaterThan(50)
    expect(whole.peak.core).toBeLessThan(58)
    expect(Math.abs(middle.peak.core - whole.peak.core)).toBeLessThan(0.6)
  })

  it.each(['roast', 'in pastry'] as const)('%s: every degree more in the oven leaves it a little further done, never by a jump', kind => {
    const peaks = Array.from({ length: 9 }, (_, i) => {
      const setup = setupFor(kind, LOG, { ovenC: 195 + i })
      const { heating, rest } = timelineOf(methodOf(kind), setup, (kind === 'roast' ? 28 : 48) * 60)
      return run(methodOf(kind).subject(setup, 'fine'), [...heating, rest(1200)], KEEP_ENDS).peak.core
    })
    const mean = (peaks[8] - peaks[0]) / 8
    expect(mean).toBeGreaterThan(0.1)
    peaks.slice(1).forEach((core, i) => {
      expect(core).toBeGreaterThan(peaks[i])
      expect(core - peaks[i]).toBeLessThan(2.5 * mean)
    })
  })

  it.each([40, 400])('a whole day of air at %d °C', celsius => {
    const setup = setupFor('roast', LOG, { searS: 0, ovenC: celsius })
    const program = timelineOf(methodOf('roast'), setup, 24 * 3600)
    const { body } = run(methodOf('roast').subject(setup, 'coarse'), program.heating, KEEP_ENDS)
    for (const T of body.temperature) {
      expect(T).toBeGreaterThan(25)
      expect(T).toBeLessThanOrEqual(celsius + 0.5)
    }
  })
})
