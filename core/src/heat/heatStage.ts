/**
 * The heat of one stage of a step along a line: an implicit step of enthalpy, solved by
 * Newton with a tridiagonal matrix. The unknown is what each cell gains; its temperature
 * follows from that (`boilingCurve.ts`), straight below boiling.
 *
 * SI, °C, per square metre of slab or metre of cylinder.
 */
import type { BoilingCurve } from './boilingCurve'
import type { End } from './boundaryFluxes'
import type { CrustVapour } from './crustVapour'
import type { Axis } from './grid'
import type { OuterCell, Surface } from './surface'
import { solveTridiagonal } from '#core/numerics/tridiagonal'

const MOST_ITERATIONS = 8
/** K: how far from where it was aimed a cell that crossed a kink of the boiling curve may come out. */
const SETTLED = 0.1
/** J/m³ by which an enthalpy may be kept from where the balance put it; a fortieth of a kelvin. */
const HELD_BACK = 1e5
/** W/m², and share: how far a face may be from where it was expected. */
const ALLOWED_FLUX = 20
const ALLOWED_SHARE = 0.01
/** K per J/m³: below this slope a cell is on the boiling curve. */
const FLAT = 1e-8

/** The state of the line that it works on. */
export interface Along {
  readonly temperature: Float64Array
  readonly water: Float64Array
  readonly material: Uint8Array
}

export class HeatStage {
  // For the whole step, filled by the line; one entry a cell (an edge for the conductances).
  readonly capacity: Float64Array
  readonly inverse: Float64Array
  readonly conductance: Float64Array
  readonly start: Float64Array
  /** Enthalpy since the start of the step: where Newton begins, and where it ends. */
  readonly enthalpyGain: Float64Array
  /** Enthalpy that the first stage contributes to the second. */
  readonly stageHistory: Float64Array
  readonly outer: readonly [OuterCell, OuterCell]

  // Scratch.
  private readonly slope: Float64Array
  private readonly lower: Float64Array
  private readonly diagonal: Float64Array
  private readonly upper: Float64Array
  private readonly right: Float64Array

  constructor(
    private readonly axis: Axis,
    private readonly along: Along,
    private readonly boiling: number,
    /** By material. */
    private readonly curves: readonly BoilingCurve[],
    private readonly beneath: readonly [CrustVapour, CrustVapour]
  ) {
    const scratch = (): Float64Array => new Float64Array(axis.cells)
    this.capacity = scratch()
    this.inverse = scratch()
    this.conductance = new Float64Array(axis.cells + 1)
    this.start = scratch()
    this.enthalpyGain = scratch()
    this.stageHistory = scratch()
    this.slope = scratch()
    this.lower = scratch()
    this.diagonal = scratch()
    this.upper = scratch()
    this.right = scratch()
    const outer = (): OuterCell => ({ temperature: 0, conductance: 0, wet: false, share: 0, sharePerDrawn: 0, mostDrawn: 0, juice: 0 })
    this.outer = [outer(), outer()]
  }

  /**
   * One stage: the enthalpy each cell gains by its end, by Newton. Between the kinks of
   * the boiling curve the balance is straight, so a step that crosses none and finds the
   * faces where it expected them is already the answer.
   *
   * @param dt of the stage, s
   * @param whole of the step, within which no more water can leave a face than is there
   * @returns false where the iteration did not settle
   */
  solve(dt: number, whole: number, first: End, lumpAtFirst: number, second: End, lumpAtSecond: number): boolean {
    const { axis, enthalpyGain, slope, right, outer, start, inverse, boiling } = this
    const { temperature } = this.along
    const n = axis.cells
    const last = n - 1
    const areaFirst = axis.area[0]
    const areaSecond = axis.area[n]
    if (areaFirst > 0) this.meet(first, outer[0], 0, whole, lumpAtFirst)
    if (areaSecond > 0) this.meet(second, outer[1], last, whole, lumpAtSecond)
    for (let iteration = 0; iteration < MOST_ITERATIONS; iteration++) {
      this.assemble(dt, first.surface, second.surface)
      solveTridiagonal(this.lower, this.diagonal, this.upper, right, n)
      const expectedFirst = first.surface.into + first.surface.intoSlope * slope[0] * right[0]
      const expectedSecond = second.surface.into + second.surface.intoSlope * slope[last] * right[last]
      let kinked = false
      for (let i = 0; i < n; i++) {
        const was = slope[i]
        const aimed = temperature[i] + was * right[i]
        let next = enthalpyGain[i] + right[i]
        if (was < FLAT) {
          const knee = this.kneeOf(i)
          if (next < knee) {
            if (knee - next > HELD_BACK) kinked = true
            next = knee
          }
        }
        enthalpyGain[i] = next
        const simply = start[i] + next * inverse[i]
        if (simply <= boiling) {
          temperature[i] = simply
          slope[i] = inverse[i]
        } else this.boil(i)
        if (slope[i] !== was && Math.abs(temperature[i] - aimed) > SETTLED) kinked = true
      }
      let off = 0
      if (areaFirst > 0) {
        this.meet(first, outer[0], 0, whole, lumpAtFirst)
        off = surprise(first.surface, expectedFirst)
      }
      if (areaSecond > 0) {
        this.meet(second, outer[1], last, whole, lumpAtSecond)
        off = Math.max(off, surprise(second.surface, expectedSecond))
      }
      if (!kinked && off < 1 && first.surface.settled && second.surface.settled) {
        // Booked is what the cells were given.
        first.surface.heat += expectedFirst - first.surface.into
        second.surface.heat += expectedSecond - second.surface.into
        return true
      }
    }
    return false
  }

