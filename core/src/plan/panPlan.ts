/**
 * The backward solve for a pan sear: how long on the heat so that the least cooked
 * point peaks at the target in the rest; then the whole run for that time, read off
 * as a plan. Works from the raw piece and from any point of a cook under way.
 */
import { readSection, type SectionReading } from '#core/doneness/section'
import { COARSE_RESOLUTION } from '#core/heat/grid'
import type { Field, History } from '#core/heat/history'
import { valueAt } from '#core/heat/history'
import { COARSE_STEPS, DEFAULT_STEPS, KEEP_ENDS, run, type Recording, type Run, type StepLengths, type Subject } from '#core/heat/program'
import { panSpells, panStages, panSubject, restSeconds, spellsToCome, type PanSetup, type Spell } from '#core/method/panSear'
import { risingRoot, type Bracket } from './root'

export interface Moment {
  /** s since the piece first touched the pan. */
  readonly time: number
  readonly core: number
}

export interface PanPlan {
  readonly target: number
  readonly spells: readonly Spell[]
  /** When each turn falls, s. */
  readonly turns: readonly number[]
  /** How long each side still to come gets, s. */
  readonly turnEvery: number
  readonly pull: Moment
  readonly peak: Moment
  readonly carve: Moment
  /** Rise of the peak for each second longer on the heat, K/s. */
  readonly peakRate: number
  /** Share of the raw mass gone by carving. */
  readonly loss: number
  readonly coldestPan: number
  readonly section: SectionReading
  readonly history: History
  readonly fields: readonly Field[]
  /** Edges of the engine's cells, mm from the first face. */
  readonly edgesMm: readonly number[]
  /** Set where the target is already out of reach: the piece will peak above it whatever is done. */
  readonly overshoot: boolean
}

/** Nothing done in a pan gives the target; says what can be had instead. */
export class InfeasibleError extends Error {
  override readonly name = 'InfeasibleError'
  constructor(
    message: string,
    readonly nearestC: number,
    readonly atSeconds: number
  ) {
    super(message)
  }
}

const SHORTEST_ON_HEAT = 20
const LONGEST_ON_HEAT = 75 * 60
const LONGEST_REST = 40 * 60
const PAST_PEAK = 0.5
const CLOSE_KELVIN = 0.03
const NARROW_SECONDS = 0.25
const SEARCHING: Recording = { ...KEEP_ENDS, untilPastPeakBy: PAST_PEAK }

/** Kept running after the carving, so that the curves show where things go. */
const AFTERWARDS = 120

/**
 * @param past what has happened on the heat so far, as it happened; none for a piece not yet in the pan
 * @throws InfeasibleError
 */
export function planPanSear(setup: PanSetup, target: number, past: readonly Spell[] = []): PanPlan {
  const search = new PullSearch(setup, target, past)
  return readPlan(setup, target, search, search.remaining())
}

/** The same reading of a piece that is already off the heat: nothing left to solve, only the rest to follow. */
export function followRest(setup: PanSetup, target: number, past: readonly Spell[]): PanPlan {
  return readPlan(setup, target, new PullSearch(setup, target, past), 0)
}

/** The search for the time still to be spent on the heat. */
class PullSearch {
  private readonly fine: Subject
  private readonly coarse: Subject
  /** Held once the neighbourhood is known, so that the peak is smooth in the time. */
  private count: number | null = null
  overshoot = false
  peakRate = 0

  constructor(
    private readonly setup: PanSetup,
    private readonly target: number,
    private readonly past: readonly Spell[]
  ) {
    this.fine = panSubject(setup)
    this.coarse = panSubject(setup, COARSE_RESOLUTION)
  }

  spells(remaining: number): Spell[] {
    const count = this.count ?? spellsToCome(this.past, this.setup.settings.turning, remaining)
    return panSpells(this.past, remaining, count)
  }

  run(remaining: number, rest: number, recording: Recording): Run {
    return run(this.fine, panStages(this.setup, this.spells(remaining), rest), recording)
  }

  private over(subject: Subject, remaining: number, steps: StepLengths): number {
    return run(subject, panStages(this.setup, this.spells(remaining), LONGEST_REST), SEARCHING, steps).peak.core - this.target
  }

