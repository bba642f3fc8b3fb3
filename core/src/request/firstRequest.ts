/**
 * The ready example a first visit lands on: a thick strip steak on the cast-iron
 * pan over the galley's large ring.
 */
import { KITCHEN } from '#core/kit/air'
import type { PlanRequest } from './request'

export const FIRST_REQUEST: PlanRequest = {
  piece: { cutId: 'strip', count: 1, thicknessMm: 38, weightG: 450, lengthMm: 160, widthMm: 90, startC: 5, surface: 'patted' },
  method: 'pan sear',
  panId: 'cast-iron-28',
  ringId: 'large-ring',
  panC: 215,
  turning: 'every 60 s',
  cover: 'bare',
  rest: { kind: 'to the peak' },
  scaleId: 'middle',
  targetC: 54,
  room: KITCHEN
}
