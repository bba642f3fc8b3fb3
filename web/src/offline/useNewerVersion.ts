/**
 * What ships is kept in the browser from the first visit on, where the browser lets a page do that: from this machine,
 * or over an encrypted way. A newer version is fetched beside it and taken when the cook says so.
 */
import { shallowRef, type ShallowRef } from 'vue'

/** ms after the page has come: what it needs itself comes first. */
const LATER_MS = 2500

const waiting = shallowRef<(() => void) | null>(null)

/** @returns takes the newer version and opens the page anew; null while there is none */
export const useNewerVersion = (): Readonly<ShallowRef<(() => void) | null>> => waiting

/** Once, when the page has come. */
export function keepWhatShips(): void {
  // Not there where a page did not come over a safe way.
  if (!import.meta.env.PROD || !('serviceWorker' in navigator)) return
  setTimeout(() => void keep().catch(() => undefined), LATER_MS)
}

async function keep(): Promise<void> {
  const { Workbox } = await import('workbox-window')
  const worker = new Workbox('/serviceWorker.js')
  worker.addEventListener('waiting', () => {
    waiting.value = () => {
      worker.addEventListener('controlling', () => location.reload())
      worker.messageSkipWaiting()
    }
  })
  await worker.register()
}
