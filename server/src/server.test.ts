/** The server with a real database: what is told is kept, twice told is kept once, and a restart loses nothing. */
import type { Express } from 'express'
import type { Knex } from 'knex'
import pino from 'pino'
import request from 'supertest'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { plannedOf, type CookRecord, type CookSummary } from '#core/book/record'
import { READY_KITS } from '#core/kit/kit'
import { cutById } from '#core/meat/cuts'
import type { Packet } from '#core/shop/larder'
import { orderFor } from '#core/shop/orderSlip'
import { FIRST_REQUEST } from '#core/request/firstRequest'
import { planned as planOf } from '#core/plan/planned.fixture'
import { by } from '#core/request/request'
import { createApp } from './app'
import { openDatabase } from './db/database'
import { emptyPlace, ON_POSTGRES } from './db/place.fixture'

const place = await emptyPlace()
const log = pino({ level: 'silent' })
let db: Knex
let app: Express

const planned = plannedOf(planOf(FIRST_REQUEST).plan, null, 210)
const MADE = 1_750_000_000_000
const cook = (id: string, title = 'Strip'): object => ({ id, title, createdAt: MADE, request: FIRST_REQUEST, planned })
const event = (id: string, at: number, rest: object): object => ({ id, at, entered: at, ...rest })

beforeAll(async () => {
  db = await openDatabase(place)
  app = createApp({ db, log, pages: null })
})
afterAll(() => db.destroy())

