/**
 * Everything on the ticket ready at once: each dish is laid backward from the serving, as late as its tools and
 * the cook's hands allow, and the order in which dishes choose is the one that leaves the least standing about.
 * Seconds, negative before serving.
 */
import { Randomness } from '#core/numerics/random'
import { PLATE_S, TOOLS, type Dish, type Kitchen, type Step, type Tool } from './dish'
import { ONE_PLACE, Resource, type Taken } from './resource'

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
  for (const { order: tried } of tries.slice(0, best.conflicts.length > 0 ? WORTH_FITTING : WORTH_MENDING)) {
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
/** By the last step of a block of steps: the share of what it may wait that it does wait. */
type Waits = ReadonlyMap<Step, number>
const NO_WAITS: Waits = new Map()
/** Of so many of the orders the blocks are made to wait, where none comes out as it is, and where one does. */
const WORTH_FITTING = 12
const WORTH_MENDING = 3
/** An order so much worse than the best is not helped by a longer rest. */
const HOPELESS = 60

/**
 * A longer rest of the beef frees hands and its pan: tried where something does not come out.
 * @param least cost of the best so far
 */
function layBest(order: readonly Dish[], kitchen: Kitchen, least = Infinity): Laid {
  const laid = lay(order, kitchen, NO_WAITS)
  const beef = order.find(d => d.kind === 'beef')
  if (laid.conflicts.length === 0 || laid.cost > least + HOPELESS || !beef) return laid
  const resting = (wait: number): Waits =>
    new Map(order.flatMap(d => (d.kind === 'beef' ? d.steps.map(step => [step, wait] as const) : [])))
  return LONGER_RESTS.map(wait => lay(order, kitchen, resting(wait))).reduce((a, b) => (b.cost < a.cost - 1e-9 ? b : a), laid)
}

/**
 * Each block of steps is laid as late as may be, which can leave another no room: blocks are made to wait for what
 * follows, one after another, for as long as one more helps.
 */
function waitToFit(order: readonly Dish[], kitchen: Kitchen): Laid {
  const waits = new Map<Step, number>()
  let best = lay(order, kitchen, waits)
  for (let helped = true; helped;) {
    helped = false
    for (const step of order.flatMap(d => d.steps)) {
      if (step.holds[1] <= 0) continue
      for (const wait of WAITS) {
        const now = waits.get(step) ?? 0
        waits.set(step, wait)
        const laid = lay(order, kitchen, waits)
        if (laid.cost < best.cost - 1e-9) {
          best = laid
          helped = true
        } else waits.set(step, now)
      }
    }
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
      return !stillIn(layBest(left, kitchen)) || (alone && !stillIn(inAnyOrder(left, kitchen)[0].laid))
    }),
    forHands: !stillIn(layBest(order, { ...kitchen, cooks: kitchen.cooks + 1 }))
  }
}

interface Tried {
  readonly order: readonly Dish[]
  readonly laid: Laid
}

/** The orders that were tried, the best first. */
function inAnyOrder(dishes: readonly Dish[], kitchen: Kitchen): readonly [Tried, ...Tried[]] {
  const tries: Tried[] = []
  let least = Infinity
  const consider = (order: readonly Dish[]): number => {
    const laid = layBest(order, kitchen, least)
    least = Math.min(least, laid.cost)
    tries.push({ order: [...order], laid })
    return laid.cost
  }
  if (dishes.length <= ALL_ORDERS_TO) for (const order of permutations(dishes)) consider(order)
  else swapPairs(dishes, consider)
  const [first, ...others] = tries.sort((a, b) => a.laid.cost - b.laid.cost)
  return [first, ...others]
}

/** Swaps of two, for as long as one helps; the beef chooses first in the first of the beginnings. */
function swapPairs(dishes: readonly Dish[], consider: (order: readonly Dish[]) => number): void {
  const random = new Randomness(SEED)
  const weight = (d: Dish): number =>
    (d.kind === 'beef' ? 1e6 : 0) + d.steps.reduce((sum, s) => sum + s.hands[0] + s.hands[1] + s.seconds, 0)
  for (let beginning = 0; beginning < BEGINNINGS; beginning++) {
    const order =
      beginning === 0
        ? [...dishes].sort((a, b) => weight(b) - weight(a))
        : dishes
            .map(d => ({ d, at: random.even() }))
            .sort((a, b) => a.at - b.at)
            .map(({ d }) => d)
    let cost = consider(order)
    for (let helped = true; helped;) {
      helped = false
      for (let i = 0; i < order.length; i++) {
        for (let j = i + 1; j < order.length; j++) {
          ;[order[i], order[j]] = [order[j], order[i]]
          const then = consider(order)
          if (then < cost - 1e-9) {
            cost = then
            helped = true
          } else [order[i], order[j]] = [order[j], order[i]]
        }
      }
    }
  }
}

