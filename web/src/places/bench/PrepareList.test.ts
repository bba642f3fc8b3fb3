// @vitest-environment happy-dom
/** Getting it ready, mounted: what is chosen there, what is on the list, and by when. */
import { flushPromises, type VueWrapper } from '@vue/test-utils'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { mounted } from '../../mounted/mount.fixture'
import { emptyBrowser } from '../../mounted/page.fixture'
import { soon } from '../../mounted/soon.fixture'
import { useDraft } from '../../stores/draft'
import { usePass } from '../../stores/pass'
import { usePieces } from '../../stores/pieces'
import { usePlan } from '../../stores/plan'
import { cutById } from '#core/meat/cuts'
import PrepareList from './PrepareList.vue'

vi.mock('comlink', () => import('../../mounted/comlink.fixture'))
beforeEach(emptyBrowser)

const group = (page: VueWrapper, label: string) => page.findAll('.choice').find(c => c.find('.label').text() === label)!
async function choose(page: VueWrapper, label: string, option: string): Promise<void> {
  const wanted = group(page, label)
    .findAll('label')
    .find(l => l.text() === option)!
  await wanted.find('input').setValue(true)
  await flushPromises()
}
const chosen = (page: VueWrapper, label: string): string => group(page, label).find('.ant-radio-button-wrapper-checked').text()
const listed = (page: VueWrapper): string[] => page.findAll('li strong').map(s => s.text())

describe('getting it ready', () => {
  it('what is chosen is on the list, dated back from when it goes in; what was ticked stays ticked while the list moves', async () => {
    const page = await mounted(PrepareList)
    await page.findAll('li input')[0].setValue(true)
    const first = listed(page)[0]
    await choose(page, 'Salt', 'the day before')
    expect(listed(page)[0]).toBe(first)
    const at = (says: string): string =>
      page
        .findAll('li')
        .find(l => l.text().includes(says))!
        .find('time')
        .text()
    expect(at('Salt it on all sides')).toMatch(/^[A-Z][a-z]{2} /)
    expect(at('Salt it on all sides').slice(0, 3)).toBe(at(first).slice(0, 3))
    expect(at('Pat every face dry')).toMatch(/^\d/)
    const done = page.findAll('li.done strong').map(s => s.text())
    expect(done).toEqual([first])
    expect(listed(page)).toContain('It goes in')
  })

  it('in a marinade it does not dry in the open: whichever is chosen last counts', async () => {
    const page = await mounted(PrepareList)
    await choose(page, 'Drying', 'dried in the fridge')
    await choose(page, 'Marinade', 'overnight')
    expect(chosen(page, 'Drying')).toBe('patted dry')
    expect(useDraft().request.piece.surface).toBe('patted')
    expect(listed(page).join()).toMatch(/Into its marinade.*Lift it out of its marinade.*Pat every face dry/)
    await choose(page, 'Drying', 'dried in the fridge')
    expect(chosen(page, 'Marinade')).toBe('none')
    expect(listed(page).join()).not.toMatch(/marinade/)
  })

  it('of a piece on the ticket it is dated by that, and moves with the table', async () => {
    const draft = useDraft()
    const [pass, plan] = [usePass(), usePlan()]
    usePieces()
    draft.take(cutById('strip')!, { pieces: 1, thicknessMm: 26 })
    pass.change({ serveAt: '2026-12-24T19:30', lines: [] })
    await soon(() => expect(plan.current).not.toBeNull())
    expect(usePieces().putOn()).toBeNull()
    const page = await mounted(PrepareList)
    await soon(() => expect(page.text()).toMatch(/It goes in Thursday 24 December, (\d+:\d\d).*: by the ticket, to be on the table at/))
    const at = pass.goesInAt!
    const served = pass.servedAt
    const [rest, carve] = pass.pieces[0].dish.steps.slice(-2)
    expect((served - at) / 1000).toBeGreaterThanOrEqual(plan.current!.plan.pull.time + rest.seconds + carve.seconds - 1)
    pass.change({ serveAt: '2026-12-24T20:00' })
    await soon(() => expect(pass.goesInAt).toBe(at + 30 * 60_000))
    expect(page.text()).not.toContain('being laid out')
  })
})