describe('a cook is kept', () => {
  it('from its beginning to the verdict', async () => {
    await request(app).post('/api/cooks').send(cook('cook-one')).expect(201).expect('location', '/api/cooks/cook-one')
    const told = await request(app)
      .post('/api/cooks/cook-one/events')
      .send({ events: [event('e-laid', 1000, { kind: 'laid' }), event('e-read', 2000, { kind: 'reading', coreC: 41.5 })] })
      .expect(200)
    expect((told.body as CookRecord).events).toHaveLength(2)
    await request(app).put('/api/cooks/cook-one/outcome').send({ doneness: 'over', crust: null, notes: 'Talked too long.' }).expect(200)
    const { body } = await request(app).get('/api/cooks/cook-one').expect(200)
    expect((body as CookRecord).outcome).toEqual({ doneness: 'over', crust: null, notes: 'Talked too long.' })
    expect((body as CookRecord).planned).toEqual(planned)
  })

  it('of one table they are found together; renamed it is found by its new name, and a name it must have', async () => {
    const service = { id: 'dinner-1', after: null, called: 'medium piece' }
    const second = { ...service, after: { cookId: 'cook-medium', seconds: 60 }, called: 'rare piece' }
    await request(app)
      .post('/api/cooks')
      .send({ ...cook('cook-medium'), service })
      .expect(201)
    await request(app)
      .post('/api/cooks')
      .send({ ...cook('cook-rare'), service: second })
      .expect(201)
    const found = await request(app).get('/api/cooks?service=dinner-1').expect(200)
    expect((found.body as { cooks: CookRecord[] }).cooks.map(c => c.service)).toEqual([service, second])
    const late = event('r-late', 3, { kind: 'delayed', seconds: 1200, ovenC: 110 })
    const behind = event('r-behind', 4, { kind: 'delayed', seconds: 0, ovenC: 140 })
    const waves = [event('r-parted', 5, { kind: 'parted', seconds: 900 }), event('r-halved', 6, { kind: 'halved' })]
    const told = await request(app)
      .post('/api/cooks/cook-rare/events')
      .send({ events: [late, behind, ...waves] })
      .expect(200)
    expect((told.body as CookRecord).events).toEqual([late, behind, ...waves])
    await request(app)
      .post('/api/cooks/cook-rare/events')
      .send({ events: [event('r-wrong', 4, { kind: 'delayed', seconds: 1e6 })] })
      .expect(422)
    for (const wrong of [
      { kind: 'delayed', seconds: 600, ovenC: 900 },
      { kind: 'delayed', seconds: 0 },
      { kind: 'turned', ovenC: 110 },
      { kind: 'parted' },
      { kind: 'halved', seconds: 60 }
    ])
      await request(app)
        .post('/api/cooks/cook-rare/events')
        .send({ events: [event('r-wrong', 4, wrong)] })
        .expect(422)
    await request(app).put('/api/cooks/cook-rare/title').send({ title: 'Ines’s' }).expect(200)
    const named = await request(app).get('/api/cooks?search=Ines').expect(200)
    expect((named.body as { cooks: CookRecord[] }).cooks[0].id).toBe('cook-rare')
    const refused = await request(app).put('/api/cooks/cook-rare/title').send({ title: '  ' }).expect(422)
    expect((refused.body as { problems: { key: string }[] }).problems.map(p => p.key)).toContain('title')
    await request(app).put('/api/cooks/nobody/title').send({ title: 'x' }).expect(404)
    for (const id of ['cook-medium', 'cook-rare']) await request(app).delete(`/api/cooks/${id}`).expect(204)
  })

  it('by another method, its dials checked, and it is among those that were read', async () => {
    const asked = by(FIRST_REQUEST, 'sear then oven', { ovenC: 190, turning: 'once' })
    await request(app)
      .post('/api/cooks')
      .send({ ...cook('cook-oven'), request: asked })
      .expect(201)
    await request(app)
      .post('/api/cooks/cook-oven/events')
      .send({
        events: [
          event('o-laid', 1, { kind: 'laid' }),
          event('o-move', 2, { kind: 'moved' }),
          event('o-read', 3, { kind: 'reading', coreC: 20 })
        ]
      })
      .expect(200)
    const { body } = await request(app).get('/api/cooks/read').expect(200)
    const read = (body as { cooks: CookRecord[] }).cooks.find(c => c.id === 'cook-oven')!
    expect(read.request).toEqual(asked)
    expect(read.events.map(e => e.kind)).toEqual(['laid', 'moved', 'reading'])
    const refused = await request(app)
      .post('/api/cooks')
      .send({ ...cook('cook-wrong'), request: { ...asked, method: { kind: 'sear then oven', settings: { bathC: 54 } } } })
      .expect(422)
    expect(JSON.stringify(refused.body)).toContain('bathC')
    await request(app).delete('/api/cooks/cook-oven').expect(204)
  })

  it('a table that is late, and whether it was waited for in a low oven or flashed in the pan', async () => {
    await request(app).post('/api/cooks').send(cook('cook-late')).expect(201)
    const late = { kind: 'delayed', seconds: 1200 }
    const events = [
      event('e-late-1', 1000, late),
      event('e-late-2', 2000, { ...late, held: true }),
      event('e-late-4', 2500, { ...late, flashS: 60 })
    ]
    await request(app).post('/api/cooks/cook-late/events').send({ events }).expect(200)
    expect(((await request(app).get('/api/cooks/cook-late')).body as CookRecord).events).toEqual(events)
    for (const wrong of [
      { kind: 'turned', held: true },
      { ...late, held: 'yes' },
      { kind: 'turned', flashS: 60 },
      { ...late, flashS: 3600 }
    ])
      await request(app)
        .post('/api/cooks/cook-late/events')
        .send({ events: [event('e-late-3', 3000, wrong)] })
        .expect(422)
    await request(app).delete('/api/cooks/cook-late').expect(204)
  })

  it('once, however often it is sent', async () => {
    await request(app).post('/api/cooks').send(cook('cook-one', 'Another name')).expect(200)
    const again = { events: [event('e-laid', 1000, { kind: 'laid' }), event('e-turn', 3000, { kind: 'turned' })] }
    await request(app).post('/api/cooks/cook-one/events').send(again)
    const { body } = await request(app).post('/api/cooks/cook-one/events').send(again).expect(200)
    expect((body as CookRecord).events.map(e => e.id)).toEqual(['e-laid', 'e-read', 'e-turn'])
    expect((body as CookRecord).title).toBe('Strip')
  })

  it('through a restart', async () => {
    await db.destroy()
    db = await openDatabase(place)
    app = createApp({ db, log, pages: null })
    const { body } = await request(app).get('/api/cooks/cook-one').expect(200)
    expect((body as CookRecord).events).toHaveLength(3)
  })
})

