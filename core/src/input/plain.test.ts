import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { assertPlain } from './plain'
import { InvalidInputError } from './problem'

const refused = (input: unknown): readonly { readonly key: string; readonly message: string }[] => {
  try {
    assertPlain(input)
    return []
  } catch (error) {
    if (error instanceof InvalidInputError) return error.problems
    throw error
  }
}

describe('what is read from elsewhere', () => {
  it('is let through where it is plain, whatever it says', () => {
    fc.assert(
      fc.property(fc.jsonValue({ maxDepth: 6 }), value => {
        const text = JSON.stringify(value)
        const known = [...Object.getOwnPropertyNames(Object.prototype), 'prototype'].some(name => text.includes(`"${name}":`))
        expect(refused(JSON.parse(text)).length > 0).toBe(known || text.includes('\\u0000'))
      })
    )
  })

  it.each([
    ['{"piece":{"__proto__":{"cut":"strip"}}}', 'piece', /__proto__/],
    ['{"a":[1,{"constructor":1}]}', 'a[1]', /constructor/],
    ['{"toString":null}', '', /toString/],
    ['{"weight":1e999}', 'weight', /no number/],
    [`${'['.repeat(60)}${']'.repeat(60)}`, '[0]'.repeat(24), /deep/],
    [`[${'0,'.repeat(70_000)}0]`, '', /too many/]
  ])('is refused with its key: %#', (text, key, says) => {
    const [problem] = refused(JSON.parse(text))
    expect(problem.key).toBe(key)
    expect(problem.message).toMatch(says)
  })
})
