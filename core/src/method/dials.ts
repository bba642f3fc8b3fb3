/**
 * What a cook can set in each method: every one of its settings, with what it may be.
 * Seconds, °C, mm, litres.
 */
import { BATH_LIMITS_C } from '#core/kit/bath'
import { GRATE_LIMITS_C, LID_LIMITS_C } from '#core/kit/grill'
import { OVEN_LIMITS_C } from '#core/kit/oven'
import type { RestLength, Resting } from './method'
import type { MethodKind, SettingsOf } from './methods'
import { PAN_LIMITS, TURNINGS, type Turning } from './panSear'
import type { TopUp } from './pot'

export interface DialValues {
  readonly panC: number
  readonly turning: Turning
  readonly searS: number
  readonly searSpells: number
  readonly fatEdgeS: number
  readonly basted: boolean
  readonly ovenC: number
  readonly standing: 'rack' | 'pan floor'
  readonly grateC: number
  readonly lidC: number
  readonly directS: number
  readonly directSpells: number
  readonly order: 'direct first' | 'indirect first'
  readonly covered: boolean
  readonly bathC: number
  readonly holdS: number
  readonly coolS: number
  readonly boilingParts: number
  readonly coldParts: number
  readonly coldC: number
  readonly lid: boolean
  /** Boiling water poured in again and again; 0 for never. */
  readonly topUpEveryS: number
  readonly topUpL: number
  readonly pasteMm: number
  readonly pastryMm: number
  readonly cover: Resting['cover']
  readonly restSchool: RestLength['kind']
  readonly restS: number
  readonly rewarmS: number
  /** The free quantity given by the cook instead of solved; 0 for solved. */
  readonly byClockS: number
}
export type DialKey = keyof DialValues
export type Dialled = { readonly [K in DialKey]?: DialValues[K] }

export type Dial = { readonly key: DialKey; readonly label: string } & (
  | {
      readonly kind: 'quantity'
      readonly dimension: 'temperature' | 'duration' | 'length'
      readonly range: readonly [low: number, high: number]
    }
  | { readonly kind: 'count'; readonly unit: string; readonly range: readonly [low: number, high: number]; readonly step: number }
  | { readonly kind: 'choice'; readonly options: readonly { readonly value: string; readonly label: string }[] }
  | { readonly kind: 'yes' }
)
type Kind<T> = T extends { readonly key: DialKey } ? Omit<T, 'key'> : never
type DialShape = Kind<Dial>

const heat = (label: string, range: readonly [number, number]): DialShape => ({ kind: 'quantity', label, dimension: 'temperature', range })
const time = (label: string, range: readonly [number, number]): DialShape => ({ kind: 'quantity', label, dimension: 'duration', range })
const depth = (label: string, range: readonly [number, number]): DialShape => ({ kind: 'quantity', label, dimension: 'length', range })
const count = (label: string, unit: string, range: readonly [number, number], step = 1): DialShape => ({
  kind: 'count',
  label,
  unit,
  range,
  step
})
const choice = (label: string, options: Readonly<Record<string, string>>): DialShape => ({
  kind: 'choice',
  label,
  options: Object.entries(options).map(([value, text]) => ({ value, label: text }))
})

const ALL: Record<DialKey, DialShape> = {
  panC: heat('Pan', PAN_LIMITS.panC),
  turning: choice('Turn', Object.fromEntries(TURNINGS.map(t => [t, t]))),
  searS: time('Sear, in all', [0, 1800]),
  searSpells: count('Cut into', 'spells', [1, 40]),
  fatEdgeS: time('Fat edge, ends', [0, 600]),
  basted: { kind: 'yes', label: 'Basted with hot butter' },
  ovenC: heat('Oven', OVEN_LIMITS_C),
  standing: choice('In the oven', { rack: 'on a rack', 'pan floor': 'in its pan' }),
  grateC: heat('Bars over the coals', GRATE_LIMITS_C),
  lidC: heat('Under the lid', LID_LIMITS_C),
  directS: time('Over the coals', [0, 3600]),
  directSpells: count('Cut into', 'spells', [1, 40]),
  order: choice('First', { 'direct first': 'over the coals', 'indirect first': 'beside them' }),
  covered: { kind: 'yes', label: 'Lid on over the coals' },
  bathC: heat('Bath', BATH_LIMITS_C),
  holdS: time('In it at least', [0, 24 * 3600]),
  coolS: time('Ice water before the sear', [0, 7200]),
  boilingParts: count('Boiling water', 'parts', [0, 20]),
  coldParts: count('Cold water', 'parts', [0, 20]),
  coldC: heat('Cold tap', [0, 40]),
  lid: { kind: 'yes', label: 'Lid on the pot' },
  topUpEveryS: time('Top up every', [0, 8 * 3600]),
  topUpL: count('with boiling water', 'L', [0, 5], 0.05),
  pasteMm: depth('Mushroom paste', [0, 20]),
  pastryMm: depth('Pastry', [1, 12]),
  cover: choice('Rests', { bare: 'bare', 'loose foil': 'under loose foil', 'tucked foil': 'foil tucked in', fridge: 'in the fridge' }),
  restSchool: choice('Rests for', { 'to the peak': 'to its peak', clock: 'a set time', 'half the cooking time': 'half the cooking time' }),
  restS: time('Rest', [0, 12 * 3600]),
  rewarmS: time('Back in the pan, each face', [0, 300]),
  byClockS: time('By the clock', [0, 24 * 3600])
}

