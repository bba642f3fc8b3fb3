/** Whatever is typed within a field's range makes a kit that the server takes. */
import { describe, expect, it } from 'vitest'
import { parseKit } from '#core/kit/kitSchema'
import { SHELVES, READY_KITS, type Kit, type KitShelf } from '#core/kit/kit'
import { kitFields, type AnyItem, type KitField } from './kitFields'

const { kit } = READY_KITS[0]
const all = SHELVES.flatMap(shelf => kit[shelf].map((item): [KitShelf, AnyItem] => [shelf, item]))
const ends = (field: KitField): object[] => {
  switch (field.kind) {
    case 'quantity':
    case 'count':
      return field.range.map(v => field.set(v))
    case 'pick':
      return field.options.map(o => field.set(o))
    case 'yes':
      return [field.set(true), field.set(false)]
  }
}
const withItem = (shelf: KitShelf, item: AnyItem): Kit => ({ ...kit, [shelf]: kit[shelf].map(i => (i.id === item.id ? item : i)) })

describe.each(['metric', 'us'] as const)('in %s units', system => {
  it.each(all)('%s: every field at both ends', (shelf, item) => {
    const fields = kitFields(shelf, item, system, 0)
    expect(fields.length).toBeGreaterThan(1)
    for (const field of fields) {
      for (const part of ends(field)) expect(parseKit(withItem(shelf, { ...item, ...part }))).toBeTruthy()
    }
  })
})

it('an oven that runs 9 °F hot runs 5 K hot, and shows it so', () => {
  const hot = kitFields('ovens', kit.ovens[0], 'us', 0).find(f => f.label.startsWith('Hotter'))!
  expect(hot.kind === 'count' && hot.set(9)).toEqual({ offsetC: 5 })
  const shown = kitFields('ovens', { ...kit.ovens[0], offsetC: 5 }, 'us', 0).find(f => f.label.startsWith('Hotter'))!
  expect(shown.value).toBe(9)
})

it('a pan known by its weight has the floor that weighs it', () => {
  const [pan] = kit.pans
  const field = kitFields('pans', pan, 'metric', 0).find(f => f.label.startsWith('or weighs'))!
  const heavier = { ...pan, ...(field.kind === 'quantity' ? field.set(1.2 * field.value) : {}) }
  const again = kitFields('pans', heavier, 'metric', 0).find(f => f.label.startsWith('or weighs'))!
  expect(Number(again.value) / Number(field.value)).toBeCloseTo(1.2, 1)
})
