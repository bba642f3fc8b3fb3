/** Many writes at once: each whole or not at all, whoever shares its commit. */
import type { Knex } from 'knex'
import { describe, expect, it } from 'vitest'
import { openDatabase } from './database'
import { inOnePiece } from './inOnePiece'
import { emptyPlace, ON_POSTGRES } from './place.fixture'

const there = async (db: Knex): Promise<string[]> => (await db<{ id: string }>('recipes').orderBy('id').select('id')).map(r => r.id)
const row = (id: string, recipe = '{}') => ({ id, changed_at: 0, recipe })
const named = (n: number): string => `r${String(n).padStart(3, '0')}`

describe('writes that are asked at once', () => {
  it('are all kept when they are answered, in fewer commits than there are of them where the file has one writer', async () => {
    const db = await openDatabase(await emptyPlace())
    let commits = 0
    db.on('query', ({ sql }: { sql: string }) => (commits += /^commit/i.test(sql) ? 1 : 0))
    const all = Array.from({ length: 100 }, (_, n) => named(n))
    const answers = await Promise.all(
      all.map(id =>
        inOnePiece(db, async trx => {
          await trx('recipes').insert(row(id))
          return id
        })
      )
    )
    expect(answers).toEqual(all)
    expect(await there(db)).toEqual(all)
    if (!ON_POSTGRES) expect(commits).toBeLessThan(10)
    await db.destroy()
  })

  it('one that fails leaves nothing of itself, and the others as they are', async () => {
    const db = await openDatabase(await emptyPlace())
    const asked = [1, 2, 3, 4, 5].map(n =>
      inOnePiece(db, async trx => {
        await trx('recipes').insert(row(`${named(n)} first`))
        if (n === 2) throw new Error('Not this one.')
        // Refused by the database: there is one already.
        await trx('recipes').insert(row(n === 4 ? `${named(n)} first` : `${named(n)} second`))
      })
    )
    const ended = await Promise.allSettled(asked)
    expect(ended.map(e => e.status)).toEqual(['fulfilled', 'rejected', 'fulfilled', 'rejected', 'fulfilled'])
    expect(ended[1]).toMatchObject({ reason: { message: 'Not this one.' } })
    expect(await there(db)).toEqual([1, 3, 5].flatMap(n => [`${named(n)} first`, `${named(n)} second`]))
    await db.destroy()
  })

  it('one within another is undone with it', async () => {
    const db = await openDatabase(await emptyPlace())
    const inner = (trx: Knex): Promise<void> => inOnePiece(trx, async own => void (await own('recipes').insert(row('inner'))))
    await expect(
      inOnePiece(db, async trx => {
        await inner(trx)
        throw new Error('After all, no.')
      })
    ).rejects.toThrow('After all, no.')
    expect(await there(db)).toEqual([])
    await inOnePiece(db, inner)
    expect(await there(db)).toEqual(['inner'])
    await db.destroy()
  })

  it.skipIf(ON_POSTGRES)(
    'where the disk is full none of those that shared it is said to be kept; when there is room again, they are',
    async () => {
      const db = await openDatabase(await emptyPlace())
      const [{ page_count: pages }] = await db.raw<[{ page_count: number }]>('pragma page_count')
      await db.raw(`pragma max_page_count = ${pages + 20}`)
      const write = (n: number): Promise<void> =>
        inOnePiece(db, async trx => void (await trx('recipes').insert(row(named(n), 'x'.repeat(n === 3 ? 400_000 : 10)))))
      const ended = await Promise.allSettled([1, 2, 3, 4, 5].map(write))
      const kept = [1, 2, 3, 4, 5].filter((_, i) => ended[i]?.status === 'fulfilled').map(named)
      expect(ended[2]).toMatchObject({ status: 'rejected', reason: { code: 'SQLITE_FULL' } })
      expect(await there(db)).toEqual(kept)
      await db.raw(`pragma max_page_count = ${pages + 2000}`)
      for (const n of [1, 2, 3, 4, 5]) if (!kept.includes(named(n))) await write(n)
      expect(await there(db)).toEqual([1, 2, 3, 4, 5].map(named))
      await db.destroy()
    }
  )

  it('a database that is gone refuses them all, and leaves none waiting for ever', async () => {
    const db = await openDatabase(await emptyPlace())
    await db.destroy()
    const ended = await Promise.allSettled([1, 2, 3].map(n => inOnePiece(db, trx => trx('recipes').insert(row(named(n))))))
    expect(ended.map(e => e.status)).toEqual(['rejected', 'rejected', 'rejected'])
  })
})
