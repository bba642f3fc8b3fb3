/** How a piece is got ready, as it is kept and as it stands on a ticket. */
import * as yup from 'yup'
import { oneOf, within } from '#core/input/plainFields'
import { validate } from '#core/input/problem'
import { SURFACES, type SurfaceState } from '#core/meat/piece'
import { FROMS, MARINADES, OILINGS, PEPPERINGS, SALTINGS, type From, type Preparation } from '#core/plan/preparation'
import type { Prepared } from '#core/service/prepared'
import { parsePacket } from '#core/shop/schema'

const MOST_TICKED = 40
const OUT_LIMITS_MIN = [0, 240] as const
const FRIDGE_LIMITS_C = [0, 12] as const

const yesOrNo = yup.boolean().strict().required('This is missing.')
const shape = yup
  .object({
    how: yup
      .object({
        // An older one does not say where it is.
        from: oneOf(FROMS).default('fridge' satisfies From),
        surface: oneOf(Object.keys(SURFACES) as SurfaceState[]),
        salt: oneOf(SALTINGS),
        pepper: oneOf(PEPPERINGS),
        oil: oneOf(OILINGS),
        // Nor what it lies in.
        marinade: oneOf(MARINADES).default('none' satisfies Preparation['marinade']),
        outMin: within(OUT_LIMITS_MIN, 'min'),
        fridgeC: within(FRIDGE_LIMITS_C, '°C'),
        knife: yesOrNo,
        tie: yesOrNo
      })
      .noUnknown()
      .required('This is missing.'),
    ticked: yup
      .array(yup.string().strict().required().max(60, 'At most 60 letters.'))
      .required('This is missing.')
      .max(MOST_TICKED, `At most ${MOST_TICKED} of them.`),
    packet: yup.mixed<object>().optional()
  })
  .noUnknown()
  .required('This is missing.')

/** @throws InvalidInputError */
export function parsePrepared(input: unknown): Prepared {
  const { packet, ...rest } = validate(shape, input)
  return { ...rest, ...(packet === undefined ? {} : { packet: parsePacket(packet) }) }
}
