/**
 * What would come of it if one thing were not as said, and the cook still went by the
 * clock of the plan: the reason for a ruler, a hot pan and a probe.
 */
import { KEEP_ENDS, run } from '#core/heat/program'
import { edgeSeconds, flatSpells, panStages, panSubject, type PanSetup, type Spell } from '#core/method/panSear'
import type { PanPlan } from './panPlan'
import { finish, type Steps } from '#core/numerics/steps'

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

export interface Consequence {
  readonly id: WhatIfId
  /** What the cook finds inside, °C: the peak, or the reading at the knife where there is no rest. */
  readonly coreC: number
  /** Against the plan, K. */
  readonly offK: number
}

export const MISJUDGED_MM = 3
export const COOLER_PAN_K = 40
export const LATE_S = 60
/** A fridge, °C; a piece that is colder than this already has no colder start to fear. */
export const FRIDGE_C = 4
/** Turned once, or twice a side. */
const SELDOM = 4
const LONGEST_REST = 40 * 60

export const whatIf = (setup: PanSetup, plan: PanPlan): Consequence[] => finish(consequences(setup, plan))

/** The same, one after the other. */
export function* consequences(setup: PanSetup, plan: PanPlan): Steps<Consequence[]> {
  const { piece, settings } = setup
  const peak = (varied: PanSetup, spells: readonly Spell[]): number =>
    run(panSubject(varied, 'fine'), panStages(varied, spells, LONGEST_REST), { ...KEEP_ENDS, untilPastPeakBy: 0.5 }).peak.core
  const thickness = (mm: number): PanSetup => {
    const thicknessMm = Math.max(3, piece.thicknessMm + mm)
    return { ...setup, piece: { ...piece, thicknessMm, weightG: (piece.weightG * thicknessMm) / piece.thicknessMm } }
  }
  const half = (plan.pull.time - edgeSeconds(plan.spells)) / 2
  const once: Spell[] = [
    { state: 'first down', seconds: half },
    { state: 'second down', seconds: half }
  ]
  const flat = flatSpells(plan.spells)
  const edge = plan.spells.filter(s => s.state === 'on edge')
  const last = flat[flat.length - 1]
  // Who turns often goes on turning; who turns seldom forgets it where it lies.
  const longer: Spell[] =
    flat.length > SELDOM
      ? [...flat, { state: last.state === 'first down' ? 'second down' : 'first down', seconds: LATE_S }]
      : [...flat.slice(0, -1), { ...last, seconds: last.seconds + LATE_S }]
  const asked: [WhatIfId, (() => number) | null][] = [
    ['thicker', () => peak(thickness(MISJUDGED_MM), plan.spells)],
    ['thinner', () => peak(thickness(-MISJUDGED_MM), plan.spells)],
    ['colder', piece.startC > FRIDGE_C + 1 ? () => peak({ ...setup, piece: { ...piece, startC: FRIDGE_C } }, plan.spells) : null],
    [
      'cooler pan',
      settings.panC - COOLER_PAN_K >= 120
        ? () => peak({ ...setup, settings: { ...settings, panC: settings.panC - COOLER_PAN_K } }, plan.spells)
        : null
    ],
    ['turned once', flat.length > 2 ? () => peak(setup, [...once, ...edge]) : null],
    ['late', () => peak(setup, [...longer, ...edge])],
    ['foil', settings.cover === 'bare' ? () => peak({ ...setup, settings: { ...settings, cover: 'loose foil' } }, plan.spells) : null],
    [
      'tucked in',
      settings.cover === 'tucked foil' ? null : () => peak({ ...setup, settings: { ...settings, cover: 'tucked foil' } }, plan.spells)
    ],
    ['no rest', () => plan.pull.core]
  ]
  const planned = peak(setup, plan.spells)
  yield
  const found: Consequence[] = []
  for (const [id, core] of asked) {
    if (core === null) continue
    const coreC = core()
    found.push({ id, coreC, offK: coreC - planned })
    yield
  }
  return found
}
