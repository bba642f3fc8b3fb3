/**
 * Cut open: the true piece beside the one that was wanted and the one that would have been served if cut at once, what
 * each decision cost, and what a diner would notice of it.
 */
import { acrossMiddle, axisColumn, geometryOf, GREY_FROM, readSection } from '#core/doneness/section'
import type { Spent } from '#core/estimate/underWay'
import { fieldAt, valueAt } from '#core/heat/history'
import type { Run } from '#core/heat/program'
import { boilingPoint } from '#core/heat/vapour'
import { otherDown, secondsOf, type Down } from '#core/method/timeline'
import type { CookRecord, PlannedFigures } from '#core/book/record'
import type { Steps } from '#core/numerics/steps'
import { progressOf, spentUntil } from '#core/session/progress'
import { faceOf, shadeOf, type Shade } from './browning'
import { shortWhenMet, type SlowFire } from './coldFire'
import { scoreOf, type Score } from './score'
import { probedAt } from './signs'
import { lived, fireLitBefore, onwardOf, panMetAt, truly, type Beside, type Lived, type Living, type Truth } from './truth'

type Section = PlannedFigures['section']

/** What came of a piece. */
export interface Served {
  /** Of its least cooked point: the hottest it got before the knife, and what it was as it was cut, °C. */
  readonly peakC: number
  readonly carvedC: number
  /** Grey edge at the face that has more of it, or at the side of a joint, mm. */
  readonly greyMm: number
  /** Of the paler face; null of a joint, whose skin is not told. */
  readonly crust: { readonly shade: Shade; readonly dose: number } | null
  /** Share of the raw mass gone by the knife, vapour and drip. */
  readonly loss: number
  /** ml on the board when it is cut. */
  readonly boardMl: number
}

export const MISTAKES = ['pan', 'fire', 'turns', 'pull', 'rest', 'flames'] as const
export type Mistake = (typeof MISTAKES)[number]

/** One decision changed, and nothing else. */
export interface Priced {
  readonly what: Mistake
  /** Of a fire that was too cold: which. */
  readonly of?: SlowFire
  /** How much of it there was: s too late (negative too early), K too cold, turns fewer, s too short. */
  readonly by: number
  /** What would have been. */
  readonly instead: Served
}

/** A reading by hand, against what was there. */
export interface ProbedWrong {
  /** s since it was laid in. */
  readonly time: number
  readonly offMm: number
  readonly shownC: number
  readonly trueC: number
}

/** What was not as was said. */
export interface Hidden {
  readonly thicknessMm: number
  readonly startC: number
  /** Share of what its pan or its air gives. */
  readonly contact: number
  readonly air: number
  /** What an oven, the bars or the lid held over what they were set to, K. */
  readonly heatK: number
  /** How fast heat goes through this piece, as a share of what is usual. */
  readonly meat: number
  readonly ring: number
  readonly surface: string | null
}

export interface CutOpen {
  readonly targetC: number
  readonly served: Served
  /** As it was planned, of a piece such as was said. */
  readonly wanted: Pick<Served, 'peakC' | 'loss'> & { readonly greyMm: number }
  readonly sections: { readonly served: Section; readonly wanted: Section; readonly atOnce: Section }
  /** The true piece from its going in to the knife, to be gone through again. */
  readonly frames: readonly { readonly timeS: number; readonly coreC: number; readonly hottestC: readonly number[] }[]
  readonly curve: { readonly timeS: readonly number[]; readonly coreC: readonly number[] }
  readonly pulledS: number
  readonly carvedS: number
  readonly hidden: Hidden
  readonly probed: readonly ProbedWrong[]
  readonly prices: readonly Priced[]
  readonly score: Score
}

const tenth = (x: number): number => Math.round(10 * x) / 10

/** Of what is cut at once so much runs out onto the board as a share of its mass, of what has rested so much, and how soon that falls off, s; from memory of kitchen trials, which differ by half. */
const BOARD = { atOnce: 0.065, rested: 0.02, fallsIn: 300 } as const
export const boardMl = (grams: number, restedS: number): number =>
  grams * (BOARD.rested + (BOARD.atOnce - BOARD.rested) * Math.exp(-Math.max(0, restedS) / BOARD.fallsIn))

