/** A browser of its own for the stores of each test: what it keeps, and a server that can fail. */
import { createPinia, setActivePinia } from 'pinia'
import { afterEach, beforeEach, vi } from 'vitest'

export const storage = new Map<string, string>()
interface Sent {
  readonly method: string
  readonly path: string
  readonly body: unknown
}
export const there: { sent: Sent[]; server: 'up' | 'down' | 'refuses' } = { sent: [], server: 'up' }
/** An engine that never answers. */
export const silent = (): unknown => ({
  remote: new Proxy({}, { get: () => () => new Promise(() => undefined) }),
  terminate: () => undefined
})

export function freshEach(): void {
  beforeEach(() => {
    storage.clear()
    there.sent = []
    there.server = 'up'
    vi.useFakeTimers()
    vi.stubGlobal('localStorage', {
      getItem: (key: string) => storage.get(key) ?? null,
      setItem: (key: string, value: string) => void storage.set(key, value),
      removeItem: (key: string) => void storage.delete(key),
      key: (index: number) => [...storage.keys()][index] ?? null,
      get length() {
        return storage.size
      }
    })
    vi.stubGlobal('fetch', (path: string, { method, body }: { method: string; body?: string }) => {
      if (there.server === 'down') return Promise.reject(new TypeError('no route'))
      if (there.server === 'refuses') return Promise.resolve(new Response(JSON.stringify({ detail: 'Not like this.' }), { status: 422 }))
      there.sent.push({ method, path, body: body === undefined ? undefined : JSON.parse(body) })
      return Promise.resolve(new Response('{}', { status: 200 }))
    })
    setActivePinia(createPinia())
  })
  afterEach(() => {
    vi.unstubAllGlobals()
    vi.useRealTimers()
  })
}

/** The page closed and opened again. */
export function reload(): void {
  vi.clearAllTimers()
  setActivePinia(createPinia())
}
export const settle = (): Promise<unknown> => vi.advanceTimersByTimeAsync(10_000)
