/**
 * What the door for scripts answers: the same core that the screens use, its figures
 * with the unit in the key, as plain JSON. Described in docs/case-format.md.
 */
import { bandOf } from '#core/doneness/scale'
import { preheatSeconds } from '#core/kit/pan'
import { cutById } from '#core/meat/cuts'
import { findContradiction } from '#core/meat/contradiction'
import { faceAreaM2, type Piece } from '#core/meat/piece'
import { METHODS, type MethodKind, type SettingsOf } from '#core/method/methods'
import type { Method } from '#core/method/method'
import type { Setup } from '#core/method/setup'
import { USUAL_KIT, usualSettings } from '#core/method/usual'
import { believe, drawMembers, type Reading, type Trial } from '#core/estimate/belief'
import { remarks } from '#core/plan/callSheet'
import { planDoubts } from '#core/plan/doubts'
import { compareMethods, mayBeLate, misjudged, type Misjudged } from '#core/plan/compare'
import { bareOf } from '#core/plan/everyMethod'
import { planPanSear, type PanPlan } from '#core/plan/panPlan'
import { InfeasibleError, planMethod, type Plan } from '#core/plan/plan'
import { RequestError, setupOf } from '#core/request/request'
import { planSpread } from '#core/plan/spread'
import { panTrialOf, trialOf } from '#core/estimate/trial'
import { panRequestOf, parseCompareCase, parsePlanCase, type PlanCase } from './caseFile'
import { settingsFrom } from './methodCase'
import { InvalidInputError } from '#core/input/problem'
import { degrees, round, seconds } from './rounded'

/** Where a field of the request stands in a case file. */
const KEY_IN_FILE: Record<string, string> = {
  'piece.cutId': 'piece.cut',
  panId: 'method.pan',
  ringId: 'method.ring',
  panC: 'method.heat',
  targetC: 'target'
}

const MEMBERS = 200
const SEED = 20261

/**
 * @param input a plan case, as parsed from JSON
 * @throws InvalidInputError
 */
export function answerPlan(input: unknown): object {
  const asked = parsePlanCase(input)
  try {
    return asked.kind === 'pan sear' && asked.method.byClock === undefined ? answerPan(asked) : answerOther(asked.kind, asked)
  } catch (error) {
    if (error instanceof RequestError)
      throw new InvalidInputError([{ key: KEY_IN_FILE[error.field] ?? error.field, message: error.message }])
    if (error instanceof InfeasibleError) return { feasible: false, reason: error.message, nearest: nearestOf(error) }
    throw error
  }
}

const nearestOf = ({ nearestC, atSeconds }: InfeasibleError): object | null =>
  nearestC === null || atSeconds === null ? null : { coreC: degrees(nearestC), panS: seconds(atSeconds) }

function answerPan(asked: PlanCase): object {
  const request = panRequestOf(asked)
  const setup = setupOf(request)
  const plan = planPanSear(setup, request.targetC)
  const preheat = preheatSeconds(setup.settings.pan, setup.settings.ring, request.panC, request.room.temperatureC)
  const spread = asked.spread ? planSpread(setup, plan) : null
  return {
    ...common(asked, plan, misjudged(METHODS['pan sear'], setup, plan.free)),
    preheatS: preheat === null ? null : seconds(preheat),
    ...panFigures(plan),
    ...(spread ? { spread: { pullS: spread.pull.map(seconds), peakByClockC: spread.peakByClock.map(degrees) } } : {}),
    ...beliefOf(asked, panTrialOf(setup, plan)),
    remarks: [...remarks(request, plan, 'metric'), ...doubtsOf(asked.piece)]
  }
}

const panFigures = (plan: PanPlan): object => ({
  turnsAtS: plan.turns.map(seconds),
  turnEveryS: seconds(plan.turnEvery),
  coldestPanC: degrees(plan.coldestPan)
})

