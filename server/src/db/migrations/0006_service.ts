import type { Knex } from 'knex'

/** Which dinner a cook belongs to, how long after which other it goes in, and how it is told from the others; by how much a table was late. */
export async function up(db: Knex): Promise<void> {
  await db.schema.alterTable('cooks', table => {
    table.text('service_id').index()
    table.text('after_cook')
    table.float('after_s')
    table.text('called')
  })
  await db.schema.alterTable('cook_events', table => {
    table.float('seconds')
  })
}

export async function down(db: Knex): Promise<void> {
  await db.schema.alterTable('cook_events', table => {
    table.dropColumn('seconds')
  })
  await db.schema.alterTable('cooks', table => {
    table.dropIndex('service_id')
    table.dropColumns('service_id', 'after_cook', 'after_s', 'called')
  })
}
