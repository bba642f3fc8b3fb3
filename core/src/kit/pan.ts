/**
 * A pan and the ring under it as the solver's lump and burner.
 */
import type { Burner, Lump } from '#core/heat/lump'

export type PanMetal = 'cast iron' | 'carbon steel' | 'steel and aluminium' | 'aluminium'

/** Density kg/m³ and specific heat J/(kg·K) near 150 °C; handbook values, from memory. */
const METALS: Record<PanMetal, { readonly density: number; readonly heat: number }> = {
  'cast iron': { density: 7200, heat: 500 },
  'carbon steel': { density: 7850, heat: 510 },
  'steel and aluminium': { density: 4000, heat: 690 },
  aluminium: { density: 2700, heat: 930 }
}

export interface Pan {
  readonly id: string
  readonly name: string
  readonly metal: PanMetal
  /** Of the flat floor, mm. */
  readonly diameterMm: number
  /** Of the floor, mm. */
  readonly floorMm: number
}

export interface Ring {
  readonly id: string
  readonly name: string
  /** Most that reaches the pan, W: about 0.45 of a gas ring's rating, 0.85 of an induction ring's (common practice, no source). */
  readonly powerW: number
}

export const PANS: readonly Pan[] = [
  { id: 'cast-iron-28', name: 'Cast-iron pan, 28 cm', metal: 'cast iron', diameterMm: 260, floorMm: 5 },
  { id: 'cast-iron-24', name: 'Cast-iron pan, 24 cm', metal: 'cast iron', diameterMm: 215, floorMm: 4.5 },
  { id: 'carbon-steel-28', name: 'Carbon-steel pan, 28 cm', metal: 'carbon steel', diameterMm: 230, floorMm: 2.5 },
  { id: 'clad-26', name: 'Clad pan, 26 cm', metal: 'steel and aluminium', diameterMm: 220, floorMm: 3 },
  { id: 'thin-26', name: 'Thin pan, 26 cm', metal: 'aluminium', diameterMm: 200, floorMm: 2.5 }
]

export const RINGS: readonly Ring[] = [
  { id: 'large-ring', name: 'Large ring', powerW: 1500 },
  { id: 'small-ring', name: 'Small ring', powerW: 800 }
]

export const panById = (id: string): Pan | undefined => PANS.find(p => p.id === id)
export const ringById = (id: string): Ring | undefined => RINGS.find(r => r.id === id)

export const floorAreaM2 = (pan: Pan): number => Math.PI * (pan.diameterMm / 2000) ** 2

/** Low walls carry about a third of a pan's metal, and half of that keeps up with the floor; estimate. */
const WALL_SHARE = 1.15

/** From the top of the floor and the walls to the room, convection and radiation near 200 °C, W/(m²·K); textbook range 15–25. */
export const PAN_LOSS = 20

/** A cook turns the knob from steady to full over about this many degrees; estimate. */
const KNOB_RANGE_KELVIN = 40

export function panLump(pan: Pan, roomC: number, startC: number): Lump {
  const metal = METALS[pan.metal]
  return {
    heatCapacity: floorAreaM2(pan) * (pan.floorMm / 1000) * metal.density * metal.heat * WALL_SHARE,
    loss: panLoss(pan),
    openWater: 0,
    room: roomC,
    start: startC
  }
}

export function burnerHolding(pan: Pan, ring: Ring, holdC: number, roomC: number): Burner {
  const steady = panLoss(pan) * (holdC - roomC)
  return { hold: holdC, power: ring.powerW, response: Math.max(1, ring.powerW - steady) / KNOB_RANGE_KELVIN }
}

export const panLoss = (pan: Pan): number => floorAreaM2(pan) * WALL_SHARE * PAN_LOSS

/** Most of its power a cook gives a ring while a pan heats: "medium-high". */
const MEDIUM_HIGH = 0.75

/** Hottest the empty pan gets on this ring turned right up, °C. */
export const hottestPan = (pan: Pan, ring: Ring, roomC: number): number => roomC + ring.powerW / panLoss(pan)

/**
 * Time for the empty pan to reach a temperature over a medium-high ring, s; null
 * where the ring cannot bring it there. The lump's exponential, exactly.
 */
export function preheatSeconds(pan: Pan, ring: Ring, targetC: number, roomC: number): number | null {
  const { heatCapacity, loss } = panLump(pan, roomC, roomC)
  const climb = [MEDIUM_HIGH, 1].map(share => (share * ring.powerW) / loss).find(rise => rise > 1.05 * (targetC - roomC))
  if (climb === undefined) return null
  return -(heatCapacity / loss) * Math.log(1 - (targetC - roomC) / climb)
}
