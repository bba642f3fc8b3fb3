/** What was done of the sides of a rehearsal: each call once, by its clock. */
import type { Knex } from 'knex'

export async function up(db: Knex): Promise<void> {
  await db.schema.createTable('rehearsal_calls', table => {
    table.text('rehearsal_id').notNullable()
    table.text('call_id').notNullable()
    table.double('done_at').notNullable()
    table.primary(['rehearsal_id', 'call_id'])
  })
}

export async function down(db: Knex): Promise<void> {
  await db.schema.dropTable('rehearsal_calls')
}
