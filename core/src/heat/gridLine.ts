/**
 * One line of cells between two faces, carried forward one time step: the numerical
 * core of the engine. A slab is one line; a body of finite height and width is swept
 * along its grid lines in one direction and then in the other (`body.ts`).
 *
 * Heat is implicit, in two stages (`heatStage.ts`) whose unknown is enthalpy, so that the
 * boiling front stays inside one solve and no temperature is ever clamped. Water then
 * moves by its own implicit step (`moisture.ts`), less the vapour that left at the faces
 * (`surface.ts`) and through a dry crust (`crustVapour.ts`).
 *
 * SI, °C, per square metre of slab or metre of cylinder.
 */
import { BoilingCurve } from './boilingCurve'
import type { Constants } from './constants'
import { EndFluxes, noFluxes, type End } from './boundaryFluxes'
import { CrustVapour } from './crustVapour'
import { holdsJuice, type Face } from './faces'
import { interfaceConductances } from './interfaceConductances'
import type { Axis } from './grid'
import { HeatStage } from './heatStage'
import { Moisture } from './moisture'
import { waterHeat, waterWarmth, type Material } from './properties'
import type { Substances } from './substances'
import type { OuterCell, Surface } from './surface'
import { BOILING_LATENT_HEAT } from './vapour'
import { ConvergenceError } from '#core/numerics/convergence'

export const GAMMA = 1 - Math.SQRT1_2
/** Weight in the second stage of the enthalpy gained in the first. */
const FIRST_STAGE = (1 - GAMMA) / GAMMA
/** s */
const SHORTEST = 1e-6
/** kg/m³ that may be missing for the length of a step. */
const SPARE_WATER = 0.5

/**
 * Enthalpy each cell gained in the first stage and in the second when its line was last stepped, a second of the
 * whole step, J/(m³·s): where Newton starts in either. Apart, since what boils has flashed before the first has ended.
 */
export interface Pace {
  readonly early: Float64Array
  readonly late: Float64Array
}

/** What a line is like between two steps. */
interface LineState extends Pace {
  readonly temperature: Float64Array
  readonly water: Float64Array
  readonly material: Uint8Array
  readonly warming: Float64Array
  readonly wetting: Float64Array
}

export class GridLine implements LineState {
  // The state of the line under way, filled and read by the body.
  readonly temperature: Float64Array
  readonly water: Float64Array
  readonly material: Uint8Array
  /** Change a second in the step before, by which coefficients are taken half-way through this one. */
  readonly warming: Float64Array
  readonly wetting: Float64Array
  readonly early: Float64Array
  readonly late: Float64Array
  readonly fluxes = noFluxes()
  /** Steps that did not settle, or would not have, and were taken in two. */
  halvings = 0

  // Scratch, one entry a cell (an edge for the conductances), reused by every step.
  private readonly middle: Float64Array
  private readonly share: Float64Array
  private readonly crossed: readonly [EndFluxes, EndFluxes] = [new EndFluxes(), new EndFluxes()]
  private readonly beneath: readonly [CrustVapour, CrustVapour]
  private readonly curves: readonly BoilingCurve[]
  private readonly heat: HeatStage
  private readonly moisture: Moisture

  constructor(
    readonly axis: Axis,
    private readonly materials: readonly Material[],
    private readonly substances: Substances,
    private readonly boiling: number,
    private readonly constants: Pick<Constants, 'clingingJuice' | 'juiceEscape'>,
    /** Arrays to work on in place. */
    state?: LineState
  ) {
    const scratch = (): Float64Array => new Float64Array(axis.cells)
    this.temperature = state?.temperature ?? scratch()
    this.water = state?.water ?? scratch()
    this.material = state?.material ?? new Uint8Array(axis.cells)
    this.warming = state?.warming ?? scratch()
    this.wetting = state?.wetting ?? scratch()
    this.early = state?.early ?? scratch()
    this.late = state?.late ?? scratch()
    this.middle = scratch()
    this.share = scratch()
    this.beneath = [new CrustVapour(0, axis, substances, boiling), new CrustVapour(1, axis, substances, boiling)]
    this.curves = materials.map(m => new BoilingCurve(boiling, m.rawWater))
    this.heat = new HeatStage(axis, this, boiling, this.curves, this.beneath)
    this.moisture = new Moisture(axis, materials)
  }

