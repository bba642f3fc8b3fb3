import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import type { Knex } from 'knex'
import { parseCookPage } from '#core/book/cookSchema'
import { CookRepository } from '#server/cooks/repository'
import { emptyDatabase } from '#server/db/place.fixture'
import { fillWithDemo } from './cooks'

let db: Knex
beforeAll(async () => {
  db = await emptyDatabase()
})
afterAll(() => db.destroy())

describe('the demo fills an empty Book once', () => {
  it('with finished evenings whose figures make sense, and leaves a used one alone', async () => {
    await fillWithDemo(db)
    const { cooks } = await new CookRepository(db).list(parseCookPage({}))
    expect(cooks.length).toBeGreaterThanOrEqual(4)
    for (const cook of cooks) {
      expect(cook.state).toBe('carved')
      expect(cook.outcome.doneness).not.toBeNull()
      expect(cook.planned.pullC).toBeLessThan(cook.planned.peakC)
      expect(Math.abs((cook.seen.highestC ?? NaN) - cook.planned.peakC)).toBeLessThan(5)
      expect(cook.seen.pullS).toBeGreaterThan(180)
    }
    await fillWithDemo(db)
    expect((await new CookRepository(db).list(parseCookPage({}))).cooks).toHaveLength(cooks.length)
  })
})
