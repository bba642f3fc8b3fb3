/** A screen that is looked at from across the kitchen does not go dark. */
import { useWakeLock } from '@vueuse/core'
import { watch } from 'vue'

/** @param wanted anything from when on: refused by the browser, it is asked for again when that changes */
export function useStaysLit(wanted: () => unknown): void {
  const lock = useWakeLock()
  watch(
    wanted,
    is => {
      if (Boolean(is) && lock.isSupported.value && !lock.isActive.value) lock.request('screen').catch(() => undefined)
    },
    { immediate: true }
  )
}
