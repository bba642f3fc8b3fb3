/**
 * One ray of cells between two faces, carried forward one time step: the numerical
 * heart of the engine. A slab is one ray; a body of finite height and width is swept
 * along its rays in one direction and then in the other (`body.ts`).
 *
 * Heat is implicit. The unknown of each stage of a step is the enthalpy each cell gains,
 * and temperature follows from it (`boilingCurve.ts`), so that the boiling front stays
 * inside one Newton iteration with a tridiagonal matrix and no temperature is ever
 * clamped. Water then moves by its own implicit step (`moisture.ts`), less the
 * vapour that left at the faces (`surface.ts`).
 *
 * SI, °C, per square metre of slab or metre of cylinder.
 */
import { BoilingCurve } from './boilingCurve'
import type { Constants } from './constants'
import { holdsJuice, type Face } from './faces'
import type { Axis } from './grid'
import { Moisture } from './moisture'
import { at, integral, WATER_HEAT, type Material } from './properties'
import type { OuterCell, Surface } from './surface'
import { solveTridiagonal } from './tridiagonal'
import { BOILING_LATENT_HEAT, FREE_WATER_GONE, latentHeat, SATURATED, SATURATED_SLOPE, waterActivity } from './vapour'

/** The heat solve did not settle: a fault of the program, never of the cook. */
class ConvergenceError extends Error {
  override readonly name = 'ConvergenceError'
}

/** One end of a ray during a step. */
export interface End {
  surface: Surface
  face: Face
  /** The lump that the face touches, at the end of either stage, °C. */
  lumpAtFirst: number
  lumpAtSecond: number
}

/** What left a ray in the last step or crossed its ends: J and kg per m² of slab or m of cylinder. */
export interface Crossing {
  heatIn: number
  latentOut: number
  carriedOut: number
  evaporated: number
  dripped: number
  /** Part of `heatIn` that the lumps gave at either end, J, and its slope, W/K. */
  readonly fromLump: [number, number]
  readonly lumpSlope: [number, number]
}

/** What crossed one end in a step: J/m² and kg/m². */
interface Flow {
  heat: number
  latent: number
  film: number
  cell: number
  lump: number
  /** From beneath a dry crust. */
  beneath: number
}
const newFlow = (): Flow => ({ heat: 0, latent: 0, film: 0, cell: 0, lump: 0, beneath: 0 })
function clear(flow: Flow): void {
  flow.heat = flow.latent = flow.film = flow.cell = flow.lump = flow.beneath = 0
}

/** Vapour that leaves a wet cell through the dry ones outside it: straight in that cell's temperature over a step. */
interface Beneath {
  cell: number
  /** m² (m²/m) of the edge it leaves by. */
  area: number
  /** kg/m² each second at the start of the step, and more for each kelvin. */
  rate: number
  slope: number
  /** J/kg */
  latent: number
}
const newBeneath = (): Beneath => ({ cell: -1, area: 0, rate: 0, slope: 0, latent: 0 })

export const GAMMA = 1 - Math.SQRT1_2
/** Weight in the second stage of the enthalpy gained in the first. */
const FIRST_STAGE = (1 - GAMMA) / GAMMA
const MOST_ITERATIONS = 24
/** s */
const SHORTEST = 1e-6
/** J/m³: a cell that moves by less across a kink of the boiling curve has settled; a quarter of a kelvin. */
const SETTLED_ENTHALPY = 1e6
/** W/m², and share: how far a face may be from where it was expected. */
const ALLOWED_FLUX = 20
const ALLOWED_SHARE = 0.01
/** K per J/m³: below this slope a cell is on the boiling curve. */
const FLAT = 1e-8
/** Newton steps taken whole before they are halved. */
const PATIENCE = 12
/** Share of the raw water below which a cell counts as crust. */
const DRY_SHARE = 0.12
/** kg/m³ that may be missing for the length of a step. */
const SPARE_WATER = 0.5
/** K around boiling over which a cell's temperature moves from its middle to its boiling front, and back. */
const NEARING_FRONT = 8
const LEAVING_FRONT = 20
const FIGURES = 8
const DRIED = 6
const RAW_WATER = 7
const [WATER_0, WATER_1, WATER_2] = WATER_HEAT
/** m²·K/W: the front can pass from cell to cell without a gap, but a matrix wants a number. */
const LEAST_RESISTANCE = 1e-7

