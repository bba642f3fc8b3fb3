/**
 * Ovens as the air that a piece meets in them.
 */
import type { Constants } from '#core/heat/constants'
import type { AirFace } from '#core/heat/faces'
import { naturalConvection } from '#core/heat/convection'
import { saturatedVapour } from '#core/heat/vapour'
import type { Burner } from '#core/heat/lump'
import { vapourOf, type Room } from './air'
import { PAN_LOSS, panLoss, type Pan } from './pan'

/** Trays that an oven takes at once; common practice, no source. */
export const SHELVES = 2

export interface Oven {
  readonly id: string
  readonly name: string
  readonly fan: boolean
  /** What the oven really holds less what its dial says, K. */
  readonly offsetC: number
  /** Another setting of the oven before it, and not a second oven. */
  readonly sameBox?: boolean
}

export const OVENS: readonly Oven[] = [
  { id: 'still-oven', name: 'Half-size oven, still', fan: false, offsetC: 0 },
  { id: 'fan-oven', name: 'Half-size oven, fan', fan: true, offsetC: 0, sameBox: true }
]

export const ovenById = (id: string): Oven | undefined => OVENS.find(o => o.id === id)
export const OVEN_LIMITS_C = [60, 300] as const

/** At full power for ever it would come to this, °C, nearing it in so many seconds: 180 °C after seven minutes, 290 after a quarter of an hour, in a small one. Common practice, no source. */
const FULL_C = 450
const WARMS_IN = 900
/** An oven that was cold, so long after it was lit, °C. */
export const ovenAfter = (dialC: number, roomC: number, seconds: number): number =>
  Math.min(dialC, roomC + (FULL_C - roomC) * (1 - Math.exp(-Math.max(0, seconds) / WARMS_IN)))

/** What stands in the oven, all pieces together. */
export interface OvenLoad {
  /** Of one piece, m. */
  readonly acrossM: number
  /** Outside of all of them, m². */
  readonly areaM2: number
  readonly room: Room
}

/** @param dialC what the dial is set to */
export function ovenAir(oven: Oven, dialC: number, { acrossM, areaM2, room }: OvenLoad, c: Constants): AirFace {
  const air = dialC + oven.offsetC
  const surface = wetSurface(air)
  const convection = oven.fan ? c.fanConvection : c.ovenDraught * naturalConvection(acrossM, air, surface)
  // What the meat gives off is carried away as fast: between the room's air and that over the meat.
  const given = LEWIS_SPEED * convection * areaM2 * DAMP
  const vapour = (c.ovenLeak * vapourOf(room) + given * saturatedVapour(surface)) / (c.ovenLeak + given)
  return {
    kind: 'air',
    air,
    walls: air,
    convection,
    emissivity: c.meatEmissivity,
    vapour: Math.min(vapour, MOST_HUMID * saturatedVapour(air))
  }
}

/** About what a wet face of meat reads in such air, °C: 40 in air of 60, 70 in air of 180; from runs of this engine. */
const wetSurface = (air: number): number => 25 + 0.25 * air
/** A face that dries gives less than a wet one, over the time of a roast; estimate. */
const DAMP = 0.5
/** m/s for each W/(m²·K), as for evaporation everywhere: see `faces.ts`. */
const LEWIS_SPEED = 1 / 1007

/** A cool oven cannot hold as much vapour as a hot one: at most this share of what saturates it. */
const MOST_HUMID = 0.8

/** From oven air and walls to the underside of a pan, W/(m²·K); estimate. */
const PAN_IN_OVEN = 22

/** The oven around a pan that was put into it: drives the pan toward the oven's own temperature, without limit of power. */
export function ovenAround(pan: Pan, oven: Oven, dialC: number): Burner {
  const area = panLoss(pan) / PAN_LOSS
  return { hold: dialC + oven.offsetC, power: Infinity, response: Math.max(0, area * PAN_IN_OVEN - panLoss(pan)) }
}
