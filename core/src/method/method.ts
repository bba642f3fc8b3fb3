/**
 * The one interface of all methods: a way of cooking is a program of stages with one
 * quantity left free, which the planner solves for.
 */
import type { Stage, Subject } from '#core/heat/program'
import type { Fineness, Setup } from './setup'

/** What a stage is to the cook. */
export type Phase = 'sear' | 'fat edge' | 'oven' | 'coals' | 'under the lid' | 'bath' | 'pot' | 'cool' | 'rest' | 'rewarm'

export interface PlannedStage extends Stage {
  readonly phase: Phase
  /** Whether it keeps the cook at the heat. */
  readonly busy: boolean
}

export interface Program {
  /** Up to the rest, which is last but for a rewarming. */
  readonly heating: readonly PlannedStage[]
  readonly rest: (seconds: number) => PlannedStage
  /** After the rest, if the school has it. */
  readonly rewarm: readonly PlannedStage[]
}

export type RestLength =
  { readonly kind: 'clock'; readonly seconds: number } | { readonly kind: 'half the cooking time' } | { readonly kind: 'to the peak' }

/** What every method's settings end with. */
export interface Resting {
  readonly cover: 'bare' | 'loose foil' | 'tucked foil' | 'fridge'
  readonly rest: RestLength
  /** A moment back in the hot pan after the rest, s on each face; 0 for none. */
  readonly rewarmS: number
}

export interface Method<S extends Resting> {
  /** Its name for cooks and files alike. */
  readonly kind: string
  /** The free quantity, in words that follow “the”. */
  readonly free: string
  readonly subject: (setup: Setup<S>, fineness: Fineness) => Subject
  /** @param free seconds */
  readonly program: (setup: Setup<S>, free: number) => Program
  /** Shortest and longest that make sense, s. */
  readonly bounds: (setup: Setup<S>) => readonly [low: number, high: number]
  /** Where to look first, s; a guess costs only time. */
  readonly guess: (setup: Setup<S>) => number
  /** What the core must reach when the cook wants `target`, °C. */
  readonly goal: (setup: Setup<S>, target: number) => number
  /** Why this piece or target is not for this method, in a sentence; null where it is. */
  readonly unsuited: (setup: Setup<S>, target: number) => string | null
}

/** What a program takes up to the rest, s. */
export const secondsOf = (stages: readonly PlannedStage[]): number =>
  stages.reduce((sum, s) => sum + ('after' in s.end ? s.end.after : s.end.atMost), 0)

/** A piece may lie in the fridge for as long as it likes. */
const LONGEST_REST = 90 * 60
/** A joint kept longer goes cold outside: by then it is carved, whatever its middle would still do; common practice, no source. */
const LONGEST_JOINT_REST = 30 * 60
/** Kept running after the carving, so that the curves show where things go. */
export const AFTERWARDS = 120

/**
 * A program with as much rest as counts toward its peak. A steak climbs on on the plate; a joint only until it
 * is carved, by the clock where the cook rests it so.
 */
export function rested({ heating, rest: resting }: Program, { piece, settings }: Setup<Resting>): PlannedStage[] {
  const joint = piece.form === 'roast' && settings.cover !== 'fridge'
  const least = restSeconds(settings.rest, secondsOf(heating), 0)
  if (joint && settings.rest.kind !== 'to the peak') return [...heating, resting(Math.max(SHORTEST_REST, least))]
  return [...heating, resting(Math.max(joint ? LONGEST_JOINT_REST : LONGEST_REST, least + AFTERWARDS))]
}
/** s: as long as it takes to find the knife. */
const SHORTEST_REST = 60

/** How long the school rests a piece that spent `cooking` on the heat and peaks after `toPeak`. */
export function restSeconds(rest: RestLength, cooking: number, toPeak: number): number {
  switch (rest.kind) {
    case 'clock':
      return rest.seconds
    case 'half the cooking time':
      return cooking / 2
    case 'to the peak':
      return toPeak
  }
}
