// @vitest-environment happy-dom
/** The bench mounted: the piece measured, held against its weight, and how many of it there are. */
import { flushPromises, type VueWrapper } from '@vue/test-utils'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { mounted } from '../../mounted/mount.fixture'
import { button, emptyBrowser, field, type } from '../../mounted/page.fixture'
import { useDraft } from '../../stores/draft'
import { useUnits } from '../../stores/units'
import BenchPlace from './BenchPlace.vue'

vi.mock('comlink', () => import('../../mounted/comlink.fixture'))
beforeEach(emptyBrowser)
const opened = (): Promise<VueWrapper> => mounted(BenchPlace, {}, '/bench')

describe('the bench', () => {
  it('sizes that do not fit the weight are told with the likeliest slip, and mended at a touch', async () => {
    const page = await opened()
    await type(field(page, 'Weight of one'), '1400')
    expect(page.text()).toContain('Likeliest culprit')
    button(page, 'Make the').click()
    await flushPromises()
    expect(page.text()).toContain('sizes and weight fit')
    expect(useDraft().contradiction).toBeNull()
  })

  it('somebody at risk whom nobody has named is said here, and taken back here; one who is named is said of by name', async () => {
    const page = await opened()
    const box = page
      .findAll('label.ant-checkbox-wrapper')
      .find(l => l.text().startsWith('A guest is pregnant'))!
      .find('input')
    await box.setValue(true)
    expect(useDraft().request.guests.atRisk).toBe(true)
    await box.setValue(false)
    expect(useDraft().table.vulnerable).toBe(false)
    useDraft().seat({ named: [{ id: 'a', name: 'Ada', targetC: 50, atRisk: true }] })
    await flushPromises()
    expect(useDraft().table.vulnerable).toBe(true)
    expect(box.element.checked).toBe(false)
    expect(page.text()).toContain('For that guest')
  })

  it('more pieces than the pan takes are counted in batches beside it', async () => {
    const page = await opened()
    expect(page.text()).toMatch(/\d+ % of its floor/)
    await type(field(page, 'How many'), '12')
    expect(useDraft().request.piece.count).toBe(12)
    expect(page.text()).toMatch(/\d at a time, \d batches: \d+ % of its floor/)
    await type(field(page, 'How many'), '400')
    expect(page.text()).toContain('A whole number from 1 to 40.')
    expect(useDraft().request.piece.count).toBe(12)
  })

  it('in the other units every figure is the other’s, and the piece is the same', async () => {
    const page = await opened()
    const before = useDraft().request.piece
    useUnits().toggle()
    await flushPromises()
    expect(field(page, 'Thickness').value).toMatch(/^1 ?½|1\.5|1 1\/2/)
    expect(useDraft().request.piece).toEqual(before)
    expect(page.text()).not.toMatch(/\d ?mm\b/)
  })

  it('cooked before, it is planned to be warmed, and taken back it is raw again', async () => {
    const page = await opened()
    const before = page.findAll('label.ant-checkbox-wrapper').find(l => l.text().startsWith('It was cooked before'))!
    await before.find('input').setValue(true)
    expect(useDraft().request).toMatchObject({ piece: { cookedC: 54 }, target: { coreC: 52 } })
    await type(field(page, 'Cooked before to'), '60')
    expect(useDraft().request).toMatchObject({ piece: { cookedC: 60 }, target: { coreC: 52 } })
    await type(field(page, 'Cooked before to'), '20')
    expect(page.text()).toContain('from 40 to 90')
    expect(useDraft().request.piece.cookedC).toBe(60)
    await before.find('input').setValue(false)
    expect(useDraft().request.piece.cookedC).toBeUndefined()
    expect(useDraft().request.method.kind).toBe('pan sear')
  })
})
