/**
 * What every method starts from: the piece, the kitchen, the cook's settings; and the
 * body for the solver that they make.
 */
import type { Constants } from '#core/heat/constants'
import {
  COARSE_RESOLUTION,
  COARSE_RIM_RESOLUTION,
  COARSE_ROUND_RESOLUTION,
  cylinderGrid,
  DEFAULT_RESOLUTION,
  END_RESOLUTION,
  mirroredGrid,
  RIM_RESOLUTION,
  ROUND_RESOLUTION,
  roundGrid,
  slabGrid,
  type Coat,
  type Grid
} from '#core/heat/grid'
import type { Lump } from '#core/heat/lump'
import type { Subject } from '#core/heat/program'
import { meatMaterial } from '#core/heat/properties'
import { boilingPoint } from '#core/heat/vapour'
import type { Room } from '#core/kit/air'
import { coatOf, coverOf } from '#core/meat/coat'
import type { Cut } from '#core/meat/cut'
import { compositionOf, COVERS, shapeOf, SURFACES, type Piece, type PieceCoat, type PieceShape } from '#core/meat/piece'

export interface Setup<S> {
  readonly piece: Piece
  readonly cut: Cut
  readonly room: Room
  readonly settings: S
  readonly constants: Constants
  /** Whether it is a slab with a rim; decided once, so that a draw a little thicker is not another body. */
  readonly flat: boolean
  /** What else lies in the pan while it is seared. */
  readonly beside?: readonly Beside[]
}

/** Meat of another piece in the same pan. */
export interface Beside {
  /** Of the floor, m². */
  readonly areaM2: number
  /** In the pan up to the end, s. */
  readonly seconds: number
}

/** Fine for what is shown; coarse for searches and for many draws: fewer cells, and of a long log its middle alone. */
export type Fineness = 'fine' | 'coarse'

/** @param lumps pans and pots it will meet */
export function subjectOf(setup: Setup<unknown>, fineness: Fineness, lumps: readonly Lump[]): Subject {
  const { piece, cut, room, constants, flat } = setup
  const coats = piece.coats ?? []
  const layers = coats.filter(c => !coversPart(c))
  const { grid, amount } = bodyOf(shapeOf(piece, cut, flat), fineness, layers.map(layerOf), endsAlike(piece))
  return {
    grid,
    materials: [meatMaterial(compositionOf(piece, cut), constants, piece.cookedC), ...layers.map(c => coatOf(c.what))],
    sideCover: coverOf(coats.filter(coversPart)),
    start: { temperature: piece.startC, film: SURFACES[piece.surface].filmKgM2, boiling: boilingPoint(room.altitudeM) },
    lumps,
    amount: piece.count * amount,
    constants
  }
}

/** A roast lies along its length and both its ends fare alike: half of it is enough. */
export const endsAlike = (piece: Piece): boolean => piece.form === 'roast'

const coversPart = ({ on, what }: PieceCoat): boolean => on === 'side' && COVERS[what] !== undefined
const layerOf = (c: PieceCoat, i: number): Coat => ({ on: c.on, thickness: c.thicknessMm / 1000, material: i + 1 })

/** From this many times its width on, the ends of a log change its middle by less than half a kelvin: erf(2.5/1.26), for the time a core takes. */
const LONG_FROM = 2.5

/** A grid, and how much of what it describes makes one piece. */
interface BodyGrid {
  readonly grid: Grid
  readonly amount: number
}

function bodyOf(shape: PieceShape, fineness: Fineness, coats: readonly Coat[], alike: boolean): BodyGrid {
  const on = (where: Coat['on']): number => coats.filter(c => c.on === where).reduce((sum, c) => sum + c.thickness, 0)
  const fine = fineness === 'fine'
  if (shape.kind === 'slab') {
    const thickness = shape.thickness + on('first') + on('second')
    return {
      grid: slabGrid(thickness, fine ? DEFAULT_RESOLUTION : COARSE_RESOLUTION, coats, Math.sqrt(shape.area / Math.PI)),
      amount: shape.area
    }
  }
  const resolution = fine ? ROUND_RESOLUTION : COARSE_ROUND_RESOLUTION
  const { section } = shape
  if (alike && !fine && shape.height >= LONG_FROM * 2 * section.half) {
    const round = coats.filter(c => c.on === 'side')
    return { grid: cylinderGrid(section, ROUND_RESOLUTION, round), amount: shape.height }
  }
  if (alike)
    return { grid: mirroredGrid(section, shape.height + 2 * on('first'), resolution, coats, fine ? END_RESOLUTION : resolution), amount: 2 }
  const rim = fine ? RIM_RESOLUTION : COARSE_RIM_RESOLUTION
  return { grid: roundGrid(section, shape.height + on('first') + on('second'), resolution, coats, rim), amount: 1 }
}

/** What a piece's outside is to the air and to a pan it is rolled in. */
export function outsideOf(setup: Setup<unknown>): { readonly acrossM: number; readonly areaM2: number } {
  const { piece, cut, flat } = setup
  const shape = shapeOf(piece, cut, flat)
  if (shape.kind === 'slab') {
    const radius = Math.sqrt(shape.area / Math.PI)
    return { acrossM: radius, areaM2: 2 * shape.area + 2 * Math.PI * radius * shape.thickness }
  }
  const { half, area, dimension } = shape.section
  const ends = 2 * area
  const round = ((dimension * area) / half) * shape.height
  return { acrossM: piece.form === 'roast' ? 2 * half : Math.sqrt(area / Math.PI), areaM2: ends + round }
}
