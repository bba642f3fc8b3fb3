/**
 * The fields that every case file shares: quantities as text with their unit, the piece,
 * the room, the rest. Described in docs/case-format.md.
 */
import * as yup from 'yup'
import { KITCHEN, type Room } from '#core/kit/air'
import { CUTS, cutById } from '#core/meat/cuts'
import {
  COAT_KINDS,
  FREEZING_C,
  INTACTS,
  PIECE_LIMITS,
  SURFACES,
  weightFromSize,
  type Piece,
  type PieceCoat,
  type SurfaceState
} from '#core/meat/piece'
import type { RestLength } from '#core/method/method'
import { parseQuantity, QuantityError } from '#core/quantity/parse'
import { baseUnit, findUnit, fromBase, type Dimension, type Unit } from '#core/quantity/units'
import { InvalidInputError } from '#core/input/problem'
import { REST_LIMITS_S, ROOM_LIMITS } from './requestSchema'

class Unreadable {
  constructor(readonly message: string) {}
}

/** Text with a unit, turned into a number of `unitOf`; `range` is in the same. */
export function quantity(
  dimension: Dimension,
  range: readonly [number, number],
  unitOf: Unit = baseUnit(dimension)
): yup.MixedSchema<number | undefined> {
  const unit = unitOf.symbol
  return yup
    .mixed<number>()
    .transform((_, given: unknown) => {
      if (given === undefined) return undefined
      if (typeof given !== 'string')
        return new Unreadable(`A ${dimension} is written as text with its unit, such as “${range[0]} ${unit}”.`)
      try {
        return fromBase(parseQuantity(given, dimension), unitOf)
      } catch (error) {
        if (error instanceof QuantityError) return new Unreadable(error.message)
        throw error
      }
    })
    .test({
      name: 'quantity',
      test(value: unknown, context) {
        if (value === undefined) return true
        const params = { originalValue: context.originalValue as unknown, range: range.map(r => `${r} ${unit}`) }
        if (value instanceof Unreadable) return context.createError({ message: value.message, params })
        const inside = typeof value === 'number' && value >= range[0] && value <= range[1]
        return (
          inside ||
          context.createError({ message: `“${String(params.originalValue)}” is outside ${range[0]} to ${range[1]} ${unit}.`, params })
        )
      }
    })
}

export const needed = (dimension: Dimension, range: readonly [number, number]): yup.MixedSchema<number> =>
  quantity(dimension, range).required(`This is missing: a ${dimension} with its unit.`)

export const word = <T extends string>(allowed: readonly T[]): yup.StringSchema<T | undefined> =>
  yup
    .string<T>()
    .strict()
    .test({
      name: 'word',
      test: (value, context) =>
        value === undefined ||
        (allowed as readonly string[]).includes(value) ||
        context.createError({ message: `“${String(value)}” is not one of: ${allowed.join(', ')}.`, params: { originalValue: value } })
    })

export const share = (range: readonly [number, number]): yup.NumberSchema<number | undefined> =>
  yup
    .number()
    .strict()
    .typeError('This is a plain number without a unit.')
    .test({
      name: 'share',
      test: (value, context) =>
        value === undefined ||
        (value >= range[0] && value <= range[1]) ||
        context.createError({ message: `${value} is outside ${range[0]} to ${range[1]}.`, params: { originalValue: value, range } })
    })