  /** A coarse grid and coarse steps find the neighbourhood, the default ones the answer. */
  remaining(): number {
    const low = this.past.length > 0 ? 0 : SHORTEST_ON_HEAT
    const coarse = (x: number): number => this.over(this.coarse, x, COARSE_STEPS)
    const fine = (x: number): number => this.over(this.fine, x, DEFAULT_STEPS)
    const atLow = coarse(low)
    if (atLow >= 0) return this.already(low, atLow)
    const near = risingRoot(coarse, this.bracket(coarse, low, atLow, this.firstGuess(), 1.6), 0.4, 1)
    this.count = spellsToCome(this.past, this.setup.settings.turning, near)
    const close = this.bracket(fine, Math.max(low, near * 0.97 - 2), null, near * 1.03 + 2, 1.1)
    this.peakRate = (close.atHigh - close.atLow) / (close.high - close.low)
    return risingRoot(fine, close, CLOSE_KELVIN, NARROW_SECONDS)
  }

  /** Widens until the target lies between: upward for as long as a pan is any use, downward to the shortest there is. */
  private bracket(f: (x: number) => number, low: number, atLow: number | null, high: number, widen: number): Bracket {
    let bracket = { low, high, atLow: atLow ?? f(low), atHigh: f(high) }
    while (bracket.atHigh < 0) {
      if (bracket.high >= LONGEST_ON_HEAT) throw this.outOfReach(bracket.atHigh + this.target, bracket.high)
      const next = Math.min(bracket.high * widen + 5, LONGEST_ON_HEAT)
      bracket = { low: bracket.high, atLow: bracket.atHigh, high: next, atHigh: f(next) }
    }
    while (bracket.atLow > 0 && bracket.low > 0) {
      const next = Math.max(0, bracket.low / widen - 5)
      bracket = { high: bracket.low, atHigh: bracket.atLow, low: next, atLow: f(next) }
    }
    return bracket
  }

  private outOfReach(celsius: number, seconds: number): InfeasibleError {
    return new InfeasibleError(`Even ${Math.round(seconds / 60)} min in the pan would bring the centre only to ${Math.round(celsius)} °C.`, celsius, seconds)
  }

  private already(low: number, atLow: number): number {
    const peaks = Math.round(atLow + this.target)
    if (this.past.length === 0) {
      throw new InfeasibleError(`Even ${low} s in the pan would take the centre to ${peaks} °C: the piece is too thin, or already too warm, for ${Math.round(this.target)} °C.`, atLow + this.target, low)
    }
    this.overshoot = true
    return low
  }

  /** Heating time goes with thickness squared: about 0.45 s for each mm², from the pan's own range of trials. */
  private firstGuess(): number {
    const already = this.past.reduce((sum, s) => sum + s.seconds, 0)
    return Math.max(60, 0.45 * this.setup.piece.thicknessMm ** 2 - already)
  }
}

function readPlan(setup: PanSetup, target: number, search: PullSearch, remaining: number): PanPlan {
  const spells = search.spells(remaining)
  const pullTime = spells.reduce((sum, s) => sum + s.seconds, 0)
  const first = search.run(remaining, LONGEST_REST, SEARCHING)
  const toPeak = Math.max(0, first.peak.time - pullTime)
  const rest = restSeconds(setup.settings.rest, pullTime, toPeak)
  const shown = search.run(remaining, Math.max(rest, toPeak) + AFTERWARDS, KEEP_PLAN)
  const { history, fields } = shown
  const edgesMm = Array.from(shown.body.grid.edge, e => e * 1000)
  const at = (time: number): Moment => ({ time, core: valueAt(history.time, history.core, time) })
  const carve = at(pullTime + rest)
  const atCarving = fields.reduce((found, f) => (Math.abs(f.time - carve.time) < Math.abs(found.time - carve.time) ? f : found), fields[0])
  return {
    target,
    spells,
    turns: turnTimes(spells),
    turnEvery: spells[spells.length - 1].seconds,
    pull: at(pullTime),
    peak: { time: first.peak.time, core: first.peak.core },
    carve,
    peakRate: search.peakRate,
    loss: valueAt(history.time, history.evaporated, carve.time) + valueAt(history.time, history.dripped, carve.time),
    coldestPan: Math.min(...history.plate.filter((p, i): p is number => p !== null && history.time[i] <= pullTime)),
    section: readSection(atCarving, edgesMm, target, panSubject(setup).start.boiling),
    history,
    fields,
    edgesMm,
    overshoot: search.overshoot
  }
}

/** Enough for curves and scrubbing, little enough to post and store. */
const KEEP_PLAN: Recording = { every: 4, fieldEvery: 12, untilPastPeakBy: Infinity }

function turnTimes(spells: readonly Spell[]): number[] {
  const turns: number[] = []
  let time = 0
  let down: Spell['state'] | null = null
  for (const spell of spells) {
    if (spell.state !== 'lifted') {
      if (down !== null && spell.state !== down) turns.push(time)
      down = spell.state
    }
    time += spell.seconds
  }
  return turns
}
