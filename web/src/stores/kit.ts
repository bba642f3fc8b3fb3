/**
 * The kitchen's own kit: kept in the browser, sent to the server when it answers, and laid
 * into every request, so that what is planned is planned with it.
 */
import { defineStore } from 'pinia'
import { computed, ref, watch } from 'vue'
import { parseKit } from '#core/kit/kitSchema'
import { InvalidInputError } from '#core/input/problem'
import { kitInUse, READY_KITS, type Chosen, type Kit, type KitShelf } from '#core/kit/kit'
import { OILS, oilById } from '#core/kit/oil'
import { shownC, TRUE_READER } from '#core/kit/thermometer'
import { api } from '../api/client'
import { useDraft } from './draft'
import { kept } from './kept'
import { outbox } from './outbox'

const isText = (value: unknown): value is string => typeof value === 'string'

function parseChosen(stored: unknown): Chosen {
  const given = stored as Record<string, unknown>
  return Object.fromEntries(
    (['ovens', 'grills', 'pots', 'baths', 'thermometers'] as const).flatMap(s => {
      const id = given[s]
      return isText(id) ? [[s, id]] : []
    })
  )
}

export const useKit = defineStore('kit', () => {
  const draft = useDraft()
  const kit = kept<Kit>('macellaio.kit', () => READY_KITS[0].kit, parseKit)
  const chosen = kept<Chosen>('macellaio.kit.chosen', () => ({}), parseChosen)
  const oilId = kept<string>(
    'macellaio.oil',
    () => OILS[0].id,
    stored => (isText(stored) && oilById(stored) ? stored : OILS[0].id)
  )
  const oil = computed(() => oilById(oilId.value) ?? OILS[0])
  /** Changed here and not yet on the server; an earlier version kept only whether it was. */
  const { letters, offline, refused, post, answered } = outbox<Kit>('macellaio.kit.unsent', api.putKit, {
    parse: stored => (Array.isArray(stored) ? stored : [stored]).map(of => (of === true ? kit.value : parseKit(of))),
    whenRefused: 'hold',
    heard: changed => (kit.value = changed)
  })
  const unsent = computed(() => letters.value.length > 0)
  const mistaken = ref<string | null>(null)
  const problem = computed(() => mistaken.value ?? refused.value)
  const before = ref<Kit | null>(null)

  const thermometer = computed(
    () => kit.value.thermometers.find(t => t.id === chosen.value.thermometers) ?? kit.value.thermometers.at(0) ?? TRUE_READER
  )

  /** What a plan cooks with follows the kit: a pan that is gone is replaced by one that is there. */
  function lay(): void {
    const { kit: before, room } = draft.request
    const inUse = kitInUse(kit.value, chosen.value, before.pan.id, before.ring.id)
    const same = JSON.stringify(before) === JSON.stringify(inUse)
    if (same && room.altitudeM === kit.value.altitudeM) return
    draft.lay({ kit: inUse, room: { ...room, altitudeM: kit.value.altitudeM } })
  }
  watch([kit, chosen], lay, { immediate: true })

  /** A pan on a ring: which is the request's own. */
  function use(shelf: 'pans' | 'rings', id: string): void {
    const item = (kit.value[shelf] as readonly { readonly id: string }[]).find(i => i.id === id)
    if (item) draft.change({ kit: { ...draft.request.kit, [shelf === 'pans' ? 'pan' : 'ring']: item } })
  }

  function replace(next: Kit): boolean {
    try {
      const checked = parseKit(next)
      before.value = kit.value
      kit.value = checked
      mistaken.value = refused.value = null
      post(checked, () => true)
      return true
    } catch (error) {
      if (!(error instanceof InvalidInputError)) throw error
      mistaken.value = error.problems.map(p => p.message).join(' ')
      return false
    }
  }
  function undo(): void {
    const last = before.value
    if (last && replace(last)) before.value = null
  }
  function put<S extends KitShelf>(shelf: S, item: Kit[S][number]): boolean {
    const items = kit.value[shelf] as readonly { readonly id: string }[]
    const known = items.some(i => i.id === item.id)
    const next = known ? items.map(i => (i.id === item.id ? item : i)) : [...items, item]
    return replace({ ...kit.value, [shelf]: next })
  }
  function remove(shelf: KitShelf, id: string): boolean {
    return replace({ ...kit.value, [shelf]: (kit.value[shelf] as readonly { readonly id: string }[]).filter(i => i.id !== id) })
  }
  function choose(shelf: keyof Chosen, id: string): void {
    chosen.value = { ...chosen.value, [shelf]: id }
  }

  /** What the server has counts, unless something here is still on its way to it. */
  async function load(): Promise<void> {
    try {
      const answer = await answered(api.kit)
      if (!answer) return
      const { kit: there } = answer
      if (there && JSON.stringify(there) !== JSON.stringify(kit.value)) kit.value = parseKit(there)
      offline.value = false
    } catch (error) {
      if (error instanceof InvalidInputError) mistaken.value = error.message
      else offline.value = true
    }
  }

  /** What the thermometer in use shows where this is, °C. */
  const shows = (celsius: number): number => shownC(thermometer.value, celsius)
  return { kit, chosen, oil, oilId, thermometer, shows, unsent, offline, problem, before, replace, put, remove, choose, use, undo, load }
})
