/** Services with a real database file: told twice they are told once, from two devices they come to one, and a restart loses nothing. */
import type { Express } from 'express'
import type { Knex } from 'knex'
import type { AddressInfo } from 'node:net'
import pino from 'pino'
import request from 'supertest'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { plannedOf } from '#core/book/record'
import { planned as planOf } from '#core/plan/planned.fixture'
import { FIRST_REQUEST } from '#core/request/firstRequest'
import type { ServiceRecord, ServiceSummary } from '#core/service/record'
import type { Ticket } from '#core/service/ticket'
import { createApp } from '#server/app'
import { openDatabase } from '#server/db/database'
import { emptyPlace } from '#server/db/place.fixture'

const place = await emptyPlace()
const log = pino({ level: 'silent' })
let db: Knex
let app: Express
const open = async (): Promise<void> => {
  db = await openDatabase(place)
  app = createApp({ db, log, pages: null })
}
beforeAll(open)
afterAll(() => db.destroy())

const TICKET: Ticket = { serveAt: '2026-12-05T19:30', diners: 6, cooks: 1, lines: [{ id: 'r', recipe: 'rice' }] }
let count = 0
const said = (rest: object): object => ({ id: `event-${(count += 1)}`, at: 1_780_000_000_000 + count, ...rest })
const tell = async (id: string, ...events: object[]): Promise<ServiceRecord> =>
  (await request(app).post(`/api/services/${id}/events`).send({ events }).expect(200)).body as ServiceRecord
const list = async (): Promise<ServiceSummary[]> =>
  ((await request(app).get('/api/services').expect(200)).body as { services: ServiceSummary[] }).services

describe('a service', () => {
  it('is what was last decided of it, whatever device said it and however often', async () => {
    const done = said({ kind: 'done', call: 'r 0 on' })
    await tell('saturday', said({ kind: 'ticket', ticket: TICKET }), said({ kind: 'named', name: 'Lock supper' }), done)
    await tell('saturday', done, said({ kind: 'done', call: 'r 1 on' }), said({ kind: 'fire', request: FIRST_REQUEST }))
    const both = await tell(
      'saturday',
      said({ kind: 'not done', call: 'r 0 on' }),
      said({ kind: 'ticket', ticket: { ...TICKET, diners: 8 } })
    )
    expect(both).toMatchObject({ name: 'Lock supper', done: ['r 1 on'], sequence: 7 })
    expect(both.ticket?.diners).toBe(8)
    expect(both.request).toEqual(FIRST_REQUEST)
    await db.destroy()
    await open()
    expect((await request(app).get('/api/services/saturday').expect(200)).body).toEqual(both)
  })

  it('is listed by its serving, with what is on it and what is at the fire for it', async () => {
    await tell('next-week', said({ kind: 'ticket', ticket: { ...TICKET, serveAt: '2026-12-12T12:30', lines: [] } }))
    const planned = plannedOf(planOf(FIRST_REQUEST).plan, null, 210)
    for (const id of ['cook-first', 'cook-second'])
      await request(app)
        .post('/api/cooks')
        .send({ id, title: id, createdAt: 1, request: FIRST_REQUEST, planned, service: { id: 'saturday', after: null, called: '' } })
        .expect(201)
    const carved = { id: 'carved-1', at: 9, entered: 9, kind: 'carved' }
    await request(app)
      .post('/api/cooks/cook-first/events')
      .send({ events: [carved] })
      .expect(200)
    expect(await list()).toMatchObject([
      { id: 'next-week', serveAt: '2026-12-12T12:30', dishes: [], cooks: 0, underWay: 0 },
      { id: 'saturday', name: 'Lock supper', diners: 8, dishes: ['Rice'], done: 1, cooks: 2, underWay: 1 }
    ])
    const undone = { id: 'undone-1', at: 10, entered: 10, kind: 'undone', undoes: 'carved-1' }
    await request(app)
      .post('/api/cooks/cook-first/events')
      .send({ events: [undone] })
      .expect(200)
    expect((await list())[1].underWay).toBe(2)
  })

  it('put away is out of the list, and put back is in it', async () => {
    await request(app).delete('/api/services/next-week').expect(204)
    expect((await list()).map(s => s.id)).toEqual(['saturday'])
    await request(app).post('/api/services/next-week/restored').expect(200)
    expect(await list()).toHaveLength(2)
    await request(app).delete('/api/services/nobodys').expect(404)
    await request(app).get('/api/services/nobodys').expect(404)
  })

  it('nonsense is refused by its key, with nothing of its neighbours kept', async () => {
    const before = (await request(app).get('/api/services/saturday')).body as ServiceRecord
    const wrong: readonly [object, string][] = [
      [{ kind: 'ticket', ticket: { ...TICKET, diners: 400 } }, 'events[1].ticket.diners'],
      [{ kind: 'fire', request: { ...FIRST_REQUEST, target: { ...FIRST_REQUEST.target, coreC: 400 } } }, 'events[1].request.target.coreC'],
      [{ kind: 'burnt down' }, 'events[1].kind'],
      [{ kind: 'done' }, 'events[1].call'],
      [{ kind: 'begun anew', call: 'x' }, 'events[1].call'],
      [{ kind: 'put off', keeps: { 'r 0': 'late' } }, 'events[1].keeps.r 0'],
      [{ kind: 'named', name: 'x'.repeat(200) }, 'events[1].name']
    ]
    for (const [event, key] of wrong) {
      const { body, headers } = await request(app)
        .post('/api/services/saturday/events')
        .send({ events: [said({ kind: 'done', call: 'fine' }), said(event)] })
        .expect(422)
      expect(headers['content-type']).toContain('application/problem+json')
      expect((body as { problems: { key: string }[] }).problems.map(p => p.key)).toEqual([key])
    }
    await request(app)
      .post('/api/services/x/events')
      .send({ events: [said({ kind: 'begun anew' })] })
      .expect(422)
    await request(app).get('/api/services?skip=-1').expect(422)
    expect((await request(app).get('/api/services/saturday')).body).toEqual(before)
  })
})

describe('who listens to a service', () => {
  it('is told of what is decided, of what happens at its fire, and of nothing else', async () => {
    const server = app.listen(0, '127.0.0.1')
    await new Promise(ready => server.once('listening', ready))
    const address = `http://127.0.0.1:${(server.address() as AddressInfo).port}/api`
    const post = (path: string, body: object): Promise<Response> =>
      fetch(address + path, { method: 'POST', body: JSON.stringify(body), headers: { 'Content-Type': 'application/json' } })
    const leaving = new AbortController()
    const stream = await fetch(`${address}/services/saturday/changes`, { signal: leaving.signal })
    expect(stream.headers.get('content-type')).toBe('text/event-stream')
    const reader = stream.body!.pipeThrough(new TextDecoderStream()).getReader()
    let heard = ''
    const hear = async (times: number): Promise<void> => {
      while (heard.split('event: changed').length - 1 < times) heard += (await reader.read()).value ?? ''
    }
    await post('/services/next-week/events', { events: [said({ kind: 'named', name: 'Not this one' })] })
    await post('/services/saturday/events', { events: [said({ kind: 'named', name: 'This one' })] })
    await hear(1)
    await post('/cooks/cook-second/events', { events: [{ id: 'lit-again', at: 20, entered: 20, kind: 'lit' }] })
    await hear(2)
    expect(heard.split('event: changed')).toHaveLength(3)
    leaving.abort()
    server.closeAllConnections()
    await new Promise(closed => server.close(closed))
  })
})
