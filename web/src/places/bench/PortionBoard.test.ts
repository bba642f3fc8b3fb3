// @vitest-environment happy-dom
/** A whole muscle on the board, mounted: knife lines moved by the keyboard, ribs gone round, a portion taken to be measured. */
import { flushPromises, type VueWrapper } from '@vue/test-utils'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { CUTS } from '#core/meat/cuts'
import { mounted } from '../../mounted/mount.fixture'
import { button, emptyBrowser, press } from '../../mounted/page.fixture'
import { useDraft } from '../../stores/draft'
import PortionBoard from './PortionBoard.vue'

vi.mock('comlink', () => import('../../mounted/comlink.fixture'))
vi.mock('@vueuse/core', async real => {
  const { ref } = await import('vue')
  return { ...(await real<object>()), useElementSize: () => ({ width: ref(800), height: ref(300) }) }
})
beforeEach(emptyBrowser)

async function board(id: string): Promise<VueWrapper> {
  const cut = CUTS.find(c => c.id === id)!
  const draft = useDraft()
  draft.take(cut, { pieces: 1, pieceG: 700, thicknessMm: 40 })
  return mounted(PortionBoard, {}, '/bench')
}
const knives = (page: VueWrapper): number[] => page.findAll('[role=slider]').map(k => Number(k.attributes('aria-valuenow')))
const ribs = (page: VueWrapper): [number, number][] => {
  const scale = Number(page.findAll('.portion rect')[0].attributes('width')) / knives(page)[0]
  return page.findAll('.rib').map(r => {
    const from = Number(r.attributes('x')) / scale
    return [from, from + Number(r.attributes('width')) / scale]
  })
}

describe('a rib on the board', () => {
  it('shows its ribs, and no line goes through one, however it is divided', async () => {
    const page = await board('rib-steak')
    expect(ribs(page).length).toBeGreaterThan(3)
    for (const says of ['slices of 25', 'slices of 38', 'slices of 50', '+', '+', 'one for each of', 'all of one weight']) {
      button(page, says).click()
      await flushPromises()
      for (const [from, to] of ribs(page)) expect(knives(page).filter(k => k > from + 0.6 && k < to - 0.6)).toEqual([])
    }
    expect(page.text()).toContain('It goes between the ribs')
    expect(page.text()).toMatch(/one rib|no bone/)
  })

  it('pressed against a rib by the keyboard the line comes out on its other side', async () => {
    const page = await board('rib-steak')
    button(page, 'slices of 50').click()
    await flushPromises()
    const line = page.findAll('[role=slider]')[0].element
    const walked = new Set<number>()
    for (let i = 0; i < 30; i++) {
      await press('ArrowRight', line)
      walked.add(knives(page)[0])
    }
    const steps = [...walked]
    expect(Math.max(...steps.slice(1).map((s, i) => s - steps[i]))).toBe(22)
    for (const [from, to] of ribs(page)) expect(steps.filter(s => s > from + 0.6 && s < to - 0.6)).toEqual([])
  })
})

describe('a strip on the board', () => {
  it('the portion chosen is what is measured, and those like it are cooked together', async () => {
    const page = await board('strip')
    button(page, 'slices of 38').click()
    await flushPromises()
    const before = useDraft().request.piece
    button(page, 'Measure this one').click()
    expect(useDraft().request.piece).toMatchObject({ thicknessMm: 38, count: 1 })
    expect(useDraft().request.piece.weightG).not.toBe(before.weightG)
    button(page, 'Cook ').click()
    expect(useDraft().request.piece.count).toBeGreaterThan(4)
  })

  it('a bone in every slice is said to take a saw', async () => {
    expect((await board('t-bone')).text()).toContain('takes a saw')
    expect((await board('strip')).text()).not.toContain('saw')
  })
})
