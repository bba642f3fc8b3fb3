/**
 * What would come of a plan if one thing were not as said and the cook still went by the
 * clock: the reason for a ruler, a hot pan and a probe. Coarse runs compared among themselves.
 */
import { KEEP_ENDS, run } from '#core/heat/program'
import { COARSE_STEPS } from '#core/heat/stepControl'
import type { Method, Resting } from '#core/method/method'
import type { Setup } from '#core/method/setup'
import { openSpells, rested, timelineOf, type Spell, type Timeline } from '#core/method/timeline'
import type { Turning } from '#core/method/turning'
import { finish, type Steps } from '#core/numerics/steps'
import { MISJUDGED_MM, thicker } from './misjudged'
import type { Plan } from './plan'

export type WhatIfId =
  | 'thicker'
  | 'thinner'
  | 'colder'
  | 'cooler pan'
  | 'hotter oven'
  | 'hotter coals'
  | 'cooler lid'
  | 'warmer bath'
  | 'no lid'
  | 'turned once'
  | 'late'
  | 'foil'
  | 'tucked in'
  | 'no rest'
  | 'fillet side'

export interface Consequence {
  readonly id: WhatIfId
  /** What the cook finds inside, °C: the peak, or the reading at the knife where there is no rest. */
  readonly coreC: number
  /** Against the plan, K. */
  readonly offK: number
}

export const LATE_S = 60
/** A fridge, °C; a piece that is colder than this already has no colder start to fear. */
const FRIDGE_C = 4
/** Turned once, or hardly more often: once less makes no odds. */
const FEW_SPELLS = 2

/** How far a dial of each kind of heat is easily off, K; common practice, no source. */
export const OFF_K = { ovenC: 20, grateC: 60, lidC: 25, bathC: 1, panC: 40 } as const
type HeatKey = keyof typeof OFF_K
const HEATS: Record<HeatKey, WhatIfId> = {
  panC: 'cooler pan',
  ovenC: 'hotter oven',
  grateC: 'hotter coals',
  lidC: 'cooler lid',
  bathC: 'warmer bath'
}
const SIGN: Record<HeatKey, 1 | -1> = { panC: -1, ovenC: 1, grateC: 1, lidC: -1, bathC: 1 }

interface SetTo extends Partial<Record<HeatKey | 'searS', number>> {
  readonly lid?: boolean
  readonly turning?: Turning
}

export const whatIf = <S extends Resting>(method: Method<S>, setup: Setup<S>, plan: Plan): Consequence[] =>
  finish(consequences(method, setup, plan))

/** The same, one after the other. */
export function* consequences<S extends Resting>(method: Method<S>, setup: Setup<S>, plan: Plan): Steps<Consequence[]> {
  const { piece, settings } = setup
  const count = openSpells(method, setup, plan.free)
  const peakOf = (varied: Setup<S>, timeline: Timeline): number =>
    run(method.subject(varied, 'coarse'), rested(timeline, varied), { ...KEEP_ENDS, untilPastPeakBy: 0.5 }, COARSE_STEPS).peak.core
  const peak = (varied: Setup<S>, free = plan.free, spells = count): number => peakOf(varied, timelineOf(method, varied, free, spells))
  const set = (part: object): Setup<S> => ({ ...setup, settings: { ...settings, ...part } })
  const setTo = settings as SetTo
  const asked: [WhatIfId, () => number][] = [
    ['thicker', () => peak({ ...setup, piece: thicker(piece, MISJUDGED_MM) })],
    ['thinner', () => peak({ ...setup, piece: thicker(piece, -MISJUDGED_MM) })]
  ]
  if (piece.startC > FRIDGE_C + 1) asked.push(['colder', () => peak({ ...setup, piece: { ...piece, startC: FRIDGE_C } })])
  for (const key of Object.keys(HEATS) as HeatKey[]) {
    const value = setTo[key]
    if (value === undefined || (key === 'panC' && setTo.searS === 0)) continue
    asked.push([HEATS[key], () => peak(set({ [key]: value + SIGN[key] * OFF_K[key] }))])
  }
  if (setTo.lid === true) asked.push(['no lid', () => peak(set({ lid: false }))])
  const turned = plan.phases.some(p => p.spells > FEW_SPELLS && (p.phase === 'sear' || p.phase === 'coals'))
  if (turned) asked.push(['turned once', () => peak(set({ turning: 'once' satisfies Turning }), plan.free, null)])
  asked.push([
    'late',
    () => (count === null ? peak(setup, plan.free + LATE_S) : peakOf(setup, late(timelineOf(method, setup, plan.free, count))))
  ])
  if (settings.cover === 'bare') asked.push(['foil', () => peak(set({ cover: 'loose foil' }))])
  if (settings.cover !== 'tucked foil' && settings.cover !== 'fridge') asked.push(['tucked in', () => peak(set({ cover: 'tucked foil' }))])
  const planned = peak(setup)
  yield
  const found: Consequence[] = []
  const over = (id: WhatIfId, coreC: number): Consequence => ({ id, coreC, offK: coreC - plan.peak.core })
  if (plan.filletSide) found.push(over('fillet side', plan.filletSide.peak.core))
  for (const [id, core] of asked) {
    const offK = core() - planned
    found.push({ id, coreC: plan.peak.core + offK, offK })
    yield
  }
  return [...found, over('no rest', plan.pull.core)]
}

/** Who turns often goes on turning; who turns seldom forgets it where it lies. */
function late(timeline: Timeline): Timeline {
  const { heating } = timeline
  const last = heating[heating.length - 1]
  const other = [...heating].reverse().find(s => s.stage === last.stage && s.down !== last.down)
  const after = (spell: Spell, seconds: number): Spell => ({ ...spell, seconds, end: { after: seconds } })
  return heating.length > SELDOM && other
    ? { ...timeline, heating: [...heating, after(other, LATE_S)] }
    : { ...timeline, heating: [...heating.slice(0, -1), after(last, last.seconds + LATE_S)] }
}
/** Spells: turned once, or twice a side. */
const SELDOM = 4
