/** How many are at the table: said once, in whichever place. */
import { defineStore } from 'pinia'
import { computed, shallowRef } from 'vue'
import { eats } from '#core/request/guests'
import type { Guest } from '#core/request/request'
import { DINERS_LIMITS } from '#core/service/ticket'
import { useDraft } from './draft'
import { kept } from './kept'

export const useDinner = defineStore('dinner', () => {
  const draft = useDraft()
  const said = kept<number | null>(
    'macellaio.diners',
    () => null,
    stored => (typeof stored === 'number' && stored >= DINERS_LIMITS[0] && stored <= DINERS_LIMITS[1] ? Math.round(stored) : null)
  )
  /** Named for other pieces of the service than the one at the fire. */
  const others = shallowRef<readonly Guest[]>([])
  const named = computed(() => [...draft.request.guests.named, ...others.value])
  /** Null before anybody has said; never fewer than are named. */
  const diners = computed<number | null>({
    get: () => {
      const { length } = named.value
      return said.value === null ? (length > 1 ? length : null) : Math.max(said.value, length)
    },
    set: n => (said.value = n)
  })
  /** Of them, who eat no meat. */
  const noMeat = computed(() => named.value.filter(g => !eats(g)).length)
  return { diners, others, noMeat }
})
