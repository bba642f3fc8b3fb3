/** The figures of each thing in the kit that count for its heat, as fields that can be set. */
import { metalOf, POT_SIZES, potFrom, potLimits, type BathMachine, type Pot } from '#core/kit/bath'
import { GRATE_SIZES_MM, GRILL_FUELS, USUAL_ACROSS_MM, type Grill } from '#core/kit/grill'
import type { Kit, KitShelf } from '#core/kit/kit'
import type { Oven } from '#core/kit/oven'
import {
  GIVES_LIMITS,
  floorFromMass,
  massFromFloor,
  PAN_METALS,
  PAN_SIZES,
  powerAtPan,
  RATED_LIMITS_W,
  ratedPower,
  RING_HEATS,
  type Pan,
  type Ring,
  type RingHeat
} from '#core/kit/pan'
import { boilingThere, OFF_LIMITS_K, type Thermometer } from '#core/kit/thermometer'
import { showTemperature, shownText } from '#core/quantity/format'
import type { Dimension, UnitSystem } from '#core/quantity/units'

/** Something on one of the shelves. */
export type AnyItem = Kit[KitShelf][number]

type Range = readonly [number, number]
interface Field<T> {
  readonly label: string
  readonly value: T
  /** What of the thing becomes of it. */
  readonly set: (value: T) => object
}
export type KitField =
  | (Field<number> & { readonly kind: 'quantity'; readonly dimension: Dimension; readonly range: Range; readonly hint?: string })
  | (Field<number> & { readonly kind: 'count'; readonly unit: string; readonly range: Range; readonly step: number })
  | (Field<string> & { readonly kind: 'pick'; readonly options: readonly string[] })
  | (Field<boolean> & { readonly kind: 'yes' })

const quantity = (
  label: string,
  dimension: Dimension,
  range: Range,
  value: number,
  set: (value: number) => object,
  hint?: string
): KitField => ({ kind: 'quantity', label, dimension, range, value, set, ...(hint === undefined ? {} : { hint }) })
const pick = (label: string, options: readonly string[], value: string, set: (value: string) => object): KitField => ({
  kind: 'pick',
  label,
  options,
  value,
  set
})
const yes = (label: string, value: boolean, set: (value: boolean) => object): KitField => ({ kind: 'yes', label, value, set })
const count = (label: string, unit: string, range: Range, step: number, value: number, set: (value: number) => object): KitField => ({
  kind: 'count',
  label,
  unit,
  range,
  step,
  value,
  set
})

const tenth = (value: number): number => Math.round(value * 10) / 10
/** A limit is shown in few figures: inward, so that what is shown is allowed. */
const up = (limit: number): number => Math.ceil(limit * 100) / 100
const down = (limit: number): number => Math.floor(limit * 100) / 100
const clamp = (value: number, [low, high]: Range): number => Math.min(high, Math.max(low, value))

/** The quantity fields know temperatures as points of a scale; an offset is a difference. */
function offset(label: string, system: UnitSystem, [low, high]: Range, step: number, kelvin: number): KitField {
  const per = system === 'metric' ? 1 : 1.8
  const unit = system === 'metric' ? '°C' : '°F'
  return count(label, unit, [low * per, high * per], step, tenth(kelvin * per), v => ({ offsetC: v / per }))
}

/** As learned at the Book, or by the cook's own experience. */
const gives = (item: Pan): KitField =>
  count('Heat to the meat', '% of usual', [100 * GIVES_LIMITS[0], 100 * GIVES_LIMITS[1]], 5, Math.round(100 * (item.gives ?? 1)), v => ({
    gives: v / 100
  }))

const panFields = (pan: Pan): KitField[] => [
  pick('Of', PAN_METALS, pan.metal, metal => ({ metal })),
  quantity('Across the flat floor', 'length', PAN_SIZES.diameterMm, pan.diameterMm, diameterMm => ({ diameterMm })),
  quantity('Floor thick', 'length', PAN_SIZES.floorMm, pan.floorMm, floorMm => ({ floorMm })),
  quantity('or weighs, empty', 'mass', [300, 12000], Math.round(1000 * massFromFloor(pan)), grams => ({
    floorMm: Math.round(clamp(floorFromMass(pan.metal, pan.diameterMm, grams / 1000), PAN_SIZES.floorMm) * 100) / 100
  })),
  gives(pan)
]

