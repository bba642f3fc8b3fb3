/**
 * A piece of meat as finite volumes, each with a temperature and a water content,
 * carried forward one time step at a time.
 *
 * Heat is implicit. The unknown of each stage of a step is the enthalpy each cell gains, and
 * temperature follows from it (`boilingCurve.ts`), so that the boiling front stays
 * inside one Newton iteration with a tridiagonal matrix and no temperature is ever
 * clamped. Water then moves by its own implicit step (`moisture.ts`), less the
 * vapour that left at the faces (`surface.ts`).
 *
 * SI, °C, all per square metre of slab or metre of cylinder.
 */
import { BoilingCurve } from './boilingCurve'
import type { Constants } from './constants'
import type { Face, Faces } from './faces'
import type { Grid } from './grid'
import { Heart } from './heart'
import { Moisture } from './moisture'
import type { Burner, PlateState } from './plate'
import { at, integral, WATER_HEAT, type Material } from './properties'
import { Surface, type OuterCell } from './surface'
import { solveTridiagonal } from './tridiagonal'
import { BOILING_LATENT_HEAT } from './vapour'

/** The heat solve did not settle: a fault of the program, never of the cook. */
class ConvergenceError extends Error {
  override readonly name = 'ConvergenceError'
}

export interface BodyStart {
  readonly temperature: number
  /** Free water lying on each face, kg/m². */
  readonly film: readonly [number, number]
  readonly boiling: number
}

/** What has crossed the faces since the beginning: J and kg per m² of slab or m of cylinder. */
export interface Ledger {
  /** By conduction, convection and radiation, into piece and film. */
  heatIn: number
  /** Taken by evaporation, boiling inside and on the faces. */
  latentOut: number
  /** Sensible heat carried off by the water that left the cells. */
  carriedOut: number
  evaporated: number
  dripped: number
}

const SIDES = [0, 1] as const
const GAMMA = 1 - Math.SQRT1_2
/** Weight in the second stage of the enthalpy gained in the first. */
const FIRST_STAGE = (1 - GAMMA) / GAMMA
const MOST_ITERATIONS = 24
/** s */
const SHORTEST = 1e-6
/** With a cell on the boiling curve, or anywhere else: the rest of the balance is straight but for the faces. */
const SETTLED_KELVIN = 1e-3
const NEARLY_KELVIN = 0.25
/** J/m³: a cell on the boiling curve has settled when its enthalpy moves by less; 0.02 g of water a litre. */
const SETTLED_ENTHALPY = 2e3

export class Body {
  readonly temperature: Float64Array
  /** kg/m³ of the raw piece */
  readonly water: Float64Array
  /** The hottest each cell has been. */
  readonly hottest: Float64Array
  readonly heart: Heart
  readonly surfaces: readonly [Surface, Surface]
  /** Largest change in the last step of any cell that does not boil, K. */
  lastChange = 0
  readonly ledger: Ledger = { heatIn: 0, latentOut: 0, carriedOut: 0, evaporated: 0, dripped: 0 }

  // Scratch, one entry a cell (an edge for the conductances), reused by every step.
  private readonly capacity: Float64Array
  private readonly inverse: Float64Array
  private readonly conductance: Float64Array
  private readonly start: Float64Array
  private readonly gained: Float64Array
  /** Enthalpy each cell gained a second in the last step: where the next one starts from. */
  private readonly rate: Float64Array
  /** Enthalpy that the first stage contributes to the second. */
  private readonly already: Float64Array
  private readonly slope: Float64Array
  private readonly lower: Float64Array
  private readonly diagonal: Float64Array
  private readonly upper: Float64Array
  private readonly right: Float64Array
  /** What crossed each face in the step: J/m² and kg/m². */
  private readonly crossed = SIDES.map(() => ({ heat: 0, latent: 0, film: 0, cell: 0 }))
  private readonly outer: { -readonly [k in keyof OuterCell]: OuterCell[k] } = { temperature: 0, conductance: 0, wetness: null, water: 0 }
  private readonly curve: BoilingCurve
  private readonly moisture: Moisture | null

