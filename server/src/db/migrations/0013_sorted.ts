import type { Knex } from 'knex'

/** As they were asked for when this was written. A row that somebody has written into has no figure, rather than an error for all of them. */
const figure = (column: 'request' | 'planned', path: string): string =>
  `case when json_valid(${column}) then json_extract(${column}, '$.${path}') end, `
const BY: Readonly<Record<string, string>> = {
  made: '',
  to: figure('request', 'target.coreC'),
  time: figure('planned', 'pullS'),
  off: figure('planned', 'pullC'),
  highest: figure('planned', 'peakC'),
  board: 'doneness, '
}

/** A Book of twenty thousand is turned to any page, by any of its figures, without all of it being read. */
export async function up(db: Knex): Promise<void> {
  for (const [sort, by] of Object.entries(BY))
    await db.raw(`create index cooks_by_${sort} on cooks (${by}created_at, id) where removed_at is null`)
}

export async function down(db: Knex): Promise<void> {
  for (const sort of Object.keys(BY)) await db.raw(`drop index cooks_by_${sort}`)
}
