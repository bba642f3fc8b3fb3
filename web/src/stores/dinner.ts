/** How many are at the table: said once, in whichever place. */
import { defineStore } from 'pinia'
import { computed, shallowRef } from 'vue'
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
  const atOthers = shallowRef(0)
  /** Null before anybody has said; never fewer than are named. */
  const diners = computed<number | null>({
    get: () => {
      const named = draft.request.guests.named.length + atOthers.value
      return said.value === null ? (named > 1 ? named : null) : Math.max(said.value, named)
    },
    set: n => (said.value = n)
  })
  return { diners, atOthers }
})
