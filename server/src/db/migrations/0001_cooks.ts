import type { Knex } from 'knex'

export async function up(db: Knex): Promise<void> {
  await db.schema.createTable('cooks', table => {
    table.string('id').primary()
    table.string('title').notNullable()
    table.integer('created_at').notNullable().index()
    table.integer('removed_at')
    table.text('request').notNullable()
    table.text('planned').notNullable()
    table.string('doneness')
    table.string('crust')
    table.text('notes').notNullable().defaultTo('')
  })
  await db.schema.createTable('cook_events', table => {
    table.string('id').primary()
    table.string('cook_id').notNullable().references('id').inTable('cooks').onDelete('CASCADE').index()
    table.integer('sequence').notNullable()
    table.string('kind').notNullable()
    table.integer('at').notNullable()
    table.integer('entered').notNullable()
    table.float('core_c')
    table.string('undoes')
    table.unique(['cook_id', 'sequence'])
  })
}

export async function down(db: Knex): Promise<void> {
  await db.schema.dropTable('cook_events')
  await db.schema.dropTable('cooks')
}