export class Ray {
  // The state of the ray under way, filled and read by the body.
  readonly temperature: Float64Array
  readonly water: Float64Array
  readonly material: Uint8Array
  /** Change a second in the step before, by which coefficients are taken half-way through this one. */
  readonly warming: Float64Array
  readonly wetting: Float64Array
  /** Enthalpy each cell gained a second when this ray was last stepped: where Newton starts. */
  readonly rate: Float64Array
  readonly crossing: Crossing = {
    heatIn: 0,
    latentOut: 0,
    carriedOut: 0,
    evaporated: 0,
    dripped: 0,
    fromLump: [0, 0],
    lumpSlope: [0, 0]
  }

  // Scratch, one entry a cell (an edge for the conductances), reused by every step.
  private readonly middle: Float64Array
  private readonly capacity: Float64Array
  private readonly inverse: Float64Array
  private readonly conductance: Float64Array
  private readonly share: Float64Array
  private readonly start: Float64Array
  private readonly gained: Float64Array
  /** Enthalpy that the first stage contributes to the second. */
  private readonly already: Float64Array
  private readonly slope: Float64Array
  private readonly lower: Float64Array
  private readonly diagonal: Float64Array
  private readonly upper: Float64Array
  private readonly right: Float64Array
  private readonly outer: readonly [OuterCell, OuterCell]
  private readonly crossed: readonly [Flow, Flow] = [newFlow(), newFlow()]
  private readonly beneath: readonly [Beneath, Beneath] = [newBeneath(), newBeneath()]
  /** The materials' figures, `FIGURES` apiece: heat of the solids, wet conductivity, dried conductivity, raw water. */
  private readonly table: Float64Array
  private readonly curves: readonly BoilingCurve[]
  private readonly moisture: Moisture

  constructor(
    readonly axis: Axis,
    private readonly materials: readonly Material[],
    private readonly boiling: number,
    private readonly constants: Pick<Constants, 'clingingJuice' | 'juiceEscape'>
  ) {
    const scratch = (): Float64Array => new Float64Array(axis.cells)
    this.temperature = scratch()
    this.water = scratch()
    this.material = new Uint8Array(axis.cells)
    this.warming = scratch()
    this.wetting = scratch()
    this.rate = scratch()
    this.middle = scratch()
    this.capacity = scratch()
    this.inverse = scratch()
    this.conductance = new Float64Array(axis.cells + 1)
    this.share = scratch()
    this.start = scratch()
    this.gained = scratch()
    this.already = scratch()
    this.slope = scratch()
    this.lower = scratch()
    this.diagonal = scratch()
    this.upper = scratch()
    this.right = scratch()
    const outer = (): OuterCell => ({ temperature: 0, conductance: 0, wet: false, share: 0, sharePerDrawn: 0, mostDrawn: 0, juice: 0 })
    this.outer = [outer(), outer()]
    this.table = Float64Array.from(materials.flatMap(m => [...m.solidsHeat, ...m.wetConductivity, m.driedConductivity, m.rawWater]))
    this.curves = materials.map(m => new BoilingCurve(boiling, m.rawWater))
    this.moisture = new Moisture(axis, materials)
  }

  /**
   * Two implicit stages of Alexander's second-order, L-stable method (SIAM J. Numerical
   * Analysis 14, 1977): the first to γ·dt, the second to dt from what both give. Where
   * either does not settle, the step is taken in two.
   */
  step(dt: number, first: End, second: End): void {
    const { crossing } = this
    crossing.heatIn = crossing.latentOut = crossing.carriedOut = crossing.evaporated = crossing.dripped = 0
    crossing.fromLump[0] = crossing.fromLump[1] = 0
    this.advance(dt, first, second)
    const n = this.axis.cells
    crossing.lumpSlope[0] = this.axis.area[0] * this.lumpSlope(first, this.outer[0])
    crossing.lumpSlope[1] = this.axis.area[n] * this.lumpSlope(second, this.outer[1])
  }

