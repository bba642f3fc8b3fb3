/** Single keys for a cook with one clean finger, but not while something is being typed. */
import { onKeyStroke, useEventListener } from '@vueuse/core'
import { onMounted } from 'vue'

export function useSingleKeys(keys: Readonly<Record<string, () => void>>): void {
  onKeyStroke(
    e => !typing(e) && !e.ctrlKey && !e.metaKey && !e.altKey && e.key.toLowerCase() in keys,
    e => {
      e.preventDefault()
      keys[e.key.toLowerCase()]()
    }
  )
  // What was pressed with a finger or the mouse is done with: space is the stove's again.
  onMounted(letGo)
  useEventListener(document, 'click', e => {
    if (e.detail > 0) letGo()
  })
}

function letGo(): void {
  const { activeElement } = document
  if (activeElement instanceof HTMLElement && activeElement.matches(PRESSED) && !activeElement.matches(':focus-visible'))
    activeElement.blur()
}
const PRESSED = 'button, a'

/** Space on a button that the keyboard has come to is the button's own. */
function typing(e: KeyboardEvent): boolean {
  if (!(e.target instanceof HTMLElement)) return false
  return e.target.matches('input, textarea, select, [contenteditable]') || (e.key === ' ' && e.target.matches(PRESSED))
}
