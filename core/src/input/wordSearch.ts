/** Words found in texts although they are misspelt, cut short or in another order; by MiniSearch. */
import MiniSearch from 'minisearch'

const KATAKANA_OVER_HIRAGANA = 0x60
/** Lower case, no accents, no punctuation, single spaces; Japanese letters stay, all of them hiragana. */
export function plain(text: string): string {
  return text
    .normalize('NFD')
    .replace(/\p{Script=Latin}\p{M}+/gu, c => c.charAt(0))
    .normalize('NFC')
    .toLowerCase()
    .replace(/œ/g, 'oe')
    .replace(/ß/g, 'ss')
    .replace(/[ァ-ヶ]/g, c => String.fromCharCode(c.charCodeAt(0) - KATAKANA_OVER_HIRAGANA))
    .replace(/[^\p{L}\p{N}]+/gu, ' ')
    .trim()
}

/** Scripts that put no spaces between their words. */
const UNSPACED = /^[\p{Script=Han}\p{Script=Hiragana}\p{Script=Katakana}ー]+$/u
export const isUnspaced = (word: string): boolean => UNSPACED.test(word)

/** Words; of a script without spaces each two letters that stand together. */
export const tokens = (text: string): string[] =>
  plain(text)
    .split(' ')
    .flatMap(word => (isUnspaced(word) && word.length > 1 ? pairs(word) : [word]))
const pairs = (word: string): string[] => Array.from({ length: word.length - 1 }, (_, i) => word.slice(i, i + 2))

/** Letters that may be wrong; two changed over are two. Short words must be right. */
export const slipsIn = (word: string): number | false => (word.length >= 6 ? 2 : word.length >= 4 ? 1 : false)

export class WordSearch {
  private readonly index = new MiniSearch<{ readonly id: number; readonly text: string }>({ fields: ['text'], tokenize: tokens })

  constructor(texts: readonly string[]) {
    this.index.addAll(texts.map((text, id) => ({ id, text })))
  }

  /** @returns which texts, by number, best first: those with all of the words, or where none has, with some */
  find(query: string): number[] {
    if (plain(query) === '') return []
    const search = (combineWith: 'AND' | 'OR'): number[] =>
      this.index
        .search(query, {
          combineWith,
          prefix: term => term.length > 2,
          fuzzy: slipsIn
        })
        .map(r => r.id as number)
    const all = search('AND')
    return all.length > 0 ? all : search('OR')
  }
}