  private advance(dt: number, first: End, second: End): void {
    if (dt < SHORTEST) throw new ConvergenceError(`The heat solve did not settle in steps of ${dt} s.`)
    const { temperature, gained, already, start } = this
    const n = this.axis.cells
    const film0 = first.surface.film
    const film1 = second.surface.film
    this.refresh(dt, first, second)
    already.fill(0)
    for (let side = 0; side < 2; side++) clear(this.crossed[side])

    let settled = this.solveHeat(GAMMA * dt, dt, first, first.lumpAtFirst, second, second.lumpAtFirst)
    if (settled) {
      this.note((1 - GAMMA) * dt, first.surface, second.surface)
      for (let i = 0; i < n; i++) {
        already[i] = FIRST_STAGE * gained[i]
        gained[i] /= GAMMA
        this.warm(i)
      }
      settled = this.solveHeat(GAMMA * dt, dt, first, first.lumpAtSecond, second, second.lumpAtSecond)
    }
    if (settled) {
      this.note(GAMMA * dt, first.surface, second.surface)
      settled = !this.overdrawn(0, 0, 0) && !this.overdrawn(1, n - 1, n)
    }
    if (!settled) {
      temperature.set(start)
      first.surface.film = film0
      second.surface.film = film1
      this.advance(dt / 2, first, second)
      this.advance(dt / 2, first, second)
      return
    }
    this.settle(dt)
    this.moveWater(dt, first, second)
  }

  /** Whether evaporation and boiling together would take more from an outermost cell than it has: they must share a shorter step. */
  private overdrawn(side: 0 | 1, cell: number, edge: number): boolean {
    const { axis, water, temperature, material } = this
    const drawn = (axis.area[edge] * this.crossed[side].cell) / axis.volume[cell]
    if (drawn <= 0 || temperature[cell] <= this.boiling) return false
    return drawn > Math.min(water[cell], this.curves[material[cell]].staying(temperature[cell])) + SPARE_WATER
  }

  private lumpSlope(end: End, cell: OuterCell): number {
    const { lumpSlope } = end.surface
    return lumpSlope > 0 ? (lumpSlope * cell.conductance) / (cell.conductance + lumpSlope) : 0
  }

  /** Heat capacities and conductances expected half-way through the step, and what the faces will find. */
  private refresh(dt: number, first: End, second: End): void {
    const { axis, temperature, water, material, warming, wetting, rate } = this
    const { middle, capacity, inverse, start, gained, share, table } = this
    const n = axis.cells
    const half = 0.5 * dt
    for (let i = 0; i < n; i++) {
      const m = material[i] * FIGURES
      const rawWater = table[m + RAW_WATER]
      const T = temperature[i]
      const M = T + half * warming[i]
      const w = water[i]
      middle[i] = M
      const c = table[m] + w * WATER_0 + M * (table[m + 1] + w * WATER_1 + M * (table[m + 2] + w * WATER_2))
      capacity[i] = c
      inverse[i] = 1 / c
      share[i] = rawWater > 0 ? Math.min(1, Math.max(0, w + half * wetting[i]) / rawWater) : 1
      start[i] = T
      gained[i] = rate[i] * dt
    }
    this.conduct()
    for (let i = 0; i < n; i++) this.warm(i)
    this.moisture.prepare(dt, middle, water, material, this.opens(first, second))
    this.offer(0, first.face, 0, 0, dt)
    this.offer(1, second.face, n - 1, n, dt)
    this.lookBeneath(0, first.face, dt)
    this.lookBeneath(1, second.face, dt)
  }

  private opens(first: End, second: End): readonly [boolean, boolean] {
    OPEN[0] = first.face.kind !== 'closed'
    OPEN[1] = second.face.kind !== 'closed'
    return OPEN
  }

