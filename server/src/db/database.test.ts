/** Migrations go forward without losing what a Book from before has. */
import Database from 'better-sqlite3'
import type { Knex } from 'knex'
import { mkdtempSync, readFileSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { afterAll, describe, expect, it } from 'vitest'
import { parseCookPage, type CookSort } from '#core/book/cookSchema'
import { plannedOf, type CookRecord } from '#core/book/record'
import { planned as planOf } from '#core/plan/planned.fixture'
import { FIRST_REQUEST } from '#core/request/firstRequest'
import { by } from '#core/request/request'
import { parseRequest } from '#core/request/schema'
import { happenedUntil, progressOf } from '#core/session/progress'
import { forecast } from '#core/usecase/forecast'
import { CookRepository } from '#server/cooks/repository'
import { SQLITE_SORTS } from '#server/cooks/sorts'
import { openDatabase } from './database'

const folder = mkdtempSync(join(tmpdir(), 'macellaio-db-'))
afterAll(() => rmSync(folder, { recursive: true, force: true }))
const planned = plannedOf(planOf(FIRST_REQUEST).plan, null, 210)

/** A file as the version before wrote it, row for row. */
function before(name: string, also = ''): string {
  const file = join(folder, name)
  const db = new Database(file)
  db.pragma('foreign_keys = OFF')
  db.exec(readFileSync(new URL('fixtures/before-one-request.sql', import.meta.url), 'utf8') + also)
  db.close()
  return file
}

describe('a Book from before every method had one request', () => {
  it('is opened, its cooks are there with their events and notes, by the same method and settings', async () => {
    const db = await openDatabase(before('before.sqlite'))
    const cooks = new CookRepository(db)
    const { cooks: all } = await cooks.list(parseCookPage({}))
    expect(all.map(c => c.id).sort()).toEqual(['cook-grill', 'cook-oven', 'cook-own-scale', 'cook-pan-edge', 'cook-pot'])
    const find = async (id: string): Promise<CookRecord> => (await cooks.find(id))!
    const edge = await find('cook-pan-edge')
    expect(edge.outcome).toEqual({ doneness: 'as wanted', crust: 'good', notes: 'Before the lock.' })
    expect(edge.request).toMatchObject({
      target: { coreC: 54 },
      guests: { atRisk: true },
      method: {
        kind: 'pan sear',
        settings: { fatEdgeS: 60, turning: 'twice a side', cover: 'loose foil', rest: { kind: 'clock', seconds: 480 } }
      }
    })
    expect(edge.planned.freeS).toBeCloseTo(edge.planned.pullS - 60, 6)
    expect(edge.events).toHaveLength(9)
    expect((await find('cook-own-scale')).request.target).toMatchObject({ coreC: 57, scaleId: 'own', ownScale: { name: 'Mine' } })
    expect((await find('cook-oven')).request.method).toEqual({
      kind: 'sear then oven',
      settings: { turning: 'once', searS: 120, ovenC: 190 }
    })
    expect((await find('cook-grill')).request.method.settings).toEqual({ turning: '6 spells', rest: { kind: 'half the cooking time' } })
    const { settings } = (await find('cook-pot')).request.method
    expect(settings).toMatchObject({ cover: 'fridge', rest: { kind: 'clock', seconds: 3600 } })
    expect(settings.topUps?.[0]).toEqual({ at: 900, litres: 0.5 })
    await db.destroy()
  })

  it('every cook of it can be gone on with: its request is one, and its forecast is of numbers', async () => {
    const db = await openDatabase(before('on.sqlite'))
    const cooks = new CookRepository(db)
    for (const { id } of (await cooks.list(parseCookPage({}))).cooks) {
      const { request, events, planned: was } = (await cooks.find(id))!
      expect(parseRequest(JSON.parse(JSON.stringify(request)))).toEqual(request)
      const { laidAt, readings } = progressOf(events)
      const happened = happenedUntil(events, (laidAt ?? 0) + 240_000)
      const found = forecast({
        request,
        freeS: was.freeS,
        happened,
        readings: happened.off ? [] : readings.map(r => ({ time: r.time, celsius: r.coreC })),
        byLastReading: happened,
        restingS: 0
      })
      if ('refused' in found) throw new Error(`${id}: ${found.refused}`)
      expect(found.plan.peak.core, id).toBeGreaterThan(5)
      expect(found.plan.marks.length, id).toBeGreaterThan(0)
    }
    await db.destroy()
  })

  it('takes new cooks, and a row that cannot be read holds up none of the others', async () => {
    const file = before('more.sqlite', `UPDATE cooks SET request = '{"panId": ' WHERE id = 'cook-grill';`)
    const db = await openDatabase(file)
    const cooks = new CookRepository(db)
    const request = by(FIRST_REQUEST, 'roast', { ovenC: 160 })
    await cooks.add({ id: 'cook-of-now', title: 'Joint', createdAt: 1_760_000_000_000, request, planned, service: null })
    expect((await cooks.find('cook-of-now'))?.request).toEqual(request)
    expect((await cooks.find('cook-oven'))?.request.method.kind).toBe('sear then oven')
    await db.destroy()
    // Opened again nothing is moved twice.
    const again = await openDatabase(file)
    expect((await new CookRepository(again).find('cook-oven'))?.request.method.settings).toEqual({
      turning: 'once',
      searS: 120,
      ovenC: 190
    })
    await again.destroy()
  })
})

describe('what the kit is learned from', () => {
  it('is the newest cooks in which something was read, whole, and none taken out of the Book', async () => {
    const db = await openDatabase(':memory:')
    const cooks = new CookRepository(db)
    const reading = { kind: 'reading', coreC: 40 } as const
    for (const [i, id] of ['cook-first', 'cook-silent', 'cook-third', 'cook-gone'].entries()) {
      await cooks.add({ id, title: id, createdAt: 1000 + i, request: FIRST_REQUEST, planned, service: null })
      await cooks.addEvents(id, [{ id: `${id}-laid`, at: 1, entered: 1, kind: 'laid' }])
      if (id !== 'cook-silent') await cooks.addEvents(id, [{ id: `${id}-read`, at: 2, entered: 2, ...reading }])
    }
    await cooks.setRemoved('cook-gone', 5)
    const read = await cooks.read(10)
    expect(read.map(c => c.id)).toEqual(['cook-third', 'cook-first'])
    expect(read[0].events).toEqual([
      { id: 'cook-third-laid', at: 1, entered: 1, kind: 'laid' },
      { id: 'cook-third-read', at: 2, entered: 2, ...reading }
    ])
    expect(await cooks.read(1)).toHaveLength(1)
    await db.destroy()
  })
})

describe('a page of the Book', () => {
  it.each(Object.keys(SQLITE_SORTS) as CookSort[])('by %s is read from its index, and so is how many there are', async sort => {
    const db = await openDatabase(':memory:')
    const asked: { readonly sql: string; readonly bindings: readonly Knex.RawBinding[] }[] = []
    db.on('query', (query: (typeof asked)[number]) => asked.push(query))
    await new CookRepository(db).list({ search: '', skip: 5000, take: 25, sort, order: 'down' })
    const [count, page] = asked.splice(0)
    const plan = async ({ sql, bindings }: (typeof asked)[number]): Promise<string> => {
      const steps: { detail: string }[] = await db.raw(`explain query plan ${sql}`, bindings)
      return steps.map(s => s.detail).join('; ')
    }
    expect(await plan(page)).toBe(`SCAN cooks USING INDEX cooks_by_${sort}`)
    expect(await plan(count)).toMatch(/^SCAN cooks USING INDEX cooks_by_/)
    await db.destroy()
  })
})
