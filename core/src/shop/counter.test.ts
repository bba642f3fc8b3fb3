import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { enthalpyCurve, thawingTime } from '#core/heat/thawing'
import { chooseCuts, FIRST_ASK, minutesFor, purchaseOf, type Ask } from './choose'
import { costOf } from './cost'
import { isTender } from '#core/meat/cut'
import { CUTS, cutById } from '#core/meat/cuts'
import { candidatesFor, nextQuestion } from './identify'
import { inOrder, isCooked, keepingOf, thawedAt, type Packet } from './larder'
import { weightFromSize } from '#core/meat/piece'
import { orderFor, slipOf, slipText } from './orderSlip'
import { parsePacket } from './schema'
import { equalPortions, grainInWhole, portionsAt, slicesOf, ribsOf, usualMuscle } from '#core/meat/portion'

const cut = (id: string) => cutById(id)!
const ids = (ask: Partial<Ask>): string[] => chooseCuts({ ...FIRST_ASK, ...ask }).map(c => c.cut.id)

describe('choosing', () => {
  it('a cheap dinner for six with a barbecue: no dear steak is among the first five, and each can go on coals', () => {
    const asked: Ask = { ...FIRST_ASK, guests: 6, heats: ['coals'], budget: 12, appetite: 'hearty' }
    const found = chooseCuts(asked).slice(0, 5)
    for (const { cut: c, heat } of found) {
      expect(c.price).toBeLessThanOrEqual(3)
      expect(heat).toBe('coals')
    }
  })

  it('a Sunday roast for ten: joints come first, and enough is bought', () => {
    const asked: Ask = { ...FIRST_ASK, guests: 10, heats: ['oven'], minutes: 240 }
    const found = chooseCuts(asked).slice(0, 5)
    expect(found.filter(c => c.cut.form === 'roast').length).toBeGreaterThanOrEqual(4)
    for (const { buy } of found) expect(buy.totalG).toBeGreaterThan(10 * 170)
  })

  it('nothing that must be braised is ever proposed', () => {
    expect(ids({ heats: ['pan', 'oven', 'coals', 'water bath', 'pan and oven'] }).every(id => isTender(cut(id)))).toBe(true)
  })

  it('a typed price over the budget sends a cut down, within it up', () => {
    const place = (price: number): number => ids({ budget: 20, prices: { strip: price } }).indexOf('strip')
    expect(place(40)).toBeGreaterThan(place(15))
  })

  it('for a table that disagrees, a wedge or a piece each', () => {
    const [first] = chooseCuts({ ...FIRST_ASK, guests: 2, table: 'mixed', heats: ['pan'] })
    expect(first.reasons.join(' ')).toMatch(/as its diner likes|one piece/)
    const mixed = ids({ guests: 6, table: 'mixed', heats: ['coals'] })
    const alike = ids({ guests: 6, table: 'alike', heats: ['coals'] })
    expect(mixed.indexOf('tri-tip')).toBeLessThanOrEqual(alike.indexOf('tri-tip'))
  })

  it('buys at least what is eaten, in pieces the cut comes in, for any party', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...CUTS),
        fc.integer({ min: 1, max: 40 }),
        fc.constantFrom('light', 'ordinary', 'hearty'),
        (c, guests, appetite) => {
          const { pieces, pieceG, totalG } = purchaseOf(c, { guests, appetite, prices: {} })
          expect(pieceG).toBeGreaterThanOrEqual(c.shape.weightG[0] - 5)
          expect(pieceG).toBeLessThanOrEqual(c.shape.weightG[1] + 5)
          expect(totalG).toBe(pieces * pieceG)
          expect(totalG).toBeGreaterThanOrEqual(0.75 * guests * c.gramsPerDiner)
        }
      )
    )
  })

  it('thickness and weight are of one piece: nobody orders a strip both 38 mm thick and 240 g', () => {
    for (const c of CUTS.filter(k => k.portioning === 'slices' && k.form === 'steak' && isTender(k))) {
      const { pieces, pieceG } = purchaseOf(c, { guests: 4, appetite: 'ordinary', prices: {} })
      const { thicknessMm } = orderFor(c, 'UK', { pieces, pieceG })
      const { lengthMm, widthMm } = c.shape
      const sizes = {
        thicknessMm: thicknessMm!,
        lengthMm: (lengthMm[0] + lengthMm[1]) / 2,
        widthMm: (widthMm[0] + widthMm[1]) / 2,
        startC: 5
      }
      expect(weightFromSize(sizes, c) / pieceG, c.id).toBeGreaterThan(0.75)
      expect(weightFromSize(sizes, c) / pieceG, c.id).toBeLessThan(1.33)
    }
  })

  it('the bath is slow, the pan quick, a joint slower than a steak', () => {
    expect(minutesFor(cut('strip'), 'water bath')).toBeGreaterThan(3 * minutesFor(cut('strip'), 'pan'))
    expect(minutesFor(cut('rib-roast'), 'oven')).toBeGreaterThan(2 * minutesFor(cut('chateaubriand'), 'oven'))
  })
})

