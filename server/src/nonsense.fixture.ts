/** Nonsense of every kind, for every place of the server that takes a body: for a test's hundreds and a torture's thousands. */
import { plannedOf } from '#core/book/record'
import { READY_KITS } from '#core/kit/kit'
import { planned as planOf } from '#core/plan/planned.fixture'
import { FIRST_REQUEST } from '#core/request/firstRequest'
import { shippedRecipe } from '#core/service/recipes'

const PLANNED = plannedOf(planOf(FIRST_REQUEST).plan, null, 210)
const COOK = { id: 'cook-fine', title: 'Strip', createdAt: 1, request: FIRST_REQUEST, planned: PLANNED }
const TICKET = { serveAt: '2026-12-05T19:30', diners: 6, cooks: 1, lines: [{ id: 'r', recipe: 'rice' }] }
/** Every place that takes a body, with one that it takes. */
export const DOORS: readonly [method: 'post' | 'put', path: string, fine: object][] = [
  ['post', '/api/cooks', COOK],
  ['post', '/api/cooks/cook-fine/events', { events: [{ id: 'event-1', kind: 'reading', at: 1, entered: 1, coreC: 40 }] }],
  ['put', '/api/cooks/cook-fine/outcome', { doneness: null, crust: null, notes: '' }],
  ['put', '/api/cooks/cook-fine/title', { title: 'Strip' }],
  ['put', '/api/kit', READY_KITS[0].kit],
  [
    'put',
    '/api/packets/packet-1',
    {
      id: 'packet-1',
      cutId: 'strip',
      label: '',
      pieces: 1,
      weightG: 400,
      thicknessMm: null,
      wrap: 'open',
      place: 'fridge',
      since: 1,
      useBy: null,
      thawing: null,
      intact: 'yes'
    }
  ],
  ['put', '/api/recipes/rice', shippedRecipe('rice')!],
  ['post', '/api/everything', { recipes: [shippedRecipe('rice')!] }],
  ['post', '/api/services/service-1/events', { events: [{ id: 'said-1', at: 1, kind: 'ticket', ticket: TICKET }] }],
  ['post', '/api/rehearsals', { id: 'rehearsal-1', exercise: null }],
  ['put', '/api/rehearsals/rehearsal-1/speed', { speed: 5 }],
  ['put', '/api/drills/drilled-1', { id: 'drilled-1', kind: 'climb', right: 4, at: 1 }],
  ['post', '/api/probes/grey/readings', { name: 'Grey', readings: [{ at: 1, celsius: 20 }] }],
  ['put', '/api/probes/grey/place', { cook: null, tip: 'middle' }],
  ['post', '/api/print/call-sheet', { title: 'x', subtitle: '', lines: [], schedule: [], cautions: [], paper: 'A4' }],
  ['post', '/api/print/order-slip', { order: {}, units: 'metric' }]
]

/** JSON text: some of what follows no object could be made into. */
export const NONSENSE: readonly string[] = [
  'null',
  '0',
  '"x"',
  '[]',
  '{}',
  '{"toString":null}',
  '{"constructor":{"prototype":1}}',
  '{"__proto__":{"polluted":true}}',
  '{"hasOwnProperty":1,"valueOf":2}',
  `${'['.repeat(3000)}${']'.repeat(3000)}`,
  `${'{"a":'.repeat(3000)}1${'}'.repeat(3000)}`
]
/** What may stand where something was. */
export const INSTEAD: readonly string[] = [
  'null',
  '1e999',
  '-1e308',
  '""',
  '[]',
  '{}',
  '{"toString":null}',
  '{"__proto__":1}',
  '[[[[[[1]]]]]]',
  'true',
  '"\\u0000"',
  '{"length":3}'
]

export type Json = string | number | boolean | null | readonly Json[] | { readonly [key: string]: Json }
/** Every place within, as a path of keys. */
export function placesIn(value: Json, at: readonly (string | number)[] = []): (readonly (string | number)[])[] {
  if (value === null || typeof value !== 'object') return [at]
  const within = Array.isArray(value) ? value.slice(0, 2).map((v: Json, i) => [i, v] as const) : Object.entries(value)
  return [at, ...within.flatMap(([key, v]) => placesIn(v, [...at, key]))]
}
/** The text of it with something else at one place. */
export function withInstead(value: Json, [key, ...rest]: readonly (string | number)[], text: string): string {
  if (key === undefined) return text
  if (Array.isArray(value)) return `[${value.map((v: Json, i) => (i === key ? withInstead(v, rest, text) : JSON.stringify(v))).join()}]`
  const parts = Object.entries(value as Record<string, Json>).map(
    ([k, v]) => `${JSON.stringify(k)}:${k === key ? withInstead(v, rest, text) : JSON.stringify(v)}`
  )
  return `{${parts.join()}}`
}
