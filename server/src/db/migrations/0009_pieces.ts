import type { Knex } from 'knex'

/** Which piece of its service a cook is. */
export async function up(db: Knex): Promise<void> {
  await db.schema.alterTable('cooks', table => {
    table.string('piece')
  })
}

export async function down(db: Knex): Promise<void> {
  await db.schema.alterTable('cooks', table => {
    table.dropColumn('piece')
  })
}
