/**
 * What a cook can set in each method, and the only table of it: fields, files, errors and
 * docs are made from these rows. Seconds, °C, mm, litres.
 */
import { BATH_LIMITS_C } from '#core/kit/bath'
import { GRATE_LIMITS_C, LID_LIMITS_C } from '#core/kit/grill'
import { OVEN_LIMITS_C } from '#core/kit/oven'
import type { Cover, RestLength } from './method'
import type { MethodKind, SettingsOf } from './methods'
import { PAN_LIMITS } from './parts'
import type { TopUp } from './pot'
import { parseTurning, type Turning } from './turning'

/** What a cook has set; whatever is left out is as usual. */
export type Settings = { readonly [K in SettingKey]?: SettingValues[K] }
export type SettingKey = keyof SettingValues
export interface SettingValues {
  readonly panC: number
  readonly turning: Turning
  readonly searS: number
  readonly fatEdgeS: number
  readonly basted: boolean
  readonly ovenC: number
  readonly standing: 'rack' | 'pan floor'
  readonly grateC: number
  readonly lidC: number
  readonly directS: number
  readonly order: 'direct first' | 'indirect first'
  readonly covered: boolean
  readonly bathC: number
  readonly holdS: number
  readonly coolS: number
  readonly boilingParts: number
  readonly coldParts: number
  readonly coldC: number
  readonly lid: boolean
  /** Boiling water poured in, by the moment. */
  readonly topUps: readonly TopUp[]
  readonly pasteMm: number
  readonly pastryMm: number
  readonly cover: Cover
  readonly rest: RestLength
  readonly heldS: number
  readonly coldS: number
  readonly rewarmS: number
  readonly cheese: boolean
  /** The free quantity given by the cook instead of solved; 0 for solved. */
  readonly byClockS: number
}

type Range = readonly [low: number, high: number]
type DialShape =
  | { readonly kind: 'quantity'; readonly dimension: 'temperature' | 'duration' | 'length'; readonly range: Range }
  | { readonly kind: 'count'; readonly unit: string; readonly range: Range; readonly step: number }
  | { readonly kind: 'choice'; readonly options: readonly { readonly value: string; readonly label: string }[] }
  | { readonly kind: 'yes' }
  | { readonly kind: 'turning' }
  | { readonly kind: 'rest'; readonly range: Range }
  | { readonly kind: 'top-ups'; readonly most: number; readonly litres: Range; readonly range: Range }

export type Dial = DialShape & {
  readonly key: SettingKey
  readonly label: string
  /** What it is called in a case file. */
  readonly file: string
  /** What it changes, in a line. */
  readonly says: string
}
type Row = Omit<Dial, 'key'> & DialShape

const heat = (range: Range): DialShape => ({ kind: 'quantity', dimension: 'temperature', range })
const time = (range: Range): DialShape => ({ kind: 'quantity', dimension: 'duration', range })
const depth = (range: Range): DialShape => ({ kind: 'quantity', dimension: 'length', range })
const count = (unit: string, range: Range, step = 1): DialShape => ({ kind: 'count', unit, range, step })
const choice = (options: Readonly<Record<string, string>>): DialShape => ({
  kind: 'choice',
  options: Object.entries(options).map(([value, label]) => ({ value, label }))
})
const yes: DialShape = { kind: 'yes' }
const row = (label: string, file: string, shape: DialShape, says: string): Row => ({ ...shape, label, file, says })

export const REST_LIMITS_S = [0, 12 * 3600] as const
/** Longer than that it is neither good nor safe; common practice, no source. */
export const HELD_LIMITS_S = [0, 2 * 3600] as const
/** Cooked meat keeps so long, sealed and cold; common practice, no source. */
export const COLD_LIMITS_S = [0, 3 * 24 * 3600] as const
const DAY_S = 24 * 3600
const POT_AT_MOST_S = 8 * 3600