describe('a thermometer’s log', () => {
  it('is laid over a cook, stays there, and is taken away again', async () => {
    const log = { name: 'Grey probe', seconds: [-30, 0, 60.5], celsius: [21, 8, 9.25] }
    await request(app).put('/api/cooks/cook-one/log').send(log).expect(200)
    expect(((await request(app).get('/api/cooks/cook-one')).body as CookRecord).log).toEqual(log)
    const { body } = await request(app).delete('/api/cooks/cook-one/log').expect(200)
    expect(body).not.toHaveProperty('log')
  })

  it.each([
    { name: 'A', seconds: [0, 1], celsius: [5] },
    { name: 'A', seconds: [1, 0], celsius: [5, 6] },
    { name: 'A', seconds: [0, 1], celsius: [5, 9000] },
    { name: '', seconds: [0, 1], celsius: [5, 6] },
    { name: 'A', seconds: [0], celsius: [5] },
    { name: 'A', seconds: Array.from({ length: 601 }, (_, i) => i), celsius: Array<number>(601).fill(5) }
  ])('that is none is refused', async wrong => {
    await request(app)
      .put('/api/cooks/cook-one/log')
      .send(wrong)
      .expect(422)
      .expect('content-type', /problem/)
  })
})

describe('it is found again', () => {
  it('by a word of its name, its notes or its cut, whatever is in the search', async () => {
    await request(app).post('/api/cooks').send(cook('cook-two', 'Feast at 100 % on the roof')).expect(201)
    const titles = async (search: string): Promise<string[]> => {
      const { body } = await request(app).get('/api/cooks').query({ search }).expect(200)
      return (body as { cooks: { title: string }[] }).cooks.map(c => c.title)
    }
    expect(await titles('')).toHaveLength(2)
    expect(await titles('talked LONG')).toEqual(['Strip'])
    expect(await titles('100 %')).toEqual(['Feast at 100 % on the roof'])
    expect(await titles("'; drop table cooks; --")).toEqual([])
    expect(await titles('strip')).toHaveLength(2)
    expect(await titles('rof feast')).toEqual(['Feast at 100 % on the roof'])
    expect(await titles('bife de chorzo')).toHaveLength(2)
    const [{ createdAt }] = ((await request(app).get('/api/cooks')).body as { cooks: { createdAt: number }[] }).cooks
    expect(await titles(new Date(createdAt).toLocaleDateString('en-GB', { day: 'numeric', month: 'short' }))).not.toEqual([])
    expect(await titles('qwertz')).toEqual([])
  })

  it('page by page to the end, each once, and sorted by any of its figures', async () => {
    const many = Array.from({ length: 7 }, (_, i) => cook(`cook-page-${i}`, `Page ${i % 3}`))
    for (const [i, one] of many.entries()) {
      const target = { ...FIRST_REQUEST.target, coreC: 50 + ((5 * i) % 7) }
      await request(app)
        .post('/api/cooks')
        .send({ ...one, createdAt: MADE - i * 1000, request: { ...FIRST_REQUEST, target } })
        .expect(201)
    }
    const page = async (query: object): Promise<{ cooks: CookSummary[]; total: number }> =>
      (await request(app).get('/api/cooks').query(query).expect(200)).body as { cooks: CookSummary[]; total: number }
    const ids = async (query: object): Promise<string[]> => (await page(query)).cooks.map(c => c.id)
    for (const query of [{}, { search: 'page' }, { sort: 'to', order: 'up' }, { sort: 'highest' }, { search: 'page', sort: 'board' }]) {
      const { total, cooks: all } = await page(query)
      const turned = []
      for (let skip = 0; skip < total; skip += 3) turned.push(...(await ids({ ...query, skip, take: 3 })))
      expect(turned, JSON.stringify(query)).toEqual(all.map(c => c.id))
      expect(new Set(turned).size).toBe(total)
    }
    const targets = (await page({ search: 'page', sort: 'to', order: 'up' })).cooks.map(c => c.request.target.coreC)
    expect(targets).toEqual([50, 51, 52, 53, 54, 55, 56])
    const made = (await page({ order: 'up', sort: 'made' })).cooks.map(c => c.createdAt)
    expect(made).toEqual([...made].sort((a, b) => a - b))
    for (const wrong of ['take=0', 'take=9999', 'skip=-1', 'skip=1.5', 'sort=id;drop', 'order=sideways', 'take=x'])
      await request(app).get(`/api/cooks?${wrong}`).expect(422)
    for (const i of many.keys()) await request(app).delete(`/api/cooks/cook-page-${i}`).expect(204)
    expect((await page({ search: 'page' })).total).toBe(0)
  })

  it('by what it is called now, with or without its accents, and by its name alone where the rest cannot be read', async () => {
    const found = async (search: string): Promise<string[]> => {
      const { body } = await request(app).get('/api/cooks').query({ search }).expect(200)
      const { cooks, unreadable } = body as { cooks: { id: string }[]; unreadable: { id: string }[] }
      return [...cooks, ...unreadable].map(c => c.id)
    }
    await request(app).post('/api/cooks').send(cook('cook-name', 'For Zora')).expect(201)
    expect(await found('zora')).toEqual(['cook-name'])
    await request(app).put('/api/cooks/cook-name/title').send({ title: 'Für Ömer' }).expect(200)
    expect(await found('zora')).toEqual([])
    expect(await found('omer')).toEqual(['cook-name'])
    // Asked by several at once, of an index that has yet to be made.
    const anew = createApp({ db: await openDatabase(place), log, pages: null })
    const answers = await Promise.all(Array.from({ length: 5 }, () => request(anew).get('/api/cooks?search=omer')))
    expect(answers.map(a => (a.body as { total: number }).total)).toEqual([1, 1, 1, 1, 1])
    expect(await found('ÖMER fur')).toEqual(['cook-name'])
    await db('cooks').where({ id: 'cook-name' }).update({ request: '{ torn' })
    expect(await found('ömer')).toEqual(['cook-name'])
    await db('cooks').where({ id: 'cook-name' }).delete()
    expect(await found('ömer')).toEqual([])
  })

  it('taken out and put back', async () => {
    await request(app).delete('/api/cooks/cook-two').expect(204)
    expect(((await request(app).get('/api/cooks')).body as { cooks: unknown[] }).cooks).toHaveLength(1)
    await request(app).post('/api/cooks/cook-two/restored').expect(200)
    expect(((await request(app).get('/api/cooks')).body as { cooks: unknown[] }).cooks).toHaveLength(2)
  })
})

