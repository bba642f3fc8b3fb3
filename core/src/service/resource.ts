/**
 * One thing that can be taken for a time: a ring, an oven, a pair of hands. Filled from the serving backward, it
 * tells the latest time at which something still finds room. Seconds, negative before serving.
 */
import { RESET_OVEN_S, SHELVES } from './dish'

export interface Taken {
  readonly from: number
  readonly to: number
  /** Of an oven: what it may be set to. */
  readonly ovenC?: readonly [least: number, most: number]
  /** How many of its places; left out, one. */
  readonly places?: number
}

export class Resource {
  private readonly taken: Taken[] = []

  constructor(
    readonly name: string,
    /** How many it takes side by side. */
    private readonly places: number = 1
  ) {}

  static oven = (name: string): Resource => new Resource(name, SHELVES)

  get all(): readonly Taken[] {
    return this.taken
  }

  take(what: Taken): void {
    this.taken.push(what)
  }

  /** The latest start, no later than `start`, at which there is room for that long. */
  latest(start: number, seconds: number, how: Pick<Taken, 'ovenC' | 'places'> = {}): number {
    let found = start
    for (;;) {
      const earlier = this.clearOf({ ...how, from: found, to: found + seconds })
      if (earlier === null) return found
      found = earlier - seconds
    }
  }

  /** Where something would have to end to be clear of what is in its way first; null where nothing is. */
  private clearOf(wanted: Taken): number | null {
    for (const t of this.taken) {
      if (agree(t, wanted)) continue
      const apart = t.ovenC && wanted.ovenC ? RESET_OVEN_S : 0
      if (t.from - apart < wanted.to && wanted.from < t.to + apart) return t.from - apart
    }
    const beside = this.taken.filter(t => t.from < wanted.to && wanted.from < t.to)
    for (const { from } of beside) {
      const at = Math.max(from, wanted.from)
      const there = beside.filter(t => t.from <= at && at < t.to)
      const filled = there.reduce((sum, { places = 1 }) => sum + places, 0)
      if (there.length > 0 && filled + (wanted.places ?? 1) > this.places) return Math.max(...there.map(t => t.from))
    }
    return null
  }
}

/** Whether two can be in one oven at one setting; whatever is not of an oven gets on by place alone. */
function agree(a: Taken, b: Taken): boolean {
  if (!a.ovenC || !b.ovenC) return true
  return Math.max(a.ovenC[0], b.ovenC[0]) <= Math.min(a.ovenC[1], b.ovenC[1])
}
