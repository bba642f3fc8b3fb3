/**
 * The planner's request as a schema, for forms and for the server alike. Base units;
 * messages name what would be right.
 */
import * as yup from 'yup'
import { SCALES } from '#core/doneness/scale'
import { PANS, RINGS } from '#core/kit/pan'
import { CUTS } from '#core/meat/cuts'
import { INTACTS, PIECE_LIMITS, SURFACES, type SurfaceState } from '#core/meat/piece'
import { PAN_LIMITS, TURNINGS } from '#core/method/panSear'
import type { PlanRequest } from '#core/plan/request'
import { validate } from './problem'

export const TARGET_LIMITS = [40, 75] as const
export const REST_LIMITS_S = [0, 3600] as const
export const ROOM_LIMITS = { temperatureC: [-10, 45], humidity: [0.05, 1], altitudeM: [-400, 4500] } as const

const within = (range: readonly [number, number], unit: string): yup.NumberSchema<number> =>
  yup
    .number()
    .strict()
    .typeError(`This needs a number${unit ? ` in ${unit}` : ''}.`)
    .required('This is missing.')
    .test({
      name: 'range',
      test(value, context) {
        return Number.isFinite(value) && value >= range[0] && value <= range[1]
          ? true
          : context.createError({
              message: `This may be from ${range[0]} to ${range[1]}${unit ? ` ${unit}` : ''}.`,
              params: { range, originalValue: value }
            })
      }
    })

const oneOf = <T extends string>(allowed: readonly T[]): yup.StringSchema<T> =>
  yup
    .string<T>()
    .strict()
    .required('This is missing.')
    .oneOf([...allowed], `This may be one of: ${allowed.join(', ')}.`)

const optional = <T extends string>(allowed: readonly T[]): yup.StringSchema<T | undefined> =>
  yup
    .string<T>()
    .strict()
    .optional()
    .oneOf([...allowed], `This may be one of: ${allowed.join(', ')}.`)

const pieceSchema = yup
  .object({
    cutId: oneOf(CUTS.map(c => c.id)),
    count: within(PIECE_LIMITS.count, '').integer('Whole pieces only.'),
    thicknessMm: within(PIECE_LIMITS.thicknessMm, 'mm'),
    weightG: within(PIECE_LIMITS.weightG, 'g'),
    lengthMm: within(PIECE_LIMITS.lengthMm, 'mm'),
    widthMm: within(PIECE_LIMITS.widthMm, 'mm'),
    startC: within(PIECE_LIMITS.startC, '°C'),
    surface: oneOf(Object.keys(SURFACES) as SurfaceState[]),
    form: optional(['steak', 'roast']),
    thinEndMm: yup.number().strict().min(PIECE_LIMITS.thicknessMm[0]).max(PIECE_LIMITS.thicknessMm[1]).optional(),
    intact: optional(INTACTS)
  })
  .noUnknown()
  .required()

const restSchema = yup
  .object({
    kind: oneOf(['clock', 'half the cooking time', 'to the peak']),
    seconds: yup.number().when('kind', { is: 'clock', then: () => within(REST_LIMITS_S, 's'), otherwise: s => s.notRequired() })
  })
  .noUnknown()
  .required()

const schema = yup
  .object({
    piece: pieceSchema,
    method: oneOf(['pan sear']),
    panId: oneOf(PANS.map(p => p.id)),
    ringId: oneOf(RINGS.map(r => r.id)),
    panC: within(PAN_LIMITS.panC, '°C'),
    turning: oneOf(TURNINGS),
    cover: oneOf(['bare', 'loose foil']),
    rest: restSchema,
    scaleId: oneOf(SCALES.map(s => s.id)),
    targetC: within(TARGET_LIMITS, '°C'),
    vulnerable: yup.boolean().strict().optional(),
    room: yup
      .object({
        temperatureC: within(ROOM_LIMITS.temperatureC, '°C'),
        humidity: within(ROOM_LIMITS.humidity, ''),
        altitudeM: within(ROOM_LIMITS.altitudeM, 'm')
      })
      .noUnknown()
      .required()
  })
  .noUnknown()
  .required('A request is missing.')

/** @throws InvalidInputError */
export function parseRequest(input: unknown): PlanRequest {
  return validate(schema, input) as PlanRequest
}
