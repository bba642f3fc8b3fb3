/**
 * The case format: a piece and either a question for the planner or a program to
 * simulate, as JSON that a person can write. Every quantity is text with its unit.
 * Described in docs/case-format.md.
 */
import * as yup from 'yup'
import { bandOf, SCALES, scaleById } from '#core/doneness/scale'
import { KITCHEN, type Room } from '#core/kit/air'
import { PANS, RINGS } from '#core/kit/pan'
import { CUTS, cutById } from '#core/meat/cuts'
import { FREEZING_C, PIECE_LIMITS, SURFACES, weightFromSize, type Piece, type SurfaceState } from '#core/meat/piece'
import type { RestLength } from '#core/method/method'
import { PAN_LIMITS, TURNINGS, type Cover, type Turning } from '#core/method/panSear'
import type { PlanRequest } from '#core/plan/request'
import { parseQuantity, QuantityError } from '#core/quantity/parse'
import { baseUnit, findUnit, fromBase, type Dimension, type Unit } from '#core/quantity/units'
import { InvalidInputError, validate } from './problem'
import { REST_LIMITS_S, ROOM_LIMITS, TARGET_LIMITS } from './requestSchema'

class Unreadable {
  constructor(readonly message: string) {}
}

/** Text with a unit, turned into a number of `unitOf`; `range` is in the same. */
function quantity(
  dimension: Dimension,
  range: readonly [number, number],
  unitOf: Unit = baseUnit(dimension)
): yup.MixedSchema<number | undefined> {
  const unit = unitOf.symbol
  return yup
    .mixed<number>()
    .transform((_, given: unknown) => {
      if (given === undefined) return undefined
      if (typeof given !== 'string')
        return new Unreadable(`A ${dimension} is written as text with its unit, such as “${range[0]} ${unit}”.`)
      try {
        return fromBase(parseQuantity(given, dimension), unitOf)
      } catch (error) {
        if (error instanceof QuantityError) return new Unreadable(error.message)
        throw error
      }
    })
    .test({
      name: 'quantity',
      test(value: unknown, context) {
        if (value === undefined) return true
        const params = { originalValue: context.originalValue as unknown, range: range.map(r => `${r} ${unit}`) }
        if (value instanceof Unreadable) return context.createError({ message: value.message, params })
        const inside = typeof value === 'number' && value >= range[0] && value <= range[1]
        return (
          inside ||
          context.createError({ message: `“${String(params.originalValue)}” is outside ${range[0]} to ${range[1]} ${unit}.`, params })
        )
      }
    })
}

const needed = (dimension: Dimension, range: readonly [number, number]): yup.MixedSchema<number> =>
  quantity(dimension, range).required(`This is missing: a ${dimension} with its unit.`)

const word = <T extends string>(allowed: readonly T[]): yup.StringSchema<T | undefined> =>
  yup
    .string<T>()
    .strict()
    .test({
      name: 'word',
      test: (value, context) =>
        value === undefined ||
        (allowed as readonly string[]).includes(value) ||
        context.createError({ message: `“${String(value)}” is not one of: ${allowed.join(', ')}.`, params: { originalValue: value } })
    })

const share = (range: readonly [number, number]): yup.NumberSchema<number | undefined> =>
  yup
    .number()
    .strict()
    .typeError('This is a plain number without a unit.')
    .test({
      name: 'share',
      test: (value, context) =>
        value === undefined ||
        (value >= range[0] && value <= range[1]) ||
        context.createError({ message: `${value} is outside ${range[0]} to ${range[1]}.`, params: { originalValue: value, range } })
    })

const pieceShape = yup
  .object({
    cut: word(CUTS.map(c => c.id)).required('This is missing: the id of a cut.'),
    count: share(PIECE_LIMITS.count),
    thickness: needed('length', PIECE_LIMITS.thicknessMm),
    weight: quantity('mass', PIECE_LIMITS.weightG),
    length: quantity('length', PIECE_LIMITS.lengthMm),
    width: quantity('length', PIECE_LIMITS.widthMm),
    start: quantity('temperature', [-40, PIECE_LIMITS.startC[1]])
      .required('This is missing: the start temperature.')
      .test({
        name: 'frozen',
        test: (value, context) =>
          !(typeof value === 'number') ||
          value >= FREEZING_C ||
          context.createError({
            message: `“${String(context.originalValue)}” is frozen. Thaw it first, a day in the fridge for each 2 kg; this engine does not thaw.`,
            params: { originalValue: context.originalValue as unknown, range: [`${FREEZING_C} °C`, `${PIECE_LIMITS.startC[1]} °C`] }
          })
      }),
    surface: word(Object.keys(SURFACES) as SurfaceState[])
  })
  .noUnknown()
  .required('This is missing: the piece.')

const roomShape = yup
  .object({
    temperature: quantity('temperature', ROOM_LIMITS.temperatureC),
    humidity: share(ROOM_LIMITS.humidity),
    altitude: quantity('length', ROOM_LIMITS.altitudeM, findUnit('length', 'm'))
  })
  .noUnknown()
  .default(undefined)

