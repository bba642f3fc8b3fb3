/**
 * A piece as finite volumes, each with a temperature and a water content, carried
 * forward one time step at a time by sweeping along its grid lines (`gridLine.ts`): along the
 * axis, in radius, or first the one and then the other, in turns, so that neither
 * direction always goes first (operator splitting; the two commute exactly where the
 * problem is linear). A slab has one line, a long cylinder too.
 *
 * SI, °C. Totals are for the whole body: a square metre of slab, a metre of long
 * cylinder, one piece of finite size.
 */
import type { Constants } from './constants'
import { lumpOf, type Face, type Faces } from './faces'
import type { Axis, Grid } from './grid'
import { ThermalCentre } from './thermalCentre'
import type { Burner, LumpState } from './lump'
import { at, integral, waterHeat, waterWarmth, type Material } from './properties'
import type { BoundaryFluxes, End } from './boundaryFluxes'
import { GAMMA, GridLine, type Pace } from './gridLine'
import { held, heldAtMost } from './moisture'
import { Rim } from './rim'
import { Substances } from './substances'
import { DEFAULT_STEPS } from './stepControl'
import { Surface, type Cover } from './surface'
import { BOILING_LATENT_HEAT } from './vapour'
import { filled } from '#core/numerics/filled'

export interface BodyStart {
  readonly temperature: number
  /** Free water lying on the faces, kg/m². */
  readonly film: number
  readonly boiling: number
}

/** What has crossed the faces since the beginning, J and kg. */
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

/** The line that sweeps it in one direction, and what every cell gained along that. */
interface Direction {
  readonly line: GridLine
  readonly pace: Pace
}

export class Body {
  readonly temperature: Float64Array
  /** kg/m³ of the raw piece */
  readonly water: Float64Array
  /** The hottest each cell has been. */
  readonly hottest: Float64Array
  readonly centre: ThermalCentre
  /** One surface for each ring on the first and second face, for each layer on the side; none where closed for good. */
  readonly first: readonly Surface[]
  readonly second: readonly Surface[]
  readonly side: readonly Surface[]
  /** How far the last step went from a straight line through the step before, K: the root of its mean square by volume, boiling cells left out. */
  stepError = 0
  readonly ledger: Ledger = { heatIn: 0, latentOut: 0, carriedOut: 0, evaporated: 0, dripped: 0 }

  /** None where both its ends are closed for good. */
  private readonly alongAxis: Direction | null
  private readonly inRadius: Direction | null
  private readonly inner: Surface
  /** Of a slab that has an end; its surface is none of `side`, which are a grid's. */
  readonly rim: Rim | null
  private readonly rimSurface: Surface
  /** m of rim line that a square metre of slab stands for: its thickness over its face. */
  private readonly rimShare: number
  /** How long the rim is behind, s. */
  private rimBehind = 0
  /** Over the thickness at the axis when the rim had last been stepped: °C, kg/m³. */
  private meanThen: number
  private meanWater: number
  /** What the last step gave each cell a second, for the middle of the next: K/s, kg/(m³·s). */
  private readonly warming: Float64Array
  private readonly wetting: Float64Array
  /** Share of each cell in the volume. */
  private readonly weight: Float64Array
  private readonly volume: number
  /** kg/m³ of water that cells held when raw, of those that hold less of it when heated; 0 in the others. */
  private readonly gripping: Float64Array
  private readonly substances: Substances
  // Scratch.
  private readonly temperatureBefore: Float64Array
  private readonly waterBefore: Float64Array
  private readonly ends: readonly [End, End]
  private radialFirst = false
  private readonly lumpHeat: number[] = []
  private readonly lumpSlope: number[] = []