describe('the price of a plate', () => {
  it('1 kg at 30, a fifth trimmed off and a fifth lost, is 46.9 a kilogram eaten', () => {
    const { perDiner, perEatenKg, eatenG } = costOf(30, 1000, 4, 0.8, 0.2)
    expect(perDiner).toBe(7.5)
    expect(perEatenKg).toBeCloseTo(46.875, 3)
    expect(eatenG).toBeCloseTo(160, 6)
  })
})

describe('a packet without a name', () => {
  const walk = (truth: string): { left: string[]; asked: number } => {
    let answers: Record<string, string> = {}
    for (let asked = 0; ; asked++) {
      const question = nextQuestion(answers)
      if (!question) return { left: candidatesFor(answers).map(c => c.id), asked }
      const answer = question.answers.find(a => a.fits(cut(truth)))
      answers = { ...answers, [question.id]: answer?.id ?? 'unknown' }
    }
  }

  it.each(CUTS.map(c => [c.id] as const))('%s is still there after honest answers, among few', id => {
    const { left, asked } = walk(id)
    expect(left).toContain(id)
    expect(left.length).toBeLessThanOrEqual(9)
    expect(asked).toBeLessThanOrEqual(7)
  })

  it('five questions bring a usual cut down to a handful', () => {
    const counts = CUTS.map(c => walk(c.id))
    const few = counts.filter(w => w.left.length <= 5).length
    expect(few / counts.length).toBeGreaterThan(0.8)
  })

  it('“I do not know” rules nothing out, and answers that contradict are not believed', () => {
    expect(candidatesFor({ bone: 'unknown' }).length).toBe(CUTS.length)
    expect(candidatesFor({ bone: 'yes', grain: 'along', shape: 'thin', marbling: 'lean' }).length).toBeGreaterThan(0)
  })
})

