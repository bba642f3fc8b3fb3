/** Whatever is sent, nothing of it breaks the server: every answer says what is wrong, and the next one is as before. */
import type { Express } from 'express'
import type { Knex } from 'knex'
import fc from 'fast-check'
import pino from 'pino'
import request from 'supertest'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { createApp } from './app'
import { emptyDatabase } from './db/place.fixture'
import { DOORS, INSTEAD, NONSENSE, placesIn, withInstead, type Json } from './nonsense.fixture'

let db: Knex
let app: Express
beforeAll(async () => {
  db = await emptyDatabase()
  app = createApp({ db, log: pino({ level: 'silent' }), pages: null, requestsAMinute: 1e9 })
})
afterAll(() => db.destroy())

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
