/**
 * What the engine is held against. Half of it was set aside before the constants were
 * fitted (scripts/fit.ts) and is only reported. Chart times are "removed at", fridge
 * start; sizes by eye are ranges.
 */
import type { Constants } from '#core/heat/constants'
import { between as facesBetween, type Face } from '#core/heat/faces'
import { DEFAULT_RESOLUTION, cylinderGrid, slabGrid } from '#core/heat/grid'
import { KEEP_ENDS, run, type Stage } from '#core/heat/program'
import { meatMaterial } from '#core/heat/properties'
import { KITCHEN, openAir } from '#core/kit/air'
import { CUTS } from '#core/meat/cuts'
import type { Piece } from '#core/meat/piece'
import { carryover, cook, log, reaches, steak } from './bench'
import { between, type Case } from './case'

const PRACTICE = 'common practice, no source'
const CHARTS = 'the trade’s cookery charts (from memory)'
const USDA = 'USDA FSIS, approximate beef cooking times (from memory)'
const minutes = (m: number): number => 60 * m
const STRIP = CUTS[0].composition

type Use = Case['use']

/** Roasted from the fridge for a time by the chart: what the core reads when it is taken out. */
function roasted(
  id: string,
  what: string,
  source: string,
  use: Use,
  ovenC: number,
  across: readonly [small: number, large: number],
  weight: readonly [number, number],
  time: readonly [short: number, long: number],
  seen: readonly [number, number],
  cutId = 'strip'
): Case {
  return {
    id,
    what,
    source,
    use,
    unit: '°C',
    seen,
    middleIs: `${Math.round((across[0] + across[1]) / 2)} mm, ${Math.round((time[0] + time[1]) / 2)} min`,
    figure: (ease, c) => {
      const piece = log(between(across[1], across[0], ease), between(weight[1], weight[0], ease), { cutId })
      const cooked = cook('roast', piece, { searS: 0, ovenC, cover: 'bare' }, minutes(between(time[0], time[1], ease)), c)
      return cooked.coreAt(cooked.off)
    }
  }
}

/** Turned each minute in a pan over medium heat: the core at its peak after the chart's time. */
const skillet = (use: Use, mm: number, time: readonly [number, number], cutId = 'strip', face?: Partial<Piece>): Case => ({
  id: `skillet-${cutId}-${mm}`,
  what: `${cutId} ${mm} mm in a skillet over medium heat, turned now and then, to 63–71 °C`,
  source: CHARTS,
  use,
  unit: '°C',
  seen: [63, 71],
  middleIs: `${(time[0] + time[1]) / 2} min`,
  figure: (ease, c) =>
    cook('pan sear', steak(mm, { cutId, ...face }), { panC: 175 }, minutes(between(time[0], time[1], ease)), c).run.peak.core
})

/** On a covered grill over medium coals, turned now and then. */
const grilled = (use: Use, mm: number, time: readonly [number, number], cutId: string, source = CHARTS, face?: Partial<Piece>): Case => ({
  id: `grill-${cutId}-${mm}`,
  what: `${cutId} ${mm} mm on a covered grill over medium coals, to 63–71 °C`,
  source,
  use,
  unit: '°C',
  seen: [63, 71],
  middleIs: `${(time[0] + time[1]) / 2} min`,
  figure: (ease, c) =>
    cook(
      'grill',
      steak(mm, { cutId, ...face }),
      { grateC: between(190, 230, ease), directSpells: 4, covered: true, lidC: 170 },
      minutes(between(time[0], time[1], ease)),
      c
    ).run.peak.core
})

/** Bath of 55 °C, both faces; time to half a degree below it. */
const baldwin = (use: Use, mm: number, table: number, shape: 'slab' | 'cylinder' = 'slab'): Case => ({
  id: `bath-${shape}-${mm}`,
  what: `${shape} of ${mm} mm from 5 °C to 0.5 °C below a 55 °C bath; at or below the table, by 35 % at most`,
  source: 'D. E. Baldwin, Int. J. Gastronomy and Food Science 1 (2012), cautious table (from memory)',
  use,
  unit: 'min',
  seen: [0.65 * table, table],
  middleIs: `${mm} mm`,
  figure: (_, c) => {
    const bath: Face = { kind: 'fixed', at: 55, conductance: c.bathConductance }
    const grid = shape === 'slab' ? slabGrid(mm / 1000) : cylinderGrid(mm / 2000)
    const faces =
      shape === 'slab' ? facesBetween(bath, bath) : ({ first: { kind: 'closed' }, second: { kind: 'closed' }, side: bath } as const)
    const stage: Stage = { name: 'bath', end: { coreReaches: 54.5, atMost: minutes(600) }, faces }
    const start = { temperature: 5, film: 0.06, boiling: 100 }
    const outcome = run({ grid, materials: [meatMaterial(STRIP, c)], start, constants: c }, [stage], KEEP_ENDS)
    return outcome.stageEnds[0] / 60
  }
})

