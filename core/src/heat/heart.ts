/**
 * The heart of a piece: the middle half of a slab, all of a cylinder. A row of fine
 * points across it remembers how hot each has been; the one that has been least hot
 * is the thermal centre, where a well-placed probe goes.
 *
 * It is not always the middle: turned once, the side cooked first has cooled again
 * by the time the second is done, and the least cooked point sits between. The outer
 * quarters do not count: a face turned to the room may be colder than the core and
 * yet long since cooked.
 *
 * The points are finer than the cells because that minimum is a sharp notch when
 * heat came from one side and then from the other.
 */
import type { Grid } from './grid'

const SPACING = 0.1e-3
const MOST_POINTS = 400

export class Heart {
  /** Hottest reading so far at the thermal centre, °C. */
  doneness: number
  /** Reading there now, °C. */
  core: number

  private readonly cell: Int32Array
  private readonly share: Float64Array
  private readonly hottest: Float64Array

  constructor(grid: Grid, temperature: number) {
    const [from, to] = grid.heart
    const count = Math.max(2, Math.min(MOST_POINTS, Math.ceil((to - from) / SPACING) + 1))
    this.cell = new Int32Array(count)
    this.share = new Float64Array(count)
    this.hottest = new Float64Array(count).fill(temperature)
    this.doneness = this.core = temperature
    let cell = 0
    for (let p = 0; p < count; p++) {
      const z = Math.min(Math.max(from + ((to - from) * p) / (count - 1), grid.centre[0]), grid.centre[grid.cells - 1])
      while (cell < grid.cells - 2 && grid.centre[cell + 1] < z) cell++
      this.cell[p] = cell
      this.share[p] = (z - grid.centre[cell]) / (grid.centre[cell + 1] - grid.centre[cell])
    }
  }

  note(temperature: Float64Array): void {
    const { cell, share, hottest } = this
    let least = Infinity
    let reading = 0
    for (let p = 0; p < hottest.length; p++) {
      const below = temperature[cell[p]]
      const T = below + share[p] * (temperature[cell[p] + 1] - below)
      if (T > hottest[p]) hottest[p] = T
      if (hottest[p] < least) {
        least = hottest[p]
        reading = T
      }
    }
    this.doneness = least
    this.core = reading
  }
}
