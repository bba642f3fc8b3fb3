/**
 * A write that stands whole or not at all. On SQLite those that wait for the file share a commit: what takes time is the
 * disk saying that it has it, and all else stands still meanwhile. On PostgreSQL each has its own, side by side.
 */
import type { Knex } from 'knex'
import { onPostgres } from './dialect'

/** So many share one: the first of them waits for the last. */
const AT_ONCE = 32

/** What answers it once all that shared the commit are kept; or why that one is lost. */
type Written = { readonly answer: () => void } | { readonly lost: unknown }
type Write = (trx: Knex.Transaction) => Promise<Written>
interface Waiting {
  readonly write: Write
  readonly refuse: (reason: unknown) => void
}
const waitingFor = new WeakMap<Knex, Waiting[]>()

/** @returns what the work returns, once it is kept. Throws what the work throws, with nothing of it left. */
export function inOnePiece<T>(db: Knex, work: (trx: Knex.Transaction) => Promise<T>): Promise<T> {
  if (onPostgres(db) || db.isTransaction === true) return db.transaction(work)
  return new Promise<T>((keep, refuse) => {
    const write: Write = async trx => {
      let why: unknown
      try {
        const done = await trx.transaction(own =>
          work(own).catch((error: unknown) => {
            why = error
            throw error
          })
        )
        return { answer: () => keep(done) }
      } catch (error) {
        // What cannot be undone any more ends with another error than it began.
        why ??= error
        return ofTheFile(why) ? { lost: why } : { answer: () => refuse(why) }
      }
    }
    const waiting = waitingFor.get(db)
    if (waiting) waiting.push({ write, refuse })
    else {
      const first = [{ write, refuse }]
      waitingFor.set(db, first)
      void commitAll(db, first)
    }
  })
}

async function commitAll(db: Knex, waiting: Waiting[]): Promise<void> {
  while (waiting.length > 0) {
    // Those that came in the same breath are still being read.
    await new Promise(read => setTimeout(read, 0))
    let shared: readonly Waiting[] = []
    const answers: (() => void)[] = []
    let why: unknown
    try {
      await db.transaction(async trx => {
        // Whoever came while the file was busy is among them.
        shared = waiting.splice(0, AT_ONCE)
        for (const { write } of shared) {
          const written = await write(trx)
          if ('lost' in written) throw (why = written.lost)
          answers.push(written.answer)
        }
      })
      for (const answer of answers) answer()
    } catch (error) {
      // Before it had begun, none was taken out yet.
      for (const { refuse } of shared.length > 0 ? shared : waiting.splice(0)) refuse(why ?? error)
    }
  }
  waitingFor.delete(db)
}

/** A full disk or a broken file: SQLite has then taken back the commit by itself, and what came after would stand alone. */
function ofTheFile(error: unknown): boolean {
  const { code } = (error ?? {}) as { readonly code?: unknown }
  return typeof code === 'string' && code.startsWith('SQLITE_') && !code.startsWith('SQLITE_CONSTRAINT')
}
