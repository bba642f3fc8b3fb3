/**
 * Ovens as the air that a piece meets in them.
 */
import type { Constants } from '#core/heat/constants'
import type { AirFace } from '#core/heat/faces'
import { saturatedVapour } from '#core/heat/vapour'
import type { Burner } from '#core/heat/lump'
import { PAN_LOSS, panLoss, type Pan } from './pan'

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

/** @param dialC what the dial is set to */
export function ovenAir(oven: Oven, dialC: number, c: Constants): AirFace {
  const air = dialC + oven.offsetC
  return {
    kind: 'air',
    air,
    walls: air,
    convection: oven.fan ? c.fanConvection : c.ovenConvection,
    emissivity: c.meatEmissivity,
    vapour: Math.min(c.ovenVapour, MOST_HUMID * saturatedVapour(air))
  }
}

/** A cool oven cannot hold as much vapour as a hot one: at most this share of what saturates it. */
const MOST_HUMID = 0.8

/** From oven air and walls to the underside of a pan, W/(m²·K); estimate. */
const PAN_IN_OVEN = 22

/** The oven around a pan that was put into it: drives the pan toward the oven's own temperature, without limit of power. */
export function ovenAround(pan: Pan, oven: Oven, dialC: number): Burner {
  const area = panLoss(pan) / PAN_LOSS
  return { hold: dialC + oven.offsetC, power: Infinity, response: Math.max(0, area * PAN_IN_OVEN - panLoss(pan)) }
}