const REST_WORDS = ['to the peak', 'half the cooking time'] as const

const planShape = yup
  .object({
    piece: pieceShape,
    method: yup
      .object({
        kind: word(['pan sear']).required('This is missing: “pan sear”.'),
        pan: word(PANS.map(p => p.id)),
        ring: word(RINGS.map(r => r.id)),
        heat: needed('temperature', PAN_LIMITS.panC),
        turning: word(TURNINGS),
        cover: word(['bare', 'loose foil']),
        rest: yup
          .mixed<RestLength>()
          .transform((_, given: unknown) => restOf(given))
          .test({
            name: 'rest',
            test: (value: unknown, context) =>
              !(value instanceof Unreadable) ||
              context.createError({ message: value.message, params: { originalValue: context.originalValue as unknown } })
          })
      })
      .noUnknown()
      .required('This is missing: the method.'),
    target: yup
      .object({
        core: quantity('temperature', TARGET_LIMITS),
        scale: word(SCALES.map(s => s.id)),
        doneness: word([...new Set(SCALES.flatMap(s => s.bands.map(b => b.word)))])
      })
      .noUnknown()
      .required('This is missing: the target.')
      .test({
        name: 'one target',
        test: (value, context) =>
          (value.core === undefined) !== (value.doneness === undefined) ||
          context.createError({ message: 'Give either “core” or “doneness”.' })
      }),
    room: roomShape,
    spread: yup.boolean().strict()
  })
  .noUnknown()
  .required()

export interface PlanCase {
  readonly request: PlanRequest
  readonly spread: boolean
}

/** @throws InvalidInputError */
export function parsePlanCase(input: unknown): PlanCase {
  const given = validate(planShape, input)
  const { method, target } = given
  const scale = scaleById(target.scale ?? 'middle') ?? SCALES[0]
  return {
    spread: given.spread ?? false,
    request: {
      piece: pieceOf(given.piece),
      method: 'pan sear',
      panId: method.pan ?? PANS[0].id,
      ringId: method.ring ?? RINGS[0].id,
      panC: method.heat,
      turning: (method.turning ?? 'every 60 s') as Turning,
      cover: (method.cover ?? 'bare') as Cover,
      rest: (method.rest as RestLength | undefined) ?? { kind: 'to the peak' },
      scaleId: scale.id,
      targetC: target.core ?? scale.bands.find(b => b.word === target.doneness)?.aim ?? bandOf(scale, 54).aim,
      room: roomOf(given.room)
    }
  }
}

function restOf(given: unknown): RestLength | Unreadable | undefined {
  if (given === undefined) return undefined
  const named = REST_WORDS.find(w => w === given)
  if (named) return { kind: named }
  const sentence = `A rest is a time such as “8 min”, or one of: ${REST_WORDS.join(', ')}.`
  if (typeof given !== 'string') return new Unreadable(sentence)
  try {
    const seconds = parseQuantity(given, 'duration')
    return seconds >= REST_LIMITS_S[0] && seconds <= REST_LIMITS_S[1]
      ? { kind: 'clock', seconds }
      : new Unreadable(`“${given}” is outside 0 to 60 min.`)
  } catch (error) {
    if (error instanceof QuantityError) return new Unreadable(`“${given}” is no rest. ${sentence}`)
    throw error
  }
}

type GivenPiece = yup.InferType<typeof pieceShape>
type GivenRoom = yup.InferType<typeof roomShape>

/** Fills in from the cut what was not measured: sizes from its usual ones, weight from the sizes. */
function pieceOf(given: GivenPiece): Piece {
  const cut = cutById(given.cut)
  if (!cut) throw new InvalidInputError([{ key: 'piece.cut', message: `There is no cut “${given.cut}”.`, value: given.cut }])
  const middle = ([low, high]: readonly [number, number]): number => (low + high) / 2
  const lengthMm = given.length ?? middle(cut.shape.lengthMm)
  const sizes = {
    thicknessMm: given.thickness,
    lengthMm,
    widthMm: given.width ?? (cut.shape.outline === 'round' ? lengthMm : middle(cut.shape.widthMm)),
    startC: given.start
  }
  return {
    cutId: cut.id,
    count: given.count ?? 1,
    ...sizes,
    weightG: given.weight ?? weightFromSize(sizes, cut),
    surface: given.surface ?? 'patted'
  }
}

function roomOf(given: GivenRoom | undefined): Room {
  return {
    temperatureC: given?.temperature ?? KITCHEN.temperatureC,
    humidity: given?.humidity ?? KITCHEN.humidity,
    altitudeM: given?.altitude ?? KITCHEN.altitudeM
  }
}

const FACE_WORDS = ['pan', 'over the pan', 'open air', 'loose foil', 'board', 'closed'] as const
export type FaceWord = (typeof FACE_WORDS)[number]

