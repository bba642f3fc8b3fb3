import type { Knex } from 'knex'

/** Other screens of the kitchen that may come in, and what the house keeps for itself: passcode, certificate, whether it is open. */
export async function up(db: Knex): Promise<void> {
  await db.schema.createTable('devices', table => {
    table.string('id').primary()
    table.string('name').notNullable()
    table.string('token_hash').notNullable()
    table.bigInteger('paired_at').notNullable()
    table.bigInteger('seen_at').notNullable()
  })
  await db.schema.createTable('house', table => {
    table.string('key').primary()
    table.text('value').notNullable()
  })
}

export async function down(db: Knex): Promise<void> {
  await db.schema.dropTable('devices')
  await db.schema.dropTable('house')
}
