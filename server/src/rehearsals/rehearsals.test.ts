/** Rehearsals over the wire: what may cross before the cut, its clock, and that none of it gets into the Book. */
import type { Express } from 'express'
import type { Knex } from 'knex'
import pino from 'pino'
import request from 'supertest'
import { afterEach, beforeEach, describe, expect, it } from 'vitest'
import type { CookRecord } from '#core/book/record'
import { FIRST_REQUEST } from '#core/request/firstRequest'
import type { CutOpen } from '#core/rehearsal/cutOpen'
import { playedByCalls } from '#core/rehearsal/played.fixture'
import type { Rehearsal, RehearsalSummary } from '#core/rehearsal/record'
import { createApp } from '#server/app'
import { emptyDatabase } from '#server/db/place.fixture'

let db: Knex
let app: Express
beforeEach(async () => {
  db = await emptyDatabase()
  app = createApp({ db, log: pino({ level: 'silent' }), pages: null })
})
afterEach(() => db.destroy())

const ID = 'rehearsal-one'
const played = playedByCalls(FIRST_REQUEST)
const begin = (exercise: string | null = 'first-strip', id = ID): request.Test =>
  request(app).post('/api/rehearsals').send({ id, exercise })
async function light(id = 'cook-rehearsed', service = ID): Promise<void> {
  const { title, createdAt, planned } = played
  const cook = {
    id,
    title,
    createdAt,
    request: played.request,
    planned,
    service: { id: service, after: null, called: '' },
    rehearsed: true
  }
  await request(app).post('/api/cooks').send(cook).expect(201)
}
/** What was played, so that now is so many seconds after it was laid in. */
const told = (now: number, s: number, events = played.events): CookRecord['events'] => {
  const laid = events.find(e => e.kind === 'laid')!.at
  return events.map(e => ({ ...e, at: e.at + now - laid - 1000 * s, entered: e.entered + now - laid - 1000 * s })).filter(e => e.at <= now)
}
const tell = (events: CookRecord['events'], id = 'cook-rehearsed'): request.Test =>
  request(app).post(`/api/cooks/${id}/events`).send({ events })
const at = async (): Promise<Rehearsal> => (await request(app).get(`/api/rehearsals/${ID}`).expect(200)).body as Rehearsal

