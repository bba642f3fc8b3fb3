/** What the door answers to a program to simulate. Described in docs/case-format.md. */
import { CONSTANTS } from '#core/heat/constants'
import { lumpOf, type Face } from '#core/heat/faces'
import { KEEP_ALL, run, type Stage, type Subject } from '#core/heat/program'
import { onBoard, openAir, overPan, underFoil, vapourOf } from '#core/kit/air'
import { burnerHolding, panById, panLump, ringById } from '#core/kit/pan'
import type { Cut } from '#core/meat/cut'
import { cutById } from '#core/meat/cuts'
import { isFlat } from '#core/meat/piece'
import { subjectOf } from '#core/method/setup'
import { parseSimulateCase, type FaceGiven, type SimulateCase } from './caseFile'
import { InvalidInputError } from '#core/input/problem'
import { degrees, maybe, round, seconds } from './rounded'

/**
 * @param input a simulate case, as parsed from JSON
 * @throws InvalidInputError
 */
export function answerSimulate(input: unknown): object {
  const given = parseSimulateCase(input)
  const { subject, stages, cut } = programOf(given)
  const outcome = run(subject, stages, { ...KEEP_ALL, every: given.everyS, fieldEvery: given.fieldEveryS })
  const { history } = outcome
  return {
    piece: given.piece,
    stages: stages.slice(0, outcome.stageEnds.length).map((s, i) => ({ name: s.name, endS: seconds(outcome.stageEnds[i]) })),
    series: {
      timeS: history.time.map(seconds),
      coreC: history.core.map(degrees),
      meanC: history.mean.map(degrees),
      firstSurfaceC: history.first.map(maybe),
      secondSurfaceC: history.second.map(maybe),
      sideC: history.side.map(maybe),
      panC: history.plate.map(maybe),
      waterLost: history.evaporated.map((e, i) => round(e + history.dripped[i], 5))
    },
    coldestPoint: { peakC: degrees(outcome.peak.core), atS: seconds(outcome.peak.time) },
    meanC: degrees(history.mean[history.mean.length - 1]),
    surfacesC: [history.first, history.second, history.side].map(series => maybe(series[series.length - 1])),
    waterLost: {
      evaporated: round(history.evaporated[history.evaporated.length - 1], 5),
      dripped: round(history.dripped[history.dripped.length - 1], 5)
    },
    depthMm: Array.from(subject.grid.axial.centre, z => round(z * 1000, 3)),
    radiusMm: Array.from(subject.grid.radial.centre, r => (isFlat(given.piece, cut) ? null : round(r * 1000, 3))),
    fields: outcome.fields.map(f => ({
      atS: seconds(f.time),
      temperatureC: f.temperature.map(degrees),
      hottestC: f.hottest.map(degrees),
      waterLeft: f.wetness.map(w => round(w, 4))
    }))
  }
}

function programOf(given: SimulateCase): { subject: Subject; stages: Stage[]; cut: Cut } {
  const { piece, room } = given
  const cut = cutById(piece.cutId)
  const pan = given.pan ? panById(given.pan.panId) : undefined
  const ring = given.pan ? ringById(given.pan.ringId) : undefined
  if (!cut) throw new InvalidInputError([{ key: 'piece.cut', message: 'There is no such cut.' }])
  const heated = given.pan && pan && ring ? { pan, ring, panC: given.pan.panC } : null
  const burner = heated ? burnerHolding(heated.pan, heated.ring, heated.panC, room.temperatureC) : null
  const faceOf = (f: FaceGiven): Face => {
    switch (f) {
      case 'pan':
        return { kind: 'metal', lump: 0, contact: CONSTANTS.panContact }
      case 'over the pan':
        return overPan(room, CONSTANTS)
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
    cut,
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
