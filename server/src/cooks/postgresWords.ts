/** In PostgreSQL: an index in the database, which all its servers read into and ask. */
import type { Knex } from 'knex'
import { CookWords, WORDED, wordsOf, type Found, type Worded } from './words'

/** Rows read at a time: some milliseconds, in which nobody else is answered. */
const AT_ONCE = 200
/** No text search looks further. */
const LAST_PLACE = 16_383

interface Rows<T> {
  readonly rows: readonly T[]
}
interface WordsRow extends Worded {
  readonly id: string
}

export class PostgresWords extends CookWords {
  private termsOf = -1

  async page(match: string, skip: number, take: number): Promise<Found> {
    const {
      rows: [{ total }]
    }: Rows<{ total: number }> = await this.db.raw('select count(*) as total from cook_words where words @@ ?::tsquery', [match])
    const { rows }: Rows<{ id: string }> = await this.db.raw(
      `select id from cook_words join cooks using (id) where words @@ ?::tsquery
       order by ts_rank(words, ?::tsquery) desc, created_at desc, id desc limit ? offset ?`,
      [match, match, take, skip]
    )
    return { total, ids: rows.map(r => r.id) }
  }

  among(cooks: Knex.QueryBuilder, match: string): void {
    void cooks.whereRaw('cooks.id in (select id from cook_words where words @@ ?::tsquery)', [match])
  }

  protected word(word: string, beginning: boolean): string {
    return beginning ? `'${word}':*` : `'${word}'`
  }
  protected any(of: readonly string[]): string {
    return `(${of.join(' | ')})`
  }
  protected all(of: readonly string[]): string {
    return of.join(' & ')
  }

  protected async has(match: string): Promise<boolean> {
    const { rows }: Rows<unknown> = await this.db.raw('select 1 from cook_words where words @@ ?::tsquery limit 1', [match])
    return rows.length > 0
  }

  protected async termsNow(): Promise<readonly string[]> {
    this.termsOf = await this.timesRead()
    const { rows }: Rows<{ word: string }> = await this.db.raw("select word from ts_stat('select words from cook_words')")
    return rows.map(r => r.word)
  }

  protected async outOfDate(): Promise<boolean> {
    return (await this.timesRead()) !== this.termsOf
  }

  protected async begin(): Promise<void> {
    await this.db.raw('insert into cooks_unread select id from cooks on conflict do nothing')
  }

  /** One server after the other: whoever comes second finds that it is read. */
  protected readSome(): Promise<number> {
    return this.db.transaction(async trx => {
      await trx.raw("select pg_advisory_xact_lock(hashtext('macellaio: words'))")
      const { rows: unread }: Rows<{ id: string }> = await trx.raw(
        'delete from cooks_unread where id in (select id from cooks_unread limit ?) returning id',
        [AT_ONCE]
      )
      if (unread.length === 0) return 0
      const ids = unread.map(u => u.id)
      await trx('cook_words').whereIn('id', ids).delete()
      const rows: WordsRow[] = await trx('cooks')
        .select('id', ...WORDED)
        .whereIn('id', ids)
        .whereNull('removed_at')
        .whereNull('rehearsed')
      await trx.batchInsert(
        'cook_words',
        rows.map(row => ({ id: row.id, words: trx.raw('?::tsvector', [vectorOf(wordsOf(row))]) })),
        AT_ONCE
      )
      await trx.raw('update cook_words_read set times = times + 1')
      return unread.length
    })
  }

  private async timesRead(): Promise<number> {
    const {
      rows: [{ times }]
    }: Rows<{ times: number }> = await this.db.raw('select times from cook_words_read')
    return times
  }
}

/** With where each stands, or nothing would be better than anything else. Words are of letters and digits, and need no more quoting. */
const vectorOf = (words: readonly string[]): string =>
  words
    .filter(Boolean)
    .map((word, i) => `'${word}':${Math.min(LAST_PLACE, i + 1)}`)
    .join(' ')