const ringFields = (ring: Ring): KitField[] => {
  const heat = ring.heat ?? 'gas'
  const rated = ratedPower(ring)
  return [
    pick('Heated by', RING_HEATS, heat, by => ({ heat: by, powerW: powerAtPan(by as RingHeat, rated) })),
    count('Rated', 'W', RATED_LIMITS_W, 50, Math.round(rated), watts => ({ heat, powerW: powerAtPan(heat, watts) }))
  ]
}

const ovenFields = (oven: Oven, system: UnitSystem): KitField[] => [
  yes('Fan', oven.fan, fan => ({ fan })),
  yes('The same oven as the one before it', oven.sameBox ?? false, sameBox => ({ sameBox })),
  offset('Hotter than its dial by', system, [-40, 40], 0.5, oven.offsetC)
]

const grillFields = (grill: Grill): KitField[] => [
  pick('Burns', GRILL_FUELS, grill.fuel ?? 'charcoal', fuel => ({ fuel })),
  yes('Lid', grill.lid, lid => ({ lid })),
  quantity('Grate, across', 'length', GRATE_SIZES_MM, grill.acrossMm ?? USUAL_ACROSS_MM, acrossMm => ({ acrossMm })),
  yes('Round', grill.deepMm === undefined, round => ({ deepMm: round ? undefined : (grill.acrossMm ?? USUAL_ACROSS_MM) })),
  ...(grill.deepMm === undefined ? [] : [quantity('Grate, deep', 'length', GRATE_SIZES_MM, grill.deepMm, deepMm => ({ deepMm }))]),
  yes('Room beside the fire', grill.twoZones !== false, twoZones => ({ twoZones }))
]

const bathFields = (bath: BathMachine, system: UnitSystem): KitField[] => [
  count('Holds', 'L', [1, 200], 0.5, bath.litres, litres => ({ litres })),
  offset('Hotter than it shows by', system, [-5, 5], 0.1, bath.offsetC)
]

const potFields = (pot: Pot): KitField[] => {
  const again = (part: { litres?: number; metalKg?: number; widthM?: number }): Pot =>
    potFrom(pot.id, pot.name, part.litres ?? pot.litres, part.metalKg ?? metalOf(pot), part.widthM ?? pot.widthM)
  const { litres, widthM } = potLimits(pot)
  return [
    count('Filled with', 'L', [up(litres[0]), down(litres[1])], 0.5, pot.litres, filled => again({ litres: filled })),
    quantity('Across', 'length', [1000 * up(widthM[0]), 1000 * down(widthM[1])], pot.widthM * 1000, mm => again({ widthM: mm / 1000 })),
    quantity('Weighs, empty', 'mass', [1000 * POT_SIZES.metalKg[0], 1000 * POT_SIZES.metalKg[1]], Math.round(1000 * metalOf(pot)), grams =>
      again({ metalKg: grams / 1000 })
    )
  ]
}

function thermometerFields({ leaveIn, inIceC, inBoilingC, checkedAtM }: Thermometer, system: UnitSystem, altitudeM: number): KitField[] {
  const should = `It should be ${shownText(showTemperature(boilingThere(checkedAtM), system))} up here.`
  return [
    yes('Stays in the meat', leaveIn, stays => ({ leaveIn: stays })),
    quantity('In ice water it shows', 'temperature', [-OFF_LIMITS_K, OFF_LIMITS_K], inIceC, shows => ({ inIceC: shows })),
    yes('Checked in boiling water', inBoilingC !== null, checked => ({
      inBoilingC: checked ? tenth(boilingThere(altitudeM)) : null,
      checkedAtM: altitudeM
    })),
    ...(inBoilingC === null
      ? []
      : [quantity('There it shows', 'temperature', [85, 115], inBoilingC, shows => ({ inBoilingC: shows }), should)])
  ]
}

/** @param altitudeM of the kitchen */
export function kitFields(shelf: KitShelf, item: AnyItem, system: UnitSystem, altitudeM: number): KitField[] {
  switch (shelf) {
    case 'pans':
      return panFields(item as Pan)
    case 'rings':
      return ringFields(item as Ring)
    case 'ovens':
      return ovenFields(item as Oven, system)
    case 'grills':
      return grillFields(item as Grill)
    case 'baths':
      return bathFields(item as BathMachine, system)
    case 'pots':
      return potFields(item as Pot)
    case 'thermometers':
      return thermometerFields(item as Thermometer, system, altitudeM)
  }
}
