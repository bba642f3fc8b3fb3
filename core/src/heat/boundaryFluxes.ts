/** What meets a line at its ends, and what crosses there in a step. */
import type { Face } from './faces'
import type { Surface } from './surface'

/** One end of a line during a step. */
export interface End {
  surface: Surface
  face: Face
  /** The lump that the face touches, at the end of either stage, °C. */
  lumpAtFirst: number
  lumpAtSecond: number
}

/** What left a line in the last step or crossed its ends: J and kg per m² of slab or m of cylinder. */
export interface BoundaryFluxes {
  heatIn: number
  latentOut: number
  carriedOut: number
  evaporated: number
  dripped: number
  /** Part of `heatIn` that the lumps gave at either end, J, and its slope, W/K. */
  readonly fromLump: [number, number]
  readonly lumpSlope: [number, number]
}

export const noFluxes = (): BoundaryFluxes => ({
  heatIn: 0,
  latentOut: 0,
  carriedOut: 0,
  evaporated: 0,
  dripped: 0,
  fromLump: [0, 0],
  lumpSlope: [0, 0]
})

/** What crossed one end in a step: J/m² and kg/m². */
export class EndFluxes {
  heat = 0
  latent = 0
  film = 0
  cell = 0
  lump = 0
  /** From beneath a dry crust. */
  beneath = 0

  clear(): void {
    this.heat = this.latent = this.film = this.cell = this.lump = this.beneath = 0
  }

  /** Adds what crosses at the end of a stage, for as long as the stage counts. */
  add(seconds: number, surface: Surface, beneath: number): void {
    this.heat += seconds * surface.heat
    this.latent += seconds * surface.latent
    this.film += seconds * surface.fromFilm
    this.cell += seconds * surface.fromCell
    this.lump += seconds * surface.fromLump
    this.beneath += seconds * beneath
  }
}
