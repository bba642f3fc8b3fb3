/** Fields of plain data in base units, whose messages name what would be right. */
import * as yup from 'yup'

export const within = (range: readonly [number, number], unit: string): yup.NumberSchema<number> =>
  yup
    .number()
    .strict()
    .typeError(`This needs a number${unit ? ` in ${unit}` : ''}.`)
    .required('This is missing.')
    .test({
      name: 'range',
      test(value, context) {
        if ((value as number | undefined) === undefined) return true
        return Number.isFinite(value) && value >= range[0] && value <= range[1]
          ? true
          : context.createError({
              message: `This may be from ${range[0]} to ${range[1]}${unit ? ` ${unit}` : ''}.`,
              params: { range, originalValue: value }
            })
      }
    })

export const oneOf = <T extends string>(allowed: readonly T[]): yup.StringSchema<T> =>
  yup
    .string<T>()
    .strict()
    .required('This is missing.')
    .oneOf([...allowed], `This may be one of: ${allowed.join(', ')}.`)

export const optional = <T extends string>(allowed: readonly T[]): yup.StringSchema<T | undefined> =>
  yup
    .string<T>()
    .strict()
    .optional()
    .oneOf([...allowed], `This may be one of: ${allowed.join(', ')}.`)

/** A name that a cook gives to something. */
export const named = (longest = 60): yup.StringSchema<string> =>
  yup.string().strict().trim('Without blanks around it.').required('This needs a name.').max(longest, `At most ${longest} letters.`)

const idOf = (shape: RegExp, says: string): yup.StringSchema<string> =>
  yup.string().strict().required('This is missing.').matches(shape, says)
/** An id that a device made by itself. */
export const madeHere = (): yup.StringSchema<string> => idOf(/^[A-Za-z0-9_-]{6,40}$/, 'An id is 6 to 40 letters, digits, - or _.')
/** A line of a ticket; of beef also the piece. */
export const lineId = (): yup.StringSchema<string> => idOf(/^[A-Za-z0-9_-]{1,40}$/, 'An id is up to 40 letters, digits, - or _.')

/** When something was, epoch ms. */
export const epochMs = (): yup.NumberSchema<number> =>
  yup.number().strict().typeError('This needs a time in milliseconds.').required('This is missing.').integer().min(0).max(8.64e15)
