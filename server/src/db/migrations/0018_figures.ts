/**
 * The figures by which the Book is sorted, in columns of their own: an index gives the order, but PostgreSQL works out
 * what it sorted by for each row that it passes over, half a second by the last page of twenty thousand. And what
 * catches an error cannot run in parallel with itself.
 */
import type { Knex } from 'knex'

const FIGURES = {
  to: `request, 'target', 'coreC'`,
  time: `planned, 'pullS'`,
  off: `planned, 'pullC'`,
  highest: `planned, 'peakC'`
} as const
const each = Object.entries(FIGURES)

export async function up(db: Knex): Promise<void> {
  await db.raw('alter function figure_of(text, text[]) parallel unsafe')
  for (const [sort] of each) await db.raw(`drop index cooks_by_${sort}`)
  const columns = each.map(([sort, of]) => `add column figure_${sort} double precision generated always as (figure_of(${of})) stored`)
  await db.raw(`alter table cooks ${columns.join(', ')}`)
  for (const [sort] of each)
    await db.raw(
      `create index cooks_by_${sort} on cooks (figure_${sort} nulls first, created_at, id) where removed_at is null and rehearsed is null`
    )
}

export async function down(db: Knex): Promise<void> {
  for (const [sort, of] of each) {
    await db.raw(`alter table cooks drop column figure_${sort}`)
    await db.raw(
      `create index cooks_by_${sort} on cooks (figure_of(${of}) nulls first, created_at, id) where removed_at is null and rehearsed is null`
    )
  }
  await db.raw('alter function figure_of(text, text[]) parallel safe')
}
