/** A recipe of the book, as it is edited, kept and written to a file. Base units; messages name what would be right. */
import * as yup from 'yup'
import { lineId, named, oneOf, within } from '#core/input/plainFields'
import { validate } from '#core/input/problem'
import { OVEN_LIMITS_C } from '#core/kit/oven'
import { TOOLS } from '#core/service/dish'
import { AMOUNT_UNITS, LOAD_LIMITS, RECIPE_KINDS, TIMINGS, type Recipe } from '#core/service/recipe'

export const RECIPE_LIMITS = {
  steps: 12,
  amounts: 20,
  text: 120,
  caution: 300,
  /** s. */
  seconds: [0, 48 * 3600],
  /** g or ml, or so many. */
  each: [0, 5000],
  leaves: [0.02, 0.98]
} as const

/** What a step stands on; null for none. */
export const onTool = () =>
  yup
    .string()
    .strict()
    .nullable()
    .defined('This is missing.')
    .oneOf([...TOOLS, null], `One of ${TOOLS.join(', ')}, or null.`)

const seconds = within(RECIPE_LIMITS.seconds, 's')
const text = named(RECIPE_LIMITS.text)
const volume = within(RECIPE_LIMITS.each, 'ml')
const degrees = within(OVEN_LIMITS_C, '°C')

const takesShape = yup.lazy((takes: unknown) => {
  const by = oneOf(TIMINGS)
  const of = (typeof takes === 'object' && takes !== null && 'by' in takes ? takes.by : null) as unknown
  switch (of) {
    case 'boil':
      return yup.object({ by, mlEach: volume, leastMl: volume, seconds }).noUnknown().required()
    case 'reduce':
      return yup
        .object({ by, mlEach: volume, leaves: within(RECIPE_LIMITS.leaves, '') })
        .noUnknown()
        .required()
    default:
      return yup
        .object({ by, seconds: seconds.moreThan(0, 'Longer than nothing.') })
        .noUnknown()
        .required()
  }
})

const rising = { name: 'rising', test: (range: readonly number[] | undefined) => range === undefined || range[0] <= range[1] }

const stepShape = yup
  .object({
    what: text,
    then: yup.string().strict().max(RECIPE_LIMITS.text, `At most ${RECIPE_LIMITS.text} letters.`).optional(),
    tool: onTool(),
    ovenC: yup
      .tuple([degrees, degrees])
      .optional()
      .default(undefined)
      .test({ ...rising, message: 'From the lowest to the highest.' }),
    takes: takesShape,
    hands: yup.lazy(hands =>
      hands === 'all'
        ? yup.string().oneOf(['all']).required()
        : yup.tuple([seconds, seconds]).required('“all”, or seconds at the beginning and at the end.')
    ),
    holds: yup
      .tuple([seconds, seconds])
      .required('This is missing.')
      .test({ ...rising, message: 'As good for no longer than it may stand at all.' }),
    load: yup
      .number()
      .strict()
      .typeError('This needs a number of guests.')
      .integer('This needs a whole number.')
      .min(LOAD_LIMITS[0], `From ${LOAD_LIMITS[0]} to ${LOAD_LIMITS[1]} guests.`)
      .max(LOAD_LIMITS[1], `From ${LOAD_LIMITS[0]} to ${LOAD_LIMITS[1]} guests.`)
      .optional()
  })
  .noUnknown()
  .test({
    name: 'an oven is set',
    test: (step, context) => {
      if ((step as typeof step | null) === null) return true
      if (step.tool === 'oven' && step.ovenC === undefined)
        return context.createError({ path: `${context.path}.ovenC`, message: 'This needs what the oven may be set to.' })
      return (
        step.tool === 'oven' ||
        step.ovenC === undefined ||
        context.createError({ path: `${context.path}.ovenC`, message: 'Only what is in the oven has a setting of it.' })
      )
    }
  })

const amountShape = yup
  .object({
    what: named(60),
    each: within(RECIPE_LIMITS.each, ''),
    unit: yup
      .string()
      .strict()
      .defined('This is missing.')
      .oneOf([...AMOUNT_UNITS], 'g, ml, or nothing for what is counted.')
  })
  .noUnknown()

export const recipeShape = yup
  .object({
    id: lineId(),
    name: named(),
    kind: oneOf(RECIPE_KINDS),
    amounts: yup
      .array(amountShape.required())
      .required('This is missing.')
      .max(RECIPE_LIMITS.amounts, `At most ${RECIPE_LIMITS.amounts} ingredients.`),
    steps: yup
      .array(stepShape.required())
      .required('This is missing.')
      .min(1, 'At least one step.')
      .max(RECIPE_LIMITS.steps, `At most ${RECIPE_LIMITS.steps} steps.`),
    inItsPan: yup.boolean().strict().optional(),
    beforeMeat: yup.boolean().strict().optional(),
    caution: yup.string().strict().max(RECIPE_LIMITS.caution, `At most ${RECIPE_LIMITS.caution} letters.`).optional(),
    out: yup.boolean().strict().optional()
  })
  .noUnknown()
  .required()

/** @throws InvalidInputError */
export const parseRecipe = (input: unknown): Recipe => validate(recipeShape, input) as Recipe

const FORMAT = 'macellaio recipes'
const VERSION = 1
/** Of one file. */
const MOST = 500

export const writeRecipes = (recipes: readonly Recipe[]): object => ({ format: FORMAT, version: VERSION, recipes })

/** @throws InvalidInputError */
export function readRecipes(input: unknown): Recipe[] {
  const { recipes } = validate(
    yup
      .object({
        format: yup.string().strict().required('This is missing.').oneOf([FORMAT], `These are no recipes: it must say “${FORMAT}”.`),
        version: yup.number().strict().required('This is missing.').oneOf([VERSION], `Only version ${VERSION} can be read.`),
        recipes: yup
          .array(recipeShape)
          .required('This is missing.')
          .min(1, 'There is none in it.')
          .max(MOST, `At most ${MOST} recipes.`)
          .test({
            name: 'each once',
            message: 'Two recipes have one id.',
            test: all => new Set(all.map(r => (r as typeof r | null)?.id)).size === all.length
          })
      })
      .noUnknown(),
    input
  )
  return recipes as Recipe[]
}