function sectionAt({ fields, body }: Run, at: number): Section {
  const geometry = geometryOf(body.grid)
  const field = fieldAt(fields, at)
  const across = geometry.mirrored ? acrossMiddle(field, geometry) : null
  return across
    ? { edgesMm: geometry.radiiMm.map(tenth), hottestC: across.map(tenth), round: true }
    : { edgesMm: geometry.edgesMm.map(tenth), hottestC: axisColumn(field, geometry).hottest.map(tenth) }
}

/** Of its thermal centre until it was cut, °C. */
const hottestBy = ({ history: { time, core } }: Run, carvedS: number): number => Math.max(...core.filter((_, i) => time[i] <= carvedS + 1))

function servedOf(truth: Truth, life: Pick<Lived, 'run' | 'past'>, pulledS: number, carvedS: number): Served {
  const { setup, target } = truth.kitchen
  const { history, fields, body } = life.run
  const { time } = history
  const reading = readSection(fieldAt(fields, carvedS), geometryOf(body.grid), target, boilingPoint(setup.room.altitudeM))
  // A guest gets both.
  const [paler] = [history.first, history.second].map(face => faceOf(time, face, carvedS)).sort((a, b) => a.dose - b.dose)
  const grams = setup.piece.weightG * setup.piece.count
  const loss = valueAt(time, history.evaporated, carvedS) + valueAt(time, history.dripped, carvedS)
  return {
    peakC: tenth(hottestBy(life.run, carvedS)),
    carvedC: tenth(valueAt(time, history.core, carvedS)),
    greyMm: tenth(reading.side && setup.piece.form === 'roast' ? reading.side.greyMm : Math.max(...reading.greyMm)),
    crust: setup.piece.form === 'roast' ? null : { shade: shadeOf(paler), dose: Math.round(paler.dose) },
    loss: Math.round(1000 * loss) / 1000,
    boardMl: Math.round(boardMl(grams * (1 - loss), carvedS - pulledS))
  }
}

/** Without a turn so far it is turned no more either, s. */
const NEVER = Infinity
/**
 * What happened, with so long at the heat in all as `total`: its longest stage ends sooner, or goes on as it went, turned
 * as often; what came after it stays.
 */
export function drawnOut(past: readonly Spent[], total: number): Spent[] {
  const inStage = (stage: Spent['stage']): number => secondsOf(past.filter(s => s.stage === stage))
  const stages = past.flatMap(s => (s.stage === 'out' ? [] : [s.stage])).sort((a, b) => inStage(b) - inStage(a))
  const longest = stages.at(0)
  if (longest === undefined) return [...past]
  const end = past.map(s => s.stage).lastIndexOf(longest)
  const [until, after] = [past.slice(0, end + 1), past.slice(end + 1)]
  const mine = until.filter(s => s.stage === longest)
  const turned = mine.some(s => s.down !== mine[0].down)
  const each = turned ? inStage(longest) / mine.length : NEVER
  let more = total - secondsOf(past)
  for (let i = until.length - 1; more < 0 && i >= 0; i--) {
    if (until[i].stage !== longest) continue
    const less = Math.min(until[i].seconds, -more)
    until[i] = { ...until[i], seconds: until[i].seconds - less }
    more += less
  }
  while (more > 0) {
    const last = until[until.length - 1]
    const room = Math.min(more, Math.max(0, each - last.seconds))
    if (room > 0) until[until.length - 1] = { ...last, seconds: last.seconds + room }
    more -= room
    if (more > 0) until.push({ ...last, down: otherDown(last.down), seconds: 0 })
  }
  return [...until, ...after].filter(s => s.seconds > 0.5)
}

/** The longest stage with two faces, turned so many times at even times instead. */
export function turnedInstead(past: readonly Spent[], stage: number, turns: number): Spent[] {
  const mine = past.filter(s => s.stage === stage)
  const each = secondsOf(mine) / (turns + 1)
  let down: Down = mine[0].down
  const even = Array.from({ length: turns + 1 }, (_, i): Spent => {
    if (i > 0) down = otherDown(down)
    return { stage, down, seconds: each }
  })
  const at = past.findIndex(s => s.stage === stage)
  return past.flatMap((s, i) => (i === at ? even : s.stage === stage ? [] : [s]))
}

