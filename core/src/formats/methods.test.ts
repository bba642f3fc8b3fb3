/** Every method through the door, and what the door refuses of each. */
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { METHOD_KINDS } from '#core/method/methods'
import { FIRST_REQUEST } from '#core/request/firstRequest'
import { by } from '#core/request/request'
import { wholeSettings } from '#core/request/setup'
import { answerCompare, answerPlan, answerSimulate } from './answers'
import { InvalidInputError, type Problem } from '#core/input/problem'
import { dialsOf, toppedUp, type Dial, type Settings } from '#core/method/dials'
import { kitInUse, READY_KITS } from '#core/kit/kit'
import { TURNINGS } from '#core/method/turning'
import { readPlanCase, writePlanCase } from './caseFile'

const STEAK = { cut: 'strip', thickness: '38 mm', weight: '450 g', start: '5 °C' }
const LOG = { cut: 'fillet', form: 'roast', thickness: '60 mm', length: '185 mm', weight: '550 g', start: '41 °F' }
const pieceFor = (kind: string): object => (kind === 'roast' || kind === 'in pastry' ? LOG : STEAK)
const ask = (kind: string, method: object = {}, more: object = {}): unknown =>
  answerPlan({
    piece: pieceFor(kind),
    method: { kind, ...(kind === 'pan sear' ? { heat: '215 °C' } : {}), ...method },
    target: { core: '54 °C' },
    ...more
  })

interface Answer {
  feasible: boolean
  reason?: string
  method: string
  free: { what: string; seconds: number }
  phases: { phase: string; fromS: number; toS: number }[]
  pull: { coreC: number }
  peak: { coreC: number }
  totalS: number
  neededS?: number[]
  neededAfterReadingsS?: number[]
  remarks: string[]
}

function problems(work: () => unknown): readonly Problem[] {
  try {
    work()
  } catch (error) {
    if (error instanceof InvalidInputError) return error.problems
    throw error
  }
  throw new Error('Nothing was refused.')
}

describe('every method is planned from its kind alone', () => {
  it.each(METHOD_KINDS)('%s', kind => {
    const answer = ask(kind) as Answer
    expect(answer.feasible).toBe(true)
    expect(answer.method).toBe(kind)
    expect(Math.abs(answer.peak.coreC - 54)).toBeLessThan(0.7)
    expect(answer.phases.at(-1)!.toS).toBeCloseTo(answer.totalS, 0)
    expect(answer.free.seconds).toBeGreaterThan(60)
  })
})

describe('settings count', () => {
  const seconds = (kind: string, method: object): number => (ask(kind, method) as Answer).free.seconds

  it('a hotter oven, a fan, a hotter grate, a hotter bath: sooner', () => {
    expect(seconds('sear then oven', { ovenHeat: '220 °C' })).toBeLessThan(seconds('sear then oven', { ovenHeat: '160 °C' }))
    expect(seconds('sear then oven', { oven: 'fan-oven' })).toBeLessThan(seconds('sear then oven', { oven: 'still-oven' }))
    expect(seconds('grill', { grate: '300 °C' })).toBeLessThan(seconds('grill', { grate: '200 °C' }))
    expect(seconds('short hot bath', { bath: '80 °C' })).toBeLessThan(seconds('short hot bath', { bath: '68 °C' }))
  })

  it('a hold longer than the core needs is kept', () => {
    const held = ask('bath then sear', { hold: '3 h', cool: '5 min' }) as Answer
    expect(held.feasible).toBe(true)
    expect(held.free.seconds).toBeCloseTo(3 * 3600, 0)
  })

  it('direct first or last on the grill', () => {
    const first = ask('two-zone grill', { order: 'direct first', direct: '4 min' }) as Answer
    const last = ask('two-zone grill', { order: 'indirect first', direct: '4 min' }) as Answer
    expect(first.phases.map(p => p.phase)).toEqual(['coals', 'under the lid', 'rest'])
    expect(last.phases.map(p => p.phase)).toEqual(['under the lid', 'coals', 'rest'])
  })

  it('a reading narrows the range and moves it the right way', () => {
    const spread = (core: string): Answer => ask('roast', {}, { readings: [{ at: '15 min', core }] }) as Answer
    const [cold, warm] = [spread('18 °C'), spread('32 °C')]
    // As a share of itself: what takes longer is also longer uncertain.
    const width = ([low, middle, high]: number[]): number => (high - low) / middle
    for (const read of [cold, warm]) expect(width(read.neededAfterReadingsS!)).toBeLessThan(0.7 * width(read.neededS!))
    expect(cold.neededAfterReadingsS![1]).toBeGreaterThan(warm.neededAfterReadingsS![1])
  })
})

