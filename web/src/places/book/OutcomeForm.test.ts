// @vitest-environment happy-dom
/** What the cut face showed, mounted: chosen at once, notes kept when the hand stops or leaves, and none of it twice. */
import { mount, type VueWrapper } from '@vue/test-utils'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import type { Outcome } from '#core/book/record'
import { emptyBrowser } from '../../mounted/page.fixture'
import OutcomeForm from './OutcomeForm.vue'

const NONE: Outcome = { doneness: null, crust: null, notes: '' }
beforeEach(() => {
  emptyBrowser()
  vi.useFakeTimers()
})
afterEach(() => void vi.useRealTimers())
let changes: Outcome[] = []
const form = (): VueWrapper => {
  changes = []
  return mount(OutcomeForm, { props: { outcome: NONE, onChange: (o: Outcome) => changes.push(o) }, attachTo: document.body })
}
async function choose(page: VueWrapper, group: string, says: string): Promise<void> {
  const id = page
    .findAll('.label')
    .find(l => l.text() === group)!
    .attributes('id')
  const radio = page
    .find(`[aria-labelledby="${id}"]`)
    .findAll('label')
    .find(l => l.text() === says)!
  await radio.find('input').setValue(true)
}

describe('the outcome', () => {
  it('is chosen at once, and can be left unsaid again', async () => {
    const page = form()
    await choose(page, 'Doneness', 'overdone')
    expect(changes).toEqual([{ ...NONE, doneness: 'over' }])
    await page.setProps({ outcome: { ...NONE, doneness: 'over' } })
    await choose(page, 'Doneness', 'not said')
    expect(changes.at(-1)).toEqual(NONE)
  })

  it('notes go off once, when the hand has stopped; and at once with a choice, or when the page is left', async () => {
    const page = form()
    const notes = page.find('textarea')
    for (const written of ['A', 'A shade', 'A shade more salt']) await notes.setValue(written)
    expect(changes).toEqual([])
    vi.advanceTimersByTime(700)
    expect(changes).toEqual([{ ...NONE, notes: 'A shade more salt' }])
    await notes.setValue('A shade more salt, and sooner')
    await choose(page, 'Crust', 'pale')
    expect(changes.at(-1)).toEqual({ ...NONE, crust: 'pale', notes: 'A shade more salt, and sooner' })
    vi.advanceTimersByTime(5000)
    expect(changes).toHaveLength(2)
    await notes.setValue('left open')
    page.unmount()
    expect(changes.at(-1)?.notes).toBe('left open')
  })
})
