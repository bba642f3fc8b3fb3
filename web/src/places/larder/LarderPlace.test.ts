// @vitest-environment happy-dom
/** The larder mounted: what is written on a packet is checked by the server's own schema, kept, used up and put back. */
import { flushPromises, type VueWrapper } from '@vue/test-utils'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { CUTS } from '#core/meat/cuts'
import { mounted } from '../../mounted/mount.fixture'
import { button, emptyBrowser, field, pick, type } from '../../mounted/page.fixture'
import { useDraft } from '../../stores/draft'
import { useLarder } from '../../stores/larder'
import { usePreparation } from '../../stores/preparation'
import LarderPlace from './LarderPlace.vue'
import { soon } from '../../mounted/soon.fixture'

vi.mock('comlink', () => import('../../mounted/comlink.fixture'))
beforeEach(emptyBrowser)

const opened = (): Promise<VueWrapper> => mounted(LarderPlace, {}, '/larder')
async function click(page: VueWrapper, says: string): Promise<void> {
  button(page, says).click()
  await flushPromises()
}
/** A form is sent by its own button or by the Enter key. */
async function send(page: VueWrapper): Promise<void> {
  await page.find('form').trigger('submit')
  await flushPromises()
}

describe('the larder', () => {
  it('empty says what belongs in it', async () => {
    expect((await opened()).text()).toContain('Nothing here yet')
  })

  it('a packet whose label reads like a cut is offered as that, and goes to the bench as so many pieces of so much', async () => {
    const page = await opened()
    await click(page, 'A new packet')
    await type(field(page, 'What is written on it'), 'BNLS STRPLN STK')
    expect(page.text()).toContain('That reads like strip steak')
    await click(page, 'It is')
    await type(field(page, 'Pieces'), '3')
    await type(field(page, 'Weight of all'), '960')
    await send(page)
    expect(useLarder().packets).toMatchObject([{ cutId: 'strip', pieces: 3, weightG: 960, place: 'fridge' }])
    await click(page, 'To the bench')
    expect(useDraft().request.piece).toMatchObject({ cutId: 'strip', count: 3, weightG: 320 })
    expect(useLarder().packets).toHaveLength(0)
  })

  it('what was cooked before says to what, and is planned to be warmed again and not as if it were raw', async () => {
    const page = await opened()
    await click(page, 'A new packet')
    await pick(field(page, 'Cut'), 'Strip steak')
    await type(field(page, 'Weight of all'), '300')
    const cooked = page.findAll('label.ant-checkbox-wrapper').find(l => l.text().startsWith('Cooked already'))!
    await cooked.find('input').setValue(true)
    await type(field(page, 'Its middle came to'), '54')
    await send(page)
    expect(useLarder().packets).toMatchObject([{ cookedC: 54 }])
    expect(page.text()).toMatch(/cooked to 54\s°C: sliced cold, or warmed in a bath no hotter than that/)
    expect(page.text()).toContain('cooked and chilled: three days')
    expect(page.text()).not.toContain('To the bench')
    await click(page, 'Change')
    await send(page)
    expect(useLarder().packets).toMatchObject([{ cookedC: 54 }])
    await click(page, 'Warm it again')
    const { piece, target, method } = useDraft().request
    expect(piece).toMatchObject({ cutId: 'strip', weightG: 300, cookedC: 54 })
    expect(target.coreC).toBeLessThanOrEqual(52)
    expect(method.kind).not.toBe('pan sear')
    // What is raw after it has nothing of it.
    useDraft().take(CUTS.find(c => c.id === 'ribeye')!)
    expect(useDraft().request.piece.cookedC).toBeUndefined()
    expect(useDraft().request.method.kind).toBe('pan sear')
  })

  it('what cannot be read keeps the packet out, and its reason stands at the field', async () => {
    const page = await opened()
    await click(page, 'A new packet')
    await type(field(page, 'Weight of all'), 'a lot')
    expect(button(page, 'Put it in').disabled).toBe(true)
    await send(page)
    expect(useLarder().packets).toHaveLength(0)
    await type(field(page, 'Weight of all'), '1 kg')
    await send(page)
    expect(useLarder().packets).toMatchObject([{ weightG: 1000 }])
  })

  it('what is frozen can be planned with: it stays there until its day, which is on the list', async () => {
    const page = await opened()
    await click(page, 'A new packet')
    await pick(field(page, 'Cut'), 'Bavette')
    await send(page)
    await click(page, 'Freeze')
    await click(page, 'Plan it, thawed')
    expect(useLarder().packets).toMatchObject([{ cutId: 'bavette', place: 'freezer' }])
    const preparation = usePreparation()
    expect(preparation.preparation.from).toBe('freezer')
    await soon(() => expect(preparation.tasks[0].id).toBe('thaw'))
    expect(preparation.tasks[0].before).toBeGreaterThan(6 * 3600)
    // Another piece is another matter.
    useDraft().take(CUTS.find(c => c.id === 'strip')!)
    await flushPromises()
    expect(preparation.preparation.from).toBe('fridge')
    expect(preparation.tasks.map(t => t.id)).not.toContain('thaw')
  })

  it('used up it is gone, and put back it is as it was', async () => {
    const page = await opened()
    await click(page, 'A new packet')
    await pick(field(page, 'Cut'), 'Bavette')
    await send(page)
    const before = useLarder().packets
    await click(page, 'Used up')
    expect(useLarder().packets).toHaveLength(0)
    await click(page, 'Put it back')
    expect(useLarder().packets).toEqual(before)
  })
})
