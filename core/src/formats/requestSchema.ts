/**
 * The planner's request as a schema, for forms and for the server alike. Base units;
 * messages name what would be right.
 */
import * as yup from 'yup'
import { OWN, SCALES } from '#core/doneness/scale'
import { CUTS } from '#core/meat/cuts'
import { COAT_KINDS, INTACTS, PIECE_LIMITS, SURFACES, type SurfaceState } from '#core/meat/piece'
import { COVERS, PAN_LIMITS, TURNINGS } from '#core/method/panSear'
import { panOf, ringOf, type PlanRequest } from '#core/request/request'
import { kitInUseSchema } from './kitSchema'
import { oneOf, optional, within } from '#core/input/plainFields'
import { InvalidInputError, validate } from '#core/input/problem'
import { scaleSchema } from './scaleSchema'

export const TARGET_LIMITS = [40, 75] as const
export const REST_LIMITS_S = [0, 12 * 3600] as const
export const ROOM_LIMITS = { temperatureC: [-10, 45], humidity: [0.05, 1], altitudeM: [-400, 4500] } as const

const COATS_ON = ['first', 'second', 'side'] as const
const coatsSchema = yup
  .array(yup.object({ what: oneOf(COAT_KINDS), on: oneOf(COATS_ON), thicknessMm: within([0.5, 60], 'mm') }).noUnknown())
  .max(6, 'At most six layers.')
  .optional()

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
    intact: optional(INTACTS),
    coats: coatsSchema
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
    panId: yup.string().strict().required('This is missing.').max(60),
    ringId: yup.string().strict().required('This is missing.').max(60),
    basted: yup.boolean().strict().optional(),
    fatEdgeS: yup.number().strict().min(0).max(600).optional(),
    rewarmS: yup.number().strict().min(0).max(300).optional(),
    panC: within(PAN_LIMITS.panC, '°C'),
    turning: oneOf(TURNINGS),
    cover: oneOf(COVERS),
    rest: restSchema,
    scaleId: oneOf([...SCALES.map(s => s.id), OWN]),
    ownScale: scaleSchema.default(undefined).optional(),
    kit: kitInUseSchema.default(undefined).optional(),
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
  const request = validate(schema, input) as PlanRequest
  const lacks = [
    panOf(request) ? null : { key: 'panId', message: `There is no pan “${request.panId}” in the kit.` },
    ringOf(request) ? null : { key: 'ringId', message: `There is no ring “${request.ringId}” in the kit.` },
    request.scaleId === OWN && !request.ownScale ? { key: 'ownScale', message: 'This is missing: the scale of one’s own.' } : null
  ].filter(lack => lack !== null)
  if (lacks.length > 0) throw new InvalidInputError(lacks)
  return request
}
