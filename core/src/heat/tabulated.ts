/**
 * A smooth function of temperature kept as a table, for the loops where its
 * exponential would cost more than everything around it. Straight interpolation
 * every quarter kelvin from −50 to 450 °C; the ends hold.
 */
export class Tabulated {
  private readonly values: Float64Array

  constructor(of: (celsius: number) => number) {
    this.values = Float64Array.from({ length: COUNT + 1 }, (_, i) => of(LOWEST + i / PER_KELVIN))
  }

  at(celsius: number): number {
    const x = (celsius - LOWEST) * PER_KELVIN
    if (x <= 0) return this.values[0]
    if (x >= COUNT) return this.values[COUNT]
    const i = x | 0
    return this.values[i] + (x - i) * (this.values[i + 1] - this.values[i])
  }
}

const LOWEST = -50
const PER_KELVIN = 4
const COUNT = 2000
