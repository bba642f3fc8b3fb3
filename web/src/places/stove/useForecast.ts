/**
 * The forecast for the cook under way, made anew from what has really happened: after
 * each thing said, and every few seconds while something is overdue.
 */
import { computed, onScopeDispose, shallowRef, watch, type Ref } from 'vue'
import type { CookRecord } from '#core/book/record'
import { progressOf, spellsUntil, spentUntil } from '#core/session/progress'
import { nextOf, type Asked, type Forecast } from '#core/session/stand'
import { hireWorker, Latest, type Hand } from '../../workers/planner'
import type { Heard } from '../../workers/planner.worker'

export type { Heard }

const secondsIn = (spells: readonly { readonly seconds: number }[]): number => spells.reduce((sum, s) => sum + s.seconds, 0)

interface Question {
  readonly cook: CookRecord
  readonly now: number
}
type Answer = ({ readonly forecast: Forecast } | { readonly refused: string }) & { readonly heard: Heard | null }

export const askedOf = ({ request, planned }: CookRecord): Asked => ({ request, preheatS: planned.preheatS })

async function ask(remote: Hand['remote'], { cook, now }: Question): Promise<Answer> {
  const { phase, laidAt, readings, again } = progressOf(cook.events)
  const { request, way, events, planned } = cook
  const off = phase === 'resting' || phase === 'carved'
  const past = spellsUntil(events, now)
  // A reading in the rest says how it ends, and is shown; what it was like on the heat it no longer says well.
  const onHeat = laidAt === null ? [] : off ? readings.filter(r => r.time <= secondsIn(past)) : readings
  const heeded = onHeat.map(r => ({ time: r.time, celsius: r.coreC }))
  const last = onHeat.at(-1)
  const lastAt = last && laidAt !== null ? laidAt + 1000 * last.time : null
  if (way === null) {
    const probed = { readings: heeded, past: lastAt === null ? [] : spellsUntil(events, lastAt), totalS: planned.pullS }
    const given = await remote.forecast(request, past, off, probed)
    const heard = given.heard ?? null
    return 'plan' in given ? { forecast: { way, plan: given.plan }, heard } : { refused: given.refused, heard }
  }
  const until = (at: number | null, rests: boolean) => ({ past: at === null ? [] : spentUntil(events, at), off: rests, again })
  const given = await remote.underWay(request, way, until(now, off), { readings: heeded, happened: until(lastAt, false) })
  const heard = given.heard ?? null
  return 'plan' in given ? { forecast: { way, plan: given.plan }, heard } : { refused: given.refused, heard }
}

const OVERDUE_EVERY_MS = 8000

export function useForecast(cook: Ref<CookRecord | null>, now: Ref<number>) {
  const hand = hireWorker()
  onScopeDispose(() => hand.stop())
  const answer = shallowRef<{ question: Question; forecast: Forecast; heard: Heard | null } | null>(null)
  const trouble = shallowRef<string | null>(null)

  const latest = new Latest<Question, Answer>(
    question => ask(hand.remote, question),
    (question, given) => {
      if ('forecast' in given) {
        answer.value = { question, forecast: given.forecast, heard: given.heard }
        trouble.value = null
      } else {
        trouble.value = given.refused
      }
    },
    () => {
      trouble.value = 'The forecast failed; go by the probe.'
    }
  )
  let asked = 0
  const askNow = (): void => {
    asked = now.value
    if (cook.value) latest.put({ cook: cook.value, now: now.value })
  }
  watch(() => cook.value?.events, askNow, { immediate: true })

  const forecast = computed(() => (answer.value && answer.value.question.cook.id === cook.value?.id ? answer.value.forecast : null))
  const heard = computed(() => (forecast.value ? (answer.value?.heard ?? null) : null))
  /** Whether what was last said is in the forecast yet. */
  const reckoning = computed(() => cook.value !== null && answer.value?.question.cook.events !== cook.value.events)
  const progress = computed(() => (cook.value ? progressOf(cook.value.events) : null))
  const action = computed(() =>
    progress.value && forecast.value && cook.value ? nextOf(progress.value, forecast.value, askedOf(cook.value)) : null
  )

  watch(now, at => {
    const { phase } = progress.value ?? { phase: 'ready' }
    const overdue = phase === 'on the heat' && action.value?.due != null && at > action.value.due + 3000
    if ((overdue || phase === 'lifted') && at - asked > OVERDUE_EVERY_MS) askNow()
  })

  return { forecast, heard, reckoning, progress, action, trouble }
}
