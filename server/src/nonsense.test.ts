/** Whatever is sent, nothing of it breaks the server: every answer says what is wrong, and the next one is as before. */
import type { Express } from 'express'
import type { Knex } from 'knex'
import fc from 'fast-check'
import pino from 'pino'
import request from 'supertest'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { plannedOf } from '#core/book/record'
import { READY_KITS } from '#core/kit/kit'
import { shippedRecipe } from '#core/service/recipes'
import { planned as planOf } from '#core/plan/planned.fixture'
import { FIRST_REQUEST } from '#core/request/firstRequest'
import { createApp } from './app'
import { openDatabase } from './db/database'

let db: Knex
let app: Express
beforeAll(async () => {
  db = await openDatabase(':memory:')
  app = createApp({ db, log: pino({ level: 'silent' }), pages: null, requestsAMinute: 1e9 })
})
afterAll(() => db.destroy())

const PLANNED = plannedOf(planOf(FIRST_REQUEST).plan, null, 210)
const COOK = { id: 'cook-fine', title: 'Strip', createdAt: 1, request: FIRST_REQUEST, planned: PLANNED }
const TICKET = { serveAt: '2026-12-05T19:30', diners: 6, cooks: 1, lines: [{ id: 'r', recipe: 'rice' }] }
/** Every place that takes a body, with one that it takes. */
const DOORS: readonly [method: 'post' | 'put', path: string, fine: object][] = [
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
  ['post', '/api/print/call-sheet', { title: 'x', subtitle: '', lines: [], schedule: [], cautions: [], paper: 'A4' }],
  ['post', '/api/print/order-slip', { order: {}, units: 'metric' }]
]

/** JSON text: some of what follows no object could be made into. */
const NONSENSE: readonly string[] = [
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
const INSTEAD: readonly string[] = [
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

type Json = string | number | boolean | null | readonly Json[] | { readonly [key: string]: Json }
/** Every place within, as a path of keys. */
function placesIn(value: Json, at: readonly (string | number)[] = []): (readonly (string | number)[])[] {
  if (value === null || typeof value !== 'object') return [at]
  const within = Array.isArray(value) ? value.slice(0, 2).map((v: Json, i) => [i, v] as const) : Object.entries(value)
  return [at, ...within.flatMap(([key, v]) => placesIn(v, [...at, key]))]
}
/** The text of it with something else at one place. */
function withInstead(value: Json, [key, ...rest]: readonly (string | number)[], text: string): string {
  if (key === undefined) return text
  if (Array.isArray(value)) return `[${value.map((v: Json, i) => (i === key ? withInstead(v, rest, text) : JSON.stringify(v))).join()}]`
  const parts = Object.entries(value as Record<string, Json>).map(
    ([k, v]) => `${JSON.stringify(k)}:${k === key ? withInstead(v, rest, text) : JSON.stringify(v)}`
  )
  return `{${parts.join()}}`
}

const send = async (method: 'post' | 'put', path: string, text: string): Promise<request.Response> =>
  request(app)[method](path).set('Content-Type', 'application/json').send(text)

describe.each(DOORS)('%s %s', (method, path, fine) => {
  it.each(NONSENSE)('answers nonsense with what is wrong: %#', async text => {
    const { status, headers } = await send(method, path, text)
    expect(status).toBeGreaterThanOrEqual(400)
    expect(status).toBeLessThan(500)
    expect(headers['content-type']).toContain('application/problem+json')
  })

  it('with something else at any one place of what it takes it never breaks', async () => {
    const places = placesIn(fine as Json)
    await fc.assert(
      fc.asyncProperty(fc.constantFrom(...places), fc.constantFrom(...INSTEAD), async (place, text) => {
        const { status } = await send(method, path, withInstead(fine as Json, place, text))
        expect(status, `${place.join('.')} = ${text}`).toBeLessThan(500)
      }),
      { numRuns: 120 }
    )
  })
})

it('after all of it the lists can be read, and nothing was put where all objects look', async () => {
  for (const path of ['/api/cooks', '/api/cooks/read', '/api/services', '/api/kit', '/api/packets', '/api/recipes'])
    await request(app).get(path).expect(200)
  expect('polluted' in {}).toBe(false)
})
