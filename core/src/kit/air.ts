/**
 * The airs and boards a piece meets in a kitchen, as faces for the solver.
 */
import type { Constants } from '#core/heat/constants'
import type { AirFace, FixedFace } from '#core/heat/faces'
import { saturatedVapour } from '#core/heat/vapour'

export interface Room {
  readonly temperatureC: number
  /** Relative humidity, 0–1. */
  readonly humidity: number
  readonly altitudeM: number
}

export const KITCHEN: Room = { temperatureC: 22, humidity: 0.5, altitudeM: 0 }

/** Water vapour in the room's air, kg/m³. */
export const vapourOf = (room: Room): number => room.humidity * saturatedVapour(room.temperatureC)

/** Half the view from over a pan is of what is as warm as that air, half of the room; estimate. */
const SEES_PLUME = 0.5

/** The upper face of a piece in a pan: the pan's own air rises past it. */
export const overPan = (room: Room, panC: number, c: Constants): AirFace => ({
  kind: 'air',
  air: room.temperatureC + c.panPlume * (panC - room.temperatureC),
  walls: room.temperatureC + SEES_PLUME * c.panPlume * (panC - room.temperatureC),
  convection: c.roomConvection,
  emissivity: c.meatEmissivity,
  vapour: vapourOf(room)
})

/** Bare in the room. */
export const openAir = (room: Room, c: Constants): AirFace => ({
  kind: 'air',
  air: room.temperatureC,
  walls: room.temperatureC,
  convection: c.restConvection,
  emissivity: c.meatEmissivity,
  vapour: vapourOf(room)
})

/** Between meat and foil the air is warm and moist and radiation comes mostly back; estimates. */
const UNDER_FOIL = { warmerBy: 15, emissivity: 0.25, vapour: 0.035 } as const

/** Tucked in all round the air is as warm as the meat's outside soon is, and full of its steam; estimates. */
const TUCKED_IN = { warmerBy: 25, emissivity: 0.2, vapour: 0.075 } as const

export function underFoil(room: Room, c: Constants, tucked = false): AirFace {
  const { warmerBy, emissivity, vapour } = tucked ? TUCKED_IN : UNDER_FOIL
  const air = room.temperatureC + warmerBy
  return { kind: 'air', air, walls: air, convection: c.foilConvection, emissivity, vapour }
}

/** Wood under a resting piece warms half-way to it; estimate. */
const BOARD_WARMED_BY = 10

export const onBoard = (room: Room, c: Constants): FixedFace => ({
  kind: 'fixed',
  at: room.temperatureC + BOARD_WARMED_BY,
  conductance: c.boardContact
})

/** Of an oven that only keeps warm: its lowest mark, and as hot as food held warm is to stand; common practice, no source. */
export const HOLDING_C = 60
/** Under foil in it the air is nearly as damp as it can be: bare, the piece would cool by what it gives off; estimate. */
const HELD_HUMIDITY = 0.85

/** Under foil in an oven at 60 °C. */
export const keptWarm = (c: Constants): AirFace => ({
  kind: 'air',
  air: HOLDING_C,
  walls: HOLDING_C,
  convection: c.foilConvection,
  emissivity: c.meatEmissivity,
  vapour: HELD_HUMIDITY * saturatedVapour(HOLDING_C)
})
