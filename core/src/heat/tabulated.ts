/**
 * A smooth function of temperature kept as a table, for the loops where its
 * exponential would cost more than everything around it. Straight interpolation
 * every quarter kelvin from −50 to 450 °C; the ends hold.
 */
export class Tabulated {
  private readonly values: Float64Array

  constructor(of: (celsius: number) => number) {
    this.values = Float64Array.from({ length: COUNT + 2 }, (_, i) => of(LOWEST + Math.min(i, COUNT) / PER_KELVIN))
  }

  at(celsius: number): number {
    const place = placeOf(celsius)
    const entry = place | 0
    return this.between(entry, place - entry)
  }

  /** Of an entry and the share of the way to the next, as `placeOf` has them: for those who ask several tables at one temperature. */
  between(entry: number, part: number): number {
    const { values } = this
    return values[entry] + part * (values[entry + 1] - values[entry])
  }
}

const LOWEST = -50
const PER_KELVIN = 4
const COUNT = 2000

/** Where in any of the tables a temperature stands, in entries. */
export function placeOf(celsius: number): number {
  const place = (celsius - LOWEST) * PER_KELVIN
  return place <= 0 ? 0 : place >= COUNT ? COUNT : place
}
