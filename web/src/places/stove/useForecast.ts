/**
 * The forecast for the cook under way, made anew from what has really happened: after
 * each thing said, and every few seconds while something is overdue.
 */
import { computed, onScopeDispose, shallowRef, watch, type Ref } from 'vue'
import type { CookRecord } from '#core/book/record'
import { nextAction } from '#core/cook/nextAction'
import { progressOf, spellsUntil } from '#core/cook/progress'
import type { PanPlan } from '#core/plan/panPlan'
import { hireWorker, Latest } from '../../workers/planner'
import type { Forecast, Probed } from '../../workers/planner.worker'

/** What the forecast made of the probe. */
export type Heard = NonNullable<Forecast['heard']>

const secondsIn = (spells: readonly { readonly seconds: number }[]): number => spells.reduce((sum, s) => sum + s.seconds, 0)

interface Question {
  readonly cook: CookRecord
  readonly now: number
}

const OVERDUE_EVERY_MS = 8000

export function useForecast(cook: Ref<CookRecord | null>, now: Ref<number>) {
  const hand = hireWorker()
  onScopeDispose(() => hand.stop())
  const answer = shallowRef<{ question: Question; plan: PanPlan; heard: Heard | null } | null>(null)
  const trouble = shallowRef<string | null>(null)

  const latest = new Latest<Question, Forecast>(
    ({ cook: asked, now: at }) => {
      const { phase, laidAt, readings } = progressOf(asked.events)
      const past = spellsUntil(asked.events, at)
      const off = phase === 'resting' || phase === 'carved'
      // A reading in the rest says how it ends, and is shown; what it was like in the pan it no longer says well.
      const onHeat = laidAt === null ? [] : off ? readings.filter(r => r.time <= secondsIn(past)) : readings
      const last = onHeat.at(-1)
      const probed: Probed = {
        readings: onHeat.map(r => ({ time: r.time, celsius: r.coreC })),
        past: last && laidAt !== null ? spellsUntil(asked.events, laidAt + 1000 * last.time) : [],
        totalS: asked.planned.pullS
      }
      return hand.remote.forecast(asked.request, past, off, probed) as Promise<Forecast>
    },
    (question, given) => {
      if ('plan' in given) {
        answer.value = { question, plan: given.plan, heard: given.heard ?? null }
        trouble.value = null
      } else {
        trouble.value = given.refused
      }
    },
    () => {
      trouble.value = 'The forecast failed; go by the probe.'
    }
  )
  const ask = (): void => {
    if (cook.value) latest.put({ cook: cook.value, now: now.value })
  }
  let asked = 0
  const askNow = (): void => {
    asked = now.value
    ask()
  }
  watch(() => cook.value?.events, askNow, { immediate: true })

  const forecast = computed(() => (answer.value && answer.value.question.cook.id === cook.value?.id ? answer.value.plan : null))
  const heard = computed(() => (forecast.value ? (answer.value?.heard ?? null) : null))
  /** Whether what was last said is in the forecast yet. */
  const reckoning = computed(() => cook.value !== null && answer.value?.question.cook.events !== cook.value.events)
  const progress = computed(() => (cook.value ? progressOf(cook.value.events) : null))
  const action = computed(() =>
    progress.value && forecast.value ? nextAction(progress.value, forecast.value, cook.value?.planned.preheatS ?? 240) : null
  )

  watch(now, at => {
    const { phase } = progress.value ?? { phase: 'ready' }
    const overdue = phase === 'in the pan' && action.value?.due != null && at > action.value.due + 3000
    if ((overdue || phase === 'lifted') && at - asked > OVERDUE_EVERY_MS) askNow()
  })

  return { forecast, heard, reckoning, progress, action, trouble }
}