  /**
   * Conductances between the cells. A cell on the boiling curve is dry as far as its
   * front and wet beyond; its temperature is that of the front, not of its middle. Without
   * this the crust would grow in jumps of a cell and the answer hang on the grid.
   */
  private conduct(): void {
    const { axis, table, middle, material, conductance, share, boiling } = this
    const { centre, edge, area } = axis
    const n = axis.cells
    let before = 0
    for (let i = 0; i < n; i++) {
      const m = material[i] * FIGURES
      const driedConductivity = table[m + DRIED]
      const M = middle[i]
      const wet = table[m + 3] + M * (table[m + 4] + M * table[m + 5])
      const w = share[i]
      let toLower = (centre[i] - edge[i]) / (driedConductivity + w * (wet - driedConductivity))
      let toUpper = toLower
      if (M > boiling - NEARING_FRONT && M < boiling + FREE_WATER_GONE.aboveBoiling + LEAVING_FRONT && table[m + RAW_WATER] > 0) {
        const over = M - boiling
        const leaving = over - FREE_WATER_GONE.aboveBoiling
        const atFront = over < 0 ? 1 + over / NEARING_FRONT : leaving > 0 ? 1 - leaving / LEAVING_FRONT : 1
        const below = i > 0 ? share[i - 1] : 0
        const above = i < n - 1 ? share[i + 1] : 0
        const wetter = Math.max(below, above, w)
        const size = edge[i + 1] - edge[i]
        const dried = wetter > FREE_WATER_GONE.share ? Math.min(1, Math.max(0, (wetter - w) / (wetter - FREE_WATER_GONE.share))) : 1
        const dry = (dried * size) / driedConductivity
        const moist = ((1 - dried) * size) / (driedConductivity + wetter * (wet - driedConductivity))
        const dryIsBelow = below < above
        toLower += atFront * ((dryIsBelow ? dry : moist) - toLower)
        toUpper += atFront * ((dryIsBelow ? moist : dry) - toUpper)
      }
      conductance[i] = area[i] / Math.max(LEAST_RESISTANCE, before + toLower)
      before = toUpper
    }
    conductance[n] = area[n] / Math.max(LEAST_RESISTANCE, before)
  }

  /** What the outermost cell offers its face for the whole step. */
  private offer(side: 0 | 1, face: Face, cell: number, edge: number, dt: number): void {
    const { axis, materials, material, middle, moisture, conductance, outer } = this
    const area = axis.area[edge]
    if (area === 0) return
    const own = outer[side]
    const { rawWater } = materials[material[cell]]
    own.conductance = conductance[edge] / area
    own.wet = rawWater > 0
    own.juice = own.wet ? (this.staying(face) * moisture.pressing(side)) / area : 0
    if (!own.wet) return
    own.share = Math.max(0, moisture.left[side] / rawWater)
    own.sharePerDrawn = moisture.leftPerDrawn[side] / rawWater
    // At boiling the cell gives its water up by boiling; it must not be promised twice.
    const boils = middle[cell] > this.boiling - 2 || this.temperature[cell] > this.boiling - 2
    own.mostDrawn = boils ? 0 : Math.max(0, Math.min(own.share / own.sharePerDrawn, (0.5 * moisture.within[side]) / (area * dt)))
  }

  /**
   * Under a dry crust the first wet cell still loses vapour through it, the more slowly the
   * thicker the crust. A crust that has just left the pan cools by this, and so does a
   * pastry wrap.
   */
  private lookBeneath(side: 0 | 1, face: Face, dt: number): void {
    const { axis, materials, material, share, start, boiling } = this
    const found = this.beneath[side]
    found.cell = -1
    const air = face.kind === 'air' ? face : face.kind === 'partly' ? face.open : null
    const n = axis.cells
    if (air === null || axis.area[side === 0 ? 0 : n] === 0 || share[side === 0 ? 0 : n - 1] > DRY_SHARE) return
    const inward = side === 0 ? 1 : -1
    let resistance = 1007 / air.convection
    let cell = side === 0 ? 0 : n - 1
    while (cell >= 0 && cell < n && share[cell] <= DRY_SHARE) {
      resistance += (axis.edge[cell + 1] - axis.edge[cell]) / materials[material[cell]].vapourDiffusivity
      cell += inward
    }
    if (cell < 0 || cell >= n || start[cell] >= boiling || materials[material[cell]].rawWater === 0) return
    const T = start[cell]
    const open = face.kind === 'partly' ? 1 - face.share : 1
    const activity = waterActivity(share[cell])
    const rate = (open * (SATURATED.at(T) * activity - air.vapour)) / resistance
    if (rate <= 0) return
    found.cell = cell
    found.area = axis.area[side === 0 ? cell : cell + 1]
    const most = (0.3 * this.water[cell] * axis.volume[cell]) / (found.area * dt)
    found.rate = Math.min(rate, most)
    found.slope = rate < most ? (open * SATURATED_SLOPE.at(T) * activity) / resistance : 0
    found.latent = latentHeat(T)
  }

