// @vitest-environment happy-dom
/** Who sits at the table, mounted: how each wants it, who should not have it rare, and who eats no meat. */
import { flushPromises, type VueWrapper } from '@vue/test-utils'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { mounted } from '../../mounted/mount.fixture'
import { button, emptyBrowser, field, pick, type } from '../../mounted/page.fixture'
import { useCounter } from '../../stores/counter'
import { useDinner } from '../../stores/dinner'
import { useDraft } from '../../stores/draft'
import { useGuests } from '../../stores/guests'
import DonenessPlace from './DonenessPlace.vue'

vi.mock('comlink', () => import('../../mounted/comlink.fixture'))
beforeEach(emptyBrowser)

async function seated(...names: readonly string[]): Promise<VueWrapper> {
  const page = await mounted(DonenessPlace, {}, '/fire/doneness')
  for (const [i, name] of names.entries()) {
    button(page, 'Seat a guest').click()
    await flushPromises()
    await type(page.find(`[aria-label="Name of guest ${i + 1}"]`).element as HTMLInputElement, name)
  }
  return page
}

describe('at the table', () => {
  it('who is at risk is so by name: what would be safe is a touch away, for that one alone', async () => {
    const page = await seated('Ida', 'Per')
    await page.find('[aria-label="Ida is at risk"]').setValue(true)
    await flushPromises()
    expect(useDraft().table).toMatchObject({ vulnerable: true, atRiskC: 54 })
    button(page, 'Theirs to 63').click()
    await flushPromises()
    expect(useDraft().request.guests.named).toMatchObject([
      { name: 'Ida', targetC: 63, atRisk: true },
      { name: 'Per', targetC: 54 }
    ])
    expect(useDraft().table.atRiskC).toBe(63)
    expect(useGuests().targets).toEqual([54, 63])
    expect(page.text()).not.toContain('Theirs to')
  })

  it('who eats no meat has a seat and no piece: meat is bought for the others', async () => {
    useDinner().diners = 4
    const bought = useCounter().buy
    const page = await seated('Ada')
    await pick(field(page, 'wants it'), 'no meat')
    expect(useDraft().request.guests.named).toMatchObject([{ name: 'Ada', noMeat: true }])
    expect(useGuests().targets).toEqual([useDraft().request.target.coreC])
    expect(page.find('[aria-label="Ada is at risk"]').exists()).toBe(false)
    expect(useCounter().ask.guests).toBe(4)
    expect(useCounter().eating.guests).toBe(3)
    expect(useCounter().buy.pieces * useCounter().buy.pieceG).toBeLessThan(bought.pieces * bought.pieceG)
    await pick(field(page, 'wants it'), 'rare 50')
    expect(useCounter().eating.guests).toBe(4)
    expect(useDraft().request.guests.named[0].noMeat).toBe(false)
  })
})
