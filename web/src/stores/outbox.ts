/**
 * Letters to the server: written down first in the browser's own storage, and sent one after the other until each
 * is taken or refused for good. A dead server or a closed page loses nothing.
 */
import { ref, shallowRef, type Ref, type ShallowRef } from 'vue'
import { RefusedError } from '../api/client'
import { kept } from './kept'

const RETRY_MS = 3000
/** Not known here yet, too slow, under a name it will not have again, too many: what is sent later may be taken. */
const MAY_PASS: ReadonlySet<number> = new Set([401, 408, 421, 429])

export interface Outbox<Letter> {
  readonly letters: Ref<readonly Letter[]>
  /** Whether the server did not answer last time. */
  readonly offline: Ref<boolean>
  /** Why it will never take a letter; whoever showed it clears it. */
  readonly refused: ShallowRef<string | null>
  /** @param instead of letters that are still here and that this one makes needless */
  post(letter: Letter, instead?: (other: Letter) => boolean): void
  /** All there are, as far as the server takes them now. */
  send(): Promise<void>
}

/**
 * @param parse what an earlier version left in the box
 * @param whenRefused whether a refused letter is dropped, or held until the next is posted or the page comes again
 */
export function outbox<Letter>(
  key: string,
  deliver: (letter: Letter) => Promise<unknown>,
  { parse, whenRefused = 'drop' }: { readonly parse?: (stored: unknown) => readonly Letter[]; readonly whenRefused?: 'drop' | 'hold' } = {}
): Outbox<Letter> {
  const letters = kept<readonly Letter[]>(
    key,
    () => [],
    stored => (parse ? parse(stored) : Array.isArray(stored) ? (stored as Letter[]) : [])
  )
  const offline = ref(false)
  const refused = shallowRef<string | null>(null)
  /** Whether the first is on its way. */
  let delivering = false
  let sending = false
  let sent: Promise<void> = Promise.resolve()
  let again: ReturnType<typeof setTimeout> | undefined

  const drop = (): void => {
    letters.value = letters.value.slice(1)
  }

  async function sendAll(): Promise<void> {
    clearTimeout(again)
    sending = true
    try {
      let letter = letters.value.at(0)
      while (letter !== undefined && (await taken(letter))) letter = letters.value.at(0)
    } finally {
      sending = false
    }
  }

  /** @returns whether the next may go */
  async function taken(letter: Letter): Promise<boolean> {
    delivering = true
    try {
      await deliver(letter)
      drop()
      offline.value = false
      return true
    } catch (error) {
      const forGood = error instanceof RefusedError && error.status < 500 && !MAY_PASS.has(error.status)
      if (forGood) {
        refused.value = error.message
        if (whenRefused === 'drop') drop()
        return whenRefused === 'drop'
      }
      offline.value = true
      again = setTimeout(() => void send(), RETRY_MS)
      return false
    } finally {
      delivering = false
    }
  }

  function send(): Promise<void> {
    if (!sending) sent = sendAll()
    return sent
  }

  function post(letter: Letter, instead?: (other: Letter) => boolean): void {
    letters.value = [...letters.value.filter((l, i) => (delivering && i === 0) || !instead?.(l)), letter]
    void send()
  }

  return { letters, offline, refused, post, send }
}
