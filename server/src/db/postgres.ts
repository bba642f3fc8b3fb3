/**
 * The same tables on PostgreSQL, for a kitchen that one machine is too small for: several servers may have it open,
 * which bring it up to date one after the other.
 */
import knex, { type Knex } from 'knex'
import pg from 'pg'
import * as asItStood from './migrations/0017_postgres'
import * as figures from './migrations/0018_figures'
import { LATER, QUIET, sourceOf } from './migrations'

/** What is its own: it begins with what SQLite's file had come to. */
const POSTGRES_ONLY = { '0017_postgres': asItStood, '0018_figures': figures }
const MOST_CONNECTIONS = 10
/** ms until a server that does not answer is given up. */
const PATIENCE_MS = 5000

// Counts are whole numbers that JavaScript holds exactly; sums of them come as decimals.
for (const type of [pg.types.builtins.INT8, pg.types.builtins.NUMERIC]) pg.types.setTypeParser(type, Number)

export async function openPostgres(url: string): Promise<Knex> {
  const alone = new pg.Client({ connectionString: url, connectionTimeoutMillis: PATIENCE_MS })
  // What breaks is said by the query that it broke.
  alone.on('error', () => undefined)
  await alone.connect()
  const db = knex({
    client: 'pg',
    connection: { connectionString: url, connectionTimeoutMillis: PATIENCE_MS },
    acquireConnectionTimeout: PATIENCE_MS,
    log: QUIET,
    pool: { min: 0, max: MOST_CONNECTIONS }
  })
  try {
    // Held while this connection is; whoever comes meanwhile waits, and finds it done.
    await alone.query('select pg_advisory_lock(hashtext($1))', ['macellaio: migrations'])
    const migrationSource = sourceOf({ ...POSTGRES_ONLY, ...LATER })
    // With that in hand, a lock that the migrations still have is of a server that was stopped in the middle of them.
    await db.migrate.forceFreeMigrationsLock({ migrationSource })
    await db.migrate.latest({ migrationSource })
    return db
  } catch (error) {
    await db.destroy()
    throw error
  } finally {
    await alone.end()
  }
}
