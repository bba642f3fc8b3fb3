/** The unit system a cook reads, everywhere at once. */
import { defineStore } from 'pinia'
import { computed } from 'vue'
import type { UnitSystem } from '#core/quantity/units'
import { kept } from './kept'

export const useUnits = defineStore('units', () => {
  const system = kept<UnitSystem>(
    'macellaio.units',
    () => 'metric',
    stored => (stored === 'us' ? 'us' : 'metric')
  )
  const label = computed(() => (system.value === 'metric' ? 'mm · °C · g' : 'in · °F · oz'))
  const degrees = computed(() => (system.value === 'metric' ? '°C' : '°F'))
  const toggle = (): void => {
    system.value = system.value === 'metric' ? 'us' : 'metric'
  }
  return { system, label, degrees, toggle }
})
