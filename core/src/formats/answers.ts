/**
 * What the door for scripts answers, as plain JSON: the same use cases that the screens call, their figures
 * with the unit in the key. Described in docs/case-format.md.
 */
import { bandOf, scaleOf } from '#core/doneness/scale'
import { InvalidInputError } from '#core/input/problem'
import { findContradiction } from '#core/meat/contradiction'
import { cutById } from '#core/meat/cuts'
import { faceAreaM2, type Piece } from '#core/meat/piece'
import { METHODS } from '#core/method/methods'
import { misjudged, type Misjudged } from '#core/plan/misjudged'
import { coldestMetal, type Plan } from '#core/plan/plan'
import { RequestError, type PlanRequest } from '#core/request/request'
import { hotMetal, setupOf } from '#core/request/setup'
import { panWarmUp } from '#core/session/warmUp'
import { belief } from '#core/usecase/belief'
import { compare } from '#core/usecase/compare'
import { plan, type Planned, type Refused } from '#core/usecase/plan'
import { simulate } from '#core/usecase/simulate'
import { caveats } from '#core/words/caveats'
import { keyInFile, readCompareCase, readPlanCase, type PlanCase } from './caseFile'
import { degrees, maybe, round, seconds } from './rounded'
import { readSimulation } from './simulateFile'

/**
 * @param input a plan case, as parsed from JSON
 * @throws InvalidInputError
 */
export function answerPlan(input: unknown): object {
  const asked = readPlanCase(input)
  const found = plan(asked.request)
  return 'refused' in found ? refusal(found) : planned(asked, found)
}

function refusal({ refused, key, nearest }: Refused): object {
  if (key !== null) throw new InvalidInputError([{ key: keyInFile(key), message: refused }])
  return { feasible: false, reason: refused, nearest: nearest && { coreC: degrees(nearest.coreC), panS: seconds(nearest.freeS) } }
}

function planned({ request, spread, readings }: PlanCase, found: Planned): object {
  const { method, setup } = setupOf(request)
  const { piece } = request
  const cut = cutById(piece.cutId)
  return {
    feasible: true,
    method: found.kind,
    piece: { ...piece, ...(cut ? { faceAreaCm2: round(faceAreaM2(piece, cut) * 1e4, 1) } : {}) },
    target: targetIn(request),
    ...figures(found, misjudged(method, setup, found.plan)),
    ...panFigures(request, found.plan),
    ...(spread ? beliefIn(request, found.plan, readings) : {}),
    remarks: [...caveats(request, found.plan, 'metric'), ...contradictionIn(piece)]
  }
}

function targetIn({ target }: PlanRequest): object {
  const scale = scaleOf(target)
  return { coreC: degrees(target.coreC), doneness: bandOf(scale, target.coreC).word, scale: scale.id }
}

function figures({ plan: found, lateS }: Planned, off: Misjudged): object {
  const { section } = found
  return {
    free: { what: METHODS[found.kind as keyof typeof METHODS].free, seconds: seconds(found.free) },
    phases: found.phases.map(p => ({ phase: p.phase, name: p.name, spells: p.spells, fromS: seconds(p.from), toS: seconds(p.to) })),
    pull: { atS: seconds(found.pull.time), coreC: degrees(found.pull.core), probeC: degrees(found.pull.probe) },
    peak: { atS: seconds(found.peak.time), coreC: degrees(found.peak.core) },
    carryoverK: degrees(found.peak.core - found.pull.core),
    carve: { atS: seconds(found.carve.time), coreC: degrees(found.carve.core) },
    totalS: seconds(found.carve.time),
    handsOnS: seconds(found.handsOn),
    mayBeLateS: lateS === null ? null : seconds(lateS),
    threeMmThickerK: degrees(off.thickerK),
    threeMmThinnerK: degrees(off.thinnerK),
    cookLoss: round(found.loss, 4),
    crustMm: section.crustMm.map(c => round(c, 2)),
    greyMm: section.greyMm.map(g => round(g, 2)),
    side: section.side && { crustMm: round(section.side.crustMm, 2), greyMm: round(section.side.greyMm, 2) },
    evenness: round(section.evenness, 3),
    lethality: found.lethal.map(l => ({ reference: l.reference, core: round(l.core, 3), surface: round(l.surface, 3) }))
  }
}

