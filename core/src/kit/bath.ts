/**
 * Water as a cook uses it: a bath held by a machine, a pot off the heat that cools, a
 * fridge and a bowl of ice water for what is kept.
 */
import type { Constants } from '#core/heat/constants'
import type { FixedFace, LiquidFace } from '#core/heat/faces'
import type { Lump } from '#core/heat/lump'
import type { Room } from './air'

export const BATH_LIMITS_C = [40, 95] as const

/** A bag in water that a machine stirs and holds. */
export const heldBath = (bathC: number, c: Constants): FixedFace => ({ kind: 'fixed', at: bathC, conductance: c.bathConductance })

/** A machine that stirs and holds water. */
export interface BathMachine {
  readonly id: string
  readonly name: string
  readonly litres: number
  /** What the water really holds less what the machine shows, K. */
  readonly offsetC: number
}
export const BATHS: readonly BathMachine[] = [{ id: 'stick', name: 'Stick circulator in a tub', litres: 12, offsetC: 0 }]

/** Warm from the tap, °C, and W of a machine that stirs; common practice, no source. */
const FROM_THE_TAP_C = 40
const STIRRER_W = 1100
/** J/(kg·K), and so many kg to a litre. */
const WATER_HEAT = 4180
/** Water that was let in as the machine was lit, so long after that, °C. */
export const bathAfter = (bathC: number, litres: number, seconds: number): number =>
  Math.min(bathC, FROM_THE_TAP_C + (STIRRER_W * Math.max(0, seconds)) / (WATER_HEAT * litres))

export interface Pot {
  readonly id: string
  readonly name: string
  readonly litres: number
  /** Of its own metal, J/K. */
  readonly metalHeat: number
  /** Across the top, m. */
  readonly widthM: number
  /** Height of the water in it, m. */
  readonly depthM: number
}

export const POTS: readonly Pot[] = [
  { id: 'pot-5', name: 'Five-litre pot', litres: 4, metalHeat: 700, widthM: 0.22, depthM: 0.105 },
  { id: 'pot-10', name: 'Ten-litre pot', litres: 8, metalHeat: 1300, widthM: 0.28, depthM: 0.13 }
]
/** What may be typed for a pot of one's own: water it is filled with, metal, and across. */
export const POT_SIZES = { litres: [0.5, 40], metalKg: [0.2, 10], widthM: [0.1, 0.6] } as const
/** How deep the water in it may stand, m. */
export const POT_DEPTH_M = [0.01, 0.8] as const

/** What may be typed for one of them as the other stands, so that the water is neither a film nor a well. */
export function potLimits({ litres, widthM }: Pick<Pot, 'litres' | 'widthM'>): Record<'litres' | 'widthM', readonly [number, number]> {
  const [shallow, deep] = POT_DEPTH_M
  const floor = Math.PI * (widthM / 2) ** 2
  const across = (depth: number): number => 2 * Math.sqrt(litres / 1000 / (Math.PI * depth))
  const inside = ([low, high]: readonly [number, number], least: number, most: number): readonly [number, number] => [
    Math.max(low, least),
    Math.min(high, most)
  ]
  return {
    litres: inside(POT_SIZES.litres, 1000 * floor * shallow, 1000 * floor * deep),
    widthM: inside(POT_SIZES.widthM, across(deep), across(shallow))
  }
}

/** J/(kg·K) of a steel pot. */
const POT_METAL = 480
export const potFrom = (id: string, name: string, litres: number, metalKg: number, widthM: number): Pot => ({
  id,
  name,
  litres,
  metalHeat: POT_METAL * metalKg,
  widthM,
  depthM: litres / 1000 / (Math.PI * (widthM / 2) ** 2)
})
export const metalOf = (pot: Pot): number => pot.metalHeat / POT_METAL

export const potById = (id: string): Pot | undefined => POTS.find(p => p.id === id)

/** J/K of a litre of hot water. */
export const LITRE_HEAT = 4070

/** Temperature of parts of water poured together, by mass; 4 parts at 100 °C and 1 at 12 °C give 82. */
export function mixed(parts: readonly { readonly litres: number; readonly celsius: number }[]): number {
  const sum = parts.reduce((total, p) => total + p.litres, 0)
  return parts.reduce((total, p) => total + p.litres * p.celsius, 0) / sum
}

/** Through wall, bottom and lid to the room, W/(m²·K): natural convection and radiation inside and out; textbook range 5–10. */
const POT_LOSS = 8
/** A lid that does not seal still lets this share of the vapour go; estimate. */
const PAST_LID = 0.05

/** A pot of water off the heat. */
export function potLump(pot: Pot, startC: number, lid: boolean, room: Room): Lump {
  const top = Math.PI * (pot.widthM / 2) ** 2
  const wall = Math.PI * pot.widthM * pot.depthM
  return {
    heatCapacity: pot.litres * LITRE_HEAT + pot.metalHeat,
    loss: POT_LOSS * (2 * top + wall),
    openWater: lid ? PAST_LID * top : top,
    room: room.temperatureC,
    start: startC
  }
}

/** A bag in the pot, the lump of that number. */
export const inPot = (lump: number, c: Constants): LiquidFace => ({ kind: 'liquid', lump, conductance: c.potConductance })

const FRIDGE_C = 4

/** Of the fridge's walls as a wrapped piece sees them, W/(m²·K): 4σT³ between 4 and 50 °C. */
const FRIDGE_RADIATION = 5.4
/** Wrapped or in its bag in the fridge: it cools, and keeps its water. */
export const inFridge = (c: Constants): FixedFace => ({
  kind: 'fixed',
  at: FRIDGE_C,
  conductance: c.fridgeConvection + c.meatEmissivity * FRIDGE_RADIATION
})

/** A bag in ice and water, stirred now and then. */
export const inIce = (c: Constants): FixedFace => ({ kind: 'fixed', at: 1, conductance: c.potConductance })
