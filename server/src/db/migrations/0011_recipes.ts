import type { Knex } from 'knex'

/** Recipes of this kitchen: its own, and those that ship as it has changed them. */
export async function up(db: Knex): Promise<void> {
  await db.schema.createTable('recipes', table => {
    table.string('id').primary()
    table.bigInteger('changed_at').notNullable()
    table.text('recipe').notNullable()
  })
}

export async function down(db: Knex): Promise<void> {
  await db.schema.dropTable('recipes')
}
