/**
 * The ready example a first visit lands on: a thick strip steak on the cast-iron
 * pan over the galley's large ring.
 */
import { KITCHEN } from '#core/kit/air'
import { USUAL_KIT } from '#core/method/usual'
import type { PlanRequest } from './request'

export const FIRST_REQUEST: PlanRequest = {
  piece: { cutId: 'strip', count: 1, thicknessMm: 38, weightG: 450, lengthMm: 160, widthMm: 90, startC: 5, surface: 'patted' },
  kit: USUAL_KIT,
  room: KITCHEN,
  target: { coreC: 54, scaleId: 'middle' },
  guests: { atRisk: false, named: [] },
  method: { kind: 'pan sear', settings: {} }
}
