/**
 * One piece of meat as it lies on the bench: measured, weighed, at a temperature,
 * wet or dry. Millimetres, grams, °C.
 */
import { ovalDimension, roundSection, type CrossSection } from '#core/heat/grid'
import { cookedComposition, densityOf, type Composition } from '#core/heat/properties'
import type { Cut } from './cut'

export type SurfaceState = 'wet' | 'patted' | 'aired' | 'starched'

/** Free water on a face, kg/m²: a wet face carries 0.1–0.5 (common practice, no source). */
export const SURFACES: Record<SurfaceState, { readonly label: string; readonly filmKgM2: number; readonly means: string }> = {
  wet: { label: 'Wet', filmKgM2: 0.25, means: 'straight from the packet' },
  patted: { label: 'Patted dry', filmKgM2: 0.06, means: 'pressed with a cloth or paper' },
  starched: { label: 'Dusted with starch', filmKgM2: 0.03, means: 'patted, then a thin coat of plain starch' },
  aired: { label: 'Dried in the fridge', filmKgM2: 0.005, means: 'a day or two on a rack in the fridge' }
}

export const INTACTS = ['yes', 'no', 'unknown'] as const
export type Intact = (typeof INTACTS)[number]

/** A flat piece on a face, or a log that lies along its length. */
export type PieceForm = 'steak' | 'roast'

/** What lies on the outside of the meat. */
export const COAT_KINDS = ['fat cap', 'bone', 'mushroom paste', 'pastry'] as const
export type CoatKind = (typeof COAT_KINDS)[number]

export interface PieceCoat {
  readonly what: CoatKind
  /** Where it lies: `first` of a roast is both its ends. On the `side` paste and pastry go all round, fat and bone lie along a part. */
  readonly on: 'first' | 'second' | 'side'
  readonly thicknessMm: number
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
  /** A steak unless said otherwise. */
  readonly form?: PieceForm
  /** Where it is a wedge: its thin end. The thickness above is the thick one's, which the plan follows. */
  readonly thinEndMm?: number
  /** What its middle came to when it was cooked before and chilled, °C: sizes and weight are as it is since. Left out while it is raw. */
  readonly cookedC?: number
  /** Inside a whole muscle nothing grows; needles, rolling and mincing carry what is outside in. Taken as intact unless said. */
  readonly intact?: Intact
  /** From the outside inward where several lie on one face; sizes and weight are of the meat without them. */
  readonly coats?: readonly PieceCoat[]
}

/** What may be typed for a piece at all; outside it the engine is not meant to be right. */
export const PIECE_LIMITS = {
  count: [1, 40],
  thicknessMm: [3, 200],
  weightG: [10, 12000],
  lengthMm: [20, 700],
  widthMm: [20, 400],
  startC: [-1, 30],
  cookedC: [40, 90]
} as const satisfies Partial<Record<keyof Piece, readonly [number, number]>>

/** Below this meat begins to freeze, and the engine does not thaw. */
export const FREEZING_C = -1.5

/** What it is made of now: cooked before, it has lost what it then no longer held. */
export const compositionOf = ({ cookedC }: Pick<Piece, 'cookedC'>, { composition }: Pick<Cut, 'composition'>): Composition =>
  cookedC === undefined ? composition : cookedComposition(composition, cookedC)

/** Area of one face, m², from weight and thickness: those two are measured best. */
export function faceAreaM2(piece: Piece, cut: Cut): number {
  return piece.weightG / 1000 / (densityOf(compositionOf(piece, cut), piece.startC) * (piece.thicknessMm / 1000))
}

/** The body that stands for the piece, m. */
export type PieceShape =
  | { readonly kind: 'slab'; readonly thickness: number; readonly area: number }
  | { readonly kind: 'round'; readonly section: CrossSection; readonly height: number }

/** So many times as wide as it is thick, a steak is a slab with a rim: see `heat/rim.ts`. */
const FLAT_FROM = 2

