/** Fields of a file that a person writes: every quantity is text with its unit. Messages name what would be right. */
import * as yup from 'yup'
import { parseQuantity, QuantityError } from '#core/quantity/parse'
import { baseUnit, fromBase, type Dimension, type Unit } from '#core/quantity/units'

/** What could not be read, and why. */
export class Unreadable {
  constructor(readonly message: string) {}
}

type Range = readonly [low: number, high: number]

/** Text with a unit, turned into a number of `unitOf`; `range` is in the same. */
export function quantity(dimension: Dimension, range: Range, unitOf: Unit = baseUnit(dimension)): yup.MixedSchema<number | undefined> {
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

export const needed = (dimension: Dimension, range: Range): yup.MixedSchema<number> =>
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

export const share = (range: Range): yup.NumberSchema<number | undefined> =>
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
