/** Why it cannot start, in one line: what, where, and what to do. */
import { copiesOf } from './db/copies'
import { isPostgresUrl, shownPlace } from './db/dialect'
import type { Settings } from './settings'

const NO_DATABASE = new Set(['SQLITE_NOTADB', 'SQLITE_CORRUPT'])
const NO_ANSWER = /^(ECONN|ENOTFOUND|EAI_|EHOST|ENET|ETIMEDOUT|57P|08)/
const NO_WAY_IN = new Set(['SQLITE_CANTOPEN', 'SQLITE_CANTOPEN_ISDIR', 'EACCES', 'EPERM', 'ENOTDIR', 'EEXIST', 'ENOENT', 'EROFS'])

export function plainly(error: unknown, { db, port }: Pick<Settings, 'db' | 'port'>): string {
  const { code = '', syscall = '' } = error as { readonly code?: string; readonly syscall?: string }
  const words = error instanceof Error ? error.message : String(error)
  if (code === 'EADDRINUSE')
    return `Port ${port} is taken by another program. Stop that one, or take another port: MACELLAIO_PORT=${port + 1}.`
  if (code === 'EACCES' && syscall === 'listen') return `Port ${port} may not be used by you. Take one above 1023: MACELLAIO_PORT=4380.`
  if (/migration directory is corrupt/.test(words))
    return `The database ${shownPlace(db)} was written by a newer Macellaio. Start that one, or ${isPostgresUrl(db) ? 'take an empty database' : 'move the file away'} to begin anew.`
  if (isPostgresUrl(db)) return plainlyOnPostgres(code, words, shownPlace(db))
  if (/already locked|MigrationLocked/.test(words))
    return `The database ${db} is being brought up to date by another Macellaio, or one was stopped in the middle of it. Wait for it; else put a copy in its place.`
  if (NO_DATABASE.has(code)) {
    const [last] = copiesOf(db)
    return `The file ${db} is damaged, or no database. ${last ? `Put the copy of ${last.day} in its place: npm run restore -- ${last.day}` : 'Put a copy in its place'}, or move it away to begin anew.`
  }
  if (code.startsWith('SQLITE_BUSY')) return `The database ${db} is in use by another program. Stop that one first.`
  if (code.startsWith('SQLITE_READONLY')) return `The database ${db} may not be written. Allow it, or set MACELLAIO_DB to another file.`
  if (code === 'SQLITE_FULL' || code === 'ENOSPC') return `There is no room left for the database ${db}. Make some, and start again.`
  if (NO_WAY_IN.has(code))
    return `The database ${db} cannot be opened, nor made (${code}). Set MACELLAIO_DB to a file in a folder that you may write in.`
  return `Macellaio cannot start: ${words}`
}

/** Codes of PostgreSQL's own, by their classes where all of one mean the same. */
function plainlyOnPostgres(code: string, words: string, where: string): string {
  if (code.startsWith('28')) return `The database ${where} does not let you in. Give the user and the password in DATABASE_URL.`
  if (code === '3D000') return `There is no database ${where}. Make it with createdb, or name another in DATABASE_URL.`
  if (code === '42501') return `You may make no tables in the database ${where}. Allow it, or take a database of your own.`
  if (code.startsWith('53')) return `The database ${where} has no room left, or too many connections: ${words}.`
  if (NO_ANSWER.test(code) || /timeout/i.test(words))
    return `No PostgreSQL answers at ${where}${code === '' ? '' : ` (${code})`}. Start it, or set DATABASE_URL to where it is.`
  return `The database ${where} cannot be used: ${words}.`
}
