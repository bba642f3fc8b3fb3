/**
 * Water on the move inside the piece. Heated meat holds less of it; what it no
 * longer holds is pressed toward where it is held or can leave. One implicit step
 * of   ∂W/∂t = ∇·( D(T) ∇(W − held(T)) ),   kg/m³, m²/s.
 *
 * Form after R. G. M. van der Sman, Meat Science 76 (2007), with the pressure's
 * permeability and stiffness folded into one diffusivity that rises as the
 * proteins tighten.
 */
import type { Constants } from './constants'
import type { Grid } from './grid'
import { solveTridiagonal } from './tridiagonal'
import { heldWaterShare } from './vapour'
import { Tabulated } from './tabulated'

/** How far the diffusivity has gone from its cool to its hot value: half-way at 57.5 °C. */
const TIGHTENED = new Tabulated(T => 1 / (1 + Math.exp((57.5 - T) / 2)))
const HELD = new Tabulated(heldWaterShare)

export class Moisture {
  /** Juice that came out at each face in the last step, kg/m². */
  readonly juice: [number, number] = [0, 0]

  // Scratch, one entry a cell or an edge.
  readonly next: Float64Array
  private readonly held: Float64Array
  private readonly supply: Float64Array
  private readonly conductance: Float64Array
  private readonly lower: Float64Array
  private readonly diagonal: Float64Array
  private readonly upper: Float64Array

  constructor(
    private readonly grid: Grid,
    private readonly rawWater: number,
    private readonly constants: Constants
  ) {
    const scratch = (): Float64Array => new Float64Array(grid.cells)
    this.next = scratch()
    this.held = scratch()
    this.supply = scratch()
    this.conductance = new Float64Array(grid.cells + 1)
    this.lower = scratch()
    this.diagonal = scratch()
    this.upper = scratch()
  }

  /**
   * @param water kg/m³, replaced by the end of the step
   * @param drawn what evaporation takes from the outermost cells, kg/m² each second
   * @param open whether juice can come out at each face
   */
  step(
    dt: number,
    temperature: Float64Array,
    water: Float64Array,
    drawn: readonly [number, number],
    open: readonly [boolean, boolean]
  ): void {
    const { grid, next, held, conductance, lower, diagonal, upper } = this
    const n = grid.cells
    this.refresh(temperature)
    for (let i = 0; i < n; i++) {
      const below = i > 0 ? conductance[i] : 0
      const above = i < n - 1 ? conductance[i + 1] : 0
      diagonal[i] = grid.volume[i] / dt + below + above
      lower[i] = -below
      upper[i] = -above
      next[i] =
        (grid.volume[i] / dt) * water[i] + (i > 0 ? below * (held[i] - held[i - 1]) : 0) + (i < n - 1 ? above * (held[i] - held[i + 1]) : 0)
    }
    for (const side of SIDES) {
      const [cell, edge] = this.outermost(side)
      next[cell] -= grid.area[edge] * drawn[side]
      if (open[side] && water[cell] > held[cell]) {
        diagonal[cell] += conductance[edge]
        next[cell] += conductance[edge] * held[cell]
      }
    }
    solveTridiagonal(lower, diagonal, upper, next, n)
    for (const side of SIDES) {
      const [cell, edge] = this.outermost(side)
      const pressing = open[side] && water[cell] > held[cell] && grid.area[edge] > 0
      this.juice[side] = pressing ? (dt * conductance[edge] * (next[cell] - held[cell])) / grid.area[edge] : 0
    }
    water.set(next)
  }

  /** Water passing an inner edge toward higher z after a step, kg each second. */
  flow(edge: number): number {
    const { next, held } = this
    return this.conductance[edge] * (next[edge - 1] - held[edge - 1] - (next[edge] - held[edge]))
  }

  private outermost(side: 0 | 1): [cell: number, edge: number] {
    return side === 0 ? [0, 0] : [this.grid.cells - 1, this.grid.cells]
  }

  private refresh(temperature: Float64Array): void {
    const { grid, held, supply, conductance, constants } = this
    const n = grid.cells
    for (let i = 0; i < n; i++) {
      const T = temperature[i]
      held[i] = this.rawWater * HELD.at(T)
      supply[i] = constants.coolWaterDiffusivity + TIGHTENED.at(T) * (constants.hotWaterDiffusivity - constants.coolWaterDiffusivity)
      if (i > 0) conductance[i] = (grid.area[i] * 0.5 * (supply[i - 1] + supply[i])) / (grid.centre[i] - grid.centre[i - 1])
    }
    conductance[0] = (grid.area[0] * supply[0]) / (grid.centre[0] - grid.edge[0])
    conductance[n] = (grid.area[n] * supply[n - 1]) / (grid.edge[n] - grid.centre[n - 1])
  }
}

const SIDES = [0, 1] as const