/** Of what is seared: when it is turned, and what that does to the pan. */
function panFigures(request: PlanRequest, found: Plan): object {
  const coldest = coldestMetal(found)
  if (!hotMetal(request) || coldest === null) return {}
  const preheat = panWarmUp(request)
  const turns = found.marks.filter((m, i) => i > 0 && m.stage === found.marks[i - 1].stage)
  const sear = found.phases.find(p => p.phase === 'sear')
  return {
    preheatS: preheat === null ? null : seconds(preheat),
    turnsAtS: turns.map(t => seconds(t.from)),
    turnEveryS: sear ? seconds((sear.to - sear.from) / sear.spells) : null,
    coldestPanC: degrees(coldest)
  }
}

/** What is believed of the time needed, from the ranges alone and from what has been read. */
function beliefIn(request: PlanRequest, found: Plan, readings: PlanCase['readings']): object {
  const { spread, needed, neededAfter } = belief(request, found, readings)
  return {
    spread: { pullS: spread.pull.map(seconds), peakByClockC: spread.peakByClock.map(degrees) },
    neededS: needed.map(seconds),
    ...(neededAfter ? { neededAfterReadingsS: neededAfter.map(seconds) } : {})
  }
}

function contradictionIn(piece: Piece): string[] {
  const cut = cutById(piece.cutId)
  const found = cut && piece.form !== 'roast' ? findContradiction(piece, cut) : null
  return found
    ? [
        `Weight and size disagree: the sizes call for ${Math.round(found.expectedG)} g. Likely culprit: ${found.culprit}${found.slip ? ` (${found.slip})` : ''}.`
      ]
    : []
}

/**
 * @param input a compare case, as parsed from JSON
 * @throws InvalidInputError
 */
export function answerCompare(input: unknown): object {
  const { request, kinds } = readCompareCase(input)
  const compared = compare(request, kinds)
  const ofThePiece = compared.find(
    (c): c is Refused => 'refused' in c && (c.key?.startsWith('piece') || c.key?.startsWith('target')) === true
  )
  if (ofThePiece) refusal(ofThePiece)
  return {
    piece: request.piece,
    target: targetIn(request),
    methods: compared.map(c =>
      'plan' in c
        ? { method: c.kind, feasible: true, ...figures(c, c.misjudged) }
        : { method: c.kind, feasible: false, reason: c.refused, nearestC: c.nearest === null ? null : degrees(c.nearest.coreC) }
    )
  }
}

/**
 * @param input a simulate case, as parsed from JSON
 * @throws InvalidInputError
 */
export function answerSimulate(input: unknown): object {
  const given = readSimulation(input)
  const { run: outcome, stages, subject, flat } = simulated(given)
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
    radiusMm: Array.from(subject.grid.radial.centre, r => (flat ? null : round(r * 1000, 3))),
    fields: outcome.fields.map(f => ({
      atS: seconds(f.time),
      temperatureC: f.temperature.map(degrees),
      hottestC: f.hottest.map(degrees),
      waterLeft: f.wetness.map(w => round(w, 4))
    }))
  }
}

function simulated(given: Parameters<typeof simulate>[0]): ReturnType<typeof simulate> {
  try {
    return simulate(given)
  } catch (error) {
    if (error instanceof RequestError) throw new InvalidInputError([{ key: keyInFile(error.key), message: error.message }])
    throw error
  }
}

/** By what is asked for. */
export const ANSWERS = { plan: answerPlan, compare: answerCompare, simulate: answerSimulate } as const
