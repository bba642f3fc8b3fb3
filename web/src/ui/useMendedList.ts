/**
 * What the library's lists leave out for who cannot see them: whether the list is open; and the names of lists that are
 * not there before they first are.
 */
import { nextTick, onMounted, ref, watch, type Ref } from 'vue'

/**
 * @param box where the list's input stands
 * @param id of that input
 * @returns whether it is open, to be kept by who has the list
 */
export function useMendedList(box: Readonly<Ref<HTMLElement | null>>, id: string): Ref<boolean> {
  const open = ref(false)
  function mend(): void {
    const input = box.value?.querySelector('input')
    if (!input) return
    input.setAttribute('aria-expanded', String(open.value))
    if (open.value) input.setAttribute('aria-controls', `${id}_list`)
    for (const names of ['aria-owns', 'aria-controls', 'aria-activedescendant']) {
      if (!document.getElementById(input.getAttribute(names) ?? '')) input.removeAttribute(names)
    }
  }
  onMounted(mend)
  watch(open, () => nextTick(mend))
  return open
}
