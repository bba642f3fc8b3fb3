import { describe, expect, it } from 'vitest'
import { ref } from 'vue'
import { parseOrder } from '#core/shop/schema'
import { useSchema } from './useSchema'

const ORDER = { cutId: 'strip', region: 'UK', pieces: 2, pieceG: 300, thicknessMm: 30, fatMm: 5, tied: false, notNeedled: true, note: '' }

describe('a form held to its schema', () => {
  it('says nothing before one has tried, then what is wrong at its own field, and nothing once it is mended', () => {
    const given = ref({ ...ORDER, pieces: 2.5 })
    const form = useSchema(parseOrder, () => given.value)
    expect(form.item('pieces')).toEqual({})
    expect(form.submit()).toBeNull()
    expect(form.item('pieces')).toEqual({ validateStatus: 'error', help: 'Whole pieces only.' })
    expect(form.item('note')).toEqual({})
    given.value = { ...ORDER, pieces: 3 }
    expect(form.item('pieces')).toEqual({})
    expect(form.submit()).toMatchObject({ pieces: 3 })
  })
  it('begun anew it is quiet again', () => {
    const form = useSchema(parseOrder, () => ({ ...ORDER, note: 'x'.repeat(401) }))
    form.submit()
    expect(form.item('note')).toHaveProperty('help')
    form.forget()
    expect(form.item('note')).toEqual({})
  })
  it('what is no fault of the input is not hidden', () => {
    const form = useSchema(
      () => {
        throw new TypeError('broken')
      },
      () => ({})
    )
    expect(() => form.submit()).toThrow('broken')
  })
})
