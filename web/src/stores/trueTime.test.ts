// @vitest-environment happy-dom
import { flushPromises } from '@vue/test-utils'
import { afterEach, beforeEach, expect, it, vi } from 'vitest'
import { setActivePinia, createPinia } from 'pinia'
import { timeAt, useClock } from './clock'
import { trueTime } from './trueTime'

const NOON = Date.UTC(2027, 2, 6, 12)
/** A kitchen's clocks, in ms: what is set, what goes on, what goes on even in a sleep. */
let wall = 0
let steady = 0
let machine = 0
let cooking = true
let answers = true
/** The server's own wall clock, and how long it takes to say so. */
let there = 0
let takes = 0

beforeEach(async () => {
  localStorage.clear()
  ;[wall, steady, machine, cooking, answers] = [NOON, 5000, 9e7, false, true]
  ;[there, takes] = [NOON, 0]
  await ask()
  cooking = true
})
afterEach(() => {
  cooking = false
  trueTime.now()
  trueTime.stop()
})

function watch(): void {
  trueTime.watch({
    wall: () => wall,
    steady: () => steady,
    server: async () => {
      if (!answers) throw new Error('dead')
      const answer = { now: there, machineS: Math.round(machine / 10) / 100 }
      steady += takes
      return answer
    },
    cooking: () => cooking
  })
}
async function ask(): Promise<void> {
  watch()
  await flushPromises()
}
/** The server stands on the same machine. */
function set(ms: number): void {
  wall += ms
  there += ms
}
/** Time that passes, looked at every quarter of a second. */
function pass(seconds: number): void {
  for (let i = 0; i < 4 * seconds; i++) {
    wall += 250
    steady += 250
    machine += 250
    there += 250
    trueTime.now()
  }
}
function sleep(seconds: number): void {
  wall += 1000 * seconds
  machine += 1000 * seconds
  there += 1000 * seconds
}
const gone = (): number => Math.round((trueTime.now() - NOON) / 1000)

it('goes with the wall clock, and with what keeps that right', () => {
  pass(60)
  wall += 400
  expect(trueTime.now()).toBe(wall)
})

it.each([3600, 90, -90, -3600])('a clock that is set by %d s while something cooks changes nothing', async by => {
  pass(60)
  set(1000 * by)
  expect(gone()).toBe(60)
  await flushPromises()
  expect(gone()).toBe(60)
  pass(60)
  expect(gone()).toBe(120)
})

it('what has cooked while the machine slept has cooked: it is known from the server’s machine, or taken to be so', async () => {
  pass(60)
  sleep(1200)
  trueTime.now()
  await flushPromises()
  expect(gone()).toBe(1260)
  answers = false
  sleep(600)
  trueTime.now()
  // Asked once more before it is taken to be so.
  await vi.waitFor(() => expect(gone()).toBe(1860), { timeout: 3000 })
})

it('a clock that is set while the page is being opened was set, and nothing has slept', async () => {
  pass(60)
  steady = 100
  watch()
  set(-3_600_000)
  trueTime.now()
  set(3 * 3_600_000)
  trueTime.now()
  await flushPromises()
  expect(gone()).toBe(60)
})

it('a page that is left before it is known decides nothing: a clock that was set stays one that was set', async () => {
  pass(60)
  set(3_600_000)
  answers = false
  expect(gone()).toBe(60)
  await flushPromises()
  expect(gone()).toBe(60)
  // By which another goes that opens in its place.
  expect(localStorage.getItem('macellaio.clock.set')).toBe('3600000')
  // Or it stays, and is answered after all.
  answers = true
  await new Promise(later => setTimeout(later, 1200))
  expect(gone()).toBe(60)
})

it('a clock set while the machine slept counts as long as it slept', async () => {
  pass(60)
  sleep(1200)
  set(3_600_000)
  trueTime.now()
  await flushPromises()
  expect(gone()).toBe(1260)
})

it('a server that was switched on anew cannot tell, and a clock is never set back by sleeping', async () => {
  pass(60)
  machine = 1000
  sleep(300)
  trueTime.now()
  await flushPromises()
  expect(gone()).toBe(360)
  answers = false
  set(-60_000)
  trueTime.now()
  await flushPromises()
  expect(gone()).toBe(360)
})

it('a page opened anew in the middle goes on as it was; with nothing on the fire the wall clock is right', async () => {
  set(3_600_000)
  trueTime.now()
  await flushPromises()
  pass(30)
  // The browser's own begins anew with the page.
  steady = 100
  watch()
  expect(gone()).toBe(30)
  cooking = false
  expect(trueTime.now()).toBe(wall)
  cooking = true
  expect(trueTime.now()).toBe(wall)
})

it('what was slept before anything cooked is not counted when the clock is set in a cook', async () => {
  cooking = false
  pass(60)
  sleep(8 * 3600)
  const began = trueTime.now()
  expect(began).toBe(wall)
  await flushPromises()
  cooking = true
  pass(60)
  set(3_600_000)
  expect(trueTime.now() - began).toBe(60_000)
  await flushPromises()
  expect(trueTime.now() - began).toBe(60_000)
})

it('the stove asks it', async () => {
  setActivePinia(createPinia())
  const clock = useClock()
  pass(10)
  set(3_600_000)
  expect(timeAt(clock)).toBe(NOON + 10_000)
})

const MINUTE = 60_000
it.each([3 * MINUTE, -3 * MINUTE, 60 * MINUTE])(
  'a device whose clock is %d ms off goes by the server’s, as every other does',
  async off => {
    cooking = false
    wall = NOON + off
    await ask()
    expect(trueTime.now()).toBe(NOON)
    pass(60)
    expect(gone()).toBe(60)
    cooking = true
    pass(60)
    expect(gone()).toBe(120)
    // Opened anew in the middle, and with the server gone, it stays so.
    answers = false
    await ask()
    expect(gone()).toBe(120)
  }
)

it('half of the way of the answer counts; one that was long on its way does not tell the time', async () => {
  cooking = false
  wall = NOON + 3 * MINUTE
  takes = 600
  await ask()
  expect(trueTime.now()).toBe(NOON - 300)
  localStorage.clear()
  wall = NOON + 4 * MINUTE
  takes = 5000
  await ask()
  expect(trueTime.now()).toBe(NOON + MINUTE - 300)
})

it('what cooks is not moved by a server that has another time all at once; afterwards it is gone by', async () => {
  pass(60)
  there += 5 * MINUTE
  await ask()
  expect(gone()).toBe(60)
  cooking = false
  // Asked again by itself.
  pass(601)
  await flushPromises()
  expect(Math.abs(trueTime.now() - there)).toBeLessThan(1000)
})

it('a device that has another day keeps it, and a fraction of a second is nothing', async () => {
  cooking = false
  for (const off of [200, -200, 48 * 60 * MINUTE]) {
    wall = NOON + off
    await ask()
    expect(trueTime.now()).toBe(wall)
  }
})
