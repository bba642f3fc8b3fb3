/**
 * Letters in the browser's own storage, each under a name of its own that sorts by when it was written. Two pages of
 * one browser have one box between them and never write in the same place: neither can lose what the other said.
 * Storage rather than a database: it is written before the hand has left the key, and a page that is killed then has
 * said it all the same.
 */
import { nanoid } from 'nanoid'

interface Stored<Letter> {
  readonly name: string
  readonly letter: Letter
}

export interface LetterBox<Letter> {
  /** In the order in which they were written, from whatever page. */
  all(): readonly Stored<Letter>[]
  put(letter: Letter): void
  drop(name: string): void
  /** @param changed told where another page has put one in or taken one out */
  watch(changed: () => void): void
}

/** @param parse what is to be read of a list of letters as an earlier version left it */
export function letterBox<Letter>(key: string, parse: (stored: unknown) => readonly Letter[]): LetterBox<Letter> {
  const prefix = `${key}/`
  /** What storage would not take, and all of it where there is none: lives as long as the page. */
  const inHand = new Map<string, string>()

  function names(): string[] {
    return [...new Set([...storedNames(prefix), ...inHand.keys()])].sort()
  }
  function all(): Stored<Letter>[] {
    return names().flatMap(name => {
      const [letter] = readOf(read(name), one => parse([one]))
      return letter === undefined ? [] : [{ name, letter }]
    })
  }
  const read = (name: string): string | null => inHand.get(name) ?? storage()?.getItem(name) ?? null

  function put(letter: Letter): void {
    // Whatever a clock does, later is later.
    const last = writtenAt(names().at(-1) ?? prefix, prefix)
    const name = `${prefix}${Math.max(Date.now(), last + 1)
      .toString(36)
      .padStart(DIGITS, '0')}-${nanoid(6)}`
    const text = JSON.stringify(letter)
    try {
      const shelf = storage()
      if (!shelf) throw new Error('No storage.')
      shelf.setItem(name, text)
    } catch {
      inHand.set(name, text)
    }
  }
  function drop(name: string): void {
    inHand.delete(name)
    storage()?.removeItem(name)
  }
  function watch(changed: () => void): void {
    if (typeof window === 'undefined') return
    window.addEventListener('storage', event => {
      if (event.key === null || event.key.startsWith(prefix)) changed()
    })
  }

  // An earlier version kept all of them in one.
  const earlier = storage()?.getItem(key) ?? null
  if (earlier !== null) {
    for (const letter of readOf(earlier, parse)) put(letter)
    storage()?.removeItem(key)
  }
  return { all, put, drop, watch }
}

/** Milliseconds since 1970 in base 36, until the year 5188. */
const DIGITS = 9
function writtenAt(name: string, prefix: string): number {
  const at = parseInt(name.slice(prefix.length, prefix.length + DIGITS), 36)
  return Number.isFinite(at) ? at : 0
}

function readOf<Letter>(text: string | null, parse: (stored: unknown) => readonly Letter[]): readonly Letter[] {
  if (text === null) return []
  try {
    return parse(JSON.parse(text))
  } catch {
    return []
  }
}

function storedNames(prefix: string): string[] {
  const shelf = storage()
  if (!shelf) return []
  return Array.from({ length: shelf.length }, (_, i) => shelf.key(i) ?? '').filter(name => name.startsWith(prefix))
}

/** Null where it is forbidden. */
function storage(): Storage | null {
  try {
    return localStorage
  } catch {
    return null
  }
}
