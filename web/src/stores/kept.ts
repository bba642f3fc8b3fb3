/**
 * Values that outlive the page, replaced whole and never changed in place: kept in the browser's own storage and read back through
 * a parser, so that what an older version left behind cannot break a newer one.
 */
import { useStorage, type RemovableRef } from '@vueuse/core'

/**
 * @param parse throws for what cannot be used; then `fresh` is taken
 */
export function kept<T>(key: string, fresh: () => T, parse: (stored: unknown) => T): RemovableRef<T> {
  const read = (text: string): T => {
    try {
      return parse(JSON.parse(text))
    } catch {
      return fresh()
    }
  }
  return useStorage<T>(key, fresh(), storage(), {
    shallow: true,
    deep: false,
    flush: 'sync',
    writeDefaults: false,
    listenToStorageChanges: false,
    serializer: { read, write: value => JSON.stringify(value) },
    // Storage is full: the value still lives in this page.
    onError: () => undefined
  })
}

/** Where storage is forbidden, values live as long as the page. */
function storage(): Pick<Storage, 'getItem' | 'setItem' | 'removeItem'> {
  try {
    return localStorage
  } catch {
    return { getItem: () => null, setItem: () => undefined, removeItem: () => undefined }
  }
}
