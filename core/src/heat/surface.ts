/**
 * One face of the piece: its temperature, the film of free water on it, and the
 * balance there between what comes from outside, what evaporates and what goes in.
 */
import { AirExchange, type AirFace, type Face } from './faces'
import type { PlateState } from './plate'
import { BOILING_LATENT_HEAT, latentHeat, waterActivity } from './vapour'

/** The outermost cell as its face sees it. */
export interface OuterCell {
  readonly temperature: number
  /** From the centre of the cell to the face, W/(m²·K). */
  readonly conductance: number
  /** Share of the raw water left in it; null in a substance without water. */
  readonly wetness: number | null
  /** Water in it for each m² of face, kg/m². */
  readonly water: number
}

const MOST_ITERATIONS = 60

export class Surface {
  /** All of these are results of `meet`. */
  temperature: number
  /** W/m² into the outermost cell, and its slope by that cell's temperature. */
  into = 0
  intoSlope = 0
  /** W/m² from outside, before evaporation. */
  heat = 0
  /** W/m² taken by evaporation here. */
  latent = 0
  /** kg/m² each second, leaving the film and leaving the cell. */
  fromFilm = 0
  fromCell = 0

  private heatSlope = 0
  private latentSlope = 0
  private readonly air = new AirExchange()

  constructor(
    temperature: number,
    /** kg/m² */
    public film: number,
    private readonly boiling: number
  ) {
    this.temperature = temperature
  }

  /**
   * Finds the surface temperature at which heat in, heat out and evaporation
   * balance: Newton inside a bracket, since the balance is curved but monotone.
   */
  meet(face: Face, cell: OuterCell, dt: number, plate: PlateState | null): void {
    if (face.kind === 'closed') {
      this.temperature = cell.temperature
      this.into = this.intoSlope = this.heat = this.latent = this.fromFilm = this.fromCell = 0
      return
    }
    const g = cell.conductance
    let low = -Infinity
    let high = Infinity
    for (let i = 0; i < MOST_ITERATIONS; i++) {
      this.exchangeAt(face, cell, dt, plate)
      const balance = g * (this.temperature - cell.temperature) - this.heat + this.latent
      if (balance > 0) high = this.temperature
      else low = this.temperature
      let next = this.temperature - balance / (g - this.heatSlope + this.latentSlope)
      if ((next <= low || next >= high) && high - low < Infinity) next = (low + high) / 2
      const change = Math.abs(next - this.temperature)
      this.temperature = next
      if (change < 1e-6) break
    }
    this.exchangeAt(face, cell, dt, plate)
    const outward = this.latentSlope - this.heatSlope
    this.into = g * (this.temperature - cell.temperature)
    this.intoSlope = (-g * outward) / (g + outward)
  }

  private exchangeAt(face: Face, cell: OuterCell, dt: number, plate: PlateState | null): void {
    this.latent = this.latentSlope = this.fromFilm = this.fromCell = 0
    switch (face.kind) {
      case 'fixed':
        this.heat = face.conductance * (face.at - this.temperature)
        this.heatSlope = -face.conductance
        break
      case 'metal':
        if (!plate) throw new Error('A metal face needs a plate.')
        this.heat = face.contact * (plate.facing(this.temperature) - this.temperature)
        this.heatSlope = face.contact * (plate.facingSlope - 1)
        this.boilFilm(dt)
        break
      case 'air':
        this.meetAir(face, cell, dt)
        break
      case 'closed':
        break
    }
  }

  /** Water caught between meat and metal boils away within a degree of the boiling point. */
  private boilFilm(dt: number): void {
    const most = this.film / dt
    const above = this.temperature - this.boiling
    if (most <= 0 || above <= 0) return
    this.fromFilm = most * Math.min(1, above)
    this.latent = this.fromFilm * BOILING_LATENT_HEAT
    this.latentSlope = above < 1 ? most * BOILING_LATENT_HEAT : 0
  }

  /** Into air: from the film first, as from open water; then from the meat, as its water activity allows. */
  private meetAir(face: AirFace, cell: OuterCell, dt: number): void {
    const { air } = this
    air.at(face, this.temperature)
    this.heat = air.heat
    this.heatSlope = air.heatSlope
    if (cell.wetness === null) return
    const latent = latentHeat(this.temperature)
    const film = this.film / dt
    if (air.wet <= film) {
      this.fromFilm = air.wet
      this.latent = air.wet * latent
      this.latentSlope = air.wetSlope * latent
      return
    }
    const open = 1 - film / air.wet
    const activity = waterActivity(cell.wetness)
    const drying = (air.wet + air.returning) * activity - air.returning
    const most = (0.5 * cell.water) / dt
    this.fromFilm = film
    this.fromCell = Math.min(most, open * Math.max(0, drying))
    this.latent = (film + this.fromCell) * latent
    this.latentSlope = this.fromCell > 0 && this.fromCell < most ? open * activity * air.wetSlope * latent : 0
  }
}
