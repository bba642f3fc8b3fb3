// @vitest-environment happy-dom
/** A log of any thermometer: shown as it is understood, put right, and only then laid over the cook. */
import { mount, type VueWrapper } from '@vue/test-utils'
import { beforeEach, describe, expect, it } from 'vitest'
import { NO_OUTCOME, plannedOf, type CookRecord, type ProbeLog } from '#core/book/record'
import { planned } from '#core/plan/planned.fixture'
import { FIRST_REQUEST } from '#core/request/firstRequest'
import { button, emptyBrowser, field, pick, screenOf, shownIn } from '../../mounted/page.fixture'
import FileField from '../../ui/FileField.vue'
import LogOver from './LogOver.vue'
import { soon } from '../../mounted/soon.fixture'

beforeEach(() => {
  emptyBrowser()
  screenOf(false)
})
const LAID = new Date(2026, 10, 28, 19, 30).getTime()
const record: CookRecord = {
  id: 'cook-log',
  title: 'Strip',
  createdAt: LAID,
  request: FIRST_REQUEST,
  planned: plannedOf(planned(FIRST_REQUEST).plan, null, 200),
  service: null,
  events: [{ id: 'laid', kind: 'laid', at: LAID, entered: LAID }],
  outcome: NO_OUTCOME
}
const open = (of: CookRecord = record): VueWrapper => mount(LogOver, { props: { record: of }, attachTo: document.body })
async function given(page: VueWrapper, text: string, name = 'grey probe.csv'): Promise<void> {
  page.findComponent(FileField).vm.$emit('file', new File([text], name))
  await soon(() => expect(page.find('.fields, [role=alert]').exists()).toBe(true))
}
const kept = (page: VueWrapper): ProbeLog => page.emitted<[ProbeLog]>('keep')![0][0]
const rows = (page: VueWrapper): string => page.find('.some tbody').text()

describe('a log', () => {
  it('is shown as it is understood, and kept', async () => {
    const page = open()
    await given(page, 'Time;Air °C;Core °C\n19:29:00;180,5;8,0\n19:35:30;181,0;21,4\n19:40:00;182,5;33,9\n')
    expect(shownIn(field(page, 'The time is in'))).toBe('Time')
    expect(shownIn(field(page, 'as'))).toBe('the clock on the wall')
    expect(shownIn(field(page, 'The core is in'))).toBe('Core °C')
    expect(rows(page)).toMatch(/−1:00\s*8\.0\s°C/)
    expect(page.emitted('keep')).toBeUndefined()
    button(page, 'Lay it over').click()
    expect(kept(page)).toEqual({ name: 'grey probe', seconds: [-60, 330, 600], celsius: [8, 21.4, 33.9] })
  })

  it('understood wrongly it is put right', async () => {
    const page = open()
    await given(page, 'a,b\n0,41\n1,50\n2,59\n')
    expect(rows(page)).toMatch(/41\.0\s°C/)
    await pick(field(page, 'in'), '°F')
    await pick(field(page, 'as'), 'minutes since it began')
    button(page, 'Lay it over').click()
    expect(kept(page)).toEqual({ name: 'grey probe', seconds: [0, 60, 120], celsius: [5, 10, 15] })
  })

  it('that is none is said to be none, with what would be one; nothing is kept', async () => {
    const page = open()
    await given(page, '<html>no</html>', 'holiday.html')
    expect(page.find('[role=alert]').text()).toContain('“holiday.html” is no log')
    expect(page.find('.fields').exists()).toBe(false)
  })

  it('left alone it is forgotten; one that is there is taken away', async () => {
    const page = open({ ...record, log: { name: 'Old log', seconds: [0, 1], celsius: [5, 6] } })
    expect(page.text()).toContain('“Old log” is laid over it.')
    await given(page, '0,5\n60,6\n')
    button(page, 'Leave it').click()
    await soon(() => expect(page.find('.fields').exists()).toBe(false))
    button(page, 'Take it away').click()
    expect(page.emitted('drop')).toHaveLength(1)
    expect(page.emitted('keep')).toBeUndefined()
  })
})
