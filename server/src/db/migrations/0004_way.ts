import type { Knex } from 'knex'

/** The method of a cook, where it was not the pan alone. */
export async function up(db: Knex): Promise<void> {
  await db.schema.alterTable('cooks', table => {
    table.text('way')
  })
}

export async function down(db: Knex): Promise<void> {
  await db.schema.alterTable('cooks', table => {
    table.dropColumn('way')
  })
}