  constructor(
    readonly grid: Grid,
    /** 0 is the meat, the others its coats. */
    readonly materials: readonly Material[],
    private readonly constants: Constants,
    private readonly start: BodyStart,
    sideCover: Cover | null = null,
    /** s */
    private readonly rimStep = DEFAULT_STEPS.rim
  ) {
    const scratch = (): Float64Array => new Float64Array(grid.cells)
    this.temperature = scratch().fill(start.temperature)
    this.hottest = filled(grid.cells, i => Math.max(start.temperature, materials[grid.material[i]].heatedToC ?? -Infinity))
    this.water = filled(grid.cells, i => materials[grid.material[i]].rawWater)
    const surfaces = (count: number, cover: Cover | null = null): Surface[] =>
      Array.from({ length: count }, () => this.newSurface(start.film, cover))
    const { radial, axial } = grid
    this.first = surfaces(axial.area[0] > 0 ? radial.cells : 0)
    this.second = surfaces(axial.area[axial.cells] > 0 ? radial.cells : 0)
    this.side = surfaces(radial.area[radial.cells] > 0 ? axial.cells : 0, sideCover)
    this.inner = this.newSurface(0)
    this.rim = grid.rim ? new Rim(grid.rim, materials[0], start.boiling, constants, start.temperature) : null
    this.rimSurface = this.newSurface(start.film, sideCover)
    this.meanThen = start.temperature
    this.rimShare = grid.rim ? axial.edge[axial.cells] / grid.rim.volume.reduce((sum, v) => sum + v, 0) : 0
    this.centre = new ThermalCentre(grid, start.temperature)
    this.warming = scratch()
    this.wetting = scratch()
    const { temperature, water, warming, wetting } = this
    this.substances = new Substances(materials)
    const direction = (axis: Axis, whole: boolean): Direction => {
      const pace = { early: scratch(), late: scratch() }
      const state = whole ? { temperature, water, warming, wetting, material: grid.material, ...pace } : undefined
      return { pace, line: new GridLine(axis, materials, this.substances, start.boiling, constants, state) }
    }
    this.alongAxis = this.first.length > 0 ? direction(axial, radial.cells === 1) : null
    this.inRadius = this.side.length > 0 ? direction(radial, axial.cells === 1) : null
    const volume = (cell: number): number => radial.volume[Math.floor(cell / axial.cells)] * axial.volume[cell % axial.cells]
    this.volume = this.sum(() => 1)
    this.weight = filled(grid.cells, cell => volume(cell) / this.volume)
    this.meanWater = this.meanOver(this.water)
    this.gripping = filled(grid.cells, i => {
      const { tightens, rawWater, heatedToC } = materials[grid.material[i]]
      return tightens ? heldAtMost(rawWater, heatedToC) : 0
    })
    this.temperatureBefore = scratch()
    this.waterBefore = scratch()
    const end = (): End => ({ surface: this.inner, face: CLOSED, lumpAtFirst: 0, lumpAtSecond: 0 })
    this.ends = [end(), end()]
  }

  /** @param lumps stepped along, with the fire under each */
  step(dt: number, faces: Faces, lumps: readonly LumpState[], burners: readonly (Burner | null)[], amount: number): void {
    const { temperature, water, temperatureBefore, waterBefore, warming, wetting } = this
    temperatureBefore.set(temperature)
    waterBefore.set(water)
    for (let i = 0; i < lumps.length; i++) {
      lumps[i].begin(dt, burners[i] ?? null)
      this.lumpHeat[i] = this.lumpSlope[i] = 0
    }
    const { alongAxis, inRadius } = this
    if (inRadius && this.radialFirst) this.sweepRadius(inRadius, dt, faces, lumps)
    if (alongAxis) this.sweepAxis(alongAxis, dt, faces, lumps)
    if (inRadius && !this.radialFirst) this.sweepRadius(inRadius, dt, faces, lumps)
    this.radialFirst = !this.radialFirst
    if (this.rim) this.alongRim(dt, this.rim, faces, lumps)
    for (let i = 0; i < lumps.length; i++) lumps[i].finish(dt, amount * this.lumpHeat[i], amount * this.lumpSlope[i])

    this.seep(dt)

    const { hottest, weight } = this
    const wet = this.start.boiling - 1
    const perSecond = 1 / dt
    let stepError = 0
    for (let i = 0; i < hottest.length; i++) {
      const T = temperature[i]
      if (T > hottest[i]) hottest[i] = T
      const rate = (T - temperatureBefore[i]) * perSecond
      const off = rate - warming[i]
      if (T < wet) stepError += weight[i] * off * off
      warming[i] = rate
      wetting[i] = (water[i] - waterBefore[i]) * perSecond
    }
    this.stepError = Math.sqrt(stepError) * dt
    this.centre.note(temperature)
  }

  /** The faces have changed: what the last step did says nothing of the next. */
  forgetRates(): void {
    this.warming.fill(0)
    this.wetting.fill(0)
  }

  /** Steps of its grid lines that did not settle and were taken in two. */
  get halvings(): number {
    return (this.alongAxis?.line.halvings ?? 0) + (this.inRadius?.line.halvings ?? 0) + (this.rim?.line.halvings ?? 0)
  }

  /** Enthalpy of everything in the cells above 0 °C, J; for the energy balance. */
  get enthalpy(): number {
    const { grid, materials, temperature, water } = this
    const over = this.rimShare * (this.rim?.enthalpyOver ?? 0)
    return over + this.sum(i => integral(materials[grid.material[i]].solidsHeat, temperature[i]) + water[i] * waterWarmth(temperature[i]))
  }

