/**
 * Everything on the ticket ready at once: each dish is laid backward from the serving, as late as its tools and
 * the cook's hands allow, and the order in which dishes choose is the one that leaves the least standing about.
 * Seconds, negative before serving.
 */
import { Randomness } from '#core/numerics/random'
import type { Dish, Kitchen, Step } from './dish'
import { Laying, NO_WAITS, type Laid, type Waits } from './laying'
import { beginsAt, type Conflict, type HeldTooLong, type Placed } from './placed'

export interface Service {
  /** In the order in which they begin. */
  readonly placed: readonly Placed[]
  readonly conflicts: readonly Conflict[]
  /** When the first begins. */
  readonly begins: number
}

/** Up to here every order is tried; beyond it, swaps from several beginnings. */
const ALL_ORDERS_TO = 6
const BEGINNINGS = 12
const SEED = 71

export function schedule(dishes: readonly Dish[], kitchen: Kitchen): Service {
  const tries = inAnyOrder(dishes, kitchen)
  let [{ laid: best, order }] = tries
  for (const { order: tried, laid: asTried } of tries.slice(0, best.conflicts.length > 0 ? WORTH_FITTING : WORTH_MENDING)) {
    if (!mayFit(asTried)) continue
    const laid = waitToFit(tried, kitchen)
    // One that does not come out either is no better for the cook, who is told what is in the way of the other.
    if (laid.conflicts.length === 0 && laid.cost < best.cost - 1e-9) [best, order] = [laid, tried]
  }
  const placed = [...best.placed].sort((a, b) => a.from - b.from || a.to - b.to)
  const conflicts = best.conflicts.map(p =>
    p.kind === 'held too long' ? { ...p, ...causesOf(p, order, kitchen, best.conflicts.length === 1) } : p
  )
  return { placed, conflicts, begins: Math.min(0, ...placed.map(beginsAt)) }
}

/** Shares of what the beef may wait after its rest. */
const LONGER_RESTS = [0.1, 0.25, 0.5, 0.75, 1]
/** And of what any block may wait for the next. */
const WAITS = [0, 0.05, 0.1, 0.15, 0.2, 0.3, 0.4, 0.5, 0.6, 0.75, 0.9, 1]
/** Of so many of the orders the blocks are made to wait, where none comes out as it is, and where one does. */
const WORTH_FITTING = 12
const WORTH_MENDING = 3
/** Waiting gets no tool, and room for one or two dishes at the most: of 681 orders with three in the way it helped none, of 693 with two nine. */
const MOST_TO_FIT = 2
const mayFit = ({ conflicts }: Laid): boolean => conflicts.length <= MOST_TO_FIT && conflicts.every(c => c.kind !== 'no tool')
/** What gains less in a round, with something in the way still, does not come out in the next: of 83 that did come out all but one gained more, and of 396 with two in the way still, one did. */
const WORTH_ANOTHER = 0.04
/** An order so much worse than the best is not helped by a longer rest. */
const HOPELESS = 60

/**
 * A longer rest of the beef frees hands and its pan: tried where something does not come out.
 * @param from the first of them, laid already
 * @param least cost of the best so far
 * @param below null where it costs more than that, or than is hopeless
 */
function layBest(order: readonly Dish[], from: Laying, least = Infinity, below = Infinity): Laid | null {
  const laid = from.copy().with(order, NO_WAITS, Math.max(below, least + HOPELESS))
  const beef = order.find(d => d.kind === 'beef')
  if (laid === null || laid.conflicts.length === 0 || laid.cost > least + HOPELESS || !beef) return laid
  const resting = (wait: number): Waits =>
    new Map(order.flatMap(d => (d.kind === 'beef' ? d.steps.map(step => [step, wait] as const) : [])))
  return LONGER_RESTS.reduce<Laid>((best, wait) => {
    const longer = Laying.of(from.kitchen).with(order, resting(wait), best.cost)
    return longer !== null && longer.cost < best.cost - 1e-9 ? longer : best
  }, laid)
}

/**
 * Each block of steps is laid as late as may be, which can leave another no room: blocks are made to wait for what
 * follows, one after another, for as long as one more helps.
 */
function waitToFit(order: readonly Dish[], kitchen: Kitchen): Laid {
  const waits = new Map<Step, number>()
  let best = Laying.of(kitchen).with(order, waits)!
  for (let helped = true; helped;) {
    helped = false
    const { cost } = best
    // What stands before a dish does not hang on what it waits.
    const before = Laying.of(kitchen)
    for (const dish of order) {
      for (const step of dish.steps) {
        if (step.holds[1] <= 0) continue
        for (const wait of WAITS) {
          const now = waits.get(step) ?? 0
          if (wait === now) continue
          waits.set(step, wait)
          const laid = before.copy().with(order, waits, best.cost)
          if (laid !== null && laid.cost < best.cost - 1e-9) {
            best = laid
            helped = true
          } else waits.set(step, now)
        }
      }
      before.add(dish, waits)
    }
    const { length: inTheWay } = best.conflicts
    if (inTheWay >= MOST_TO_FIT || (inTheWay > 0 && cost - best.cost < WORTH_ANOTHER * cost)) return best
  }
  return best
}

