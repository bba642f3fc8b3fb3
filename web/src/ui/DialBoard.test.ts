// @vitest-environment happy-dom
/** The board mounted for every method: each setting of the one table has its field, and what is turned there arrives under its key. */
import { mount, type VueWrapper } from '@vue/test-utils'
import { beforeEach, describe, expect, it } from 'vitest'
import { dialsOf, type Settings } from '#core/method/dials'
import { METHOD_KINDS, METHODS, type MethodKind } from '#core/method/methods'
import { FIRST_REQUEST } from '#core/request/firstRequest'
import { by } from '#core/request/request'
import { wholeSettings } from '#core/request/setup'
import { emptyBrowser, field, pick, shownIn, type } from '../mounted/page.fixture'
import DialBoard from './DialBoard.vue'

beforeEach(emptyBrowser)

const board = (kind: MethodKind, settings: Settings = {}, round = false): VueWrapper =>
  mount(DialBoard, {
    props: { dials: dialsOf(kind), values: wholeSettings(by(FIRST_REQUEST, kind, settings)), free: METHODS[kind].free, round },
    attachTo: document.body
  }) as unknown as VueWrapper
const labels = (of: VueWrapper): string[] => of.findAll('label').map(l => l.text())
const turned = (of: VueWrapper): unknown => of.emitted('turn')?.at(-1)?.[0]

describe.each(METHOD_KINDS)('the board of %s', kind => {
  it('has a field for every setting, of the name it has in the table, and none for another', () => {
    const of = board(kind)
    const expected = dialsOf(kind).flatMap(d => (d.key === 'byClockS' ? [] : d.kind === 'top-ups' ? ['Top up every'] : [d.label]))
    for (const label of expected) expect(labels(of)).toContain(label)
    const companions = [
      'namely',
      'a rest of',
      'with boiling water',
      METHODS[kind].free.charAt(0).toUpperCase() + METHODS[kind].free.slice(1)
    ]
    for (const label of labels(of)) expect([...expected, ...companions]).toContain(label)
  })

  it('tells each quantity under its own key, in base units, and what cannot be read as a problem of it', async () => {
    const of = board(kind)
    for (const d of dialsOf(kind)) {
      if (d.kind !== 'quantity' || d.key === 'byClockS') continue
      await type(field(of, d.label), 'nonsense')
      expect(of.emitted('problem')?.at(-1)?.[0]).toBe(d.key)
      const unit = { temperature: '°C', duration: 's', length: 'mm', mass: 'g' }[d.dimension as string]
      if (unit === undefined) continue
      const value = Math.round((d.range[0] + d.range[1]) / 2)
      await type(field(of, d.label), `${value} ${unit}`)
      expect(turned(of)).toEqual({ [d.key]: value })
      expect(of.emitted('problem')?.at(-1)).toEqual([d.key, null])
    }
  })

  it('lets what it leaves free be set by the clock instead, and back', async () => {
    if (!dialsOf(kind).some(d => d.key === 'byClockS')) return
    const of = board(kind)
    const free = METHODS[kind].free.charAt(0).toUpperCase() + METHODS[kind].free.slice(1)
    expect(shownIn(field(of, free))).toBe('worked out')
    await pick(field(of, free), 'by the clock')
    expect(turned(of)).toEqual({ byClockS: 600 })
    const byClock = board(kind, { byClockS: 900 })
    expect(shownIn(field(byClock, free))).toBe('by the clock')
    await type(field(byClock, 'namely'), '12 min')
    expect(turned(byClock)).toEqual({ byClockS: 720 })
    await pick(field(byClock, free), 'worked out')
    expect(turned(byClock)).toEqual({ byClockS: 0 })
  })
})

describe('a setting that means nothing as the others stand', () => {
  it('is out of the way: no turning without a sear, nor of a joint rolled in the pan', () => {
    expect(labels(board('oven then sear'))).toContain('Turn')
    expect(labels(board('oven then sear', { searS: 0 }))).not.toContain('Turn')
    expect(labels(board('pan sear', {}, true))).not.toContain('Turn')
  })

  it('a rest of a set time has its length beside it', async () => {
    const of = board('pan sear')
    const rest = dialsOf('pan sear').find(d => d.kind === 'rest')!
    expect(labels(of)).not.toContain('a rest of')
    await pick(field(of, rest.label), 'a set time')
    expect(turned(of)).toEqual({ rest: { kind: 'clock', seconds: 600 } })
    const set = board('pan sear', { rest: { kind: 'clock', seconds: 300 } })
    await type(field(set, 'a rest of'), '20 min')
    expect(turned(set)).toEqual({ rest: { kind: 'clock', seconds: 1200 } })
  })
})
