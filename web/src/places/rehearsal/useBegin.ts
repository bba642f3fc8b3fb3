/** Begins a rehearsal: each piece is planned as it was told, and lies ready at a stove whose clock is its own. */
import { nanoid } from 'nanoid'
import { ref } from 'vue'
import { useRouter } from 'vue-router'
import { cutById } from '#core/meat/cuts'
import { piecesName } from '#core/meat/piece'
import type { Exercise, Part } from '#core/rehearsal/exercises'
import type { PlanAnswer } from '#core/usecase/plan'
import { capital, showLength, shownText } from '#core/quantity/format'
import { api } from '../../api/client'
import { useClock } from '../../stores/clock'
import { useCook } from '../../stores/cook'
import { resultOf, type PlanResult } from '../../stores/plan'
import { useUnits } from '../../stores/units'
import { askEngine } from '../../workers/engine'

type Told = Pick<Exercise, 'name' | 'calls' | 'probe' | 'guestsLateS'> & { readonly id: string | null; readonly parts: readonly Part[] }

/** A plan of the cook's own, as nearly as kitchens are what they are said to be. */
export const ownPlan = (request: Part['request'], name: string): Told => ({
  id: null,
  name,
  calls: true,
  probe: true,
  parts: [{ request, called: '' }]
})

export function useBegin() {
  const clock = useClock()
  const cook = useCook()
  const router = useRouter()
  const units = useUnits()
  const beginning = ref<string | null>(null)
  const trouble = ref('')

  async function begin(told: Told): Promise<void> {
    if (beginning.value !== null) return
    beginning.value = told.id ?? ''
    trouble.value = ''
    try {
      const results = await plansOf(told.parts)
      const id = nanoid(16)
      const { clock: going } = await api.beginRehearsal(id, told.id)
      const { name, calls, probe, guestsLateS = 0 } = told
      clock.enter({ id, name, calls, probe, guestsLateS }, going.at, going.speed)
      light(id, told, results)
      await router.push('/stove')
    } catch (error) {
      trouble.value = error instanceof Error ? error.message : String(error)
    } finally {
      beginning.value = null
    }
  }

  const plansOf = (parts: readonly Part[]): Promise<PlanResult[]> =>
    askEngine(async engine => {
      const all: PlanResult[] = []
      for (const { request } of parts) {
        const answer = (await engine.plan(request)) as PlanAnswer
        if ('refused' in answer) throw new Error(answer.refused)
        all.push(resultOf(request, answer))
      }
      return all
    })

  /** What takes longest is first, and the others go in so much later that all are carved together. */
  function light(id: string, { parts }: Told, results: readonly PlanResult[]): void {
    const longest = Math.max(...results.map(r => r.plan.carve.time))
    const inOrder = parts.map(({ called }, i) => ({ called, of: results[i] })).sort((a, b) => b.of.plan.carve.time - a.of.plan.carve.time)
    let first: string | null = null
    for (const { called, of } of inOrder) {
      const after = first === null ? null : { cookId: first, seconds: Math.round(longest - of.plan.carve.time) }
      const { piece } = of.request
      const cut = cutById(piece.cutId)
      const what = called === '' ? (cut ? piecesName(piece, cut) : piece.cutId) : capital(called)
      const thick = shownText(showLength(piece.thicknessMm, units.system))
      const begun = cook.begin(`${what}, ${thick}`, of, null, { id, after, called })
      first ??= begun
    }
    if (first !== null) cook.show(first)
  }

  return { beginning, trouble, begin }
}
