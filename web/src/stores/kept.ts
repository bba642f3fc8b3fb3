/**
 * Values that outlive the page, replaced whole and never changed in place: kept in the browser's own storage and read back through
 * a parser, so that what an older version left behind cannot break a newer one.
 */
import { shallowRef, watch, type ShallowRef } from 'vue'

/**
 * @param parse throws for what cannot be used; then `fresh` is taken
 */
export function kept<T>(key: string, fresh: () => T, parse: (stored: unknown) => T): ShallowRef<T> {
  const value = shallowRef(read(key, fresh, parse))
  watch(value, v => write(key, v), { flush: 'sync' })
  return value
}

function read<T>(key: string, fresh: () => T, parse: (stored: unknown) => T): T {
  try {
    const text = localStorage.getItem(key)
    return text === null ? fresh() : parse(JSON.parse(text))
  } catch {
    return fresh()
  }
}

function write(key: string, value: unknown): void {
  try {
    localStorage.setItem(key, JSON.stringify(value))
  } catch {
    // Storage is full or forbidden: the value still lives in this page.
  }
}
