/**
 * Water on the move along one line of cells. Heated meat holds less of it; what it no
 * longer holds is pressed toward where it is held or can leave. One implicit step
 * of   ∂W/∂t = ∇·( D(T) ∇(W − held(T)) ),   kg/m³, m²/s.
 *
 * Form after R. G. M. van der Sman, Meat Science 76 (2007), with the pressure's
 * permeability and stiffness folded into one diffusivity that rises as the
 * proteins tighten.
 */
import type { Axis } from './grid'
import type { Material } from './properties'
import { placeOf, Tabulated } from './tabulated'
import { filled } from '#core/numerics/filled'
import { solveTridiagonal } from '#core/numerics/tridiagonal'
import { heldWaterShare } from './vapour'

/** How far the diffusivity has gone from its cool to its hot value: half-way at 57.5 °C. */
const TIGHTENED = new Tabulated(T => 1 / (1 + Math.exp((57.5 - T) / 2)))
const HELD = new Tabulated(heldWaterShare)
/** Share of its raw water that muscle holds. */
export const held = (celsius: number): number => HELD.at(celsius)

/** kg/m³ that would be held cold, had it never been heated. */
export const heldAtMost = (water: number, heatedToC?: number): number => (heatedToC === undefined ? water : water / held(heatedToC))

const FIGURES = 4
const HEATED = 2
/** How far from a face inward can matter to it within one step, in lengths that water diffuses in that time. */
const REACH = 5
/** A cell passes water on freely above a fifth of the raw. */
const WET_ENOUGH = 5

export class Moisture {
  /** Juice that came out at each end in the last step, kg/m². */
  readonly juice: [number, number] = [0, 0]
  /** What the outermost cell at each end will hold if nothing evaporates, kg/m³, and less for each kg/m² and second that does. */
  readonly left: [number, number] = [0, 0]
  readonly leftPerDrawn: [number, number] = [0, 0]
  /** Water that either face could draw on at all in one step, kg for the line: its own cell's, and half of what lies beneath while that is wet. */
  readonly within: [number, number] = [0, 0]

  /** Of each material: raw water, supply when cool, how much more when hot, whether it tightens. */
  private readonly figures: Float64Array
  /** Of each material: what it was heated to before, as a place in the tables, and its water over what it held there; null where all is raw. */
  private readonly heated: Float64Array | null

  // Scratch, one entry a cell or an edge.
  private readonly next: Float64Array
  /** Water of each cell's substance when raw. */
  private readonly raw: Float64Array
  private readonly held: Float64Array
  private readonly conductance: Float64Array
  /** What passed each inner edge toward the second end in the last step, kg. */
  readonly moved: Float64Array
  /** Storage over the step; what `held` alone drives into each cell; the matrix. */
  private readonly storage: Float64Array
  private readonly pressed: Float64Array
  private readonly lower: Float64Array
  private readonly diagonal: Float64Array
  private readonly upper: Float64Array
  private readonly open: [boolean, boolean] = [false, false]
  /** Area over the distance between two centres; to the face at either end. */
  private readonly nearness: Float64Array
  /** m²/s */
  private readonly fastest: number

  constructor(
    private readonly axis: Axis,
    materials: readonly Material[]
  ) {
    this.figures = Float64Array.from(
      materials.flatMap(({ rawWater, supply: [cool, hot], tightens }) => [rawWater, cool, hot - cool, tightens ? 1 : 0])
    )
    this.heated = materials.every(m => m.heatedToC === undefined)
      ? null
      : Float64Array.from(
          materials.flatMap(m => [m.heatedToC === undefined ? 0 : placeOf(m.heatedToC), heldAtMost(m.rawWater, m.heatedToC)])
        )
    const n = axis.cells
    const scratch = (): Float64Array => new Float64Array(n)
    this.next = scratch()
    this.raw = scratch()
    this.held = scratch()
    this.conductance = new Float64Array(n + 1)
    this.moved = new Float64Array(n + 1)
    this.storage = scratch()
    this.pressed = scratch()
    this.lower = scratch()
    this.diagonal = scratch()
    this.upper = scratch()
    this.fastest = Math.max(...materials.flatMap(m => m.supply))
    const { centre, edge, area } = axis
    this.nearness = filled(n + 1, i => area[i] / ((i < n ? centre[i] : edge[n]) - (i > 0 ? centre[i - 1] : edge[0])))
  }