describe('what is wrong is told as problem details', () => {
  it('every key of a bad cook', async () => {
    const answer = await request(app)
      .post('/api/cooks')
      .send({ ...cook('cook-bad'), request: by(FIRST_REQUEST, 'pan sear', { panC: 900 }), extra: 1 })
      .expect(422)
      .expect('content-type', /application\/problem\+json/)
    expect(answer.body).toMatchObject({ status: 422, instance: '/api/cooks' })
    expect((answer.body as { problems: { key: string }[] }).problems.map(p => p.key)).toContain('extra')
  })

  it('no such cook, no such path, no JSON, too much', async () => {
    await request(app)
      .get('/api/cooks/nobody')
      .expect(404)
      .expect('content-type', /problem/)
    await request(app).post('/api/cooks/nobody/events').send({ events: [] }).expect(404)
    await request(app).get('/api/nothing').expect(404)
    await request(app)
      .post('/api/cooks')
      .set('content-type', 'application/json')
      .send('{')
      .expect(400)
      .expect('content-type', /problem/)
    await request(app)
      .post('/api/cooks')
      .send({ id: 'x'.repeat(300_000) })
      .expect(413)
  })

  it('an event refused leaves nothing of the others behind', async () => {
    await request(app)
      .post('/api/cooks/cook-two/events')
      .send({ events: [event('e-ok-1', 1, { kind: 'laid' }), event('e-bad-1', 2, { kind: 'reading', coreC: 999 })] })
      .expect(422)
    expect(((await request(app).get('/api/cooks/cook-two')).body as CookRecord).events).toHaveLength(0)
  })
})

