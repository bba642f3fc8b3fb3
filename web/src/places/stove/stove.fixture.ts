/** One cook at the stove, mounted, with the real engine behind it; for tests. */
import { flushPromises, type VueWrapper } from '@vue/test-utils'
import { vi } from 'vitest'
import type { Piece } from '#core/meat/piece'
import type { Settings } from '#core/method/dials'
import type { MethodKind } from '#core/method/methods'
import { asked, planned } from '#core/plan/planned.fixture'
import { preheatsOf } from '#core/session/warmUp'
import { emptyBrowser, press } from '../../mounted/page.fixture'
import { mounted } from '../../mounted/mount.fixture'
import { useCook } from '../../stores/cook'
import StovePlace from './StovePlace.vue'

/** Before each: a browser that keeps nothing, and a clock that is moved on by hand. */
export function byHand(): void {
  emptyBrowser()
  vi.useFakeTimers({ toFake: ['Date', 'setInterval', 'clearInterval'] })
}

export const events = (): readonly string[] => useCook().cook!.events.map(e => e.kind)
export const headline = (page: VueWrapper): string => page.find('h1').text()
/** Until the forecast stands for what was last said. */
export const reckoned = (page: VueWrapper): Promise<unknown> =>
  vi.waitFor(
    () => {
      if (page.text().includes('eckoning…')) throw new Error('reckoning')
    },
    { timeout: 20_000, interval: 20 }
  )
export async function wait(seconds: number): Promise<void> {
  vi.advanceTimersByTime(seconds * 1000)
  await flushPromises()
}

export async function lit(kind: MethodKind = 'pan sear', ...as: [Settings?, Partial<Piece>?]): Promise<VueWrapper> {
  const { request, plan } = planned(asked(kind, ...as))
  const { first: preheatS } = preheatsOf(request, plan.marks)
  useCook().begin(`By ${kind}`, { request, plan, preheatS }, null)
  const page = await mounted(StovePlace)
  await reckoned(page)
  return page
}

export const JOINT = { cutId: 'ribeye', form: 'roast' as const, weightG: 1500, thicknessMm: 90, widthMm: 95, lengthMm: 190 }
/** A joint in its oven, which was hot. */
export async function jointInItsOven(ovenC = 150): Promise<VueWrapper> {
  const page = await lit('roast', { ovenC, searS: 0 }, JOINT)
  await press(' ')
  await wait(900)
  await press(' ')
  await reckoned(page)
  return page
}