  /**
   * Assembles the step and works out, from within, what each face can draw on.
   * @param temperature expected half-way through the step
   * @param open whether juice can come out at each end
   */
  prepare(dt: number, temperature: Float64Array, water: Float64Array, material: Uint8Array, open: readonly [boolean, boolean]): void {
    const { axis, raw, held, figures, heated, conductance, nearness, storage, pressed, lower, diagonal, upper } = this
    const { area, volume } = axis
    const n = axis.cells
    const perSecond = 1 / dt
    // One pass, cell after cell, each joined to the one before: this is asked of every line in every step.
    let supply = 0
    let keeps = 0
    for (let i = 0; i < n; i++) {
      const row = FIGURES * material[i]
      const rawWater = figures[row]
      const supplyBefore = supply
      const keepsBefore = keeps
      supply = figures[row + 1]
      keeps = rawWater
      if (figures[row + 3] > 0) {
        let place = placeOf(temperature[i])
        if (heated !== null) {
          const before = HEATED * material[i]
          place = Math.max(place, heated[before])
          keeps = heated[before + 1]
        }
        const entry = place | 0
        const part = place - entry
        supply += TIGHTENED.between(entry, part) * figures[row + 2]
        keeps *= HELD.between(entry, part)
      }
      raw[i] = rawWater
      held[i] = keeps
      const stored = volume[i] * perSecond
      storage[i] = stored
      if (i === 0) {
        conductance[0] = nearness[0] * supply
        diagonal[0] = stored
        pressed[0] = 0
        continue
      }
      const between = (nearness[i] * 2 * supplyBefore * supply) / (supplyBefore + supply)
      const flow = between * (keeps - keepsBefore)
      conductance[i] = between
      upper[i - 1] = lower[i] = -between
      diagonal[i - 1] += between
      pressed[i - 1] -= flow
      diagonal[i] = stored + between
      pressed[i] = flow
    }
    conductance[n] = nearness[n] * supply
    this.openEnd(0, 0, open[0] && area[0] > 0, water)
    this.openEnd(n, n - 1, open[1] && area[n] > 0, water)
    const far = REACH * Math.sqrt(this.fastest * dt)
    if (area[0] > 0) this.reach(0, far, water)
    if (area[n] > 0) this.reach(1, far, water)
  }

  /** Juice comes out at an end that lets it, where the cell there has more than it holds. */
  private openEnd(edge: number, cell: number, lets: boolean, water: Float64Array): void {
    const { held, conductance, diagonal, pressed, open } = this
    const comes = lets && water[cell] > held[cell]
    open[edge === 0 ? 0 : 1] = comes
    if (!comes) return
    diagonal[cell] += conductance[edge]
    pressed[cell] += conductance[edge] * held[cell]
  }

  /** Eliminates from within toward one face: what its outermost cell ends with goes straight with what is drawn there. */
  private reach(side: 0 | 1, far: number, water: Float64Array): void {
    const { axis, conductance, storage, pressed, diagonal } = this
    const { edge, cells: n } = axis
    let depth = 1
    while (depth < n && (side === 0 ? edge[depth] - edge[0] : edge[n] - edge[n - depth]) < far) depth++
    let i = side === 0 ? depth - 1 : n - depth
    let d = diagonal[i]
    let r = storage[i] * water[i] + pressed[i]
    // What lies beyond reach stays as it is.
    if (depth < n) r += side === 0 ? conductance[i + 1] * water[i + 1] : conductance[i] * water[i - 1]
    let within = 0
    let toFace = this.offered(i, water)
    for (let steps = 1; steps < depth; steps++) {
      const c = conductance[side === 0 ? i : i + 1]
      i += side === 0 ? -1 : 1
      const w = c / d
      d = diagonal[i] - c * w
      r = storage[i] * water[i] + pressed[i] + w * r
      within += toFace
      toFace = this.offered(i, water)
    }
    this.within[side] = within + axis.volume[i] * Math.max(0, water[i])
    this.left[side] = r / d
    this.leftPerDrawn[side] = axis.area[side === 0 ? 0 : n] / d
  }

