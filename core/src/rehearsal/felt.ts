/** How strips of several thicknesses feel, each cooked to several donenesses: worked out, some dozens of plans. */
import { fieldAt } from '#core/heat/history'
import { FIRST_REQUEST } from '#core/request/firstRequest'
import { plan } from '#core/usecase/plan'
import { sharesIn, stiffness } from './feel'
import type { Felt } from './hand'

const THICK = [22, 32, 44] as const
const TO = [46, 50, 54, 58, 62, 67] as const
const TURNINGS = ['once', 'every 60 s'] as const

export function feltInPans(): Felt[] {
  const felt: Felt[] = []
  for (const thicknessMm of THICK)
    for (const coreC of TO)
      for (const turning of TURNINGS) {
        const piece = { ...FIRST_REQUEST.piece, thicknessMm, weightG: Math.round((450 * thicknessMm) / 38) }
        const target = { ...FIRST_REQUEST.target, coreC }
        const answer = plan({ ...FIRST_REQUEST, piece, target, method: { kind: 'pan sear', settings: { turning } } })
        if ('refused' in answer) continue
        const { fields, carve, geometry } = answer.plan
        const field = fieldAt(fields, carve.time)
        felt.push({ thicknessMm, coreC, stiffness: stiffness(sharesIn(field.hottest, geometry.edgesMm)) })
      }
  return felt
}
