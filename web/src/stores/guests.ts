/** Who is at the table and how each wants it, the cook's own scale, and what is gone by for safety. */
import { defineStore } from 'pinia'
import { nanoid } from 'nanoid'
import { computed } from 'vue'
import { scaleSchema } from '#core/doneness/scaleSchema'
import { wantedOf } from '#core/request/guests'
import type { Guest } from '#core/request/request'
import { MOST_NAMED, NAME_LENGTH, TARGET_LIMITS } from '#core/request/schema'
import { OWN, SCALES, type Scale } from '#core/doneness/scale'
import { REFERENCES } from '#core/safety/lethality'
import { useDraft } from './draft'
import { kept } from './kept'

/** Who was named before they were part of the request. */
function parseEarlier(stored: unknown): Guest[] {
  if (!Array.isArray(stored)) return []
  return (stored as Partial<Guest>[]).flatMap(({ id, name, targetC }) =>
    typeof id === 'string' &&
    typeof name === 'string' &&
    typeof targetC === 'number' &&
    targetC >= TARGET_LIMITS[0] &&
    targetC <= TARGET_LIMITS[1]
      ? [{ id, name: name.slice(0, NAME_LENGTH), targetC }]
      : []
  )
}

const MINE: Scale = { ...SCALES[0], id: OWN, name: 'My own', says: 'as I mean the words' }

export const useGuests = defineStore('guests', () => {
  const draft = useDraft()
  const earlier = kept<readonly Guest[] | null>('macellaio.guests', () => null, parseEarlier)
  if (earlier.value) {
    if (draft.request.guests.named.length === 0)
      draft.lay({ guests: { ...draft.request.guests, named: earlier.value.slice(0, MOST_NAMED) } })
    earlier.value = null
  }
  const guests = computed(() => draft.request.guests.named)
  const own = kept<Scale>(
    'macellaio.scale',
    () => MINE,
    stored => scaleSchema.validateSync(stored) as Scale
  )
  const reference = kept<string>(
    'macellaio.reference',
    () => REFERENCES[0].id,
    stored => REFERENCES.find(r => r.id === stored)?.id ?? REFERENCES[0].id
  )
  const scales = computed(() => [...SCALES, own.value])

  function seat(targetC: number, name = ''): void {
    if (guests.value.length < MOST_NAMED) draft.seat({ named: [...guests.value, { id: nanoid(8), name, targetC }] })
  }
  function change(id: string, part: Partial<Omit<Guest, 'id'>>): void {
    draft.seat({ named: guests.value.map(g => (g.id === id ? { ...g, ...part, name: (part.name ?? g.name).slice(0, NAME_LENGTH) } : g)) })
  }
  function dismiss(id: string): void {
    draft.seat({ named: guests.value.filter(g => g.id !== id) })
  }

  /** @returns what is wrong with the scale; null once it is kept */
  function setOwn(next: Scale): string | null {
    try {
      own.value = scaleSchema.validateSync(next) as Scale
      if (draft.request.target.scaleId === OWN) draft.aim({ ownScale: own.value })
      return null
    } catch (error) {
      return error instanceof Error ? error.message : 'That cannot be a scale.'
    }
  }
  /** To a figure by a school. */
  function goTo(scaleId: string, coreC: number): void {
    draft.change({ target: { scaleId, coreC, ...(scaleId === OWN ? { ownScale: own.value } : {}) } })
  }
  /** Goes by another school: the word stays, its degrees follow. */
  function goBy(id: string, word: string): void {
    const next = scales.value.find(s => s.id === id)
    if (!next) return
    const coreC = next.bands.find(b => b.word === word)?.aim ?? draft.request.target.coreC
    goTo(id, coreC)
  }

  /** Each doneness wanted at the table once, the rarest first; only the plan's own where nobody is named. */
  const targets = computed(() => wantedOf(draft.request))

  return { guests, own, reference, scales, targets, seat, change, dismiss, setOwn, goTo, goBy }
})
