/** A list that says the same is the same list, so that one that is open stays where it is. */
import { expect, it } from 'vitest'
import { sameList } from './sameList'

it('is kept while it says the same, and is a new one, and a copy, when it does not', () => {
  const options = [
    { value: 'rice', label: 'Rice' },
    { value: 'mash', label: 'Mash' }
  ]
  const first = sameList(options, undefined)
  expect(first).toEqual(options)
  expect(first[0]).not.toBe(options[0])
  expect(sameList([...options.map(o => ({ ...o }))], first)).toBe(first)
  expect(sameList(options.slice(1), first)).toEqual(options.slice(1))
  expect(sameList([options[1], options[0]], first)).not.toBe(first)
  expect(sameList([options[0], { value: 'mash', label: 'Mashed' }], first)[1].label).toBe('Mashed')
})
