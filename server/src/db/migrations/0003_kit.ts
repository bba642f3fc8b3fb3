import type { Knex } from 'knex'

/** One row: the kitchen's own kit. */
export async function up(db: Knex): Promise<void> {
  await db.schema.createTable('kit', table => {
    table.integer('id').primary()
    table.integer('changed_at').notNullable()
    table.text('kit').notNullable()
  })
}

export async function down(db: Knex): Promise<void> {
  await db.schema.dropTable('kit')
}
