/**
 * The rehearsal that this device is in: its clock, the signs of each piece as its keeper tells them, and how fast it
 * goes: as the cook wishes, and slower by itself where something is about to be decided.
 */
import { useIntervalFn } from '@vueuse/core'
import { defineStore } from 'pinia'
import { computed, ref, shallowRef, watch } from 'vue'
import { inTime, SPEEDS } from '#core/rehearsal/clock'
import type { Rehearsal } from '#core/rehearsal/record'
import type { Signs } from '#core/rehearsal/signs'
import { progressOf } from '#core/session/progress'
import { api } from '../api/client'
import { canonical } from './canonical'
import { timeAt, useClock } from './clock'
import { useCook } from './cook'
import { useStove } from './stove'

const LOOK_EVERY_MS = 1000
/** By signs alone: while a pan gets hot, and else. */
const BY_SIGNS = { heating: 5, cooking: 10 } as const
/** Real ms for which a sign that has changed may be looked at. */
const LOOKED_AT_MS = 4000
const SLOW = 2

export const useRehearsal = defineStore('rehearsal', () => {
  const clock = useClock()
  const cook = useCook()
  const stove = useStove()

  const seen = shallowRef<Rehearsal | null>(null)
  /** What went wrong with what was last asked of its keeper. */
  const trouble = ref<string | null>(null)
  const wish = ref(1)
  const current = computed(() => (seen.value && seen.value.id === clock.rehearsing?.id ? seen.value : null))
  const signsOf = (cookId: string): Signs | null => current.value?.cooks.find(c => c.id === cookId)?.signs ?? null
  /** The fastest that it may be wished. */
  const fastest = computed(() => (clock.rehearsing?.calls === false ? BY_SIGNS.cooking : SPEEDS[SPEEDS.length - 1]))

  async function asked(work: () => Promise<void>): Promise<void> {
    try {
      await work()
      trouble.value = null
    } catch (error) {
      trouble.value = error instanceof Error ? error.message : String(error)
    }
  }
  /** So often it has been told here how fast to go: what was asked before that is of yesterday. */
  let told = 0
  let going = 1
  /** @param since what was told by when it was asked */
  function take(there: Rehearsal, since: number): void {
    // Left meanwhile.
    if (clock.rehearsing === null || there.id !== clock.rehearsing.id) return
    seen.value = there
    if (canonical(there.sides) !== canonical(clock.sides)) clock.sides = there.sides
    const { at, speed } = there.clock
    if (since === told) {
      clock.set(at, speed)
      going = speed
      // Another device holds it, or is in more of a hurry.
      if (speed === 0 || speed > wish.value) wish.value = speed
    }
    const news = there.cooks.some(c => c.events > (cook.cooks.find(mine => mine.id === c.id)?.events.length ?? 0))
    if (news) void asked(hear)
  }
  async function hear(): Promise<void> {
    const { id } = clock.rehearsing ?? {}
    if (id === undefined) return
    const { cooks, thrownAway } = await api.cooksFor(id)
    cook.hear(id, cooks, thrownAway)
  }
  function look(): Promise<void> {
    const { id } = clock.rehearsing ?? {}
    const since = told
    return id === undefined ? Promise.resolve() : asked(async () => take(await api.rehearsal(id), since))
  }
  function go(speed: number): void {
    const { id } = clock.rehearsing ?? {}
    if (id === undefined || speed === going) return
    going = speed
    told += 1
    const since = told
    clock.go(speed)
    void asked(async () => take(await api.goAt(id, speed), since))
  }

  const words = computed(() =>
    JSON.stringify(
      current.value?.cooks.map(({ signs: { pan, fire, hiss, shade, smoke, flames } }) => [
        pan,
        fire?.word,
        hiss?.word,
        shade,
        smoke,
        flames
      ])
    )
  )
  let lookAt = 0
  watch(words, () => (lookAt = Date.now() + LOOKED_AT_MS))

  /** As fast as it is wished, unless something is about to be decided. */
  function fitting(): number {
    if (wish.value === 0) return 0
    const states = cook.cooks.map(c => progressOf(c.events).state)
    if (states.every(s => s === 'carved')) return 1
    if (clock.rehearsing?.calls === false) {
      const most = states.some(s => s === 'heating') ? BY_SIGNS.heating : BY_SIGNS.cooking
      return Math.min(wish.value, most, Date.now() < lookAt ? SLOW : most)
    }
    const due = stove.stream.map(c => c.due)
    const waits = due.length === 0 || due.some(d => d === null)
    return inTime(wish.value, waits ? null : Math.min(...(due as number[])) - timeAt(clock))
  }
  const looking = useIntervalFn(() => void look(), LOOK_EVERY_MS, { immediate: false })
  watch(
    () => clock.rehearsing?.id,
    id => {
      seen.value = null
      trouble.value = null
      going = clock.speed
      if (id === undefined) looking.pause()
      else {
        looking.resume()
        void look()
      }
    },
    { immediate: true }
  )
  // The stove's clock ticks out of sight too.
  watch(
    () => stove.now,
    () => {
      if (clock.rehearsing) go(fitting())
    }
  )
  watch(
    () => cook.cooks.reduce((sum, c) => sum + c.events.length, 0),
    () => {
      if (clock.rehearsing) setTimeout(() => void look(), 150)
    }
  )

  function wishFor(speed: number): void {
    wish.value = Math.min(speed, fastest.value)
    go(fitting())
  }

  /** A step of a side is done, or is not after all: at once here, and then at its keeper. */
  async function did(call: string, done = true): Promise<void> {
    const { id } = clock.rehearsing ?? {}
    if (id === undefined) return
    clock.sides = clock.sides.map(s => (s.id === call ? { ...s, doneAt: done ? timeAt(clock) : null } : s))
    const since = told
    await asked(async () => take(await api.didSide(id, call, done), since))
  }

  /** A thermometer put in by hand: what it shows is heard as if it were typed. */
  async function probe(cookId: string): Promise<void> {
    const { id } = clock.rehearsing ?? {}
    if (id === undefined) return
    await asked(async () => {
      const { at, celsius } = await api.probe(id, cookId)
      cook.say({ kind: 'reading', coreC: celsius }, at, [cookId])
    })
  }

  /** Back to the kitchen; what is left half cooked stays in the list of rehearsals. */
  function leave(): void {
    const { id } = clock.rehearsing ?? {}
    clock.leave()
    if (id !== undefined) cook.leaveBehind(id)
    wish.value = 1
  }

  return { trouble, wish, fastest, signsOf, wishFor, did, probe, leave }
})