function* permutations<T>(items: readonly T[]): Generator<readonly T[]> {
  if (items.length <= 1) {
    yield items
    return
  }
  for (let i = 0; i < items.length; i++)
    for (const rest of permutations([...items.slice(0, i), ...items.slice(i + 1)])) yield [items[i], ...rest]
}

interface Laid {
  readonly placed: readonly Placed[]
  readonly conflicts: readonly Conflict[]
  readonly cost: number
}

/** What can be taken: the kitchen's tools by kind, and hands. */
type Resources = Readonly<Record<Tool | 'hands', readonly Resource[]>>

/** Lays the dishes one after the other; who is first has the freest choice. */
function lay(order: readonly Dish[], kitchen: Kitchen, waits: Waits): Laid {
  const resources: Resources = {
    ring: kitchen.tools.ring.map(name => new Resource(name)),
    oven: kitchen.tools.oven.map(Resource.oven),
    grill: kitchen.tools.grill.map(name => new Resource(name)),
    bath: kitchen.tools.bath.map(name => new Resource(name)),
    hands: Array.from({ length: kitchen.cooks }, (_, i) => new Resource(String(i)))
  }
  resources.hands.at(0)?.take({ from: -PLATE_S, to: 0, ...ONE_PLACE })
  const conflicts: Conflict[] = []
  const placed: Placed[] = []
  for (const dish of order) {
    const missing = TOOLS.find(tool => resources[tool].length === 0 && dish.steps.some(s => s.tool === tool))
    if (missing) conflicts.push({ kind: 'no tool', dish, tool: missing })
    else layDish(dish, resources, waits, dish.beforeMeat ? meatOnTheBars(placed) : 0, placed)
  }
  conflicts.push(...placed.flatMap(heldTooLong), ...beforeItsPan(placed), ...afterTheMeat(placed))
  return { placed, conflicts, cost: costOf(placed, conflicts) }
}

/** @param barsUntil by when what it has on the bars must be off them @param placed what is laid is added here */
function layDish(dish: Dish, resources: Resources, waits: Waits, barsUntil: number, placed: Placed[]): void {
  let until = 0
  for (const [i, block] of blocksOf(dish).entries()) {
    const { ends, seconds, onBars, wants } = block
    const wait = (waits.get(ends) ?? 0) * Math.min(ends.holds[1], LONG_WAIT)
    const end = until - (i === 0 ? Math.max(PLATE_S, wait) : wait)
    const start = latestFor(wants, (onBars ? Math.min(end, barsUntil) : end) - seconds, resources)
    const found = wants.map(want => take(want, start, resources))
    const nameAt = (want: number): string | null => (want < 0 ? null : found[want].name)
    const handAt = (want: number): number | null => (want < 0 ? null : Number(found[want].name))
    let from = start
    for (const [k, { index, step, tool, first, last }] of block.steps.entries()) {
      const to = from + step.seconds
      const held = k < block.steps.length - 1 ? 0 : until - to
      placed.push({ dish, index, from, to, on: nameAt(tool), by: [handAt(first), handAt(last)], held })
      from = to
    }
    until = start
  }
}

/** A bath's beef needs no more of it than a rested joint's, s. */
const LONG_WAIT = 25 * 60

/** Steps that are laid as one, since none of them but the last can wait. */
interface Block {
  readonly steps: readonly BlockStep[]
  readonly seconds: number
  readonly ends: Step
  readonly onBars: boolean
  readonly wants: readonly Want[]
}
interface BlockStep {
  readonly step: Step
  readonly index: number
  /** Which of the block's wants are its tool and its hands; −1 for none. */
  readonly tool: number
  readonly first: number
  readonly last: number
}

/** Something that a block takes, from so long after its beginning. */
interface Want {
  readonly among: Tool | 'hands'
  readonly after: number
  readonly seconds: number
  /** Of its tool: what the oven may be set to, and how much of it is filled. */
  readonly how: Pick<Taken, 'ovenC' | 'places'>
}

const BLOCKS = new WeakMap<Dish, readonly Block[]>()
/** The last first; a dish is laid some thousand times, and is the same each time. */
function blocksOf(dish: Dish): readonly Block[] {
  const known = BLOCKS.get(dish)
  if (known) return known
  const parts: { readonly step: Step; readonly index: number }[][] = []
  let open = false
  dish.steps.forEach((step, index) => {
    if (open) parts[parts.length - 1].push({ step, index })
    else parts.push([{ step, index }])
    open = step.holds[1] <= 0
  })
  const blocks = parts.reverse().map(blockOf)
  BLOCKS.set(dish, blocks)
  return blocks
}