describe('the walls', () => {
  it('no inline script, no framing, no powered-by; foreign keys on, write-ahead log', async () => {
    const { headers } = await request(app).get('/api/health').expect(200)
    expect(headers['content-security-policy']).toContain("script-src 'self'")
    expect(headers['content-security-policy']).not.toMatch(/script-src[^;]*unsafe/)
    expect(headers['content-security-policy']).toContain("frame-ancestors 'none'")
    expect(headers['x-powered-by']).toBeUndefined()
    if (!ON_POSTGRES) {
      expect(await db.raw('pragma foreign_keys')).toEqual([{ foreign_keys: 1 }])
      expect(await db.raw('pragma journal_mode')).toEqual([{ journal_mode: 'wal' }])
    }
    await expect(
      db('cook_events').insert({ id: 'orphan', cook_id: 'nobody', sequence: 1, kind: 'laid', at: 1, entered: 1 })
    ).rejects.toThrow(/foreign key/i)
  })
})

describe('the larder and the printer', () => {
  const packet: Packet = {
    id: 'packet-one',
    cutId: 'rump-cap',
    label: 'PICANHA',
    pieces: 1,
    weightG: 1250,
    thicknessMm: null,
    wrap: 'vacuum',
    place: 'fridge',
    since: 1_700_000_000_000,
    useBy: null,
    thawing: null,
    intact: 'yes'
  }

  const stored = async (): Promise<Packet[]> => ((await request(app).get('/api/packets')).body as { packets: Packet[] }).packets

  it('keeps a packet, replaces it when it comes again, takes it out, and takes it back', async () => {
    await request(app).put('/api/packets/packet-one').send(packet).expect(201)
    await request(app)
      .put('/api/packets/packet-one')
      .send({ ...packet, place: 'freezer' })
      .expect(200)
    const { body } = await request(app).get('/api/packets').expect(200)
    expect((body as { packets: Packet[] }).packets).toEqual([{ ...packet, place: 'freezer' }])
    await request(app).delete('/api/packets/packet-one').expect(204)
    expect(await stored()).toEqual([])
    await request(app).put('/api/packets/packet-one').send(packet).expect(200)
    expect(await stored()).toHaveLength(1)
    await request(app).delete('/api/packets/nobody-here').expect(404)
  })

  it('refuses nonsense with every key that is wrong', async () => {
    const { body } = await request(app)
      .put('/api/packets/packet-one')
      .send({ ...packet, cutId: 'unicorn', weightG: -3, thawing: { since: 1, how: 'sunshine' } })
      .expect(422)
    expect((body as { problems: { key: string }[] }).problems.map(p => p.key).sort()).toEqual(['cutId', 'thawing.how', 'weightG'])
    await request(app).put('/api/packets/another-id').send(packet).expect(422)
  })

  it('prints an order slip, Japanese and all, as a PDF of one page', async () => {
    const order = orderFor(cutById('rump-cap')!, 'JP', { pieces: 1, pieceG: 1200 })
    const { body, headers } = await request(app)
      .post('/api/print/order-slip')
      .send({ order, units: 'metric' })
      .buffer(true)
      .parse(asBuffer)
      .expect(200)
    expect(headers['content-type']).toContain('application/pdf')
    const text = (body as Buffer).toString('latin1')
    expect(text.startsWith('%PDF-')).toBe(true)
    expect(text.match(/\/Type \/Page\b/g)).toHaveLength(1)
    expect(text).toMatch(/NotoSansJP/)
    await request(app)
      .post('/api/print/order-slip')
      .send({ order: { ...order, pieces: 0 }, units: 'metric' })
      .expect(422)
  })

  it('prints a long call sheet on one page, and refuses one that cannot fit', async () => {
    const sheet = {
      title: 'Rib roast: roast',
      subtitle: 'to 54 °C',
      lines: Array.from({ length: 12 }, (_, i) => ({ label: `Line ${i}`, figure: '1 h 02', unit: 'min' })),
      schedule: Array.from({ length: 6 }, () => ({ at: '19:30', what: 'carve and serve' })),
      cautions: ['Public-health advice for whole cuts is 63 °C and 3 min of rest.'],
      paper: 'A4'
    }
    const { body } = await request(app).post('/api/print/call-sheet').send(sheet).buffer(true).parse(asBuffer).expect(200)
    expect((body as Buffer).toString('latin1').match(/\/Type \/Page\b/g)).toHaveLength(1)
    await request(app)
      .post('/api/print/call-sheet')
      .send({ ...sheet, lines: [...sheet.lines, ...sheet.lines] })
      .expect(422)
  })
})

