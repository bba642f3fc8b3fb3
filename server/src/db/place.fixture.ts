/** Empty databases for tests: SQLite's, or one each of the PostgreSQL server that the tests are told of. */
import type { Knex } from 'knex'
import { nanoid } from 'nanoid'
import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import pg from 'pg'
import { afterAll } from 'vitest'
import { openDatabase } from './database'

/** Of a server on which nothing is kept, with the right to make databases; see scripts/postgres.mjs. */
const SERVER = process.env['MACELLAIO_TEST_POSTGRES'] ?? ''
export const ON_POSTGRES = SERVER !== ''

const folders: string[] = []
afterAll(() => {
  for (const folder of folders.splice(0)) rmSync(folder, { recursive: true, force: true })
})

/** Where it can be opened again, whatever was closed meanwhile. */
export async function emptyPlace(): Promise<string> {
  if (!ON_POSTGRES) {
    const folder = mkdtempSync(join(tmpdir(), 'macellaio-server-'))
    folders.push(folder)
    return join(folder, 'book.sqlite')
  }
  const name = `test_${nanoid(12).replace(/\W/g, '_').toLowerCase()}`
  const client = new pg.Client({ connectionString: `${SERVER}/postgres` })
  await client.connect()
  await client.query(`create database "${name}"`)
  await client.end()
  return `${SERVER}/${name}`
}

export const emptyDatabase = async (): Promise<Knex> => openDatabase(ON_POSTGRES ? await emptyPlace() : ':memory:')
