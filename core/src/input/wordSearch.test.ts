/** Words as people type them. */
import { describe, expect, it } from 'vitest'
import { plain, WordSearch } from './wordSearch'

const search = new WordSearch([
  'Two strips, last table before the lock. Strip steak. as wanted 24 Nov 2026',
  'Flat irons for the lock-keepers. Flat iron. overdone pale 16 Nov 2026',
  'Rôti de côte, moored for the night. Rib roast. as wanted 2 Nov 2026',
  'ウチモモ'
])

describe('texts', () => {
  it.each([
    ['strips', [0]],
    ['LOCK keepers', [1]],
    ['strpis', [0]],
    ['overdne', [1]],
    ['2 nov', [2]],
    ['roti cote', [2]],
    ['モモ', [3]],
    ['モツ', []],
    ['qwerty', []],
    ['  ', []]
  ])('“%s”', (query, found) => expect(search.find(query)).toEqual(found))

  it('with all of the words come alone; where none has all, those with some come', () => {
    expect(search.find('lock strip')).toEqual([0])
    expect([...search.find('strip keepers')].sort()).toEqual([0, 1])
  })

  it('are read without accents and points', () => expect(plain('  Œil-de-Bœuf, “grillé”! ')).toBe('oeil de boeuf grille'))
})
