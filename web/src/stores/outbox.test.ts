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

  it('reads what an earlier version left in it, and nothing of what it cannot', () => {
    localStorage.setItem('box', 'true')
    expect(outbox('box', deliver, { parse: stored => (stored === true ? ['a'] : []) }).letters.value).toEqual(['a'])
    localStorage.setItem('other', '{"not":"letters"}')
    expect(outbox('other', deliver).letters.value).toEqual([])
  })
})
