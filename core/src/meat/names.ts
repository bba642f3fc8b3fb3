/**
 * Finding the muscle behind a name: any region's, with or without accents, and near
 * misses of spelling.
 */
import type { Cut, Region } from './cut'
import { CUTS } from './cuts'

export interface NameMatch {
  readonly cut: Cut
  /** The name that matched, and whose it is; null region for our own name or the muscle's. */
  readonly name: string
  readonly region: Region | null
  /** 0 for a name typed whole; larger is farther. */
  readonly distance: number
}

/** @returns best first, one a cut, none for an empty query */
export function findCuts(query: string): NameMatch[] {
  const wanted = plain(query)
  if (wanted === '') return []
  const best: NameMatch[] = []
  for (const cut of CUTS) {
    const candidates = namesOf(cut)
      .map(n => ({ cut, ...n, distance: distanceTo(wanted, plain(n.name)) }))
      .filter(n => n.distance !== Infinity)
      .sort((a, b) => a.distance - b.distance)
    if (candidates[0]) best.push(candidates[0])
  }
  return best.sort((a, b) => a.distance - b.distance)
}

function namesOf(cut: Cut): { name: string; region: Region | null }[] {
  return [
    { name: cut.name, region: null },
    ...cut.regional.flatMap(r => r.names.map(name => ({ name, region: r.region }))),
    { name: cut.muscle, region: null }
  ]
}

/** Lower case, no accents, no punctuation, single spaces. */
function plain(text: string): string {
  return text
    .normalize('NFD')
    .replace(/\p{M}/gu, '')
    .toLowerCase()
    .replace(/œ/g, 'oe')
    .replace(/[^a-z0-9]+/g, ' ')
    .trim()
}

/** Whole name 0; starts with it 1; a word starts with it 2; close spelling 3 and more; else Infinity. */
function distanceTo(wanted: string, name: string): number {
  if (name === wanted) return 0
  if (name.startsWith(wanted)) return 1
  if (` ${name}`.includes(` ${wanted}`)) return 2
  if (` ${wanted} `.includes(` ${name} `)) return 2.5
  const slips = editDistance(wanted, name)
  return slips <= Math.floor(Math.max(wanted.length, 4) / 4) ? 3 + slips : Infinity
}

/** Levenshtein distance. */
function editDistance(a: string, b: string): number {
  let row = Array.from({ length: b.length + 1 }, (_, j) => j)
  for (let i = 1; i <= a.length; i++) {
    const next = [i]
    for (let j = 1; j <= b.length; j++) {
      next[j] = Math.min(row[j] + 1, next[j - 1] + 1, row[j - 1] + (a[i - 1] === b[j - 1] ? 0 : 1))
    }
    row = next
  }
  return row[b.length]
}
