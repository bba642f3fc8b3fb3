import type { Knex } from 'knex'

/** Services as they were decided, step by step; what stands beside the log is only to find them by. */
export async function up(db: Knex): Promise<void> {
  await db.schema.createTable('services', table => {
    table.text('id').primary()
    table.float('created_at').notNullable()
    /** By the clock on the wall, as its ticket has it; null before there is one. */
    table.text('serve_at').index()
    table.text('summary').notNullable()
    table.float('removed_at')
  })
  await db.schema.createTable('service_events', table => {
    table.text('id').primary()
    table.text('service_id').notNullable().references('services.id')
    table.integer('sequence').notNullable()
    table.text('said').notNullable()
    table.unique(['service_id', 'sequence'])
  })
}

export async function down(db: Knex): Promise<void> {
  await db.schema.dropTable('service_events')
  await db.schema.dropTable('services')
}
