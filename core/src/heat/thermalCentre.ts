/**
 * The thermal centre of a piece, sought in the middle half of its height, on its axis. A row of fine
 * points there remembers how hot each has been; the one that has been least hot
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

const SPACING = 0.25e-3
/** How far off the coldest point a good probe may be, any way, m: its tip is long and the hand is not sure; common practice, no source. */
const PROBE_OFF = 4e-3
const MOST_POINTS = 80

export class ThermalCentre {
  /** Hottest reading so far at the thermal centre, °C. */
  doneness: number
  /** Reading there now, °C. */
  core: number
  /** The warmest anywhere in that span now, °C: while it is above `doneness`, that can still rise. */
  warmest: number

  private readonly layer: Int32Array
  private readonly share: Float64Array
  private readonly hottest: Float64Array
  /** Temperatures on the axis, one a layer; scratch. */
  private readonly axis: Float64Array
  private readonly layers: number
  /** Temperature at each point now. */
  private readonly now: Float64Array
  /** The thermal centre among them, and where it stands among the cells. */
  private coldest = 0
  /** K between the axis and the next ring there, where that is the warmer. */
  private outward = 0
  private readonly within: number
  /** How much warmer a probe off the axis reads, in steps from the axis to the next ring: the mean square of how far off, over theirs. */
  private readonly offAxis: number
  /** How far the axis lies beyond the innermost ring, in steps to the next: temperature goes with the square of the radius there. */
  private readonly beyond: number

  constructor(grid: Grid, temperature: number) {
    const [from, to] = grid.centralSpan
    const { centre } = grid.axial
    this.layers = grid.axial.cells
    this.axis = new Float64Array(this.layers)
    const rings = grid.radial.centre
    this.beyond = rings.length > 1 ? rings[0] ** 2 / (rings[1] ** 2 - rings[0] ** 2) : 0
    this.offAxis = rings.length > 1 ? PROBE_OFF ** 2 / 3 / (rings[1] ** 2 - rings[0] ** 2) : 0
    const count = this.layers > 1 ? Math.max(2, Math.min(MOST_POINTS, Math.ceil((to - from) / SPACING) + 1)) : 1
    this.layer = new Int32Array(count)
    this.share = new Float64Array(count)
    this.hottest = new Float64Array(count).fill(temperature)
    this.now = new Float64Array(count)
    this.within = count > 1 ? Math.round((PROBE_OFF * (count - 1)) / (to - from)) : 0
    this.now.fill(temperature)
    this.doneness = this.core = this.warmest = temperature
    let layer = 0
    for (let p = 0; p < count && this.layers > 1; p++) {
      const z = Math.min(Math.max(from + ((to - from) * p) / (count - 1), centre[0]), centre[this.layers - 1])
      while (layer < this.layers - 2 && centre[layer + 1] < z) layer++
      this.layer[p] = layer
      this.share[p] = (z - centre[layer]) / (centre[layer + 1] - centre[layer])
    }
  }

  /** @param temperature of all cells, ring by ring */
  note(temperature: Float64Array): void {
    const { layer, share, hottest, axis, layers, beyond, now } = this
    for (let k = 0; k < layers; k++) {
      const T = temperature[k]
      axis[k] = beyond > 0 ? T - beyond * (temperature[layers + k] - T) : T
    }
    let least = Infinity
    let reading = 0
    let coldest = 0
    let warmest = -Infinity
    for (let p = 0; p < hottest.length; p++) {
      const below = axis[layer[p]]
      const T = layers > 1 ? below + share[p] * (axis[layer[p] + 1] - below) : below
      now[p] = T
      if (T > warmest) warmest = T
      if (T > hottest[p]) hottest[p] = T
      if (hottest[p] < least) {
        least = hottest[p]
        reading = T
        coldest = p
      }
    }
    this.doneness = least
    this.core = reading
    this.warmest = warmest
    this.coldest = coldest
    this.outward = this.offAxis > 0 ? Math.max(0, temperature[layers + layer[coldest]] - temperature[layer[coldest]]) : 0
  }

  /** What the tip of a probe put there stands in: the mean of where it may be. The points end a quarter of the way in; a thin piece's probe cannot be further off than that. */
  get atTip(): number {
    const { now, coldest, within } = this
    const first = Math.max(0, coldest - within)
    const last = Math.min(now.length - 1, coldest + within)
    let sum = 0
    for (let p = first; p <= last; p++) sum += now[p]
    return sum / (last - first + 1) + this.offAxis * this.outward
  }
}