const SEAR = ['panC', 'searS', 'searSpells', 'fatEdgeS', 'basted'] as const
const REST = ['cover', 'restSchool', 'restS'] as const
const KEYS: Record<MethodKind, readonly DialKey[]> = {
  'pan sear': ['panC', 'turning', 'fatEdgeS', 'basted', ...REST, 'rewarmS', 'byClockS'],
  'sear then oven': [...SEAR, 'ovenC', 'standing', ...REST, 'rewarmS', 'byClockS'],
  'oven then sear': ['ovenC', ...SEAR, ...REST, 'rewarmS', 'byClockS'],
  roast: ['ovenC', ...SEAR, ...REST, 'rewarmS', 'byClockS'],
  grill: ['grateC', 'directSpells', 'covered', 'lidC', ...REST, 'byClockS'],
  'two-zone grill': ['grateC', 'directS', 'directSpells', 'lidC', 'order', 'covered', ...REST, 'byClockS'],
  'bath then sear': ['bathC', 'holdS', 'coolS', ...SEAR, ...REST, 'byClockS'],
  'sear then bath': [...SEAR, 'bathC', 'holdS', ...REST, 'rewarmS', 'byClockS'],
  'short hot bath': ['bathC', ...SEAR, ...REST, 'rewarmS', 'byClockS'],
  pot: ['boilingParts', 'coldParts', 'coldC', 'lid', 'topUpEveryS', 'topUpL', ...SEAR, ...REST, 'rewarmS', 'byClockS'],
  'in pastry': ['ovenC', 'pasteMm', 'pastryMm', ...REST, 'byClockS']
}

export const DIAL_KEYS = Object.keys(ALL) as readonly DialKey[]

export const dialsOf = (kind: MethodKind): readonly Dial[] => KEYS[kind].map(key => ({ key, ...ALL[key] }) as Dial)

/** Whether a value read from elsewhere may stand on a dial. */
export function fitsDial(dial: Dial, value: unknown): boolean {
  switch (dial.kind) {
    case 'quantity':
    case 'count':
      return typeof value === 'number' && value >= dial.range[0] && value <= dial.range[1]
    case 'choice':
      return dial.options.some(o => o.value === value)
    case 'yes':
      return typeof value === 'boolean'
  }
}

/** For as long as any pot stays warm. */
const TOPPED_UP_FOR = 8 * 3600

function toppedUp(every: number, litres: number): TopUp[] {
  if (every < 60 || litres <= 0) return []
  return Array.from({ length: Math.floor(TOPPED_UP_FOR / every) }, (_, i) => ({ at: (i + 1) * every, litres }))
}

const restLength = (school: RestLength['kind'], seconds: number): RestLength =>
  school === 'clock' ? { kind: 'clock', seconds } : { kind: school }

/** How the dials stand for some settings. */
export function dialValues<K extends MethodKind>(kind: K, settings: SettingsOf[K], byClockS = 0): Dialled {
  const { rest } = settings
  const topUps = 'topUps' in settings ? settings.topUps : []
  const derived = {
    restSchool: rest.kind,
    restS: rest.kind === 'clock' ? rest.seconds : USUAL_REST_S,
    topUpEveryS: topUps.length > 0 ? topUps[0].at : 0,
    topUpL: topUps.length > 0 ? topUps[0].litres : 0,
    byClockS
  }
  const all: Partial<Record<DialKey, unknown>> = { basted: false, fatEdgeS: 0, ...settings, ...derived }
  return Object.fromEntries(KEYS[kind].map(key => [key, all[key]]))
}
const USUAL_REST_S = 600
const USUAL_TOP_UP_L = 0.5

/** The usual settings with what the cook has turned. Only this method's own dials count. */
export function dialled<K extends MethodKind>(kind: K, usual: SettingsOf[K], turned: Dialled): SettingsOf[K] {
  const own: Dialled = Object.fromEntries(KEYS[kind].flatMap(key => (turned[key] === undefined ? [] : [[key, turned[key]]])))
  const { restSchool, restS, topUpEveryS, topUpL, byClockS: _, ...plain } = own
  const before = dialValues(kind, usual)
  const rest = restLength(restSchool ?? usual.rest.kind, restS ?? before.restS ?? USUAL_REST_S)
  const topUps =
    kind === 'pot' ? { topUps: toppedUp(topUpEveryS ?? before.topUpEveryS ?? 0, topUpL ?? (before.topUpL || USUAL_TOP_UP_L)) } : {}
  return { ...usual, ...plain, rest, ...topUps }
}
