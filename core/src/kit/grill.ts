/**
 * A grill with a hot zone over the coals and a mild one beside them, as faces.
 */
import type { Constants } from '#core/heat/constants'
import type { AirFace, PartlyFace } from '#core/heat/faces'
import { vapourOf, type Room } from './air'
import { WARM_UP_S } from './warmUp'

export interface Grill {
  readonly id: string
  readonly name: string
  readonly lid: boolean
  readonly fuel?: GrillFuel
  /** Whether there is room beside the fire; taken as given unless said. */
  readonly twoZones?: boolean
  /** Of its grate, mm: a round one's diameter, or the longer side of one with corners, which has the other too. */
  readonly acrossMm?: number
  readonly deepMm?: number
}

/** Of the time that is given it: who calls has some minutes to spare. */
const READY = 0.9
/** A fire that was lit so long ago, °C at what it is told by: coals catch one from the other, and are all ash when they are ready; estimate. */
export const grillAfter = (setC: number, roomC: number, fuel: GrillFuel, seconds: number): number =>
  roomC + (setC - roomC) * Math.min(1, Math.max(0, seconds) / (READY * WARM_UP_S[fuel]))

export const GRILL_FUELS = ['charcoal', 'gas'] as const
export type GrillFuel = (typeof GRILL_FUELS)[number]

export const GRATE_SIZES_MM = [200, 2000] as const
/** Where nothing is said of it: a middling kettle's; from memory, mm. */
export const USUAL_ACROSS_MM = 540
export const GRILLS: readonly Grill[] = [
  { id: 'kettle', name: 'Kettle grill on deck', lid: true, fuel: 'charcoal', acrossMm: USUAL_ACROSS_MM }
]

/** What lies on the grate over a bed of coals that leaves a rim to flee to; common practice, no source. */
const OVER_THE_FIRE = 0.7
/** Round and long pieces with a finger between them do not pave it; common practice, no source. */
const PAVED = 0.75

/** Half of the grate has coals under it, half has none. */
const BESIDE_THE_FIRE = 0.5

type Grate = Pick<Grill, 'acrossMm' | 'deepMm'>
const grateAreaM2 = ({ acrossMm = USUAL_ACROSS_MM, deepMm }: Grate): number =>
  1e-6 * (deepMm === undefined ? (Math.PI / 4) * acrossMm ** 2 : acrossMm * deepMm)
/** Room for meat over the fire, m². */
export const fireAreaM2 = (grate: Grate): number => OVER_THE_FIRE * PAVED * grateAreaM2(grate)
/** And beside it, where that is but under one half, m². */
export const besideFireAreaM2 = (grate: Grate): number => BESIDE_THE_FIRE * PAVED * grateAreaM2(grate)

/** °C at the grate, as judged by hand or by a thermometer there; common practice, no source. */
export const GRATE_LIMITS_C = [120, 400] as const
export const LID_LIMITS_C = [80, 260] as const

/** What burns carries water of its own, gas much more than charcoal, kg/m³; estimates. */
const FUEL_VAPOUR: Record<GrillFuel, number> = { charcoal: 0.03, gas: 0.07 }
const vapourOver = ({ fuel = 'charcoal' }: Pick<Grill, 'fuel'>): number => FUEL_VAPOUR[fuel]

/** The face toward the coals: part of it on the bars, the rest in their heat. */
export function overCoals(grateC: number, c: Constants, grill: Pick<Grill, 'fuel'> = {}): PartlyFace {
  return {
    kind: 'partly',
    share: c.barShare,
    touching: { kind: 'fixed', at: grateC, conductance: c.panContact },
    open: {
      kind: 'air',
      air: grateC,
      walls: grateC,
      convection: c.coalConvection,
      emissivity: c.meatEmissivity,
      vapour: vapourOver(grill)
    }
  }
}

/** The face away from the coals with the lid off: warm air drifting past, the sky above. */
export const awayFromCoals = (grateC: number, room: Room, c: Constants): AirFace => ({
  kind: 'air',
  air: room.temperatureC + AWAY_SHARE * (grateC - room.temperatureC),
  walls: room.temperatureC,
  convection: c.roomConvection,
  emissivity: c.meatEmissivity,
  vapour: vapourOf(room)
})
/** How much of the coals' heat is still in the air above the meat; estimate. */
const AWAY_SHARE = 0.3

/**
 * The rim of a piece over the coals: what rises between the bars mixes with the air above as it sweeps up along it, and
 * a wall that stands over a plain sees that plain with half of its view (the other half is what is above).
 */
export function besideRim(grateC: number, up: AirFace, c: Constants): AirFace {
  const fourth = (celsius: number): number => (celsius + KELVIN) ** 4
  const walls = ((fourth(grateC) + fourth(up.walls)) / 2) ** 0.25 - KELVIN
  return { ...up, air: (grateC + up.air) / 2, walls, convection: (c.coalConvection + up.convection) / 2 }
}
const KELVIN = 273.15

/** Anywhere under a closed lid beside the coals. */
export const underLid = (lidC: number, c: Constants, grill: Pick<Grill, 'fuel'> = {}): AirFace => ({
  kind: 'air',
  air: lidC,
  walls: lidC,
  convection: c.lidConvection,
  emissivity: c.meatEmissivity,
  vapour: vapourOver(grill)
})
