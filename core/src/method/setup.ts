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
import { coatOf } from '#core/meat/coat'
import type { Cut } from '#core/meat/cut'
import { shapeOf, SURFACES, type Piece, type PieceShape } from '#core/meat/piece'

export interface Setup<S> {
  readonly piece: Piece
  readonly cut: Cut
  readonly room: Room
  readonly settings: S
  readonly constants: Constants
  /** Whether only the two faces matter; decided once, so that a draw a little thicker is not another body. */
  readonly flat: boolean
}

/** Fine for what is shown; coarse for searches and for many draws: fewer cells, and of a long log its middle alone. */
export type Fineness = 'fine' | 'coarse'

/** @param lumps pans and pots it will meet */
export function subjectOf(setup: Setup<unknown>, fineness: Fineness, lumps: readonly Lump[]): Subject {
  const { piece, cut, room, constants, flat } = setup
  const kinds = piece.coats ?? []
  const { grid, amount } = bodyOf(shapeOf(piece, cut, flat), fineness, coatsOf(piece), endsAlike(piece))
  return {
    grid,
    materials: [meatMaterial(cut.composition, constants), ...kinds.map(c => coatOf(c.what))],
    start: { temperature: piece.startC, film: SURFACES[piece.surface].filmKgM2, boiling: boilingPoint(room.altitudeM) },
    lumps,
    amount: piece.count * amount,
    constants
  }
}

/** A roast lies along its length and both its ends fare alike: half of it is enough. */
export const endsAlike = (piece: Piece): boolean => piece.form === 'roast'

const coatsOf = (piece: Piece): Coat[] =>
  (piece.coats ?? []).map((c, i) => ({ on: c.on, thickness: c.thicknessMm / 1000, material: i + 1 }))

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
    return { grid: slabGrid(thickness, fine ? DEFAULT_RESOLUTION : COARSE_RESOLUTION, coats), amount: shape.area }
  }
  const resolution = fine ? ROUND_RESOLUTION : COARSE_ROUND_RESOLUTION
  const radius = shape.radius + on('side')
  if (alike && !fine && shape.height >= LONG_FROM * 2 * shape.radius) {
    const round = coats.filter(c => c.on === 'side')
    return { grid: cylinderGrid(radius, ROUND_RESOLUTION, round), amount: shape.height }
  }
  if (alike)
    return { grid: mirroredGrid(radius, shape.height + 2 * on('first'), resolution, coats, fine ? END_RESOLUTION : resolution), amount: 2 }
  const rim = fine ? RIM_RESOLUTION : COARSE_RIM_RESOLUTION
  return { grid: roundGrid(radius, shape.height + on('first') + on('second'), resolution, coats, rim), amount: 1 }
}