const SOUGHT_IN = 0.3
const MOST_TRIES = 8
const FAR_K = 12
/**
 * The time at the heat that would have brought the true piece to the target by the knife, rested as it was, s: sought on a
 * coarse grid, put right by what that is off where it was in truth.
 * @param peakC what it came to
 */
function* rightPull(
  truth: Truth,
  past: readonly Spent[],
  living: Living,
  { peakC, restS, plannedS }: { readonly peakC: number; readonly restS: number; readonly plannedS: number }
): Steps<number> {
  const coarsely = (total: number): number => {
    const spent = drawnOut(past, total)
    return hottestBy(truly(truth.kitchen, spent, { ...living, fineness: 'coarse' }), secondsOf(spent) + restS)
  }
  const total = secondsOf(past)
  const target = truth.kitchen.target + coarsely(total) - peakC
  yield
  let [low, high] = [0.35 * total, Math.max(2 * total, 1.6 * plannedS)]
  // Cut raw it has told nothing of how long it would have taken.
  let tried = Math.abs(peakC - truth.kitchen.target) > FAR_K ? plannedS : total
  for (let i = 0; i < MOST_TRIES; i++) {
    const core = coarsely(tried)
    yield
    if (Math.abs(core - target) < SOUGHT_IN) return tried
    if (core > target) high = tried
    else low = tried
    // Nearly straight in what is still missing.
    const guess = tried * (1 + (0.9 * (target - core)) / Math.max(12, target - truth.kitchen.setup.piece.startC))
    tried = guess > low && guess < high ? guess : (low + high) / 2
  }
  return tried
}

/** Moments of a replay, beside its first. */
const FRAMES = 40

/** From when on a decision is worth a word. */
const WORTH = { pullS: 15, panK: 20, fireK: { oven: 20, grill: 40, bath: 2 }, restS: 40, turns: 2 } as const

/**
 * @param record carved
 * @param guestsLateS how much later the table was than it was to be
 * @throws Error where it is not carved
 */
