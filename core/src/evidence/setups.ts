/** The set-ups that several cases share: roasts by the chart, skillets, grills, baths, a belt grill, and cooks watched at work. */
import type { Constants } from '#core/heat/constants'
import { between as facesBetween, type Face } from '#core/heat/faces'
import { DEFAULT_RESOLUTION, cylinderGrid, roundSection, slabGrid } from '#core/heat/grid'
import { KEEP_ENDS, run, type Stage } from '#core/heat/program'
import { meatMaterial } from '#core/heat/properties'
import { KITCHEN, openAir } from '#core/kit/air'
import { CUTS } from '#core/meat/cuts'
import type { Piece } from '#core/meat/piece'
import type { SettingsOf } from '#core/method/methods'
import { carryover, cook, log, reaches, steak } from './bench'
import { between, type Case } from './case'

export const PRACTICE = 'common practice, no source'
export const CHARTS = 'the trade’s cookery charts (from memory)'
export const USDA = 'USDA FSIS, approximate beef cooking times (from memory)'
export const minutes = (m: number): number => 60 * m
const STRIP = CUTS[0].composition

type Use = Case['use']

/** Roasted from the fridge for a time by the chart: what the core reads when it is taken out. */
export function roasted(
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
export const skillet = (use: Use, mm: number, time: readonly [number, number], cutId = 'strip', face?: Partial<Piece>): Case => ({
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
export const grilled = (
  use: Use,
  mm: number,
  time: readonly [number, number],
  cutId: string,
  source = CHARTS,
  face?: Partial<Piece>
): Case => ({
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
      { grateC: between(190, 230, ease), turning: 'twice a side', covered: true, lidC: 170 },
      minutes(between(time[0], time[1], ease)),
      c
    ).run.peak.core
})

/** Bath of 55 °C, both faces; time to half a degree below it. */
export const baldwin = (use: Use, mm: number, table: number, shape: 'slab' | 'cylinder' = 'slab'): Case => ({
  id: `bath-${shape}-${mm}`,
  what: `${shape} of ${mm} mm from 5 °C to 0.5 °C below a 55 °C bath; at or below the table, by 35 % at most`,
  source: 'D. E. Baldwin, Int. J. Gastronomy and Food Science 1 (2012), cautious table (from memory)',
  use,
  unit: 'min',
  seen: [0.65 * table, table],
  middleIs: `${mm} mm`,
  figure: (_, c) => {
    const bath: Face = { kind: 'fixed', at: 55, conductance: c.bathConductance }
    const grid = shape === 'slab' ? slabGrid(mm / 1000) : cylinderGrid(roundSection(mm / 2000))
    const faces =
      shape === 'slab' ? facesBetween(bath, bath) : ({ first: { kind: 'closed' }, second: { kind: 'closed' }, side: bath } as const)
    const stage: Stage = { name: 'bath', end: { coreReaches: 54.5, atMost: minutes(600) }, faces }
    const start = { temperature: 5, film: 0.06, boiling: 100 }
    const outcome = run({ grid, materials: [meatMaterial(STRIP, c)], start, constants: c }, [stage], KEEP_ENDS)
    return outcome.stageEnds[0] / 60
  }
})

/** Muscle in its bag in a bath: pieces of what thickness, for how long; from what gives the least loss to what gives the most. */
interface Bagged {
  readonly id: string
  readonly source: string
  readonly what: string
  readonly mm: readonly [number, number]
  readonly min: readonly [number, number]
}
export const VAUDAGNA: Bagged = {
  id: 'vaudagna',
  source: 'S. R. Vaudagna and others, Int. J. Food Science and Technology 37 (2002) (from memory)',
  what: 'pieces of 30–50 mm for 90–360 min',
  mm: [50, 30],
  min: [90, 360]
}
export const GARCIA_SEGOVIA: Bagged = {
  id: 'garcia-segovia',
  source: 'P. García-Segovia, A. Andrés-Bello and J. Martínez-Monzó, J. Food Engineering 80 (2007) (from memory)',
  what: 'slices of 20–25 mm for an hour',
  mm: [25, 20],
  min: [60, 60]
}
/** What it has lost in the bag, nothing of it by drying. */
export const bagged = (use: Use, bathC: number, { id, source, what, mm, min }: Bagged, seen: readonly [number, number]): Case => ({
  id: `bag-loss-${id}-${bathC}`,
  what: `${what} in a bag at ${bathC} °C: loss`,
  source,
  use,
  unit: '%',
  seen,
  middleIs: `${(mm[0] + mm[1]) / 2} mm, ${(min[0] + min[1]) / 2} min`,
  figure: (ease, c) => {
    const bath: Face = { kind: 'fixed', at: bathC, conductance: c.bathConductance }
    const stage: Stage = { name: 'bath', end: { after: minutes(between(...min, ease)) }, faces: facesBetween(bath, bath) }
    const start = { temperature: 5, film: 0.06, boiling: 100 }
    const grid = slabGrid(between(...mm, ease) / 1000)
    return 100 * run({ grid, materials: [meatMaterial(STRIP, c)], start, constants: c }, [stage], KEEP_ENDS).loss
  }
})

const PLATEN_C = 163
export function beltGrill(c: Constants): ReturnType<typeof run> {
  // Platens of so much metal that the meat does not cool them; juice boils on them as in a pan.
  const platen: Face = { kind: 'metal', lump: 0, contact: c.panContact }
  const platens = { heatCapacity: 1e8, loss: 0, openWater: 0, room: 22, start: PLATEN_C }
  const room = openAir(KITCHEN, c)
  const stages: Stage[] = [
    { name: 'belt', end: { after: 342 }, faces: facesBetween(platen, platen) },
    { name: 'rest', end: { after: 600 }, faces: facesBetween(room, room) }
  ]
  const start = { temperature: 4, film: 0.06, boiling: 100 }
  const grid = slabGrid(0.0216, DEFAULT_RESOLUTION)
  return run({ grid, materials: [meatMaterial(STRIP, c)], start, lumps: [platens], constants: c }, stages, KEEP_ENDS)
}
export const WHEELER = 'Wheeler, Shackelford and Koohmaraie, J. Animal Science (1998) (from memory)'

/** A thick rib steak: two minutes a side twice, then a rack in a 200 °C oven. */
export const ribSteak = (ease: number, c: Constants): ReturnType<typeof cook> =>
  cook(
    'sear then oven',
    steak(between(48, 38, ease), { cutId: 'ribeye', startC: 12 }),
    { searS: 480, turning: 'twice a side', ovenC: 200 },
    minutes(between(5, 10, ease)),
    c
  )

/** A bone-in rib steak of a kilogram, seared all round with butter; the bone counts as meat here. */
export const bigRib = (ease: number, ovenMin: number, c: Constants): ReturnType<typeof cook> =>
  cook(
    'sear then oven',
    steak(between(52, 44, ease), { cutId: 'ribeye', weightG: 1000, startC: 12 }),
    { searS: 480, turning: 'twice a side', fatEdgeS: 90, basted: true, ovenC: 200 },
    minutes(ovenMin),
    c
  )

export const TENDERLOIN = { searS: 240, ovenC: 190, cover: 'loose foil' } as const
export const tenderloin = (ease: number, c: Constants, ovenMin: number, grams = 550): ReturnType<typeof cook> =>
  cook('roast', log(between(64, 58, ease), grams), TENDERLOIN, minutes(ovenMin), c)

/** The same cook carried on until the core reads what it was taken out at: its rise from there. */
export function riseFrom(pull: number, timeOf: (core: number) => number, cookFor: (ovenS: number) => ReturnType<typeof cook>): number {
  return carryover(cookFor(timeOf(pull)))
}

/** What a log taken out at a core temperature reads once it has rested for so long, s. */
function restedReading(piece: Piece, settings: Partial<SettingsOf['roast']>, c: Constants, restS: number): (pull: number) => number {
  const long = cook('roast', piece, settings, minutes(120), c)
  return pull => {
    const cooked = cook('roast', piece, settings, reaches(long, pull) - (settings.searS ?? 0), c)
    return cooked.coreAt(cooked.off + restS)
  }
}

/** How much sooner a large tenderloin comes out so as to read, when both are carved, what a piece of 550 g out at 52 °C does, K. */
export function sooner(acrossMm: number, grams: number, restS: number, c: Constants): number {
  const small = restedReading(log(61, 550), TENDERLOIN, c, restS)(OUT_AT)
  const large = restedReading(log(acrossMm, grams), TENDERLOIN, c, restS)
  const [early, late] = [OUT_AT - 6, OUT_AT].map(large)
  return (6 * (late - small)) / (late - early)
}
const OUT_AT = 52

/** Top-sirloin cap portions: seared, the fat edge too, then so many minutes in a 200 °C oven. */
export const capPortions = (ease: number, ovenMin: number, c: Constants): ReturnType<typeof cook> =>
  cook(
    'sear then oven',
    steak(between(36, 28, ease), { cutId: 'rump-cap', weightG: 250, startC: 12 }),
    { searS: 360, turning: 'twice a side', fatEdgeS: 60, ovenC: 200 },
    minutes(ovenMin),
    c
  )