describe('refusals', () => {
  it.each([
    ['roast', { bath: '57 °C' }, 'method.bath', /nothing to “roast”/],
    ['pan sear', { ovenHeat: '180 °C' }, 'method.ovenHeat', /nothing to “pan sear”/],
    ['two-zone grill', { grate: '900 °C' }, 'method.grate', /120 to 400/],
    ['pot', { boilingParts: -1 }, 'method.boilingParts', /0 to 20/],
    ['pot', { boilingParts: 0, coldParts: 0 }, 'method.boilingParts', /some water/],
    ['pot', { topUps: [{ at: '10 min' }] }, 'method.topUps[0].litres', /missing/],
    ['sear then oven', { standing: 'on its head' }, 'method.standing', /not one of/],
    ['grill', { rewarm: '30 s' }, 'method.rewarm', /nothing to “grill”/],
    ['in pastry', { rewarm: '30 s' }, 'method.rewarm', /nothing to “in pastry”/],
    ['roast', { rest: '13 h' }, 'method.rest', /outside 0 s to 12 h/],
    ['pan sear', { turning: 'now and then' }, 'method.turning', /not one of: not at all, once/],
    ['grill', { spells: 90 }, 'method.spells', /1 to 40/]
  ])('%s %j', (kind, method, key, words) => {
    const found = problems(() => ask(kind, method)).find(p => p.key === key)
    expect(found?.message).toMatch(words)
  })

  it('a braising cut is refused whatever the method, and in a comparison', () => {
    const piece = { ...STEAK, cut: 'cheek' }
    expect(problems(() => answerPlan({ piece, method: { kind: 'roast' }, target: { core: '54 °C' } }))[0].key).toBe('piece.cut')
    expect(problems(() => answerCompare({ piece, target: { core: '54 °C' } }))[0].key).toBe('piece.cut')
  })

  it('a target that cannot be had is an answer with its reason and the nearest', () => {
    const answer = ask('bath then sear', { bath: '50 °C' }) as Answer
    expect(answer).toMatchObject({ feasible: false })
    expect(answer.reason).toMatch(/never brings the core/)
  })

  it('all methods are compared where none is named, and the unsuited say why', () => {
    const { methods } = answerCompare({ piece: STEAK, target: { doneness: 'medium rare' } }) as {
      methods: { method: string; feasible: boolean; reason?: string }[]
    }
    expect(methods.map(m => m.method)).toEqual(METHOD_KINDS)
    for (const m of methods.filter(x => !x.feasible)) expect(m.reason!.length).toBeGreaterThan(20)
    expect(methods.filter(m => m.feasible).length).toBeGreaterThanOrEqual(8)
  })
})

describe('a roast is simulated as well as a steak', () => {
  it('with its side turned to the oven, and paste all round it', () => {
    const oven = { air: '180 °C', convection: 10, vapour: 80 }
    const answer = answerSimulate({
      piece: { ...LOG, coats: [{ what: 'mushroom paste', on: 'side', thickness: '5 mm' }] },
      stages: [{ for: '30 min', first: oven, second: oven, side: oven }],
      record: { every: '60 s' }
    }) as { series: { sideC: number[]; coreC: number[] }; radiusMm: (number | null)[] }
    expect(Math.max(...answer.radiusMm.map(r => r ?? 0))).toBeGreaterThan(30)
    expect(answer.series.sideC.at(-1)).toBeGreaterThan(answer.series.coreC.at(-1)! + 20)
  })
})

