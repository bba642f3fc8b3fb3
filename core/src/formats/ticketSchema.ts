/** A ticket of the pass, as it is kept and as a file: checked whole before anything of it is used. */
import * as yup from 'yup'
import { SHELVES } from '#core/kit/oven'
import { DISH_KINDS, WHAT_LENGTH, type Dish } from '#core/service/dish'
import type { Recipe } from '#core/service/recipe'
import { shippedRecipe, type RecipeBook } from '#core/service/recipes'
import { COOKS_LIMITS, DINERS_LIMITS, MOST_LINES, NAME_LENGTH, type Line, type Ticket } from '#core/service/ticket'
import { lineId, named, oneOf, within } from '#core/input/plainFields'
import { parseRequest } from '#core/request/schema'
import { readPlanCase } from './caseFile'
import { parsePrepared } from './preparedSchema'
import { onTool, recipeShape } from './recipeSchema'
import { InvalidInputError, validate } from '#core/input/problem'

const MOST_STEPS = 20
const MOST_TOOLS = 20
const LONGEST_S = 48 * 3600

const id = lineId()
const text = named(WHAT_LENGTH)
const whole = (range: readonly [number, number]): yup.NumberSchema<number> => within(range, '').integer('This needs a whole number.')
const seconds = within([0, LONGEST_S], 's')
const pair = yup.tuple([seconds, seconds]).required('This is missing.')
const degrees = within([0, 400], '°C')

const stepShape = yup
  .object({
    what: text,
    then: yup.string().strict().max(WHAT_LENGTH, `At most ${WHAT_LENGTH} letters.`).optional(),
    tool: onTool(),
    ovenC: yup
      .tuple([degrees, degrees])
      .optional()
      .default(undefined)
      .test({ name: 'rising', message: 'From the lowest to the highest.', test: range => range === undefined || range[0] <= range[1] }),
    trays: yup.number().strict().typeError('This needs a number of shelves.').integer().min(1).max(SHELVES).optional(),
    seconds,
    setUp: yup.number().strict().typeError('This needs seconds.').min(0).max(LONGEST_S).optional(),
    hands: pair,
    holds: pair.test({ name: 'rising', message: 'As good for no longer than it may stand at all.', test: ([well, most]) => well <= most })
  })
  // As version 1 called them.
  .from('ahead', 'setUp')
  .from('stands', 'holds')
  .noUnknown()

const dishShape = yup
  .object({
    id,
    name: text,
    kind: oneOf(DISH_KINDS),
    steps: yup
      .array(stepShape.required())
      .required('This is missing.')
      .min(1, 'At least one step.')
      .max(MOST_STEPS, `At most ${MOST_STEPS} steps.`),
    ahead: yup
      .array(yup.object({ what: text, before: seconds }).noUnknown().required())
      .optional()
      .default(undefined)
      .max(MOST_STEPS, `At most ${MOST_STEPS} steps.`),
    pullC: yup.number().strict().typeError('This needs °C.').min(0).max(100).optional(),
    inItsPan: yup.boolean().strict().optional(),
    beforeMeat: yup.boolean().strict().optional()
  })
  .noUnknown()
  .default(undefined)

/** @throws InvalidInputError */
export const parseDish = (input: unknown): Dish => validate(dishShape.required(), input) as Dish

/** @returns what is wrong with it; null where the fire can open it */
function wrongAt(what: string, read: (input: unknown) => unknown, input: unknown): string | null {
  try {
    if (input !== undefined) read(input)
    return null
  } catch (error) {
    if (error instanceof InvalidInputError) return `The ${what} cannot be used: ${error.message}`
    throw error
  }
}

const lineShape = yup
  .object({
    id,
    recipe: lineId().optional(),
    portions: yup.number().strict().typeError('This needs a number of guests.').integer().min(1).max(DINERS_LIMITS[1]).optional(),
    dish: dishShape.optional(),
    request: yup.mixed<object>().optional(),
    prepared: yup.mixed<object>().optional(),
    /** As it was kept before: a plan file of it. */
    plan: yup.mixed<object>().optional()
  })
  .noUnknown()
  .test({
    name: 'one of two',
    test: (line, context) => {
      // Null is refused by its own rule.
      if ((line as typeof line | null) === null) return true
      const { recipe, dish, plan, request, prepared } = line
      if ((recipe === undefined) === (dish === undefined))
        return context.createError({ message: 'A recipe of the book, or a dish: one of the two.' })
      if (recipe === undefined && line.portions !== undefined)
        return context.createError({ message: 'Only a recipe is made for so many of the table.' })
      if (recipe !== undefined && (plan ?? request ?? prepared) !== undefined)
        return context.createError({ message: 'Only a dish of beef has a plan.' })
      const wrongPlan = wrongAt('plan', readPlanCase, plan)
      if (wrongPlan !== null) return context.createError({ path: `${context.path}.plan`, message: wrongPlan })
      for (const [key, read, given] of [
        ['request', parseRequest, request],
        ['prepared', parsePrepared, prepared]
      ] as const) {
        const wrong = wrongAt(key === 'request' ? 'request' : 'preparation', read, given)
        if (wrong !== null) return context.createError({ path: `${context.path}.${key}`, message: wrong })
      }
      return true
    }
  })

