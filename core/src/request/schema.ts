/**
 * The request as a schema, for forms, for the server, for what is kept and for what is posted alike. Base
 * units; messages name what would be right. The quantities of a piece and a room stand in one table, from which
 * case files are read too.
 */
import * as yup from 'yup'
import { OWN, SCALES } from '#core/doneness/scale'
import { scaleSchema } from '#core/doneness/scaleSchema'
import { oneOf, optional, within } from '#core/input/plainFields'
import { InvalidInputError, validate } from '#core/input/problem'
import { kitInUseSchema } from '#core/kit/kitSchema'
import { CUTS } from '#core/meat/cuts'
import { COAT_KINDS, INTACTS, PIECE_LIMITS, SURFACES, type SurfaceState } from '#core/meat/piece'
import { fromEarlier } from './earlier'
import type { PlanRequest } from './request'
import { methodSchema } from './settingsSchema'

export const TARGET_LIMITS = [40, 75] as const
export const ROOM_LIMITS = { temperatureC: [-10, 45], humidity: [0.05, 1], altitudeM: [-400, 4500] } as const
export const COAT_LIMITS_MM = [0.5, 60] as const
export const COATS_ON = ['first', 'second', 'side'] as const
export const MOST_COATS = 6
export const SURFACE_STATES = Object.keys(SURFACES) as SurfaceState[]
export const FORMS = ['steak', 'roast'] as const
const BESIDE_LIMITS = { areaM2: [0, 1], seconds: [0, 4 * 3600] } as const
const MOST_BESIDE = 12
export const MOST_NAMED = 12
export const NAME_LENGTH = 40

const pieceSchema = yup
  .object({
    cutId: oneOf(CUTS.map(c => c.id)),
    count: within(PIECE_LIMITS.count, '').integer('Whole pieces only.'),
    thicknessMm: within(PIECE_LIMITS.thicknessMm, 'mm'),
    weightG: within(PIECE_LIMITS.weightG, 'g'),
    lengthMm: within(PIECE_LIMITS.lengthMm, 'mm'),
    widthMm: within(PIECE_LIMITS.widthMm, 'mm'),
    startC: within(PIECE_LIMITS.startC, '°C'),
    surface: oneOf(SURFACE_STATES),
    form: optional(FORMS),
    thinEndMm: within(PIECE_LIMITS.thicknessMm, 'mm').optional(),
    cookedC: within(PIECE_LIMITS.cookedC, '°C').optional(),
    intact: optional(INTACTS),
    coats: yup
      .array(yup.object({ what: oneOf(COAT_KINDS), on: oneOf(COATS_ON), thicknessMm: within(COAT_LIMITS_MM, 'mm') }).noUnknown())
      .max(MOST_COATS, 'At most six layers.')
      .optional()
  })
  .noUnknown()
  .required('This is missing: the piece.')

const roomSchema = yup
  .object({
    temperatureC: within(ROOM_LIMITS.temperatureC, '°C'),
    humidity: within(ROOM_LIMITS.humidity, ''),
    altitudeM: within(ROOM_LIMITS.altitudeM, 'm')
  })
  .noUnknown()
  .required('This is missing: the room.')

const guestsSchema = yup
  .object({
    atRisk: yup.boolean().strict().required('This is yes or no.'),
    named: yup
      .array(
        yup
          .object({
            id: yup.string().strict().required('This needs an id.').max(40),
            name: yup.string().strict().defined('This is missing.').max(NAME_LENGTH, `At most ${NAME_LENGTH} letters.`),
            targetC: within(TARGET_LIMITS, '°C'),
            atRisk: yup.boolean().strict().optional(),
            noMeat: yup.boolean().strict().optional()
          })
          .noUnknown()
      )
      .required('This is missing.')
      .max(MOST_NAMED, `At most ${MOST_NAMED} named.`)
  })
  .noUnknown()
  .required('This is missing: the guests.')

/** What lies in the pan beside it, in a request and in a case file alike. */
export const besideSchema = yup
  .array(
    yup
      .object({ areaM2: within(BESIDE_LIMITS.areaM2, 'm²'), seconds: within(BESIDE_LIMITS.seconds, 's') })
      .noUnknown()
      .required()
  )
  .optional()
  .default(undefined)
  .max(MOST_BESIDE, `At most ${MOST_BESIDE} pieces beside it.`)

const schema = yup
  .object({
    piece: pieceSchema,
    kit: kitInUseSchema.required('This is missing: the kit.'),
    room: roomSchema,
    target: yup
      .object({
        coreC: within(TARGET_LIMITS, '°C'),
        scaleId: oneOf([...SCALES.map(s => s.id), OWN]),
        ownScale: scaleSchema.default(undefined).optional()
      })
      .noUnknown()
      .required('This is missing: the target.'),
    guests: guestsSchema,
    method: methodSchema,
    beside: besideSchema
  })
  .noUnknown()
  .required('A request is missing.')

/** @param input a request, or one as it was written before there was one for every method @throws InvalidInputError */
export function parseRequest(input: unknown): PlanRequest {
  const request = bare(validate(schema, fromEarlier(input))) as PlanRequest
  if (request.target.scaleId === OWN && !request.target.ownScale)
    throw new InvalidInputError([{ key: 'target.ownScale', message: 'This is missing: the scale of one’s own.' }])
  return request
}

/** Without the keys that a schema leaves undefined. */
function bare(value: unknown): unknown {
  if (Array.isArray(value)) return value.map(bare)
  if (typeof value !== 'object' || value === null) return value
  return Object.fromEntries(Object.entries(value).flatMap(([key, v]) => (v === undefined ? [] : [[key, bare(v)]])))
}