const PLATEN_C = 163
function beltGrill(c: Constants): ReturnType<typeof run> {
  const platen: Face = { kind: 'fixed', at: PLATEN_C, conductance: c.panContact }
  const room = openAir(KITCHEN, c)
  const stages: Stage[] = [
    { name: 'belt', end: { after: 342 }, faces: facesBetween(platen, platen) },
    { name: 'rest', end: { after: 600 }, faces: facesBetween(room, room) }
  ]
  const start = { temperature: 4, film: 0.06, boiling: 100 }
  const grid = slabGrid(0.0216, DEFAULT_RESOLUTION)
  return run({ grid, materials: [meatMaterial(STRIP, c)], start, constants: c }, stages, KEEP_ENDS)
}
const WHEELER = 'Wheeler, Shackelford and Koohmaraie, J. Animal Science (1998) (from memory)'

/** A thick rib steak: two minutes a side twice, then a rack in a 200 °C oven. */
const ribSteak = (ease: number, c: Constants): ReturnType<typeof cook> =>
  cook(
    'sear then oven',
    steak(between(48, 38, ease), { cutId: 'ribeye', startC: 12 }),
    { searS: 480, searSpells: 4, ovenC: 200 },
    minutes(between(5, 10, ease)),
    c
  )

/** A bone-in rib steak of a kilogram, seared all round with butter; the bone counts as meat here. */
const bigRib = (ease: number, ovenMin: number, c: Constants): ReturnType<typeof cook> =>
  cook(
    'sear then oven',
    steak(between(52, 44, ease), { cutId: 'ribeye', weightG: 1000, startC: 12 }),
    { searS: 480, searSpells: 4, fatEdgeS: 90, basted: true, ovenC: 200 },
    minutes(ovenMin),
    c
  )

const TENDERLOIN = { searS: 240, ovenC: 190, cover: 'loose foil' } as const
const tenderloin = (ease: number, c: Constants, ovenMin: number, grams = 550): ReturnType<typeof cook> =>
  cook('roast', log(between(64, 58, ease), grams), TENDERLOIN, minutes(ovenMin), c)

/** The same cook carried on until the core reads what it was taken out at: its rise from there. */
function riseFrom(pull: number, timeOf: (core: number) => number, cookFor: (ovenS: number) => ReturnType<typeof cook>): number {
  return carryover(cookFor(timeOf(pull)))
}

