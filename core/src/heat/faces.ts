/**
 * What a face of the piece is turned to, as plain records, and the heat that
 * passes there. Positive heat flows into the piece. W/m², temperatures in °C.
 */
import { LEWIS, SATURATED, SATURATED_SLOPE, vapourPressure } from './vapour'

/** Hot metal that is a lump of heat; water caught under the meat boils away there. */
export interface MetalFace {
  readonly kind: 'metal'
  /** Which of the subject's lumps. */
  readonly lump: number
  /** W/(m²·K) */
  readonly contact: number
}

/** Water that is a lump of heat, met through a bag: nothing evaporates there. */
export interface LiquidFace {
  readonly kind: 'liquid'
  readonly lump: number
  /** W/(m²·K) */
  readonly conductance: number
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
  /** Water vapour held in that air, kg/m³ at its own temperature. */
  readonly vapour: number
}

/** Anything of fixed temperature met through a conductance: a bath, a board, grill bars. Nothing evaporates there. */
export interface FixedFace {
  readonly kind: 'fixed'
  readonly at: number
  /** W/(m²·K) */
  readonly conductance: number
}

/** A part of the face touches, the rest sees air: grill bars over coals, a roast rolled in a pan. */
export interface PartlyFace {
  readonly kind: 'partly'
  /** Part of the face that touches, 0–1. */
  readonly share: number
  readonly touching: MetalFace | FixedFace
  readonly open: AirFace
}

/** No heat and no water pass: the axis of a cylinder, a plane of symmetry. */
export interface ClosedFace {
  readonly kind: 'closed'
}

export type Face = MetalFace | LiquidFace | AirFace | FixedFace | PartlyFace | ClosedFace

/** What each face of the piece is turned to; the side of a slab and the ends of a long cylinder are closed. */
export interface Faces {
  readonly first: Face
  readonly second: Face
  readonly side: Face
}

export const CLOSED: ClosedFace = { kind: 'closed' }
/** A slab between two faces. */
export const between = (first: Face, second: Face): Faces => ({ first, second, side: CLOSED })
/** The same all over. */
export const allOver = (face: Face): Faces => ({ first: face, second: face, side: face })

/** The lump a face touches, if any. */
export function lumpOf(face: Face): number | null {
  if (face.kind === 'metal' || face.kind === 'liquid') return face.lump
  return face.kind === 'partly' && face.touching.kind === 'metal' ? face.touching.lump : null
}

/** Whether juice pressed out stays under the piece, where it boils, for want of a way out. */
export const holdsJuice = (face: Face): boolean => face.kind === 'metal'

const STEFAN_BOLTZMANN = 5.670374e-8

/** Convection, radiation and the evaporation a wet surface would show; scratch, reused. */
export class AirExchange {
  /** W/m² into the piece, before evaporation, and its slope. */
  heat = 0
  heatSlope = 0
  /** kg/m² each second that a surface with free water loses; negative where dew falls. */
  wet = 0
  wetSlope = 0
  /** The part of it that the vapour held in the air brings back. */
  returning = 0

  at(face: AirFace, surface: number): void {
    const s = surface + 273.15
    const w = face.walls + 273.15
    const radiation = face.emissivity * STEFAN_BOLTZMANN
    this.heat = face.convection * (face.air - surface) + radiation * (w * w * w * w - s * s * s * s)
    this.heatSlope = -face.convection - 4 * radiation * s * s * s
    const transfer = LEWIS * face.convection
    this.returning = transfer * vapourPressure(face.vapour, face.air)
    this.wet = transfer * SATURATED.at(surface) - this.returning
    this.wetSlope = transfer * SATURATED_SLOPE.at(surface)
  }
}
