// @vitest-environment happy-dom
/** What is due rings: ahead, at the moment, and as soon as the page wakes where it slept through it; once, also for a page that came again. */
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { effectScope, nextTick, shallowRef, type EffectScope } from 'vue'
import { emptyBrowser, tones } from '../mounted/page.fixture'
import { useCaller, type Called } from './useCaller'

const spoken: string[] = []
const calls = shallowRef<readonly Called[]>([])
const open: EffectScope[] = []
afterEach(() => open.splice(0).forEach(scope => scope.stop()))
function page() {
  const scope = effectScope(true)
  open.push(scope)
  const caller = scope.run(() => useCaller(calls))!
  return { caller, close: () => scope.stop() }
}
const at = async (...left: readonly (number | null)[]): Promise<void> => {
  calls.value = left.map((s, i) => ({ key: `piece ${i} turn 1`, left: s, words: `Turn number ${i + 1}` }))
  await nextTick()
}
beforeEach(() => {
  emptyBrowser()
  spoken.length = 0
  calls.value = []
  vi.stubGlobal(
    'SpeechSynthesisUtterance',
    class {
      constructor(readonly text: string) {}
    }
  )
  vi.stubGlobal('speechSynthesis', { speak: ({ text }: { text: string }) => spoken.push(text) })
})

describe('a call', () => {
  it('rings ten seconds ahead once, twice when it is due, and then no more', async () => {
    page()
    await at(30)
    expect(tones).toEqual([])
    for (const left of [10, 9.8, 5, 2.1, 1]) await at(left)
    expect(tones).toEqual([660])
    for (const left of [0.4, 0.2, 0, -1, -4, -30]) await at(left)
    expect(tones).toEqual([660, 880, 1100])
    expect(spoken).toEqual(['Turn number 1'])
  })

  it('slept through rings on waking and says how long ago it was; half an hour after it is for the page to ask', async () => {
    const { close } = page()
    await at(40)
    await at(-190)
    expect(tones).toEqual([880, 1100])
    expect(spoken).toEqual([expect.stringMatching(/^3\smin ago: Turn number 1$/)])
    close()
    page()
    await at(-191)
    expect(tones).toHaveLength(2)
    calls.value = [{ key: 'of last night', left: -3 * 3600, words: 'Carve' }]
    await nextTick()
    expect(tones).toHaveLength(2)
  })

  it('of several that were due at once rings once, and all are said', async () => {
    page()
    await at(-1, -2, 300, null)
    expect(tones).toEqual([880, 1100])
    expect(spoken).toEqual(['Turn number 1', 'Turn number 2'])
  })

  it('is not heard while it is muted, and is called from then on', async () => {
    const { caller } = page()
    caller.toggle()
    await at(-1)
    expect(tones).toEqual([])
    caller.toggle()
    await at(-2)
    expect(tones).toEqual([880, 1100])
  })
})
