import type { Knex } from 'knex'

/** Thermometers that speak for themselves, where each is, which reading came of which; and what one of any make has kept of a cook. */
export async function up(db: Knex): Promise<void> {
  await db.schema.createTable('probes', table => {
    table.string('id').primary()
    table.string('name').notNullable()
    table.string('tip').notNullable()
    table.string('cook_id').nullable()
  })
  await db.schema.alterTable('cook_events', table => {
    table.string('probe')
  })
  await db.schema.alterTable('cooks', table => {
    table.text('log')
  })
}

export async function down(db: Knex): Promise<void> {
  await db.schema.alterTable('cook_events', table => {
    table.dropColumn('probe')
  })
  await db.schema.alterTable('cooks', table => {
    table.dropColumn('log')
  })
  await db.schema.dropTable('probes')
}
