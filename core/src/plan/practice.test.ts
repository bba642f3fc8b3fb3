/**
 * What the Fire can be set to, against what cooks see: every case of common practice as a
 * cook would set it (piece, kit, dials), with one set of constants. Common practice, no
 * source, for all figures here. Sizes by eye: a case holds where some size in its range does.
 */
import { describe, expect, it } from 'vitest'
import { valueAt } from '#core/heat/history'
import { cutById } from '#core/meat/cuts'
import { coatsFor, weightFromSize, type Piece } from '#core/meat/piece'
import type { Settings } from '#core/method/dials'
import type { MethodKind } from '#core/method/methods'
import { pastryMisses } from '#core/method/wrapped'
import { USUAL_KIT } from '#core/method/usual'
import { FIRST_REQUEST } from '#core/request/firstRequest'
import { by } from '#core/request/request'
import { setupOf } from '#core/request/setup'
import type { Plan } from './plan'
import { planned as whole, type PlannedCase } from './planned.fixture'
import { secondServing } from './secondServing'

function piece(cutId: string, thicknessMm: number, rest: Partial<Piece> = {}): Piece {
  const cut = cutById(cutId)
  if (!cut) throw new Error(`There is no cut ${cutId}.`)
  const whole: Piece = { cutId, count: 1, thicknessMm, lengthMm: 160, widthMm: 90, startC: 5, surface: 'patted', weightG: 0, ...rest }
  return { ...whole, weightG: rest.weightG ?? Math.round(weightFromSize(whole, cut)) }
}
const wholly = (kind: MethodKind, of: Piece, settings: Settings = {}, coreC = 54): PlannedCase =>
  whole(by({ ...FIRST_REQUEST, piece: of, target: { ...FIRST_REQUEST.target, coreC } }, kind, settings))
const planned = (...args: Parameters<typeof wholly>): Plan => wholly(...args).plan
const within = (value: number, low: number, high: number): boolean => value >= low && value <= high
const minutes = (seconds: number): number => seconds / 60

/** As easily as its description allows, and as hardly: what is seen must lie between. */
function spans(easy: number, hard: number, low: number, high: number): void {
  expect(Math.max(easy, hard)).toBeGreaterThanOrEqual(low)
  expect(Math.min(easy, hard)).toBeLessThanOrEqual(high)
}
/** How far apart the two ends may lie before a case says nothing. */
const TELLING_K = 24

