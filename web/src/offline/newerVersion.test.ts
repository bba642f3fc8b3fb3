// @vitest-environment happy-dom
/** A newer version: offered while nothing is on the fire, taken when a hand says so. */
import { mount } from '@vue/test-utils'
import { beforeEach, expect, it, vi } from 'vitest'
import { nextTick, shallowRef } from 'vue'
import { planned } from '#core/plan/planned.fixture'
import { FIRST_REQUEST } from '#core/request/firstRequest'
import { button, emptyBrowser } from '../mounted/page.fixture'
import { useCook } from '../stores/cook'
import NewerVersion from './NewerVersion.vue'

const waiting = vi.hoisted(() => ({ take: null as unknown as { value: (() => void) | null } }))
vi.mock('./useNewerVersion', () => ({ useNewerVersion: () => waiting.take }))
beforeEach(() => {
  emptyBrowser()
  waiting.take = shallowRef(null)
})

it('is not spoken of while there is none, nor while something cooks; afterwards it is, and taken at a touch', async () => {
  const page = mount(NewerVersion)
  expect(page.text()).toBe('')
  const cook = useCook()
  const { plan } = planned(FIRST_REQUEST)
  cook.begin('Strip', { request: FIRST_REQUEST, plan, preheatS: 200 }, null)
  cook.say({ kind: 'lit' })
  const take = vi.fn()
  waiting.take.value = take
  await nextTick()
  expect(page.text()).toBe('')
  for (const kind of ['laid', 'pulled', 'carved'] as const) cook.say({ kind })
  await nextTick()
  expect(page.text()).toContain('A newer version is here.')
  expect(take).not.toHaveBeenCalled()
  button(page, 'Use it').click()
  expect(take).toHaveBeenCalledOnce()
})
