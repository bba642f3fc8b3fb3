/** A browser for components mounted in tests, and the hands of a cook in it. */
import { enableAutoUnmount, type VueWrapper } from '@vue/test-utils'
import { createPinia, setActivePinia } from 'pinia'
import { afterEach, vi } from 'vitest'
import { nextTick } from 'vue'

enableAutoUnmount(afterEach)

class NoWorker {
  terminate(): void {
    // Nothing runs.
  }
}

/** Hz of every tone since the browser was emptied. */
export const tones: number[] = []
class Ears {
  readonly currentTime = 0
  readonly destination = {}
  createGain(): unknown {
    return { gain: { setValueAtTime: vi.fn(), exponentialRampToValueAtTime: vi.fn() }, connect: vi.fn() }
  }
  createOscillator(): unknown {
    const frequency = { value: 0 }
    return { frequency, connect: (to: unknown) => to, start: () => tones.push(frequency.value), stop: vi.fn() }
  }
}

/** Everything forgotten, as in a browser that was never here. */
export function emptyBrowser(): void {
  localStorage.clear()
  tones.length = 0
  vi.stubGlobal('Worker', NoWorker)
  vi.stubGlobal('AudioContext', Ears)
  vi.stubGlobal('fetch', () => Promise.reject(new TypeError('no route')))
  setActivePinia(createPinia())
}

/** The field with that label, as a cook finds it. */
export function field(within: VueWrapper, label: string): HTMLInputElement | HTMLSelectElement {
  const found = within.findAll('label').find(l => l.text() === label)
  if (!found)
    throw new Error(
      `No field “${label}” among ${within
        .findAll('label')
        .map(l => l.text())
        .join(', ')}`
    )
  const element = found.element as HTMLLabelElement
  const input = element.htmlFor ? within.find(`[id="${element.htmlFor}"]`).element : element.querySelector('input, select')
  if (!(input instanceof HTMLInputElement || input instanceof HTMLSelectElement)) throw new Error(`“${label}” has no field`)
  return input
}

export async function type(into: HTMLInputElement | HTMLSelectElement, written: string): Promise<void> {
  into.value = written
  into.dispatchEvent(new Event(into instanceof HTMLSelectElement ? 'change' : 'input', { bubbles: true }))
  await nextTick()
}

export async function press(key: string, on: EventTarget = document.body): Promise<void> {
  on.dispatchEvent(new KeyboardEvent('keydown', { key, bubbles: true, cancelable: true }))
  await nextTick()
}

/** The button that says so. */
export function button(within: VueWrapper, says: string): HTMLButtonElement {
  const found = within.findAll('button').find(b => b.text().startsWith(says))
  if (!found)
    throw new Error(
      `No button “${says}” among ${within
        .findAll('button')
        .map(b => b.text())
        .join(', ')}`
    )
  return found.element
}
