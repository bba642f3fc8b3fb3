/**
 * Everything that is on at once: what is to come of each piece and each dish, in one stream of calls, wherever in the
 * app one is.
 */
import { useIntervalFn } from '@vueuse/core'
import { defineStore } from 'pinia'
import { computed, effectScope, ref, shallowReactive, watch, type EffectScope } from 'vue'
import type { CookRecord } from '#core/book/record'
import { callFor, type Stand } from '#core/session/call'
import { notBefore } from '#core/session/inService'
import { progressOf } from '#core/session/progress'
import { nextOf, togetherWith, type Due } from '#core/session/stream'
import { IN_THE_PAN } from '#core/session/warmUp'
import type { PassCall } from '#core/service/calls'
import { useCaller } from '../ui/useCaller'
import { ticker } from '../workers/ticker'
import { timeAt, useClock } from './clock'
import { useCook } from './cook'
import { useForecast } from './forecast'
import { useKit } from './kit'
import { usePass } from './pass'
import { useUnits } from './units'

type CookForecast = ReturnType<typeof useForecast>

/** A call of the stream: of a piece, or of a dish on the ticket. */
export interface StreamCall extends Due {
  /** Whose it is, short: "The 2 rare pieces", "Potatoes, roasted". */
  readonly of: string
  /** What is to be done. */
  readonly says: string
  readonly cook: CookRecord | null
  readonly dish: PassCall | null
}

const TICK_MS = 200

