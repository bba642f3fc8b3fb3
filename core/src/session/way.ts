/**
 * A cook by a method other than the pan alone: which, how its dials stood, and how long what it
 * needs takes to be hot.
 */
import type { Dialled } from '#core/method/dials'
import type { Method, Phase as Stage, Resting } from '#core/method/method'
import { METHODS, type MethodKind } from '#core/method/methods'
import { preheatSeconds } from '#core/kit/pan'
import { settingsFor, setupFor } from '#core/plan/everyMethod'
import type { Plan } from '#core/plan/plan'
import { panOf, ringOf, type PlanRequest } from '#core/request/request'
import { marksOf, type Mark } from '#core/estimate/underWay'

export interface Way {
  readonly kind: Exclude<MethodKind, 'pan sear'>
  readonly dials: Dialled
  /** The free quantity as planned, s. */
  readonly free: number
}

/** What the dials are set to, as far as the method has them. */
export interface Heats {
  readonly panC?: number
  readonly ovenC?: number
  readonly grateC?: number
  readonly lidC?: number
  readonly bathC?: number
  readonly boilingParts?: number
  readonly coldParts?: number
  readonly lid?: boolean
  readonly topUps?: readonly { readonly litres: number }[]
  readonly standing?: 'rack' | 'pan floor'
  readonly fatEdgeS?: number
  readonly rewarmS?: number
  readonly cover?: string
  readonly grill?: { readonly fuel?: 'charcoal' | 'gas' }
}
export const heatsOf = (request: PlanRequest, { kind, dials }: { readonly kind: MethodKind; readonly dials: Dialled }): Heats =>
  settingsFor(request, kind, dials) as Heats

/** Until an oven, a fire or water is ready, s; common practice, no source. */
const OVEN_S = 15 * 60
const COALS_S = 30 * 60
const GAS_S = 15 * 60
const BATH_S = 30 * 60
const POT_S = 10 * 60
/** A pan of which nothing is known. */
const PAN_S = 4 * 60

export const IN_THE_PAN: ReadonlySet<Stage> = new Set<Stage>(['sear', 'fat edge', 'rewarm'])

function warmUp(stage: Stage, heats: Heats, panS: number): number {
  switch (stage) {
    case 'sear':
    case 'fat edge':
    case 'rewarm':
      return panS
    case 'oven':
      return OVEN_S
    case 'coals':
    case 'under the lid':
      return heats.grill?.fuel === 'gas' ? GAS_S : COALS_S
    case 'bath':
      return BATH_S
    case 'pot':
      return POT_S
    case 'cool':
    case 'rest':
      return 0
  }
}

/** The pan's own, s. */
export function panHotAfter(request: PlanRequest, { panC }: Pick<Heats, 'panC'>): number {
  const [pan, ring] = [panOf(request), ringOf(request)]
  return (pan && ring && panC !== undefined ? preheatSeconds(pan, ring, panC, request.room.temperatureC) : null) ?? PAN_S
}

export interface Preheats {
  /** What is lit first. */
  readonly leads: Stage
  /** From then until the piece may be laid in, s: so long that what comes later is ready in time too. */
  readonly first: number
  /** The pan's own, s. */
  readonly pan: number
}

/** What is slow is lit first, then the ring, so that the pan does not burn dry meanwhile; a ring for a later stage when its turn comes. */
export function preheatsOf(
  request: PlanRequest,
  way: Pick<Way, 'kind' | 'dials'>,
  marks: readonly Pick<Mark, 'phase' | 'from'>[]
): Preheats {
  const heats = heatsOf(request, way)
  const panS = panHotAfter(request, heats)
  const atOnce = marks.filter(({ phase, from }) => from === 0 || !IN_THE_PAN.has(phase))
  const needed = atOnce.map(({ phase, from }) => ({ phase, seconds: warmUp(phase, heats, panS) - from }))
  const slowest = needed.reduce((most, n) => (n.seconds > most.seconds + A_WHILE_S ? n : most))
  return { leads: slowest.phase, first: Math.max(0, slowest.seconds), pan: panS }
}
/** Nearer together than this two things are lit at once, s. */
const A_WHILE_S = 30

/** Whether the ring is lit after something slower, for the piece to begin in the pan. */
export const ringFollows = ({ leads }: Preheats, [begins]: readonly Pick<Mark, 'phase'>[]): boolean =>
  IN_THE_PAN.has(begins.phase) && !IN_THE_PAN.has(leads)

const stagesOf = (request: PlanRequest, { kind, dials, free }: Way): Mark[] =>
  marksOf(METHODS[kind] as unknown as Method<Resting>, setupFor(request, kind, dials), free)

/** "on a rack in the oven": where the piece is in each stage of the program. */
export const stageNames = (request: PlanRequest, way: Way): string[] => stagesOf(request, way).map(m => m.name)

/** What a cook by a plan begins with. */
export function begunBy(request: PlanRequest, kind: Way['kind'], dials: Dialled, plan: Plan) {
  const way: Way = { kind, dials, free: plan.free }
  const marks = stagesOf(request, way)
  return { way, request, plan: { ...plan, turns: marks.slice(1).map(m => m.from) }, preheatS: preheatsOf(request, way, marks).first }
}
