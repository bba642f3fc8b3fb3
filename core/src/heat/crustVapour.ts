/**
 * Vapour that leaves the first wet cell under a dry crust, through the crust, into the
 * air: the more slowly the thicker the crust. A crust that has just left the pan cools by
 * this, and so does a pastry wrap.
 */
import type { Face } from './faces'
import type { Axis } from './grid'
import type { Substances } from './substances'
import { latentHeat, LEWIS, SATURATED, SATURATED_SLOPE, vapourDensity, vapourPressure, waterActivity } from './vapour'

/** Share of the raw water below which a cell counts as crust. */
const DRY_SHARE = 0.05
/** The most that can leave a cell within one step, as a share of its water; the rest comes from the next inward. */
const MOST_IN_A_STEP = 0.9
const MOST_CELLS = 12
/** K below boiling from which on an outermost cell holds back less and less. */
const NEAR_BOILING = 10

/**
 * One end of a line. Over a step what leaves is straight in the first wet cell's
 * temperature; where it is more than that cell can give, cells further in give the rest.
 */
export class CrustVapour {
  /** The first wet cell; −1 where there is no crust, or no air outside it. */
  cell = -1
  /** How many cells give vapour, from the first inward, and which way that is. */
  count = 0
  readonly inward: 1 | -1
  /** m² (m²/m) of the edge it leaves by. */
  area = 0
  /** J/kg */
  latent = 0
  /** W/K for each kg/m² and second: how the cooling goes with the cell's temperature. */
  slope = 0
  private rate = 0
  private from = 0
  /** What each cell gives of the rate. */
  private readonly shares = new Float64Array(MOST_CELLS)

  constructor(
    private readonly side: 0 | 1,
    private readonly axis: Axis,
    private readonly substances: Substances,
    private readonly boiling: number
  ) {
    this.inward = side === 0 ? 1 : -1
  }

  /** @param share of the raw water in each cell; the others as the cells are at the start of the step */
  look(dt: number, face: Face, material: Uint8Array, share: Float64Array, temperature: Float64Array, water: Float64Array): void {
    const { axis, substances, side, inward } = this
    const n = axis.cells
    const outermost = side === 0 ? 0 : n - 1
    this.cell = -1
    const air = face.kind === 'air' ? face : face.kind === 'partly' ? face.open : null
    if (air === null || axis.area[side === 0 ? 0 : n] === 0 || share[outermost] > DRY_SHARE) return
    // m/s the other way up, until the front's temperature turns it into Pa·m²·s/kg.
    let crust = 0
    let cell = outermost
    for (; cell >= 0 && cell < n && share[cell] <= DRY_SHARE; cell += inward) crust += this.slowness(cell, material)
    if (cell < 0 || cell >= n || temperature[cell] >= this.boiling || substances.rawWater(substances.row(material[cell])) === 0) return
    // The front stands inside the cell: so far its crust goes, and so far it is like the next cell inward.
    const next = Math.min(n - 1, Math.max(0, cell + inward))
    const gone = share[next] > share[cell] ? (share[next] - share[cell]) / (share[next] - DRY_SHARE) : 0
    const T = temperature[cell] + gone * (temperature[next] - temperature[cell])
    const activity = waterActivity(share[cell] + gone * (share[next] - share[cell]))
    const resistance = (crust + gone * this.slowness(cell, material)) / vapourDensity(1, T) + 1 / (LEWIS * air.convection)
    const open = face.kind === 'partly' ? 1 - face.share : 1
    const outside = Math.max(vapourPressure(air.vapour, air.air), this.overDamp(outermost, share, temperature))
    const rate = (open * (SATURATED.at(T) * activity - outside)) / resistance
    if (rate <= 0) return
    this.cell = cell
    this.area = axis.area[side === 0 ? cell : cell + 1]
    this.gather(dt, rate, material, temperature, water)
    // Expected to be wet by the middle of the step, but now it has nothing to give, and what lies beneath boils.
    if (this.rate <= 0) {
      this.cell = -1
      return
    }
    const alone = this.count === 1 && this.shares[0] === 1
    this.slope = alone ? ((1 - gone) * open * SATURATED_SLOPE.at(T) * activity) / resistance : 0
    this.latent = latentHeat(T)
    this.from = temperature[cell]
  }

  /** Of a whole cell of crust, s/m. */
  private slowness(cell: number, material: Uint8Array): number {
    const { axis, substances } = this
    return (axis.edge[cell + 1] - axis.edge[cell]) / substances.vapourDiffusivity(substances.row(material[cell]))
  }

  /** Pa over an outermost cell that still gives vapour itself: what comes through from within must get past that. Near boiling it is soon dry, and holds nothing back. */
  private overDamp(outermost: number, share: Float64Array, temperature: Float64Array): number {
    const T = temperature[outermost]
    const giving = Math.min(1, (this.boiling - T) / NEAR_BOILING)
    return giving > 0 ? giving * waterActivity(share[outermost]) * SATURATED.at(T) : 0
  }

  /** From the first cell what it can give, from those further in what is left. */
  private gather(dt: number, rate: number, material: Uint8Array, temperature: Float64Array, water: Float64Array): void {
    const { axis, substances, inward, shares, area, boiling } = this
    let left = rate
    let count = 0
    for (let i = this.cell; i >= 0 && i < axis.cells && count < MOST_CELLS && left > 0; i += inward) {
      if (substances.rawWater(substances.row(material[i])) === 0 || temperature[i] >= boiling) break
      const given = Math.min(left, (MOST_IN_A_STEP * Math.max(0, water[i]) * axis.volume[i]) / (area * dt))
      shares[count++] = given / rate
      left -= given
    }
    this.count = count
    this.rate = rate - left
    if (this.rate > 0) for (let k = 0; k < count; k++) shares[k] *= rate / this.rate
  }

  /** kg/m² each second at a temperature of the first cell. */
  at(celsius: number): number {
    return this.rate + this.slope * (celsius - this.from)
  }

  /** Of that what the k-th cell inward gives; more than one only while nothing hangs on the temperature. */
  share(k: number): number {
    return this.shares[k]
  }
}
