/** Several donenesses at one table, by the plan at the fire: a piece each, carved at once; or one piece, a part of it put back. */
import { defineStore } from 'pinia'
import { computed, shallowRef, watch } from 'vue'
import { bandOf, scaleOf } from '#core/doneness/scale'
import { carvedAtOnce, sharedOut, type Slot } from '#core/plan/carvedAtOnce'
import type { Plan } from '#core/plan/plan'
import type { SecondServing } from '#core/plan/secondServing'
import { capital, listed, showTemperature, shownText } from '#core/quantity/format'
import { eaters, wantedOf } from '#core/request/guests'
import type { PlanRequest } from '#core/request/request'
import { batchesOf, betweenBatches } from '#core/request/setup'
import { inWords } from '#core/service/onePan'
import type { PlanAnswer, Refused } from '#core/usecase/plan'
import type { Remote } from 'comlink'
import { askEngine } from '../workers/engine'
import type { Engine } from '../workers/engine.worker'
import { useDraft } from './draft'
import { useGuests } from './guests'
import { resultOf, usePlan, type PlanResult } from './plan'
import { useUnits } from './units'

/** A title has its limit. */
const NAMES_LENGTH = 40

const ORDINALS = ['first', 'second', 'third', 'fourth', 'fifth', 'sixth', 'seventh', 'eighth', 'ninth', 'tenth']

export type Mode = 'each' | 'one'

interface Back {
  readonly targetC: number
  readonly found: SecondServing | Refused
}
/** One doneness of the table. */
interface Share {
  readonly slot: Slot
  readonly result: PlanResult
  readonly pieces: number
  /** "2 rare pieces" */
  readonly called: string
  /** Whose it is, by name; empty where nobody has one. */
  readonly guests: string
}
/** What is laid in together, and comes off together. */
interface Load extends Pick<Share, 'result' | 'called' | 'guests'> {
  /** s after the first. */
  readonly inAt: number
}
/** One that is lit, and of which piece of the service it is. */
export interface Lit extends Load {
  readonly piece: string
}
interface PieceAsked {
  readonly id: string
  readonly request: PlanRequest
}
interface Found {
  readonly of: PlanResult
  readonly shares: readonly Share[]
  readonly first: Plan
  readonly backs: readonly Back[]
  readonly refused: readonly string[]
}

