/** Money in whatever the cook counts in: a figure without a sign. Prices are kept a kilogram. */
import type { UnitSystem } from '#core/quantity/units'

export interface PerMass {
  readonly words: string
  /** Prices a kilogram for one of these. */
  readonly factor: number
}

export const perMass = (system: UnitSystem): PerMass =>
  system === 'metric' ? { words: 'a kilo', factor: 1 } : { words: 'a pound', factor: 2.20462 }

export const money = (amount: number): string => (amount >= 100 ? amount.toFixed(0) : amount.toFixed(2))
