// @vitest-environment happy-dom
/** The outbox: in order, once, through reloads and dead servers; what is refused for good holds nobody up. */
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { RefusedError, UnreachableError } from '../api/client'
import { outbox } from './outbox'

let delivered: string[] = []
let server: 'up' | 'down' | 'slow' | number = 'up'
let answer: (() => void) | null = null
const deliver = async (letter: string): Promise<void> => {
  if (server === 'down') throw new UnreachableError('The server does not answer.')
  if (typeof server === 'number') throw new RefusedError(server, `No, ${server}.`)
  if (server === 'slow') await new Promise<void>(resolve => (answer = resolve))
  delivered.push(letter)
}
const settle = (): Promise<unknown> => vi.advanceTimersByTimeAsync(5000)

beforeEach(() => {
  localStorage.clear()
  delivered = []
  server = 'up'
  answer = null
  vi.useFakeTimers()
})

describe('an outbox', () => {
  it('sends in order, each once, also what is posted in the same breath as the first look into it', async () => {
    const box = outbox('box', deliver)
    void box.send()
    box.post('a')
    box.post('b')
    await box.send()
    await settle()
    expect(delivered).toEqual(['a', 'b'])
    expect(box.letters.value).toEqual([])
  })

  it('keeps what it has while the server is down and through a reload, then sends it', async () => {
    server = 'down'
    const before = outbox('box', deliver)
    before.post('a')
    before.post('b')
    await settle()
    expect(before.offline.value).toBe(true)
    vi.clearAllTimers()
    const after = outbox('box', deliver)
    expect(after.letters.value).toEqual(['a', 'b'])
    server = 'up'
    await after.send()
    expect(delivered).toEqual(['a', 'b'])
    expect(after.offline.value).toBe(false)
  })

  it.each([500, 503, 429])('tries again where the server says %d', async status => {
    server = status
    const box = outbox('box', deliver)
    box.post('a')
    await settle()
    expect(box.letters.value).toEqual(['a'])
    expect(box.refused.value).toBeNull()
    server = 'up'
    await settle()
    expect(delivered).toEqual(['a'])
  })

  it('drops what is refused for good, says why, and goes on', async () => {
    server = 422
    const box = outbox<string>('box', letter => (letter === 'good' ? Promise.resolve(delivered.push(letter)) : deliver(letter)))
    box.post('bad')
    box.post('good')
    await settle()
    expect(box.refused.value).toBe('No, 422.')
    expect(delivered).toEqual(['good'])
    expect(box.letters.value).toEqual([])
  })

  it('or holds it, without trying again by itself, where nothing may be lost', async () => {
    server = 422
    const box = outbox('box', deliver, { whenRefused: 'hold' })
    box.post('a')
    await settle()
    expect(box.letters.value).toEqual(['a'])
    server = 'up'
    await settle()
    expect(delivered).toEqual([])
    box.post('b', other => other === 'a')
    await settle()
    expect(delivered).toEqual(['b'])
  })

  it('a newer letter takes the place of an older one, but not of the one on its way', async () => {
    server = 'slow'
    const box = outbox('box', deliver)
    const any = (): boolean => true
    box.post('a', any)
    box.post('b', any)
    box.post('c', any)
    expect(box.letters.value).toEqual(['a', 'c'])
    server = 'up'
    answer!()
    await settle()
    expect(delivered).toEqual(['a', 'c'])
  })

  it('what was asked of the server before something was said is asked again, though that has been taken since', async () => {
    const box = outbox('box', deliver)
    const answers: ((has: string[]) => void)[] = []
    const seen = box.answered(() => new Promise<string[]>(resolve => answers.push(resolve)))
    await settle()
    expect(answers).toHaveLength(1)
    const asBefore = [...delivered]
    box.post('a')
    await settle()
    expect(delivered).toEqual(['a'])
    answers[0](asBefore)
    await settle()
    expect(answers).toHaveLength(2)
    answers[1]([...delivered])
    expect(await seen).toEqual(['a'])
  })

  it('asks nothing of a server that does not take what there is to tell it', async () => {
    server = 'down'
    const box = outbox('box', deliver)
    box.post('a')
    const ask = vi.fn(() => Promise.resolve('theirs'))
    expect(await box.answered(ask)).toBeNull()
    expect(ask).not.toHaveBeenCalled()
    server = 'up'
    expect(await box.answered(ask)).toBe('theirs')
    expect(delivered).toEqual(['a'])
  })

  it('reads what an earlier version left in it, and nothing of what it cannot', () => {
    localStorage.setItem('box', 'true')
    const parse = (stored: unknown): string[] => (stored === true ? ['a'] : (stored as string[]))
    expect(outbox('box', deliver, { parse }).letters.value).toEqual(['a'])
    localStorage.setItem('other', '{"not":"letters"}')
    expect(outbox('other', deliver).letters.value).toEqual([])
  })
})

