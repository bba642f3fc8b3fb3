import type { Knex } from 'knex'

export async function up(db: Knex): Promise<void> {
  await db.schema.createTable('packets', table => {
    table.string('id').primary()
    table.integer('since').notNullable()
    table.integer('removed_at')
    table.text('packet').notNullable()
  })
}

export async function down(db: Knex): Promise<void> {
  await db.schema.dropTable('packets')
}
