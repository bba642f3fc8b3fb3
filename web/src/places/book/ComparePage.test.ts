// @vitest-environment happy-dom
/** Two cooks side by side, mounted: what was not alike is said, what was is not, and what came of each. */
import { flushPromises, type VueWrapper } from '@vue/test-utils'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { NO_OUTCOME, plannedOf, type CookRecord } from '#core/book/record'
import { asked, planned } from '#core/plan/planned.fixture'
import type { CookEvent } from '#core/session/events'
import { mounted } from '../../mounted/mount.fixture'
import { emptyBrowser } from '../../mounted/page.fixture'
import { useUnits } from '../../stores/units'
import ComparePage from './ComparePage.vue'

/** The chart draws on a canvas of its own. */
vi.mock('vue3-apexcharts', async () => ({ default: (await import('vue')).defineComponent({ render: () => null }) }))

const at = (s: number, rest: object): CookEvent =>
  ({ id: `e-${s}-${JSON.stringify(rest).length}`, at: 1e12 + 1000 * s, entered: 1e12 + 1000 * s, ...rest }) as CookEvent
function cook(id: string, panC: number, pulledS: number, read: number, outcome: Partial<CookRecord['outcome']>): CookRecord {
  const request = asked('pan sear', { panC })
  return {
    id,
    title: `The ${id} one`,
    createdAt: 1e12,
    request,
    planned: plannedOf(planned(request).plan, null, 200),
    service: null,
    events: [
      at(0, { kind: 'laid' }),
      at(60, { kind: 'turned' }),
      at(pulledS, { kind: 'reading', coreC: read }),
      at(pulledS + 1, { kind: 'pulled' })
    ],
    outcome: { ...NO_OUTCOME, ...outcome }
  }
}
const COOKS = new Map([
  ['first', cook('first', 200, 600, 47, { doneness: 'as wanted', notes: 'Good.' })],
  ['second', cook('second', 230, 480, 51, { doneness: 'over' })]
])
let up = true
beforeEach(() => {
  emptyBrowser()
  up = true
  vi.stubGlobal('fetch', (path: string) => {
    const found = COOKS.get(path.split('/').at(-1) ?? '')
    if (!up) return Promise.reject(new TypeError('no route'))
    return Promise.resolve(new Response(JSON.stringify(found ?? { detail: 'There is no such cook.' }), { status: found ? 200 : 404 }))
  })
})
async function opened(one: string, other: string): Promise<VueWrapper> {
  const page = await mounted(ComparePage, {}, `/book/${one}/beside/${other}`)
  await flushPromises()
  return page
}
/** The cells of the row that begins so. */
const line = (page: VueWrapper, what: string): string[] =>
  page
    .findAll('tbody tr')
    .map(r => r.findAll('th, td').map(c => c.text()))
    .find(([first]) => first === what) ?? []

describe('two cooks side by side', () => {
  it('what they were begun with is said where it differs only, and what came of each beside its plan', async () => {
    const page = await opened('first', 'second')
    expect(line(page, 'How')).toEqual(['How', expect.stringMatching(/200\s°C/), expect.stringMatching(/230\s°C/)])
    expect(line(page, 'Thickness')).toEqual([])
    expect(line(page, 'Time on the heat').slice(1)).toEqual([
      expect.stringMatching(/^10\smin, planned/),
      expect.stringMatching(/^8\smin, planned/)
    ])
    expect(line(page, 'Off the heat at')[2]).toMatch(/^51\s°C, planned/)
    expect(line(page, 'Doneness').slice(1)).toEqual(['as wanted', 'overdone'])
    useUnits().toggle()
    await flushPromises()
    expect(line(page, 'Off the heat at')[2]).toMatch(/^124\s°F, planned/)
  })

  it('one beside itself has nothing different; one that is not there is said, and can be asked for again', async () => {
    expect((await opened('first', 'first')).text()).toContain('the same piece, the same way')
    const page = await opened('first', 'third')
    expect(page.find('[role=alert]').text()).toContain('There is no such cook.')
    up = false
    page.find('[role=alert] button').element.dispatchEvent(new MouseEvent('click', { bubbles: true }))
    await flushPromises()
    expect(page.find('[role=alert]').text()).toContain('does not answer')
  })
})