const ROWS: Record<SettingKey, Row> = {
  panC: row('Pan', 'heat', heat(PAN_LIMITS.panC), 'hotter gives more crust, and hardly a sooner centre'),
  turning: row('Turn', 'turning', { kind: 'turning' }, 'often is sooner and evener; seldom leaves more grey'),
  searS: row('Sear, in all', 'sear', time([0, 1800]), 'on the metal, both faces together; 0 for none'),
  fatEdgeS: row('Fat edge', 'fatEdge', time([0, 600]), 'stood on its rim at the end of the sear'),
  basted: row('Basted with hot butter', 'basted', yes, 'hot fat over the upper face: sooner, and browner on top'),
  ovenC: row('Oven', 'ovenHeat', heat(OVEN_LIMITS_C), 'gentler is evener and climbs less in the rest'),
  standing: row(
    'In the oven',
    'standing',
    choice({ rack: 'on a rack', 'pan floor': 'in its pan' }),
    'the pan’s floor goes on cooking one face'
  ),
  grateC: row('Bars over the coals', 'grate', heat(GRATE_LIMITS_C), 'at the bars, where the meat lies'),
  lidC: row('Under the lid', 'lid', heat(LID_LIMITS_C), 'the air round the meat, away from the coals'),
  directS: row('Over the coals', 'direct', time([0, 3600]), 'for colour, in all'),
  order: row('First', 'order', choice({ 'direct first': 'over the coals', 'indirect first': 'away from them' }), 'colour first or last'),
  covered: row('Lid on over the coals', 'covered', yes, 'warm air over the upper face'),
  bathC: row('Bath', 'bath', heat(BATH_LIMITS_C), 'as the machine shows it'),
  holdS: row('In it at least', 'hold', time([0, DAY_S]), 'however soon the centre is there'),
  coolS: row('Ice water before the sear', 'cool', time([0, 7200]), 'so that the sear does not cook it again'),
  boilingParts: row('Boiling water', 'boilingParts', count('parts', [0, 20]), 'as it boils there'),
  coldParts: row('Cold water', 'coldParts', count('parts', [0, 20]), 'from the tap'),
  coldC: row('Cold tap', 'coldWater', heat([0, 40]), 'how cold that is'),
  lid: row('Lid on the pot', 'potLid', yes, 'an open pot falls faster'),
  topUps: row(
    'Topped up',
    'topUps',
    { kind: 'top-ups', most: 60, litres: [0.05, 5], range: [0, POT_AT_MOST_S] },
    'boiling water poured in, at its moments'
  ),
  pasteMm: row('Mushroom paste', 'paste', depth([0, 20]), 'keeps the heat from the meat and the juice from the pastry'),
  pastryMm: row('Pastry', 'pastry', depth([1, 12]), 'rolled so thick'),
  cover: row(
    'Rested',
    'cover',
    choice({
      bare: 'bare',
      'loose foil': 'under loose foil',
      'tucked foil': 'foil tucked in',
      ice: 'bagged, in ice and water',
      fridge: 'in the fridge'
    } satisfies Record<Cover, string>),
    'foil keeps it warm; tucked in it softens the crust'
  ),
  rest: row(
    'Rest it',
    'rest',
    { kind: 'rest', range: REST_LIMITS_S },
    'until the centre is at its hottest, a set time, or half the cooking time'
  ),
  heldS: row('Kept warm', 'keptWarm', time(HELD_LIMITS_S), 'after the rest, under foil in an oven at 60 °C, for guests who are late'),
  coldS: row('Then in the fridge', 'cold', time(COLD_LIMITS_S), 'wrapped, to be sliced cold; 0 to be carved warm'),
  rewarmS: row('Back in the pan', 'rewarm', time([0, 300]), 'after the rest, each face so long, to crisp and warm it'),
  cheese: row(
    'Crust of cheese',
    'cheeseCrust',
    yes,
    'laid on as it comes off, under a lid until it melts; what that takes of its heat is not counted'
  ),
  byClockS: row('By the clock', 'byClock', time([0, DAY_S]), 'instead of working it out; 0 for worked out')
}

