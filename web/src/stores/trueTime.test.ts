// @vitest-environment happy-dom
import { flushPromises } from '@vue/test-utils'
import { afterEach, beforeEach, expect, it } from 'vitest'
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

beforeEach(async () => {
  localStorage.clear()
  ;[wall, steady, machine, cooking, answers] = [NOON, 5000, 9e7, true, true]
  watch()
  await flushPromises()
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
    machine: () => (answers ? Promise.resolve(Math.round(machine / 10) / 100) : Promise.reject(new Error('dead'))),
    cooking: () => cooking
  })
}
/** Time that passes, looked at every quarter of a second. */
function pass(seconds: number): void {
  for (let i = 0; i < 4 * seconds; i++) {
    wall += 250
    steady += 250
    machine += 250
    trueTime.now()
  }
}
function sleep(seconds: number): void {
  wall += 1000 * seconds
  machine += 1000 * seconds
}
const gone = (): number => Math.round((trueTime.now() - NOON) / 1000)

it('goes with the wall clock, and with what keeps that right', () => {
  pass(60)
  wall += 400
  expect(trueTime.now()).toBe(wall)
})

it.each([3600, 90, -90, -3600])('a clock that is set by %d s while something cooks changes nothing', async by => {
  pass(60)
  wall += 1000 * by
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
  await flushPromises()
  expect(gone()).toBe(1860)
})

it('a clock set while the machine slept counts as long as it slept', async () => {
  pass(60)
  sleep(1200)
  wall += 3_600_000
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
  wall -= 60_000
  trueTime.now()
  await flushPromises()
  expect(gone()).toBe(360)
})

it('a page opened anew in the middle goes on as it was; with nothing on the fire the wall clock is right', async () => {
  wall += 3_600_000
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
  wall += 3_600_000
  expect(trueTime.now() - began).toBe(60_000)
  await flushPromises()
  expect(trueTime.now() - began).toBe(60_000)
})

it('the stove asks it', async () => {
  setActivePinia(createPinia())
  const clock = useClock()
  pass(10)
  wall += 3_600_000
  expect(timeAt(clock)).toBe(NOON + 10_000)
})
