/** The database behind the Book, migrated forward when it is opened: SQLite's own file, or one of PostgreSQL's. */
import knex, { type Knex } from 'knex'
import { mkdirSync } from 'node:fs'
import { dirname } from 'node:path'
import { isPostgresUrl } from './dialect'
import { openPostgres } from './postgres'
import * as first from './migrations/0001_cooks'
import * as second from './migrations/0002_packets'
import * as third from './migrations/0003_kit'
import * as fourth from './migrations/0004_way'
import * as fifth from './migrations/0005_one_request'
import * as sixth from './migrations/0006_service'
import * as seventh from './migrations/0007_services'
import * as eighth from './migrations/0008_held'
import * as ninth from './migrations/0009_pieces'
import * as tenth from './migrations/0010_devices'
import * as eleventh from './migrations/0011_recipes'
import * as twelfth from './migrations/0012_turned_down'
import * as thirteenth from './migrations/0013_sorted'
import * as fourteenth from './migrations/0014_probes'
import * as fifteenth from './migrations/0015_rehearsals'
import * as sixteenth from './migrations/0016_flashed'
import * as seventeenth from './migrations/0017_drills'
import { LATER, QUIET, sourceOf } from './migrations'

/** How SQLite's file came to be as it is; PostgreSQL begins with what stood at the end of that. */
const SQLITE_ONLY: Record<string, Knex.Migration> = {
  '0001_cooks': first,
  '0002_packets': second,
  '0003_kit': third,
  '0004_way': fourth,
  '0005_one_request': fifth,
  '0006_service': sixth,
  '0007_services': seventh,
  '0008_held': eighth,
  '0009_pieces': ninth,
  '0010_devices': tenth,
  '0011_recipes': eleventh,
  '0012_turned_down': twelfth,
  '0013_sorted': thirteenth,
  '0014_probes': fourteenth,
  '0015_rehearsals': fifteenth,
  '0016_flashed': sixteenth,
  '0017_drills': seventeenth
}

/** @param where path of SQLite's file, ":memory:" for one that is forgotten, or the address of a PostgreSQL database */
export async function openDatabase(where: string): Promise<Knex> {
  if (isPostgresUrl(where)) return openPostgres(where)
  if (where !== ':memory:') mkdirSync(dirname(where), { recursive: true })
  const db = knex({
    client: 'better-sqlite3',
    connection: { filename: where },
    useNullAsDefault: true,
    log: QUIET,
    pool: {
      min: 1,
      max: 1,
      afterCreate: (connection: { pragma(text: string): void }, done: (error: Error | null, connection: unknown) => void) => {
        connection.pragma('journal_mode = WAL')
        connection.pragma('foreign_keys = ON')
        connection.pragma('synchronous = FULL')
        done(null, connection)
      }
    }
  })
  try {
    await db.migrate.latest({ migrationSource: sourceOf({ ...SQLITE_ONLY, ...LATER }) })
    return db
  } catch (error) {
    await db.destroy()
    throw error
  }
}
