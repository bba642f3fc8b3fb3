/**
 * What a flat piece's rim does to it. A slab is a line through its thickness, at its axis. Beside it runs one line
 * from the axis out to the rim that carries the mean over the thickness: the faces warm all of it as they warm the
 * axis, the rim's own air or metal only its outer end. What that line brings to the axis goes into the slab, more where
 * the slab is colder, as a finite cylinder's product solution has it. Two lines do the work of a grid of them while the
 * piece is at least as wide as twice its thickness; held against that grid in `rim.test.ts`.
 *
 * SI, °C; the line is a metre high.
 */
import type { BoundaryFluxes, End } from './boundaryFluxes'
import type { Constants } from './constants'
import type { Axis } from './grid'
import { GridLine } from './gridLine'
import { integral, waterWarmth, type Material } from './properties'
import { Substances } from './substances'

/** K below boiling up to which the faces may warm the line: it has no crust of its own at a face. */
const BELOW_BOILING = 2
/** K: where the rim is no further from the axis, how much faster the colder layers catch up is not known, nor counts. */
const APART = 0.5
/** The first root of J₀: no cylinder's axis nears its rim faster, for ever, than that squared over R²/α. */
const FASTEST = 2.405 ** 2
/** m²/s, of meat; only to bound a rate. */
const DIFFUSIVITY = 1.5e-7

export class Rim {
  readonly line: GridLine
  readonly hottest: Float64Array
  /** K by which the last step warmed the axis from the rim, J/m³ that this is, and 1/s at which its layers near their mean by that. */
  axisGain = 0
  axisHeat = 0
  evening = 0
  /** kg/m³ that the axis got from the rim, or gave to it. */
  axisWater = 0
  /** J/m of height by which the faces warmed the rings otherwise than they warm the axis. */
  faceHeat = 0
  /** kg/m of height that the rings kept, for want of more, where the axis lost it at its faces. */
  faceWater = 0
  /** m³ a metre of height. */
  private readonly whole: number

  constructor(
    readonly axis: Axis,
    private readonly meat: Material,
    private readonly boiling: number,
    constants: Constants,
    start: number
  ) {
    this.line = new GridLine(axis, [meat], new Substances([meat]), boiling, constants)
    this.line.temperature.fill(start)
    this.line.water.fill(meat.rawWater)
    this.hottest = new Float64Array(axis.cells).fill(Math.max(start, meat.heatedToC ?? start))
    this.whole = axis.volume.reduce((sum, v) => sum + v, 0)
  }

  /**
   * @param meanGain K by which the faces warmed the mean over the thickness, at the axis
   * @param meanWater kg/m³ that the mean has gained there
   * @param settling 1/s at which the faces draw the mean toward where they would have it: what is ahead gets so much less
   */
  step(dt: number, meanGain: number, meanWater: number, settling: number, closed: End, rim: End): BoundaryFluxes {
    const { line, axis, hottest } = this
    const { temperature, water, warming } = line
    const { volume } = axis
    const n = axis.cells
    const most = this.boiling - BELOW_BOILING
    const drawn = (settling * dt) / (1 + settling * dt)
    const axisWas = temperature[0]
    const axisHeld = this.enthalpyAt(0)
    const axisWater = water[0]
    let heat = 0
    let kept = 0
    for (let i = 0; i < n; i++) {
      const heldBefore = this.enthalpyAt(i)
      const wetBefore = water[i]
      water[i] = Math.max(0, wetBefore + meanWater)
      const T = temperature[i]
      const warmed = T + meanGain - drawn * (T - axisWas)
      temperature[i] = warmed > T ? Math.max(T, Math.min(warmed, most)) : warmed
      heat += volume[i] * (this.enthalpyAt(i) - heldBefore)
      kept += volume[i] * (water[i] - wetBefore)
    }
    // Over what they would have gained if all of it were as its axis is.
    const before = temperature[0]
    const wetBefore = water[0]
    const heatBefore = this.enthalpyAt(0)
    this.faceHeat = heat - this.whole * (heatBefore - axisHeld)
    this.faceWater = kept - this.whole * (water[0] - axisWater)
    const outside = temperature[n - 1]
    line.step(dt, closed, rim)
    this.axisGain = temperature[0] - before
    this.axisHeat = this.enthalpyAt(0) - heatBefore
    this.axisWater = water[0] - wetBefore
    const apart = outside - before
    const rate = Math.abs(apart) > APART ? this.axisGain / (dt * apart) : 0
    const outer = axis.edge[n]
    this.evening = Math.min(Math.max(0, rate), (FASTEST * DIFFUSIVITY) / (outer * outer))
    for (let i = 0; i < n; i++) {
      warming[i] = 0
      if (temperature[i] > hottest[i]) hottest[i] = temperature[i]
    }
    return line.fluxes
  }

  /** K by which each ring has been hotter than the axis. */
  get hottestOver(): number[] {
    return Array.from(this.hottest, T => T - this.hottest[0])
  }

  /** K: mean over the piece, over that at its axis. */
  get over(): number {
    const { axis, line } = this
    let sum = 0
    for (let i = 0; i < axis.cells; i++) sum += axis.volume[i] * (line.temperature[i] - line.temperature[0])
    return sum / this.whole
  }

  /** J/m of height that it holds over what it would if all of it were as its axis is; for the energy balance. */
  get enthalpyOver(): number {
    const { axis } = this
    const atAxis = this.enthalpyAt(0)
    let sum = 0
    for (let i = 0; i < axis.cells; i++) sum += axis.volume[i] * (this.enthalpyAt(i) - atAxis)
    return sum
  }

  private enthalpyAt(ring: number): number {
    const { temperature, water } = this.line
    const T = temperature[ring]
    return integral(this.meat.solidsHeat, T) + water[ring] * waterWarmth(T)
  }

  /** kg/m of height that it holds over what it would if all of it were as its axis is. */
  get waterOver(): number {
    const { axis, line } = this
    let sum = 0
    for (let i = 0; i < axis.cells; i++) sum += axis.volume[i] * (line.water[i] - line.water[0])
    return sum
  }
}