  /**
   * Carries the step out.
   * @param water kg/m³ after boiling, replaced by the end of the step
   * @param drawnFirst what evaporation took from the outermost cells, kg/m² each second
   */
  step(dt: number, water: Float64Array, drawnFirst: number, drawnSecond: number): void {
    const { axis, next, held, conductance, storage, pressed, juice, open } = this
    const { area } = axis
    const n = axis.cells
    for (let i = 0; i < n; i++) next[i] = storage[i] * water[i] + pressed[i]
    next[0] -= area[0] * drawnFirst
    next[n - 1] -= area[n] * drawnSecond
    solveTridiagonal(this.lower, this.diagonal, this.upper, next, n)
    let least = 0
    for (let i = 0; i < n; i++) {
      if (next[i] < least) least = next[i]
      if (i > 0) this.moved[i] = dt * conductance[i] * (next[i - 1] - held[i - 1] - (next[i] - held[i]))
    }
    juice[0] = open[0] ? (dt * this.pressedOut(0)) / area[0] : 0
    juice[1] = open[1] ? (dt * this.pressedOut(1)) / area[n] : 0
    if (least < 0) this.leaveNoneDry(dt, water, drawnFirst, drawnSecond)
    water.set(next)
  }

  /** What an inner cell can pass outward in a step, kg: half of its water, and less the drier it is beside its own raw self. */
  private offered(i: number, water: Float64Array): number {
    const w = Math.max(0, water[i])
    const raw = this.raw[i]
    return raw > 0 ? 0.5 * w * this.axis.volume[i] * Math.min(1, (WET_ENOUGH * w) / raw) : 0
  }

  /** Juice expected at one end if nothing is drawn from the cell there, kg each second. */
  pressing(side: 0 | 1): number {
    const edge = side === 0 ? 0 : this.axis.cells
    return this.open[side] ? this.conductance[edge] * (this.left[side] - this.held[side === 0 ? 0 : edge - 1]) : 0
  }

  /** A nearly dry cell cannot give what it does not have, however much its neighbours hold on: its outflows are cut to that. */
  private leaveNoneDry(dt: number, water: Float64Array, drawnFirst: number, drawnSecond: number): void {
    const { axis, moved, next, juice } = this
    const { volume, area } = axis
    const n = axis.cells
    for (let i = 0; i < n; i++) {
      const out = Math.max(0, i > 0 ? -moved[i] : 0) + Math.max(0, i < n - 1 ? moved[i + 1] : 0)
      if (out <= 0) continue
      const drawn = dt * ((i === 0 ? area[0] * drawnFirst : 0) + (i === n - 1 ? area[n] * drawnSecond : 0))
      const cut = Math.min(1, Math.max(0, volume[i] * water[i] - drawn) / out)
      if (i > 0 && moved[i] < 0) moved[i] *= cut
      if (i < n - 1 && moved[i + 1] > 0) moved[i + 1] *= cut
    }
    for (let i = 0; i < n; i++) {
      const arrived = (i > 0 ? moved[i] : 0) - (i < n - 1 ? moved[i + 1] : 0)
      const drawn = dt * ((i === 0 ? area[0] * drawnFirst : 0) + (i === n - 1 ? area[n] * drawnSecond : 0))
      const pressed = (i === 0 ? area[0] * juice[0] : 0) + (i === n - 1 ? area[n] * juice[1] : 0)
      next[i] = water[i] + (arrived - drawn - pressed) / volume[i]
    }
    this.passOutward(0)
    this.passOutward(1)
  }

  /** What a face has drawn beyond its own cell's water came from further in: passed outward from cell to cell. */
  private passOutward(side: 0 | 1): void {
    const { axis, moved, next } = this
    const { volume } = axis
    const n = axis.cells
    const inward = side === 0 ? 1 : -1
    for (let i = side === 0 ? 0 : n - 1; next[i] < 0; i += inward) {
      const inner = i + inward
      if (inner < 0 || inner >= n) return
      const missing = -next[i] * volume[i]
      next[i] = 0
      next[inner] -= missing / volume[inner]
      moved[side === 0 ? inner : i] -= inward * missing
    }
  }

  /** Juice leaving at one end by the solution as it stands, kg each second. */
  private pressedOut(side: 0 | 1): number {
    const edge = side === 0 ? 0 : this.axis.cells
    const cell = side === 0 ? 0 : edge - 1
    return this.open[side] ? this.conductance[edge] * (this.next[cell] - this.held[cell]) : 0
  }
}
