import type { Knex } from 'knex'

/** Thermometers that speak for themselves, where each is, and which reading came of which. */
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
}

export async function down(db: Knex): Promise<void> {
  await db.schema.alterTable('cook_events', table => {
    table.dropColumn('probe')
  })
  await db.schema.dropTable('probes')
}
