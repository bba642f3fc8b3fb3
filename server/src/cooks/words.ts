/**
 * The words that cooks are found by, in an index of the database's own. It is read anew with each start, so that it
 * cannot go stale, and follows whatever is written to the table, by whomever.
 */
import type { Knex } from 'knex'
import { foundBy } from '#core/book/foundBy'
import type { CookSummary } from '#core/book/record'
import { slipsIn, tokens, WordSearch } from '#core/input/wordSearch'

/** Words taken for one that nobody has written. */
const MOST_NEAR = 12
/** From so many letters on a beginning is enough. */
const BEGINNING = 3
const MOST_WORDS = 12

/** What of a cook its words come from. */
export interface Worded {
  readonly title: string
  readonly created_at: number
  readonly request: string
  readonly doneness: string | null
  readonly crust: string | null
  readonly notes: string
}
export const WORDED = ['title', 'created_at', 'request', 'doneness', 'crust', 'notes'] as const

/** Ids of some of those that were found, and how many there are. */
export interface Found {
  readonly total: number
  readonly ids: readonly string[]
}

export abstract class CookWords {
  private near: WordSearch | null = null
  private terms: readonly string[] = []

  constructor(protected readonly db: Knex) {}

  /** Reads all of them, some at a time, letting others be answered in between. */
  async catchUp(): Promise<void> {
    await this.begin()
    await this.readNew()
  }

  /** @returns what of the index is asked for, in its own language; null where no word of it was ever written */
  async match(search: string): Promise<string | null> {
    await this.readNew()
    const words = tokens(search).filter(Boolean).slice(0, MOST_WORDS)
    const found: string[] = []
    for (const word of words) {
      const said = await this.alternatives(word)
      if (said.length > 0) found.push(this.any(said))
    }
    if (found.length === 0) return null
    const all = this.all(found)
    // All of the words, or where none has them all, some.
    return found.length === words.length && (await this.has(all)) ? all : this.any(found)
  }

  /** The best first, and of those that are alike the newest. */
  abstract page(match: string, skip: number, take: number): Promise<Found>
  /** Leaves of cooks those that were found. */
  abstract among(cooks: Knex.QueryBuilder, match: string): void

  /** All are unread. */
  protected abstract begin(): Promise<void>
  /** @returns how many there were */
  protected abstract readSome(): Promise<number>
  protected abstract has(match: string): Promise<boolean>
  protected abstract termsNow(): Promise<readonly string[]>
  /** Whether another server has read something since the terms were asked for. */
  protected abstract outOfDate(): Promise<boolean>
  protected abstract word(word: string, beginning: boolean): string
  protected abstract any(of: readonly string[]): string
  protected abstract all(of: readonly string[]): string

  private async readNew(): Promise<void> {
    while ((await this.readSome()) > 0) {
      this.near = null
      await new Promise(setImmediate)
    }
  }

  private async alternatives(word: string): Promise<string[]> {
    const asWritten = this.word(word, word.length >= BEGINNING)
    if (await this.has(asWritten)) return [asWritten]
    if (slipsIn(word) === false) return []
    if (this.near === null || (await this.outOfDate())) {
      this.terms = await this.termsNow()
      this.near = new WordSearch(this.terms)
    }
    return this.near
      .find(word)
      .slice(0, MOST_NEAR)
      .map(i => this.word(this.terms[i], false))
  }
}

/** One that cannot be read is found by its name. */
export function wordsOf({ title, created_at: createdAt, request, doneness, crust, notes }: Worded): string[] {
  try {
    return tokens(
      foundBy({
        title,
        createdAt,
        request: JSON.parse(request) as CookSummary['request'],
        outcome: { doneness, crust, notes } as CookSummary['outcome']
      })
    )
  } catch {
    return tokens(title)
  }
}
