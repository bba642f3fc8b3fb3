/** What is over in a glance is not shown; what lasts is, and its end at once. */
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { effectScope, ref } from 'vue'
import { useLasting } from './useLasting'

describe('what lasts', () => {
  beforeEach(() => void vi.useFakeTimers())
  afterEach(() => void vi.useRealTimers())
  const begun = (so: boolean) => {
    const [is, scope] = [ref(so), effectScope()]
    return { is, scope, lasting: scope.run(() => useLasting(() => is.value, 100))! }
  }

  it('a page that begins so is so from the first moment', () => {
    expect(begun(true).lasting.value).toBe(true)
    expect(begun(false).lasting.value).toBe(false)
  })

  it('what is over within a glance is never seen, however often it comes', () => {
    const { is, lasting } = begun(false)
    for (let k = 0; k < 20; k++) {
      is.value = true
      vi.advanceTimersByTime(90)
      expect(lasting.value).toBe(false)
      is.value = false
      vi.advanceTimersByTime(90)
      expect(lasting.value).toBe(false)
    }
  })

  it('what lasts is seen after a glance, and its end in the same moment', () => {
    const { is, lasting } = begun(false)
    is.value = true
    vi.advanceTimersByTime(99)
    expect(lasting.value).toBe(false)
    vi.advanceTimersByTime(2)
    expect(lasting.value).toBe(true)
    is.value = false
    expect(lasting.value).toBe(false)
  })

  it('a place that was left waits for nothing', () => {
    const { is, scope, lasting } = begun(false)
    is.value = true
    scope.stop()
    vi.advanceTimersByTime(1000)
    expect(lasting.value).toBe(false)
    expect(vi.getTimerCount()).toBe(0)
  })
})
