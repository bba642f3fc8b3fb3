/**
 * What the server takes of a cook, checked by one schema on both sides.
 */
import * as yup from 'yup'
import { CRUSTS, VERDICTS, type Outcome, type PlannedFigures, type ProbeLog } from '#core/book/record'
import { DELAY_LIMITS_S, FLASH_LIMITS_S, EVENT_KINDS, READING_LIMITS, type CookEvent } from '#core/session/events'
import { fromEarlier } from '#core/request/earlier'
import { OVEN_LIMITS_C } from '#core/kit/oven'
import type { InService } from '#core/session/inService'
import type { PlanRequest } from '#core/request/request'
import { epochMs, lineId, madeHere, named, optional, within } from '#core/input/plainFields'
import { validate } from '#core/input/problem'
import { plannedFromEarlier } from './earlier'
import { parseRequest } from '#core/request/schema'

const TITLE_LENGTH = 120
const NAME_LENGTH = 80
export const NOTES_LENGTH = 4000

const id = madeHere()
const moment = epochMs()
const figure = yup.number().strict().typeError('This needs a number.').required('This is missing.')
const series = yup.array(figure).required('This is missing.').max(2000, 'At most 2000 values.')

const plannedShape = yup
  .object({
    freeS: figure.optional(),
    pullS: figure,
    pullC: figure,
    peakS: figure,
    peakC: figure,
    carveS: figure,
    carveC: figure,
    turnsS: yup.array(figure).ensure().max(1000),
    preheatS: yup.number().strict().nullable().defined('This is missing.'),
    loss: figure,
    pullRangeS: yup.tuple([figure, figure, figure]).nullable().defined('This is missing.'),
    curve: yup.object({ timeS: series, coreC: series }).noUnknown().required(),
    section: yup.object({ edgesMm: series, hottestC: series, round: yup.boolean().strict().optional() }).noUnknown().required()
  })
  .noUnknown()
  .required('This is missing.')

const readingSchema = yup
  .number()
  .strict()
  .typeError('A reading is a temperature.')
  .required('A reading is missing.')
  .min(READING_LIMITS[0], `A reading may be from ${READING_LIMITS[0]} to ${READING_LIMITS[1]} °C.`)
  .max(READING_LIMITS[1], `A reading may be from ${READING_LIMITS[0]} to ${READING_LIMITS[1]} °C.`)

const eventShape = yup
  .object({
    id,
    kind: yup
      .string()
      .strict()
      .required()
      .oneOf([...EVENT_KINDS], `This may be one of: ${EVENT_KINDS.join(', ')}.`),
    at: moment,
    entered: moment,
    coreC: yup.number().when('kind', {
      is: 'reading',
      then: () => readingSchema,
      otherwise: s => s.test('none', 'Only a reading has one.', v => v === undefined)
    }),
    probe: yup
      .string()
      .strict()
      .optional()
      .max(40, 'At most 40 letters.')
      .when('kind', { is: 'reading', otherwise: s => s.test('none', 'Only a reading has one.', v => v === undefined) }),
    seconds: yup.number().when(['kind', 'ovenC'], ([kind, ovenC]: unknown[], s) => {
      if (kind !== 'delayed' && kind !== 'parted') return s.test('none', 'Only a delay has them.', v => v === undefined)
      // An oven may be turned for what is behind, and nobody waits.
      const least = ovenC === undefined ? DELAY_LIMITS_S[0] : 0
      return figure.min(least, 'A minute at least.').max(DELAY_LIMITS_S[1], 'Three hours at most.')
    }),
    held: yup
      .boolean()
      .strict()
      .optional()
      .when('kind', { is: 'delayed', otherwise: s => s.test('none', 'Only a delay is held through.', v => v === undefined) }),
    flashS: yup.number().when('kind', {
      is: 'delayed',
      then: () => figure.min(FLASH_LIMITS_S[0], 'Ten seconds at least.').max(FLASH_LIMITS_S[1], 'Five minutes at most.').optional(),
      otherwise: s => s.test('none', 'Only a delay is followed by one.', v => v === undefined)
    }),
    ovenC: yup.number().when('kind', {
      is: 'delayed',
      then: () => within(OVEN_LIMITS_C, '°C').optional(),
      otherwise: s => s.test('none', 'Only a delay turns an oven.', v => v === undefined)
    }),
    undoes: yup
      .string()
      .when('kind', { is: 'undone', then: () => id, otherwise: s => s.test('none', 'Only an undo has one.', v => v === undefined) })
  })
  .noUnknown()

const outcomeShape = yup
  .object({
    doneness: yup
      .string()
      .strict()
      .nullable()
      .defined('This is missing.')
      .oneOf([...VERDICTS, null], `This may be one of: ${VERDICTS.join(', ')}.`),
    crust: yup
      .string()
      .strict()
      .nullable()
      .defined('This is missing.')
      .oneOf([...CRUSTS, null], `This may be one of: ${CRUSTS.join(', ')}.`),
    notes: yup.string().strict().defined('This is missing.').max(NOTES_LENGTH, `Notes may have ${NOTES_LENGTH} characters.`)
  })
  .noUnknown()
  .required()

