/**
 * What time it is for what cooks: the server's, so that every device of a kitchen counts to the same moment, as this
 * device's wall clock has it, but for what somebody set that by meanwhile. A clock that is set moves at once where the
 * browser's steady one does not; a machine that slept does the same, and there the time has passed. Which of both it
 * was is known to the server's machine, whose count goes on in its sleep.
 */
import { kept } from './kept'

export interface Clocks {
  /** Epoch ms, as it is set. */
  wall(): number
  /** ms: goes on whatever is done to the other, and may stand while the machine sleeps. */
  steady(): number
  /** Throws where it does not answer. */
  server(): Promise<ServersClock>
  /** Whether something cooks that the time matters to. Where nothing does, what the wall clock shows is right. */
  cooking(): boolean
}

export interface ServersClock {
  /** Epoch ms, as it is set there. */
  readonly now: number
  /** s since that machine was switched on. */
  readonly machineS: number
}

/** ms: less is how a clock is kept right all the time. */
const NOTICED_MS = 1500
/** ms: as near as the machine's count can tell. */
const SAME_MS = 2500

/** ms: an answer that took longer does not tell the time. */
const PROMPT_MS = 1000
/** ms: nearer than that two clocks show the same. */
const AHEAD_MS = 250
/** ms: whoever is further off has another day, and its own calendar to go by. */
const ANOTHER_DAY_MS = 12 * 3_600_000
/** ms: after no answer it is asked for once more. */
const ONCE_MORE_MS = 1000
/** ms: so often it is asked for again while nothing cooks. */
const ASK_AGAIN_MS = 10 * 60_000

function parseMs(stored: unknown): number {
  if (!Number.isFinite(stored)) throw new Error('No number.')
  return stored as number
}

class TrueTime {
  /** ms that the wall clock was set on since what is under way began. */
  private readonly setBy = kept('macellaio.clock.set', () => 0, parseMs)
  /** ms that this device's wall clock is ahead of the server's. Another while something cooks would move what it counts to. */
  private readonly aheadBy = kept('macellaio.clock.ahead', () => 0, parseMs)
  private clocks: Clocks | null = null
  private last = { wall: 0, steady: 0 }
  /** Until the first answer, or none. */
  private opening = false
  /** By the steady clock. */
  private askedAt = 0
  /** When the machine's count was last heard. */
  private heard: { readonly steady: number; readonly machine: number } | null = null

  /** From here on it is heeded when the wall clock jumps. */
  watch(clocks: Clocks): void {
    this.clocks = clocks
    this.last = { wall: clocks.wall(), steady: clocks.steady() }
    this.heard = null
    this.opening = true
    void this.hear().then(() => (this.opening = false))
  }

  /** ms that this device's clock is ahead of the server's, where that is heeded; whoever watches it is told when it changes. */
  get ahead(): number {
    return this.aheadBy.value
  }

  stop(): void {
    this.clocks = null
  }

  /** Epoch ms. */
  now(): number {
    const { clocks, last } = this
    if (clocks === null) return Date.now() - this.setBy.value - this.aheadBy.value
    const [wall, steady] = [clocks.wall(), clocks.steady()]
    const jump = wall - last.wall - (steady - last.steady)
    const jumped = Math.abs(jump) > NOTICED_MS
    this.last = { wall, steady }
    if (!clocks.cooking()) {
      // What was slept before a cook is not counted in it.
      if (jumped || this.setBy.value !== 0 || steady - this.askedAt > ASK_AGAIN_MS) void this.hear()
      if (this.setBy.value !== 0) this.setBy.value = 0
    } else if (jumped) {
      // Nothing has happened until it is known what it was.
      this.setBy.value += jump
      void this.whatWasIt(jump)
    }
    return wall - this.setBy.value - this.aheadBy.value
  }

  private async whatWasIt(jump: number): Promise<void> {
    // No clock is set back by sleeping.
    if (jump < 0) return
    const { heard: before, opening } = this
    let now = await this.hear()
    if (now === null) {
      // A page that is being left gets no answer either, and must decide nothing.
      await new Promise(soon => setTimeout(soon, ONCE_MORE_MS))
      now = await this.hear()
    }
    // No machine sleeps before its page is open.
    if (before === null && opening && now !== null) return
    const slept =
      before === null || now === null || now.machine < before.machine
        ? // Nobody can tell: what stands on a fire has gone on, if it was that.
          jump
        : 1000 * (now.machine - before.machine) - (now.steady - before.steady)
    if (slept > jump - SAME_MS) this.setBy.value -= jump
    else if (slept > SAME_MS) this.setBy.value -= slept
  }

  private async hear(): Promise<typeof this.heard> {
    const { clocks } = this
    if (clocks === null) return null
    const before = { wall: clocks.wall(), steady: clocks.steady() }
    this.askedAt = before.steady
    try {
      const { machineS, now } = await clocks.server()
      const steady = clocks.steady()
      const took = steady - before.steady
      if (took < PROMPT_MS && !clocks.cooking()) this.compare(before.wall + took / 2 - now)
      return (this.heard = { steady, machine: machineS })
    } catch {
      return null
    }
  }

  private compare(ahead: number): void {
    // An older server says nothing of it.
    if (!Number.isFinite(ahead)) return
    const by = Math.abs(ahead)
    this.aheadBy.value = by < AHEAD_MS || by > ANOTHER_DAY_MS ? 0 : ahead
  }
}
export const trueTime = new TrueTime()