/** Reads an answer whole. */
function asBuffer(response: { on(event: string, heard: (part: Buffer) => void): void }, done: (error: null, whole: Buffer) => void): void {
  const parts: Buffer[] = []
  response.on('data', part => parts.push(part))
  response.on('end', () => done(null, Buffer.concat(parts)))
}

describe('the kit', () => {
  it('is none until it is told, then what was told last, through a restart', async () => {
    expect((await request(app).get('/api/kit').expect(200)).body).toEqual({ kit: null })
    const [first, second] = READY_KITS
    await request(app).put('/api/kit').send(first.kit).expect(200)
    await request(app).put('/api/kit').send(second.kit).expect(200)
    await db.destroy()
    db = await openDatabase(place)
    app = createApp({ db, log, pages: null })
    expect((await request(app).get('/api/kit')).body).toEqual({ kit: second.kit })
  })

  it('is refused with the key that is wrong, and what was there stays', async () => {
    const [{ kit }] = READY_KITS
    const answer = await request(app)
      .put('/api/kit')
      .send({ ...kit, ovens: [{ id: 'o', name: '', fan: true, offsetC: 500 }] })
      .expect(422)
    expect(answer.headers['content-type']).toContain('application/problem+json')
    expect((answer.body as { problems: { key: string }[] }).problems.map(p => p.key).sort()).toEqual(['ovens[0].name', 'ovens[0].offsetC'])
    expect(((await request(app).get('/api/kit')).body as { kit: { rings: unknown } }).kit.rings).toEqual(READY_KITS[1].kit.rings)
  })
})

describe('a row that cannot be read any more', () => {
  it('hurts no other, is told with its name, and is kept', async () => {
    const service = { id: 'dinner-broken', after: null, called: '' }
    for (const id of ['cook-whole', 'cook-broken'])
      await request(app)
        .post('/api/cooks')
        .send({ ...cook(id, `The ${id}`), service })
        .expect(201)
    await db('cooks').where({ id: 'cook-broken' }).update({ request: '{"piece":' })
    const { body } = await request(app).get('/api/cooks').expect(200)
    const { cooks, unreadable } = body as { cooks: { id: string }[]; unreadable: { title: string }[] }
    expect(cooks.map(c => c.id)).toContain('cook-whole')
    expect(unreadable).toMatchObject([{ id: 'cook-broken', title: 'The cook-broken' }])
    const table = await request(app).get('/api/services/dinner-broken/cooks').expect(200)
    expect((table.body as { cooks: unknown[] }).cooks).toHaveLength(1)
    const one = await request(app).get('/api/cooks/cook-broken').expect(500)
    expect(one.body).toMatchObject({
      detail: expect.stringContaining('cannot be read any more') as string,
      id: expect.any(String) as string
    })
    expect(await db('cooks').where({ id: 'cook-broken' }).first('request')).toEqual({ request: '{"piece":' })
    await db('packets').insert({ id: 'packet-broken', since: 1, packet: 'shallots' })
    await request(app).get('/api/packets').expect(200)
  })
})