const AFTER_LIMITS_S = [0, 48 * 3600] as const
const CALLED_LENGTH = 80
const inService = yup
  .object({
    id,
    after: yup
      .object({
        cookId: id,
        seconds: figure.min(AFTER_LIMITS_S[0], 'Not before that one.').max(AFTER_LIMITS_S[1], 'At most two days after that one.')
      })
      .noUnknown()
      .nullable()
      .default(null),
    called: yup.string().strict().defined('This is missing.').max(CALLED_LENGTH, `At most ${CALLED_LENGTH} letters.`),
    piece: lineId().optional()
  })
  .noUnknown()

const title = yup.string().strict().trim().required('A cook needs a name.').max(TITLE_LENGTH, `A name may have ${TITLE_LENGTH} characters.`)

const newCookShape = yup
  .object({
    id,
    title,
    createdAt: moment,
    request: yup.mixed().required('This is missing.'),
    /** Of a file from before every method had one request. */
    way: yup.mixed().nullable().default(null),
    planned: plannedShape,
    service: inService.nullable().default(null),
    rehearsed: yup.boolean().strict().optional()
  })
  .noUnknown()
  .required()

const eventsShape = yup
  .object({ events: yup.array(eventShape).required('The events are missing.').max(500, 'At most 500 events at once.') })
  .noUnknown()
  .required()

export interface NewCook {
  readonly id: string
  readonly title: string
  readonly createdAt: number
  readonly request: PlanRequest
  readonly planned: PlannedFigures
  readonly service: InService | null
  readonly rehearsed?: boolean | undefined
}

/** @throws InvalidInputError */
export function parseNewCook(input: unknown): NewCook {
  const { way, planned, ...given } = validate(newCookShape, input)
  const request = parseRequest(fromEarlier(given.request, way))
  return { ...given, request, planned: plannedFromEarlier(planned, request, way) }
}

/** @throws InvalidInputError */
export function parseEvents(input: unknown): CookEvent[] {
  return validate(eventsShape, input).events as unknown as CookEvent[]
}

const titleShape = yup.object({ title }).noUnknown().required()

const COOK_SORTS = ['made', 'to', 'time', 'off', 'highest', 'board'] as const
export type CookSort = (typeof COOK_SORTS)[number]
const MOST_A_PAGE = 500
const LONGEST_SEARCH = 200
/** As it stands in an address: as letters. */
const counted = (least: number, most: number): yup.NumberSchema<number | undefined> => {
  const wrong = `This may be a whole number from ${least} to ${most}.`
  return yup.number().typeError(wrong).integer(wrong).min(least, wrong).max(most, wrong)
}
const pageShape = yup
  .object({
    search: yup
      .string()
      .default('')
      .transform((given: unknown) => (typeof given === 'string' ? given.slice(0, LONGEST_SEARCH) : '')),
    skip: counted(0, 1e7).default(0),
    take: counted(1, MOST_A_PAGE).default(100),
    sort: optional(COOK_SORTS),
    order: optional(['up', 'down'] as const).default('down')
  })
  .required()
/** A page of the Book: what is looked for, by what it is sorted; the best first, or without any search the newest, where nothing is said. */
export interface CookPage {
  readonly search: string
  readonly skip: number
  readonly take: number
  readonly sort?: CookSort | undefined
  readonly order: 'up' | 'down'
}
/** @throws InvalidInputError */
export const parseCookPage = (input: unknown): CookPage => validate(pageShape, input) as CookPage

/** @throws InvalidInputError */
export const parseTitle = (input: unknown): string => validate(titleShape, input).title

/** s from the piece's going in, and °C. */
const LOG_LIMITS = { seconds: [-86_400, 4 * 86_400], celsius: [-60, 600] } as const
const logged = (limits: readonly [number, number], unit: string): yup.ArraySchema<number[], yup.AnyObject> =>
  yup.array(within(limits, unit)).required('This is missing.').min(2, 'Two at least.').max(600, 'At most 600.')
const logShape = yup
  .object({ name: named(NAME_LENGTH), seconds: logged(LOG_LIMITS.seconds, 's'), celsius: logged(LOG_LIMITS.celsius, '°C') })
  .noUnknown()
  .required()
  .test('pairs', 'There are as many times as temperatures, each later than the one before.', ({ seconds, celsius }) => {
    return seconds.length === celsius.length && seconds.every((s, i) => i === 0 || s > seconds[i - 1])
  })
/** @throws InvalidInputError */
export const parseLog = (input: unknown): ProbeLog => validate(logShape, input) as ProbeLog

/** @throws InvalidInputError */
export function parseOutcome(input: unknown): Outcome {
  return validate(outcomeShape, input) as Outcome
}
