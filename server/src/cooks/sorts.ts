/** By what the Book can be sorted, as either database has it; each has an index that says just the same, which a test sees to. */
import type { CookSort } from '#core/book/cookSchema'

/** Of a row that somebody has written into: nothing, rather than an error for all of them. */
const inSqlite = (column: string, path: string): string => `case when json_valid(${column}) then json_extract(${column}, '$.${path}') end`

export const SQLITE_SORTS: Readonly<Record<CookSort, string>> = {
  made: 'created_at',
  to: inSqlite('request', 'target.coreC'),
  time: inSqlite('planned', 'pullS'),
  off: inSqlite('planned', 'pullC'),
  highest: inSqlite('planned', 'peakC'),
  board: 'doneness'
}
export const POSTGRES_SORTS: Readonly<Record<CookSort, string>> = {
  made: 'created_at',
  to: 'figure_to',
  time: 'figure_time',
  off: 'figure_off',
  highest: 'figure_highest',
  board: 'doneness'
}
