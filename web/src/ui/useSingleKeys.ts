/** Single keys for a cook with one clean finger, but not while something is being typed. */
import { onKeyStroke } from '@vueuse/core'

export function useSingleKeys(keys: Readonly<Record<string, () => void>>): void {
  onKeyStroke(
    e => !typing(e) && !e.ctrlKey && !e.metaKey && !e.altKey && e.key.toLowerCase() in keys,
    e => {
      e.preventDefault()
      keys[e.key.toLowerCase()]()
    }
  )
}

/** Space on a button is the button's own. */
function typing(e: KeyboardEvent): boolean {
  if (!(e.target instanceof HTMLElement)) return false
  return e.target.matches('input, textarea, select, [contenteditable]') || (e.key === ' ' && e.target.matches('button, a'))
}
