/** The whole kitchen out and in again: whole into an empty one, nothing twice and nothing lost in a full one, and nonsense refused. */
import type { Express } from 'express'
import type { Knex } from 'knex'
import pino from 'pino'
import request from 'supertest'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { plannedOf } from '#core/book/record'
import { partsOf, type TakenIn } from '#core/formats/everythingSchema'
import { READY_KITS } from '#core/kit/kit'
import { planned as planOf } from '#core/plan/planned.fixture'
import { FIRST_REQUEST } from '#core/request/firstRequest'
import { shippedRecipe } from '#core/service/recipes'
import { createApp } from '#server/app'
import { emptyDatabase } from '#server/db/place.fixture'

interface Kitchen {
  readonly db: Knex
  readonly app: Express
}
const kitchens: Kitchen[] = []
async function aKitchen(): Promise<Kitchen> {
  const db = await emptyDatabase()
  const kitchen = { db, app: createApp({ db, log: pino({ level: 'silent' }), pages: null }) }
  kitchens.push(kitchen)
  return kitchen
}
afterAll(() => Promise.all(kitchens.map(k => k.db.destroy())))

const planned = plannedOf(planOf(FIRST_REQUEST).plan, null, 210)
const cook = (id: string, createdAt: number) => ({ id, title: `Strip ${id}`, createdAt, request: FIRST_REQUEST, planned })
const event = (id: string, kind: string, at: number, more: object = {}) => ({ id, kind, at, entered: at, ...more })
const ticket = { serveAt: '2026-12-05T19:30', diners: 6, cooks: 1, lines: [{ id: 'r', recipe: 'own-mash', portions: 2 }] }
const packet = {
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
const own = { ...shippedRecipe('mash')!, id: 'own-mash', name: 'Smoked mash' }

async function fill({ app, db }: Kitchen): Promise<void> {
  const cooks = [
    cook('cook-one', 1000),
    { ...cook('cook-two', 2000), service: { id: 'supper-1', after: null, called: 'thick one' } },
    cook('cook-gone', 3000)
  ]
  for (const c of cooks) await request(app).post('/api/cooks').send(c).expect(201)
  const events = [
    event('e-lit-1', 'lit', 2001),
    event('e-laid-1', 'laid', 2400),
    event('e-read-1', 'reading', 2900, { coreC: 44.5 }),
    event('e-late-1', 'delayed', 2950, { seconds: 1200, held: true, flashS: 45 })
  ]
  await request(app).post('/api/cooks/cook-two/events').send({ events }).expect(200)
  await request(app).put('/api/cooks/cook-two/outcome').send({ doneness: 'as wanted', crust: 'good', notes: 'Ömer liked it' }).expect(200)
  await request(app).delete('/api/cooks/cook-gone').expect(204)
  await request(app)
    .post('/api/services/supper-1/events')
    .send({
      events: [
        { id: 'said-one', at: 5, kind: 'ticket', ticket },
        { id: 'said-two', at: 6, kind: 'named', name: 'Six for fish night' }
      ]
    })
    .expect(200)
  await request(app).put('/api/packets/packet-1').send(packet).expect(201)
  await request(app).put('/api/recipes/own-mash').send(own).expect(201)
  await request(app).put('/api/kit').send(READY_KITS[1].kit).expect(200)
  await request(app)
    .post('/api/probes/grey/readings')
    .send({ name: 'Grey one', readings: [{ celsius: 20 }] })
    .expect(202)
  await request(app).put('/api/probes/grey/place').send({ cook: 'cook-two', tip: 'middle' }).expect(200)
  await request(app).put('/api/drills/drilled-1').send({ id: 'drilled-1', kind: 'climb', right: 4, at: 5000 }).expect(201)
  const played = { exercise: 'thin-steak', seed: 7, created_at: 4000, clock_at: 4000, clock_since: 4000, speed: 1 }
  await db('rehearsals').insert([
    { ...played, id: 'rehearsal-done', points: 87 },
    { ...played, id: 'rehearsal-left', points: null }
  ])
}
const saved = async ({ app }: Kitchen): Promise<Record<string, unknown>> =>
  JSON.parse((await request(app).get('/api/everything').expect(200)).text) as Record<string, unknown>
async function bring({ app }: Kitchen, file: unknown): Promise<TakenIn[]> {
  const taken: TakenIn[] = []
  for (const part of partsOf(file)) taken.push((await request(app).post('/api/everything').send(part).expect(200)).body as TakenIn)
  return taken
}
const sum = (taken: readonly TakenIn[]): number =>
  taken.reduce((all, t) => all + t.cooks + t.services + t.packets + t.recipes + t.kit + t.probes + t.scores + t.drills, 0)
const contents = ({ savedAt: _, ...rest }: Record<string, unknown>): Record<string, unknown> => rest

describe('everything', () => {
  let full: Kitchen
  beforeAll(async () => {
    full = await aKitchen()
    await fill(full)
  })

  it('is one file, and in an empty kitchen the same again; told twice it is there once', async () => {
    const file = await saved(full)
    expect(file).toMatchObject({
      format: 'macellaio kitchen',
      version: 1,
      recipes: [{ name: 'Smoked mash' }],
      packets: [{ id: 'packet-1' }]
    })
    expect((file['cooks'] as { id: string }[]).map(c => c.id)).toEqual(['cook-one', 'cook-two'])
    const empty = await aKitchen()
    expect(sum(await bring(empty, file))).toBe(2 + 1 + 1 + 1 + 1 + 1 + 1 + 1)
    expect(contents(await saved(empty))).toEqual(contents(file))
    expect(sum(await bring(empty, file))).toBe(0)
    expect(contents(await saved(empty))).toEqual(contents(file))
    const { body } = await request(empty.app).get('/api/cooks/cook-two')
    expect(body).toMatchObject({ outcome: { notes: 'Ömer liked it' }, service: { id: 'supper-1', called: 'thick one' } })
    expect((body as { events: unknown[] }).events).toHaveLength(4)
    const probes = await request(empty.app).get('/api/probes')
    expect(probes.body).toMatchObject({ probes: [{ name: 'Grey one', cook: 'cook-two', tip: 'middle' }] })
    const rehearsals = await request(empty.app).get('/api/rehearsals')
    expect(rehearsals.body).toMatchObject({ best: { 'thin-steak': 87 } })
    // What was true in it is not told, nor is there anything to cut open.
    expect(JSON.stringify(file)).not.toContain('seed')
    expect(JSON.stringify(rehearsals.body)).not.toContain('rehearsal-done')
  })

  it('in a full kitchen adds what is missing, and leaves what is there, or was thrown away, as it is', async () => {
    const other = await aKitchen()
    await request(other.app).put('/api/kit').send(READY_KITS[0].kit).expect(200)
    await request(other.app)
      .put('/api/recipes/own-mash')
      .send({ ...own, name: 'Ours' })
      .expect(201)
    await request(other.app).post('/api/cooks').send(cook('cook-one', 1000)).expect(201)
    await request(other.app).put('/api/cooks/cook-one/title').send({ title: 'Renamed here' }).expect(200)
    await request(other.app).put('/api/packets/packet-1').send(packet).expect(201)
    await request(other.app).delete('/api/packets/packet-1').expect(204)
    const taken = await bring(other, await saved(full))
    expect(sum(taken)).toBe(1 + 1 + 1 + 1 + 1)
    const now = await saved(other)
    expect(now).toMatchObject({ recipes: [{ name: 'Ours' }], packets: [] })
    expect((now['cooks'] as { title: string }[])[0].title).toBe('Renamed here')
    expect(JSON.stringify(now['kit'])).toBe(JSON.stringify(READY_KITS[0].kit))
  })

  it('goes in parts that a body can have, however long the Book', () => {
    const many = Array.from({ length: 400 }, (_, i) => ({
      ...cook(`cook-${i}`, i),
      events: [],
      outcome: { doneness: null, crust: null, notes: '' },
      service: null
    }))
    const parts = partsOf({ format: 'macellaio kitchen', version: 1, cooks: many })
    expect(parts.flatMap(p => p.cooks ?? [])).toHaveLength(400)
    for (const p of parts) expect(JSON.stringify(p).length).toBeLessThan(256 * 1024)
  })

  it('a long evening’s log, larger than a body may be, comes back whole and in its order', async () => {
    const from = await aKitchen()
    const big = { ...ticket, lines: Array.from({ length: 12 }, (_, i) => ({ id: `r${i}`, recipe: `a-long-name-of-a-recipe-${i}` })) }
    const events = Array.from({ length: 620 }, (_, i) => ({
      id: `said-${1000 + i}`,
      at: i,
      kind: 'ticket',
      ticket: { ...big, diners: 1 + (i % 40) }
    }))
    for (let i = 0; i < events.length; i += 100)
      await request(from.app)
        .post('/api/services/long-one/events')
        .send({ events: events.slice(i, i + 100) })
        .expect(200)
    await request(from.app).post('/api/cooks').send(cook('cook-long', 1)).expect(201)
    const read = Array.from({ length: 130 }, (_, i) => event(`read-${1000 + i}`, 'reading', 10 + i, { coreC: 20 }))
    await request(from.app).post('/api/cooks/cook-long/events').send({ events: read }).expect(200)
    const file = await saved(from)
    expect(JSON.stringify(file['services']).length).toBeGreaterThan(256 * 1024)
    const to = await aKitchen()
    const taken = await bring(to, file)
    expect(taken.reduce((n, t) => n + t.services, 0)).toBe(1)
    expect(taken.reduce((n, t) => n + t.cooks, 0)).toBe(1)
    expect(contents(await saved(to))).toEqual(contents(file))
  })

  it.each([
    ['a cook without a plan', { cooks: [{ id: 'cook-x', title: 'x', createdAt: 1 }] }, 'cooks[0].'],
    ['a service that says nothing', { services: [{ id: 'supper-9', events: [] }] }, 'services[0].events'],
    ['a packet of nowhere', { packets: [{ ...packet, place: 'moon' }] }, 'packets[0].place'],
    ['a thermometer in no place', { probes: [{ id: 'grey', name: 'Grey', cook: null, tip: 'moon' }] }, 'probes[0].tip'],
    [
      'more points than there are',
      { scores: [{ id: 'r-1234567', exercise: 'thin-steak', createdAt: 1, points: 101 }] },
      'scores[0].points'
    ],
    ['a drill that is none', { drills: [{ id: 'drilled-9', kind: 'moon', right: 1, at: 1 }] }, 'drills[0].kind'],
    ['a key that is none', { wishes: [] }, 'wishes']
  ])('%s is refused with its key, and nothing of that part comes in', async (_, part, key) => {
    const kitchen = await aKitchen()
    const { body } = await request(kitchen.app).post('/api/everything').send(part).expect(422)
    expect(JSON.stringify(body)).toContain(key)
    expect(contents(await saved(kitchen))).toMatchObject({
      cooks: [],
      services: [],
      packets: [],
      recipes: [],
      kit: null,
      probes: [],
      scores: [],
      drills: []
    })
  })
  it('another file is told apart in words', () => {
    expect(() => partsOf({ format: 'macellaio ticket', version: 1 })).toThrow('no saved kitchen')
    expect(() => partsOf({ format: 'macellaio kitchen', version: 2 })).toThrow('Only version 1')
  })
})
