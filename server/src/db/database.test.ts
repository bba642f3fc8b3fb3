/** Migrations go forward without losing what a Book from before has. */
import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { afterAll, describe, expect, it } from 'vitest'
import { plannedOf } from '#core/book/record'
import { FIRST_REQUEST } from '#core/request/firstRequest'
import { planPanSear } from '#core/plan/panPlan'
import { setupOf } from '#core/request/request'
import { CookRepository } from '#server/cooks/repository'
import { openDatabase } from './database'
import * as fourth from './migrations/0004_way'

const folder = mkdtempSync(join(tmpdir(), 'macellaio-db-'))
afterAll(() => rmSync(folder, { recursive: true, force: true }))
const planned = plannedOf(planPanSear(setupOf(FIRST_REQUEST), FIRST_REQUEST.targetC), null, 210)

describe('a Book from before there was another way than the pan', () => {
  it('is opened, its cooks are there as they were, and it takes new ones', async () => {
    const file = join(folder, 'old.sqlite')
    const old = await openDatabase(file)
    await fourth.down(old)
    await old('knex_migrations').where({ name: '0004_way' }).delete()
    await old('cooks').insert({
      id: 'cook-of-old',
      title: 'Strip',
      created_at: 1_700_000_000_000,
      request: JSON.stringify(FIRST_REQUEST),
      planned: JSON.stringify(planned),
      notes: 'Before the lock.'
    })
    await old.destroy()

    const db = await openDatabase(file)
    const cooks = new CookRepository(db)
    expect(await cooks.find('cook-of-old')).toMatchObject({ title: 'Strip', way: null, planned, outcome: { notes: 'Before the lock.' } })
    const way = { kind: 'roast', dials: { ovenC: 160 }, free: 3600 } as const
    await cooks.add({ id: 'cook-of-now', title: 'Joint', createdAt: 1_750_000_000_000, request: FIRST_REQUEST, way, planned })
    expect((await cooks.find('cook-of-now'))?.way).toEqual(way)
    expect((await cooks.list('')).map(c => [c.id, c.way?.kind ?? null])).toEqual([
      ['cook-of-now', 'roast'],
      ['cook-of-old', null]
    ])
    await db.destroy()
  })
})

describe('what the kit is learned from', () => {
  it('is the newest cooks in which something was read, whole, and none taken out of the Book', async () => {
    const db = await openDatabase(':memory:')
    const cooks = new CookRepository(db)
    const reading = { kind: 'reading', coreC: 40 } as const
    for (const [i, id] of ['cook-first', 'cook-silent', 'cook-third', 'cook-gone'].entries()) {
      await cooks.add({ id, title: id, createdAt: 1000 + i, request: FIRST_REQUEST, way: null, planned })
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