  /** Water in the cells and on the faces, kg. */
  get waterHeld(): number {
    const { radial, axial } = this.grid
    const ends = [...this.first, ...this.second].reduce((sum, s, i) => sum + s.film * radial.volume[i % radial.cells], 0)
    const side = this.side.reduce((sum, s, k) => sum + s.film * axial.volume[k] * radial.area[radial.cells], 0)
    const rim =
      this.rim && this.grid.rim ? this.rimShare * (this.rimSurface.film * this.grid.rim.area[this.grid.rim.cells] + this.rim.waterOver) : 0
    return this.sum(i => this.water[i]) + ends + side + rim
  }

  /** By volume, °C. */
  get mean(): number {
    return this.meanOver(this.temperature) + (this.rim?.over ?? 0)
  }

  /** By volume, of a figure that each cell has. */
  private meanOver(cells: Float64Array): number {
    const { weight } = this
    let sum = 0
    for (let i = 0; i < weight.length; i++) sum += weight[i] * cells[i]
    return sum
  }

  /** Raw, kg. */
  get mass(): number {
    return this.sum(i => this.materials[this.grid.material[i]].density)
  }

  sum(of: (cell: number) => number): number {
    const { radial, axial } = this.grid
    let total = 0
    for (let ring = 0; ring < radial.cells; ring++) {
      for (let layer = 0; layer < axial.cells; layer++) {
        total += radial.volume[ring] * axial.volume[layer] * of(ring * axial.cells + layer)
      }
    }
    return total
  }

  /** Heated muscle lets go of water faster than it wanders out through it: some finds a way of its own, along seams and cut ends, and drips. */
  private seep(dt: number): void {
    const { temperature, water, weight, ledger, gripping } = this
    const { heatedToC = -Infinity } = this.materials[0]
    const gone = Math.min(1, this.constants.juiceSeep * dt)
    if (gone <= 0) return
    let dripped = 0
    let carried = 0
    for (let i = 0; i < water.length; i++) {
      const raw = gripping[i]
      if (raw === 0) continue
      const T = temperature[i]
      const loose = water[i] - raw * held(Math.max(T, heatedToC))
      if (loose <= 0) continue
      const left = gone * loose
      water[i] -= left
      dripped += left * weight[i]
      carried += left * weight[i] * waterWarmth(T)
    }
    ledger.dripped += dripped * this.volume
    ledger.carriedOut += carried * this.volume
  }

  private newSurface(film: number, cover: Cover | null = null): Surface {
    return new Surface(this.start.temperature, film, this.start.boiling, cover)
  }

  private sweepAxis(along: Direction, dt: number, faces: Faces, lumps: readonly LumpState[]): void {
    const { radial, axial } = this.grid
    this.turnTo(0, faces.first, lumps)
    this.turnTo(1, this.second.length > 0 ? faces.second : CLOSED, lumps)
    for (let ring = 0; ring < radial.cells; ring++) {
      this.ends[0].surface = this.first[ring]
      this.ends[1].surface = this.second.length > 0 ? this.second[ring] : this.inner
      this.sweep(along, ring * axial.cells, 1, radial.volume[ring], dt)
    }
  }

  private sweepRadius(along: Direction, dt: number, faces: Faces, lumps: readonly LumpState[]): void {
    const { axial } = this.grid
    this.turnTo(0, CLOSED, lumps)
    this.turnTo(1, faces.side, lumps)
    for (let layer = 0; layer < axial.cells; layer++) {
      this.ends[0].surface = this.inner
      this.ends[1].surface = this.side[layer]
      this.sweep(along, layer, axial.cells, axial.volume[layer], dt)
    }
  }

  /** Nothing is quick at a rim: it goes in steps of its own, several of the slab's at a time. */
  private alongRim(dt: number, rim: Rim, faces: Faces, lumps: readonly LumpState[]): void {
    this.rimBehind += dt
    if (this.rimBehind < this.rimStep) return
    this.stepRim(this.rimBehind, rim, faces, lumps)
    this.rimBehind = 0
    this.meanThen = this.meanOver(this.temperature)
  }

