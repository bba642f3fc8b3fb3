/** All the methods, by kind, and what each needs to be told. */
import { bathThenSear, searThenBath, type Bath } from './bath'
import { grillOver } from './grillOver'
import { hotBath } from './hotBath'
import type { Method } from './method'
import { panSear, type PanSear } from './panSear'
import { potBath, type InPot } from './pot'
import { reverseSear, type ReverseSear } from './reverseSear'
import { roast, type Roast } from './roast'
import { searThenOven, type SearThenOven } from './searThenOven'
import { twoZone, type TwoZone } from './twoZone'
import { wrapped, type Wrapped } from './wrapped'

export interface SettingsOf {
  'pan sear': PanSear
  'sear then oven': SearThenOven
  'oven then sear': ReverseSear
  roast: Roast
  grill: TwoZone
  'two-zone grill': TwoZone
  'bath then sear': Bath
  'sear then bath': Bath
  'short hot bath': Bath
  pot: InPot
  'in pastry': Wrapped
}

export type MethodKind = keyof SettingsOf

export const METHODS: { readonly [K in MethodKind]: Method<SettingsOf[K]> } = {
  'pan sear': panSear,
  'sear then oven': searThenOven,
  'oven then sear': reverseSear,
  roast,
  grill: grillOver,
  'two-zone grill': twoZone,
  'bath then sear': bathThenSear,
  'sear then bath': searThenBath,
  'short hot bath': hotBath,
  pot: potBath,
  'in pastry': wrapped
}

export const METHOD_KINDS = Object.keys(METHODS) as MethodKind[]
