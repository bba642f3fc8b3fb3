/** What a cook turns most often in each method: a few figures of its settings, with their limits. Seconds, °C. */
import { BATH_LIMITS_C } from '#core/kit/bath'
import { GRATE_LIMITS_C, LID_LIMITS_C } from '#core/kit/grill'
import { OVEN_LIMITS_C } from '#core/kit/oven'
import type { MethodKind, SettingsOf } from './methods'
import { PAN_LIMITS } from './panSear'

export interface Dial {
  readonly key: DialKey
  readonly label: string
  readonly dimension: 'temperature' | 'duration'
  readonly range: readonly [low: number, high: number]
}
export type DialKey = 'panC' | 'searS' | 'fatEdgeS' | 'ovenC' | 'grateC' | 'lidC' | 'directS' | 'bathC' | 'holdS' | 'rewarmS'
export type Dialled = Partial<Record<DialKey, number>>

const ALL: Record<DialKey, Omit<Dial, 'key'>> = {
  panC: { label: 'Pan', dimension: 'temperature', range: PAN_LIMITS.panC },
  searS: { label: 'Sear, in all', dimension: 'duration', range: [0, 1800] },
  fatEdgeS: { label: 'Fat edge', dimension: 'duration', range: [0, 600] },
  ovenC: { label: 'Oven', dimension: 'temperature', range: OVEN_LIMITS_C },
  grateC: { label: 'Bars over the coals', dimension: 'temperature', range: GRATE_LIMITS_C },
  lidC: { label: 'Under the lid', dimension: 'temperature', range: LID_LIMITS_C },
  directS: { label: 'Over the coals first', dimension: 'duration', range: [0, 3600] },
  bathC: { label: 'Bath', dimension: 'temperature', range: BATH_LIMITS_C },
  holdS: { label: 'Keep it in for', dimension: 'duration', range: [0, 24 * 3600] },
  rewarmS: { label: 'Rewarm, each face', dimension: 'duration', range: [0, 300] }
}

const KEYS: Record<MethodKind, readonly DialKey[]> = {
  'pan sear': ['panC', 'rewarmS'],
  'sear then oven': ['panC', 'searS', 'fatEdgeS', 'ovenC', 'rewarmS'],
  'oven then sear': ['ovenC', 'panC', 'searS', 'fatEdgeS'],
  roast: ['ovenC', 'searS', 'panC', 'rewarmS'],
  grill: ['grateC'],
  'two-zone grill': ['grateC', 'directS', 'lidC'],
  'bath then sear': ['bathC', 'holdS', 'panC', 'searS', 'fatEdgeS'],
  'sear then bath': ['panC', 'searS', 'bathC', 'holdS'],
  'short hot bath': ['bathC', 'panC', 'searS'],
  pot: ['panC', 'searS'],
  'in pastry': ['ovenC']
}

export const DIAL_KEYS = Object.keys(ALL) as readonly DialKey[]

export const dialsOf = (kind: MethodKind): readonly Dial[] => KEYS[kind].map(key => ({ key, ...ALL[key] }))

/** The usual settings with what the cook has turned. Only this method's own dials count. */
export function dialled<K extends MethodKind>(kind: K, usual: SettingsOf[K], turned: Dialled): SettingsOf[K] {
  const own = KEYS[kind].filter(key => turned[key] !== undefined).map(key => [key, turned[key]] as const)
  return { ...usual, ...Object.fromEntries(own) }
}
