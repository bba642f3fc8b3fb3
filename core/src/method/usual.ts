/**
 * How each method is usually set: what the planner starts from and a cook then changes.
 * Common practice, no source.
 */
import { BATHS, POTS } from '#core/kit/bath'
import { GRILLS } from '#core/kit/grill'
import type { KitInUse } from '#core/kit/kit'
import { OVENS } from '#core/kit/oven'
import { PANS, RINGS } from '#core/kit/pan'
import type { Piece } from '#core/meat/piece'
import type { Resting } from './method'
import type { SettingsOf } from './methods'
import { onTheFloor, type InAPan, type Searing } from './parts'

/** One of everything. */
export type FullKit = { readonly [K in keyof KitInUse]: NonNullable<KitInUse[K]> }

export const USUAL_KIT: FullKit = { pan: PANS[0], ring: RINGS[0], oven: OVENS[0], grill: GRILLS[0], pot: POTS[0], bath: BATHS[0] }

/** What the kit lacks is taken as usual: whether a method may be planned without it is asked elsewhere. */
export function wholeKit(own: KitInUse | null): FullKit {
  if (own === null) return USUAL_KIT
  const { pan, ring, oven, grill, pot, bath } = own
  return {
    pan,
    ring,
    oven: oven ?? USUAL_KIT.oven,
    grill: grill ?? USUAL_KIT.grill,
    pot: pot ?? USUAL_KIT.pot,
    bath: bath ?? USUAL_KIT.bath
  }
}

const RESTING: Resting = { cover: 'bare', rest: { kind: 'to the peak' }, heldS: 0, coldS: 0, rewarmS: 0, cheese: false }

const bathAt = (celsius: number): number => Math.round(2 * celsius) / 2
/** The short hot bath stands this far above the target, K. */
const HOT_BY = 18

/** A steak of a usual thickness. */
const ANY_PIECE: Sized = { thicknessMm: 25, lengthMm: 160, weightG: 300, count: 1 }

/** What of a piece its usual settings go by. */
export type Sized = Pick<Piece, 'thicknessMm' | 'lengthMm' | 'weightG' | 'count' | 'form' | 'cookedC'>

const toNearest = (step: number, value: number): number => step * Math.round(value / step)
const between = (low: number, high: number, value: number): number => Math.min(high, Math.max(low, value))
/**
 * The thicker, the gentler, and in an oven the more meat, whose own vapour makes it moist and fast: an oven that lets a
 * joint climb by 8 K at most, a pan that still browns a face within a
 * minute, which lets a steak of 40 mm climb by 9; from runs of this engine over pieces of 25 to 150 mm. A hotter
 * one is the cook's to choose.
 */
const panFor = ({ thicknessMm }: Sized): number => toNearest(5, between(200, 215, 215 - 3 * (thicknessMm - 30)))
function ovenFor({ thicknessMm, lengthMm, weightG, count }: Sized): number {
  // As short as it is thick it is heated from its ends too, and its sear is more of it.
  const gentlest = 160 - between(0, 10, 40 * (thicknessMm / lengthMm - 0.45))
  const meat = 20 * Math.max(0, (count * weightG) / 1000 - 0.7)
  return toNearest(10, between(gentlest, 180, 180 - (thicknessMm - 68) - meat)) - (count > 1 ? 10 : 0)
}
/**
 * Raw and cold, a face takes two minutes to brown: a joint has four, which are eight minutes, or half of that where so
 * much would be most of its cooking.
 */
const allRoundS = ({ thicknessMm }: Sized): number => between(240, 480, 240 + 12 * (thicknessMm - 50))

/**
 * @param targetC peak wanted at the core, °C
 * @param piece any, where it is not said
 */
export function usualSettings(kit: FullKit, targetC: number, piece: Sized = ANY_PIECE): SettingsOf {
  const pan = (panC: number): InAPan & Resting => ({
    pan: kit.pan,
    ring: kit.ring,
    panC,
    turning: 'once',
    fatEdgeS: 0,
    basted: false,
    ...RESTING
  })
  // Of a joint longer than its pan each part is given as long.
  const parts = piece.form === 'roast' ? onTheFloor(piece, kit.pan) : 1
  const sear = (searS: number, panC: number): Searing & Resting => ({ ...pan(panC), searS: toNearest(10, searS / parts) })
  const first = sear(piece.form === 'roast' ? allRoundS(piece) : 240, 215)
  const zones = { ...RESTING, grill: kit.grill, lidC: 150, order: 'direct first', turning: 'once', covered: false } as const
  // At the target itself, whatever the method wants it for; what was cooked before is warmed in water that cooks it no further.
  const bath = { machine: kit.bath, bathC: bathAt(Math.max(targetC, piece.cookedC ?? targetC)), holdS: 0, coolS: 0 }
  return {
    'pan sear': { ...pan(panFor(piece)), turning: 'every 60 s' },
    'sear then oven': { ...first, turning: 'twice a side', oven: kit.oven, ovenC: 190, standing: 'rack' },
    'oven then sear': { ...sear(120, 230), oven: kit.oven, ovenC: 120 },
    roast: { ...first, oven: kit.oven, ovenC: ovenFor(piece), cover: 'loose foil' },
    grill: { ...zones, grateC: 260, directS: 0, turning: 'twice a side' },
    'two-zone grill': { ...zones, grateC: 300, directS: 180 },
    'bath then sear': { ...sear(90, 240), ...bath },
    'sear then bath': { ...sear(120, 230), ...bath },
    'short hot bath': { ...sear(120, 230), ...bath, bathC: bathAt(targetC + HOT_BY) },
    pot: { ...sear(120, 230), pot: kit.pot, boilingParts: 4, coldParts: 1, coldC: 12, lid: true, topUps: [] },
    // Rested longer its crust goes soft; common practice, no source.
    'in pastry': { ...sear(0, 215), oven: kit.oven, ovenC: 210, pasteMm: 5, pastryMm: 3, rest: { kind: 'clock', seconds: 600 } }
  }
}
