/**
 * A grill with a hot zone over the coals and a mild one beside them, as faces.
 */
import type { Constants } from '#core/heat/constants'
import type { AirFace, PartlyFace } from '#core/heat/faces'
import { vapourOf, type Room } from './air'

export interface Grill {
  readonly id: string
  readonly name: string
  readonly lid: boolean
}

export const GRILLS: readonly Grill[] = [{ id: 'kettle', name: 'Kettle grill on deck', lid: true }]

/** °C at the grate, as judged by hand or by a thermometer there; common practice, no source. */
export const GRATE_LIMITS_C = [120, 400] as const
export const LID_LIMITS_C = [80, 260] as const

/** Burnt gas carries water of its own, kg/m³; estimate. */
const SMOKE_VAPOUR = 0.03

/** The face toward the coals: part of it on the bars, the rest in their heat. */
export function overCoals(grateC: number, c: Constants): PartlyFace {
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
      vapour: SMOKE_VAPOUR
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

/** Anywhere under a closed lid beside the coals. */
export const underLid = (lidC: number, c: Constants): AirFace => ({
  kind: 'air',
  air: lidC,
  walls: lidC,
  convection: c.lidConvection,
  emissivity: c.meatEmissivity,
  vapour: SMOKE_VAPOUR
})
