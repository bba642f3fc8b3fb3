import type { Knex } from 'knex'

/** How each drill went, each time: when it comes again follows from that. */
export async function up(db: Knex): Promise<void> {
  await db.schema.createTable('drills', table => {
    table.string('id').primary()
    table.string('kind').notNullable()
    table.integer('right').notNullable()
    table.integer('at').notNullable()
  })
}

export async function down(db: Knex): Promise<void> {
  await db.schema.dropTable('drills')
}
