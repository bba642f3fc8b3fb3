/** A program to simulate, as a case file has it. Described in docs/case-format.md. */
import * as yup from 'yup'
import { InvalidInputError, validate } from '#core/input/problem'
import { needed, quantity, share, word } from '#core/input/text'
import { PANS, RINGS } from '#core/kit/pan'
import { PAN_LIMITS } from '#core/method/parts'
import { FACE_WORDS, type FaceGiven, type FaceWord, type FluidGiven, type Simulation } from '#core/usecase/simulate'
import { pieceOf, pieceText, roomOf, roomText } from './caseFile'

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
    piece: pieceText,
    room: roomText,
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

/** @throws InvalidInputError */
export function readSimulation(input: unknown): Simulation {
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
