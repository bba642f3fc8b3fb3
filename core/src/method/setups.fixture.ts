/** A strip on a cast-iron pan over the large ring, unless said otherwise, and logs in the oven; for tests. */
import { CONSTANTS } from '#core/heat/constants'
import { KITCHEN } from '#core/kit/air'
import { PANS, RINGS } from '#core/kit/pan'
import { cutById } from '#core/meat/cuts'
import { isFlat, type Piece } from '#core/meat/piece'
import type { PanSear } from './panSear'
import type { Setup } from './setup'
import type { SettingsOf } from './methods'
import { USUAL_KIT, usualSettings } from './usual'

export function stripSetup(piece: Partial<Piece> = {}, settings: Partial<PanSear> = {}): Setup<PanSear> {
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
      fatEdgeS: 0,
      basted: false,
      cover: 'bare',
      rest: { kind: 'to the peak' },
      heldS: 0,
      coldS: 0,
      rewarmS: 0,
      cheese: false,
      ...settings
    },
    constants: CONSTANTS
  }
}

/** A round log of fillet as it is usually roasted, so many times as long as it is across. */
export function logSetup(acrossMm: number, times: number): Setup<SettingsOf['roast']> {
  const cut = cutById('fillet')
  if (!cut) throw new Error('The fixture names a cut that is not there.')
  const lengthMm = times * acrossMm
  const weightG = (Math.PI / 4) * acrossMm ** 2 * lengthMm * 1.06e-3
  const piece: Piece = {
    cutId: cut.id,
    form: 'roast',
    count: 1,
    thicknessMm: acrossMm,
    widthMm: acrossMm,
    lengthMm,
    weightG,
    startC: 5,
    surface: 'patted'
  }
  return { piece, cut, flat: false, room: KITCHEN, settings: usualSettings(USUAL_KIT, 54).roast, constants: CONSTANTS }
}

/** A fillet of 700 g as it is roasted or wrapped. */
export const FILLET_LOG: Piece = {
  cutId: 'fillet',
  count: 1,
  form: 'roast',
  thicknessMm: 62,
  widthMm: 62,
  lengthMm: 220,
  weightG: 700,
  startC: 5,
  surface: 'patted'
}