/** What the browser tells all other pages of it when one has written. */
const tellPages = (): boolean => window.dispatchEvent(new StorageEvent('storage', { key: null }))

describe('two pages of one browser', () => {
  it('have one box: with the server gone and both closed, all that either said is there, in the order it was said', async () => {
    server = 'down'
    const [one, other] = [outbox('box', deliver), outbox('box', deliver)]
    for (const [n, page] of [one, other, one, other, one].entries()) {
      vi.advanceTimersByTime(n === 2 ? 0 : 700)
      page.post(String(n))
    }
    await vi.advanceTimersByTimeAsync(1)
    vi.clearAllTimers()
    server = 'up'
    const later = outbox('box', deliver)
    await later.send()
    expect(delivered).toEqual(['0', '1', '2', '3', '4'])
    expect(later.letters.value).toEqual([])
  })

  it('are told of each other’s letters, each once, and the one sends what the other left behind', async () => {
    server = 'down'
    const heard = vi.fn()
    const listening = outbox('box', deliver, { heard })
    const closed = outbox('box', deliver)
    closed.post('a')
    vi.clearAllTimers()
    tellPages()
    tellPages()
    expect(heard.mock.calls).toEqual([['a']])
    expect(listening.letters.value).toEqual(['a'])
    server = 'up'
    await settle()
    expect(delivered).toEqual(['a'])
  })

  it('send one at a time, where the browser can see to that', async () => {
    let last: Promise<unknown> = Promise.resolve()
    const request = (_: string, work: () => Promise<void>): Promise<void> => {
      const next = last.then(work)
      last = next
      return next
    }
    vi.stubGlobal('navigator', { locks: { request } })
    server = 'slow'
    const [one, other] = [outbox('box', deliver), outbox('box', deliver)]
    one.post('a')
    other.post('b')
    await vi.advanceTimersByTimeAsync(1)
    server = 'up'
    answer!()
    await settle()
    expect(delivered).toEqual(['a', 'b'])
    vi.unstubAllGlobals()
  })

  it('are in order though the clock is set back between two letters', () => {
    server = 'down'
    vi.setSystemTime(new Date('2026-11-28T19:00:00'))
    outbox('box', deliver).post('a')
    vi.setSystemTime(new Date('2026-11-28T18:00:00'))
    outbox('box', deliver).post('b')
    expect(outbox('box', deliver).letters.value).toEqual(['a', 'b'])
  })
})

it('where storage is full or forbidden, letters live as long as their page', async () => {
  server = 'down'
  const box = outbox('box', deliver)
  const full = vi.spyOn(Storage.prototype, 'setItem').mockImplementation(() => {
    throw new DOMException('Full.', 'QuotaExceededError')
  })
  box.post('a')
  full.mockRestore()
  expect(box.letters.value).toEqual(['a'])
  server = 'up'
  await settle()
  expect(delivered).toEqual(['a'])
  expect(box.letters.value).toEqual([])
})
