/** The unit system a cook reads, everywhere at once. */
import { defineStore } from 'pinia'
import { computed } from 'vue'
import { sayIn } from '#core/quantity/sentence'
import type { UnitSystem } from '#core/quantity/units'
import { kept } from './kept'

export const useUnits = defineStore('units', () => {
  const system = kept<UnitSystem>(
    'macellaio.units',
    () => 'metric',
    stored => (stored === 'us' ? 'us' : 'metric')
  )
  const label = computed(() => (system.value === 'metric' ? 'mm · °C · g' : 'in · °F · oz'))
  const toggle = (): void => {
    system.value = system.value === 'metric' ? 'us' : 'metric'
  }
  /** A sentence written in metric, as it is read here. */
  const say = (text: string): string => sayIn(text, system.value)
  return { system, label, toggle, say }
})
