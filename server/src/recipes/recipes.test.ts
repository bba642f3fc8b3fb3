/** Recipes with a real database: kept once, changed in place, named in the list of services, and nonsense refused. */
import type { Express } from 'express'
import type { Knex } from 'knex'
import pino from 'pino'
import request from 'supertest'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { shippedRecipe } from '#core/service/recipes'
import type { ServiceSummary } from '#core/service/record'
import { createApp } from '#server/app'
import { emptyDatabase } from '#server/db/place.fixture'

let db: Knex
let app: Express
beforeAll(async () => {
  db = await emptyDatabase()
  app = createApp({ db, log: pino({ level: 'silent' }), pages: null })
})
afterAll(() => db.destroy())

const own = { ...shippedRecipe('mash')!, id: 'own-mash', name: 'Smoked mash' }
const put = (id: string, body: object) => request(app).put(`/api/recipes/${id}`).send(body)
const kept = async (): Promise<unknown> => ((await request(app).get('/api/recipes').expect(200)).body as { recipes: unknown }).recipes

describe('recipes of a kitchen', () => {
  it('are kept, changed in place, and never twice', async () => {
    expect(await kept()).toEqual([])
    await put('own-mash', own).expect(201)
    await put('own-mash', { ...own, out: true }).expect(200)
    expect(await kept()).toEqual([{ ...own, out: true }])
    await put('own-mash', own).expect(200)
  })
  it('are refused where they are none, with the key, and nothing changes', async () => {
    const { body } = await put('own-mash', { ...own, steps: [] }).expect(422)
    expect(JSON.stringify(body)).toContain('At least one step')
    await put('other-id', own).expect(422)
    expect(await kept()).toEqual([own])
  })
  it('have their name in the list of services', async () => {
    const ticket = { serveAt: '2026-12-05T19:30', diners: 6, cooks: 1, lines: [{ id: 'r', recipe: 'own-mash', portions: 2 }] }
    const event = { id: 'event-of-it', at: 1_780_000_000_000, kind: 'ticket', ticket }
    await request(app)
      .post('/api/services/supper-one/events')
      .send({ events: [event] })
      .expect(200)
    const { services } = (await request(app).get('/api/services')).body as { services: ServiceSummary[] }
    expect(services[0].dishes).toEqual(['Smoked mash'])
  })
  it('that a later version wrote are left where they are, and the others read', async () => {
    await db('recipes').insert({ id: 'broken', changed_at: 1, recipe: '{' })
    expect(await kept()).toEqual([own])
  })
})