function answerOther<K extends MethodKind>(kind: K, asked: PlanCase): object {
  const method = METHODS[kind] as Method<SettingsOf[K]>
  const setup: Setup<SettingsOf[K]> = { ...bareOf(asked), settings: settingsFrom(kind, asked.method, asked.target.celsius, asked.kit) }
  const plan = planMethod(method, setup, asked.target.celsius, asked.method.byClock ?? null)
  return {
    ...common(asked, plan, misjudged(method, setup, plan.free)),
    ...beliefOf(asked, trialOf(method, setup, plan)),
    remarks: [...planDoubts(plan, 'metric'), ...doubtsOf(asked.piece)]
  }
}

function common({ piece, target, kind }: PlanCase, plan: Plan, off: Misjudged): object {
  const cut = cutById(piece.cutId)
  return {
    feasible: true,
    method: kind,
    piece: { ...piece, ...(cut ? { faceAreaCm2: round(faceAreaM2(piece, cut) * 1e4, 1) } : {}) },
    target: { coreC: degrees(target.celsius), doneness: bandOf(target.scale, target.celsius).word, scale: target.scale.id },
    ...figures(plan, mayBeLate(plan, target.scale), off)
  }
}

function figures(plan: Plan, lateS: number | null, off: Misjudged): object {
  const { section } = plan
  return {
    free: { what: METHODS[plan.kind as MethodKind].free, seconds: seconds(plan.free) },
    phases: plan.phases.map(p => ({ phase: p.phase, name: p.name, spells: p.spells, fromS: seconds(p.from), toS: seconds(p.to) })),
    pull: { atS: seconds(plan.pull.time), coreC: degrees(plan.pull.core) },
    peak: { atS: seconds(plan.peak.time), coreC: degrees(plan.peak.core) },
    carryoverK: degrees(plan.peak.core - plan.pull.core),
    carve: { atS: seconds(plan.carve.time), coreC: degrees(plan.carve.core) },
    totalS: seconds(plan.carve.time),
    handsOnS: seconds(plan.handsOn),
    mayBeLateS: lateS === null ? null : seconds(lateS),
    threeMmThickerK: degrees(off.thickerK),
    threeMmThinnerK: degrees(off.thinnerK),
    cookLoss: round(plan.loss, 4),
    crustMm: section.crustMm.map(c => round(c, 2)),
    greyMm: section.greyMm.map(g => round(g, 2)),
    side: section.side && { crustMm: round(section.side.crustMm, 2), greyMm: round(section.side.greyMm, 2) },
    evenness: round(section.evenness, 3),
    lethality: plan.lethal.map(l => ({ reference: l.reference, core: round(l.core, 3), surface: round(l.surface, 3) }))
  }
}

/** What is believed of the time needed, from the ranges alone and from what has been read. */
function beliefOf<S>({ spread, readings }: PlanCase, trial: Trial<S>): object {
  if (!spread) return {}
  const members = drawMembers(trial, MEMBERS, SEED)
  return { neededS: needed(members, []), ...(readings.length > 0 ? { neededAfterReadingsS: needed(members, readings) } : {}) }
}
const needed = (members: Parameters<typeof believe>[0], readings: readonly Reading[]): number[] =>
  believe(members, readings).needed.map(seconds)

function doubtsOf(piece: Piece): string[] {
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
  const { piece, room, target, kinds } = parseCompareCase(input)
  try {
    const bare = bareOf({ piece, room })
    const compared = compareMethods(bare, usualSettings(USUAL_KIT, target.celsius), kinds, target.celsius, target.scale)
    return {
      piece,
      target: { coreC: degrees(target.celsius), doneness: bandOf(target.scale, target.celsius).word, scale: target.scale.id },
      methods: compared.map(c =>
        'plan' in c
          ? { method: c.kind, feasible: true, ...figures(c.plan, c.lateS, c.misjudged) }
          : { method: c.kind, feasible: false, reason: c.unsuited, nearestC: c.nearestC === null ? null : degrees(c.nearestC) }
      )
    }
  } catch (error) {
    if (error instanceof RequestError)
      throw new InvalidInputError([{ key: KEY_IN_FILE[error.field] ?? error.field, message: error.message }])
    throw error
  }
}