  private rateBeneath({ cell, rate, slope }: Beneath): number {
    return rate + slope * (this.temperature[cell] - this.start[cell])
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
  private solveHeat(dt: number, whole: number, first: End, lumpAtFirst: number, second: End, lumpAtSecond: number): boolean {
    const { axis, temperature, gained, slope, right, outer, start, inverse, boiling } = this
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
      const damping = iteration < PATIENCE ? 1 : 0.5
      let kinked = damping < 1
      for (let i = 0; i < n; i++) {
        const was = slope[i]
        let next = gained[i] + damping * right[i]
        if (was < FLAT) next = Math.max(next, this.kneeOf(i))
        gained[i] = next
        const simply = start[i] + next * inverse[i]
        if (simply <= boiling) {
          temperature[i] = simply
          slope[i] = inverse[i]
        } else this.boil(i)
        if (slope[i] !== was && Math.abs(right[i]) > SETTLED_ENTHALPY) kinked = true
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
      if (!kinked && off < 1) {
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
    const { axis, conductance, temperature, gained, already, slope, lower, diagonal, upper, right } = this
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
      right[i] = volume[i] * (already[i] - gained[i]) + fromBelow - toAbove
      diagonal[i] = volume[i] + (below + above) * s
      upper[i] = -above * nextS
      lower[i + 1] = -above * s
      below = above
      fromBelow = toAbove
      T = nextT
      s = nextS
    }
    right[last] = volume[last] * (already[last] - gained[last]) + fromBelow + dt * area[n] * second.into
    diagonal[last] = volume[last] + (below - dt * area[n] * second.intoSlope) * s
    for (let side = 0; side < 2; side++) {
      const found = this.beneath[side]
      if (found.cell < 0) continue
      const cooling = dt * found.area * found.latent
      right[found.cell] -= cooling * this.rateBeneath(found)
      diagonal[found.cell] += cooling * found.slope * slope[found.cell]
    }
  }

  private meet(end: End, outer: OuterCell, cell: number, dt: number, lumpC: number): void {
    outer.temperature = this.temperature[cell]
    end.surface.meet(end.face, outer, dt, lumpC)
  }

  /** Temperature of a cell for the enthalpy it has gained in this step. */
  private warm(i: number): void {
    const simply = this.start[i] + this.gained[i] * this.inverse[i]
    if (simply <= this.boiling) {
      this.temperature[i] = simply
      this.slope[i] = this.inverse[i]
    } else this.boil(i)
  }

  private boil(i: number): void {
    const curve = this.curves[this.material[i]]
    curve.invert(this.gained[i], this.capacity[i], this.start[i], this.water[i])
    this.temperature[i] = curve.temperature
    this.slope[i] = curve.slope
  }

  /**
   * Enthalpy gained at which a cell starts to boil. An iterate that leaves the curve
   * downward stops here once, or the flat and the steep side would throw it to and fro.
   */
  private kneeOf(i: number): number {
    return this.capacity[i] * (this.curves[this.material[i]].knee(this.water[i]) - this.start[i])
  }

  /** Adds what crosses the ends at the end of a stage, for as long as the stage counts. */
  private note(seconds: number, first: Surface, second: Surface): void {
    this.noteEnd(0, seconds, first)
    this.noteEnd(1, seconds, second)
  }

  private noteEnd(side: 0 | 1, seconds: number, surface: Surface): void {
    const flow = this.crossed[side]
    const found = this.beneath[side]
    if (found.cell >= 0) flow.beneath += seconds * this.rateBeneath(found)
    flow.heat += seconds * surface.heat
    flow.latent += seconds * surface.latent
    flow.film += seconds * surface.fromFilm
    flow.cell += seconds * surface.fromCell
    flow.lump += seconds * surface.fromLump
  }

  private book(flow: Flow, area: number, side: 0 | 1): void {
    const { crossing } = this
    crossing.heatIn += area * flow.heat
    crossing.latentOut += area * flow.latent
    crossing.fromLump[side] += area * flow.lump
  }

  /** Lets the boiled water go and books what crossed the ends. */
  private settle(dt: number): void {
    const { axis, temperature, water, crossing, gained, rate, material, curves } = this
    const n = axis.cells
    this.book(this.crossed[0], axis.area[0], 0)
    this.book(this.crossed[1], axis.area[n], 1)
    for (let i = 0; i < n; i++) {
      rate[i] = gained[i] / dt
      // The step took one heat capacity for all of it. What that leaves over goes into steam where it boils, or into warmth.
      const T = temperature[i]
      const m = material[i] * FIGURES
      let over = gained[i] - this.warmth(m, T, water[i]) + this.warmth(m, this.start[i], water[i])
      if (T > this.boiling && curves[material[i]].staying(T) < water[i]) {
        const boiled = Math.min(Math.max(0, water[i]), Math.max(0, over / BOILING_LATENT_HEAT))
        over -= boiled * BOILING_LATENT_HEAT
        water[i] -= boiled
        const mass = boiled * axis.volume[i]
        crossing.evaporated += mass
        crossing.latentOut += mass * BOILING_LATENT_HEAT
        crossing.carriedOut += mass * integral(WATER_HEAT, T + over * this.inverse[i])
      }
      temperature[i] = T + over * this.inverse[i]
    }
    this.dryBeneath(0)
    this.dryBeneath(1)
  }

  /** Takes from the wet cell what left it through the crust. */
  private dryBeneath(side: 0 | 1): void {
    const { cell, area, latent } = this.beneath[side]
    if (cell < 0) return
    const { axis, water, temperature, crossing } = this
    const mass = area * this.crossed[side].beneath
    water[cell] -= mass / axis.volume[cell]
    crossing.evaporated += mass
    crossing.latentOut += mass * latent
    crossing.carriedOut += mass * integral(WATER_HEAT, temperature[cell])
  }

  /** Enthalpy of a cell above 0 °C, J/m³; `m` is where its material's figures begin. */
  private warmth(m: number, T: number, water: number): number {
    const { table } = this
    return T * (table[m] + water * WATER_0 + T * ((table[m + 1] + water * WATER_1) / 2 + (T * (table[m + 2] + water * WATER_2)) / 3))
  }

  private moveWater(dt: number, first: End, second: End): void {
    const { axis, temperature, water, moisture, crossed } = this
    const n = axis.cells
    moisture.step(dt, water, crossed[0].cell / dt, crossed[1].cell / dt)
    this.drip(first, crossed[0], moisture.juice[0], axis.area[0], temperature[0])
    this.drip(second, crossed[1], moisture.juice[1], axis.area[n], temperature[n - 1])
    this.carryWarmth()
  }

  /** Part of the juice that stays at the face it came out of. */
  private staying(face: Face): number {
    return holdsJuice(face) ? 1 - this.constants.juiceEscape : 1
  }

  /** What came out at a face joins the film on it, or drips. */
  private drip({ surface, face }: End, flow: Flow, juice: number, area: number, celsius: number): void {
    if (area === 0) return
    const { crossing } = this
    // A shade more may have boiled than came, since less came for what boiled: the next step makes it good.
    const { clingingJuice } = this.constants
    const before = surface.film - flow.film
    const film = before + juice * this.staying(face)
    surface.film = holdsJuice(face) ? film : Math.min(film, Math.max(before, clingingJuice))
    crossing.dripped += area * (before + juice - surface.film)
    crossing.evaporated += area * (flow.film + flow.cell)
    crossing.carriedOut += area * (juice + flow.cell) * integral(WATER_HEAT, celsius)
  }

  /** Water that moves takes its warmth along, from the cell it leaves. */
  private carryWarmth(): void {
    const { axis, temperature, water, right, moisture, material, table } = this
    const n = axis.cells
    right.fill(0)
    for (let edge = 1; edge < n; edge++) {
      const flow = moisture.moved[edge]
      const step = flow * at(WATER_HEAT, temperature[edge]) * (temperature[edge - 1] - temperature[edge])
      if (flow > 0) right[edge] += step
      else right[edge - 1] += step
    }
    for (let i = 0; i < n; i++) {
      const m = material[i] * FIGURES
      const T = temperature[i]
      const capacity = table[m] + water[i] * WATER_0 + T * (table[m + 1] + water[i] * WATER_1 + T * (table[m + 2] + water[i] * WATER_2))
      temperature[i] = T + right[i] / (capacity * axis.volume[i])
    }
  }
}

/** Scratch. */
const OPEN: [boolean, boolean] = [false, false]

/** How far the flow into the outermost cell is from the one expected, in what is allowed. */
function surprise(surface: Surface, expected: number): number {
  return Math.abs(surface.into - expected) / (ALLOWED_FLUX + ALLOWED_SHARE * Math.abs(expected))
}
