/**
 * One thing that can be taken for a time: a ring, an oven, a pair of hands. Filled from the serving backward, it
 * tells the latest time at which something still finds room. Seconds, negative before serving.
 */
import { SHELVES } from '#core/kit/oven'
import { RESET_OVEN_S } from './dish'

export interface Taken {
  readonly from: number
  readonly to: number
  /** Of an oven: what it may be set to. */
  readonly ovenC: readonly [least: number, most: number] | null
  /** How many of its places. */
  readonly places: number
}
/** How something is taken that is no oven. */
export const ONE_PLACE: Pick<Taken, 'ovenC' | 'places'> = { ovenC: null, places: 1 }

export class Resource {
  constructor(
    readonly name: string,
    /** How many it takes side by side. */
    private readonly places: number = 1,
    /** The latest first. */
    private readonly taken: Taken[] = []
  ) {}

  static oven = (name: string): Resource => new Resource(name, SHELVES)

  copy(): Resource {
    return new Resource(this.name, this.places, this.taken.slice())
  }

  get all(): readonly Taken[] {
    return this.taken
  }

  take(what: Taken): void {
    const { taken } = this
    let i = taken.length
    while (i > 0 && taken[i - 1].from < what.from) i--
    taken.splice(i, 0, what)
  }

  /** The latest start, no later than `start`, at which there is room for that long. Asked some million times for a dinner. */
  latest(start: number, seconds: number, { ovenC, places } = ONE_PLACE): number {
    let found = start
    if (this.places === 1) {
      // Whatever is clear of the later ones is so of all that begin after it.
      for (const t of this.taken) if (t.from < found + seconds && found < t.to) found = t.from - seconds
      return found
    }
    for (;;) {
      const earlier = this.clearOf(found, found + seconds, ovenC, places)
      if (earlier === null) return found
      found = earlier - seconds
    }
  }

  /** Where something would have to end to be clear of what is in its way first; null where nothing is. */
  private clearOf(from: number, to: number, ovenC: Taken['ovenC'], places: number): number | null {
    const { taken } = this
    for (const t of taken) {
      const apart = t.ovenC && ovenC ? RESET_OVEN_S : 0
      if (t.from - apart < to && from < t.to + apart && !agree(t.ovenC, ovenC)) return t.from - apart
    }
    for (const { from: begins, to: ends } of taken) {
      if (begins >= to || from >= ends) continue
      const at = Math.max(from, begins)
      let filled = 0
      let last = -Infinity
      for (const t of taken) {
        if (t.from > at || at >= t.to || t.from >= to) continue
        filled += t.places
        last = Math.max(last, t.from)
      }
      if (filled + places > this.places) return last
    }
    return null
  }
}

/** Whether two can be in one oven at one setting; whatever is not of an oven gets on by place alone. */
function agree(a: Taken['ovenC'], b: Taken['ovenC']): boolean {
  if (!a || !b) return true
  return Math.max(a[0], b[0]) <= Math.min(a[1], b[1])
}
