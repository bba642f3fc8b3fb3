/** By what the Book can be sorted, as the database has it; each has an index that says just the same, which a test sees to. */
import type { CookSort } from '#core/book/cookSchema'

/** Of a row that somebody has written into: nothing, rather than an error for all of them. */
const figure = (column: 'request' | 'planned', path: string): string =>
  `case when json_valid(${column}) then json_extract(${column}, '$.${path}') end`

export const COOK_SORTS: Readonly<Record<CookSort, string>> = {
  made: 'created_at',
  to: figure('request', 'target.coreC'),
  time: figure('planned', 'pullS'),
  off: figure('planned', 'pullC'),
  highest: figure('planned', 'peakC'),
  board: 'doneness'
}