/** No clock and no calendar here: days of a month by its number. */
function isRealMoment(at: string): boolean {
  const [year, month, day, hour, minute] = at.split(/[-T:]/).map(Number)
  const leap = year % 4 === 0 && (year % 100 !== 0 || year % 400 === 0)
  const days = [31, leap ? 29 : 28, 31, 30, 31, 30, 31, 31, 30, 31, 30, 31].at(month - 1) ?? 0
  return month >= 1 && day >= 1 && day <= days && hour < 24 && minute < 60
}

const shape = yup
  .object({
    serveAt: yup
      .string()
      .strict()
      .required('This is missing.')
      .matches(/^\d{4}-\d\d-\d\dT\d\d:\d\d$/, 'A day and a time as 2026-11-26T19:30.')
      .test({ name: 'a real day', message: 'There is no such day or time.', test: isRealMoment }),
    diners: whole(DINERS_LIMITS),
    cooks: whole(COOKS_LIMITS),
    without: yup.array(named()).optional().default(undefined).max(MOST_TOOLS, `At most ${MOST_TOOLS} of them.`),
    names: yup.array(named(NAME_LENGTH)).optional().default(undefined).max(COOKS_LIMITS[1], `At most ${COOKS_LIMITS[1]} names.`),
    lines: yup
      .array(lineShape.required())
      .required('This is missing.')
      .max(MOST_LINES, `At most ${MOST_LINES} dishes.`)
      .test({
        name: 'each once',
        message: 'Two dishes have one id.',
        test: lines => new Set(lines.map(l => (l as typeof l | null)?.id)).size === lines.length
      })
  })
  .noUnknown()
  .required()

/** @throws InvalidInputError */
export function parseTicket(input: unknown): Ticket {
  const { lines, names, without, ...rest } = validate(shape, input)
  return { ...rest, ...(names === undefined ? {} : { names }), ...(without === undefined ? {} : { without }), lines: lines.map(asLine) }
}
function asLine({ plan, request, prepared, ...line }: yup.InferType<typeof lineShape>): Line {
  const asked = request !== undefined ? parseRequest(request) : plan !== undefined ? readPlanCase(plan).request : null
  return { ...line, ...(asked ? { request: asked } : {}), ...(prepared === undefined ? {} : { prepared: parsePrepared(prepared) }) } as Line
}

const FORMAT = 'macellaio ticket'
const VERSION = 3
/** The first has `stands` for `holds`, and `ahead` for `setUp`; neither brings recipes with it. */
const EARLIER = [1, 2]

/** With what of the book another kitchen's would not have. */
export function writeTicket(ticket: Ticket, book: RecipeBook): object {
  const on = new Set(ticket.lines.flatMap(l => ('recipe' in l ? [l.recipe] : [])))
  const recipes = book.filter(r => on.has(r.id) && shippedRecipe(r.id) !== r)
  return { format: FORMAT, version: VERSION, ...ticket, ...(recipes.length > 0 ? { recipes } : {}) }
}

/** @throws InvalidInputError */
export function readTicket(input: unknown): { readonly ticket: Ticket; readonly recipes: readonly Recipe[] } {
  const head = validate(
    yup.object({
      format: yup.string().strict().required('This is missing.').oneOf([FORMAT], `This is not a ticket: it must say “${FORMAT}”.`),
      version: yup
        .number()
        .strict()
        .required('This is missing.')
        .oneOf([...EARLIER, VERSION], `Only versions ${EARLIER.join(', ')} and ${VERSION} can be read.`),
      recipes: yup.array(recipeShape).optional().default(undefined).max(MOST_LINES, `At most ${MOST_LINES} recipes.`)
    }),
    input
  ) as unknown as Record<string, unknown>
  const { format: _, version: __, recipes = [], ...rest } = head
  return { ticket: parseTicket(rest), recipes: recipes as Recipe[] }
}
