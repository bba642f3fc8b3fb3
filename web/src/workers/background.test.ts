/** What follows from a plan: begun once the hand is still, dropped when nobody waits for it. */
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { AFTER_PLAN } from './background'

const { start } = vi.hoisted(() => ({ start: vi.fn() }))
vi.mock('./engine', () => ({ startEngine: start }))

const cancel = vi.fn()
beforeEach(() => {
  vi.useFakeTimers()
  vi.resetModules()
  start.mockReset().mockImplementation(() => ({ remote: { cancel }, terminate: () => undefined }))
  cancel.mockReset()
})
afterEach(() => void vi.useRealTimers())

const FIRST_MS = 2000
const never = (): Promise<void> => new Promise(() => undefined)

describe('work beside a plan', () => {
  it('goes to one worker that stays, the first after a longer wait', async () => {
    const { inBackground } = await import('./background')
    const work = vi.fn(() => Promise.resolve())
    inBackground(work, AFTER_PLAN, () => undefined)
    await vi.advanceTimersByTimeAsync(AFTER_PLAN)
    expect(work).not.toHaveBeenCalled()
    await vi.advanceTimersByTimeAsync(FIRST_MS)
    expect(work).toHaveBeenCalledOnce()
    inBackground(work, AFTER_PLAN, () => undefined)
    await vi.advanceTimersByTimeAsync(AFTER_PLAN)
    expect(work).toHaveBeenCalledTimes(2)
    expect(start).toHaveBeenCalledOnce()
  })

  it('cancelled while it waits is never begun; cancelled later, the worker hears of it', async () => {
    const { inBackground } = await import('./background')
    const early = vi.fn(never)
    inBackground(early, AFTER_PLAN, () => undefined)()
    const tokens: number[] = []
    const stop = inBackground(
      (_, token) => {
        tokens.push(token)
        return never()
      },
      AFTER_PLAN,
      () => undefined
    )
    await vi.advanceTimersByTimeAsync(FIRST_MS)
    stop()
    expect(early).not.toHaveBeenCalled()
    expect(cancel.mock.calls).toEqual(tokens.map(t => [t]))
    expect(tokens).toHaveLength(1)
  })

  it('failing is told to whoever still waits, and to nobody else', async () => {
    const { inBackground } = await import('./background')
    const [told, untold] = [vi.fn(), vi.fn()]
    inBackground(() => Promise.reject(new Error('no worker')), AFTER_PLAN, told)
    let fail: (why: Error) => void = () => undefined
    const stop = inBackground(() => new Promise((_, no) => (fail = no)), AFTER_PLAN, untold)
    await vi.advanceTimersByTimeAsync(FIRST_MS)
    stop()
    fail(new Error('cancelled'))
    await vi.advanceTimersByTimeAsync(0)
    expect(told).toHaveBeenCalledOnce()
    expect(untold).not.toHaveBeenCalled()
  })
})
