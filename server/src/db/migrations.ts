/** What both databases share of being brought up to date. */
import type { Knex } from 'knex'
import * as sides from './migrations/0019_sides'

/** From 0019 on: each says itself what it is in either database. */
export const LATER: Record<string, Knex.Migration> = { '0019_sides': sides }

/** Migrations are imported, not searched for on disk, so that they also run when bundled. */
export const sourceOf = (migrations: Readonly<Record<string, Knex.Migration>>): Knex.MigrationSource<string> => ({
  getMigrations: () => Promise.resolve(Object.keys(migrations)),
  getMigrationName: name => name,
  getMigration: name => Promise.resolve(migrations[name])
})

const silent = (): void => undefined
/** What goes wrong is thrown, and said by whoever opened it. */
export const QUIET: Knex.Logger = { debug: silent, warn: silent, error: silent, deprecate: silent }