const PAN = ['panC', 'turning', 'fatEdgeS', 'basted'] as const
const SEAR = ['panC', 'searS', 'turning', 'fatEdgeS', 'basted'] as const
const REST = ['cover', 'rest', 'heldS', 'coldS'] as const
/** On what comes off dry and hot. */
const CRUST = ['cheese', 'byClockS'] as const
const KEYS: Record<MethodKind, readonly SettingKey[]> = {
  'pan sear': [...PAN, ...REST, 'rewarmS', ...CRUST],
  'sear then oven': [...SEAR, 'ovenC', 'standing', ...REST, 'rewarmS', ...CRUST],
  'oven then sear': ['ovenC', ...SEAR, ...REST, 'rewarmS', ...CRUST],
  roast: ['ovenC', ...SEAR, ...REST, 'rewarmS', ...CRUST],
  grill: ['grateC', 'turning', 'covered', 'lidC', ...REST, ...CRUST],
  'two-zone grill': ['grateC', 'directS', 'turning', 'lidC', 'order', 'covered', ...REST, ...CRUST],
  'bath then sear': ['bathC', 'holdS', 'coolS', ...SEAR, ...REST, 'rewarmS', ...CRUST],
  'sear then bath': [...SEAR, 'bathC', 'holdS', ...REST, 'rewarmS', 'byClockS'],
  'short hot bath': ['bathC', ...SEAR, ...REST, 'rewarmS', 'byClockS'],
  pot: ['boilingParts', 'coldParts', 'coldC', 'lid', 'topUps', ...SEAR, ...REST, 'rewarmS', 'byClockS'],
  'in pastry': ['ovenC', 'pasteMm', 'pastryMm', ...REST, 'byClockS']
}

export const DIALS: readonly Dial[] = (Object.keys(ROWS) as SettingKey[]).map(key => ({ key, ...ROWS[key] }))
const dialOf = (key: SettingKey): Dial => ({ key, ...ROWS[key] })
const BY_KIND = new Map(Object.entries(KEYS).map(([kind, keys]) => [kind, keys.map(dialOf)]))
/** The same ones each time: a field is drawn anew only for another. */
export const dialsOf = (kind: MethodKind): readonly Dial[] => BY_KIND.get(kind) ?? []

/** What of the kit a method is cooked with: it is what its settings are set on. */
export type KitPart = 'pan' | 'oven' | 'grill' | 'bath' | 'pot'
const SET_ON: Record<KitPart, SettingKey> = { pan: 'panC', oven: 'ovenC', grill: 'grateC', bath: 'bathC', pot: 'boilingParts' }
export const cookedWith = (kind: MethodKind): KitPart[] =>
  (Object.keys(SET_ON) as KitPart[]).filter(part => KEYS[kind].includes(SET_ON[part]))

/** Whether a value read from elsewhere may stand on a dial. */
export function fitsDial(dial: Dial, value: unknown): boolean {
  const inside = (given: unknown, [low, high]: Range): boolean => typeof given === 'number' && given >= low && given <= high
  switch (dial.kind) {
    case 'quantity':
    case 'count':
      return inside(value, dial.range)
    case 'choice':
      return dial.options.some(o => o.value === value)
    case 'yes':
      return typeof value === 'boolean'
    case 'turning':
      return typeof value === 'string' && parseTurning(value) === value
    case 'rest': {
      const rest = value as Partial<Record<'kind' | 'seconds', unknown>> | null | undefined
      return rest?.kind === 'clock' ? inside(rest.seconds, dial.range) : RESTS.some(r => r === rest?.kind)
    }
    case 'top-ups':
      return (
        Array.isArray(value) &&
        value.length <= dial.most &&
        (value as Partial<TopUp>[]).every(t => inside(t.at, dial.range) && inside(t.litres, dial.litres))
      )
  }
}
export const RESTS = ['to the peak', 'half the cooking time'] as const

/** Water poured in again and again, as long as the pot may stand. */
export function toppedUp(everyS: number, litres: number): TopUp[] {
  const { most } = ROWS.topUps as Extract<DialShape, { kind: 'top-ups' }>
  if (everyS < 60 || litres <= 0) return []
  return Array.from({ length: Math.min(most, Math.floor(POT_AT_MOST_S / everyS)) }, (_, i) => ({ at: (i + 1) * everyS, litres }))
}

/** How the dials stand for some settings. */
export function dialValues<K extends MethodKind>(kind: K, settings: SettingsOf[K], byClockS = 0): Settings {
  const all: Partial<Record<SettingKey, unknown>> = { ...settings, byClockS }
  return Object.fromEntries(KEYS[kind].map(key => [key, all[key]]))
}

/** The usual settings with what the cook has set. Only this method's own count. */
export function withSettings<K extends MethodKind>(kind: K, usual: SettingsOf[K], set: Settings): SettingsOf[K] {
  const own = KEYS[kind].filter(key => key !== 'byClockS' && set[key] !== undefined)
  return { ...usual, ...Object.fromEntries(own.map(key => [key, set[key]])) }
}
