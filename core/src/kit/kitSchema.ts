/** A cook's own kit as a schema, for the page that edits it, for what keeps it and for every request. */
import * as yup from 'yup'
import { POT_DEPTH_M, POT_SIZES } from '#core/kit/bath'
import { GRATE_SIZES_MM, GRILL_FUELS } from '#core/kit/grill'
import { SHELVES, type Kit, type KitShelf } from '#core/kit/kit'
import { GIVES_LIMITS, PAN_METALS, PAN_SIZES, RING_HEATS } from '#core/kit/pan'
import { OFF_LIMITS_K } from '#core/kit/thermometer'
import { named, oneOf, optional, within } from '#core/input/plainFields'
import { validate } from '#core/input/problem'

const id = (): yup.StringSchema<string> => yup.string().strict().required('This needs an id.').max(60)
const yes = (): yup.BooleanSchema<boolean> => yup.boolean().strict().required('This is yes or no.')
const gives = (): yup.NumberSchema<number | undefined> =>
  yup.number().strict().optional().min(GIVES_LIMITS[0], GIVES_RANGE).max(GIVES_LIMITS[1], GIVES_RANGE)
const GIVES_RANGE = `What it gives may be from ${GIVES_LIMITS[0]} to ${GIVES_LIMITS[1]} of the usual.`
const ALTITUDES = [-400, 4500] as const
const OFFSETS = [-60, 60] as const

const pan = yup
  .object({
    id: id(),
    name: named(),
    metal: oneOf(PAN_METALS),
    diameterMm: within(PAN_SIZES.diameterMm, 'mm'),
    floorMm: within(PAN_SIZES.floorMm, 'mm'),
    gives: gives()
  })
  .noUnknown()
const ring = yup.object({ id: id(), name: named(), powerW: within([100, 8000], 'W'), heat: optional(RING_HEATS) }).noUnknown()
const oven = yup
  .object({ id: id(), name: named(), fan: yes(), offsetC: within(OFFSETS, '°C'), sameBox: yup.boolean().strict().optional() })
  .noUnknown()
const grill = yup
  .object({
    id: id(),
    name: named(),
    lid: yes(),
    fuel: optional(GRILL_FUELS),
    twoZones: yup.boolean().strict().optional(),
    acrossMm: within(GRATE_SIZES_MM, 'mm').optional(),
    deepMm: within(GRATE_SIZES_MM, 'mm').optional()
  })
  .noUnknown()
const pot = yup
  .object({
    id: id(),
    name: named(),
    litres: within(POT_SIZES.litres, 'L'),
    metalHeat: within([50, 6000], 'J/K'),
    widthM: within(POT_SIZES.widthM, 'm'),
    depthM: within(POT_DEPTH_M, 'm')
  })
  .noUnknown()
const bath = yup.object({ id: id(), name: named(), litres: within([1, 200], 'L'), offsetC: within([-5, 5], '°C') }).noUnknown()
const thermometer = yup
  .object({
    id: id(),
    name: named(),
    leaveIn: yes(),
    inIceC: within([-OFF_LIMITS_K, OFF_LIMITS_K], '°C'),
    inBoilingC: yup
      .number()
      .strict()
      .nullable()
      .defined('This is missing: a temperature, or null where it was not checked.')
      .min(100 - 2 * OFF_LIMITS_K, 'So low is no thermometer in boiling water.')
      .max(100 + OFF_LIMITS_K, 'So high is no thermometer in boiling water.'),
    checkedAtM: within(ALTITUDES, 'm')
  })
  .noUnknown()

/** What goes along with a request. */
export const kitInUseSchema = yup
  .object({
    pan: pan.required('The pan is missing.'),
    ring: ring.required('The ring is missing.'),
    oven: oven.nullable().default(null),
    grill: grill.nullable().default(null),
    pot: pot.nullable().default(null),
    bath: bath.nullable().default(null)
  })
  .noUnknown()

const shelf = <T extends yup.AnyObjectSchema>(item: T) => yup.array(item.required()).required('This is missing.').max(30, 'At most thirty.')

const ITEMS: { readonly [S in KitShelf]: yup.AnyObjectSchema } = {
  pans: pan,
  rings: ring,
  ovens: oven,
  grills: grill,
  pots: pot,
  baths: bath,
  thermometers: thermometer
}
/**
 * One thing of a shelf.
 * @throws InvalidInputError
 */
export const parseKitItem = <S extends KitShelf>(on: S, input: unknown): Kit[S][number] =>
  validate(ITEMS[on].required('This is missing.'), input) as unknown as Kit[S][number]

const kitSchema = yup
  .object({
    pans: shelf(pan).min(1, 'A kit has one pan at least.'),
    rings: shelf(ring).min(1, 'A kit has one ring at least.'),
    ovens: shelf(oven),
    grills: shelf(grill),
    pots: shelf(pot),
    baths: shelf(bath),
    thermometers: shelf(thermometer),
    altitudeM: within(ALTITUDES, 'm')
  })
  .noUnknown()
  .required('A kit is missing.')
  .test({
    name: 'told apart',
    test: (kit, context) => {
      const idsOn = (shelf: KitShelf): unknown[] => {
        const things: unknown = kit[shelf]
        // What is no list, and what is nothing on it, is refused by its own rule.
        return Array.isArray(things) ? things.map(item => (item as { readonly id: string } | null)?.id) : []
      }
      const twice = SHELVES.find(s => new Set(idsOn(s)).size < idsOn(s).length)
      return twice === undefined || context.createError({ path: twice, message: 'Two of them have the same id.' })
    }
  })

/** @throws InvalidInputError */
export const parseKit = (input: unknown): Kit => validate(kitSchema, input) as unknown as Kit
