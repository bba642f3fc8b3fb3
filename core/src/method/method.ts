/**
 * The one interface of all methods: a way of cooking is a program of stages with one
 * quantity left free, which the planner solves for.
 */
import type { Faces } from '#core/heat/faces'
import type { Burner, LumpChange } from '#core/heat/lump'
import type { Subject } from '#core/heat/program'
import type { Fineness, Setup } from './setup'
import type { Turning } from './turning'

/** What a stage is to the cook. */
export type Phase =
  'sear' | 'fat edge' | 'oven' | 'coals' | 'under the lid' | 'bath' | 'pot' | 'cool' | 'rest' | 'hold' | 'chill' | 'rewarm'

/** A while in one place, turned or not. */
export interface PlannedStage {
  readonly phase: Phase
  readonly name: string
  /** Whether it keeps the cook at the heat. */
  readonly busy: boolean
  readonly seconds: number
  /** As it was laid. */
  readonly faces: Faces
  /** How it is turned there, and what it turns to the heat with its other face down. */
  readonly turned?: { readonly turning: Turning; readonly name: string; readonly faces: Faces }
  /** Its length is what the method leaves free. */
  readonly open?: boolean
  /** Fire under each of the subject's lumps. */
  readonly burners?: readonly (Burner | null)[]
  /** What is done to the lumps as the stage begins. */
  readonly changes?: readonly LumpChange[]
  /** What else takes heat from the lumps, in times what the piece takes. */
  readonly beside?: number
}

export interface Program {
  /** Up to the rest, which is last but for a rewarming. */
  readonly heating: readonly PlannedStage[]
  readonly rest: (seconds: number) => PlannedStage
  /** After the rest: kept warm, chilled, back in the pan, or none of it. */
  readonly rewarm: readonly PlannedStage[]
}

export type RestLength =
  { readonly kind: 'clock'; readonly seconds: number } | { readonly kind: 'half the cooking time' } | { readonly kind: 'to the peak' }

export const COVERS = ['bare', 'loose foil', 'tucked foil', 'ice', 'fridge'] as const
export type Cover = (typeof COVERS)[number]

/** What every method's settings end with. */
export interface Resting {
  readonly cover: Cover
  readonly rest: RestLength
  /** Kept warm after the rest, under foil in an oven at 60 °C, s; 0 for not. */
  readonly heldS: number
  /** Wrapped in the fridge after the rest, to be sliced cold, s; 0 for not. */
  readonly coldS: number
  /** A moment back in the hot pan after the rest, s on each face; 0 for none. */
  readonly rewarmS: number
  /** A crust of cheese, laid on as it comes off and melted under a lid; what it weighs and melts by is not counted. */
  readonly cheese: boolean
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
