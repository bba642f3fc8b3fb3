/**
 * What time it is for what cooks: the wall clock's, but for what somebody set it by meanwhile. A clock that is set
 * moves at once where the browser's steady one does not; a machine that slept does the same, and there the time has
 * passed. Which of both it was is known to the server's machine, whose count goes on in its sleep.
 */
import { kept } from './kept'

export interface Clocks {
  /** Epoch ms, as it is set. */
  wall(): number
  /** ms: goes on whatever is done to the other, and may stand while the machine sleeps. */
  steady(): number
  /** s since the server's machine was switched on. Throws where it does not answer. */
  machine(): Promise<number>
  /** Whether something cooks that the time matters to. Where nothing does, what the wall clock shows is right. */
  cooking(): boolean
}

/** ms: less is how a clock is kept right all the time. */
const NOTICED_MS = 1500
/** ms: as near as the machine's count can tell. */
const SAME_MS = 2500

function parseSetBy(stored: unknown): number {
  if (!Number.isFinite(stored)) throw new Error('No number.')
  return stored as number
}

class TrueTime {
  /** ms that the wall clock was set on since what is under way began. */
  private readonly setBy = kept('macellaio.clock.set', () => 0, parseSetBy)
  private clocks: Clocks | null = null
  private last = { wall: 0, steady: 0 }
  /** When the machine's count was last heard. */
  private heard: { readonly steady: number; readonly machine: number } | null = null

  /** From here on it is heeded when the wall clock jumps. */
  watch(clocks: Clocks): void {
    this.clocks = clocks
    this.last = { wall: clocks.wall(), steady: clocks.steady() }
    this.heard = null
    void this.hear()
  }

  stop(): void {
    this.clocks = null
  }

  /** Epoch ms. */
  now(): number {
    const { clocks, last } = this
    if (clocks === null) return Date.now() - this.setBy.value
    const [wall, steady] = [clocks.wall(), clocks.steady()]
    const jump = wall - last.wall - (steady - last.steady)
    const jumped = Math.abs(jump) > NOTICED_MS
    this.last = { wall, steady }
    if (!clocks.cooking()) {
      if (this.setBy.value !== 0) this.setBy.value = 0
      // What was slept before a cook is not counted in it.
      if (jumped) void this.hear()
    } else if (jumped) {
      // Nothing has happened until it is known what it was.
      this.setBy.value += jump
      void this.whatWasIt(jump)
    }
    return wall - this.setBy.value
  }

  private async whatWasIt(jump: number): Promise<void> {
    const before = this.heard
    const now = await this.hear()
    // No clock is set back by sleeping.
    if (jump < 0) return
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
    try {
      const machine = await clocks?.machine()
      return (this.heard = clocks === null || machine === undefined ? null : { steady: clocks.steady(), machine })
    } catch {
      return null
    }
  }
}
export const trueTime = new TrueTime()
