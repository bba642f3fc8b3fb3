/** Who is at the table and how each wants it, the cook's own scale, and what is gone by for safety. */
import { defineStore } from 'pinia'
import { nanoid } from 'nanoid'
import { computed } from 'vue'
import { scaleSchema } from '#core/doneness/scaleSchema'
import { TARGET_LIMITS } from '#core/request/schema'
import { OWN, SCALES, type Scale } from '#core/doneness/scale'
import { REFERENCES } from '#core/safety/lethality'
import { useDraft } from './draft'
import { kept } from './kept'

export interface Guest {
  readonly id: string
  readonly name: string
  /** °C at the core, at its peak. */
  readonly targetC: number
}

export const MOST_GUESTS = 12
const NAME_LENGTH = 40

function parseGuests(stored: unknown): Guest[] {
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
  const guests = kept<readonly Guest[]>('macellaio.guests', () => [], parseGuests)
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
    if (guests.value.length < MOST_GUESTS) guests.value = [...guests.value, { id: nanoid(8), name, targetC }]
  }
  function change(id: string, part: Partial<Omit<Guest, 'id'>>): void {
    guests.value = guests.value.map(g => (g.id === id ? { ...g, ...part, name: (part.name ?? g.name).slice(0, NAME_LENGTH) } : g))
  }
  function dismiss(id: string): void {
    guests.value = guests.value.filter(g => g.id !== id)
  }

  /** @returns what is wrong with the scale; null once it is kept */
  function setOwn(next: Scale): string | null {
    try {
      own.value = scaleSchema.validateSync(next) as Scale
      if (draft.request.scaleId === OWN) draft.change({ ownScale: own.value })
      return null
    } catch (error) {
      return error instanceof Error ? error.message : 'That cannot be a scale.'
    }
  }
  /** Goes by another school: the word stays, its degrees follow. */
  function goBy(id: string, word: string): void {
    const next = scales.value.find(s => s.id === id)
    if (!next) return
    const targetC = next.bands.find(b => b.word === word)?.aim ?? draft.request.targetC
    draft.change({ scaleId: id, targetC, ...(id === OWN ? { ownScale: own.value } : {}) })
  }

  /** Each doneness wanted at the table once, the rarest first; only the plan's own where nobody is named. */
  const targets = computed(() =>
    [...new Set(guests.value.length > 0 ? guests.value.map(g => g.targetC) : [draft.request.targetC])].sort((a, b) => a - b)
  )

  return { guests, own, reference, scales, targets, seat, change, dismiss, setOwn, goBy }
})
