/**
 * A packet in the larder and an order for the butcher as schemas, for forms and for the
 * server alike. Base units; messages name what would be right.
 */
import * as yup from 'yup'
import { REGIONS, type Region } from '#core/meat/cut'
import { CUTS } from '#core/meat/cuts'
import { THAWING_HOWS, WRAPS, type Packet } from '#core/shop/larder'
import type { Order } from '#core/shop/orderSlip'
import { INTACTS, PIECE_LIMITS } from '#core/meat/piece'
import type { UnitSystem } from '#core/quantity/units'
import { validate } from '#core/input/problem'

export const LABEL_LENGTH = 80
export const NOTE_LENGTH = 400
export const PACKET_LIMITS = { pieces: [1, 60], weightG: [10, 60000] } as const
export const ORDER_LIMITS = { pieces: [1, 60], pieceG: [20, 20000], fatMm: [0, 30] } as const

const within = (range: readonly [number, number], unit = ''): yup.NumberSchema<number> => {
  const message = `This may be from ${range[0]} to ${range[1]}${unit ? ` ${unit}` : ''}.`
  return yup.number().strict().typeError('This needs a number.').required('This is missing.').min(range[0], message).max(range[1], message)
}
const moment = within([0, 8.64e15], 'ms')
const cutIds = CUTS.map(c => c.id)

const packetSchema = yup
  .object({
    id: yup
      .string()
      .strict()
      .required('This is missing.')
      .matches(/^[A-Za-z0-9_-]{6,40}$/, 'An id is 6 to 40 letters, digits, - or _.'),
    cutId: yup
      .string()
      .strict()
      .nullable()
      .defined('This is missing.')
      .oneOf([...cutIds, null], 'There is no such cut.'),
    label: yup.string().strict().defined('This is missing.').max(LABEL_LENGTH, `At most ${LABEL_LENGTH} letters.`),
    pieces: within(PACKET_LIMITS.pieces).integer('Whole pieces only.'),
    weightG: within(PACKET_LIMITS.weightG, 'g'),
    thicknessMm: within(PIECE_LIMITS.thicknessMm, 'mm').nullable().defined('This is missing.'),
    wrap: yup
      .string()
      .strict()
      .required('This is missing.')
      .oneOf([...WRAPS]),
    place: yup.string().strict().required('This is missing.').oneOf(['fridge', 'freezer']),
    since: moment,
    useBy: moment.nullable().defined('This is missing.'),
    thawing: yup
      .object({
        since: moment,
        how: yup
          .string()
          .strict()
          .required('This is missing.')
          .oneOf([...THAWING_HOWS])
      })
      .noUnknown()
      .nullable()
      .defined('This is missing.')
      .default(undefined),
    intact: yup
      .string()
      .strict()
      .required('This is missing.')
      .oneOf([...INTACTS]),
    cookedC: within(PIECE_LIMITS.cookedC, '°C').nullable().notRequired()
  })
  .noUnknown()
  .required('A packet is missing.')

/** @throws InvalidInputError */
export function parsePacket(input: unknown): Packet {
  return validate(packetSchema, input) as Packet
}

const orderSchema = yup
  .object({
    cutId: yup.string().strict().required('This is missing.').oneOf(cutIds, 'There is no such cut.'),
    region: yup.string<Region>().strict().required('This is missing.').oneOf(REGIONS),
    pieces: within(ORDER_LIMITS.pieces).integer('Whole pieces only.'),
    pieceG: within(ORDER_LIMITS.pieceG, 'g'),
    thicknessMm: within(PIECE_LIMITS.thicknessMm, 'mm').nullable().defined('This is missing.'),
    fatMm: within(ORDER_LIMITS.fatMm, 'mm').nullable().defined('This is missing.'),
    tied: yup.boolean().strict().required('This is missing.'),
    notNeedled: yup.boolean().strict().required('This is missing.'),
    note: yup.string().strict().defined('This is missing.').max(NOTE_LENGTH, `At most ${NOTE_LENGTH} letters.`)
  })
  .noUnknown()
  .required('An order is missing.')

/** @throws InvalidInputError */
export function parseOrder(input: unknown): Order {
  return validate(orderSchema, input) as Order
}

const printedOrder = yup
  .object({ order: orderSchema, units: yup.string<UnitSystem>().strict().required('This is missing.').oneOf(['metric', 'us']) })
  .noUnknown()
  .required('An order is missing.')

/** @throws InvalidInputError */
export function parsePrintedOrder(input: unknown): { readonly order: Order; readonly units: UnitSystem } {
  return validate(printedOrder, input) as { order: Order; units: UnitSystem }
}
