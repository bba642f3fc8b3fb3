/** Daily copies: taken while it is written to, seven kept, and put back whole. */
import type { Knex } from 'knex'
import { existsSync, mkdtempSync, readdirSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { afterEach, beforeEach, describe, expect, it } from 'vitest'
import { plainly } from '../failures'
import { copiesOf, copyDaily, putBack, sound } from './copies'
import { openDatabase } from './database'

let folder: string
let file: string
let db: Knex
beforeEach(async () => {
  folder = mkdtempSync(join(tmpdir(), 'macellaio-copies-'))
  file = join(folder, 'book.sqlite')
  db = await openDatabase(file)
})
afterEach(async () => {
  await db.destroy()
  rmSync(folder, { recursive: true, force: true })
})
const onDay = (day: number): Date => new Date(2026, 10, day, 12)
const put = (id: string): Promise<unknown> => db('packets').insert({ id, packet: '{}', since: 1 }).onConflict('id').ignore()
const ids = async (): Promise<string[]> => (await db('packets').select('id').orderBy('since')).map((r: { id: string }) => r.id)

describe('copies of the database', () => {
  it('one a day, with all that was written, and of the last seven days', async () => {
    await put('first')
    expect(await copyDaily(file, onDay(1))).toBe(true)
    expect(await copyDaily(file, onDay(1))).toBe(false)
    for (let day = 2; day <= 10; day++) await copyDaily(file, onDay(day))
    expect(copiesOf(file).map(c => c.day)).toEqual([10, 9, 8, 7, 6, 5, 4].map(d => `2026-11-${String(d).padStart(2, '0')}`))
    for (const c of copiesOf(file)) expect(sound(c.file)).toBe(true)
    // And nothing else.
    expect(readdirSync(`${file}.copies`)).toHaveLength(7)
  })

  it('taken in the middle of writes is whole', async () => {
    const writing = Promise.all(Array.from({ length: 200 }, (_, i) => put(`packet-${i}`)))
    await Promise.all([writing, copyDaily(file, onDay(1))])
    expect(sound(copiesOf(file)[0].file)).toBe(true)
  })

  it('put back is as it was then; what stood there is kept beside it', async () => {
    await put('then')
    await copyDaily(file, onDay(1))
    await put('later')
    await db.destroy()
    const kept = putBack(file, copiesOf(file)[0], onDay(2))
    db = await openDatabase(file)
    expect(await ids()).toEqual(['then'])
    const before = await openDatabase(kept!)
    expect((await before('packets').select('id')).map((r: { id: string }) => r.id).sort()).toEqual(['later', 'then'])
    await before.destroy()
  })

  it('a damaged database is told with the copy that could take its place; a damaged copy takes nobody’s', async () => {
    await copyDaily(file, onDay(1))
    const [copy] = copiesOf(file)
    const damaged = Object.assign(new Error('file is not a database'), { code: 'SQLITE_NOTADB' })
    expect(plainly(damaged, { db: file, port: 4380 })).toMatch(/npm run restore -- 2026-11-01/)
    writeFileSync(copy.file, 'This is a shopping list. '.repeat(400))
    expect(() => putBack(file, copy, onDay(2))).toThrow(/damaged too/)
    expect(existsSync(file)).toBe(true)
    expect(readdirSync(folder).some(name => name.includes('before'))).toBe(false)
  })
})
