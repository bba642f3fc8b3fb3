// @vitest-environment happy-dom
/** The Book of many evenings: a page at a time from the server, sorted and searched there. */
import { mount, RouterLinkStub, type VueWrapper } from '@vue/test-utils'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { NO_OUTCOME, plannedOf, summaryOf, type CookSummary } from '#core/book/record'
import { planned } from '#core/plan/planned.fixture'
import { FIRST_REQUEST } from '#core/request/firstRequest'
import { button, emptyBrowser, screenOf } from '../../mounted/page.fixture'
import BookPlace from './BookPlace.vue'
import { soon } from '../../mounted/soon.fixture'

const figures = plannedOf(planned(FIRST_REQUEST).plan, null, 200)
const summary = (id: string, title: string): CookSummary =>
  summaryOf({ id, title, createdAt: 1.75e12, request: FIRST_REQUEST, planned: figures, service: null, events: [], outcome: NO_OUTCOME })

let asked: URLSearchParams[] = []
let server: 'up' | 'down' = 'up'
let total = 60
beforeEach(() => {
  emptyBrowser()
  screenOf(false)
  asked = []
  server = 'up'
  total = 60
  vi.stubGlobal('fetch', (path: string) => {
    if (server === 'down') return Promise.reject(new TypeError('no route'))
    const url = new URL(path, 'http://kitchen')
    if (url.pathname !== '/api/cooks') return Promise.resolve(new Response('{"cooks":[]}'))
    asked.push(url.searchParams)
    const skip = Number(url.searchParams.get('skip'))
    const cooks = Array.from({ length: Math.max(0, Math.min(25, total - skip)) }, (_, i) => summary(`c${skip + i}`, `Evening ${skip + i}`))
    return Promise.resolve(new Response(JSON.stringify({ cooks, unreadable: [], total })))
  })
})

async function opened(): Promise<VueWrapper> {
  const stubs = { RouterLink: RouterLinkStub, LessonBoard: true, SaveEverything: true }
  const page = mount(BookPlace, { attachTo: document.body, global: { stubs } })
  await soon(() => expect(page.find('[role=status][aria-label="Opening the book"]').exists()).toBe(false))
  return page
}
const titles = (page: VueWrapper): string[] => page.findAll('a.title').map(a => a.text())
const last = (): Record<string, string> => Object.fromEntries(asked.at(-1) ?? [])

describe('the Book', () => {
  it('shows the newest, says how many there are, and turns to the last page', async () => {
    const page = await opened()
    expect(titles(page)).toHaveLength(25)
    expect(page.text()).toContain('60 cooks')
    await page.find('[title="3"] a, li[title="3"]').trigger('click')
    await soon(() => expect(titles(page)).toEqual(Array.from({ length: 10 }, (_, i) => `Evening ${50 + i}`)))
    expect(last()).toMatchObject({ skip: '50', take: '25', order: 'down' })
  })

  it('is sorted by the server, from its first page on', async () => {
    const page = await opened()
    await page.find('[title="2"] a, li[title="2"]').trigger('click')
    await soon(() => expect(last()).toMatchObject({ skip: '25' }))
    const highest = page.findAll('th').find(h => h.text().startsWith('Highest'))
    await highest!.trigger('click')
    await soon(() => expect(last()).toMatchObject({ skip: '0', sort: 'highest', order: 'up' }))
    await highest!.trigger('click')
    await soon(() => expect(last()).toMatchObject({ sort: 'highest', order: 'down' }))
  })

  it('searched, it begins from the first page; with nothing found it says of what; with no answer it says so and asks again', async () => {
    const page = await opened()
    await page.find('[title="2"] a, li[title="2"]').trigger('click')
    total = 0
    await page.find('input[aria-label="Search the book"]').setValue('wind')
    await soon(() => expect(last()).toMatchObject({ search: 'wind', skip: '0' }))
    await soon(() => expect(page.text()).toContain('Nothing in the book matches “wind”.'))
    server = 'down'
    await page.find('input[aria-label="Search the book"]').setValue('rump')
    await soon(() => expect(page.find('[role=alert]').text()).toContain('does not answer'))
    server = 'up'
    total = 1
    button(page, 'Try again').click()
    await soon(() => expect(titles(page)).toEqual(['Evening 0']))
  })
})