describe('a plan on the screen as a case file', () => {
  it('is read back as it was written, whatever the method, the piece and the dials', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...METHOD_KINDS),
        fc.record({
          thicknessMm: fc.integer({ min: 10, max: 120 }),
          weightG: fc.integer({ min: 100, max: 3000 }),
          startC: fc.integer({ min: 1, max: 20 })
        }),
        fc.integer({ min: 45, max: 70 }),
        fc.double({ min: 0, max: 1, noNaN: true }),
        (kind, sizes, targetC, at) => {
          const settings = Object.fromEntries(dialsOf(kind).map(d => [d.key, somewhere(d, at)])) as Settings
          const asked = {
            ...FIRST_REQUEST,
            target: { ...FIRST_REQUEST.target, coreC: targetC },
            piece: { ...FIRST_REQUEST.piece, ...sizes }
          }
          const request = by(asked, kind, settings)
          const read = readPlanCase(JSON.parse(JSON.stringify(writePlanCase(request))))
          expect(wholeSettings(read.request)).toEqual(wholeSettings(request))
          expect({ ...read.request, method: null }).toEqual({ ...request, method: null })
        }
      )
    )
  })

  it('brings the cook’s own kit along', () => {
    const kit = kitInUse(READY_KITS[1].kit, {}, 'none', 'none')
    const request = by({ ...FIRST_REQUEST, kit }, 'oven then sear')
    const file: unknown = JSON.parse(JSON.stringify(writePlanCase(request)))
    expect(readPlanCase(file).request.kit).toEqual(kit)
    expect(() => readPlanCase({ ...(file as object), kit: { ...kit, pan: { ...kit.pan, diameterMm: 9000 } } })).toThrow(
      /kit.pan.diameterMm/
    )
  })

  it('says what lies in the pan with it, and is planned so', () => {
    const request = { ...by(FIRST_REQUEST, 'pan sear', { panC: 205 }), beside: [{ areaM2: 0.011, seconds: 300 }] }
    const file: object = writePlanCase(request)
    expect(readPlanCase(file).request.beside).toEqual(request.beside)
    const pull = (of: object): number => (answerPlan(of) as { readonly pull: { readonly atS: number } }).pull.atS
    expect(pull(file)).toBeGreaterThan(pull({ ...file, beside: undefined }) + 3)
    expect(() => readPlanCase({ ...file, beside: [{ areaM2: 4, seconds: 300 }] })).toThrow(/beside\[0\].areaM2/)
  })

  it('is a case that the door answers', () => {
    const request = by(FIRST_REQUEST, 'oven then sear', { ovenC: 130, searS: 100, rewarmS: 20, turning: 'every 30 s' })
    expect(JSON.stringify(answerPlan(writePlanCase(request)))).toContain('oven then sear')
  })
})

/** Some value that a dial can take. */
function somewhere(dial: Dial, at: number): unknown {
  switch (dial.kind) {
    case 'quantity':
      return Math.round(dial.range[0] + at * (dial.range[1] - dial.range[0]))
    case 'count':
      return dial.range[0] + Math.round(at * (dial.range[1] - dial.range[0]))
    case 'choice':
      return dial.options[Math.floor(at * 0.999 * dial.options.length)].value
    case 'yes':
      return at < 0.5
    case 'turning':
      return [...TURNINGS, '7 spells'][Math.floor(at * 0.999 * (TURNINGS.length + 1))]
    case 'rest':
      return at < 0.3
        ? { kind: 'to the peak' }
        : at < 0.6
          ? { kind: 'half the cooking time' }
          : { kind: 'clock', seconds: Math.round(at * 9000) }
    case 'top-ups':
      return toppedUp(60 + Math.round(at * 2000), 0.5)
  }
}

describe('what the page took and the file dropped, or the file took and the engine ignored', () => {
  it('a moment back in the pan after bath and sear is in the file, in the plan and in its phases', () => {
    const request = by(FIRST_REQUEST, 'bath then sear', { rewarmS: 20 })
    expect(readPlanCase(writePlanCase(request)).request.method.settings.rewarmS).toBe(20)
    const answer = ask('bath then sear', { rewarm: '20 s' }) as Answer
    expect(answer.phases.at(-1)!.phase).toBe('rewarm')
  })

  it('turns by their number, as they were written first, and by their school are the same', () => {
    for (const [spells, turning] of [
      [2, 'once'],
      [4, 'twice a side'],
      [6, '6 spells']
    ] as const)
      expect(ask('sear then oven', { sear: '4 min', spells })).toEqual(ask('sear then oven', { sear: '4 min', turning }))
  })

  it('a sear turned every half minute has as many spells as that gives, in any method that sears', () => {
    for (const kind of ['sear then oven', 'oven then sear', 'bath then sear', 'pot'] as const) {
      const { phases } = ask(kind, { sear: '2 min', turning: 'every 30 s' }) as { phases: { phase: string; spells: number }[] }
      expect(phases.find(p => p.phase === 'sear')?.spells).toBe(4)
    }
  })

  it('an oven that the kit has not is said, not made up', () => {
    const kit = { ...FIRST_REQUEST.kit, oven: null }
    expect(problems(() => ask('roast', {}, { kit }))[0]).toMatchObject({ key: 'kit.oven' })
  })
})
