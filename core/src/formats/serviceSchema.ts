/** What the server takes of a service, checked by one schema on both sides. */
import * as yup from 'yup'
import { epochMs, lineId, madeHere } from '#core/input/plainFields'
import { InvalidInputError, validate } from '#core/input/problem'
import { parseRequest } from '#core/request/schema'
import { SERVICE_EVENT_KINDS, type ServiceEvent } from '#core/service/record'
import { parsePrepared } from './preparedSchema'
import { parseTicket } from './ticketSchema'

export const SERVICE_NAME_LENGTH = 80
const MOST_EVENTS = 200
const MOST_KEPT = 300

const id = madeHere()
const moment = epochMs()

/** Which key carries what is said, by the kind; `begun anew` says all by itself. */
const CARRIES = {
  named: 'name',
  ticket: 'ticket',
  fire: 'request',
  'put off': 'keeps',
  done: 'call',
  'not done': 'call',
  'begun anew': null
} as const

/** @returns as another schema reads it; its own problems under this key */
function within<T>(key: string, parse: (input: unknown) => T, input: unknown): T {
  try {
    return parse(input)
  } catch (error) {
    if (!(error instanceof InvalidInputError)) throw error
    throw new InvalidInputError(error.problems.map(p => ({ ...p, key: p.key ? `${key}.${p.key}` : key })))
  }
}

const PARSED = {
  name: (input: unknown) =>
    validate(
      yup.string().strict().defined('This is missing.').trim().max(SERVICE_NAME_LENGTH, `At most ${SERVICE_NAME_LENGTH} letters.`),
      input
    ),
  ticket: parseTicket,
  request: parseRequest,
  call: (input: unknown) => validate(yup.string().strict().required('This is missing.').max(120, 'At most 120 letters.'), input),
  keeps: (input: unknown) => {
    const kept = validate(yup.object().required('This is missing.'), input) as Record<string, unknown>
    const entries = Object.entries(kept)
    const wrong = entries.find(([key, s]) => key.length > 120 || typeof s !== 'number' || !Number.isFinite(s) || Math.abs(s) > 48 * 3600)
    if (wrong || entries.length > MOST_KEPT)
      throw new InvalidInputError([{ key: wrong?.[0] ?? '', message: 'Seconds by step, at most two days of them.' }])
    return Object.fromEntries(entries)
  }
} as const

/** What may be said with a piece at the fire: which it is, and how it is got ready. */
const BESIDE = [
  ['piece', (input: unknown) => validate(lineId(), input)],
  ['prepared', parsePrepared]
] as const

const headShape = yup
  .object({
    id,
    at: moment,
    kind: yup
      .string()
      .strict()
      .required('This is missing.')
      .oneOf([...SERVICE_EVENT_KINDS], `One of: ${SERVICE_EVENT_KINDS.join(', ')}.`)
  })
  .required('This is missing.')

function parseServiceEvent(input: unknown): ServiceEvent {
  const { id: own, at, kind } = validate(headShape, input) as { id: string; at: number; kind: keyof typeof CARRIES }
  const carries = CARRIES[kind]
  const beside = kind === 'fire' ? BESIDE : []
  const unknown = Object.keys(input as object).find(k => !['id', 'at', 'kind', carries, ...beside.map(([key]) => key)].includes(k))
  if (unknown !== undefined) throw new InvalidInputError([{ key: unknown, message: 'There is no such key here.' }])
  const said =
    carries === null
      ? {}
      : { [carries]: within(carries, PARSED[carries] as (i: unknown) => unknown, (input as Record<string, unknown>)[carries]) }
  const given = input as Readonly<Record<string, unknown>>
  const more = beside.flatMap(([key, parse]) => (given[key] === undefined ? [] : [[key, within<unknown>(key, parse, given[key])]]))
  return { id: own, at, kind, ...said, ...Object.fromEntries(more) } as ServiceEvent
}

const listShape = yup
  .object({
    events: yup.array().required('This is missing.').min(1, 'At least one.').max(MOST_EVENTS, `At most ${MOST_EVENTS} at once.`)
  })
  .noUnknown()
  .required('This is missing.')

/** @throws InvalidInputError */
export function parseServiceEvents(input: unknown): ServiceEvent[] {
  const { events } = validate(listShape, input) as { events: unknown[] }
  return events.map((e, i) => within(`events[${i}]`, parseServiceEvent, e))
}

/** @throws InvalidInputError */
export const parseServiceId = (input: unknown): string => validate(id, input)
/** @throws InvalidInputError */
export const parseServiceName = (input: unknown): string => PARSED.name(input)
