// @vitest-environment happy-dom
/** How it is cooked and with what, mounted: the sentence and what stands behind it, and the kit, each by the server’s own schema. */
import { flushPromises, type VueWrapper } from '@vue/test-utils'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { mounted } from '../../mounted/mount.fixture'
import { button, emptyBrowser, field, pick, press, screenOf, type } from '../../mounted/page.fixture'
import { useDraft } from '../../stores/draft'
import DialField from '../../ui/DialField.vue'
import MoreSettings from './MoreSettings.vue'
import PlanSettings from './PlanSettings.vue'
import { useKit } from '../../stores/kit'
import KitItemForm from './KitItemForm.vue'
import KitShelfList from './KitShelfList.vue'
import PanByTheMinute from './PanByTheMinute.vue'

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

const shelf = (): Promise<VueWrapper> => mounted(KitShelfList, { shelf: 'pans', name: 'Pans' }, '/fire/kit')
async function openedFirst(page: VueWrapper): Promise<void> {
  button(page, 'change').click()
  await flushPromises()
}

describe('a pan of the kit', () => {
  it('by its name and its floor changes every plan made with it', async () => {
    const page = await shelf()
    await openedFirst(page)
    expect(page.findComponent(KitItemForm).exists()).toBe(true)
    const name = field(page, 'Name')
    await type(name, 'Skillet with the chip')
    name.dispatchEvent(new Event('blur'))
    await flushPromises()
    await type(field(page, 'Across the flat floor'), '240')
    await flushPromises()
    expect(useKit().kit.pans[0]).toMatchObject({ name: 'Skillet with the chip', diameterMm: 240 })
    expect(useDraft().request.kit.pan).toMatchObject({ name: 'Skillet with the chip', diameterMm: 240 })
  })

  it('without a name, or with a floor no pan has, says why and stays as it was', async () => {
    const page = await shelf()
    const before = useKit().kit.pans[0]
    await openedFirst(page)
    const name = field(page, 'Name')
    await type(name, '   ')
    name.dispatchEvent(new Event('blur'))
    await flushPromises()
    expect(page.find('.ant-form-item-explain-error').exists()).toBe(true)
    await type(field(page, 'Across the flat floor'), '9000')
    await flushPromises()
    expect(page.text()).toMatch(/This may be from/)
    expect(useKit().kit.pans[0]).toEqual(before)
    await type(name, 'Named again')
    await press('Enter', name)
    name.dispatchEvent(new Event('blur'))
    await flushPromises()
    expect(page.find('.ant-form-item-explain-error').exists()).toBe(false)
    expect(useKit().kit.pans[0].name).toBe('Named again')
  })

  it('taken away is gone, and the plan cooks with one that is there; taken back it is in its place', async () => {
    const page = await shelf()
    const [first] = useKit().kit.pans
    await openedFirst(page)
    button(page, 'Take it away').click()
    await flushPromises()
    expect(useKit().kit.pans.some(p => p.id === first.id)).toBe(false)
    expect(useKit().kit.pans.map(p => p.id)).toContain(useDraft().request.kit.pan.id)
    useKit().undo()
    expect(useKit().kit.pans[0]).toEqual(first)
  })
})

describe('the pan by the minute', () => {
  it('climbs minute by minute, and says how long to 200 °C', async () => {
    const page = await mounted(PanByTheMinute, {}, '/fire/kit')
    const temperatures = [...page.text().matchAll(/(\d+)\s°C/g)].map(m => Number(m[1]))
    const rows = temperatures.slice(0, 6)
    expect(rows).toEqual([...rows].sort((a, b) => a - b))
    expect(page.text()).toMatch(/200\s°C after \d/)
  })
})