  private stepRim(dt: number, rim: Rim, faces: Faces, lumps: readonly LumpState[]): void {
    const { temperature, weight, ends } = this
    const mean = this.meanOver(temperature)
    const wetness = this.meanOver(this.water)
    this.turnTo(0, CLOSED, lumps)
    this.turnTo(1, faces.side, lumps)
    ends[0].surface = this.inner
    ends[1].surface = this.rimSurface
    const dried = wetness - this.meanWater
    this.book(rim.step(dt, mean - this.meanThen, dried, this.settling(), ends[0], ends[1]), this.rimShare)
    // What a dry rim could not give off was booked for all of the face.
    const kept = this.rimShare * rim.faceWater
    const latent = kept * BOILING_LATENT_HEAT
    const warmth = kept * waterWarmth(mean)
    this.ledger.evaporated -= kept
    this.ledger.latentOut -= latent
    this.ledger.carriedOut -= warmth
    this.ledger.heatIn += this.rimShare * rim.faceHeat - latent - warmth
    const evening = rim.evening * dt
    const wet = this.start.boiling - 1
    // What boils is left alone; the others share what the axis was given, and no more than that.
    const { axisGain, axisWater } = rim
    const { water, substances } = this
    const { material } = this.grid
    const wetter = wetness > 0 ? axisWater / wetness : 0
    this.meanWater = wetness * (1 + wetter)
    let heat = 0
    let capacity = 0
    for (let i = 0; i < temperature.length; i++) {
      const T = temperature[i]
      const more = wetter * water[i]
      water[i] += more
      heat += weight[i] * more * waterWarmth(T)
      if (T >= wet) continue
      const c = weight[i] * substances.capacity(substances.row(material[i]), T, water[i])
      capacity += c
      heat += c * (axisGain + evening * (mean - T))
    }
    if (capacity <= 0) return
    const mend = axisGain + (rim.axisHeat - heat) / capacity
    for (let i = 0; i < temperature.length; i++) {
      const T = temperature[i]
      if (T < wet) temperature[i] = T + evening * (mean - T) + mend
    }
  }

  /** 1/s at which the two faces draw the mean over the thickness along, by what they pass for each kelvin; the slab between is its first mode's. */
  private settling(): number {
    const { axial } = this.grid
    const thickness = axial.edge[axial.cells]
    const [meat] = this.materials
    const inside = thickness / (FIRST_MODE * at(meat.wetConductivity, TYPICAL_C))
    const capacity = at(meat.solidsHeat, TYPICAL_C) + meat.rawWater * waterHeat(TYPICAL_C)
    let through = 0
    for (const { intoSlope } of [this.first[0], this.second[0]]) if (intoSlope < 0) through += 1 / (inside - 1 / intoSlope)
    return through / (capacity * thickness)
  }

  private turnTo(side: 0 | 1, face: Face, lumps: readonly LumpState[]): void {
    const end = this.ends[side]
    const touched = lumpOf(face)
    end.face = face
    if (touched === null) return
    end.lumpAtFirst = lumps[touched].at(GAMMA)
    end.lumpAtSecond = lumps[touched].at(1)
  }

  /** One line, from its place in the body and back. @param size how much of the body a unit of line stands for */
  private sweep({ line, pace: { early, late } }: Direction, offset: number, stride: number, size: number, dt: number): void {
    const { temperature, water, warming, wetting, grid, ends } = this
    const n = line.axis.cells
    // A slab has one line, and the line's arrays are the body's.
    const apart = line.temperature !== temperature
    for (let i = 0, at = offset; apart && i < n; i++, at += stride) {
      line.temperature[i] = temperature[at]
      line.water[i] = water[at]
      line.material[i] = grid.material[at]
      line.warming[i] = warming[at]
      line.wetting[i] = wetting[at]
      line.early[i] = early[at]
      line.late[i] = late[at]
    }
    line.step(dt, ends[0], ends[1])
    for (let i = 0, at = offset; apart && i < n; i++, at += stride) {
      temperature[at] = line.temperature[i]
      water[at] = line.water[i]
      early[at] = line.early[i]
      late[at] = line.late[i]
    }
    this.book(line.fluxes, size)
  }

  private book(fluxes: BoundaryFluxes, size: number): void {
    const { ledger, ends } = this
    ledger.heatIn += size * fluxes.heatIn
    ledger.latentOut += size * fluxes.latentOut
    ledger.carriedOut += size * fluxes.carriedOut
    ledger.evaporated += size * fluxes.evaporated
    ledger.dripped += size * fluxes.dripped
    for (let side = 0; side < 2; side++) {
      const touched = lumpOf(ends[side].face)
      if (touched === null) continue
      this.lumpHeat[touched] += size * fluxes.fromLump[side]
      this.lumpSlope[touched] += size * fluxes.lumpSlope[side]
    }
  }
}

const FIRST_MODE = Math.PI ** 2 / 2
const TYPICAL_C = 40
const CLOSED: Face = { kind: 'closed' }
