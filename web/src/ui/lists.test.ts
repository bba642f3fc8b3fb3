// @vitest-environment happy-dom
/** Steps and times, mounted: read in order, by whoever reads them. */
import { mount } from '@vue/test-utils'
import { describe, expect, it } from 'vitest'
import StepList from './StepList.vue'
import TimeList from './TimeList.vue'

describe('lists', () => {
  it('steps are numbered in the order they are done', () => {
    const page = mount(StepList, { props: { steps: ['Off the bone first', 'Straight across it', 'Salt the cut faces'] } })
    const items = page.findAll('[role=listitem]').map(i => i.text())
    expect(items.map(i => i.replace(/\s+/g, ' '))).toEqual(['1Off the bone first', '2Straight across it', '3Salt the cut faces'])
  })

  it('times stand before what happens, and what there is to note behind it', () => {
    const items = [
      { key: 'a', when: '18:40', what: 'Light the ring' },
      { key: 'b', when: '18:44', what: 'It goes in', note: '2 min late' }
    ]
    const page = mount(TimeList, { props: { items } })
    expect(page.findAll('[role=listitem]').map(i => i.text().replace(/\s+/g, ' '))).toEqual([
      '18:40 Light the ring',
      '18:44 It goes in 2 min late'
    ])
    expect(page.findAll('time')).toHaveLength(2)
  })
})
