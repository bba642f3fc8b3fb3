/**
 * A form held to the schema that the server holds it to: what is wrong stands under its own field, from when the
 * cook first tried to send it.
 */
import { computed, ref } from 'vue'
import { InvalidInputError, type Problem } from '#core/input/problem'

type Checked<T> = { readonly value: T } | { readonly problems: readonly Problem[] }

/** @param parse throws InvalidInputError for what is not right */
export function useSchema<T>(parse: (input: unknown) => T, given: () => unknown) {
  const tried = ref(false)
  const checked = computed((): Checked<T> => {
    try {
      return { value: parse(given()) }
    } catch (error) {
      if (error instanceof InvalidInputError) return { problems: error.problems }
      throw error
    }
  })

  /** For the Form.Item of a key. */
  function item(key: string): { readonly validateStatus: 'error'; readonly help: string } | Record<string, never> {
    const wrong = tried.value && 'problems' in checked.value ? checked.value.problems.find(p => p.key === key) : undefined
    return wrong ? { validateStatus: 'error', help: wrong.message } : {}
  }
  /** @returns what was read; null where something is wrong, which is then shown */
  function submit(): T | null {
    tried.value = true
    return 'value' in checked.value ? checked.value.value : null
  }
  const forget = (): void => void (tried.value = false)

  return { item, submit, forget }
}