  constructor(
    readonly grid: Grid,
    readonly material: Material,
    private readonly constants: Constants,
    start: BodyStart
  ) {
    const scratch = (): Float64Array => new Float64Array(grid.cells)
    this.temperature = scratch().fill(start.temperature)
    this.hottest = scratch().fill(start.temperature)
    this.water = scratch().fill(material.rawWater)
    this.surfaces = [
      new Surface(start.temperature, start.film[0], start.boiling),
      new Surface(start.temperature, start.film[1], start.boiling)
    ]
    this.heart = new Heart(grid, start.temperature)
    this.curve = new BoilingCurve(start.boiling, material.rawWater)
    this.moisture = material.rawWater > 0 ? new Moisture(grid, material.rawWater, constants) : null
    this.capacity = scratch()
    this.inverse = scratch()
    this.conductance = new Float64Array(grid.cells + 1)
    this.start = scratch()
    this.gained = scratch()
    this.rate = scratch()
    this.already = scratch()
    this.slope = scratch()
    this.lower = scratch()
    this.diagonal = scratch()
    this.upper = scratch()
    this.right = scratch()
  }

  /**
   * Two implicit stages of Alexander's second-order, L-stable method (SIAM J. Numerical
   * Analysis 14, 1977): the first to γ·dt, the second to dt from what both give. Where
   * either does not settle, the step is taken in two.
   *
   * @param dt s
   * @param plate the metal, where there is any; it is heated on even while the piece is lifted off
   */
  step(dt: number, faces: Faces, plate: PlateState | null, burner: Burner | null): void {
    if (dt < SHORTEST) throw new ConvergenceError(`The heat solve did not settle in steps of ${dt} s.`)
    const down = faces[0].kind === 'metal' ? 0 : 1
    const metal = faces[down]
    const contact = metal.kind === 'metal' ? metal.contact : 0
    const plateStart = plate?.temperature ?? 0
    this.refresh(dt)
    this.already.fill(0)
    for (const flow of this.crossed) flow.heat = flow.latent = flow.film = flow.cell = 0

    plate?.begin(GAMMA * dt, plateStart, burner, contact)
    let settled = this.solveHeat(GAMMA * dt, dt, faces, plate)
    if (settled) {
      this.note((1 - GAMMA) * dt)
      for (let i = 0; i < this.grid.cells; i++) {
        this.already[i] = FIRST_STAGE * this.gained[i]
        this.gained[i] /= GAMMA
        this.warm(i)
      }
      const reached = plate?.facing(this.surfaces[down].temperature) ?? 0
      plate?.begin(GAMMA * dt, plateStart + FIRST_STAGE * (reached - plateStart), burner, contact)
      settled = this.solveHeat(GAMMA * dt, dt, faces, plate)
    }
    if (!settled) {
      this.temperature.set(this.start)
      this.step(dt / 2, faces, plate, burner)
      this.step(dt / 2, faces, plate, burner)
      return
    }
    this.note(GAMMA * dt)
    if (plate) plate.temperature = plate.facing(this.surfaces[down].temperature)
    this.settle(dt)
    if (this.moisture) this.moveWater(this.moisture, dt, faces)
    for (let i = 0; i < this.grid.cells; i++) if (this.temperature[i] > this.hottest[i]) this.hottest[i] = this.temperature[i]
    this.heart.note(this.temperature)
  }

  /** Enthalpy of everything in the cells above 0 °C, J; for the energy balance. */
  get enthalpy(): number {
    return this.sum(
      i => integral(this.material.solidsHeat, this.temperature[i]) + this.water[i] * integral(WATER_HEAT, this.temperature[i])
    )
  }

  /** Water in the cells, kg. */
  get waterHeld(): number {
    return this.sum(i => this.water[i])
  }

  /** By volume, °C. */
  get mean(): number {
    return this.sum(i => this.temperature[i]) / this.sum(() => 1)
  }

  private sum(of: (cell: number) => number): number {
    let total = 0
    for (let i = 0; i < this.grid.cells; i++) total += this.grid.volume[i] * of(i)
    return total
  }