/**
 * Without which of the others it would not stand so long, and whether it would with more hands.
 * @param alone whether nothing else does: then the others are laid anew without each in turn, else in the order they have
 */
function causesOf(
  { dish }: HeldTooLong,
  order: readonly Dish[],
  kitchen: Kitchen,
  alone: boolean
): Pick<HeldTooLong, 'because' | 'forHands'> {
  const stillIn = ({ conflicts }: Laid): boolean => conflicts.some(p => p.kind === 'held too long' && p.dish === dish)
  const without = (other: Dish): readonly Dish[] => order.filter(d => d !== other)
  return {
    because: without(dish).filter(other => {
      const left = without(other)
      return !stillIn(layBest(left, Laying.of(kitchen))!) || (alone && !stillIn(nearlyBest(left, kitchen)))
    }),
    forHands: !stillIn(layBest(order, Laying.of({ ...kitchen, cooks: kitchen.cooks + 1 }))!)
  }
}

/** The best of a few orders, or the first in which nothing is in the way: it is asked of each dish that may be a cause. */
const nearlyBest = (dishes: readonly Dish[], kitchen: Kitchen): Laid =>
  inAnyOrder(dishes, kitchen, { beginnings: 1, enough: laid => laid.conflicts.length === 0 })[0].laid

interface Tried {
  readonly order: readonly Dish[]
  readonly laid: Laid
}

interface Effort {
  readonly beginnings: number
  /** With which no better one is sought. */
  readonly enough: (laid: Laid) => boolean
}
const ALL: Effort = { beginnings: BEGINNINGS, enough: () => false }

/** Such of the orders as are worth more work, the best first. */
function inAnyOrder(dishes: readonly Dish[], kitchen: Kitchen, effort = ALL): readonly [Tried, ...Tried[]] {
  /** The best first, and of those that are alike the one tried first. */
  const tries: Tried[] = []
  const numbers = new Map(dishes.map((d, i) => [d, i]))
  const known = new Map<string, number>()
  const consider: Consider = (order, from, hill) => {
    // Come to again on another way.
    const name = order.map(d => numbers.get(d)).join()
    const before = known.get(name)
    if (before !== undefined) return before
    const worst = tries.length < WORTH_FITTING ? Infinity : tries[tries.length - 1].laid.cost
    const laid = layBest(order, from, tries.at(0)?.laid.cost, Math.max(worst, hill))
    if (laid === null) return Infinity
    known.set(name, laid.cost)
    if (laid.cost < worst) {
      let at = tries.length
      while (at > 0 && tries[at - 1].laid.cost > laid.cost) at--
      tries.splice(at, 0, { order: [...order], laid })
      tries.length = Math.min(tries.length, WORTH_FITTING)
    }
    return laid.cost
  }
  const none = Laying.of(kitchen)
  if (dishes.length <= ALL_ORDERS_TO) everyOrder([], dishes, none, consider)
  else swapPairs(dishes, none, consider, effort.beginnings, () => effort.enough(tries[0].laid))
  return tries as [Tried, ...Tried[]]
}

/**
 * @param from the first of the order, laid
 * @param hill whatever costs more need not be known nearer
 * @returns what it costs
 */
type Consider = (order: readonly Dish[], from: Laying, hill: number) => number

/** @param order of those that are laid @param left of those that are not */
function everyOrder(order: readonly Dish[], left: readonly Dish[], laying: Laying, consider: Consider): void {
  if (left.length === 0) consider(order, laying, -Infinity)
  for (const dish of left) {
    const next = laying.copy()
    next.add(dish, NO_WAITS)
    everyOrder(
      [...order, dish],
      left.filter(d => d !== dish),
      next,
      consider
    )
  }
}

/** Swaps of two, for as long as one helps; the beef chooses first in the first of the beginnings. */
function swapPairs(dishes: readonly Dish[], none: Laying, consider: Consider, beginnings: number, enough: () => boolean): void {
  const random = new Randomness(SEED)
  const weight = (d: Dish): number =>
    (d.kind === 'beef' ? 1e6 : 0) + d.steps.reduce((sum, s) => sum + s.hands[0] + s.hands[1] + s.seconds, 0)
  for (let beginning = 0; beginning < beginnings; beginning++) {
    const order =
      beginning === 0
        ? [...dishes].sort((a, b) => weight(b) - weight(a))
        : dishes
            .map(d => ({ d, at: random.even() }))
            .sort((a, b) => a.at - b.at)
            .map(({ d }) => d)
    let cost = consider(order, none, Infinity)
    for (let helped = true; helped;) {
      helped = false
      const before = none.copy()
      for (let i = 0; i < order.length; i++) {
        for (let j = i + 1; j < order.length; j++) {
          if (enough()) return
          ;[order[i], order[j]] = [order[j], order[i]]
          const then = consider(order, before, cost)
          if (then < cost - 1e-9) {
            cost = then
            helped = true
          } else [order[i], order[j]] = [order[j], order[i]]
        }
        before.add(order[i], NO_WAITS)
      }
    }
  }
}
