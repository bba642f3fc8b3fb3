/** In SQLite: an index of its own (FTS5) beside the connection, not in the file. */
import type { Knex } from 'knex'
import { CookWords, WORDED, wordsOf, type Found, type Worded } from './words'

/** Rows read at a time: some milliseconds, in which nobody else is answered. */
const AT_ONCE = 200

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
interface WordsRow extends Worded {
  readonly row: number
  readonly removed_at: number | null
  readonly rehearsed: number | null
}

export class SqliteWords extends CookWords {
  async page(match: string, skip: number, take: number): Promise<Found> {
    const [{ total }]: { total: number }[] = await this.db.raw('select count(*) as total from temp.cook_words where cook_words match ?', [
      match
    ])
    const rows: { id: string }[] = await this.db.raw(
      `select cooks.id from (select rowid as row, bm25(cook_words) as far from temp.cook_words where cook_words match ?
       order by far, row desc limit ? offset ?) join main.cooks on cooks.rowid = row order by far, row desc`,
      [match, take, skip]
    )
    return { total, ids: rows.map(r => r.id) }
  }

  among(cooks: Knex.QueryBuilder, match: string): void {
    void cooks.join('temp.cook_words', 'cooks.rowid', 'cook_words.rowid').whereRaw('cook_words match ?', [match])
  }

  protected word(word: string, beginning: boolean): string {
    return beginning ? `"${word}"*` : `"${word}"`
  }
  protected any(of: readonly string[]): string {
    return `(${of.join(' OR ')})`
  }
  protected all(of: readonly string[]): string {
    return of.join(' AND ')
  }

  protected async has(match: string): Promise<boolean> {
    const rows: unknown[] = await this.db.raw('select 1 from temp.cook_words where cook_words match ? limit 1', [match])
    return rows.length > 0
  }

  protected async termsNow(): Promise<readonly string[]> {
    const rows: { term: string }[] = await this.db.raw('select term from temp.cook_terms')
    return rows.map(r => r.term)
  }

  /** The file has one server. */
  protected outOfDate(): Promise<boolean> {
    return Promise.resolve(false)
  }

  /** In one piece: two who ask at once are one after the other. */
  protected begin(): Promise<void> {
    return this.db.transaction(async trx => {
      const there: unknown[] = await trx.raw("select 1 from temp.sqlite_master where name = 'cook_words'")
      if (there.length > 0) return
      for (const statement of statementsOf(MADE)) await trx.raw(statement)
    })
  }

  protected async readSome(): Promise<number> {
    await this.begin()
    return this.db.transaction(async trx => {
      const unread = (await trx('cooks_unread').select('row').limit(AT_ONCE)) as { row: number }[]
      if (unread.length === 0) return 0
      const numbers = unread.map(u => u.row)
      const rows: WordsRow[] = await trx('cooks')
        .select('cooks.rowid as row', ...WORDED, 'removed_at', 'rehearsed')
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
  }
}

/** A trigger has a semicolon within. */
const statementsOf = (text: string): string[] =>
  text
    .split(/;\n(?!end)/)
    .map(s => s.trim())
    .filter(Boolean)