  /** Heat capacities and conductances at the temperatures and water of the moment. */
  private refresh(dt: number): void {
    const { grid, material, temperature, water, capacity, inverse, conductance, start, gained, rate } = this
    const { centre, edge, area } = grid
    const perRaw = material.rawWater > 0 ? 1 / material.rawWater : Infinity
    let before = 0
    for (let i = 0; i < grid.cells; i++) {
      const T = temperature[i]
      const c = at(material.solidsHeat, T) + water[i] * at(WATER_HEAT, T)
      capacity[i] = c
      inverse[i] = 1 / c
      const wetness = perRaw === Infinity ? 1 : Math.min(1, water[i] * perRaw)
      const resistivity = 1 / (material.driedConductivity + wetness * (at(material.wetConductivity, T) - material.driedConductivity))
      conductance[i] = area[i] / (before + (centre[i] - edge[i]) * resistivity)
      before = (edge[i + 1] - centre[i]) * resistivity
      start[i] = T
      gained[i] = rate[i] * dt
      this.warm(i)
    }
    conductance[grid.cells] = grid.area[grid.cells] / before
  }

  /**
   * One stage: the enthalpy each cell gains by its end, by Newton.
   * @param dt of the stage, s
   * @param whole of the step, within which no more water can leave a face than is there
   * @returns false where the iteration did not settle
   */
  private solveHeat(dt: number, whole: number, faces: Faces, plate: PlateState | null): boolean {
    const { grid, conductance, temperature, gained, already, slope, lower, diagonal, upper, right } = this
    const n = grid.cells
    for (let iteration = 0; iteration < MOST_ITERATIONS; iteration++) {
      for (let i = 0; i < n; i++) {
        const below = i > 0 ? conductance[i] : 0
        const above = i < n - 1 ? conductance[i + 1] : 0
        right[i] = grid.volume[i] * (already[i] - gained[i])
        if (i > 0) right[i] += dt * below * (temperature[i - 1] - temperature[i])
        if (i < n - 1) right[i] += dt * above * (temperature[i + 1] - temperature[i])
        diagonal[i] = grid.volume[i] + dt * (below + above) * slope[i]
        lower[i] = i > 0 ? -dt * below * slope[i - 1] : 0
        upper[i] = i < n - 1 ? -dt * above * slope[i + 1] : 0
      }
      for (const side of SIDES) {
        const area = this.meet(side, whole, faces, plate)
        const cell = side === 0 ? 0 : n - 1
        right[cell] += dt * area * this.surfaces[side].into
        diagonal[cell] -= dt * area * this.surfaces[side].intoSlope * slope[cell]
      }
      solveTridiagonal(lower, diagonal, upper, right, n)
      let settled = true
      let boils = false
      let moved = 0
      for (let i = 0; i < n; i++) {
        const was = temperature[i]
        const onCurve = slope[i] < FLAT
        const damping = iteration < PATIENCE ? 1 : 0.5
        gained[i] = onCurve ? Math.max(gained[i] + damping * right[i], this.kneeOf(i)) : gained[i] + damping * right[i]
        this.warm(i)
        const change = Math.abs(temperature[i] - was)
        if (!(change <= moved)) moved = change
        if (slope[i] < FLAT || onCurve) {
          boils = true
          if (!(Math.abs(right[i]) < SETTLED_ENTHALPY)) settled = false
        }
      }
      if (settled && moved < (boils ? SETTLED_KELVIN : NEARLY_KELVIN)) {
        for (const side of SIDES) this.meet(side, whole, faces, plate)
        return true
      }
    }
    return false
  }

  /** Temperature of a cell for the enthalpy it has gained in this step. */
  private warm(i: number): void {
    const simply = this.start[i] + this.gained[i] * this.inverse[i]
    if (simply <= this.curve.boiling) {
      this.temperature[i] = simply
      this.slope[i] = this.inverse[i]
      return
    }
    this.curve.invert(this.gained[i], this.capacity[i], this.start[i], this.water[i])
    this.temperature[i] = this.curve.temperature
    this.slope[i] = this.curve.slope
  }

  /**
   * Enthalpy gained at which a cell starts to boil. An iterate that leaves the curve
   * downward stops here once, or the flat and the steep side would throw it to and fro.
   */
  private kneeOf(i: number): number {
    return this.capacity[i] * (this.curve.knee(this.water[i]) - this.start[i])
  }