describe('every case of common practice can be set up and comes out as cooks see it', () => {
  it('strip said to be 38 mm, five minutes a side and the fat edge: reads 50 to 54 after ten to twelve minutes', () => {
    const by = (mm: number, panC: number, flatS: number, fatEdgeS: number): Plan =>
      planned('pan sear', piece('strip', mm, { weightG: 450, startC: 10 }), {
        byClockS: flatS,
        turning: 'once',
        fatEdgeS,
        panC,
        cover: 'loose foil',
        rest: { kind: 'clock', seconds: 720 }
      })
    const easy = by(30, 235, 660, 60)
    // Read on the board, two minutes after it came off.
    const read = ({ history, pull }: Plan): number => valueAt(history.time, history.core, pull.time + 120)
    spans(read(easy), read(by(38, 215, 540, 90)), 50, 54)
    expect(minutes(easy.pull.time)).toBeCloseTo(12, 6)
    expect(easy.phases.map(p => p.phase)).toEqual(['sear', 'fat edge', 'rest'])
  })

  it('thick rib steak, two minutes a side twice, rack in the oven five to ten minutes: pulled at 48 to 49, up by some 4 after', () => {
    const by = (mm: number, ovenS: number): Plan =>
      planned('sear then oven', piece('ribeye', mm, { startC: 12, weightG: 12 * mm }), {
        searS: 480,
        turning: 'twice a side',
        ovenC: 200,
        byClockS: ovenS
      })
    const [easy, hard] = [by(38, 600), by(48, 300)]
    spans(easy.pull.core, hard.pull.core, 48, 49)
    expect(easy.peak.core - easy.pull.core).toBeLessThan(7)
  })

  it('big bone-in rib steak: about 45 after twelve to fifteen minutes of oven; what goes back ten minutes more reads 55 to 56', () => {
    const dials: Settings = { searS: 480, turning: 'twice a side', fatEdgeS: 90, basted: true, ovenC: 200, byClockS: 800 }
    const of = (mm: number): Piece =>
      piece('rib-steak', mm, { startC: 12, weightG: 1000, coats: coatsFor({ boneMm: 15, fatMm: 0, pasteMm: 0 }, 'steak') })
    const [easy, hard] = [44, 52].map(mm => planned('sear then oven', of(mm), dials))
    spans(easy.pull.core, hard.pull.core, 44, 46)
    expect(easy.pull.core - hard.pull.core).toBeLessThan(TELLING_K)
    const longer = planned('sear then oven', of(48), { ...dials, byClockS: 1400 })
    expect(longer.pull.core).toBeGreaterThan(50)
    expect(longer.pull.core).toBeLessThan(61)

    const { byClockS: _, ...solved } = dials
    const { method, setup, plan: first } = wholly('sear then oven', of(50), solved, 50)
    const again = secondServing(method, setup, first, 58)
    expect(again.where).toBe('oven')
    expect(within(minutes(again.seconds), 4, 14)).toBe(true)
    expect(again.pullC).toBeLessThan(58)
  })

  it('tenderloin roast of 550 g, seared, at 190: out at 52 after 25 to 32 minutes; the much larger one must come out sooner', () => {
    const roast: Settings = { searS: 240, ovenC: 190, cover: 'loose foil', rest: { kind: 'clock', seconds: 1200 } }
    const log = (mm: number, weightG: number): Piece =>
      piece('chateaubriand', mm, { form: 'roast', weightG, lengthMm: Math.round(weightG / 1.06e-3 / (0.785 * mm * mm)) })
    const small = (mm: number, ovenMin: number): number => planned('roast', log(mm, 550), { ...roast, byClockS: 60 * ovenMin }).pull.core
    spans(small(58, 32), small(64, 25), 51, 53)
    // The whole centre is 70 to 80 mm across.
    const [pulledSmall, ...large] = [log(61, 550), log(70, 1600), log(80, 1600)].map(p => planned('roast', p, roast, 56))
    expect(Math.min(...large.map(p => p.pull.core))).toBeLessThan(pulledSmall.pull.core - 1)
    expect(within(pulledSmall.pull.core, 48, 54)).toBe(true)
    // The large one has hardly begun to fall when the small one has lost what it climbed: carved alike, it comes out 4 K sooner.
    for (const { pull, carve } of large) expect(carve.core - pull.core).toBeGreaterThan(pulledSmall.carve.core - pulledSmall.pull.core + 2)

    const crust = { ...log(61, 550), coats: coatsFor({ boneMm: 0, fatMm: 0, pasteMm: 2 }, 'roast') }
    expect(within(planned('roast', crust, roast, 56).pull.core, 42, 54)).toBe(true)
  })

  it('pastry-wrapped fillet: goes on by itself, and the pastry’s own time is met or said to be missed', () => {
    const fillet = piece('chateaubriand', 60, { form: 'roast', weightG: 600, lengthMm: 200, widthMm: 60, startC: 10 })
    const found = planned('in pastry', fillet, { ovenC: 210, pasteMm: 4, pastryMm: 3, cover: 'bare' }, 58)
    expect(within(found.pull.core, 50.5, 53)).toBe(true)
    // Rests five to ten minutes and is carved while the crust is crisp; cooks see it rise by some 3 by then.
    const rise = (after: number): number => valueAt(found.history.time, found.history.core, found.pull.time + 60 * after) - found.pull.core
    spans(rise(10), rise(5), 1.7, 4)
    expect(within(minutes(found.free), 20, 55)).toBe(true)
    const missed = pastryMisses(found.free)
    expect(missed === null).toBe(within(minutes(found.free), 25, 35))
  })

  it('thin hanger pieces at 200, turned every half minute: medium rare within a few minutes', () => {
    const found = planned('pan sear', piece('hanger', 20, { weightG: 250 }), { panC: 200, turning: 'every 30 s' })
    expect(within(minutes(found.pull.time), 2.5, 6.5)).toBe(true)
  })

  it('sirloin of 25 mm in a very hot pan, two or three minutes a side: rare to medium rare after the rest', () => {
    const peak = (seconds: number, panC: number): number =>
      planned('pan sear', piece('strip', 25, { startC: 12 }), {
        byClockS: seconds,
        panC,
        turning: 'once',
        rest: { kind: 'clock', seconds: 360 }
      }).peak.core
    spans(peak(360, 280), peak(240, 240), 48, 57)
  })

  // A known miss, in the table of docs/physics.md: with the face that was down last on the board it ends 2 K short.
  it.fails('fillet steak on the grill, quarter turn at two minutes, about seven in all: medium rare', () => {
    const by = (mm: number, grateC: number, seconds: number): Plan =>
      planned('grill', piece('fillet', mm, { weightG: 170, startC: 12 }), {
        grateC,
        turning: 'once',
        covered: true,
        lidC: 200,
        byClockS: seconds
      })
    const easy = by(32, 300, 480)
    spans(easy.peak.core, by(40, 260, 390).peak.core, 52, 57)
    expect(easy.phases.map(p => [p.phase, p.spells])).toEqual([
      ['coals', 2],
      ['rest', 1]
    ])
  })

  it('top-sirloin cap: seared, three or four minutes of oven are medium rare, about five medium', () => {
    const peak = (mm: number, ovenMin: number): number =>
      planned('sear then oven', piece('rump-cap', mm, { weightG: 250, startC: 12 }), {
        searS: 360,
        turning: 'twice a side',
        fatEdgeS: 60,
        ovenC: 200,
        byClockS: 60 * ovenMin
      }).peak.core
    spans(peak(28, 4), peak(36, 3), 52, 58)
    spans(peak(28, 6), peak(36, 4.5), 57, 63)
  })

  it('rump cap in a bath of 57 for an hour, then the fat edge and a fast hard sear: pink from edge to edge', () => {
    const found = planned(
      'bath then sear',
      piece('rump-cap', 32, { weightG: 250 }),
      { bathC: 57, byClockS: 3600, searS: 60, fatEdgeS: 60, panC: 250 },
      57
    )
    expect(within(found.peak.core, 54, 59)).toBe(true)
    expect(Math.max(...found.section.greyMm)).toBeLessThan(6)
  })

  it('short hot bath in a pot: about 80, and 70 after half an hour under the lid; pink when it has cooled in the fridge', () => {
    const found = planned('pot', piece('strip', 40, { weightG: 400, startC: 8 }), {
      byClockS: 1800,
      boilingParts: 4,
      coldParts: 1,
      coldC: 12,
      lid: true,
      cover: 'fridge',
      rest: { kind: 'clock', seconds: 5 * 3600 }
    })
    const { time, plate } = found.history
    const { from, to } = found.phases.find(p => p.phase === 'pot')!
    const at = (s: number): number => plate[time.findIndex(t => t >= s)]!
    expect(within(at(from + 30), 76, 82)).toBe(true)
    expect(within(at(to - 10), 68, 73)).toBe(true)
    expect(within(found.peak.core, 50, 62)).toBe(true)
  })

  it('a lean round in a watched pan of water at 55 to 60 for an hour: pink', () => {
    const found = planned('sear then bath', piece('eye-of-round', 45, { weightG: 400 }), { bathC: 58, byClockS: 3600 }, 57)
    expect(within(found.peak.core, 48, 60)).toBe(true)
  })

  it('what goes on rising: some four degrees in a thick steak from pan and oven, more in a big roast than in a small one', () => {
    const rise = (p: Plan): number => p.peak.core - p.pull.core
    const steak = planned('sear then oven', piece('ribeye', 42, { weightG: 520 }), { searS: 240, ovenC: 180 })
    expect(within(rise(steak), 2, 6)).toBe(true)
    const of = (mm: number, weightG: number): Plan =>
      planned('roast', piece('chateaubriand', mm, { form: 'roast', weightG, lengthMm: 260 }), { ovenC: 150 })
    const [small, big] = [of(60, 750), of(90, 1700)]
    expect(rise(big)).toBeGreaterThan(rise(small))
    expect(within(rise(small), 1.5, 6)).toBe(true)
  })
})

describe('a kit without it', () => {
  it('names what is missing, and the pot where there is no machine', () => {
    const kit = { pan: USUAL_KIT.pan, ring: USUAL_KIT.ring, oven: null, grill: null, pot: null, bath: null }
    for (const [kind, word] of [
      ['roast', 'oven'],
      ['grill', 'grill'],
      ['pot', 'pot'],
      ['bath then sear', 'pot does without']
    ] as const) {
      expect(() => setupOf(by({ ...FIRST_REQUEST, kit }, kind))).toThrow(word)
    }
  })
})
