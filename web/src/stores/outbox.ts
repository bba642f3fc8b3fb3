/**
 * Letters to the server: written down first in the browser's own storage, and sent one after the other until each
 * is taken or refused for good. A dead server or a closed page loses nothing. All pages of a browser have one box,
 * and one of them at a time sends from it.
 */
import { computed, ref, shallowRef, type Ref, type ShallowRef } from 'vue'
import { RefusedError } from '../api/client'
import { letterBox } from './letterBox'

const RETRY_MS = 3000
/** Not known here yet, too slow, under a name it will not have again, too many: what is sent later may be taken. */
const MAY_PASS: ReadonlySet<number> = new Set([401, 408, 421, 429])

export interface Outbox<Letter> {
  readonly letters: Readonly<Ref<readonly Letter[]>>
  /** Whether the server did not answer last time. */
  readonly offline: Ref<boolean>
  /** Why it will never take a letter; whoever showed it clears it. */
  readonly refused: ShallowRef<string | null>
  /** @param instead of letters that are still here and that this one makes needless */
  post(letter: Letter, instead?: (other: Letter) => boolean): void
  /** All there are, as far as the server takes them now. */
  send(): Promise<void>
  /** What the server has, as of when it had taken all letters and none had come since; null where it does not take them. */
  answered<T>(ask: () => Promise<T>): Promise<T | null>
}

interface Terms<Letter> {
  /** What an earlier version left in the box. */
  readonly parse?: (stored: unknown) => readonly Letter[]
  /** Whether a refused letter is dropped, or held until the next is posted or the page comes again. */
  readonly whenRefused?: 'drop' | 'hold'
  /** Told of each letter that another page of this browser has posted. */
  readonly heard?: (letter: Letter) => void
}

export function outbox<Letter>(
  key: string,
  deliver: (letter: Letter) => Promise<unknown>,
  { parse = stored => (Array.isArray(stored) ? (stored as Letter[]) : []), whenRefused = 'drop', heard }: Terms<Letter> = {}
): Outbox<Letter> {
  const box = letterBox(key, parse)
  const stored = shallowRef(box.all())
  const letters = computed(() => stored.value.map(s => s.letter))
  const offline = ref(false)
  const refused = shallowRef<string | null>(null)
  /** The one on its way. */
  let delivering: string | null = null
  let sending = false
  /** Letters posted so far, here and in other pages. */
  let posted = 0
  /** Whether there was a letter more while it was being sent. */
  let asked = false
  let sent: Promise<void> = Promise.resolve()
  let again: ReturnType<typeof setTimeout> | undefined

  const look = (): void => void (stored.value = box.all())
  function drop(name: string): void {
    box.drop(name)
    look()
  }

  async function sendAll(): Promise<void> {
    clearTimeout(again)
    sending = true
    try {
      do {
        asked = false
        await alone(key, async () => {
          look()
          let next = stored.value.at(0)
          while (next !== undefined && (await taken(next.name, next.letter))) next = stored.value.at(0)
        })
      } while (asked)
    } finally {
      sending = false
    }
  }

  /** @returns whether the next may go */
  async function taken(name: string, letter: Letter): Promise<boolean> {
    delivering = name
    try {
      await deliver(letter)
      drop(name)
      offline.value = false
      return true
    } catch (error) {
      const forGood = error instanceof RefusedError && error.status < 500 && !MAY_PASS.has(error.status)
      if (forGood) {
        refused.value = error.message
        if (whenRefused === 'drop') drop(name)
        return whenRefused === 'drop'
      }
      offline.value = true
      again = setTimeout(() => void send(), RETRY_MS)
      return false
    } finally {
      delivering = null
    }
  }

  function send(): Promise<void> {
    if (sending) asked = true
    else sent = sendAll()
    return sent
  }

  function post(letter: Letter, instead?: (other: Letter) => boolean): void {
    if (instead) for (const other of box.all()) if (other.name !== delivering && instead(other.letter)) box.drop(other.name)
    box.put(letter)
    posted += 1
    look()
    void send()
  }

  async function answered<T>(ask: () => Promise<T>): Promise<T | null> {
    for (;;) {
      await send()
      if (stored.value.length > 0) return null
      const before = posted
      const answer = await ask()
      // What was said meanwhile may not be in it, even if it has been taken.
      if (posted === before) return answer
    }
  }

  box.watch(() => {
    const before = new Set(stored.value.map(s => s.name))
    look()
    const news = stored.value.filter(s => !before.has(s.name))
    posted += news.length
    for (const { letter } of news) heard?.(letter)
    // The page that wrote it sends it; should that be closed, this one does.
    if (news.length === 0) return
    clearTimeout(again)
    again = setTimeout(() => void send(), RETRY_MS)
  })

  return { letters, offline, refused, post, send, answered }
}

/** One page at a time, where the browser can say so; where not, what is sent twice counts once at the server. */
async function alone(key: string, work: () => Promise<void>): Promise<void> {
  // Not there where a page did not come over a safe way.
  const locks = (globalThis as { readonly navigator?: { readonly locks?: LockManager } }).navigator?.locks
  await (locks ? locks.request(key, work) : work())
}
