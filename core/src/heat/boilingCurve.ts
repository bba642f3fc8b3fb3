/**
 * Temperature of a wet cell as a function of the enthalpy it has gained: straight
 * while it warms, nearly flat while its free water boils away, steeper again on the
 * last bound water, and straight once dry. J/m³, kg/m³, °C.
 */
import { BOILING_LATENT_HEAT, BOUND_WATER_GONE, FREE_WATER_GONE } from './vapour'

export class BoilingCurve {
  /** Result of `invert`. */
  temperature = 0
  /** K per J/m³, result of `invert`. */
  slope = 0

  private readonly freeEnd: number
  private readonly boundEnd: number
  /** Water lost for each kelvin on either piece of the curve. */
  private readonly freeRate: number
  private readonly boundRate: number

  constructor(
    readonly boiling: number,
    private readonly rawWater: number
  ) {
    this.freeEnd = boiling + FREE_WATER_GONE.aboveBoiling
    this.boundEnd = boiling + BOUND_WATER_GONE.aboveBoiling
    this.freeRate = (rawWater * (1 - FREE_WATER_GONE.share)) / (this.freeEnd - boiling)
    this.boundRate = (rawWater * FREE_WATER_GONE.share) / (this.boundEnd - this.freeEnd)
  }

  /** The most water that can stay in a cell at a temperature. */
  staying(celsius: number): number {
    if (celsius <= this.boiling) return Infinity
    if (celsius <= this.freeEnd) return this.rawWater - this.freeRate * (celsius - this.boiling)
    return Math.max(0, this.boundRate * (this.boundEnd - celsius))
  }

  /**
   * @param enthalpyGain enthalpy since the start of the step, with what left as steam counted in
   * @param capacity sensible heat, J/(m³·K)
   * @param from temperature at the start
   * @param water at the start
   */
  invert(enthalpyGain: number, capacity: number, from: number, water: number): void {
    this.temperature = from + enthalpyGain / capacity
    this.slope = 1 / capacity
    if (water <= 0 || this.temperature <= this.boiling) return

    const excess = Math.max(0, water - this.rawWater)
    const knee = this.knee(water)
    let reached = capacity * (knee - from)
    if (enthalpyGain <= reached) return
    reached += BOILING_LATENT_HEAT * excess
    if (enthalpyGain <= reached) {
      this.temperature = knee
      this.slope = 0
      return
    }
    let at = knee
    if (at < this.freeEnd) {
      const heavy = capacity + BOILING_LATENT_HEAT * this.freeRate
      const end = reached + heavy * (this.freeEnd - at)
      if (enthalpyGain <= end) {
        this.temperature = at + (enthalpyGain - reached) / heavy
        this.slope = 1 / heavy
        return
      }
      reached = end
      at = this.freeEnd
    }
    const heavy = capacity + BOILING_LATENT_HEAT * this.boundRate
    const end = reached + heavy * (this.boundEnd - at)
    if (enthalpyGain <= end) {
      this.temperature = at + (enthalpyGain - reached) / heavy
      this.slope = 1 / heavy
      return
    }
    this.temperature = this.boundEnd + (enthalpyGain - end) / capacity
  }

  /** Temperature at which a cell with this much water starts to boil. */
  knee(water: number): number {
    const free = this.rawWater * FREE_WATER_GONE.share
    if (water >= this.rawWater) return this.boiling
    return water > free ? this.boiling + (this.rawWater - water) / this.freeRate : this.freeEnd + (free - water) / this.boundRate
  }
}
