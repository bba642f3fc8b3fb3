import type { Knex } from 'knex'

/** Whether a piece is kept warm while the table is late. */
export async function up(db: Knex): Promise<void> {
  await db.schema.alterTable('cook_events', table => {
    table.integer('held')
  })
}

export async function down(db: Knex): Promise<void> {
  await db.schema.alterTable('cook_events', table => {
    table.dropColumn('held')
  })
}