describe('a rehearsal', () => {
  it('has a clock of its own that goes as fast as it is told, and can be held', async () => {
    const before = Date.now()
    const { body } = await begin().expect(201)
    expect((body as Rehearsal).clock).toMatchObject({ speed: 1 })
    expect(Math.abs((body as Rehearsal).clock.at - before)).toBeLessThan(1000)
    await request(app).put(`/api/rehearsals/${ID}/speed`).send({ speed: 60 }).expect(200)
    await db('rehearsals').where({ id: ID }).decrement('clock_since', 60_000)
    const an_hour = (await at()).clock.at - before
    expect(an_hour / 3600_000).toBeCloseTo(1, 1)
    await request(app).put(`/api/rehearsals/${ID}/speed`).send({ speed: 0 }).expect(200)
    await db('rehearsals').where({ id: ID }).decrement('clock_since', 60_000)
    expect(Math.abs((await at()).clock.at - before - an_hour)).toBeLessThan(30_000)
    await begin('pot').expect(201)
    expect((await at()).exercise).toBe('first-strip')
  })

  it('says what is wrong with what it is asked', async () => {
    await begin('no-such').expect(422)
    await request(app).get('/api/rehearsals/nothing-here').expect(404)
    await begin().expect(201)
    for (const speed of [-1, 61, '2', null]) await request(app).put(`/api/rehearsals/${ID}/speed`).send({ speed }).expect(422)
    await request(app).get(`/api/rehearsals/${ID}/cooks/none-here/cut`).expect(404)
    await light()
    await request(app).post(`/api/rehearsals/${ID}/cooks/cook-rehearsed/probe`).expect(409)
    await request(app).get(`/api/rehearsals/${ID}/cooks/cook-rehearsed/cut`).expect(409)
  })

  it('tells signs, and a thermometer what it shows; where there is none on board, nothing', async () => {
    await begin().expect(201)
    await light()
    await tell(told(Date.now(), 300)).expect(200)
    const { cooks } = await at()
    expect(cooks[0].signs).toMatchObject({ pan: null, smoke: 'none', flames: false })
    expect(cooks[0].signs.hiss!.loud).toBeGreaterThan(0)
    const { body: read } = await request(app).post(`/api/rehearsals/${ID}/cooks/cook-rehearsed/probe`).expect(200)
    expect((read as { celsius: number }).celsius).toBeGreaterThan(3)
    expect((read as { celsius: number }).celsius).toBeLessThan(45)
    await begin('by-feel', 'rehearsal-two').expect(201)
    await light('cook-by-feel', 'rehearsal-two')
    await request(app).post('/api/rehearsals/rehearsal-two/cooks/cook-by-feel/probe').expect(409)
  })

  it('lets nothing of the truth out before the cut: not in any answer, and not by a figure', async () => {
    await begin().expect(201)
    await light()
    const now = Date.now()
    await tell(told(now, 300)).expect(200)
    const answers = await Promise.all(
      [`/api/rehearsals/${ID}`, '/api/rehearsals', '/api/cooks/cook-rehearsed', `/api/services/${ID}/cooks`, '/api/everything'].map(
        async path => JSON.stringify((await request(app).get(path)).body)
      )
    )
    const [{ seed }] = (await db('rehearsals').select('seed')) as { seed: number }[]
    for (const answer of answers) {
      expect(answer).not.toContain(String(seed))
      expect(answer).not.toMatch(/twist|unknowns|hidden|"seed/)
    }
    // Of the piece nothing but words and a loudness by twentieths.
    const { signs } = (await at()).cooks[0]
    expect(Object.keys(signs).sort()).toEqual(['feel', 'fire', 'flames', 'hiss', 'pan', 'shade', 'smoke'])
    expect(20 * signs.hiss!.loud).toBeCloseTo(Math.round(20 * signs.hiss!.loud), 9)
  })

  it('is cut open when it is carved, has its points then, and the best of each exercise is kept', async () => {
    await begin().expect(201)
    await light()
    await tell(told(Date.now(), 3000)).expect(200)
    const { body } = await request(app).get(`/api/rehearsals/${ID}/cooks/cook-rehearsed/cut`).expect(200)
    const cut = body as CutOpen
    expect(cut.served.peakC).toBeGreaterThan(48)
    expect(cut.hidden.thicknessMm).toBeCloseTo(38, -1)
    expect((await at()).points).toBe(cut.score.points)
    const { body: all } = await request(app).get('/api/rehearsals').expect(200)
    const { rehearsals, best } = all as { rehearsals: RehearsalSummary[]; best: Record<string, number> }
    expect(best).toEqual({ 'first-strip': cut.score.points })
    expect(rehearsals[0]).toMatchObject({ id: ID, points: cut.score.points, cooks: [{ id: 'cook-rehearsed' }] })
    // Said again it is the same truth.
    expect((await request(app).get(`/api/rehearsals/${ID}/cooks/cook-rehearsed/cut`)).body).toEqual(body)
  })

  it('is no page of the Book, is not found in it, is not learned from and not saved', async () => {
    await begin().expect(201)
    await light()
    await tell(told(Date.now(), 3000)).expect(200)
    await tell([{ id: 'read-one', kind: 'reading', at: Date.now(), entered: Date.now(), coreC: 50 }]).expect(200)
    expect((await request(app).get('/api/cooks')).body).toMatchObject({ cooks: [], total: 0 })
    expect((await request(app).get('/api/cooks?search=rehearsed')).body).toMatchObject({ cooks: [], total: 0 })
    expect((await request(app).get('/api/cooks/read')).body).toEqual({ cooks: [] })
    expect(JSON.stringify((await request(app).get('/api/everything')).body)).not.toContain('cook-rehearsed')
  })

  it('keeps what was done of its sides for every device, once, and takes their lateness off its points', async () => {
    await begin('whole-service').expect(201)
    await light()
    const now = Date.now()
    await tell(told(now, 3000)).expect(200)
    const { sides } = await at()
    expect(sides.length).toBeGreaterThan(5)
    expect(sides.every(s => s.doneAt === null)).toBe(true)
    const side = (call: string): string => `/api/rehearsals/${ID}/sides/${encodeURIComponent(call)}`
    const said = (await request(app).put(side(sides[0].id)).expect(200)).body as Rehearsal
    const { doneAt } = said.sides[0]
    expect(Math.abs(doneAt! - now)).toBeLessThan(5000)
    await request(app).put(side(sides[0].id)).expect(200)
    expect((await at()).sides[0].doneAt).toBe(doneAt)
    await request(app).delete(side(sides[0].id)).expect(200)
    expect((await at()).sides[0].doneAt).toBeNull()
    await request(app).put(side('no-such step')).expect(404)
    await request(app)
      .put(`/api/rehearsals/none-there/sides/${encodeURIComponent(sides[0].id)}`)
      .expect(404)

    // Each done on its time but the first side, which is never made.
    const laidAt = told(now, 3000).find(e => e.kind === 'laid')!.at
    const made = sides.filter(s => s.of !== sides[0].of)
    await db('rehearsal_calls').insert(made.map(s => ({ rehearsal_id: ID, call_id: s.id, done_at: laidAt + 1000 * s.dueS })))
    const { body } = await request(app).get(`/api/rehearsals/${ID}/cooks/cook-rehearsed/cut`).expect(200)
    expect((await at()).points).toBe(Math.max(0, (body as CutOpen).score.points - 8))
  })

  it('how a drill went is told once, and known at every screen', async () => {
    const done = (n: number, at: number): object => ({ id: `drilled-${n}`, kind: 'climb', right: n, at })
    await request(app).put('/api/drills/drilled-4').send(done(4, 2000)).expect(201)
    await request(app).put('/api/drills/drilled-1').send(done(1, 1000)).expect(201)
    await request(app)
      .put('/api/drills/drilled-4')
      .send({ ...done(4, 2000), right: 5 })
      .expect(200)
    expect((await request(app).get('/api/drills')).body).toEqual({ drills: [done(1, 1000), done(4, 2000)] })
    await request(app).put('/api/drills/drilled-7').send(done(7, 1)).expect(422)
    await request(app).put('/api/drills/drilled-2').send(done(3, 1)).expect(422)
  })

  it('one pan is one pan: the second piece meets it as the first one has it', async () => {
    await begin('two-donenesses').expect(201)
    await light('cook-first')
    await light('cook-second')
    const now = Date.now()
    const lit = { id: 'lit-second', kind: 'lit' as const, at: now - 900_000, entered: now - 900_000 }
    await tell(told(now, 400), 'cook-first').expect(200)
    await tell([lit], 'cook-second').expect(200)
    const { cooks } = await at()
    // Fifteen minutes on an empty ring it would smoke.
    expect(cooks.find(c => c.id === 'cook-second')!.signs).toMatchObject({ smoke: 'none' })
    await db('cook_events').where({ cook_id: 'cook-first' }).delete()
    expect((await at()).cooks.find(c => c.id === 'cook-second')!.signs.smoke).toBe('steady')
  })
})