export interface AirGiven {
  readonly air: number
  readonly walls: number
  readonly convection: number
  readonly emissivity: number
  /** g/m³; null for what the room holds. */
  readonly vapour: number | null
}
export interface FluidGiven {
  readonly fluid: number
  readonly conductance: number
}
export type FaceGiven = FaceWord | AirGiven | FluidGiven

const airShape = yup
  .object({
    air: needed('temperature', [-30, 400]),
    walls: quantity('temperature', [-30, 900]),
    convection: share([0, 500]).required('This is missing: convection in W/(m²·K).'),
    emissivity: share([0, 1]),
    vapour: share([0, 600])
  })
  .noUnknown()
const fluidShape = yup
  .object({ fluid: needed('temperature', [-30, 250]), conductance: share([0, 5000]).required('This is missing: conductance in W/(m²·K).') })
  .noUnknown()

const inWords = word(FACE_WORDS)
const described = (given: object): typeof fluidShape | typeof airShape => ('fluid' in given ? fluidShape : airShape)
const isDescribed = (given: unknown): given is object => typeof given === 'object' && given !== null

const face = yup.lazy((given: unknown) =>
  isDescribed(given) ? described(given) : inWords.required(`This is missing: one of ${FACE_WORDS.join(', ')}, or an air or a fluid.`)
)
const otherFace = yup.lazy((given: unknown) => (isDescribed(given) ? described(given) : inWords))

type Looked = FaceWord | FluidGiven | { air: number; walls?: number; convection: number; emissivity?: number; vapour?: number }

const faceOf = (given: unknown): FaceGiven => {
  const face = given as Looked
  if (typeof face === 'string' || 'fluid' in face) return face
  return {
    air: face.air,
    walls: face.walls ?? face.air,
    convection: face.convection,
    emissivity: face.emissivity ?? 0.9,
    vapour: face.vapour ?? null
  }
}

const MOST_SECONDS = 48 * 3600

const simulateShape = yup
  .object({
    piece: pieceShape,
    room: roomShape,
    pan: yup
      .object({ pan: word(PANS.map(p => p.id)), ring: word(RINGS.map(r => r.id)), heat: needed('temperature', PAN_LIMITS.panC) })
      .noUnknown()
      .default(undefined),
    stages: yup
      .array(
        yup
          .object({
            name: yup.string().strict(),
            for: quantity('duration', [0, MOST_SECONDS]),
            until: yup
              .object({ core: needed('temperature', [-5, 250]), atMost: needed('duration', [1, MOST_SECONDS]) })
              .noUnknown()
              .default(undefined),
            first: face,
            second: face,
            side: otherFace
          })
          .noUnknown()
          .test({
            name: 'one end',
            test: (value, context) =>
              (value.for === undefined) !== (value.until === undefined) || context.createError({ message: 'Give either “for” or “until”.' })
          })
      )
      .required('This is missing: the stages.')
      .min(1, 'At least one stage is needed.')
      .max(500, 'At most 500 stages.'),
    record: yup
      .object({ every: quantity('duration', [0.5, 3600]), fields: quantity('duration', [1, 36000]) })
      .noUnknown()
      .default(undefined)
  })
  .noUnknown()
  .required()

export interface SimulateCase {
  readonly piece: Piece
  readonly room: Room
  readonly pan: { readonly panId: string; readonly ringId: string; readonly panC: number } | null
  readonly stages: readonly {
    readonly name: string
    readonly end: { readonly after: number } | { readonly coreReaches: number; readonly atMost: number }
    readonly first: FaceGiven
    readonly second: FaceGiven
    /** Null where the file does not say. */
    readonly side: FaceGiven | null
  }[]
  readonly everyS: number
  readonly fieldEveryS: number
}

/** @throws InvalidInputError */
export function parseSimulateCase(input: unknown): SimulateCase {
  const given = validate(simulateShape, input)
  const stages = given.stages.map((s, i) => ({
    name: s.name ?? `stage ${i + 1}`,
    end: s.until ? { coreReaches: s.until.core, atMost: s.until.atMost } : { after: s.for ?? 0 },
    first: faceOf(s.first),
    second: faceOf(s.second),
    side: s.side === undefined ? null : faceOf(s.side)
  }))
  const inPan = (f: FaceGiven): boolean => f === 'pan'
  stages.forEach((s, i) => {
    if (inPan(s.first) && inPan(s.second))
      throw new InvalidInputError([{ key: `stages[${i}]`, message: 'Only one face can lie in the pan.' }])
    if ((inPan(s.first) || inPan(s.second)) && !given.pan)
      throw new InvalidInputError([{ key: 'pan', message: `Stage “${s.name}” needs a pan.` }])
  })
  return {
    piece: pieceOf(given.piece),
    room: roomOf(given.room),
    pan: given.pan ? { panId: given.pan.pan ?? PANS[0].id, ringId: given.pan.ring ?? RINGS[0].id, panC: given.pan.heat } : null,
    stages,
    everyS: given.record?.every ?? 10,
    fieldEveryS: given.record?.fields ?? Infinity
  }
}
