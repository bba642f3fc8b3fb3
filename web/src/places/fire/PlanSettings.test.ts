// @vitest-environment happy-dom
/** How it is cooked, mounted: the sentence, and what stands behind it, on a desk and in a drawer on a phone. */
import { flushPromises, type VueWrapper } from '@vue/test-utils'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { mounted } from '../../mounted/mount.fixture'
import { button, emptyBrowser, field, pick, screenOf, type } from '../../mounted/page.fixture'
import { useDraft } from '../../stores/draft'
import DialField from '../../ui/DialField.vue'
import MoreSettings from './MoreSettings.vue'
import PlanSettings from './PlanSettings.vue'

vi.mock('comlink', () => import('../../mounted/comlink.fixture'))
beforeEach(emptyBrowser)
function opened(narrow: boolean): Promise<VueWrapper> {
  screenOf(narrow)
  return mounted(PlanSettings, { free: 'time in the pan' }, '/fire/plan/pan-sear')
}

describe('the sentence', () => {
  it('is read from left to right, and each part of it is changed in its place', async () => {
    const page = await opened(false)
    const draft = useDraft()
    expect(page.findAllComponents(DialField).length).toBeGreaterThan(1)
    await type(field(page, 'Pan'), '230')
    expect(draft.request.method.settings.panC).toBe(230)
    await pick(field(page, 'Turn'), 'once')
    expect(draft.request.method.settings.turning).toBe('once')
    button(page, 'As it is usually set').click()
    await flushPromises()
    expect(draft.request.method.settings).toEqual({})
  })

  it('a pan no metal could stand is told in the field, and the plan keeps what it had', async () => {
    const page = await opened(false)
    await type(field(page, 'Pan'), '900')
    expect(page.text()).toMatch(/This may be from/)
    expect(useDraft().request.method.settings.panC).toBeUndefined()
    expect(JSON.stringify(useDraft().firstProblem)).toMatch(/This may be from/)
  })
})

describe('all settings', () => {
  it('on a phone come up in a drawer, each with what it changes, and count', async () => {
    const page = await opened(true)
    expect(document.querySelector('.ant-drawer-title')).toBeNull()
    button(page, 'All settings').click()
    await flushPromises()
    expect(document.querySelector('.ant-drawer-title')?.textContent).toBe('All settings')
    const more = page.findComponent(MoreSettings)
    expect(more.text()).toContain('hot fat over the upper face')
    await more.find('input[type=checkbox]').setValue(true)
    expect(useDraft().request.method.settings.basted).toBe(true)
  })
})
