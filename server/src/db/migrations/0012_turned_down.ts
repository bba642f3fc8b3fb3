import type { Knex } from 'knex'

/** What an oven was turned to while the table is late, °C. */
export async function up(db: Knex): Promise<void> {
  await db.schema.alterTable('cook_events', table => {
    table.float('oven_c')
  })
}

export async function down(db: Knex): Promise<void> {
  await db.schema.alterTable('cook_events', table => {
    table.dropColumn('oven_c')
  })
}