/** What a cook calls it: what is roasted whole is no steak, though the cut is sold as one. */
export const pieceName = (piece: Pick<Piece, 'form'>, cut: Pick<Cut, 'name'>): string =>
  piece.form === 'roast' ? cut.name.replace(/ steak$/, ' joint') : cut.name

/** "2 × Hanger steak" */
export const piecesName = (piece: Pick<Piece, 'form' | 'count'>, cut: Pick<Cut, 'name'>): string =>
  `${piece.count > 1 ? `${piece.count} × ` : ''}${pieceName(piece, cut)}`

/** Whether the piece is so wide that it is heated through its faces first. */
export function isFlat(piece: Piece, cut: Cut): boolean {
  return piece.form !== 'roast' && 2 * Math.sqrt(faceAreaM2(piece, cut) / Math.PI) >= (FLAT_FROM * piece.thicknessMm) / 1000
}

/**
 * A flat steak is a slab of its own face, with a rim. A tall one is a round of equal face, standing
 * on it. A roast is an oval log of its thickness and weight: of its width and length what it is wide is to what it is
 * long as typed, and both so much as the weight calls for. What would stand narrower than it is thick is round.
 */
export function shapeOf(piece: Piece, cut: Cut, flat: boolean): PieceShape {
  const thickness = piece.thicknessMm / 1000
  if (piece.form === 'roast') {
    const volume = piece.weightG / 1000 / densityOf(compositionOf(piece, cut), piece.startC)
    const [long, wide] = [piece.lengthMm / 1000, piece.widthMm / 1000]
    const fill = Math.sqrt(volume / ((Math.PI / 4) * thickness * wide * long))
    const height = fill * long
    const area = volume / height
    const aspect = (fill * wide) / thickness
    const section = aspect > 1 ? { half: thickness / 2, area, dimension: ovalDimension(aspect) } : roundSection(Math.sqrt(area / Math.PI))
    return { kind: 'round', section, height }
  }
  const area = faceAreaM2(piece, cut)
  return flat ? { kind: 'slab', thickness, area } : { kind: 'round', section: roundSection(Math.sqrt(area / Math.PI)), height: thickness }
}

/** Weight that the sizes call for, g. */
export function weightFromSize(piece: Pick<Piece, 'thicknessMm' | 'lengthMm' | 'widthMm' | 'startC'>, cut: Cut): number {
  const outline = cut.shape.outline === 'round' ? Math.PI / 4 : 1
  const volumeM3 = (piece.thicknessMm * piece.lengthMm * piece.widthMm * outline * cut.shape.fill) / 1e9
  return densityOf(cut.composition, piece.startC) * volumeM3 * 1000
}

/** What a cook can say lies on the outside, mm; 0 for nothing. */
export interface Outside {
  readonly boneMm: number
  readonly fatMm: number
  readonly pasteMm: number
}
export const OUTSIDE_LIMITS_MM = [0, 40] as const

/** What of the way round lies under a cap of fat, or along a bone; estimates. The rest is bare. */
export const COVERS: Partial<Record<CoatKind, number>> = { 'fat cap': 1 / 3, bone: 1 / 4 }

/** The layers that stand for it. A paste covers the ends of a joint too. */
export function coatsFor({ boneMm, fatMm, pasteMm }: Outside, form: PieceForm | undefined): PieceCoat[] {
  const layers: PieceCoat[] = []
  if (pasteMm > 0) layers.push({ what: 'mushroom paste', on: 'side', thicknessMm: pasteMm })
  if (pasteMm > 0 && form === 'roast') layers.push({ what: 'mushroom paste', on: 'first', thicknessMm: pasteMm })
  if (fatMm > 0) layers.push({ what: 'fat cap', on: 'side', thicknessMm: fatMm })
  if (boneMm > 0) layers.push({ what: 'bone', on: 'side', thicknessMm: boneMm })
  return layers
}

export function outsideOf({ coats = [] }: Pick<Piece, 'coats'>): Outside {
  const mm = (what: CoatKind): number => coats.find(c => c.what === what && c.on === 'side')?.thicknessMm ?? 0
  return { boneMm: mm('bone'), fatMm: mm('fat cap'), pasteMm: mm('mushroom paste') }
}