  /**
   * Two implicit stages of Alexander's second-order, L-stable method (SIAM J. Numerical
   * Analysis 14, 1977): the first to γ·dt, the second to dt from what both give. Where
   * either does not settle, the step is taken in two.
   */
  step(dt: number, first: End, second: End): void {
    const { fluxes } = this
    fluxes.heatIn = fluxes.latentOut = fluxes.carriedOut = fluxes.evaporated = fluxes.dripped = 0
    fluxes.fromLump[0] = fluxes.fromLump[1] = 0
    this.advance(dt, first, second)
    const n = this.axis.cells
    fluxes.lumpSlope[0] = this.axis.area[0] * this.lumpSlope(first, this.heat.outer[0])
    fluxes.lumpSlope[1] = this.axis.area[n] * this.lumpSlope(second, this.heat.outer[1])
  }

  private advance(dt: number, first: End, second: End): void {
    if (dt < SHORTEST) throw new ConvergenceError(`The heat solve did not settle in steps of ${dt} s.`)
    if (first.surface.tooLong(dt) || second.surface.tooLong(dt)) {
      this.advanceInTwo(dt, first, second)
      return
    }
    const { temperature, heat, early, late } = this
    const { enthalpyGain, stageHistory, start } = heat
    const n = this.axis.cells
    const perSecond = 1 / dt
    const film0 = first.surface.film
    const film1 = second.surface.film
    this.refresh(dt, first, second)
    stageHistory.fill(0)
    for (let side = 0; side < 2; side++) this.crossed[side].clear()

    let settled = heat.solve(GAMMA * dt, dt, first, first.lumpAtFirst, second, second.lumpAtFirst)
    if (settled) {
      this.note((1 - GAMMA) * dt, first.surface, second.surface)
      for (let i = 0; i < n; i++) {
        const gain = enthalpyGain[i]
        stageHistory[i] = FIRST_STAGE * gain
        early[i] = gain * perSecond
        enthalpyGain[i] = gain + late[i] * dt
        heat.warm(i)
      }
      settled = heat.solve(GAMMA * dt, dt, first, first.lumpAtSecond, second, second.lumpAtSecond)
    }
    if (settled) {
      this.note(GAMMA * dt, first.surface, second.surface)
      settled = !this.overdrawn(dt, 0, 0, first.surface) && !this.overdrawn(dt, 1, n - 1, second.surface)
    }
    if (!settled) {
      temperature.set(start)
      first.surface.film = film0
      second.surface.film = film1
      this.advanceInTwo(dt, first, second)
      return
    }
    this.settle(dt)
    this.moveWater(dt, first, second)
  }

  private advanceInTwo(dt: number, first: End, second: End): void {
    this.halvings += 1
    this.advance(dt / 2, first, second)
    this.advance(dt / 2, first, second)
  }

  private overdrawn(dt: number, side: 0 | 1, cell: number, surface: Surface): boolean {
    if (!this.drawsTooMuch(dt, side, cell)) return false
    surface.ranDry(dt)
    return true
  }

