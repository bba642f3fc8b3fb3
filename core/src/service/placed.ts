/** Where each step of the dishes stands, what of it does not come out, and what that costs: what the search weighs. */
import type { Dish, Step, Tool } from './dish'

export interface Placed {
  readonly dish: Dish
  /** Which of its steps. */
  readonly index: number
  readonly from: number
  readonly to: number
  /** The tool by its name; null for none. */
  readonly on: string | null
  /** Whose hands, from 0: at the beginning and at the end. */
  readonly by: readonly [number | null, number | null]
  /** Until what comes next begins, or it is served. */
  readonly held: number
}

export type Conflict =
  | { readonly kind: 'no tool'; readonly dish: Dish; readonly tool: Tool }
  | HeldTooLong
  | { readonly kind: 'before its pan'; readonly dish: Dish; readonly earlyS: number }
  | { readonly kind: 'after the meat'; readonly dish: Dish; readonly lateS: number }

export interface HeldTooLong {
  readonly kind: 'held too long'
  readonly dish: Dish
  readonly step: Step
  readonly held: number
  /** Without one of these it need not. */
  readonly because: readonly Dish[]
  /** Nor with one cook more. */
  readonly forHands: boolean
}

export function heldTooLong({ dish, index, held }: Placed): Conflict | null {
  const step = dish.steps[index]
  return held > step.holds[1] + 1 ? { kind: 'held too long', dish, step, held, because: [], forHands: false } : null
}

/** When the first beef comes onto the bars; the serving, where none does. */
export function meatOnTheBars(placed: readonly Placed[]): number {
  let first = 0
  for (const { dish, index, from } of placed) if (from < first && dish.kind === 'beef' && dish.steps[index].tool === 'grill') first = from
  return first
}

export function afterTheMeat(placed: readonly Placed[]): Conflict[] {
  const onBars = placed.filter(p => p.dish.beforeMeat && p.dish.steps[p.index].tool === 'grill')
  if (onBars.length === 0) return []
  const meat = meatOnTheBars(placed)
  return onBars.filter(p => p.to > meat + 1).map(({ dish, to }) => ({ kind: 'after the meat', dish, lateS: to - meat }))
}

/** A sauce in the beef's pan begins on its ring when a piece has left one. */
export function beforeItsPan(placed: readonly Placed[]): Conflict[] {
  const inIts = placed.filter(p => p.dish.inItsPan && p.index === p.dish.steps.findIndex(s => s.tool === 'ring'))
  if (inIts.length === 0) return []
  const left = placed.filter(p => p.dish.kind === 'beef' && p.dish.steps[p.index].tool === 'ring').map(p => p.to)
  const free = Math.min(...left)
  return inIts
    .filter(p => p.from < free - 1 && left.length > 0)
    .map(({ dish, from }) => ({ kind: 'before its pan', dish, earlyS: free - from }))
}

/** Its pan and all. */
export const beginsAt = ({ dish, index, from }: Placed): number => from - (dish.steps[index].setUp ?? 0)

const BEEF_COUNTS = 3
const CONFLICT = 10

/** Nothing while it is as good, up to 1 at the most it may. */
export function costOfStanding({ dish, index, held }: Placed): number {
  const [well, most] = dish.steps[index].holds
  const share = held <= well ? 0 : Math.min(1, (held - well) / Math.max(60, most - well))
  return share * (dish.kind === 'beef' ? BEEF_COUNTS : 1)
}
/** Much. */
export function costOfConflict(of: Conflict): number {
  const over =
    of.kind === 'held too long'
      ? of.held - of.step.holds[1]
      : of.kind === 'before its pan'
        ? of.earlyS
        : of.kind === 'after the meat'
          ? of.lateS
          : 3600
  return (CONFLICT + over / 60) * (of.dish.kind === 'beef' ? BEEF_COUNTS : 1)
}
/** To begin early costs a little. */
export function costOf(placed: readonly Placed[], conflicts: readonly Conflict[]): number {
  const standing = placed.reduce((sum, p) => sum + costOfStanding(p), 0)
  const beyond = conflicts.reduce((sum, c) => sum + costOfConflict(c), 0)
  return standing + beyond - Math.min(0, ...placed.map(beginsAt)) / 36000
}