export const useStove = defineStore('stove', () => {
  const cook = useCook()
  const pass = usePass()
  const kit = useKit()
  const units = useUnits()
  const time = useClock()
  const now = ref(timeAt(time))
  const tick = (): void => void (now.value = timeAt(time))
  const secondsLeft = (at: number): number => Math.round(((first.value?.due ?? 0) - at) / 1000)
  /** All that is shown hangs on it: it goes on once a second, as what is called next does, or a battery is drawn for nothing. A rehearsal's seconds may be short. */
  const lookUp = (): void => {
    if (time.rehearsing || secondsLeft(now.value) !== secondsLeft(timeAt(time))) tick()
  }
  const clock = useIntervalFn(lookUp, TICK_MS, { immediate: false })
  const outOfSight = ticker(lookUp)

  const forecasts = shallowReactive(new Map<string, CookForecast & { readonly scope: EffectScope }>())
  watch(
    () => cook.cooks.map(c => c.id).join(' '),
    () => {
      const there = new Set(cook.cooks.map(c => c.id))
      for (const [id, { scope }] of forecasts) {
        if (there.has(id)) continue
        scope.stop()
        forecasts.delete(id)
      }
      for (const id of there) {
        if (forecasts.has(id)) continue
        const scope = effectScope(true)
        const mine = computed(() => cook.cooks.find(c => c.id === id) ?? null)
        const made = scope.run(() => useForecast(mine, now, () => (mine.value ? notBefore(mine.value, cook.cooks) : null)))
        if (made) forecasts.set(id, { ...made, scope })
      }
    },
    { immediate: true, flush: 'sync' }
  )
  const standOf = (of: CookRecord): Stand | null => {
    const made = forecasts.get(of.id)
    const [progress, forecast] = [made?.progress.value, made?.forecast.value]
    if (!progress || !forecast) return null
    const called = of.service?.called === '' ? undefined : of.service?.called
    return {
      request: of.request,
      progress,
      forecast,
      shows: kit.shows,
      backS: made?.backS.value ?? null,
      called,
      among: cook.cooks.length > 1
    }
  }

  const ofPieces = computed(() =>
    cook.cooks.flatMap((of): StreamCall[] => {
      // By signs alone nothing is called.
      if (time.rehearsing?.calls === false) return []
      // Somebody else's, where the work is divided.
      if (time.rehearsing?.mine && !time.rehearsing.mine.includes(of.id)) return []
      const made = forecasts.get(of.id)
      const stand = standOf(of)
      const action = made?.action.value
      if (!made || !stand || !action) return []
      const { marks } = stand.forecast
      const here = marks[Math.min(stand.progress.moves, marks.length - 1)].phase
      const { kit: by, method } = of.request
      const at = stand.progress.laidAt === null ? method.kind : IN_THE_PAN.has(here) ? 'pan' : here
      const fire = of.service ? [of.service.id, at, by.pan.id, by.ring.id].join(' ') : null
      return [{ id: of.id, ...action, fire, of: nameOf(of), says: callFor(action, stand, units.system).says, cook: of, dish: null }]
    })
  )
  /** When the first piece of it went in, epoch ms; null before. */
  const firstLaidAt = computed(() => {
    const laid = cook.cooks.flatMap(c => progressOf(c.events).laidAt ?? [])
    return laid.length === 0 ? null : Math.min(...laid)
  })
  /** The next of what stands beside the beef of a rehearsal: its table is when all is to be carved. */
  const ofSides = computed((): StreamCall[] => {
    const next = time.sides.find(s => s.doneAt === null)
    if (!next || time.rehearsing?.calls === false || firstLaidAt.value === null) return []
    // All is on the table: what was not made by then is not made.
    if (cook.cooks.every(c => progressOf(c.events).state === 'carved')) return []
    const says = units.say(next.says)
    const dish = { id: next.id, at: next.dueS, text: says, dishId: null, by: null }
    return [{ id: DISH, does: 'dish', due: firstLaidAt.value + next.dueS * 1000, fire: null, of: next.of, says, cook: null, dish }]
  })
  const ofDishes = computed((): StreamCall[] => {
    if (time.rehearsing) return ofSides.value
    const next = pass.nextCall
    if (!next || !pass.begun) return []
    const due = pass.servedAt + next.at * 1000
    return [{ id: DISH, does: 'dish', due, fire: null, of: pass.ofWhom(next), says: next.text, cook: null, dish: next }]
  })
  /** Pieces for the same table that nobody has lit yet, once the first of them is; where the ticket calls, it calls them. */
  const notLit = computed(() => {
    const { service, pieces: carved } = cook.carved
    const served = service === pass.serviceId ? carved : []
    if (time.rehearsing || !pass.touched || pass.begun || (!pass.onTheStove && served.length === 0)) return []
    const lit = cook.cooks.flatMap(c => (c.service?.id === pass.serviceId ? [c.service.piece] : []))
    return lit.includes(undefined) ? [] : pass.pieces.filter(({ id }) => !lit.includes(id) && !served.includes(id))
  })
  /** Meat, or a dish that is called: whatever is rehearsed meanwhile. */
  const inEarnest = computed(() => cook.inEarnest || (pass.begun && Boolean(pass.nextCall)))
  const stream = computed(() => [...ofPieces.value, ...ofDishes.value])

  /** What stands large: it stays under the hand until it is done, unless something is due clearly sooner. */
  const held = ref<string | null>(null)
  /** What the cook has tapped; until the next thing is done. */
  const looked = ref<string | null>(null)
  const first = computed(() => stream.value.find(c => c.id === looked.value) ?? nextOf(stream.value, held.value))
  watch(
    () => first.value?.id,
    id => {
      held.value = id ?? null
      if (id !== undefined && id !== DISH && id !== cook.cook?.id) cook.show(id)
    },
    { immediate: true, flush: 'sync' }
  )
  const together = computed(() => (first.value ? togetherWith(first.value, stream.value) : []))
  const others = computed(() => {
    const one = new Set(together.value.map(c => c.id))
    return stream.value.filter(c => !one.has(c.id)).sort((a, b) => (a.due ?? 0) - (b.due ?? 0))
  })

  // Nothing ticks where nothing is on.
  watch(
    [() => cook.cooks.length > 0 || pass.begun, () => time.rehearsing],
    ([on]) => {
      tick()
      if (on) {
        clock.resume()
        outOfSight.start()
      } else {
        clock.pause()
        outOfSight.stop()
      }
    },
    { immediate: true, flush: 'sync' }
  )
  // What has just been said is not of the second before it was.
  watch(() => cook.cooks.reduce((sum, c) => sum + c.events.length, 0), tick, { flush: 'sync' })

  const caller = useCaller(
    computed(() =>
      stream.value.map(c => ({
        key: c.dish
          ? `${time.rehearsing?.id ?? pass.serviceId} ${c.dish.id}`
          : `${c.id} ${c.does} ${forecasts.get(c.id)?.progress.value?.moves} ${forecasts.get(c.id)?.progress.value?.onward.length}`,
        left: c.due === null ? null : (c.due - now.value) / 1000,
        words: c.dish && c.of ? `${c.of}: ${c.says}` : c.says
      }))
    )
  )

  /** Those that are cooked at the same fire as it and not lit yet: also such as nothing is forecast of so far. */
  function atItsFire(of: CookRecord): string[] {
    const fire = ({ service, request: { method, kit: by } }: CookRecord): string =>
      [service?.id, method.kind, by.pan.id, by.ring.id].join(' ')
    const unlit = cook.cooks.filter(c => progressOf(c.events).state === 'ready' && c.service !== null && fire(c) === fire(of))
    return unlit.map(c => c.id)
  }

  /** To its own page. */
  function look(id: string): void {
    looked.value = id
    if (id !== DISH) cook.show(id)
  }
  /** The next thing has been done: the stream goes on by itself. */
  function goOn(): void {
    looked.value = held.value = null
  }

  /** When it is cut by its forecast, epoch ms; of what is not in yet, were it laid in now. */
  const carveAt = ({ id, events }: CookRecord): number =>
    (progressOf(events).laidAt ?? now.value) + 1000 * (forecasts.get(id)?.forecast.value?.carve.time ?? 0)

  return { now, inEarnest, forecasts, carveAt, notLit, caller, stream, first, together, others, standOf, atItsFire, look, goOn }
})

/** The id of the ticket's next call in the stream. */
export const DISH = 'dish'
/** How a piece is told from the others, as a heading. */
export const nameOf = ({ service, title }: Pick<CookRecord, 'service' | 'title'>): string => {
  const called = service?.called ?? ''
  return called === '' ? title : `The ${called}`
}
