/** A strip on a cast-iron pan over the large ring, unless said otherwise; for tests. */
import { CONSTANTS } from '#core/heat/constants'
import { KITCHEN } from '#core/kit/air'
import { PANS, RINGS } from '#core/kit/pan'
import { cutById } from '#core/meat/cuts'
import { isFlat, type Piece } from '#core/meat/piece'
import type { PanSear, PanSetup } from './panSear'

export function stripSetup(piece: Partial<Piece> = {}, settings: Partial<PanSear> = {}): PanSetup {
  const thicknessMm = piece.thicknessMm ?? 38
  const cut = cutById(piece.cutId ?? 'strip')
  if (!cut) throw new Error('The fixture names a cut that is not there.')
  const whole: Piece = {
    cutId: cut.id,
    count: 1,
    thicknessMm,
    weightG: 11.5 * thicknessMm,
    lengthMm: 160,
    widthMm: 85,
    startC: 5,
    surface: 'patted',
    ...piece
  }
  return {
    piece: whole,
    cut,
    flat: isFlat(whole, cut),
    room: KITCHEN,
    settings: {
      pan: PANS[0],
      ring: RINGS[0],
      panC: 215,
      turning: 'every 60 s',
      cover: 'bare',
      rest: { kind: 'to the peak' },
      rewarmS: 0,
      ...settings
    },
    constants: CONSTANTS
  }
}