  /** Whether evaporation and boiling together would take more than an outermost cell has and gets from within: they must share a shorter step. */
  private drawsTooMuch(dt: number, side: 0 | 1, cell: number): boolean {
    const { water, temperature, axis, moisture } = this
    const drawn = this.crossed[side].cell
    if (drawn <= 0) return false
    const area = axis.area[side === 0 ? 0 : axis.cells]
    // What comes through a dry cell brings its warmth along: no more in a step than the cell can take up.
    if (((area * drawn) / axis.volume[cell] - water[cell]) * waterHeat(temperature[cell]) > this.heat.capacity[cell]) return true
    if (temperature[cell] <= this.boiling) return false
    const boiled = Math.max(0, water[cell] - this.left(cell))
    if ((moisture.leftPerDrawn[side] * drawn) / dt + boiled > moisture.left[side] + SPARE_WATER) return true
    // And a thin piece may have no more to send.
    let missing = area * drawn - SPARE_WATER * axis.volume[cell]
    for (let i = cell; missing > 0; i += side === 0 ? 1 : -1) {
      if (i < 0 || i >= axis.cells) return true
      missing -= this.left(i) * axis.volume[i]
    }
    return false
  }

  /** Of a cell's water what its temperature lets stay, kg/m³. */
  private left(cell: number): number {
    return Math.max(0, Math.min(this.water[cell], this.curves[this.material[cell]].staying(this.temperature[cell])))
  }

  private lumpSlope(end: End, cell: OuterCell): number {
    const { lumpSlope } = end.surface
    return lumpSlope > 0 ? (lumpSlope * cell.conductance) / (cell.conductance + lumpSlope) : 0
  }

  /** Heat capacities and conductances expected half-way through the step, and what the faces will find. */
  private refresh(dt: number, first: End, second: End): void {
    const { axis, temperature, water, material, warming, wetting, early, late, boiling } = this
    const { middle, share, substances, heat } = this
    const { capacity, inverse, start, enthalpyGain } = heat
    const n = axis.cells
    const half = 0.5 * dt
    for (let i = 0; i < n; i++) {
      const row = substances.row(material[i])
      const rawWater = substances.rawWater(row)
      const T = temperature[i]
      const M = T + half * warming[i]
      const w = water[i]
      middle[i] = M
      const c = substances.capacity(row, M, w)
      capacity[i] = c
      inverse[i] = 1 / c
      share[i] = rawWater > 0 ? Math.min(1, Math.max(0, w + half * wetting[i]) * substances.perRawWater(row)) : 1
      start[i] = T
      enthalpyGain[i] = dt * (T > boiling ? early[i] : GAMMA * (early[i] + late[i]))
      heat.warm(i)
    }
    interfaceConductances(axis, substances, material, this.boiling, middle, share, heat.conductance)
    this.moisture.prepare(dt, middle, water, material, this.opens(first, second))
    this.offer(0, first.face, 0, 0, dt)
    this.offer(1, second.face, n - 1, n, dt)
    this.beneath[0].look(dt, first.face, material, share, start, water)
    this.beneath[1].look(dt, second.face, material, share, start, water)
  }

  private opens(first: End, second: End): readonly [boolean, boolean] {
    OPEN[0] = first.face.kind !== 'closed'
    OPEN[1] = second.face.kind !== 'closed'
    return OPEN
  }

  /** What the outermost cell offers its face for the whole step. */
  private offer(side: 0 | 1, face: Face, cell: number, edge: number, dt: number): void {
    const { axis, materials, material, moisture } = this
    const { conductance, outer } = this.heat
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
    own.mostDrawn = Math.max(0, Math.min(own.share / own.sharePerDrawn, moisture.within[side] / (area * dt)))
  }

  /** Adds what crosses the ends at the end of a stage, for as long as the stage counts. */
  private note(seconds: number, first: Surface, second: Surface): void {
    const [low, high] = this.beneath
    this.crossed[0].add(seconds, first, low.cell < 0 ? 0 : low.at(this.temperature[low.cell]))
    this.crossed[1].add(seconds, second, high.cell < 0 ? 0 : high.at(this.temperature[high.cell]))
  }

  private book(flow: EndFluxes, area: number, side: 0 | 1): void {
    const { fluxes } = this
    fluxes.heatIn += area * flow.heat
    fluxes.latentOut += area * flow.latent
    fluxes.fromLump[side] += area * flow.lump
  }