export const CASES: readonly Case[] = [
  {
    id: 'belt-grill-peak',
    what: 'belt grill, platens at 163 °C, 21.6 mm, 5.7 min: peak afterwards',
    source: WHEELER,
    use: 'fitted',
    unit: '°C',
    seen: [67, 73],
    middleIs: '21.6 mm',
    figure: (_, c) => beltGrill(c).peak.core
  },
  {
    id: 'belt-grill-loss',
    what: 'cook loss of loin steaks to 60–71 °C',
    source: 'meat science surveys (from memory)',
    use: 'held out',
    unit: '%',
    seen: [18, 28],
    middleIs: '21.6 mm',
    figure: (_, c) => 100 * beltGrill(c).loss
  },
  ...([10, 20, 30, 40] as const).map((mm, i) => baldwin('held out', mm, [19, 50, 90, 150][i])),
  ...([15, 25, 35, 50] as const).map((mm, i) => baldwin('fitted', mm, [35, 75, 120, 210][i])),
  baldwin('held out', 40, 0.55 * 150, 'cylinder'),
  baldwin('held out', 50, 0.55 * 210, 'cylinder'),

  roasted('eye-round', 'eye of round, 0.9–1.4 kg, 163 °C, 90–105 min', CHARTS, 'fitted', 163, [80, 95], [900, 1400], [90, 105], [55, 59]),
  roasted(
    'ribeye-roast',
    'boneless ribeye roast, 1.8–2.7 kg, 177 °C, 105–120 min',
    CHARTS,
    'held out',
    177,
    [105, 122],
    [1800, 2700],
    [105, 120],
    [55, 59],
    'ribeye'
  ),
  roasted(
    'ribeye-large',
    'boneless ribeye roast, 2.7–3.6 kg, 177 °C, 120–135 min',
    CHARTS,
    'fitted',
    177,
    [115, 130],
    [2700, 3600],
    [120, 135],
    [55, 59],
    'ribeye'
  ),
  roasted(
    'tenderloin-half',
    'centre-cut tenderloin, 0.9–1.4 kg, 218 °C, 35–40 min',
    CHARTS,
    'fitted',
    218,
    [60, 70],
    [900, 1400],
    [35, 40],
    [55, 59],
    'fillet'
  ),
  roasted(
    'tenderloin-whole',
    'whole tenderloin, 1.8–2.7 kg, 218 °C, 45–60 min, to 63 °C',
    USDA,
    'held out',
    218,
    [70, 85],
    [1800, 2700],
    [45, 60],
    [57, 65],
    'fillet'
  ),
  roasted(
    'round-usda',
    'round or rump roast, 1.1–1.8 kg, 163 °C, 30–35 min a pound, to 63 °C',
    USDA,
    'held out',
    163,
    [95, 115],
    [1150, 1800],
    [75, 140],
    [60, 65],
    'rump'
  ),
  roasted(
    'rib-usda',
    'boneless rolled rib roast, 1.8–2.7 kg, 163 °C, 28–33 min a pound, to 63 °C',
    USDA,
    'fitted',
    163,
    [115, 135],
    [1800, 2700],
    [112, 198],
    [60, 65],
    'ribeye'
  ),
  {
    id: 'tri-tip',
    what: 'tri-tip, 0.7–0.9 kg, 218 °C, 30–40 min',
    source: CHARTS,
    use: 'held out',
    unit: '°C',
    seen: [55, 59],
    middleIs: '45 mm disc, 35 min',
    figure: (ease, c) => {
      const piece = steak(between(50, 40, ease), { cutId: 'tri-tip', weightG: 800 })
      const cooked = cook('roast', piece, { searS: 0, ovenC: 218, cover: 'bare' }, minutes(between(30, 40, ease)), c)
      return cooked.coreAt(cooked.off)
    }
  },
  {
    id: 'roast-rise',
    what: 'the charts’ standing: out at 57 °C, about 63 °C after 15–20 min (ribeye roast)',
    source: CHARTS,
    use: 'held out',
    unit: 'K',
    seen: [4, 8],
    middleIs: '113 mm',
    figure: (ease, c) => {
      const piece = log(between(122, 105, ease), 2250, { cutId: 'ribeye' })
      const settings = { searS: 0, ovenC: 177, cover: 'loose foil' } as const
      const long = cook('roast', piece, settings, minutes(240), c)
      return riseFrom(
        57,
        core => reaches(long, core),
        s => cook('roast', piece, settings, s, c)
      )
    }
  },

  skillet('fitted', 25, [12, 15]),
  skillet('held out', 19, [8, 11]),
  skillet('held out', 25, [12, 15], 'ribeye'),
  skillet('fitted', 25, [10, 13], 'fillet', { weightG: 150 }),
  skillet('held out', 19, [7, 9], 'fillet', { weightG: 115 }),
  grilled('fitted', 25, [11, 15], 'rump'),
  grilled('held out', 38, [22, 26], 'rump'),
  grilled('held out', 25, [11, 14], 'strip'),
  grilled('fitted', 19, [7, 10], 'strip'),
  grilled('held out', 19, [8, 10], 'ribeye', USDA),

  {
    id: 'strip-pan',
    what: 'strip said to be 38 mm (30–38), half an hour out, 5 min a side and the fat edge: reads 50–54 °C within 10–12 min',
    source: PRACTICE,
    use: 'fitted',
    unit: '°C',
    seen: [50, 54],
    middleIs: '34 mm, 11 min',
    figure: (ease, c) => {
      const piece = steak(between(38, 30, ease), { weightG: 450, startC: 10 })
      // In the pan's last seconds and the first minute off it a probe reads the same to a degree or two.
      const cooked = cook('pan sear', piece, { panC: 225, turning: 'once' }, minutes(between(10, 12, ease)), c)
      return cooked.coreAt(cooked.off + 60)
    }
  },
  {
    id: 'rib-steak-pull',
    what: 'rib steak 38–48 mm, 2 min a side twice, rack in the oven 5–10 min: pulled at 48–49 °C',
    source: PRACTICE,
    use: 'fitted',
    unit: '°C',
    seen: [47.5, 49.5],
    middleIs: '43 mm, 7½ min',
    figure: (ease, c) => {
      const cooked = ribSteak(ease, c)
      return cooked.coreAt(cooked.off)
    }
  },
  {
    id: 'rib-steak-rise',
    what: 'the same: rise read after 5 min',
    source: PRACTICE,
    use: 'held out',
    unit: 'K',
    seen: [3, 6],
    middleIs: '43 mm',
    figure: (ease, c) => {
      const cooked = ribSteak(ease, c)
      return cooked.coreAt(cooked.off + 300) - cooked.coreAt(cooked.off)
    }
  },
  {
    id: 'big-rib-first',
    what: 'bone-in rib steak, 1 kg, 44–52 mm, hard sear, oven 12–15 min: about 45 °C',
    source: PRACTICE,
    use: 'held out',
    unit: '°C',
    seen: [43, 47],
    middleIs: '48 mm, 13½ min',
    figure: (ease, c) => {
      const cooked = bigRib(ease, between(12, 15, ease), c)
      return cooked.coreAt(cooked.off)
    }
  },
  {
    id: 'big-rib-second',
    what: 'the same with 10 min more in the oven: 55–56 °C',
    source: PRACTICE,
    use: 'fitted',
    unit: '°C',
    seen: [54.5, 56.5],
    middleIs: '48 mm, 23½ min',
    figure: (ease, c) => {
      const cooked = bigRib(ease, between(22, 25, ease), c)
      return cooked.coreAt(cooked.off)
    }
  },
  {
    id: 'tenderloin-time',
    what: 'tenderloin roast, 550 g, seared on four sides, 190 °C: at 52 °C after 25–32 min',
    source: PRACTICE,
    use: 'fitted',
    unit: '°C',
    seen: [51, 53],
    middleIs: '61 mm, 28½ min',
    figure: (ease, c) => {
      const cooked = tenderloin(ease, c, between(25, 32, ease))
      return cooked.coreAt(cooked.off)
    }
  },
  {
    id: 'tenderloin-rise',
    what: 'the same, out at 52 °C: rise in the rest',
    source: PRACTICE,
    use: 'held out',
    unit: 'K',
    seen: [3, 8],
    middleIs: '61 mm',
    figure: (ease, c) => {
      const long = tenderloin(ease, c, 60)
      return riseFrom(
        52,
        core => reaches(long, core),
        s => tenderloin(ease, c, (s - TENDERLOIN.searS) / 60)
      )
    }
  },
  {
    id: 'tenderloin-large-rise',
    what: 'the whole centre, out near 48 °C for the same result: rise in the rest',
    source: PRACTICE,
    use: 'fitted',
    unit: 'K',
    seen: [4, 9],
    middleIs: '75 mm, 1.6 kg',
    figure: (ease, c) => {
      const piece = log(between(80, 70, ease), 1600)
      const long = cook('roast', piece, TENDERLOIN, minutes(90), c)
      return riseFrom(
        48,
        core => reaches(long, core),
        s => cook('roast', piece, TENDERLOIN, s - TENDERLOIN.searS, c)
      )
    }
  },
  {
    id: 'pastry-rise',
    what: 'pastry-wrapped fillet: out at 51.7 °C, rests to 54.4 °C',
    source: PRACTICE,
    use: 'held out',
    unit: 'K',
    seen: [1.7, 5],
    middleIs: '60 mm, 600 g',
    figure: (ease, c) => {
      const piece = log(between(64, 56, ease), 600, { startC: 10 })
      const settings = { ovenC: 210, pasteMm: 4, pastryMm: 3 }
      const long = cook('in pastry', piece, settings, minutes(120), c)
      return riseFrom(
        51.7,
        core => reaches(long, core),
        s => cook('in pastry', piece, settings, s, c)
      )
    }
  },
  {
    id: 'hanger',
    what: 'hanger, 250 g, 200 °C pan, turned every 30 s: medium rare within a few minutes (3–6)',
    source: PRACTICE,
    use: 'held out',
    unit: '°C',
    seen: [52, 57],
    middleIs: '20 mm, 4½ min',
    figure: (ease, c) => {
      const piece = steak(between(22, 18, ease), { cutId: 'hanger', weightG: 250, startC: 10 })
      return cook('pan sear', piece, { panC: 200, turning: 'every 30 s' }, minutes(between(3, 6, ease)), c).run.peak.core
    }
  },
  {
    id: 'sirloin-hot',
    what: 'sirloin, 25 mm, very hot pan, 2–3 min a side: rare to medium rare after the rest',
    source: PRACTICE,
    use: 'fitted',
    unit: '°C',
    seen: [48, 57],
    middleIs: '5 min',
    figure: (ease, c) =>
      cook('pan sear', steak(25, { startC: 12 }), { panC: 250, turning: 'once' }, minutes(between(4, 6, ease)), c).run.peak.core
  },
  {
    id: 'fillet-grill',
    what: 'fillet steak, 170 g, grill, quarter turn at 2 min, about 7 min in all: medium rare',
    source: PRACTICE,
    use: 'held out',
    unit: '°C',
    seen: [52, 57],
    middleIs: '36 mm, 7 min',
    figure: (ease, c) =>
      cook(
        'grill',
        steak(between(40, 32, ease), { cutId: 'fillet', weightG: 170, startC: 12 }),
        { grateC: between(260, 300, ease), directSpells: 2, covered: true, lidC: 200 },
        minutes(between(6.5, 8, ease)),
        c
      ).run.peak.core
  },
  {
    id: 'cap-portions',
    what: 'top-sirloin cap portions, seared, then oven 3–4 min: medium rare',
    source: PRACTICE,
    use: 'fitted',
    unit: '°C',
    seen: [52, 58],
    middleIs: '32 mm',
    figure: (ease, c) =>
      cook(
        'sear then oven',
        steak(between(36, 28, ease), { cutId: 'rump-cap', weightG: 250, startC: 12 }),
        { searS: 360, searSpells: 4, fatEdgeS: 60, ovenC: 200 },
        minutes(between(3, 4, ease)),
        c
      ).run.peak.core
  },
  {
    id: 'cap-portions-longer',
    what: 'the same, oven about 5 min: medium',
    source: PRACTICE,
    use: 'held out',
    unit: '°C',
    seen: [57, 63],
    middleIs: '32 mm',
    figure: (ease, c) =>
      cook(
        'sear then oven',
        steak(between(36, 28, ease), { cutId: 'rump-cap', weightG: 250, startC: 12 }),
        { searS: 360, searSpells: 4, fatEdgeS: 60, ovenC: 200 },
        minutes(between(4.5, 6, ease)),
        c
      ).run.peak.core
  },
  {
    id: 'cap-bath',
    what: 'rump cap portions, 30–35 mm, bath of 57 °C, 1 h, then a fast hard sear: pink edge to edge',
    source: PRACTICE,
    use: 'held out',
    unit: '°C',
    seen: [54, 58],
    middleIs: '32 mm',
    figure: (ease, c) =>
      cook('bath then sear', steak(between(35, 30, ease), { cutId: 'rump-cap' }), { bathC: 57, fatEdgeS: 60 }, minutes(60), c).run.peak.core
  },
  {
    id: 'pot-falls',
    what: 'pot, 4 parts boiling and 1 cold, 400 g, lid on: about 70 °C after 30 min',
    source: PRACTICE,
    use: 'fitted',
    unit: '°C',
    seen: [68, 73],
    middleIs: '30 min',
    figure: (_, c) => {
      const { run: outcome, off } = cook('pot', steak(40, { weightG: 400 }), {}, minutes(30), c)
      const at = outcome.history.time.findIndex(t => t >= off)
      return outcome.history.plate[at] ?? NaN
    }
  },
  {
    id: 'pot-pink',
    what: 'the same: the centre pink after cooling',
    source: PRACTICE,
    use: 'held out',
    unit: '°C',
    seen: [50, 62],
    middleIs: '40 mm',
    figure: (ease, c) =>
      cook('pot', steak(between(46, 34, ease), { weightG: 400, startC: 8 }), { cover: 'fridge' }, minutes(30), c).run.peak.core
  }
]