export const useTable = defineStore('table', () => {
  const draft = useDraft()
  const guests = useGuests()
  const plan = usePlan()
  const units = useUnits()

  /** As chosen; before that by whether there are pieces to share out. */
  const chosen = shallowRef<Mode | null>(null)
  const mode = computed<Mode>({
    get: () => chosen.value ?? (draft.request.piece.count > 1 ? 'each' : 'one'),
    set: next => (chosen.value = next)
  })
  const several = computed(() => guests.targets.length > 1)
  const found = shallowRef<Found | null>(null)
  const failed = shallowRef(false)
  let round = 0
  watch(
    [() => plan.current, () => guests.targets, mode],
    () => {
      const of = plan.current
      round += 1
      if (!of || !several.value) return
      const mine = round
      failed.value = false
      work(of)
        .then(result => {
          if (mine === round) found.value = result
        })
        .catch(() => (failed.value = mine === round))
    },
    { immediate: true }
  )
  const shown = computed(() => (found.value && found.value.of === plan.current && several.value ? found.value : null))

  const aimedAt = (request: PlanRequest, coreC: number): PlanRequest => ({ ...request, target: { ...request.target, coreC } })
  /** The same piece to each doneness; and what of them cannot be. */
  async function plansFor(engine: Remote<Engine>, of: PlanResult, wanted: readonly number[]): Promise<[PlanResult[], string[]]> {
    const results: PlanResult[] = []
    const refused: string[] = []
    for (const targetC of wanted) {
      const request = aimedAt(of.request, targetC)
      const answer = targetC === of.plan.target ? of : ((await engine.plan(request)) as PlanAnswer)
      if ('refused' in answer) refused.push(`${shownText(showTemperature(targetC, units.system))}: ${answer.refused}`)
      else results.push(targetC === of.plan.target ? of : { ...of, ...answer, request })
    }
    return [results, refused]
  }

  async function work(of: PlanResult): Promise<Found> {
    const { request, plan: planned } = of
    return askEngine(async engine => {
      const wanted = mode.value === 'each' ? guests.targets : guests.targets.slice(0, 1)
      const [results, refused] = await plansFor(engine, of, wanted)
      const first = results.at(0)?.plan ?? planned
      const backs: Back[] = []
      if (mode.value === 'one' && results.length > 0)
        for (const targetC of guests.targets.slice(1))
          backs.push({ targetC, found: (await engine.second(aimedAt(request, first.target), first, targetC)) as Back['found'] })
      return { of, shares: mode.value === 'each' ? sharesOf(of.request, results) : [], first, backs, refused }
    })
  }

  function sharesOf({ piece, target, guests: all }: PlanRequest, results: readonly PlanResult[]): Share[] {
    if (results.length === 0) return []
    const named = eaters(all)
    const wanted = results.map(r => Math.max(1, named.filter(g => g.targetC === r.request.target.coreC).length))
    const pieces = sharedOut(piece.count, wanted)
    return carvedAtOnce(results.map(r => r.plan)).map((slot): Share => {
      const i = results.findIndex(r => r.plan.target === slot.targetC)
      const { word } = bandOf(scaleOf(target), slot.targetC)
      const names = named.flatMap(g => (g.targetC === slot.targetC && g.name.trim() !== '' ? [g.name.trim()] : []))
      const called = pieces[i] > 1 ? `${pieces[i]} ${word} pieces` : `${word} piece`
      return { slot, result: results[i], pieces: pieces[i], called, guests: listed(names).slice(0, NAMES_LENGTH) }
    })
  }

  /** The cooks that a plan is: one, one for each doneness, or batch after batch where the pan does not take all at once. */
  const loadsFor = (of: PlanResult): Load[] => loadsOf(of, shown.value?.shares ?? [])
  function loadsOf(of: PlanResult, all: readonly Share[]): Load[] {
    const { request } = of
    const whole = { slot: null, result: of, pieces: request.piece.count, called: '', guests: '' }
    const shares = all.length > 1 ? all : [whole]
    if (batchesOf(request).length < 2) return shares.map(({ slot, ...s }) => ({ ...s, inAt: slot?.inAt ?? 0 }))
    let inAt = 0
    let nth = 0
    return shares.flatMap(({ result, pieces, called, guests: whose }) => {
      const asked = { ...result.request, piece: { ...request.piece, count: pieces } }
      return batchesOf(asked).map((count, i, all): Load => {
        const load = {
          inAt,
          result: { ...result, request: { ...asked, piece: { ...asked.piece, count } } },
          called:
            called === '' ? `${ORDINALS[nth] ?? `${nth + 1}th`} batch of ${count}` : all.length > 1 ? `${called}, batch ${i + 1}` : called,
          guests: whose
        }
        nth += 1
        inAt += result.plan.pull.time + betweenBatches(request)
        return load
      })
    })
  }

  /**
   * What is lit at once: the piece at the fire, and others that share its pan, each laid in so that all are carved
   * together; whose takes longest first.
   * @throws where one of them cannot be planned
   */
  async function withMates(mine: readonly Lit[], mates: readonly PieceAsked[]): Promise<Lit[]> {
    const theirs = await askEngine(async engine => {
      const all: Lit[][] = []
      for (const { id, request } of mates) {
        const answer = (await engine.plan(request)) as PlanAnswer
        if ('refused' in answer) throw new Error(`${capital(inWords(request))}: ${answer.refused}`)
        const result = resultOf(request, answer)
        const wanted = wantedOf(request)
        const shares = request.piece.count > 1 && wanted.length > 1 ? sharesOf(request, (await plansFor(engine, result, wanted))[0]) : []
        all.push(loadsOf(result, shares).map(load => ({ ...load, piece: id })))
      }
      return all
    })
    const end = (loads: readonly Lit[]): number => Math.max(...loads.map(l => l.inAt + l.result.plan.carve.time))
    const all = [mine, ...theirs]
    const last = Math.max(...all.map(end))
    return all
      .flatMap(loads =>
        loads.map(l => {
          const what = inWords({
            ...l.result.request,
            piece: { ...l.result.request.piece, count: l.called === '' ? l.result.request.piece.count : 1 }
          })
          return { ...l, inAt: l.inAt + last - end(loads), called: l.called === '' ? what : `${l.called} of ${what}` }
        })
      )
      .sort((a, b) => a.inAt - b.inAt)
  }

  /** Whether what is lit now would not be shared out yet. */
  const working = computed(() => mode.value === 'each' && several.value && !shown.value && !failed.value)

  return { mode, several, failed, shown, working, loadsFor, withMates }
})
