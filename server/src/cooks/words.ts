/**
 * The words that cooks are found by, in an index of SQLite's own (FTS5) beside the connection, not in the file: it is
 * made anew with each start, cannot go stale, and follows whatever is written to the table, by whomever.
 */
import type { Knex } from 'knex'
import { foundBy } from '#core/book/foundBy'
import type { CookSummary } from '#core/book/record'
import { slipsIn, tokens, WordSearch } from '#core/input/wordSearch'

/** Rows read at a time: some milliseconds, in which nobody else is answered. */
const AT_ONCE = 200
/** Words taken for one that nobody has written. */
const MOST_NEAR = 12
/** From so many letters on a beginning is enough. */
const BEGINNING = 3
const MOST_WORDS = 12

const MADE = `
create temp table cooks_unread (row integer primary key);
create virtual table temp.cook_words using fts5(words, tokenize = "unicode61 remove_diacritics 0");
create virtual table temp.cook_terms using fts5vocab('temp', 'cook_words', 'row');
create temp trigger cook_came after insert on main.cooks begin
  insert or ignore into cooks_unread values (new.rowid);
end;
create temp trigger cook_changed after update of title, request, doneness, crust, notes, removed_at on main.cooks begin
  insert or ignore into cooks_unread values (new.rowid);
end;
create temp trigger cook_gone after delete on main.cooks begin
  delete from cook_words where rowid = old.rowid;
end;
insert into cooks_unread select rowid from main.cooks;
`

/** By the number of its row, which the index has too. */
interface WordsRow {
  readonly row: number
  readonly title: string
  readonly created_at: number
  readonly request: string
  readonly doneness: string | null
  readonly crust: string | null
  readonly notes: string
  readonly removed_at: number | null
  readonly rehearsed: number | null
}

export class CookWords {
  private near: WordSearch | null = null
  private terms: readonly string[] = []

  constructor(private readonly db: Knex) {}

  /** Reads what is new, some at a time, letting others be answered in between. */
  async catchUp(): Promise<void> {
    await this.make()
    while ((await this.readSome()) > 0) await new Promise(setImmediate)
  }

  /** @returns what of the index is asked for, as SQL's `match`; null where no word of it was ever written */
  async match(search: string): Promise<string | null> {
    await this.catchUp()
    const words = tokens(search).filter(Boolean).slice(0, MOST_WORDS)
    const found: string[] = []
    for (const word of words) {
      const said = await this.alternatives(word)
      if (said.length > 0) found.push(`(${said.join(' OR ')})`)
    }
    if (found.length === 0) return null
    const all = found.join(' AND ')
    // All of the words, or where none has them all, some.
    if (found.length === words.length && (await this.has(all))) return all
    return found.join(' OR ')
  }

  /** How many there are in the Book, and some of them, the best first and of those that are alike the newest: by their rows' numbers. */
  async page(match: string, skip: number, take: number): Promise<{ readonly total: number; readonly rows: readonly number[] }> {
    const [{ total }]: { total: number }[] = await this.db.raw('select count(*) as total from temp.cook_words where cook_words match ?', [
      match
    ])
    const rows: { row: number }[] = await this.db.raw(
      'select rowid as row from temp.cook_words where cook_words match ? order by bm25(cook_words), rowid desc limit ? offset ?',
      [match, take, skip]
    )
    return { total, rows: rows.map(r => r.row) }
  }

  private async has(match: string): Promise<boolean> {
    const rows: unknown[] = await this.db.raw('select 1 from temp.cook_words where cook_words match ? limit 1', [match])
    return rows.length > 0
  }

  private async alternatives(word: string): Promise<string[]> {
    const asWritten = word.length >= BEGINNING ? `"${word}"*` : `"${word}"`
    if (await this.has(asWritten)) return [asWritten]
    if (slipsIn(word) === false) return []
    this.near ??= await this.nearWords()
    return this.near
      .find(word)
      .slice(0, MOST_NEAR)
      .map(i => `"${this.terms[i]}"`)
  }

  private async nearWords(): Promise<WordSearch> {
    const rows: { term: string }[] = await this.db.raw('select term from temp.cook_terms')
    this.terms = rows.map(r => r.term)
    return new WordSearch(this.terms)
  }

  /** In one piece: two who ask at once are one after the other. */
  private make(): Promise<void> {
    return this.db.transaction(async trx => {
      const there: unknown[] = await trx.raw("select 1 from temp.sqlite_master where name = 'cook_words'")
      if (there.length > 0) return
      for (const statement of statementsOf(MADE)) await trx.raw(statement)
    })
  }

  /** @returns how many there were */
  private async readSome(): Promise<number> {
    const many = await this.db.transaction(async trx => {
      const unread = (await trx('cooks_unread').select('row').limit(AT_ONCE)) as { row: number }[]
      if (unread.length === 0) return 0
      const numbers = unread.map(u => u.row)
      const rows: WordsRow[] = await trx('cooks')
        .select('cooks.rowid as row', 'title', 'created_at', 'request', 'doneness', 'crust', 'notes', 'removed_at', 'rehearsed')
        .whereIn('cooks.rowid', numbers)
      await trx('cook_words').whereIn('rowid', numbers).delete()
      await trx.batchInsert(
        'cook_words',
        rows
          .filter(row => row.removed_at === null && row.rehearsed === null)
          .map(row => ({ rowid: row.row, words: wordsOf(row).join(' ') })),
        AT_ONCE
      )
      await trx('cooks_unread').whereIn('row', numbers).delete()
      return unread.length
    })
    if (many > 0) this.near = null
    return many
  }
}

/** One that cannot be read is found by its name. */
function wordsOf(row: WordsRow): string[] {
  try {
    const { title, created_at: createdAt, doneness, crust, notes } = row
    const request = JSON.parse(row.request) as CookSummary['request']
    return tokens(foundBy({ title, createdAt, request, outcome: { doneness, crust, notes } as CookSummary['outcome'] }))
  } catch {
    return tokens(row.title)
  }
}

/** A trigger has a semicolon within. */
const statementsOf = (text: string): string[] =>
  text
    .split(/;\n(?!end)/)
    .map(s => s.trim())
    .filter(Boolean)
