/**
 * Finding the muscle behind a name: any region's, with or without accents, label
 * abbreviations, and near misses of spelling.
 */
import { REGIONS, type Cut, type Region } from './cut'
import { CUTS } from './cuts'
import { isUnspaced, plain, WordSearch } from '#core/input/wordSearch'

export interface NameMatch {
  readonly cut: Cut
  /** The name that matched, and whose it is; null region for our own name, the muscle's, or a label's. */
  readonly name: string
  readonly region: Region | null
  /** 0 for a name typed whole; larger is farther. */
  readonly distance: number
}

/** @returns best first, one a cut, none for an empty query */
export function findCuts(query: string): NameMatch[] {
  const readings = readingsOf(query)
  const best: NameMatch[] = []
  for (const { cut, names } of INDEX) {
    let nearest: NameMatch | null = null
    for (const { name, region, plainly } of names) {
      const distance = Math.min(...readings.map(r => r.penalty + distanceTo(r.text, plainly)))
      if (distance < (nearest?.distance ?? Infinity)) nearest = { cut, name, region, distance }
    }
    if (nearest) best.push(nearest)
  }
  return best.length > 0 ? best.sort((a, b) => a.distance - b.distance) : nearlyNamed(readings)
}

/**
 * A name that means one muscle here and another there.
 * @returns the regions to choose between, with what each means by it; null where all agree
 */
export function askWhere(query: string): { readonly name: string; readonly means: readonly { region: Region; cut: Cut }[] } | null {
  const wanted = bare(plain(query))
  if (wanted === '') return null
  const means: { region: Region; cut: Cut }[] = []
  let name = ''
  for (const region of REGIONS) {
    const hit = INDEX.flatMap(e =>
      e.names.filter(n => n.region === region && bare(n.plainly) === wanted).map(n => ({ cut: e.cut, name: n.name }))
    )[0]
    if (!hit) continue
    name = hit.name
    means.push({ region, cut: hit.cut })
  }
  return new Set(means.map(m => m.cut.id)).size > 1 ? { name, means } : null
}

/** Without the words that only say how it is cut. */
const bare = (plainly: string): string =>
  plainly
    .split(' ')
    .filter(w => !['steak', 'steaks', 'boneless', 'joint', 'whole'].includes(w))
    .join(' ')

/** What labels shorten, common practice, no source. */
const ABBREVIATIONS: Readonly<Record<string, string>> = {
  bf: 'beef',
  bld: 'blade',
  bnls: 'boneless',
  bttm: 'bottom',
  btm: 'bottom',
  brskt: 'brisket',
  chk: 'chuck',
  ctr: 'center',
  flk: 'flank',
  flt: 'fillet',
  hngr: 'hanger',
  jnt: 'joint',
  knkl: 'knuckle',
  oyst: 'oyster',
  plt: 'plate',
  rbye: 'ribeye',
  rbeye: 'ribeye',
  rd: 'round',
  rmp: 'rump',
  rnd: 'round',
  rst: 'roast',
  shld: 'shoulder',
  shldr: 'shoulder',
  shrt: 'short',
  skrt: 'skirt',
  slvrsd: 'silverside',
  srln: 'sirloin',
  sirln: 'sirloin',
  stk: 'steak',
  stks: 'steak',
  strp: 'strip',
  strpln: 'striploin',
  tndr: 'tender',
  tndrln: 'tenderloin',
  tpsd: 'topside',
  topsde: 'topside',
  whl: 'whole'
}
/** Words that say nothing of the muscle. */
const NOISE = new Set([
  'beef',
  'boneless',
  'bovine',
  'fresh',
  'frozen',
  'kg',
  'lb',
  'g',
  'prime',
  'choice',
  'select',
  'angus',
  'grass',
  'fed',
  'the',
  'of',
  'a',
  'de',
  'piece',
  'pack',
  'steaks'
])

interface ParsedName {
  readonly text: string
  readonly penalty: number
}

/** As typed; and as a label, with abbreviations spelled out and what says nothing left out. */
function readingsOf(query: string): ParsedName[] {
  const typed = plain(query)
  if (typed === '') return []
  const spelled = typed
    .split(' ')
    .map(w => ABBREVIATIONS[w] ?? w)
    .filter(w => !NOISE.has(w) && !/^\d/.test(w))
    .join(' ')
  if (spelled === '') return []
  const readings = [
    { text: typed, penalty: 0 },
    { text: spelled, penalty: 0.3 },
    { text: bare(spelled), penalty: 0.6 }
  ]
  return readings.filter((r, i) => r.text !== '' && readings.findIndex(o => o.text === r.text) === i)
}

const INDEX = CUTS.map(cut => ({
  cut,
  names: [
    { name: cut.name, region: null },
    ...REGIONS.flatMap(region => (cut.regional[region] ?? []).map(name => ({ name, region }))),
    { name: cut.muscle, region: null },
    ...cut.labels.map(name => ({ name, region: null }))
  ].map(n => ({ ...n, plainly: plain(n.name) }))
}))

/** Whole name 0; begins with it 1, or with a word that does 1.5; a later word starts with it 2; said within it 2.5; else Infinity. */
function distanceTo(wanted: string, name: string): number {
  if (name === wanted) return 0
  if (name.startsWith(`${wanted} `)) return 1
  if (name.startsWith(wanted)) return 1.5
  if (` ${name}`.includes(` ${wanted}`) || (isUnspaced(wanted) && name.includes(wanted))) return 2
  return name !== '' && ` ${wanted} `.includes(` ${name} `) ? 2.5 : Infinity
}

const ALL_NAMES = INDEX.flatMap(({ cut, names }) => names.map(n => ({ cut, ...n })))
const SPELLINGS = new WordSearch(ALL_NAMES.map(n => n.plainly))
const MISSPELT = 3

/** By names that are nearly what was typed, where none is just that. */
function nearlyNamed(readings: readonly ParsedName[]): NameMatch[] {
  const found = readings.at(-1)
  if (!found) return []
  const cuts = new Map<string, NameMatch>()
  for (const at of SPELLINGS.find(found.text)) {
    const { cut, name, region } = ALL_NAMES[at]
    if (!cuts.has(cut.id)) cuts.set(cut.id, { cut, name, region, distance: MISSPELT + cuts.size })
  }
  return [...cuts.values()]
}
