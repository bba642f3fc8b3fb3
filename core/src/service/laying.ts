/** Dishes laid backward from the serving, one after the other, each as late as what is left of the kitchen allows. Seconds, negative before serving. */
import { PLATE_S, TOOLS, type Dish, type Kitchen, type Step, type Tool } from './dish'
import {
  afterTheMeat,
  beforeItsPan,
  costOf,
  costOfConflict,
  costOfStanding,
  heldTooLong,
  meatOnTheBars,
  type Conflict,
  type Placed
} from './placed'
import { ONE_PLACE, Resource, type Taken } from './resource'

/** By the last step of a block of steps: the share of what it may wait that it does wait. */
export type Waits = ReadonlyMap<Step, number>
export const NO_WAITS: Waits = new Map()

export interface Laid {
  readonly placed: readonly Placed[]
  readonly conflicts: readonly Conflict[]
  readonly cost: number
}

/** What can be taken: the kitchen's tools by kind, and hands. */
type Resources = Readonly<Record<Tool | 'hands', readonly Resource[]>>

/** More than rounding makes of a sum. */
const SURELY = 1e-6

/** Dishes laid one after the other; who is first has the freest choice. */
export class Laying {
  private constructor(
    readonly kitchen: Kitchen,
    private readonly resources: Resources,
    private readonly placed: Placed[],
    private readonly missing: Conflict[],
    private readonly held: Conflict[],
    private count: number,
    /** What those cost that are laid, whatever comes. */
    private costs: number
  ) {}

  static of(kitchen: Kitchen): Laying {
    const resources: Resources = {
      ring: kitchen.tools.ring.map(name => new Resource(name)),
      oven: kitchen.tools.oven.map(Resource.oven),
      grill: kitchen.tools.grill.map(name => new Resource(name)),
      bath: kitchen.tools.bath.map(name => new Resource(name)),
      hands: Array.from({ length: kitchen.cooks }, (_, i) => new Resource(String(i)))
    }
    resources.hands.at(0)?.take({ from: -PLATE_S, to: 0, ...ONE_PLACE })
    return new Laying(kitchen, resources, [], [], [], 0, 0)
  }

  copy(): Laying {
    const { ring, oven, grill, bath, hands } = this.resources
    const resources = {
      ring: ring.map(copied),
      oven: oven.map(copied),
      grill: grill.map(copied),
      bath: bath.map(copied),
      hands: hands.map(copied)
    }
    return new Laying(this.kitchen, resources, this.placed.slice(), this.missing.slice(), this.held.slice(), this.count, this.costs)
  }

  add(dish: Dish, waits: Waits): void {
    const { resources, placed, missing, held } = this
    this.count += 1
    const lacks = TOOLS.find(tool => resources[tool].length === 0 && dish.steps.some(s => s.tool === tool))
    if (lacks) {
      const conflict: Conflict = { kind: 'no tool', dish, tool: lacks }
      missing.push(conflict)
      this.costs += costOfConflict(conflict)
      return
    }
    const before = placed.length
    layDish(dish, resources, waits, dish.beforeMeat ? meatOnTheBars(placed) : 0, placed)
    for (let i = before; i < placed.length; i++) {
      this.costs += costOfStanding(placed[i])
      const conflict = heldTooLong(placed[i])
      if (conflict === null) continue
      held.push(conflict)
      this.costs += costOfConflict(conflict)
    }
  }

  /**
   * With the others of the order.
   * @returns null where it costs more than `below`
   */
  with(order: readonly Dish[], waits: Waits, below = Infinity): Laid | null {
    while (this.count < order.length) {
      if (this.costs > below + SURELY) return null
      this.add(order[this.count], waits)
    }
    if (this.costs > below + SURELY) return null
    const { placed, missing, held } = this
    const conflicts = [...missing, ...held, ...beforeItsPan(placed), ...afterTheMeat(placed)]
    return { placed, conflicts, cost: costOf(placed, conflicts) }
  }
}
const copied = (resource: Resource): Resource => resource.copy()

/** @param barsUntil by when what it has on the bars must be off them @param placed what is laid is added here */
function layDish(dish: Dish, resources: Resources, waits: Waits, barsUntil: number, placed: Placed[]): void {
  let until = 0
  for (const [i, block] of blocksOf(dish).entries()) {
    const { ends, seconds, onBars, wants } = block
    const wait = (waits.get(ends) ?? 0) * Math.min(ends.holds[1], LONG_WAIT)
    const end = until - (i === 0 ? Math.max(PLATE_S, wait) : wait)
    const start = latestFor(wants, (onBars ? Math.min(end, barsUntil) : end) - seconds, resources)
    const found = wants.map((want, number) => take(want, number, start, resources))
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
  /** Whether the block has taken one of those before. */
  readonly again: boolean
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
  const want = (what: Omit<Want, 'again'>): number => wants.push({ ...what, again: wants.some(w => w.among === what.among) }) - 1
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

/** Which of the resources each of a block's wants would take, by its number; for the block that is laid now. */
const CHOSEN: number[] = []

/** The latest start at which all of it is to be had. */
function latestFor(wants: readonly Want[], start: number, resources: Resources): number {
  let found = start
  for (;;) {
    let earliest = found
    for (let w = 0; w < wants.length; w++) {
      const { among, after, seconds, how } = wants[w]
      const all = resources[among]
      let best = -Infinity
      for (let r = 0; r < all.length && best < found; r++) {
        const latest = all[r].latest(found + after, seconds, how) - after
        if (latest > best) {
          best = latest
          CHOSEN[w] = r
        }
      }
      if (best < earliest) earliest = best
    }
    if (earliest >= found) return found
    found = earliest
  }
}

/** @param number of the want in its block */
function take({ among, after, seconds, how, again }: Want, number: number, start: number, resources: Resources): Resource {
  const all = resources[among]
  const from = start + after
  // What the same block has just taken is not there any more.
  const resource = again ? (all.find(r => r.latest(from, seconds, how) - after >= start) ?? all[0]) : all[CHOSEN[number]]
  resource.take({ from, to: from + seconds, ovenC: how.ovenC, places: how.places })
  return resource
}
