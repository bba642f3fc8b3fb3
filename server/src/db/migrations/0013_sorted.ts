import type { Knex } from 'knex'
import { COOK_SORTS } from '#server/cooks/sorts'

const nameOf = (sort: string): string => `cooks_by_${sort}`

/** A Book of twenty thousand is turned to any page, by any of its figures, without all of it being read. */
export async function up(db: Knex): Promise<void> {
  for (const [sort, by] of Object.entries(COOK_SORTS)) {
    const columns = [...new Set([by, 'created_at', 'id'])].join(', ')
    await db.raw(`create index ${nameOf(sort)} on cooks (${columns}) where removed_at is null`)
  }
}

export async function down(db: Knex): Promise<void> {
  for (const sort of Object.keys(COOK_SORTS)) await db.raw(`drop index if exists ${nameOf(sort)}`)
}
