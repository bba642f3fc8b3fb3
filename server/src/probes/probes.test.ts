/** Thermometers over the wire: heard, thinned, put into a piece, and told to every screen. */
import type { Express } from 'express'
import { once } from 'node:events'
import type { Server } from 'node:http'
import type { AddressInfo } from 'node:net'
import type { Knex } from 'knex'
import pino from 'pino'
import request from 'supertest'
import { afterEach, beforeEach, describe, expect, it } from 'vitest'
import { plannedOf, type CookRecord } from '#core/book/record'
import { planned } from '#core/plan/planned.fixture'
import { FIRST_REQUEST } from '#core/request/firstRequest'
import type { Probe } from '#core/session/probes'
import { createApp } from '#server/app'
import { emptyDatabase } from '#server/db/place.fixture'

let db: Knex
let app: Express
const figures = plannedOf(planned(FIRST_REQUEST).plan, null, 200)
const LAID = 1_750_000_000_000
beforeEach(async () => {
  db = await emptyDatabase()
  app = createApp({ db, log: pino({ level: 'silent' }), pages: null })
  const cook = {
    id: 'cook-probe',
    title: 'Strip',
    createdAt: LAID,
    request: FIRST_REQUEST,
    planned: figures,
    service: { id: 'service-1', after: null, called: '' }
  }
  await request(app).post('/api/cooks').send(cook).expect(201)
})
afterEach(() => db.destroy())

const say = (readings: object[], id = 'grey', more: object = {}): request.Test =>
  request(app)
    .post(`/api/probes/${id}/readings`)
    .send({ readings, ...more })
const events = async (): Promise<CookRecord['events']> => ((await request(app).get('/api/cooks/cook-probe')).body as CookRecord).events
const tell = (kind: string, at: number): request.Test =>
  request(app)
    .post('/api/cooks/cook-probe/events')
    .send({ events: [{ id: `${kind}-${at}`, kind, at, entered: at }] })

describe('a probe', () => {
  it('is known from its first word on, by its name, and is in nothing', async () => {
    const { body } = await say([{ celsius: 21.5 }], 'grey', { name: 'Grey probe' }).expect(202)
    expect(body).toMatchObject({ id: 'grey', name: 'Grey probe', cook: null, tip: 'middle', last: { celsius: 21.5 }, doubted: false })
    const { body: all } = await request(app).get('/api/probes').expect(200)
    expect((all as { probes: Probe[] }).probes.map(p => p.name)).toEqual(['Grey probe'])
    await request(app).delete('/api/probes/grey').expect(204)
    await request(app).delete('/api/probes/grey').expect(404)
  })

  it('in the middle of a piece is heard by its cook while that is on the heat or rests: seldom, under its name', async () => {
    await say([{ at: LAID - 20_000, celsius: 8 }], 'grey', { name: 'Grey probe' })
    await request(app).put('/api/probes/grey/place').send({ cook: 'cook-probe', tip: 'middle' }).expect(200)
    await say([{ at: LAID - 10_000, celsius: 8 }])
    expect(await events()).toEqual([])
    await tell('laid', LAID)
    const spoken = Array.from({ length: 60 }, (_, i) => ({ at: LAID + 5000 * i, celsius: 8 + 0.1 * i }))
    for (let i = 0; i < spoken.length; i += 20) await say(spoken.slice(i, i + 20)).expect(202)
    const heard = (await events()).filter(e => e.kind === 'reading')
    expect(heard.map(e => (e.at - LAID) / 1000)).toEqual([0, 45, 90, 135, 180, 225, 270])
    expect(heard[3]).toMatchObject({ coreC: 10.7, probe: 'Grey probe' })
    await tell('pulled', LAID + 400_000)
    await tell('carved', LAID + 500_000)
    await say([{ at: LAID + 600_000, celsius: 30 }])
    expect((await events()).filter(e => e.kind === 'reading')).toHaveLength(7)
  })

  it('in the air is shown and never heard', async () => {
    await tell('laid', LAID)
    await say([{ celsius: 160 }], 'oven')
    await request(app).put('/api/probes/oven/place').send({ cook: 'cook-probe', tip: 'air' }).expect(200)
    await say([{ at: LAID + 60_000, celsius: 165 }], 'oven')
    expect((await events()).map(e => e.kind)).toEqual(['laid'])
  })

  it('put into another piece begins anew there', async () => {
    await tell('laid', LAID)
    await say([{ at: LAID, celsius: 21 }])
    await request(app).put('/api/probes/grey/place').send({ cook: 'cook-probe', tip: 'middle' })
    const { body } = await say([{ at: LAID + 10_000, celsius: 44 }])
    expect((body as Probe).doubted).toBe(true)
    await say([{ at: LAID + 15_000, celsius: 44.1 }])
    expect((await events()).filter(e => e.kind === 'reading').map(e => e.coreC)).toEqual([44.1])
  })

  it.each([
    [{}, 422],
    [{ readings: [] }, 422],
    [{ readings: [{ celsius: 'hot' }] }, 422],
    [{ readings: [{ celsius: 4000 }] }, 422],
    [{ readings: [{ celsius: 40, at: -5 }] }, 422],
    [{ readings: [{ celsius: 40 }], extra: true }, 422]
  ])('%j is refused', async (body, status) => {
    await request(app)
      .post('/api/probes/grey/readings')
      .send(body)
      .expect(status)
      .expect('content-type', /problem/)
  })

  it('cannot be in a cook that there is not, nor be one of hundreds', async () => {
    await say([{ celsius: 20 }])
    await request(app).put('/api/probes/grey/place').send({ cook: 'cook-nobody', tip: 'middle' }).expect(404)
    await request(app).put('/api/probes/nobody/place').send({ cook: null, tip: 'middle' }).expect(404)
    await request(app).put('/api/probes/grey/place').send({ cook: null, tip: 'ear' }).expect(422)
    await say([{ celsius: 20 }], 'a b').expect(422)
    for (let i = 1; i < 40; i++) await say([{ celsius: 20 }], `p${i}`).expect(202)
    await say([{ celsius: 20 }], 'one-too-many').expect(409)
  })
})

it('what it says comes down every stream as it is said', async () => {
  const server: Server = app.listen(0, '127.0.0.1')
  await once(server, 'listening')
  const url = `http://127.0.0.1:${(server.address() as AddressInfo).port}/api`
  const streams = await Promise.all([`${url}/services/service-1/changes`, `${url}/probes/changes`].map(of => fetch(of)))
  await say([{ celsius: 33 }], 'grey')
  for (const stream of streams) {
    const reader = stream.body!.pipeThrough(new TextDecoderStream()).getReader()
    let text = ''
    while (!text.includes('"celsius":33')) text += (await reader.read()).value ?? ''
    expect(text).toContain('event: probe')
    await reader.cancel()
  }
  server.closeAllConnections()
  server.close()
})