  /** Balances one face; returns its area. */
  private meet(side: 0 | 1, dt: number, faces: Faces, plate: PlateState | null): number {
    const { grid, outer, material } = this
    const [cell, edge] = side === 0 ? [0, 0] : [grid.cells - 1, grid.cells]
    const area = grid.area[edge]
    outer.temperature = this.temperature[cell]
    outer.conductance = area > 0 ? this.conductance[edge] / area : 0
    outer.wetness = material.rawWater > 0 ? this.water[cell] / material.rawWater : null
    outer.water = area > 0 ? (this.water[cell] * grid.volume[cell]) / area : 0
    this.surfaces[side].meet(area > 0 ? faces[side] : CLOSED, outer, dt, plate)
    return area
  }

  /** Adds what crosses the faces at the end of a stage, for as long as the stage counts. */
  private note(seconds: number): void {
    for (const side of SIDES) {
      const flow = this.crossed[side]
      const surface = this.surfaces[side]
      flow.heat += seconds * surface.heat
      flow.latent += seconds * surface.latent
      flow.film += seconds * surface.fromFilm
      flow.cell += seconds * surface.fromCell
    }
  }

  /** Lets the boiled water go and books what crossed the faces. */
  private settle(dt: number): void {
    const { grid, temperature, water, ledger, gained, rate } = this
    for (const side of SIDES) {
      const area = grid.area[side === 0 ? 0 : grid.cells]
      ledger.heatIn += area * this.crossed[side].heat
      ledger.latentOut += area * this.crossed[side].latent
    }
    this.lastChange = 0
    for (let i = 0; i < grid.cells; i++) {
      rate[i] = gained[i] / dt
      if (temperature[i] < this.curve.boiling) this.lastChange = Math.max(this.lastChange, Math.abs(temperature[i] - this.start[i]))
      const boiled = water[i] - this.curve.staying(temperature[i])
      if (boiled <= 0) continue
      water[i] -= boiled
      const mass = boiled * grid.volume[i]
      ledger.evaporated += mass
      ledger.latentOut += mass * BOILING_LATENT_HEAT
      ledger.carriedOut += mass * integral(WATER_HEAT, temperature[i])
    }
  }

  private moveWater(moisture: Moisture, dt: number, faces: Faces): void {
    const { grid, temperature, water, ledger } = this
    const [first, second] = this.crossed
    moisture.step(dt, temperature, water, [first.cell / dt, second.cell / dt], [faces[0].kind !== 'closed', faces[1].kind !== 'closed'])
    for (const side of SIDES) {
      const [cell, edge] = side === 0 ? [0, 0] : [grid.cells - 1, grid.cells]
      const area = grid.area[edge]
      const surface = this.surfaces[side]
      const juice = moisture.juice[side]
      const flow = this.crossed[side]
      const before = Math.max(0, surface.film - flow.film)
      const film = before + juice
      // Under a piece in a pan juice has nowhere to drip to: it boils away there.
      const clings = faces[side].kind === 'metal' ? Infinity : Math.max(before, this.constants.clingingJuice)
      surface.film = Math.min(film, clings)
      ledger.dripped += area * (film - surface.film)
      ledger.evaporated += area * (flow.film + flow.cell)
      ledger.carriedOut += area * (juice + flow.cell) * integral(WATER_HEAT, temperature[cell])
    }
    this.carryWarmth(moisture, dt)
  }

  /** Water that moves takes its warmth along, from the cell it leaves. */
  private carryWarmth(moisture: Moisture, dt: number): void {
    const { grid, temperature, capacity, gained } = this
    gained.fill(0)
    for (let edge = 1; edge < grid.cells; edge++) {
      const flow = moisture.flow(edge)
      const [from, to] = flow > 0 ? [edge - 1, edge] : [edge, edge - 1]
      gained[to] += (dt * Math.abs(flow) * at(WATER_HEAT, temperature[to]) * (temperature[from] - temperature[to])) / grid.volume[to]
    }
    for (let i = 0; i < grid.cells; i++) temperature[i] += gained[i] / capacity[i]
  }
}

const CLOSED: Face = { kind: 'closed' }
/** K per J/m³: below this slope a cell is on the boiling curve. */
const FLAT = 1e-8
/** Newton steps taken whole before they are halved. */
const PATIENCE = 12
