/**
 * A pan and the ring under it as the solver's lump and burner.
 */
import type { Constants } from '#core/heat/constants'
import type { Burner, Lump } from '#core/heat/lump'

export type PanMetal = 'cast iron' | 'carbon steel' | 'steel and aluminium' | 'aluminium'

/** Density kg/m³ and specific heat J/(kg·K) near 150 °C; handbook values, from memory. */
const METALS: Record<PanMetal, { readonly density: number; readonly heat: number }> = {
  'cast iron': { density: 7200, heat: 500 },
  'carbon steel': { density: 7850, heat: 510 },
  'steel and aluminium': { density: 4000, heat: 690 },
  aluminium: { density: 2700, heat: 930 }
}

/**
 * Heat that a thing gives to meat, as a share of what is usual for its kind: as its cook
 * says, or as finished cooks have taught. 1 where nothing is said.
 */
export type Gives = number
export const GIVES_LIMITS = [0.4, 2.5] as const

/** From meat to its metal, W/(m²·K). */
export const contactWith = ({ gives = 1 }: Pick<Pan, 'gives'>, { panContact }: Constants): number => gives * panContact

export interface Pan {
  readonly id: string
  readonly name: string
  readonly metal: PanMetal
  /** Of the flat floor, mm. */
  readonly diameterMm: number
  /** Of the floor, mm. */
  readonly floorMm: number
  readonly gives?: Gives
}

export const PAN_METALS = Object.keys(METALS) as PanMetal[]

export interface Ring {
  readonly id: string
  readonly name: string
  /** Most that reaches the pan, W: about 0.45 of a gas ring's rating, 0.85 of an induction ring's (common practice, no source). */
  readonly powerW: number
  /** What heats it; a ring that does not say is gas. */
  readonly heat?: RingHeat
}

export const RING_HEATS = ['gas', 'induction', 'electric'] as const
export type RingHeat = (typeof RING_HEATS)[number]

/** Share of a ring's rating that reaches the pan (common practice, no source). */
const REACHES_PAN: Record<RingHeat, number> = { gas: 0.45, induction: 0.85, electric: 0.7 }

/** @param ratedW as printed on it */
export const powerAtPan = (heat: RingHeat, ratedW: number): number => Math.round(REACHES_PAN[heat] * ratedW)
export const ratedPower = ({ powerW, heat = 'gas' }: Ring): number => Math.round(powerW / REACHES_PAN[heat])

/** What may be typed for a pan and a ring of one's own. */
export const PAN_SIZES = { diameterMm: [100, 450], floorMm: [0.8, 20], massKg: [0.3, 12] } as const
export const RATED_LIMITS_W = [300, 8000] as const

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

/** The floor that a pan of this mass has: about three quarters of its metal lies there (estimate). */
export const floorFromMass = (metal: PanMetal, diameterMm: number, massKg: number): number =>
  (1000 * FLOOR_SHARE * massKg) / (METALS[metal].density * Math.PI * (diameterMm / 2000) ** 2)
export const massFromFloor = ({ metal, diameterMm, floorMm }: Pick<Pan, 'metal' | 'diameterMm' | 'floorMm'>): number =>
  (METALS[metal].density * Math.PI * (diameterMm / 2000) ** 2 * floorMm) / (1000 * FLOOR_SHARE)
const FLOOR_SHARE = 0.75

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

/** The empty pan after some time over a ring at a share of its power, from the room's own temperature, °C. */
export function panAfter(pan: Pan, ring: Ring, seconds: number, roomC: number, share: number = MEDIUM_HIGH): number {
  const { heatCapacity, loss } = panLump(pan, roomC, roomC)
  return roomC + ((share * ring.powerW) / loss) * (1 - Math.exp((-loss * seconds) / heatCapacity))
}

/** How to judge a dry pan without a thermometer; common practice, no source, each ± 15 °C. */
export const PAN_SIGNS: readonly { readonly celsius: number; readonly sign: string }[] = [
  { celsius: 120, sign: 'a drop of water hisses and is gone in two seconds' },
  { celsius: 160, sign: 'a drop breaks up and darts; butter foams and browns' },
  { celsius: 195, sign: 'a drop gathers into a bead and skates about' },
  { celsius: 215, sign: 'a film of oil runs like water and shimmers; a pinch of flour is brown in a quarter of a minute' },
  { celsius: 235, sign: 'a thread of smoke from most oils; meat hisses loudly and does not stop' },
  { celsius: 270, sign: 'steady smoke: too hot for any oil in the pan' }
]
