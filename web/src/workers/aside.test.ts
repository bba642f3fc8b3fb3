/** What follows from a plan: begun once the hand is still, dropped when nobody waits for it. */
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { AFTER_PLAN } from './planner'

const { hire } = vi.hoisted(() => ({ hire: vi.fn() }))
vi.mock('./planner', async original => ({ ...(await original()), hireWorker: hire }))

const letGo = vi.fn()
beforeEach(() => {
  vi.useFakeTimers()
  vi.resetModules()
  hire.mockReset().mockImplementation(() => ({ remote: { letGo }, stop: () => undefined }))
  letGo.mockReset()
})
afterEach(() => void vi.useRealTimers())

const FIRST_MS = 2000
const never = (): Promise<void> => new Promise(() => undefined)

describe('work beside a plan', () => {
  it('goes to one worker that stays, the first after a longer wait', async () => {
    const { aside } = await import('./aside')
    const work = vi.fn(() => Promise.resolve())
    aside(work, AFTER_PLAN, () => undefined)
    await vi.advanceTimersByTimeAsync(AFTER_PLAN)
    expect(work).not.toHaveBeenCalled()
    await vi.advanceTimersByTimeAsync(FIRST_MS)
    expect(work).toHaveBeenCalledOnce()
    aside(work, AFTER_PLAN, () => undefined)
    await vi.advanceTimersByTimeAsync(AFTER_PLAN)
    expect(work).toHaveBeenCalledTimes(2)
    expect(hire).toHaveBeenCalledOnce()
  })

  it('let go while it waits is never begun; let go later, the worker hears of it', async () => {
    const { aside } = await import('./aside')
    const early = vi.fn(never)
    aside(early, AFTER_PLAN, () => undefined)()
    const tickets: number[] = []
    const stop = aside(
      (_, ticket) => {
        tickets.push(ticket)
        return never()
      },
      AFTER_PLAN,
      () => undefined
    )
    await vi.advanceTimersByTimeAsync(FIRST_MS)
    stop()
    expect(early).not.toHaveBeenCalled()
    expect(letGo.mock.calls).toEqual(tickets.map(t => [t]))
    expect(tickets).toHaveLength(1)
  })

  it('failing is told to whoever still waits, and to nobody else', async () => {
    const { aside } = await import('./aside')
    const [told, untold] = [vi.fn(), vi.fn()]
    aside(() => Promise.reject(new Error('no worker')), AFTER_PLAN, told)
    let fail: (why: Error) => void = () => undefined
    const stop = aside(() => new Promise((_, no) => (fail = no)), AFTER_PLAN, untold)
    await vi.advanceTimersByTimeAsync(FIRST_MS)
    stop()
    fail(new Error('let go'))
    await vi.advanceTimersByTimeAsync(0)
    expect(told).toHaveBeenCalledOnce()
    expect(untold).not.toHaveBeenCalled()
  })
})
