/**
 * What a cook asks the planner: this piece, this way, to this doneness. Plain data,
 * in base units, as it is edited, posted, stored and exported.
 */
import { CONSTANTS } from '#core/heat/constants'
import type { Room } from '#core/kit/air'
import type { Scale } from '#core/doneness/scale'
import type { KitInUse } from '#core/kit/kit'
import { floorAreaM2, hottestPan, panById, ringById, type Pan, type Ring } from '#core/kit/pan'
import { braiseAdvice, isTender } from '#core/meat/cut'
import { cutById } from '#core/meat/cuts'
import { faceAreaM2, isFlat, type Piece } from '#core/meat/piece'
import type { RestLength } from '#core/method/method'
import type { Cover, PanSear, PanSetup, Turning } from '#core/method/panSear'

export interface PlanRequest {
  readonly piece: Piece
  readonly method: 'pan sear'
  readonly panId: string
  readonly ringId: string
  readonly panC: number
  readonly turning: Turning
  readonly cover: Cover
  readonly rest: RestLength
  /** Hot butter spooned over it. */
  readonly basted?: boolean
  /** Stood on its fat edge at the end, s. */
  readonly fatEdgeS?: number
  /** Back in the hot pan after the rest, s each face. */
  readonly rewarmS?: number
  readonly scaleId: string
  /** The cook's own scale, where that is the one. */
  readonly ownScale?: Scale
  readonly targetC: number
  readonly room: Room
  /** The cook's own kit; the built-in pans and one of everything else where it is not given. */
  readonly kit?: KitInUse
  /** Someone at the table is pregnant, very young, old or immune-suppressed. */
  readonly vulnerable?: boolean
}

/** A request that is well formed but cannot be cooked: which field, and why. */
export class RequestError extends Error {
  override readonly name = 'RequestError'
  constructor(
    readonly field: string,
    message: string
  ) {
    super(message)
  }
}

/** By its id: the cook's own, or a built-in one. */
export const panOf = ({ kit, panId }: PlanRequest): Pan | undefined => (kit?.pan.id === panId ? kit.pan : panById(panId))
export const ringOf = ({ kit, ringId }: PlanRequest): Ring | undefined => (kit?.ring.id === ringId ? kit.ring : ringById(ringId))

/** Meat may overlap the curve of the pan a little before it truly does not fit. */
const MOST_OF_FLOOR = 1

/** @throws RequestError */
export function setupOf(request: PlanRequest): PanSetup {
  const cut = cutById(request.piece.cutId)
  if (!cut) throw new RequestError('piece.cutId', `There is no cut “${request.piece.cutId}”.`)
  if (!isTender(cut)) throw new RequestError('piece.cutId', braiseAdvice(cut))
  const pan = panOf(request)
  if (!pan) throw new RequestError('panId', `There is no pan “${request.panId}”.`)
  const ring = ringOf(request)
  if (!ring) throw new RequestError('ringId', `There is no ring “${request.ringId}”.`)

  const covered = coverage(request)
  if (covered > MOST_OF_FLOOR) {
    const { count } = request.piece
    throw new RequestError(
      'panId',
      `${count === 1 ? 'The piece does' : `${count} pieces do`} not fit: ${Math.round(covered * 100)} % of the pan’s floor. Use a larger pan or cook in batches.`
    )
  }
  const hottest = hottestPan(pan, ring, request.room.temperatureC)
  if (request.panC > hottest) throw new RequestError('panC', `This ring brings this pan to ${Math.round(hottest)} °C at most.`)
  if (request.targetC <= request.piece.startC) throw new RequestError('targetC', 'The piece is already that warm.')
  return {
    piece: request.piece,
    cut,
    room: request.room,
    settings: panSettings(request, pan, ring),
    constants: CONSTANTS,
    flat: isFlat(request.piece, cut)
  }
}

export const panSettings = (request: PlanRequest, pan: Pan, ring: Ring): PanSear => ({
  pan,
  ring,
  panC: request.panC,
  turning: request.turning,
  basted: request.basted ?? false,
  fatEdgeS: request.fatEdgeS ?? 0,
  cover: request.cover,
  rest: request.rest,
  rewarmS: request.rewarmS ?? 0
})

/** Share of the pan's floor under meat. */
export function coverage(request: PlanRequest): number {
  const cut = cutById(request.piece.cutId)
  const pan = panOf(request)
  if (!cut || !pan) return 0
  return (faceAreaM2(request.piece, cut) * request.piece.count) / floorAreaM2(pan)
}
