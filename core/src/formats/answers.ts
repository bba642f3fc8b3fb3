/**
 * What the door for scripts answers: the same core that the screens use, its figures
 * with the unit in the key, as plain JSON. Described in docs/case-format.md.
 */
import { bandOf, scaleById, SCALES } from '#core/doneness/scale'
import { CONSTANTS } from '#core/heat/constants'
import { DEFAULT_RESOLUTION } from '#core/heat/grid'
import type { Face } from '#core/heat/faces'
import { KEEP_ALL, run, type Stage, type Subject } from '#core/heat/program'
import { boilingPoint } from '#core/heat/vapour'
import { meatMaterial } from '#core/heat/properties'
import { onBoard, openAir, overPan, underFoil, vapourOf } from '#core/kit/air'
import { burnerHolding, panById, panPlate, preheatSeconds, ringById } from '#core/kit/pan'
import { cutById } from '#core/meat/cuts'
import { findContradiction } from '#core/meat/contradiction'
import { faceAreaM2, gridOf, SURFACES } from '#core/meat/piece'
import { remarks, secondsLate } from '#core/plan/callSheet'
import { InfeasibleError, planPanSear } from '#core/plan/panPlan'
import { RequestError, setupOf } from '#core/plan/request'
import { planSpread } from '#core/plan/spread'
import { parsePlanCase, parseSimulateCase, type FaceGiven, type SimulateCase } from './caseFile'
import { InvalidInputError } from './problem'

const round = (value: number, digits: number): number => Number(value.toFixed(digits))
const seconds = (value: number): number => round(value, 1)
const degrees = (value: number): number => round(value, 2)

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
    if (error instanceof InfeasibleError)
      return { feasible: false, reason: error.message, nearest: { coreC: degrees(error.nearestC), panS: seconds(error.atSeconds) } }
    throw error
  }
}

/**
 * @param input a simulate case, as parsed from JSON
 * @throws InvalidInputError
 */
export function answerSimulate(input: unknown): object {
  const given = parseSimulateCase(input)
  const { subject, stages } = programOf(given)
  const outcome = run(subject, stages, { ...KEEP_ALL, every: given.everyS, fieldEvery: given.fieldEveryS })
  const { history } = outcome
  return {
    piece: given.piece,
    stages: stages.slice(0, outcome.stageEnds.length).map((s, i) => ({ name: s.name, endS: seconds(outcome.stageEnds[i]) })),
    series: {
      timeS: history.time.map(seconds),
      coreC: history.core.map(degrees),
      meanC: history.mean.map(degrees),
      firstSurfaceC: history.first.map(degrees),
      secondSurfaceC: history.second.map(degrees),
      panC: history.plate.map(p => (p === null ? null : degrees(p))),
      waterLost: history.evaporated.map((e, i) => round(e + history.dripped[i], 5))
    },
    coldestPoint: { peakC: degrees(outcome.peak.core), atS: seconds(outcome.peak.time) },
    meanC: degrees(history.mean[history.mean.length - 1]),
    surfacesC: outcome.body.surfaces.map(s => degrees(s.temperature)),
    waterLost: {
      evaporated: round(history.evaporated[history.evaporated.length - 1], 5),
      dripped: round(history.dripped[history.dripped.length - 1], 5)
    },
    depthMm: Array.from(subject.grid.centre, z => round(z * 1000, 3)),
    fields: outcome.fields.map(f => ({
      atS: seconds(f.time),
      temperatureC: f.temperature.map(degrees),
      hottestC: f.hottest.map(degrees),
      waterLeft: f.wetness.map(w => round(w, 4))
    }))
  }
}

function programOf(given: SimulateCase): { subject: Subject; stages: Stage[] } {
  const { piece, room } = given
  const cut = cutById(piece.cutId)
  const pan = given.pan ? panById(given.pan.panId) : undefined
  const ring = given.pan ? ringById(given.pan.ringId) : undefined
  if (!cut) throw new InvalidInputError([{ key: 'piece.cut', message: 'There is no such cut.' }])
  const film = SURFACES[piece.surface].filmKgM2
  const heated = given.pan && pan && ring ? { pan, ring, panC: given.pan.panC } : null
  const burner = heated ? burnerHolding(heated.pan, heated.ring, heated.panC, room.temperatureC) : null
  const faceOf = (f: FaceGiven): Face => {
    switch (f) {
      case 'pan':
        return { kind: 'metal', contact: CONSTANTS.panContact }
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
  return {
    subject: {
      grid: gridOf(piece, DEFAULT_RESOLUTION),
      material: meatMaterial(cut.composition, CONSTANTS.fibreFactor, CONSTANTS.driedConductivity),
      start: { temperature: piece.startC, film: [film, film], boiling: boilingPoint(room.altitudeM) },
      plate: heated ? panPlate(heated.pan, faceAreaM2(piece, cut) * piece.count, room.temperatureC, heated.panC) : null
    },
    stages: given.stages.map(s => {
      const faces = [faceOf(s.first), faceOf(s.second)] as const
      return { name: s.name, end: s.end, faces, burner: faces.some(f => f.kind === 'metal') ? burner : null }
    })
  }
}
