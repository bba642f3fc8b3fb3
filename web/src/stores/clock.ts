/** What time it is at this stove: the kitchen's, or while something is rehearsed that one's own. */
import { defineStore } from 'pinia'
import { computed, shallowRef } from 'vue'
import { goingAt, shownBy, type Clock } from '#core/rehearsal/clock'
import type { SideDone } from '#core/rehearsal/sides'
import { kept } from './kept'
import { trueTime } from './trueTime'

/** The rehearsal that this device is in. */
export interface Rehearsing {
  readonly id: string
  readonly name: string
  /** Whether the stove calls, or the cook goes by signs alone. */
  readonly calls: boolean
  /** Whether there is a thermometer. */
  readonly probe: boolean
  /** How much later the table is than it was to be, s: said once it is off the heat. */
  readonly guestsLateS: number
  /** Of whose pieces are called here, by their cooks' ids; null for all. */
  readonly mine: readonly string[] | null
}

function parseRehearsing(stored: unknown): Rehearsing | null {
  if (stored === null) return null
  const { id, name, calls, probe, guestsLateS, mine } = stored as Rehearsing
  if (typeof id !== 'string') throw new Error('Not one.')
  const whole = { id, name: String(name), calls: calls !== false, probe: probe !== false, guestsLateS: Number(guestsLateS) || 0 }
  return { ...whole, mine: Array.isArray(mine) ? mine : null }
}
function parseClock(stored: unknown): Clock | null {
  if (stored === null) return null
  const { at, since, speed } = stored as Clock
  if (![at, since, speed].every(Number.isFinite)) throw new Error('None.')
  return { at, since, speed }
}

/** ms: nearer than this two clocks show the same. */
const SAME_MS = 150

/** Epoch ms. */
const timeBy = (pace: Clock | null): number => Math.round(pace ? shownBy(pace, Date.now()) : trueTime.now())
/** Epoch ms. Not of the store itself, whose functions are each watched over: it is asked five times a second. */
export const timeAt = ({ pace }: { readonly pace: Clock | null }): number => timeBy(pace)

export const useClock = defineStore('clock', () => {
  const rehearsing = kept<Rehearsing | null>('macellaio.rehearsing', () => null, parseRehearsing)
  /** Apart from it: it changes all the while, and hardly anybody looks at it. */
  const pace = kept<Clock | null>('macellaio.rehearsing.clock', () => null, parseClock)
  /** What stands beside the beef of the rehearsal, as its keeper tells it. */
  const sides = shallowRef<readonly SideDone[]>([])
  const now = (): number => timeBy(pace.value)
  const speed = computed(() => pace.value?.speed ?? 1)

  function enter(into: Omit<Rehearsing, 'mine'>, at: number, going: number): void {
    pace.value = { at, since: Date.now(), speed: going }
    sides.value = []
    rehearsing.value = { ...into, mine: null }
  }
  /** As the keeper of the rehearsal has it: a step of a fraction of a second is not worth a jump. */
  function set(at: number, going: number): void {
    if (going === speed.value && Math.abs(at - now()) < SAME_MS * Math.max(1, going)) return
    pace.value = { at, since: Date.now(), speed: going }
  }
  /** Before its keeper has answered. */
  function go(going: number): void {
    if (pace.value) pace.value = goingAt(pace.value, going, Date.now())
  }
  /** @param cooks null for all */
  function take(cooks: readonly string[] | null): void {
    if (rehearsing.value) rehearsing.value = { ...rehearsing.value, mine: cooks }
  }
  const leave = (): void => void (rehearsing.value = pace.value = null)

  return { rehearsing, pace, sides, speed, enter, set, go, take, leave }
})
