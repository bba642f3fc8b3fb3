/** How the piece at the fire is got ready, and by when. What that does to the piece is written to the draft. */
import { defineStore } from 'pinia'
import { computed, shallowRef, watch } from 'vue'
import type { Packet } from '#core/shop/larder'
import { agreeing, type Compared, type Preparation } from '#core/plan/preparation'
import { RequestError, type PlanRequest } from '#core/request/request'
import { crustGoesOn, meltsCheese, setupOf } from '#core/request/setup'
import { checklistFor } from '#core/words/preparation'
import { askEngine } from '../workers/engine'
import { Queue } from '../workers/queue'
import { useDraft } from './draft'
import { kept } from './kept'

const HOUR = 3600_000
/** The next dinner time that leaves a day for drying. */
function tomorrowEvening(): number {
  const evening = new Date(Date.now() + 24 * HOUR)
  evening.setHours(19, 0, 0, 0)
  return evening.getTime()
}

interface PreparationQuestion {
  readonly request: PlanRequest
  readonly preparation: Preparation
}

export const usePreparation = defineStore('preparation', () => {
  const draft = useDraft()
  const preparation = computed(() => draft.prepared.how)
  const ticked = computed(() => draft.prepared.ticked)
  const packet = computed(() => draft.prepared.packet ?? null)
  const be = (part: Partial<Preparation>): void => void (draft.prepared = { ...draft.prepared, how: { ...preparation.value, ...part } })
  /** When the piece goes in, ms. */
  const goesIn = kept<number>('macellaio.goesIn', tomorrowEvening, stored => {
    if (typeof stored !== 'number' || stored < Date.now() - 12 * HOUR) throw new Error('past')
    return stored
  })
  const compared = shallowRef<{ readonly question: PreparationQuestion; readonly answer: Compared } | null>(null)

  // A face is wet or dry once, wherever that is said.
  watch(
    () => draft.request.piece.surface,
    surface => {
      if (surface !== preparation.value.surface) be({ surface })
    },
    { immediate: true }
  )

  /** In the fridge, by the engine, s; null while it is not known, or not wanted. */
  const thawS = shallowRef<number | null>(null)
  watch(
    [() => preparation.value.from, () => draft.request.piece.cutId, () => draft.request.piece.thicknessMm],
    ([from, cutId, thicknessMm]) => {
      thawS.value = null
      if (from !== 'freezer') return
      void askEngine(w => w.thaw(cutId, thicknessMm, 'fridge')).then(
        seconds => {
          if (preparation.value.from === 'freezer' && draft.request.piece.thicknessMm === thicknessMm) thawS.value = seconds
        },
        () => undefined
      )
    },
    { immediate: true }
  )
  const tasks = computed(() =>
    checklistFor(preparation.value, draft.cut, draft.request.piece, draft.request.method.kind, thawS.value, {
      cheese: meltsCheese(draft.request),
      crust: crustGoesOn(draft.request) === 'before'
    })
  )

  function change(part: Partial<Preparation>): void {
    be(agreeing(preparation.value, part))
    if (preparation.value.surface !== draft.request.piece.surface) draft.changePiece({ surface: preparation.value.surface })
    if ('outMin' in part || 'fridgeC' in part) warm.put({ request: draft.request, preparation: preparation.value })
  }
  function tick(id: string): void {
    const next = ticked.value.includes(id) ? ticked.value.filter(t => t !== id) : [...ticked.value, id]
    draft.prepared = { ...draft.prepared, ticked: next }
  }
  /** It comes out of this packet, wherever that lies. */
  function cameFrom(of: Packet): void {
    draft.prepared = { ...draft.prepared, packet: of }
    change({ from: of.place })
  }

  const warm = new Queue<PreparationQuestion, number>({
    ask: (remote, { request, preparation: p }) => remote.warmedUp(request, p),
    answered: (_, startC) => draft.changePiece({ startC: Math.round(startC * 10) / 10 }),
    failed: () => undefined
  })
  const comparing = new Queue<PreparationQuestion, Compared>({
    ask: (remote, { request, preparation: p }) => remote.preparations(request, p),
    answered: (question, answer) => (compared.value = { question, answer }),
    failed: () => (compared.value = null)
  })

  const question = computed<PreparationQuestion | null>(() => {
    const { request } = draft
    // A joint takes its time, and half an hour more or less of chill is little to it.
    if (request.piece.form === 'roast') return null
    try {
      setupOf(request)
    } catch (error) {
      if (error instanceof RequestError) return null
      throw error
    }
    return { request, preparation: preparation.value }
  })
  /** Only while somebody looks. */
  const watched = shallowRef(false)
  watch([question, watched], ([q, on]) => {
    if (on && q) comparing.put(q)
  })
  /** For exactly what is on the screen. */
  const current = computed(() => {
    const found = compared.value
    return found && question.value && same(found.question, question.value) ? found.answer : null
  })

  return {
    preparation,
    comparable: computed(() => question.value !== null),
    goesIn,
    ticked,
    packet,
    tasks,
    current,
    watched,
    change,
    tick,
    cameFrom
  }
})

/** The comparison does not hang on the piece's own surface and start: it tries all of them. */
function same(a: PreparationQuestion, b: PreparationQuestion): boolean {
  const plain = ({ request, preparation }: PreparationQuestion): string => {
    const { piece, ...settings } = request
    return JSON.stringify([{ ...piece, surface: '', startC: 0 }, settings, preparation.surface, preparation.outMin, preparation.fridgeC])
  }
  return plain(a) === plain(b)
}
