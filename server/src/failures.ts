/** Why it cannot start, in one line: what, where, and what to do. */
import { copiesOf } from './db/copies'
import type { Settings } from './settings'

const NO_DATABASE = new Set(['SQLITE_NOTADB', 'SQLITE_CORRUPT'])
const NO_WAY_IN = new Set(['SQLITE_CANTOPEN', 'SQLITE_CANTOPEN_ISDIR', 'EACCES', 'EPERM', 'ENOTDIR', 'EEXIST', 'ENOENT', 'EROFS'])

export function plainly(error: unknown, { db, port }: Pick<Settings, 'db' | 'port'>): string {
  const { code = '', syscall = '' } = error as { readonly code?: string; readonly syscall?: string }
  const words = error instanceof Error ? error.message : String(error)
  if (code === 'EADDRINUSE')
    return `Port ${port} is taken by another program. Stop that one, or take another port: MACELLAIO_PORT=${port + 1}.`
  if (code === 'EACCES' && syscall === 'listen') return `Port ${port} may not be used by you. Take one above 1023: MACELLAIO_PORT=4380.`
  if (/migration directory is corrupt/.test(words))
    return `The database ${db} was written by a newer Macellaio. Start that one, or move the file away to begin anew.`
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
