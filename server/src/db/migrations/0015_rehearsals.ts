import type { Knex } from 'knex'

/** As they were asked for when this was written. */
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
async function indexed(db: Knex, which: string): Promise<void> {
  for (const [sort, by] of Object.entries(BY)) {
    await db.raw(`drop index cooks_by_${sort}`)
    await db.raw(`create index cooks_by_${sort} on cooks (${by}created_at, id) where ${which}`)
  }
}

/** Rehearsals, each with the seed of what is true in it; what was cooked in one is no page of the Book. */
export async function up(db: Knex): Promise<void> {
  await db.schema.createTable('rehearsals', table => {
    table.string('id').primary()
    table.string('exercise').nullable()
    table.integer('seed').notNullable()
    table.integer('created_at').notNullable()
    table.double('clock_at').notNullable()
    table.double('clock_since').notNullable()
    table.double('speed').notNullable()
    table.integer('points').nullable()
  })
  await db.schema.alterTable('cooks', table => {
    table.boolean('rehearsed')
  })
  await indexed(db, 'removed_at is null and rehearsed is null')
}

export async function down(db: Knex): Promise<void> {
  await indexed(db, 'removed_at is null')
  await db('cooks').whereNotNull('rehearsed').delete()
  await db.schema.alterTable('cooks', table => {
    table.dropColumn('rehearsed')
  })
  await db.schema.dropTable('rehearsals')
}
