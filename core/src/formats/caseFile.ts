/**
 * The case format: a piece and either a question for the planner or a program to
 * simulate, as JSON that a person can write. Every quantity is text with its unit.
 * Described in docs/case-format.md.
 */
import * as yup from 'yup'
import { bandOf, SCALES, scaleById, type Scale } from '#core/doneness/scale'
import type { Room } from '#core/kit/air'
import type { KitInUse } from '#core/kit/kit'
import { PANS, RINGS } from '#core/kit/pan'
import type { Piece } from '#core/meat/piece'
import type { RestLength } from '#core/method/method'
import { METHOD_KINDS, type MethodKind } from '#core/method/methods'
import { PAN_LIMITS, type Cover, type Turning } from '#core/method/panSear'
import type { Reading } from '#core/estimate/belief'
import type { PlanRequest } from '#core/request/request'
import { needed, pieceOf, pieceShape, quantity, roomOf, roomShape, share, word } from './caseFields'
import { kitInUseSchema } from './kitSchema'
import { methodShape, type MethodGiven } from './methodCase'
import { InvalidInputError, validate } from '#core/input/problem'
import { TARGET_LIMITS } from './requestSchema'

const targetShape = yup
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
      (value.core === undefined) !== (value.doneness === undefined) || context.createError({ message: 'Give either “core” or “doneness”.' })
  })

const planShape = yup
  .object({
    piece: pieceShape,
    method: methodShape,
    target: targetShape,
    room: roomShape,
    kit: kitInUseSchema.default(undefined),
    spread: yup.boolean().strict(),
    readings: yup
      .array(yup.object({ at: needed('duration', [1, 24 * 3600]), core: needed('temperature', [-5, 110]) }).noUnknown())
      .max(50, 'At most fifty readings.')
  })
  .noUnknown()
  .required()

/** The doneness wanted, and by which school's scale. */
export interface Target {
  readonly celsius: number
  readonly scale: Scale
}

export interface PlanCase {
  readonly piece: Piece
  readonly room: Room
  readonly target: Target
  readonly kind: MethodKind
  readonly method: MethodGiven
  /** The cook's own, where the file brings it. */
  readonly kit: KitInUse | null
  /** Whether the honest range is asked for; readings ask for it too. */
  readonly spread: boolean
  readonly readings: readonly Reading[]
}

/** @throws InvalidInputError */
export function parsePlanCase(input: unknown): PlanCase {
  const given = validate(planShape, input)
  const readings = (given.readings ?? []).map(r => ({ time: r.at, celsius: r.core }))
  return {
    piece: pieceOf(given.piece),
    room: roomOf(given.room),
    target: targetOf(given.target),
    kind: kindOf(given.method.kind),
    method: given.method,
    kit: (given.kit as KitInUse | undefined) ?? null,
    spread: (given.spread ?? false) || readings.length > 0,
    readings
  }
}

/** The pan's own request, which knows more of a pan than the other methods need: whether the piece fits, what the ring can do. */
export function panRequestOf({ piece, room, target, method, kit }: PlanCase): PlanRequest {
  const cover = method.cover ?? 'bare'
  if (cover === 'fridge')
    throw new InvalidInputError([{ key: 'method.cover', message: 'A steak from the pan rests bare or under loose foil.' }])
  return {
    piece,
    method: 'pan sear',
    panId: method.pan ?? kit?.pan.id ?? PANS[0].id,
    ringId: method.ring ?? kit?.ring.id ?? RINGS[0].id,
    ...(kit === null ? {} : { kit }),
    panC: method.heat ?? DEFAULT_PAN_C,
    turning: (method.turning ?? 'every 60 s') as Turning,
    cover: cover as Cover,
    rest: (method.rest as RestLength | undefined) ?? { kind: 'to the peak' },
    basted: method.basted ?? false,
    fatEdgeS: method.fatEdge ?? 0,
    rewarmS: method.rewarm ?? 0,
    scaleId: target.scale.id,
    targetC: target.celsius,
    room
  }
}
const DEFAULT_PAN_C = 215

const kindOf = (word: string): MethodKind => METHOD_KINDS.find(k => k === word) ?? 'pan sear'

function targetOf(given: yup.InferType<typeof targetShape>): Target {
  const scale = scaleById(given.scale ?? 'middle') ?? SCALES[0]
  return { scale, celsius: given.core ?? scale.bands.find(b => b.word === given.doneness)?.aim ?? bandOf(scale, 54).aim }
}

const compareShape = yup
  .object({
    piece: pieceShape,
    target: targetShape,
    room: roomShape,
    methods: yup.array(word(METHOD_KINDS).required('A method has no name.')).min(1, 'At least one method is needed.')
  })
  .noUnknown()
  .required()

export interface CompareCase {
  readonly piece: Piece
  readonly room: Room
  readonly target: Target
  readonly kinds: readonly MethodKind[]
}

/** @throws InvalidInputError */
export function parseCompareCase(input: unknown): CompareCase {
  const given = validate(compareShape, input)
  return {
    piece: pieceOf(given.piece),
    room: roomOf(given.room),
    target: targetOf(given.target),
    kinds: given.methods === undefined ? METHOD_KINDS : given.methods.map(kindOf)
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
