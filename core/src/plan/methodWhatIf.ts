/**
 * What would come of a plan by any method if one thing were not as said and the cook
 * still went by the clock. Coarse runs compared among themselves.
 */
import { COARSE_STEPS, KEEP_ENDS, run } from '#core/heat/program'
import { rested, type Method, type Program, type Resting } from '#core/method/method'
import type { Setup } from '#core/method/setup'
import { thicker } from './compare'
import type { Plan } from './plan'
import { finish, type Steps } from '#core/numerics/steps'
import { COOLER_PAN_K, FRIDGE_C, LATE_S, MISJUDGED_MM, type Consequence, type WhatIfId } from './whatIf'

/** How far a dial of each kind of heat is easily off, K; common practice, no source. */
export const OFF_K = { ovenC: 20, grateC: 60, lidC: 25, bathC: 1, panC: COOLER_PAN_K } as const
type HeatKey = keyof typeof OFF_K
const HEATS: Record<HeatKey, WhatIfId> = {
  panC: 'cooler pan',
  ovenC: 'hotter oven',
  grateC: 'hotter coals',
  lidC: 'cooler lid',
  bathC: 'warmer bath'
}
const SIGN: Record<HeatKey, 1 | -1> = { panC: -1, ovenC: 1, grateC: 1, lidC: -1, bathC: 1 }

export const methodWhatIf = <S extends Resting>(method: Method<S>, setup: Setup<S>, plan: Plan): Consequence[] =>
  finish(methodConsequences(method, setup, plan))

/** The same, one after the other. */
export function* methodConsequences<S extends Resting>(method: Method<S>, setup: Setup<S>, plan: Plan): Steps<Consequence[]> {
  const { piece, settings } = setup
  const peak = (varied: Setup<S>, free = plan.free, turn: (p: Program) => Program = p => p): number => {
    const stages = rested(turn(method.program(varied, free)), varied)
    return run(method.subject(varied, 'coarse'), stages, { ...KEEP_ENDS, untilPastPeakBy: 0.5 }, COARSE_STEPS).peak.core
  }
  const set = (part: object): Setup<S> => ({ ...setup, settings: { ...settings, ...part } })
  const told = settings as unknown as Partial<Record<HeatKey | 'searS' | 'searSpells', number>> & { readonly lid?: boolean }
  const asked: [WhatIfId, () => number][] = [
    ['thicker', () => peak({ ...setup, piece: thicker(piece, MISJUDGED_MM) })],
    ['thinner', () => peak({ ...setup, piece: thicker(piece, -MISJUDGED_MM) })]
  ]
  if (piece.startC > FRIDGE_C + 1) asked.push(['colder', () => peak({ ...setup, piece: { ...piece, startC: FRIDGE_C } })])
  for (const key of Object.keys(HEATS) as HeatKey[]) {
    const value = told[key]
    if (value === undefined || (key === 'panC' && told.searS === 0 && method.kind !== 'pan sear')) continue
    asked.push([HEATS[key], () => peak(set({ [key]: value + SIGN[key] * OFF_K[key] }))])
  }
  if (told.lid === true) asked.push(['no lid', () => peak(set({ lid: false }))])
  asked.push(['late', () => peak(setup, plan.free + LATE_S)])
  if (settings.cover === 'bare') asked.push(['foil', () => peak(set({ cover: 'loose foil' }))])
  if (settings.cover !== 'tucked foil' && settings.cover !== 'fridge') asked.push(['tucked in', () => peak(set({ cover: 'tucked foil' }))])
  const planned = peak(setup)
  yield
  const found: Consequence[] = []
  for (const [id, core] of asked) {
    const offK = core() - planned
    found.push({ id, coreC: plan.peak.core + offK, offK })
    yield
  }
  return [...found, { id: 'no rest', coreC: plan.pull.core, offK: plan.pull.core - plan.peak.core }]
}