export function* cuttingOpen(
  truth: Truth,
  record: Pick<CookRecord, 'events' | 'planned'>,
  beside: Beside,
  guestsLateS = 0
): Steps<CutOpen> {
  const { events, planned } = record
  const { laidAt, pulledAt, carvedAt, turns, readings } = progressOf(events)
  if (laidAt === null || carvedAt === null) throw new Error('It is not carved yet.')
  const pulledS = ((pulledAt ?? carvedAt) - laidAt) / 1000
  const carvedS = Math.max(pulledS, (carvedAt - laidAt) / 1000)
  const life = lived(truth, events, carvedAt, beside) as Lived
  yield
  const { kitchen, twist, unknowns } = truth
  const served = servedOf(truth, life, pulledS, carvedS)
  const { past } = life
  const panC = panMetAt(truth, events, beside)
  const restS = carvedS - pulledS
  const onward = onwardOf(events, carvedAt)
  const asItWas: Living = { atLeast: restS + 60, panC, onward, flare: twist.flare, fieldEvery: 8 }
  const again = (of: Truth, spent: readonly Spent[], living: Living, rest = restS): Served => {
    const pulled = secondsOf(spent)
    return servedOf(of, { run: truly(of.kitchen, spent, living), past: spent }, pulled, pulled + rest)
  }
  const prices: Priced[] = []

  const holdC = truth.pan?.holdC ?? null
  if (panC !== null && holdC !== null && Math.abs(panC - holdC) > WORTH.panK) {
    prices.push({ what: 'pan', by: tenth(panC - holdC), instead: again(truth, past, { ...asItWas, panC: holdC }) })
    yield
  }
  const { fire } = truth
  const shortK = fire ? shortWhenMet(past, fire, fireLitBefore(events, laidAt, beside)) : null
  if (fire && shortK !== null && shortK > WORTH.fireK[fire.of]) {
    prices.push({ what: 'fire', of: fire.of, by: -tenth(shortK), instead: again(truth, spentUntil(events, carvedAt), asItWas) })
    yield
  }
  const faced = past.filter(s => s.stage !== 'out')
  const seared = faced.find(s => faced.some(o => o.stage === s.stage && o.down !== s.down))?.stage ?? faced[0].stage
  const fewer = planned.turnsS.length - turns
  if (seared !== 'out' && fewer >= WORTH.turns && kitchen.setup.piece.form !== 'roast') {
    prices.push({ what: 'turns', by: fewer, instead: again(truth, turnedInstead(past, seared, planned.turnsS.length), asItWas) })
    yield
  }
  if (twist.flare) {
    prices.push({ what: 'flames', by: 0, instead: again(truth, past, { ...asItWas, flare: undefined }) })
    yield
  }
  const right = yield* rightPull(truth, past, asItWas, { peakC: served.peakC, restS, plannedS: planned.pullS })
  if (Math.abs(right - secondsOf(past)) > WORTH.pullS) {
    prices.push({ what: 'pull', by: Math.round(secondsOf(past) - right), instead: again(truth, drawnOut(past, right), asItWas) })
    yield
  }
  const plannedRest = planned.carveS - planned.pullS
  // Gone on from its rest it has had what it was to have.
  if (!onward && plannedRest - restS > WORTH.restS) {
    prices.push({
      what: 'rest',
      by: Math.round(plannedRest - restS),
      instead: again(truth, past, { ...asItWas, atLeast: plannedRest + 60 }, plannedRest)
    })
    yield
  }
  const wanted = { peakC: planned.peakC, loss: planned.loss, greyMm: greyOf(planned.section) }
  const probed = readings
    .filter(r => r.probe === undefined)
    .map(({ time, coreC }) => {
      const { offMm, trueC } = probedAt(truth, life, time)
      return { time: Math.round(time), offMm: tenth(offMm), shownC: coreC, trueC: tenth(trueC) }
    })
  const { time, core } = life.run.history
  const every = Math.max(1, Math.ceil(time.length / 160))
  const kept = time.flatMap((t, i) => (t <= carvedS && i % every === 0 ? [i] : []))
  return {
    targetC: kitchen.target,
    served,
    wanted,
    sections: { served: sectionAt(life.run, carvedS), wanted: planned.section, atOnce: sectionAt(life.run, pulledS) },
    frames: Array.from({ length: FRAMES + 1 }, (_, i) => {
      const at = (carvedS * i) / FRAMES
      return { timeS: tenth(at), coreC: tenth(valueAt(time, core, at)), hottestC: sectionAt(life.run, at).hottestC }
    }),
    curve: { timeS: kept.map(i => tenth(time[i])), coreC: kept.map(i => tenth(core[i])) },
    pulledS: tenth(pulledS),
    carvedS: tenth(carvedS),
    hidden: {
      thicknessMm: tenth(kitchen.setup.piece.thicknessMm),
      startC: tenth(kitchen.setup.piece.startC),
      contact: hundredth(Math.exp(unknowns.contact)),
      air: hundredth(Math.exp(unknowns.air)),
      heatK: tenth(unknowns.heat),
      meat: hundredth(Math.exp(unknowns.model)),
      ring: twist.ring ?? 1,
      surface: twist.surface ?? null
    },
    probed,
    prices,
    score: scoreOf({
      targetC: kitchen.target,
      served,
      wanted,
      lateS: carvedS - planned.carveS - guestsLateS
    })
  }
}
const hundredth = (x: number): number => Math.round(100 * x) / 100

/** Of a kept section: how deep it has passed 65 °C, from the face that has more of it, or from outside. */
function greyOf({ edgesMm, hottestC, round }: Section): number {
  const depth = (cells: readonly number[]): number => {
    const inner = cells.findIndex(i => hottestC[i] < GREY_FROM)
    return cells.slice(0, inner < 0 ? undefined : inner).reduce((sum, i) => sum + edgesMm[i + 1] - edgesMm[i], 0)
  }
  const cells = hottestC.map((_, i) => i)
  const back = [...cells].reverse()
  return tenth(round === true ? depth(back) : Math.max(depth(cells), depth(back)))
}
