/** Which of the two databases it is: SQLite's file beside the server, or PostgreSQL where several servers keep one kitchen. */
import type { Knex } from 'knex'

export const isPostgresUrl = (where: string): boolean => /^postgres(ql)?:\/\//.test(where)

export const onPostgres = (db: Knex): boolean => (db.client as { config: Knex.Config }).config.client === 'pg'

/** As it may be shown: without the password that stands in an address. */
export function shownPlace(where: string): string {
  if (!isPostgresUrl(where)) return where
  try {
    const { protocol, host, pathname } = new URL(where)
    return `${protocol}//${host}${pathname}`
  } catch {
    return 'at the PostgreSQL address given'
  }
}
