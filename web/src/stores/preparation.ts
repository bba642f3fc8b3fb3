/** How the piece is got ready, and by when: kept through reloads. What it does to the piece is written to the draft. */
import { defineStore } from 'pinia'
import { computed, shallowRef, watch } from 'vue'
import type { Packet } from '#core/shop/larder'
import { parsePacket } from '#core/shop/schema'
import { SURFACES } from '#core/meat/piece'
import { FROMS, OILINGS, PEPPERINGS, SALTINGS, USUAL_PREPARATION, type Compared, type Preparation } from '#core/plan/preparation'
import { RequestError, type PlanRequest } from '#core/request/request'
import { meltsCheese, setupOf } from '#core/request/setup'
import { checklistFor } from '#core/words/preparation'
import { askEngine } from '../workers/engine'
import { Queue } from '../workers/queue'
import { useDraft } from './draft'
import { kept } from './kept'

function parse(stored: unknown): Preparation {
  // An older one does not say where it is.
  const p = { ...(stored as Preparation), from: (stored as Partial<Preparation>).from ?? 'fridge' }
  const fine =
    p.surface in SURFACES &&
    FROMS.includes(p.from) &&
    SALTINGS.includes(p.salt) &&
    PEPPERINGS.includes(p.pepper) &&
    OILINGS.includes(p.oil) &&
    [p.outMin, p.fridgeC].every(Number.isFinite) &&
    [p.knife, p.tie].every(b => typeof b === 'boolean')
  if (!fine) throw new Error('not a preparation')
  return p
}

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
  const preparation = kept<Preparation>('macellaio.preparation', () => USUAL_PREPARATION, parse)
  /** When the piece goes in, ms. */
  const goesIn = kept<number>('macellaio.goesIn', tomorrowEvening, stored => {
    if (typeof stored !== 'number' || stored < Date.now() - 12 * HOUR) throw new Error('past')
    return stored
  })
  const ticked = kept<readonly string[]>(
    'macellaio.ticked',
    () => [],
    stored => (stored as unknown[]).map(String)
  )
  /** The packet that the piece came from. */
  const packet = kept<Packet | null>(
    'macellaio.benchPacket',
    () => null,
    stored => (stored === null ? null : parsePacket(stored))
  )
  const compared = shallowRef<{ readonly question: PreparationQuestion; readonly answer: Compared } | null>(null)

  // A face is wet or dry once, wherever that is said.
  watch(
    () => draft.request.piece.surface,
    surface => {
      if (surface !== preparation.value.surface) preparation.value = { ...preparation.value, surface }
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
    checklistFor(preparation.value, draft.cut, draft.request.piece, draft.request.method.kind, thawS.value, meltsCheese(draft.request))
  )

  function change(part: Partial<Preparation>): void {
    preparation.value = { ...preparation.value, ...part }
    if (preparation.value.surface !== draft.request.piece.surface) draft.changePiece({ surface: preparation.value.surface })
    if ('outMin' in part || 'fridgeC' in part) warm.put({ request: draft.request, preparation: preparation.value })
  }
  function tick(id: string): void {
    ticked.value = ticked.value.includes(id) ? ticked.value.filter(t => t !== id) : [...ticked.value, id]
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

  // Another cut on the bench begins its list anew.
  watch(
    () => draft.request.piece.cutId,
    id => {
      ticked.value = []
      if (packet.value?.cutId === id) return
      packet.value = null
      preparation.value = { ...preparation.value, from: 'fridge' }
    }
  )

  return { preparation, comparable: computed(() => question.value !== null), goesIn, ticked, packet, tasks, current, watched, change, tick }
})

/** The comparison does not hang on the piece's own surface and start: it tries all of them. */
function same(a: PreparationQuestion, b: PreparationQuestion): boolean {
  const plain = ({ request, preparation }: PreparationQuestion): string => {
    const { piece, ...settings } = request
    return JSON.stringify([{ ...piece, surface: '', startC: 0 }, settings, preparation.surface, preparation.outMin, preparation.fridgeC])
  }
  return plain(a) === plain(b)
}
