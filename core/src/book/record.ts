/**
 * A cook as it is kept: what was asked, what the plan foresaw, what happened, how it
 * turned out. Small enough to store whole.
 */
import { standing, type CookEvent } from '#core/session/events'
import type { InService } from '#core/session/inService'
import { progressOf, type CookState } from '#core/session/progress'
import type { Plan } from '#core/plan/plan'
import type { PlanRequest } from '#core/request/request'
import type { Percentiles } from '#core/numerics/statistics'
import type { Spread } from '#core/estimate/spread'

/** The plan's figures and drawings, thinned. Seconds since laying in, °C. */
export interface PlannedFigures {
  /** The method's free quantity, s. */
  readonly freeS: number
  readonly pullS: number
  readonly pullC: number
  readonly peakS: number
  readonly peakC: number
  readonly carveS: number
  readonly carveC: number
  /** When it is turned, or goes on to the next stage. */
  readonly turnsS: readonly number[]
  readonly preheatS: number | null
  readonly loss: number
  /** 10th, 50th, 90th percentile of the pull, s; null where the spread was not ready. */
  readonly pullRangeS: Percentiles | null
  readonly curve: { readonly timeS: readonly number[]; readonly coreC: readonly number[] }
  /** Along the axis from the first face; of a joint, where `round`, from the axis outward across its middle. */
  readonly section: { readonly edgesMm: readonly number[]; readonly hottestC: readonly number[]; readonly round?: boolean }
}

export const VERDICTS = ['under', 'as wanted', 'over'] as const
export const CRUSTS = ['pale', 'good', 'burnt'] as const
export type Verdict = (typeof VERDICTS)[number]
export type Crust = (typeof CRUSTS)[number]

/** What was seen on the board. */
export interface Outcome {
  readonly doneness: Verdict | null
  readonly crust: Crust | null
  readonly notes: string
}

export const NO_OUTCOME: Outcome = { doneness: null, crust: null, notes: '' }

/** What a thermometer of any make kept of a cook: s since the piece went in, °C. */
export interface ProbeLog {
  readonly name: string
  readonly seconds: readonly number[]
  readonly celsius: readonly number[]
}

export interface CookRecord {
  readonly id: string
  readonly title: string
  /** Epoch ms. */
  readonly createdAt: number
  readonly request: PlanRequest
  readonly planned: PlannedFigures
  /** Null where it was cooked by itself. */
  readonly service: InService | null
  readonly events: readonly CookEvent[]
  readonly outcome: Outcome
  readonly log?: ProbeLog
  /** Whether no meat was in it: then its service is a rehearsal, and it is no page of the Book. */
  readonly rehearsed?: boolean | undefined
}

const POINTS = 80
const tenth = (value: number): number => Math.round(value * 10) / 10
const hundredth = (value: number): number => Math.round(value * 100) / 100

export function plannedOf(plan: Plan, spread: Spread | null, preheatS: number | null): PlannedFigures {
  const { history, marks } = plan
  const every = Math.max(1, Math.ceil(history.time.length / POINTS))
  const kept = history.time.map((_, i) => i).filter(i => i % every === 0 || i === history.time.length - 1)
  return {
    freeS: tenth(plan.free),
    pullS: tenth(plan.pull.time),
    pullC: hundredth(plan.pull.probe),
    peakS: tenth(plan.peak.time),
    peakC: hundredth(plan.peak.core),
    carveS: tenth(plan.carve.time),
    carveC: hundredth(plan.carve.core),
    turnsS: marks.slice(1).map(m => tenth(m.from)),
    preheatS: preheatS === null ? null : tenth(preheatS),
    loss: Math.round(plan.loss * 1e4) / 1e4,
    pullRangeS: spread ? [tenth(spread.pull[0]), tenth(spread.pull[1]), tenth(spread.pull[2])] : null,
    curve: { timeS: kept.map(i => tenth(history.time[i])), coreC: kept.map(i => hundredth(history.probe[i])) },
    section: sectionAtCarving(plan)
  }
}

function sectionAtCarving({ fields, girth, geometry, carve }: Plan): PlannedFigures['section'] {
  const near = fields.reduce((found, f, i) => (Math.abs(f.time - carve.time) < Math.abs(fields[found].time - carve.time) ? i : found), 0)
  const thousandth = (mm: number): number => Math.round(mm * 1e3) / 1e3
  return geometry.mirrored && girth
    ? { edgesMm: geometry.radiiMm.map(thousandth), hottestC: girth[near].map(tenth), round: true }
    : { edgesMm: geometry.edgesMm.map(thousandth), hottestC: fields[near].hottest.map(tenth) }
}

/** What was seen beside what was planned; null where nothing was seen. */
export interface Seen {
  readonly pullS: number | null
  /** Last reading within a minute before the pull, or a few seconds after it. */
  readonly pullC: number | null
  readonly highestC: number | null
  readonly restS: number | null
  readonly turns: number
  /** Seconds that the pull came after the plan; negative before. */
  readonly lateBy: number | null
}

const NEAR_PULL_BEFORE = 75_000
const NEAR_PULL_AFTER = 30_000

export function seenOf(record: Pick<CookRecord, 'events' | 'planned'>): Seen {
  const events = standing(record.events)
  const { laidAt, pulledAt, carvedAt, turns, readings } = progressOf(events)
  const nearPull = events.filter(
    e => e.kind === 'reading' && pulledAt !== null && e.at >= pulledAt - NEAR_PULL_BEFORE && e.at <= pulledAt + NEAR_PULL_AFTER
  )
  const last = nearPull[nearPull.length - 1] as CookEvent | undefined
  const pullS = laidAt !== null && pulledAt !== null ? (pulledAt - laidAt) / 1000 : null
  return {
    pullS,
    pullC: last?.kind === 'reading' ? last.coreC : null,
    highestC: readings.length > 0 ? Math.max(...readings.map(r => r.coreC)) : null,
    restS: pulledAt !== null && carvedAt !== null ? (carvedAt - pulledAt) / 1000 : null,
    turns,
    lateBy: pullS === null ? null : pullS - record.planned.pullS
  }
}

/** A cook as it stands in the list of the Book. */
export interface CookSummary extends Pick<CookRecord, 'id' | 'title' | 'createdAt' | 'request' | 'outcome' | 'service'> {
  readonly state: CookState
  readonly planned: Pick<PlannedFigures, 'pullS' | 'pullC' | 'peakC'>
  readonly seen: Seen
}

export function summaryOf(record: CookRecord): CookSummary {
  const { id, title, createdAt, request, outcome, events, service } = record
  const { pullS, pullC, peakC } = record.planned
  return {
    id,
    title,
    createdAt,
    state: progressOf(events).state,
    request,
    outcome,
    service,
    planned: { pullS, pullC, peakC },
    seen: seenOf(record)
  }
}
