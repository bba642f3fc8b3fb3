/** The sentence of every method: it names only what the method has, and reads as one. */
import { describe, expect, it } from 'vitest'
import { dialsOf } from '#core/method/dials'
import { METHOD_KINDS } from '#core/method/methods'
import { besides, namedIn, sentenceOf, type SentencePart } from './sentence'

const read = (parts: readonly SentencePart[]): string =>
  parts.map(p => ('words' in p ? p.words : 'kit' in p ? `[${p.kit}]` : `[${p.key}]`)).join(' ')

describe.each(METHOD_KINDS)('%s', kind => {
  it.each([
    ['a steak', false, true],
    ['a joint', true, true],
    ['what is not seared', false, false]
  ] as const)('of %s: no setting that it has not, none twice, never two words of leading on in a row', (_, round, sears) => {
    const parts = sentenceOf(kind, round, sears)
    const keys = parts.flatMap(p => ('key' in p ? [p.key] : []))
    const own = dialsOf(kind).map(d => d.key)
    for (const key of keys) expect(own).toContain(key)
    expect(new Set(keys).size).toBe(keys.length)
    expect(read(parts)).not.toMatch(/then then|and then|then rested|and rested|turned rested|seared rested|, rested/)
    expect(parts.at(-1)).toEqual({ key: 'cover' })
    expect(new Set([...namedIn(parts), ...besides(kind, parts).map(d => d.key)])).toEqual(new Set(own))
  })
})

describe('read aloud', () => {
  it('a steak in the pan, turned; a joint in the oven, not turned; and neither seared where it is not', () => {
    expect(read(sentenceOf('pan sear', false, true))).toBe('in the [pan] at [panC] on the [ring] turned [turning] rested [cover]')
    expect(read(sentenceOf('pan sear', true, true))).not.toContain('turn')
    expect(read(sentenceOf('oven then sear', false, true))).toContain('in the oven at [ovenC] then seared in the [pan]')
    expect(read(sentenceOf('roast', true, false))).toBe('in the oven at [ovenC] rested [cover]')
    expect(read(sentenceOf('sear then oven', false, false))).toBe('in the oven at [ovenC] rested [cover]')
    expect(read(sentenceOf('pot', false, false))).toBe('in a pot of [boilingParts] boiling to [coldParts] cold water rested [cover]')
  })
})
