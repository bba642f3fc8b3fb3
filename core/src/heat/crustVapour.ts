/**
 * Vapour that leaves the first wet cell under a dry crust, through the crust, into the
 * air: the more slowly the thicker the crust. A crust that has just left the pan cools by
 * this, and so does a pastry wrap.
 */
import type { Face } from './faces'
import type { Axis } from './grid'
import type { Substances } from './substances'
import { latentHeat, SATURATED, SATURATED_SLOPE, waterActivity } from './vapour'

/** Share of the raw water below which a cell counts as crust. */
const DRY_SHARE = 0.12
/** The most that can leave the cell within one step, as a share of its water. */
const MOST_IN_A_STEP = 0.3

/** One end of a ray. Over a step what leaves is straight in the cell's temperature. */
export class CrustVapour {
  /** The wet cell; −1 where there is no crust, or no air outside it. */
  cell = -1
  /** m² (m²/m) of the edge it leaves by. */
  area = 0
  /** J/kg */
  latent = 0
  /** W/K for each kg/m² and second: how the cooling goes with the cell's temperature. */
  slope = 0
  private rate = 0
  private from = 0

  constructor(
    private readonly side: 0 | 1,
    private readonly axis: Axis,
    private readonly substances: Substances,
    private readonly boiling: number
  ) {}

  /** @param share of the raw water in each cell; the others as the cells are at the start of the step */
  look(dt: number, face: Face, material: Uint8Array, share: Float64Array, temperature: Float64Array, water: Float64Array): void {
    const { axis, substances, side } = this
    const n = axis.cells
    const outermost = side === 0 ? 0 : n - 1
    this.cell = -1
    const air = face.kind === 'air' ? face : face.kind === 'partly' ? face.open : null
    if (air === null || axis.area[side === 0 ? 0 : n] === 0 || share[outermost] > DRY_SHARE) return
    const inward = side === 0 ? 1 : -1
    let resistance = 1007 / air.convection
    let cell = outermost
    while (cell >= 0 && cell < n && share[cell] <= DRY_SHARE) {
      resistance += (axis.edge[cell + 1] - axis.edge[cell]) / substances.vapourDiffusivity(substances.row(material[cell]))
      cell += inward
    }
    if (cell < 0 || cell >= n || temperature[cell] >= this.boiling || substances.rawWater(substances.row(material[cell])) === 0) return
    const T = temperature[cell]
    const open = face.kind === 'partly' ? 1 - face.share : 1
    const activity = waterActivity(share[cell])
    const rate = (open * (SATURATED.at(T) * activity - air.vapour)) / resistance
    if (rate <= 0) return
    this.cell = cell
    this.area = axis.area[side === 0 ? cell : cell + 1]
    const most = (MOST_IN_A_STEP * water[cell] * axis.volume[cell]) / (this.area * dt)
    this.rate = Math.min(rate, most)
    this.slope = rate < most ? (open * SATURATED_SLOPE.at(T) * activity) / resistance : 0
    this.latent = latentHeat(T)
    this.from = T
  }

  /** kg/m² each second at a temperature of the cell. */
  at(celsius: number): number {
    return this.rate + this.slope * (celsius - this.from)
  }
}