  /** Lets the boiled water go and books what crossed the ends. */
  private settle(dt: number): void {
    const { axis, temperature, water, fluxes, early, late, material, curves, substances } = this
    const { start, enthalpyGain, inverse } = this.heat
    const n = axis.cells
    const perSecond = 1 / dt
    this.book(this.crossed[0], axis.area[0], 0)
    this.book(this.crossed[1], axis.area[n], 1)
    for (let i = 0; i < n; i++) {
      late[i] = enthalpyGain[i] * perSecond - early[i]
      // The step took one heat capacity for all of it. What that leaves over goes into steam where it boils, or into warmth.
      const T = temperature[i]
      const row = substances.row(material[i])
      let over = enthalpyGain[i] - substances.warming(row, start[i], T, water[i])
      if (T > this.boiling && curves[material[i]].staying(T) < water[i]) {
        const boiled = Math.min(Math.max(0, water[i]), Math.max(0, over / BOILING_LATENT_HEAT))
        over -= boiled * BOILING_LATENT_HEAT
        water[i] -= boiled
        const mass = boiled * axis.volume[i]
        fluxes.evaporated += mass
        fluxes.latentOut += mass * BOILING_LATENT_HEAT
        fluxes.carriedOut += mass * waterWarmth(T + over * inverse[i])
      }
      temperature[i] = T + over * inverse[i]
    }
    this.dryBeneath(0)
    this.dryBeneath(1)
  }

  /** Takes from the wet cells what left them through the crust. */
  private dryBeneath(side: 0 | 1): void {
    const found = this.beneath[side]
    if (found.cell < 0) return
    const { axis, water, temperature, fluxes } = this
    const { inverse } = this.heat
    for (let k = 0; k < found.count; k++) {
      const cell = found.cell + k * found.inward
      const wanted = found.area * this.crossed[side].beneath * found.share(k)
      const mass = Math.min(wanted, Math.max(0, water[cell]) * axis.volume[cell])
      water[cell] -= mass / axis.volume[cell]
      // Where it boiled dry meanwhile, what did not evaporate did not cool.
      temperature[cell] += ((wanted - mass) * found.latent * inverse[cell]) / axis.volume[cell]
      fluxes.evaporated += mass
      fluxes.latentOut += mass * found.latent
      fluxes.carriedOut += mass * waterWarmth(temperature[cell])
    }
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
  private drip({ surface, face }: End, flow: EndFluxes, juice: number, area: number, celsius: number): void {
    if (area === 0) return
    const { fluxes } = this
    // A shade more may have boiled than came, since less came for what boiled: the next step makes it good.
    const { clingingJuice } = this.constants
    const before = surface.film - flow.film
    const film = before + juice * this.staying(face)
    surface.film = holdsJuice(face) ? film : Math.min(film, Math.max(before, clingingJuice))
    fluxes.dripped += area * (before + juice - surface.film)
    fluxes.evaporated += area * (flow.film + flow.cell)
    fluxes.carriedOut += area * (juice + flow.cell) * waterWarmth(celsius)
  }

  /** Water that moves takes its warmth along, from the cell it leaves. */
  private carryWarmth(): void {
    const { axis, temperature, water, moisture, material, substances } = this
    const { moved } = moisture
    const { volume } = axis
    const n = axis.cells
    /** What has come to a cell over its lower edge, J. */
    let fromBelow = 0
    for (let i = 0; i < n; i++) {
      const T = temperature[i]
      let carried = fromBelow
      fromBelow = 0
      if (i < n - 1) {
        const flow = moved[i + 1]
        const above = temperature[i + 1]
        const step = flow * waterHeat(above) * (T - above)
        if (flow > 0) fromBelow = step
        else carried += step
      }
      temperature[i] = T + carried / (substances.capacity(substances.row(material[i]), T, water[i]) * volume[i])
    }
  }
}

/** Scratch. */
const OPEN: [boolean, boolean] = [false, false]
