/**
 * What a face of the piece is turned to, as plain records, and the heat that
 * passes there. Positive heat flows into the piece. W/m², temperatures in °C.
 */
import { saturatedVapour, saturatedVapourSlope } from './vapour'

/** Hot metal underneath: see `plate.ts`. */
export interface MetalFace {
  readonly kind: 'metal'
  /** W/(m²·K) */
  readonly contact: number
}

/** Air and the walls or coals seen through it. */
export interface AirFace {
  readonly kind: 'air'
  readonly air: number
  /** Temperature of what the face radiates to. */
  readonly walls: number
  /** W/(m²·K) */
  readonly convection: number
  /** Effective: of the meat and of what it sees. */
  readonly emissivity: number
  /** Water vapour already in that air, kg/m³. */
  readonly vapour: number
}

/** Anything of fixed temperature met through a conductance: a bath, a board. Nothing evaporates there. */
export interface FixedFace {
  readonly kind: 'fixed'
  readonly at: number
  /** W/(m²·K) */
  readonly conductance: number
}

/** No heat and no water pass: the axis of a cylinder, a plane of symmetry. */
export interface ClosedFace {
  readonly kind: 'closed'
}

export type Face = MetalFace | AirFace | FixedFace | ClosedFace

/** The first face, z = 0, and the second, z = thickness. */
export type Faces = readonly [Face, Face]

const STEFAN_BOLTZMANN = 5.670374e-8

/** Convection, radiation and the evaporation a wet surface would show; scratch, reused. */
export class AirExchange {
  /** W/m² into the piece, before evaporation, and its slope. */
  heat = 0
  heatSlope = 0
  /** kg/m² each second that a surface with free water loses; negative where dew falls. */
  wet = 0
  wetSlope = 0
  /** The part of it that the vapour already in the air brings back. */
  returning = 0

  at(face: AirFace, surface: number): void {
    const s = surface + 273.15
    const w = face.walls + 273.15
    const radiation = face.emissivity * STEFAN_BOLTZMANN
    this.heat = face.convection * (face.air - surface) + radiation * (w * w * w * w - s * s * s * s)
    this.heatSlope = -face.convection - 4 * radiation * s * s * s
    const transfer = massTransfer(face.convection)
    const saturated = saturatedVapour(surface)
    this.returning = transfer * face.vapour
    this.wet = transfer * saturated - this.returning
    this.wetSlope = transfer * saturatedVapourSlope(surface, saturated)
  }
}

/** m/s. Lewis analogy: h / (ρ·c·Le^⅔) of moist air near 60 °C. */
function massTransfer(convection: number): number {
  return convection / 1007
}