  /** The linear system for the change of the enthalpies gained. */
  private assemble(dt: number, first: Surface, second: Surface): void {
    const { axis, conductance, enthalpyGain, stageHistory, slope, lower, diagonal, upper, right } = this
    const { temperature } = this.along
    const { volume, area } = axis
    const n = axis.cells
    const last = n - 1
    let T = temperature[0]
    let s = slope[0]
    let below = dt * area[0] * -first.intoSlope
    let fromBelow = dt * area[0] * first.into
    for (let i = 0; i < last; i++) {
      const above = dt * conductance[i + 1]
      const nextT = temperature[i + 1]
      const nextS = slope[i + 1]
      const toAbove = above * (T - nextT)
      right[i] = volume[i] * (stageHistory[i] - enthalpyGain[i]) + fromBelow - toAbove
      diagonal[i] = volume[i] + (below + above) * s
      upper[i] = -above * nextS
      lower[i + 1] = -above * s
      below = above
      fromBelow = toAbove
      T = nextT
      s = nextS
    }
    right[last] = volume[last] * (stageHistory[last] - enthalpyGain[last]) + fromBelow + dt * area[n] * second.into
    diagonal[last] = volume[last] + (below - dt * area[n] * second.intoSlope) * s
    for (let side = 0; side < 2; side++) {
      const found = this.beneath[side]
      if (found.cell < 0) continue
      const cooling = dt * found.area * found.latent
      const leaving = cooling * found.at(temperature[found.cell])
      for (let k = 0; k < found.count; k++) right[found.cell + k * found.inward] -= leaving * found.share(k)
      diagonal[found.cell] += cooling * found.slope * slope[found.cell]
    }
  }

  private meet(end: End, outer: OuterCell, cell: number, dt: number, lumpC: number): void {
    outer.temperature = this.along.temperature[cell]
    end.surface.meet(end.face, outer, dt, lumpC)
  }

  /** Temperature of a cell for the enthalpy it has gained in this step. */
  warm(i: number): void {
    const simply = this.start[i] + this.enthalpyGain[i] * this.inverse[i]
    if (simply <= this.boiling) {
      this.along.temperature[i] = simply
      this.slope[i] = this.inverse[i]
    } else this.boil(i)
  }

  private boil(i: number): void {
    const curve = this.curves[this.along.material[i]]
    curve.invert(this.enthalpyGain[i], this.capacity[i], this.start[i], this.along.water[i])
    this.along.temperature[i] = curve.temperature
    this.slope[i] = curve.slope
  }

  /**
   * Enthalpy gained at which a cell starts to boil. An iterate that leaves the curve
   * downward stops here once, or the flat and the steep side would throw it to and fro.
   */
  private kneeOf(i: number): number {
    return this.capacity[i] * (this.curves[this.along.material[i]].knee(this.along.water[i]) - this.start[i])
  }
}

/** How far the flow into the outermost cell is from the one expected, in what is allowed. */
function surprise(surface: Surface, expected: number): number {
  return Math.abs(surface.into - expected) / (ALLOWED_FLUX + ALLOWED_SHARE * Math.abs(expected))
}
