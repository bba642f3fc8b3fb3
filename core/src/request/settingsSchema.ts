/**
 * The settings of a method as a schema, made of the dials: as the request has them, in base units by
 * their keys, or as a case file has them, as text by their names there.
 */
import * as yup from 'yup'
import { oneOf, within } from '#core/input/plainFields'
import { needed, quantity, share, Unreadable, word } from '#core/input/text'
import { DIALS, dialsOf, fitsDial, RESTS, type Dial } from '#core/method/dials'
import type { RestLength } from '#core/method/method'
import { METHOD_KINDS, type MethodKind } from '#core/method/methods'
import { parseTurning, TURNINGS } from '#core/method/turning'
import { parseQuantity, QuantityError } from '#core/quantity/parse'
import { baseUnit } from '#core/quantity/units'

const UNITS = { temperature: '°C', duration: 's', length: 'mm' } as const

/** One setting in base units; left out it is as usual. */
function plainField(dial: Dial): yup.Schema {
  switch (dial.kind) {
    case 'quantity':
      return within(dial.range, UNITS[dial.dimension]).optional()
    case 'count':
      return within(dial.range, dial.unit).optional()
    case 'choice':
      return oneOf(dial.options.map(o => o.value)).optional()
    case 'yes':
      return yup.boolean().strict().optional()
    case 'turning':
    case 'rest':
    case 'top-ups':
      return yup
        .mixed()
        .optional()
        .test({
          name: 'fits',
          test: (value, context) => value === undefined || fitsDial(dial, value) || context.createError({ message: COULD_BE[dial.kind] })
        })
  }
}
const COULD_BE = {
  turning: `This may be one of: ${TURNINGS.join(', ')}; or a number of spells, as “6 spells”.`,
  rest: `This may be a time by the clock, or one of: ${RESTS.join(', ')}.`,
  'top-ups': 'These are moments, s, and litres of boiling water.'
} as const

/** The same as text. */
function textField(dial: Dial): yup.Schema {
  switch (dial.kind) {
    case 'quantity':
      return quantity(dial.dimension, dial.range)
    case 'count':
      return share(dial.range)
    case 'choice':
      return word(dial.options.map(o => o.value))
    case 'yes':
      return yup.boolean().strict()
    case 'turning':
      return yup
        .string()
        .strict()
        .test({
          name: 'turning',
          test: (value, context) =>
            value === undefined ||
            parseTurning(value) !== null ||
            context.createError({ message: `“${value}” is not one of: ${TURNINGS.join(', ')}.`, params: { originalValue: value } })
        })
    case 'rest':
      return yup
        .mixed<RestLength>()
        .transform((_, given: unknown) => restOf(given, dial.range))
        .test({
          name: 'rest',
          test: (value: unknown, context) =>
            !(value instanceof Unreadable) ||
            context.createError({ message: value.message, params: { originalValue: context.originalValue as unknown } })
        })
    case 'top-ups':
      return yup
        .array(
          yup
            .object({
              at: needed('duration', dial.range),
              litres: share(dial.litres).required('This is missing: litres of boiling water.')
            })
            .noUnknown()
        )
        .max(dial.most, `At most ${dial.most} top-ups.`)
  }
}

function restOf(given: unknown, range: readonly [number, number]): RestLength | Unreadable | undefined {
  if (given === undefined) return undefined
  const named = RESTS.find(w => w === given)
  if (named) return { kind: named }
  const sentence = `A rest is a time such as “8 min”, or one of: ${RESTS.join(', ')}.`
  if (typeof given !== 'string') return new Unreadable(sentence)
  try {
    const seconds = parseQuantity(given, 'duration')
    const hours = range[1] / 3600
    return seconds >= range[0] && seconds <= range[1]
      ? { kind: 'clock', seconds }
      : new Unreadable(`“${given}” is outside 0 s to ${hours} h.`)
  } catch (error) {
    if (error instanceof QuantityError) return new Unreadable(`“${given}” is no rest. ${sentence}`)
    throw error
  }
}

const kindOf = (value: unknown): MethodKind | undefined => METHOD_KINDS.find(k => k === value)
const strayIn = (given: object, allowed: readonly string[]): string | undefined =>
  Object.entries(given).find(([key, value]) => value !== undefined && !allowed.includes(key))?.[0]

/** A method and its settings, as a request has them. */
export const methodSchema = yup
  .object({
    kind: oneOf(METHOD_KINDS),
    settings: yup
      .object(Object.fromEntries(DIALS.map(d => [d.key, plainField(d)])))
      .noUnknown()
      .required('This is missing: the settings; none set is {}.')
  })
  .noUnknown()
  .required('This is missing: the method.')
  .test({
    name: 'belongs',
    test: ({ kind, settings }, context) => {
      const known = kindOf(kind)
      // Null is refused by its own rule.
      if (!known || (settings as object | null) === null) return true
      const allowed = dialsOf(known).map(d => d.key)
      const stray = strayIn(settings, allowed)
      return (
        stray === undefined ||
        context.createError({
          path: `${context.path}.settings.${stray}`,
          message: `“${stray}” is nothing to “${known}”. It takes: ${allowed.join(', ')}.`
        })
      )
    }
  })

/** What a case file may say beside the settings: things of the kit, by what is set on them, and turns by their number. */
export interface FileWords {
  readonly [name: string]: yup.Schema
}

/** A method as a case file has it. @param beside by the key of a setting: what goes with it */
export const methodText = (beside: Readonly<Partial<Record<Dial['key'], FileWords>>>) =>
  yup
    .object({
      kind: word(METHOD_KINDS).required(`This is missing: one of ${METHOD_KINDS.join(', ')}.`),
      ...Object.fromEntries(DIALS.map(d => [d.file, textField(d)])),
      ...Object.assign({}, ...Object.values(beside))
    })
    .noUnknown()
    .required('This is missing: the method.')
    .test({
      name: 'belongs',
      test: (value, context) => {
        const known = kindOf(value.kind)
        if (!known) return true
        const own = dialsOf(known)
        const allowed = ['kind', ...own.flatMap(d => [d.file, ...Object.keys(beside[d.key] ?? {})])]
        const stray = strayIn(value, allowed)
        return (
          stray === undefined ||
          context.createError({
            path: `${context.path}.${stray}`,
            message: `“${stray}” is nothing to “${known}”. It takes: ${allowed.slice(1).join(', ')}.`
          })
        )
      }
    })

/** How long a text with its unit may be written for a dial: what `textField` reads. */
export function textOf(dial: Dial, value: unknown): unknown {
  const rounded = (n: number): number => Math.round(n * 1000) / 1000
  if (dial.kind === 'quantity') return `${rounded(value as number)} ${baseUnit(dial.dimension).symbol}`
  if (dial.kind === 'rest') {
    const rest = value as RestLength
    return rest.kind === 'clock' ? `${rounded(rest.seconds)} s` : rest.kind
  }
  if (dial.kind === 'top-ups')
    return (value as readonly { at: number; litres: number }[]).map(t => ({ at: `${rounded(t.at)} s`, litres: t.litres }))
  return value
}
