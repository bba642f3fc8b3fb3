/** By what the Book can be sorted, as either database has it; each has an index that says just the same, which a test sees to. */
import type { CookSort } from '#core/book/cookSchema'

const FIGURES = {
  to: ['request', 'target', 'coreC'],
  time: ['planned', 'pullS'],
  off: ['planned', 'pullC'],
  highest: ['planned', 'peakC']
} as const

type Way = (column: string, path: readonly string[]) => string
/** Of a row that somebody has written into: nothing, rather than an error for all of them. */
const inSqlite: Way = (column, path) => `case when json_valid(${column}) then json_extract(${column}, '$.${path.join('.')}') end`
const inPostgres: Way = (column, path) => `figure_of(${[column, ...path.map(key => `'${key}'`)].join(', ')})`

const sortsBy = (figure: Way): Readonly<Record<CookSort, string>> => {
  const of = (sort: keyof typeof FIGURES): string => figure(FIGURES[sort][0], FIGURES[sort].slice(1))
  return { made: 'created_at', to: of('to'), time: of('time'), off: of('off'), highest: of('highest'), board: 'doneness' }
}
export const SQLITE_SORTS = sortsBy(inSqlite)
export const POSTGRES_SORTS = sortsBy(inPostgres)
