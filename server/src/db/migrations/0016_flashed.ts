import type { Knex } from 'knex'

/** How long a face a piece that has waited for the table is put back in the hot pan, s. */
export async function up(db: Knex): Promise<void> {
  await db.schema.alterTable('cook_events', table => {
    table.double('flash_s')
  })
}

export async function down(db: Knex): Promise<void> {
  await db.schema.alterTable('cook_events', table => {
    table.dropColumn('flash_s')
  })
}
