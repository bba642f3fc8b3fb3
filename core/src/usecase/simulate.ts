/** Run a program of stages as it is given: no method, no target, only faces and time. */
import { CONSTANTS } from '#core/heat/constants'
import { lumpOf, type Face } from '#core/heat/faces'
import { KEEP_ALL, run, type Run, type Stage, type Subject } from '#core/heat/program'
import { onBoard, openAir, overPan, underFoil, vapourOf, type Room } from '#core/kit/air'
import { burnerHolding, panById, panLump, ringById } from '#core/kit/pan'
import { cutById } from '#core/meat/cuts'
import { isFlat, type Piece } from '#core/meat/piece'
import { subjectOf } from '#core/method/setup'
import { RequestError } from '#core/request/request'

export const FACE_WORDS = ['pan', 'over the pan', 'open air', 'loose foil', 'board', 'closed'] as const
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

export interface Simulation {
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

export interface Simulated {
  readonly run: Run
  readonly stages: readonly Stage[]
  readonly subject: Subject
  /** Whether only the two faces matter. */
  readonly flat: boolean
}

/** @throws RequestError */
export function simulate(given: Simulation): Simulated {
  const { subject, stages, flat } = programOf(given)
  return { subject, stages, flat, run: run(subject, stages, { ...KEEP_ALL, every: given.everyS, fieldEvery: given.fieldEveryS }) }
}

function programOf(given: Simulation): { subject: Subject; stages: Stage[]; flat: boolean } {
  const { piece, room } = given
  const cut = cutById(piece.cutId)
  const pan = given.pan ? panById(given.pan.panId) : undefined
  const ring = given.pan ? ringById(given.pan.ringId) : undefined
  if (!cut) throw new RequestError('piece.cutId', `There is no cut “${piece.cutId}”.`)
  const heated = given.pan && pan && ring ? { pan, ring, panC: given.pan.panC } : null
  const burner = heated ? burnerHolding(heated.pan, heated.ring, heated.panC, room.temperatureC) : null
  const faceOf = (f: FaceGiven): Face => {
    switch (f) {
      case 'pan':
        return { kind: 'metal', lump: 0, contact: CONSTANTS.panContact }
      case 'over the pan':
        return overPan(room, heated?.panC ?? room.temperatureC, CONSTANTS)
      case 'open air':
        return openAir(room, CONSTANTS)
      case 'loose foil':
        return underFoil(room, CONSTANTS)
      case 'board':
        return onBoard(room, CONSTANTS)
      case 'closed':
        return { kind: 'closed' }
      default:
        return 'fluid' in f
          ? { kind: 'fixed', at: f.fluid, conductance: f.conductance }
          : {
              kind: 'air',
              air: f.air,
              walls: f.walls,
              convection: f.convection,
              emissivity: f.emissivity,
              vapour: f.vapour === null ? vapourOf(room) : f.vapour / 1000
            }
    }
  }
  const setup = { piece, cut, room, settings: null, constants: CONSTANTS, flat: isFlat(piece, cut) }
  return {
    flat: setup.flat,
    subject: subjectOf(setup, 'fine', heated ? [panLump(heated.pan, room.temperatureC, heated.panC)] : []),
    stages: given.stages.map(s => {
      const [first, second] = [faceOf(s.first), faceOf(s.second)]
      const faces = { first, second, side: s.side === null ? rimBeside(first, second) : faceOf(s.side) }
      const inPan = lumpOf(first) !== null || lumpOf(second) !== null || lumpOf(faces.side) !== null
      return { name: s.name, end: s.end, faces, burners: [inPan ? burner : null] }
    })
  }
}

/** Where nothing is said of it, the rim of a tall piece meets the air that one of its faces meets. */
const rimBeside = (first: Face, second: Face): Face => (first.kind === 'air' ? first : second.kind === 'metal' ? first : second)