function blockOf(parts: readonly { readonly step: Step; readonly index: number }[]): Block {
  const wants: Want[] = []
  const steps: BlockStep[] = []
  const want = (what: Want): number => wants.push(what) - 1
  let after = 0
  for (const [i, { step, index }] of parts.entries()) {
    const { tool, seconds, ovenC, trays = 1, setUp = 0 } = step
    const before = i > 0 && parts[i - 1].step.tool === tool && !ovenC ? steps[i - 1].tool : -1
    let of = -1
    if (tool !== null && before >= 0) {
      // It goes on where it is.
      wants[before] = { ...wants[before], seconds: wants[before].seconds + seconds }
      of = before
    } else if (tool !== null)
      of = want({ among: tool, after: after - setUp, seconds: seconds + setUp, how: { ovenC: ovenC ?? null, places: trays } })
    const [atFirst, atLast] = step.hands
    const hands = (from: number, long: number): number => want({ among: 'hands', after: from, seconds: long, how: ONE_PLACE })
    const first = atFirst > 0 ? hands(after, Math.min(atFirst, seconds)) : -1
    const long = Math.min(atLast, seconds - atFirst)
    const last = atLast > 0 && atFirst < seconds ? hands(after + seconds - long, long) : -1
    steps.push({ step, index, tool: of, first, last })
    after += seconds
  }
  const ends = parts[parts.length - 1].step
  return { steps, seconds: after, ends, onBars: parts.some(p => p.step.tool === 'grill'), wants }
}

/** The latest start at which all of it is to be had. */
function latestFor(wants: readonly Want[], start: number, resources: Resources): number {
  let found = start
  for (;;) {
    let earliest = found
    for (const { among, after, seconds, how } of wants) {
      let best = -Infinity
      for (const resource of resources[among]) {
        best = Math.max(best, resource.latest(found + after, seconds, how) - after)
        if (best >= found) break
      }
      earliest = Math.min(earliest, best)
    }
    if (earliest >= found) return found
    found = earliest
  }
}

function take({ among, after, seconds, how }: Want, start: number, resources: Resources): Resource {
  const all = resources[among]
  const from = start + after
  const resource = all.find(r => r.latest(from, seconds, how) - after >= start) ?? all[0]
  resource.take({ from, to: from + seconds, ovenC: how.ovenC, places: how.places })
  return resource
}

function heldTooLong({ dish, index, held }: Placed): Conflict[] {
  const step = dish.steps[index]
  return held > step.holds[1] + 1 ? [{ kind: 'held too long', dish, step, held, because: [], forHands: false }] : []
}

/** When the first beef comes onto the bars; the serving, where none does. */
const meatOnTheBars = (placed: readonly Placed[]): number =>
  Math.min(0, ...placed.filter(p => p.dish.kind === 'beef' && p.dish.steps[p.index].tool === 'grill').map(p => p.from))

function afterTheMeat(placed: readonly Placed[]): Conflict[] {
  const meat = meatOnTheBars(placed)
  return placed.flatMap(p => {
    const late = p.dish.beforeMeat && p.dish.steps[p.index].tool === 'grill' && p.to > meat + 1
    return late ? [{ kind: 'after the meat' as const, dish: p.dish, lateS: p.to - meat }] : []
  })
}

/** A sauce in the beef's pan begins on its ring when a piece has left one. */
function beforeItsPan(placed: readonly Placed[]): Conflict[] {
  const left = placed.filter(p => p.dish.kind === 'beef' && p.dish.steps[p.index].tool === 'ring').map(p => p.to)
  if (left.length === 0) return []
  const free = Math.min(...left)
  return placed.flatMap(p => {
    const first = p.dish.steps.findIndex(s => s.tool === 'ring')
    return p.dish.inItsPan && p.index === first && p.from < free - 1
      ? [{ kind: 'before its pan' as const, dish: p.dish, earlyS: free - p.from }]
      : []
  })
}

/** Its pan and all. */
export const beginsAt = ({ dish, index, from }: Placed): number => from - (dish.steps[index].setUp ?? 0)

const BEEF_COUNTS = 3
const CONFLICT = 10

/** Standing costs nothing while it is as good, up to 1 at the most it may, and much beyond; to begin early costs a little. */
function costOf(placed: readonly Placed[], conflicts: readonly Conflict[]): number {
  const standing = placed.reduce((sum, { dish, index, held }) => {
    const [well, most] = dish.steps[index].holds
    const share = held <= well ? 0 : Math.min(1, (held - well) / Math.max(60, most - well))
    return sum + share * (dish.kind === 'beef' ? BEEF_COUNTS : 1)
  }, 0)
  const beyond = conflicts.reduce((sum, p) => {
    const over =
      p.kind === 'held too long'
        ? p.held - p.step.holds[1]
        : p.kind === 'before its pan'
          ? p.earlyS
          : p.kind === 'after the meat'
            ? p.lateS
            : 3600
    return sum + (CONFLICT + over / 60) * (p.dish.kind === 'beef' ? BEEF_COUNTS : 1)
  }, 0)
  const begins = Math.min(0, ...placed.map(beginsAt))
  return standing + beyond - begins / 36000
}
