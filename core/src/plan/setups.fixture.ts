/** Setups for tests: a strip on the barge's galley hob unless said otherwise. */
import { CONSTANTS } from '#core/heat/constants'
import { KITCHEN } from '#core/kit/air'
import { PANS, RINGS } from '#core/kit/pan'
import { cutById } from '#core/meat/cuts'
import type { Piece } from '#core/meat/piece'
import type { PanSear, PanSetup } from '#core/method/panSear'
import type { PlanRequest } from './request'

export function stripRequest(piece: Partial<Piece> = {}, rest: Partial<Omit<PlanRequest, 'piece'>> = {}): PlanRequest {
  const thicknessMm = piece.thicknessMm ?? 38
  return {
    piece: { cutId: 'strip', count: 1, thicknessMm, weightG: 11.5 * thicknessMm, lengthMm: 160, widthMm: 85, startC: 5, surface: 'patted', ...piece },
    method: 'pan sear',
    panId: PANS[0].id,
    ringId: RINGS[0].id,
    panC: 215,
    turning: 'every 60 s',
    cover: 'bare',
    rest: { kind: 'to the peak' },
    scaleId: 'middle',
    targetC: 54,
    room: KITCHEN,
    ...rest
  }
}

export function stripSetup(piece: Partial<Piece> = {}, settings: Partial<PanSear> = {}): PanSetup {
  const request = stripRequest(piece)
  const cut = cutById(request.piece.cutId)
  if (!cut) throw new Error('The fixture names a cut that is not there.')
  return {
    piece: request.piece,
    cut,
    room: request.room,
    settings: { pan: PANS[0], ring: RINGS[0], panC: 215, turning: 'every 60 s', cover: 'bare', rest: { kind: 'to the peak' }, ...settings },
    constants: CONSTANTS
  }
}
