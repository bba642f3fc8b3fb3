/**
 * What the door for scripts answers: the same core that the screens use, its figures
 * with the unit in the key, as plain JSON. Described in docs/case-format.md.
 */
import { bandOf, scaleById, SCALES } from '#core/doneness/scale'
import { CONSTANTS } from '#core/heat/constants'
import { lumpOf, type Face } from '#core/heat/faces'
import { KEEP_ALL, run, type Stage, type Subject } from '#core/heat/program'
import { onBoard, openAir, overPan, underFoil, vapourOf } from '#core/kit/air'
import { burnerHolding, panById, panLump, preheatSeconds, ringById } from '#core/kit/pan'
import type { Cut } from '#core/meat/cut'
import { cutById } from '#core/meat/cuts'
import { findContradiction } from '#core/meat/contradiction'
import { faceAreaM2, isFlat } from '#core/meat/piece'
import { subjectOf } from '#core/method/setup'
import { remarks, secondsLate } from '#core/plan/callSheet'
import { planPanSear } from '#core/plan/panPlan'
import { InfeasibleError } from '#core/plan/plan'
import { RequestError, setupOf } from '#core/plan/request'
import { planSpread } from '#core/plan/spread'
import { parsePlanCase, parseSimulateCase, type FaceGiven, type SimulateCase } from './caseFile'
import { InvalidInputError } from './problem'

const round = (value: number, digits: number): number => Number(value.toFixed(digits))
const seconds = (value: number): number => round(value, 1)
const degrees = (value: number): number => round(value, 2)
const maybe = (value: number | null): number | null => (value === null ? null : degrees(value))

/** Where a field of the request stands in a case file. */
const KEY_IN_FILE: Record<string, string> = {
  'piece.cutId': 'piece.cut',
  panId: 'method.pan',
  ringId: 'method.ring',
  panC: 'method.heat',
  targetC: 'target'
}

/**
 * @param input a plan case, as parsed from JSON
 * @throws InvalidInputError
 */
export function answerPlan(input: unknown): object {
  const { request, spread: wanted } = parsePlanCase(input)
  try {
    const setup = setupOf(request)
    const plan = planPanSear(setup, request.targetC)
    const spread = wanted ? planSpread(setup, plan) : null
    const contradiction = findContradiction(request.piece, setup.cut)
    const scale = scaleById(request.scaleId) ?? SCALES[0]
    const late = secondsLate(request, plan)
    const preheat = preheatSeconds(setup.settings.pan, setup.settings.ring, request.panC, request.room.temperatureC)
    return {
      feasible: true,
      piece: { ...request.piece, faceAreaCm2: round(faceAreaM2(request.piece, setup.cut) * 1e4, 1) },
      target: { coreC: degrees(request.targetC), doneness: bandOf(scale, request.targetC).word, scale: scale.id },
      preheatS: preheat === null ? null : seconds(preheat),
      turnsAtS: plan.turns.map(seconds),
      turnEveryS: seconds(plan.turnEvery),
      pull: { atS: seconds(plan.pull.time), coreC: degrees(plan.pull.core) },
      peak: { atS: seconds(plan.peak.time), coreC: degrees(plan.peak.core) },
      carryoverK: degrees(plan.peak.core - plan.pull.core),
      carve: { atS: seconds(plan.carve.time), coreC: degrees(plan.carve.core) },
      mayBeLateS: late === null ? null : seconds(late),
      cookLoss: round(plan.loss, 4),
      coldestPanC: degrees(plan.coldestPan),
      crustMm: plan.section.crustMm.map(c => round(c, 2)),
      greyMm: plan.section.greyMm.map(g => round(g, 2)),
      evenness: round(plan.section.evenness, 3),
      ...(spread ? { spread: { pullS: spread.pull.map(seconds), peakByClockC: spread.peakByClock.map(degrees) } } : {}),
      remarks: [
        ...remarks(request, plan, 'metric'),
        ...(contradiction
          ? [
              `Weight and size disagree: the sizes call for ${Math.round(contradiction.expectedG)} g. Likely culprit: ${contradiction.culprit}${contradiction.slip ? ` (${contradiction.slip})` : ''}.`
            ]
          : [])
      ]
    }
  } catch (error) {
    if (error instanceof RequestError)
      throw new InvalidInputError([{ key: KEY_IN_FILE[error.field] ?? error.field, message: error.message }])
    if (error instanceof InfeasibleError) return { feasible: false, reason: error.message, nearest: nearestOf(error) }
    throw error
  }
}

const nearestOf = ({ nearestC, atSeconds }: InfeasibleError): object | null =>
  nearestC === null || atSeconds === null ? null : { coreC: degrees(nearestC), panS: seconds(atSeconds) }

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
