// @vitest-environment happy-dom
/** Fields mounted: what is typed in any unit arrives in base units, and what cannot be read stays with its reason. */
import { mount, type VueWrapper } from '@vue/test-utils'
import { beforeEach, describe, expect, it } from 'vitest'
import { nextTick } from 'vue'
import { emptyBrowser, field, pick, press, shownIn, type } from '../mounted/page.fixture'
import { useUnits } from '../stores/units'
import CountField from './CountField.vue'
import PickField from './PickField.vue'
import QuantityField from './QuantityField.vue'

beforeEach(emptyBrowser)
const last = (of: VueWrapper, event = 'update:modelValue'): unknown => of.emitted(event)?.at(-1)?.[0]

describe('a quantity', () => {
  const thickness = (modelValue = 38): VueWrapper =>
    mount(QuantityField, {
      props: { modelValue, dimension: 'length', label: 'Thickness', range: [5, 150] },
      attachTo: document.body
    }) as unknown as VueWrapper
  const say = (of: VueWrapper): string => of.find('[role=alert]').text()

  it('stands in its unit, under its name, and nothing is wrong with it', () => {
    const of = thickness()
    expect(field(of, 'Thickness').value).toBe('38')
    expect(of.text()).toContain('mm')
    expect(of.find('[role=alert]').exists()).toBe(false)
    expect(field(of, 'Thickness').getAttribute('aria-invalid')).toBe('false')
  })

  it.each([
    ['32', 32],
    ['3,2 cm', 32],
    ['1 1/2 in', 38.1],
    ['1½"', 38.1],
    ['  40 mm ', 40]
  ])('typed as “%s” it is %d mm', async (written, mm) => {
    const of = thickness()
    await type(field(of, 'Thickness'), written)
    expect(last(of)).toBeCloseTo(mm, 6)
    expect(last(of, 'problem')).toBeNull()
  })

  it('that is nonsense stays as typed, with the reason beside it and for a screen reader', async () => {
    const of = thickness()
    const input = field(of, 'Thickness')
    await type(input, 'thick')
    expect(input.value).toBe('thick')
    expect(of.emitted('update:modelValue')).toBeUndefined()
    expect(say(of).length).toBeGreaterThan(10)
    expect(last(of, 'problem')).toBe(say(of))
    expect(input.getAttribute('aria-invalid')).toBe('true')
    expect(document.getElementById(input.getAttribute('aria-describedby') ?? '')?.textContent).toBe(say(of))
  })

  it('out of its range is told the range, in the unit that is shown', async () => {
    const of = thickness()
    await type(field(of, 'Thickness'), '400')
    expect(say(of)).toBe('This may be from 5 to 150 mm.')
    useUnits().system = 'us'
    await nextTick()
    await type(field(of, 'Thickness'), '20')
    expect(say(of)).toMatch(/^This may be from 0\.2 to 5\.9\d* in\.$/)
    expect(of.emitted('update:modelValue')).toBeUndefined()
  })

  it('is rewritten when the units change, and when it is changed from elsewhere, but not under the fingers', async () => {
    const of = thickness(25.4)
    useUnits().system = 'us'
    await nextTick()
    expect(field(of, 'Thickness').value).toBe('1')
    useUnits().system = 'metric'
    await of.setProps({ modelValue: 50 })
    expect(field(of, 'Thickness').value).toBe('50')
    await type(field(of, 'Thickness'), '5.0 cm')
    await of.setProps({ modelValue: 50 })
    expect(field(of, 'Thickness').value).toBe('5.0 cm')
    await type(field(of, 'Thickness'), 'thick')
    await of.setProps({ modelValue: 60 })
    expect(field(of, 'Thickness').value).toBe('60')
    expect(of.find('[role=alert]').exists()).toBe(false)
  })

  it('goes up and down with the arrows, a millimetre or an eighth of an inch', async () => {
    const of = thickness(50.8)
    await press('ArrowUp', field(of, 'Thickness'))
    expect(last(of)).toBeCloseTo(51.8, 6)
    useUnits().system = 'us'
    await of.setProps({ modelValue: 50.8 })
    await press('ArrowDown', field(of, 'Thickness'))
    expect(last(of)).toBeCloseTo(50.8 - 25.4 / 8, 2)
  })
})

describe('a count', () => {
  const parts = (step = 1): VueWrapper =>
    mount(CountField, {
      props: { modelValue: 4, label: 'Parts', unit: 'parts', range: [1, 12], step },
      attachTo: document.body
    }) as unknown as VueWrapper

  it('takes whole numbers in its range and says so of all else', async () => {
    const of = parts()
    for (const wrong of ['0', '13', '2.5', 'four', '', ' ']) {
      await type(field(of, 'Parts'), wrong)
      expect(of.find('[role=alert]').text(), wrong).toBe('A whole number from 1 to 12.')
    }
    expect(of.emitted('update:modelValue')).toBeUndefined()
    await type(field(of, 'Parts'), '12')
    expect(last(of)).toBe(12)
    expect(of.find('[role=alert]').exists()).toBe(false)
  })

  it('takes a decimal comma where it need not be whole, and the arrows stop at its ends', async () => {
    const of = parts(0.5)
    await type(field(of, 'Parts'), '2,5')
    expect(last(of)).toBe(2.5)
    await of.setProps({ modelValue: 12 })
    await press('ArrowUp', field(of, 'Parts'))
    expect(last(of)).toBe(12)
    await press('ArrowDown', field(of, 'Parts'))
    expect(last(of)).toBe(11.5)
  })
})

describe('one of several', () => {
  it('shows what is chosen and tells what is chosen instead', async () => {
    const options = ['once', 'twice'].map(value => ({ value, label: value }))
    const of = mount(PickField, {
      props: { modelValue: 'twice', label: 'Turn', options },
      attachTo: document.body
    }) as unknown as VueWrapper
    expect(shownIn(field(of, 'Turn'))).toBe('twice')
    await pick(field(of, 'Turn'), 'once')
    expect(last(of)).toBe('once')
  })
})