describe('portions from a whole muscle', () => {
  it('every gram of it goes somewhere, whatever the knife does', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...CUTS.filter(c => c.whole)),
        fc.array(fc.integer({ min: 1, max: 600 }), { maxLength: 12 }),
        (c, cuts) => {
          const muscle = usualMuscle(c)!
          const portions = portionsAt(muscle, c, cuts)
          const sum = portions.reduce((s, p) => s + p.weightG, 0)
          expect(Math.abs(sum - muscle.weightG)).toBeLessThanOrEqual(portions.length)
          for (let i = 1; i < portions.length; i++) expect(portions[i].fromMm).toBe(portions[i - 1].toMm)
        }
      )
    )
  })

  it('equal portions weigh the same though the muscle tapers, and are longer toward the thin end', () => {
    const muscle = usualMuscle(cut('rump-cap'))!
    const portions = portionsAt(muscle, cut('rump-cap'), equalPortions(muscle, cut('rump-cap'), 5))
    const weights = portions.map(p => p.weightG)
    expect(Math.max(...weights) / Math.min(...weights)).toBeLessThan(1.04)
    expect(portions[4].thicknessMm).toBeGreaterThan(portions[1].thicknessMm)
  })

  it('a rump cap is cut with its grain so that slices go across it; a strip across, so that it stands on end (common practice, no source)', () => {
    expect(grainInWhole(cut('rump-cap'))).toBe('across')
    expect(grainInWhole(cut('strip'))).toBe('along')
  })

  it('a 6 kg strip loin in 38 mm steaks gives about a dozen of about 450 g', () => {
    const muscle = { lengthMm: 460, widthMm: 190, thicknessMm: 85, weightG: 5200 }
    const portions = portionsAt(muscle, cut('strip'), slicesOf(muscle, cut('strip'), 38))
    expect(portions.length).toBe(12)
    expect(portions[5].weightG).toBeGreaterThan(380)
    expect(portions[5].weightG).toBeLessThan(520)
    expect(portions[5].thicknessMm).toBe(38)
  })

  it('the knife never strikes a rib, whatever is asked, and every rib goes with one portion', () => {
    const ribSteak = cut('rib-steak')
    const usual = usualMuscle(ribSteak)!
    fc.assert(
      fc.property(
        fc.integer({ min: 150, max: 420 }),
        fc.integer({ min: 1, max: 14 }),
        fc.integer({ min: 12, max: 90 }),
        fc.array(fc.integer({ min: 1, max: 419 }), { maxLength: 8 }),
        (lengthMm, count, thick, byHand) => {
          const muscle = { ...usual, lengthMm }
          const ribs = ribsOf(muscle, ribSteak)
          for (const cuts of [equalPortions(muscle, ribSteak, count), slicesOf(muscle, ribSteak, thick), byHand]) {
            const portions = portionsAt(muscle, ribSteak, cuts)
            const places = portions.slice(1).map(p => p.fromMm)
            expect(ribs.some(r => places.some(c => c > r.fromMm && c < r.toMm))).toBe(false)
            expect(portions.reduce((sum, p) => sum + p.ribs, 0)).toBe(ribs.length)
          }
        }
      )
    )
  })

  it('seven ribs make a whole rib of about 400 mm, and a steak is one of them thick (common practice, no source)', () => {
    const muscle = { ...usualMuscle(cut('rib-steak'))!, lengthMm: 400 }
    expect(ribsOf(muscle, cut('rib-steak'))).toHaveLength(7)
    const portions = portionsAt(muscle, cut('rib-steak'), equalPortions(muscle, cut('rib-steak'), 7))
    expect(portions.map(p => p.ribs)).toEqual([1, 1, 1, 1, 1, 1, 1])
    expect(ribsOf(muscle, cut('ribeye'))).toEqual([])
  })
})

describe('the order slip', () => {
  it('is in the butcher’s word for it, with everything he must know', () => {
    const order = { ...orderFor(cut('rump-cap'), 'BR', { pieces: 1, pieceG: 1200 }), thicknessMm: null, fatMm: 8 }
    const slip = slipOf(order, cut('rump-cap'), 'metric')
    expect(slip.title).toBe('Picanha')
    expect(slip.sentence).toMatch(/^One picanha, about 1\.20\u00a0kg, fat left on at 8\u00a0mm, and not needled, please\.$/)
    const text = slipText(slip, 'BR')
    for (const word of ['Picanha', 'biceps femoris', 'silverskin', 'needles', 'Brazil']) expect(text).toContain(word)
  })

  it('thickness is asked for where the knife decides it, and in the reader’s units', () => {
    const slip = slipOf(orderFor(cut('strip'), 'UK', { pieces: 4, pieceG: 535 }), cut('strip'), 'us')
    expect(slip.title).toBe('Sirloin steak')
    expect(slip.sentence).toContain('1½\u00a0in thick')
    expect(orderFor(cut('flank'), 'US', { pieces: 1, pieceG: 800 }).thicknessMm).toBeNull()
  })
})

