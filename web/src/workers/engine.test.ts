/** One question, one answer: through the door for scripts and through the page's worker alike. */
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { answerCompare, answerPlan } from '#core/formats/answers'
import { readCompareCase, readPlanCase, writePlanCase } from '#core/formats/caseFile'
import { degrees, round, seconds } from '#core/formats/rounded'
import { InvalidInputError } from '#core/input/problem'
import { kitInUse, READY_KITS } from '#core/kit/kit'
import { isTender, type Cut } from '#core/meat/cut'
import { CUTS } from '#core/meat/cuts'
import { weightFromSize, type Piece } from '#core/meat/piece'
import { dialsOf, type Settings } from '#core/method/dials'
import { METHOD_KINDS, type MethodKind } from '#core/method/methods'
import { TURNINGS } from '#core/method/turning'
import { Randomness } from '#core/numerics/random'
import { FIRST_REQUEST } from '#core/request/firstRequest'
import { by, type PlanRequest } from '#core/request/request'
import type { PlanAnswer } from '#core/usecase/plan'
import type { Engine } from './engine.worker'

const { exposed } = vi.hoisted(() => ({ exposed: { engine: null as unknown } }))
vi.mock('comlink', () => ({ expose: (engine: unknown) => (exposed.engine = engine), transferHandlers: new Map() }))
/** A worker that was asked nothing yet. */
async function freshEngine(): Promise<Engine> {
  vi.resetModules()
  await import('./engine.worker')
  return exposed.engine as Engine
}
let engine = await freshEngine()
/** As it crosses between threads. */
const ask = (request: PlanRequest): PlanAnswer => structuredClone(engine.plan(structuredClone(request)))

interface Figures {
  readonly feasible: boolean
  readonly reason?: string
  readonly pull?: object
  readonly peak?: object
  readonly carve?: object
}
/** The figures of an answer of the page, as the door writes them. */
function figuresOf(answer: PlanAnswer): Figures {
  if ('refused' in answer) return { feasible: false, reason: answer.refused }
  const { plan, lateS } = answer
  const at = (m: { readonly time: number; readonly core: number }): object => ({ atS: seconds(m.time), coreC: degrees(m.core) })
  return {
    feasible: true,
    pull: at(plan.pull),
    peak: at(plan.peak),
    carve: at(plan.carve),
    ...{ mayBeLateS: lateS === null ? null : seconds(lateS), cookLoss: round(plan.loss, 4), handsOnS: seconds(plan.handsOn) },
    ...{ evenness: round(plan.section.evenness, 3), greyMm: plan.section.greyMm.map(g => round(g, 2)) }
  }
}
/** The door's answer; what it refuses as a wrong case says why too. */
function throughTheDoor(file: object): Figures {
  try {
    return answerPlan(file) as Figures
  } catch (error) {
    if (error instanceof InvalidInputError) return { feasible: false, reason: error.problems[0].message }
    throw error
  }
}

const examples = Object.entries(
  import.meta.glob<Record<string, unknown>>('../../../docs/examples/*.json', { eager: true, import: 'default' })
)

describe('every example', () => {
  beforeEach(async () => {
    engine = await freshEngine()
  })

  it.each(examples.filter(([, file]) => 'method' in file))('%s: the page finds what the door finds', (_, file) => {
    expect(throughTheDoor(file)).toMatchObject(figuresOf(ask(readPlanCase(file).request)))
  })

  it.each(examples.filter(([, file]) => 'methods' in file))('%s: every method of it', (_, file) => {
    const { request, kinds } = readCompareCase(file)
    const { methods } = answerCompare(file) as { methods: Figures[] }
    expect(methods).toMatchObject(kinds.map(kind => figuresOf(ask(by(request, kind)))))
  })
})

/** Requests that no two of which the worker could take for alike. */
function someRequests(count: number): PlanRequest[] {
  const random = new Randomness(20261127)
  const from = <T>(list: readonly T[]): T => list[Math.floor(random.even() * list.length)]
  const between = (low: number, high: number): number => Math.round(low + random.even() * (high - low))
  const cuts = CUTS.filter(isTender)
  const found = new Map<string, PlanRequest>()
  while (found.size < count) {
    const kind = from(METHOD_KINDS)
    const cut = from(cuts)
    const piece = pieceOf(cut, kind === 'roast' || kind === 'in pastry', between)
    const kit = kitInUse(from(READY_KITS).kit, {}, '', '')
    const request = { ...FIRST_REQUEST, kit, piece, target: { coreC: between(48, 66), scaleId: from(['middle', 'hot']) } }
    found.set(`${kind} ${cut.id} ${piece.form}`, by(request, kind, someSettings(kind, from, between)))
  }
  return [...found.values()]
}
function pieceOf(cut: Cut, joint: boolean, between: (low: number, high: number) => number): Piece {
  const thicknessMm = joint ? between(50, 90) : between(15, 55)
  const sizes = {
    thicknessMm,
    lengthMm: joint ? 3 * thicknessMm : between(100, 200),
    widthMm: joint ? thicknessMm : between(70, 130),
    startC: between(2, 15)
  }
  const weightG = joint ? Math.round(2.5e-3 * thicknessMm ** 3) : Math.round(weightFromSize(sizes, cut))
  return { cutId: cut.id, form: joint ? 'roast' : 'steak', count: 1, surface: 'patted', ...sizes, weightG }
}
function someSettings(kind: MethodKind, from: <T>(list: readonly T[]) => T, between: (low: number, high: number) => number): Settings {
  const set: Record<string, unknown> = {}
  // In the pan the file must say how hot.
  if (kind === 'pan sear') set['panC'] = between(180, 225)
  for (const dial of dialsOf(kind)) {
    if (between(0, 3) > 0 || dial.key === 'byClockS') continue
    if (dial.kind === 'quantity' && dial.dimension === 'temperature') set[dial.key] = between(dial.range[0], dial.range[1])
    if (dial.kind === 'turning') set[dial.key] = from(TURNINGS)
    if (dial.kind === 'rest') set[dial.key] = { kind: 'clock', seconds: 60 * between(1, 20) }
    if (dial.kind === 'choice') set[dial.key] = from(dial.options).value
  }
  return set
}

describe('forty requests at random', () => {
  const requests = someRequests(40)

  it('are answered alike, and refused alike', () => {
    const answers = requests.map(request => [throughTheDoor(writePlanCase(request)), figuresOf(ask(request))] as const)
    for (const [i, [door, page]] of answers.entries()) expect(door, JSON.stringify(requests[i].method)).toMatchObject(page)
    // Some of both, or it says little.
    const feasible = answers.filter(([door]) => door.feasible).length
    expect(feasible).toBeGreaterThan(12)
    expect(feasible).toBeLessThan(40)
  })

  it('asked again from a warm start the page says the same to what is solved to, a tenth of a degree at its peak', () => {
    for (const request of requests.slice(0, 12)) {
      const [first, again] = [ask(request), ask(request)]
      if ('refused' in first) {
        expect(again).toEqual(first)
        continue
      }
      if ('refused' in again) throw new Error(again.refused)
      expect(Math.abs(again.plan.peak.core - first.plan.peak.core)).toBeLessThan(0.2)
      expect(Math.abs(again.plan.pull.probe - first.plan.pull.probe)).toBeLessThan(0.3)
    }
  })
})
