/**
 * One piece of meat as it lies on the bench: measured, weighed, at a temperature,
 * wet or dry. Millimetres, grams, °C.
 */
import { densityOf } from '#core/heat/properties'
import { slabGrid, type Grid, type Resolution } from '#core/heat/grid'
import type { Cut } from './cut'

export type SurfaceState = 'wet' | 'patted' | 'aired' | 'starched'

/** Free water on a face, kg/m²: a wet face carries 0.1–0.5 (common practice, no source). */
export const SURFACES: Record<SurfaceState, { readonly label: string; readonly filmKgM2: number; readonly means: string }> = {
  wet: { label: 'Wet', filmKgM2: 0.25, means: 'straight from the packet' },
  patted: { label: 'Patted dry', filmKgM2: 0.06, means: 'pressed with a cloth or paper' },
  starched: { label: 'Dusted with starch', filmKgM2: 0.03, means: 'patted, then a thin coat of plain starch' },
  aired: { label: 'Aired', filmKgM2: 0.005, means: 'a day or two on a rack in the fridge' }
}

export interface Piece {
  readonly cutId: string
  /** How many such pieces go in together. */
  readonly count: number
  readonly thicknessMm: number
  /** Of one piece. */
  readonly weightG: number
  readonly lengthMm: number
  /** Across a steak; for a round, the same as the length. */
  readonly widthMm: number
  readonly startC: number
  readonly surface: SurfaceState
}

/** What may be typed for a piece at all; outside it the engine is not meant to be right. */
export const PIECE_LIMITS = {
  count: [1, 12],
  thicknessMm: [5, 100],
  weightG: [20, 5000],
  lengthMm: [20, 600],
  widthMm: [20, 400],
  startC: [-1, 30]
} as const satisfies Partial<Record<keyof Piece, readonly [number, number]>>

/** Below this meat begins to freeze, and the engine does not thaw. */
export const FREEZING_C = -1.5

/** Area of one face, m², from weight and thickness: those two are measured best. */
export function faceAreaM2(piece: Piece, cut: Cut): number {
  return piece.weightG / 1000 / (densityOf(cut.composition, piece.startC) * (piece.thicknessMm / 1000))
}

export function gridOf(piece: Piece, resolution: Resolution): Grid {
  return slabGrid(piece.thicknessMm / 1000, resolution)
}

/** Weight that the sizes call for, g. */
export function weightFromSize(piece: Pick<Piece, 'thicknessMm' | 'lengthMm' | 'widthMm' | 'startC'>, cut: Cut): number {
  const outline = cut.shape.outline === 'round' ? Math.PI / 4 : 1
  const volumeM3 = (piece.thicknessMm * piece.lengthMm * piece.widthMm * outline * cut.shape.fill) / 1e9
  return densityOf(cut.composition, piece.startC) * volumeM3 * 1000
}
