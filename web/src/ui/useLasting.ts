import { onScopeDispose, readonly, ref, watch, type Ref } from 'vue'

/** ms: what is over sooner than that is not seen to come and go. */
const GLANCE_MS = 120

/**
 * What has been so for a glance: an answer that is there at once does not fade the page and light it again
 * at every step of a dial. At the beginning it is so at once, and it ends at once.
 */
export function useLasting(so: () => boolean, glanceMs = GLANCE_MS): Readonly<Ref<boolean>> {
  const lasting = ref(so())
  let waiting: ReturnType<typeof setTimeout> | undefined
  watch(
    so,
    is => {
      clearTimeout(waiting)
      if (is) waiting = setTimeout(() => (lasting.value = true), glanceMs)
      else lasting.value = false
    },
    { flush: 'sync' }
  )
  onScopeDispose(() => clearTimeout(waiting))
  return readonly(lasting)
}