export const pieceShape = yup
  .object({
    cut: word(CUTS.map(c => c.id)).required('This is missing: the id of a cut.'),
    count: share(PIECE_LIMITS.count),
    thickness: needed('length', PIECE_LIMITS.thicknessMm),
    weight: quantity('mass', PIECE_LIMITS.weightG),
    length: quantity('length', PIECE_LIMITS.lengthMm),
    width: quantity('length', PIECE_LIMITS.widthMm),
    start: quantity('temperature', [-40, PIECE_LIMITS.startC[1]])
      .required('This is missing: the start temperature.')
      .test({
        name: 'frozen',
        test: (value, context) =>
          !(typeof value === 'number') ||
          value >= FREEZING_C ||
          context.createError({
            message: `“${String(context.originalValue)}” is frozen. Thaw it first, a day in the fridge for each 2 kg; this engine does not thaw.`,
            params: { originalValue: context.originalValue as unknown, range: [`${FREEZING_C} °C`, `${PIECE_LIMITS.startC[1]} °C`] }
          })
      }),
    surface: word(Object.keys(SURFACES) as SurfaceState[]),
    form: word(['steak', 'roast'] as const),
    thinEnd: quantity('length', PIECE_LIMITS.thicknessMm),
    intact: word(INTACTS),
    coats: yup
      .array(
        yup
          .object({
            what: word(COAT_KINDS).required(`This is missing: one of ${COAT_KINDS.join(', ')}.`),
            on: word(['first', 'second', 'side'] as const).required('This is missing: “first”, “second” or “side”.'),
            thickness: needed('length', [0.5, 60])
          })
          .noUnknown()
      )
      .max(6, 'At most six layers.')
  })
  .noUnknown()
  .required('This is missing: the piece.')

export const roomShape = yup
  .object({
    temperature: quantity('temperature', ROOM_LIMITS.temperatureC),
    humidity: share(ROOM_LIMITS.humidity),
    altitude: quantity('length', ROOM_LIMITS.altitudeM, findUnit('length', 'm'))
  })
  .noUnknown()
  .default(undefined)

const REST_WORDS = ['to the peak', 'half the cooking time'] as const

/** A rest: a time, or one of the words. */
export const restShape = yup
  .mixed<RestLength>()
  .transform((_, given: unknown) => restOf(given))
  .test({
    name: 'rest',
    test: (value: unknown, context) =>
      !(value instanceof Unreadable) ||
      context.createError({ message: value.message, params: { originalValue: context.originalValue as unknown } })
  })

function restOf(given: unknown): RestLength | Unreadable | undefined {
  if (given === undefined) return undefined
  const named = REST_WORDS.find(w => w === given)
  if (named) return { kind: named }
  const sentence = `A rest is a time such as “8 min”, or one of: ${REST_WORDS.join(', ')}.`
  if (typeof given !== 'string') return new Unreadable(sentence)
  try {
    const seconds = parseQuantity(given, 'duration')
    return seconds >= REST_LIMITS_S[0] && seconds <= REST_LIMITS_S[1]
      ? { kind: 'clock', seconds }
      : new Unreadable(`“${given}” is outside 0 to 60 min.`)
  } catch (error) {
    if (error instanceof QuantityError) return new Unreadable(`“${given}” is no rest. ${sentence}`)
    throw error
  }
}

type GivenPiece = yup.InferType<typeof pieceShape>
type GivenRoom = yup.InferType<typeof roomShape>

/** Fills in from the cut what was not measured: sizes from its usual ones, weight from the sizes. */
export function pieceOf(given: GivenPiece): Piece {
  const cut = cutById(given.cut)
  if (!cut) throw new InvalidInputError([{ key: 'piece.cut', message: `There is no cut “${given.cut}”.`, value: given.cut }])
  const middle = ([low, high]: readonly [number, number]): number => (low + high) / 2
  const lengthMm = given.length ?? middle(cut.shape.lengthMm)
  const sizes = {
    thicknessMm: given.thickness,
    lengthMm,
    widthMm: given.width ?? (cut.shape.outline === 'round' ? lengthMm : middle(cut.shape.widthMm)),
    startC: given.start
  }
  return {
    cutId: cut.id,
    count: given.count ?? 1,
    ...sizes,
    weightG: given.weight ?? weightFromSize(sizes, cut),
    surface: given.surface ?? 'patted',
    ...(given.form === undefined ? {} : { form: given.form }),
    ...(given.thinEnd === undefined ? {} : { thinEndMm: given.thinEnd }),
    ...(given.intact === undefined ? {} : { intact: given.intact }),
    ...(given.coats === undefined
      ? {}
      : { coats: given.coats.map((c): PieceCoat => ({ what: c.what, on: c.on, thicknessMm: c.thickness })) })
  }
}

export function roomOf(given: GivenRoom | undefined): Room {
  return {
    temperatureC: given?.temperature ?? KITCHEN.temperatureC,
    humidity: given?.humidity ?? KITCHEN.humidity,
    altitudeM: given?.altitude ?? KITCHEN.altitudeM
  }
}
