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
/** How loud the pan was each time that it changed. */
export const hissed: number[] = []
class Ears {
  readonly currentTime = 0
  readonly sampleRate = 100
  readonly destination = {}
  close = vi.fn()
  createBuffer(_: number, length: number): unknown {
    return { getChannelData: () => new Float32Array(length) }
  }
  createBufferSource(): unknown {
    return { buffer: null, loop: false, connect: (to: unknown) => to, start: vi.fn() }
  }
  createBiquadFilter(): unknown {
    return { type: '', Q: { value: 0 }, frequency: { value: 0, setTargetAtTime: vi.fn() }, connect: (to: unknown) => to }
  }
  createGain(): unknown {
    return {
      gain: {
        value: 0,
        setValueAtTime: vi.fn(),
        setTargetAtTime: (level: number) => hissed.push(level),
        exponentialRampToValueAtTime: vi.fn()
      },
      connect: vi.fn()
    }
  }
  createOscillator(): unknown {
    const frequency = { value: 0 }
    return { frequency, connect: (to: unknown) => to, start: () => tones.push(frequency.value), stop: vi.fn() }
  }
}

/** Everything forgotten, as in a browser that was never here. */
export function emptyBrowser(): void {
  localStorage.clear()
  tones.length = hissed.length = 0
  vi.stubGlobal('Worker', NoWorker)
  vi.stubGlobal('AudioContext', Ears)
  vi.stubGlobal('fetch', () => Promise.reject(new TypeError('no route')))
  setActivePinia(createPinia())
}

/** As wide as a phone, or not. */
export function screenOf(narrow: boolean): void {
  const deaf = { addEventListener: vi.fn(), removeEventListener: vi.fn(), addListener: vi.fn(), removeListener: vi.fn() }
  vi.stubGlobal('matchMedia', (media: string) => ({ media, matches: narrow, ...deaf }))
}

/** The field with that label, as a cook finds it. */
export function field(within: VueWrapper, label: string): HTMLInputElement {
  const found = within.findAll('label').find(l => l.text() === label)
  if (!found)
    throw new Error(
      `No field “${label}” among ${within
        .findAll('label')
        .map(l => l.text())
        .join(', ')}`
    )
  const element = found.element as HTMLLabelElement
  const input = element.htmlFor ? within.find(`[id="${element.htmlFor}"]`).element : element.querySelector('input')
  if (!(input instanceof HTMLInputElement)) throw new Error(`“${label}” has no field`)
  return input
}

const listOf = (input: HTMLInputElement): Element | null => input.closest('.ant-select')
/** What stands in it, as it is read. */
export const shownIn = (input: HTMLInputElement): string =>
  listOf(input)?.querySelector('.ant-select-selection-item')?.textContent?.trim() ?? input.value

/** What can be picked there, as it is read. */
export async function choicesOf(input: HTMLInputElement): Promise<HTMLElement[]> {
  listOf(input)
    ?.querySelector('.ant-select-selector')
    ?.dispatchEvent(new MouseEvent('mousedown', { bubbles: true, cancelable: true }))
  await nextTick()
  await nextTick()
  // Pages mounted one after the other give out the same ids: the last is this one's.
  const open = [...document.querySelectorAll('.ant-select-dropdown')].filter(d => d.querySelector(`[id="${input.id}_list"]`)).at(-1)
  return [...(open?.querySelectorAll<HTMLElement>('.ant-select-item-option') ?? [])]
}

export async function pick(from: HTMLInputElement, says: string): Promise<void> {
  const choices = await choicesOf(from)
  const found = choices.find(c => c.textContent?.trim() === says)
  if (!found) throw new Error(`“${says}” is not among ${choices.map(c => c.textContent).join(', ')}`)
  found.click()
  await nextTick()
}

export async function type(into: HTMLInputElement, written: string): Promise<void> {
  into.value = written
  into.dispatchEvent(new Event('input', { bubbles: true }))
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
