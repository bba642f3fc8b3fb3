/** What time it is at this stove: the kitchen's, or while something is rehearsed that one's own. */
import { defineStore } from 'pinia'
import { computed } from 'vue'
import { goingAt, shownBy, type Clock } from '#core/rehearsal/clock'
import { kept } from './kept'

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
  readonly clock: Clock
}

function parseRehearsing(stored: unknown): Rehearsing | null {
  if (stored === null) return null
  const { id, name, calls, probe, guestsLateS, mine, clock } = stored as Rehearsing
  if (typeof id !== 'string' || ![clock.at, clock.since, clock.speed].every(Number.isFinite)) throw new Error('Not one.')
  return {
    id,
    name: String(name),
    calls: calls !== false,
    probe: probe !== false,
    guestsLateS: Number(guestsLateS) || 0,
    mine: Array.isArray(mine) ? mine : null,
    clock
  }
}

/** ms: nearer than this two clocks show the same. */
const SAME_MS = 150

export const useClock = defineStore('clock', () => {
  const rehearsing = kept<Rehearsing | null>('macellaio.rehearsing', () => null, parseRehearsing)
  /** Epoch ms. */
  const now = (): number => Math.round(rehearsing.value ? shownBy(rehearsing.value.clock, Date.now()) : Date.now())
  const speed = computed(() => rehearsing.value?.clock.speed ?? 1)

  function enter(into: Omit<Rehearsing, 'clock' | 'mine'>, at: number, going: number): void {
    rehearsing.value = { ...into, mine: null, clock: { at, since: Date.now(), speed: going } }
  }
  /** As the keeper of the rehearsal has it: a step of a fraction of a second is not worth a jump. */
  function set(at: number, going: number): void {
    const mine = rehearsing.value
    if (!mine) return
    if (going === mine.clock.speed && Math.abs(at - now()) < SAME_MS * Math.max(1, going)) return
    rehearsing.value = { ...mine, clock: { at, since: Date.now(), speed: going } }
  }
  /** Before its keeper has answered. */
  function go(speed: number): void {
    const mine = rehearsing.value
    if (mine) rehearsing.value = { ...mine, clock: goingAt(mine.clock, speed, Date.now()) }
  }
  /** @param cooks null for all */
  function take(cooks: readonly string[] | null): void {
    if (rehearsing.value) rehearsing.value = { ...rehearsing.value, mine: cooks }
  }
  const leave = (): void => void (rehearsing.value = null)

  return { rehearsing, speed, now, enter, set, go, take, leave }
})