describe('thawing', () => {
  const lean = cut('rump').composition

  it('takes up about 250 kJ/kg between −18 and 0 °C, most of it in the last five degrees (Riedel’s chart, from memory)', () => {
    const { enthalpy, temperature } = enthalpyCurve(lean)
    const whole = enthalpy(0) - enthalpy(-18)
    expect(whole).toBeGreaterThan(230e3)
    expect(whole).toBeLessThan(285e3)
    expect((enthalpy(-1) - enthalpy(-5)) / whole).toBeGreaterThan(0.6)
    for (const T of [-30, -18, -6, -2, -1.2, 0, 5]) expect(temperature(enthalpy(T))).toBeCloseTo(T, 1)
  })

  it('goes as Plank’s equation says where its assumptions hold: slow outside, hardly any sensible heat (R. Plank 1941, from memory)', () => {
    const thickness = 0.05
    const exchange = 15
    const around = 12
    const { enthalpy } = enthalpyCurve(lean)
    const heat = 1050 * (enthalpy(-0.5) - enthalpy(-4))
    const plank = (heat / (around + 1.6)) * (thickness / (2 * exchange) + thickness ** 2 / (8 * 0.48))
    const engine = thawingTime({ thickness, composition: lean, from: -4, around, exchange })
    expect(engine / plank).toBeGreaterThan(0.85)
    expect(engine / plank).toBeLessThan(1.15)
  })

  it('a steak takes about a day in the fridge and one to two hours in cold water (USDA advice, from memory)', () => {
    const at = (how: 'fridge' | 'cold water'): number =>
      (thawedAt({ ...PACKET, place: 'fridge', thawing: { since: 0, how } }, cut('strip')) ?? 0) / 3600_000
    expect(at('fridge')).toBeGreaterThan(14)
    expect(at('fridge')).toBeLessThan(30)
    expect(at('cold water')).toBeGreaterThan(0.7)
    expect(at('cold water')).toBeLessThan(2.5)
  })

  it('thicker is slower, warmer is faster, and too cold never ends', () => {
    const time = (thickness: number, around: number): number =>
      thawingTime({ thickness, composition: lean, from: -18, around, exchange: 150 })
    expect(time(0.06, 12)).toBeGreaterThan(2 * time(0.03, 12))
    expect(time(0.03, 20)).toBeLessThan(time(0.03, 10))
    expect(time(0.03, -3)).toBe(Infinity)
  })
})

const DAY = 24 * 3600_000
const PACKET: Packet = {
  id: 'p',
  cutId: 'strip',
  label: '',
  pieces: 1,
  weightG: 400,
  thicknessMm: 38,
  wrap: 'wrapped',
  place: 'fridge',
  since: 0,
  useBy: null,
  thawing: null,
  intact: 'yes'
}

describe('the larder', () => {
  it('unpacked whole pieces keep three days, needled ones one, a printed date goes before the rule, the freezer for months', () => {
    expect(keepingOf(PACKET, 0).until).toBe(3 * DAY)
    expect(keepingOf({ ...PACKET, intact: 'no' }, 0).until).toBe(DAY)
    expect(keepingOf({ ...PACKET, wrap: 'vacuum', useBy: 20 * DAY }, 0).until).toBe(20 * DAY)
    expect(keepingOf({ ...PACKET, wrap: 'open', useBy: 20 * DAY }, 0).until).toBe(3 * DAY)
    expect(keepingOf({ ...PACKET, place: 'freezer' }, 0).until).toBeGreaterThan(200 * DAY)
  })

  it('cooked and chilled it keeps three days however it is packed; so do what it came to, checked at the edge', () => {
    expect(keepingOf({ ...PACKET, wrap: 'vacuum' }, 0).until).toBe(10 * DAY)
    const cooked = { ...PACKET, wrap: 'vacuum' as const, cookedC: 54 }
    expect(keepingOf(cooked, 0)).toMatchObject({ until: 3 * DAY, why: expect.stringMatching(/^cooked and chilled/) as string })
    expect(isCooked(cooked)).toBe(true)
    expect([{ ...PACKET }, { ...PACKET, cookedC: null }].some(isCooked)).toBe(false)
    expect(parsePacket({ ...cooked, id: 'packet-1' })).toMatchObject({ cookedC: 54 })
    expect(parsePacket({ ...PACKET, id: 'packet-1' })).not.toHaveProperty('cookedC')
    expect(() => parsePacket({ ...cooked, id: 'packet-1', cookedC: 12 })).toThrow()
  })

  it('says soon on the last day and past after it', () => {
    expect(keepingOf(PACKET, 0).state).toBe('good')
    expect(keepingOf(PACKET, 2 * DAY).state).toBe('soon')
    expect(keepingOf(PACKET, 3.1 * DAY).state).toBe('past')
  })

  it('the most urgent comes first, the freezer last', () => {
    const list = [
      { ...PACKET, id: 'frozen', place: 'freezer' as const },
      { ...PACKET, id: 'later', since: DAY },
      { ...PACKET, id: 'now' }
    ]
    expect(inOrder(list, 0).map(p => p.id)).toEqual(['now', 'later', 'frozen'])
  })
})
