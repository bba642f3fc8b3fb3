/**
 * The backward solve for a pan sear: how long on the heat so that the least cooked
 * point peaks at the target in the rest; then the whole run for that time, read off
 * as a plan. Works from the raw piece and from any point of a cook under way.
 */
import { readSection, type SectionReading } from '#core/doneness/section'
import { COARSE_RESOLUTION } from '#core/heat/grid'
import type { Field, History } from '#core/heat/history'
import { valueAt } from '#core/heat/history'
import { boilingPoint } from '#core/heat/vapour'
import { COARSE_STEPS, KEEP_ENDS, run, type Recording, type Run, type Subject } from '#core/heat/program'
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
  const found = search.find()
  return readPlan(setup, target, found)
}

/** The same reading of a piece that is already off the heat: nothing left to solve, only the rest to follow. */
export function followRest(setup: PanSetup, target: number, past: readonly Spell[]): PanPlan {
  return readPlan(setup, target, new PullSearch(setup, target, past).tried(0))
}

/** One time on the heat, tried at the default resolution. */
interface Trial {
  readonly remaining: number
  readonly spells: readonly Spell[]
  readonly run: Run
  /** K that the peak lies above the target. */
  readonly over: number
  /** Rise of the peak for each second longer on the heat, K/s; 0 where nothing is left to choose. */
  readonly peakRate: number
  readonly overshoot: boolean
}

/** The search for the time still to be spent on the heat. */
class PullSearch {
  private readonly fine: Subject
  private readonly coarse: Subject
  /** Held once the neighbourhood is known, so that the peak is smooth in the time. */
  private count: number | null = null

  constructor(
    private readonly setup: PanSetup,
    private readonly target: number,
    private readonly past: readonly Spell[]
  ) {
    this.fine = panSubject(setup)
    this.coarse = panSubject(setup, COARSE_RESOLUTION)
  }

  private spells(remaining: number): Spell[] {
    const count = this.count ?? spellsToCome(this.past, this.setup.settings.turning, remaining)
    return panSpells(this.past, remaining, count)
  }

  tried(remaining: number, peakRate = 0, overshoot = false): Trial {
    const spells = this.spells(remaining)
    const { rest } = this.setup.settings
    const cooking = spells.reduce((sum, s) => sum + s.seconds, 0)
    const atLeast = AFTERWARDS + (rest.kind === 'to the peak' ? 0 : restSeconds(rest, cooking, 0))
    const outcome = run(this.fine, panStages(this.setup, spells, LONGEST_REST), { ...KEEP_PLAN, atLeast })
    return { remaining, spells, run: outcome, over: outcome.peak.core - this.target, peakRate, overshoot }
  }

  /**
   * A coarse grid and coarse steps find the neighbourhood and how fast the peak rises
   * there; the default ones correct it.
   */
  find(): Trial {
    const low = this.past.length > 0 ? 0 : SHORTEST_ON_HEAT
    const coarse = (x: number): number =>
      run(this.coarse, panStages(this.setup, this.spells(x), LONGEST_REST), SEARCHING, COARSE_STEPS).peak.core - this.target
    const atLow = coarse(low)
    if (atLow >= 0) return this.already(low, atLow)
    const near = risingRoot(coarse, this.bracket(coarse, low, atLow), 0.5, 1)
    this.count = spellsToCome(this.past, this.setup.settings.turning, near)
    const atNear = coarse(near)
    const further = near * 1.03 + 1
    return this.correct(near, low, (coarse(further) - atNear) / (further - near))
  }

  /** Secant from a near answer and a slope; each new pair of trials mends the slope. */
  private correct(near: number, low: number, slope: number): Trial {
    let trial = this.tried(near, slope)
    for (let i = 0; i < 8 && Math.abs(trial.over) > CLOSE_KELVIN; i++) {
      const remaining = Math.max(low, trial.remaining - trial.over / trial.peakRate)
      const next = this.tried(remaining, trial.peakRate)
      const step = next.remaining - trial.remaining
      const mended = Math.abs(step) > NARROW_SECONDS ? (next.over - trial.over) / step : trial.peakRate
      trial = { ...next, peakRate: mended > 0 ? mended : trial.peakRate }
      if (Math.abs(step) < NARROW_SECONDS) break
    }
    return trial
  }

  /** Widens upward until the target lies between, for as long as a pan is any use. */
  private bracket(f: (x: number) => number, low: number, atLow: number): Bracket {
    const guess = Math.max(low + 30, this.firstGuess())
    let bracket = { low, atLow, high: guess, atHigh: f(guess) }
    while (bracket.atHigh < 0) {
      if (bracket.high >= LONGEST_ON_HEAT) {
        const reached = bracket.atHigh + this.target
        throw new InfeasibleError(
          `Even ${Math.round(bracket.high / 60)} min in the pan would bring the centre only to ${Math.round(reached)} °C.`,
          reached,
          bracket.high
        )
      }
      const next = Math.min(bracket.high * 1.6, LONGEST_ON_HEAT)
      bracket = { low: bracket.high, atLow: bracket.atHigh, high: next, atHigh: f(next) }
    }
    return bracket
  }

  private already(low: number, atLow: number): Trial {
    const peaks = Math.round(atLow + this.target)
    if (this.past.length === 0) {
      throw new InfeasibleError(
        `Even ${low} s in the pan would take the centre to ${peaks} °C: the piece is too thin, or already too warm, for ${Math.round(this.target)} °C.`,
        atLow + this.target,
        low
      )
    }
    return this.tried(low, 0, true)
  }

  /** Heating time goes with thickness squared: about 0.45 s for each mm², from trials of this engine. */
  private firstGuess(): number {
    const already = this.past.reduce((sum, s) => sum + s.seconds, 0)
    return Math.max(60, 0.45 * this.setup.piece.thicknessMm ** 2 - already)
  }
}

function readPlan(setup: PanSetup, target: number, trial: Trial): PanPlan {
  const { spells } = trial
  const { history, fields, peak, body } = trial.run
  const pullTime = spells.reduce((sum, s) => sum + s.seconds, 0)
  const toPeak = Math.max(0, peak.time - pullTime)
  const edgesMm = Array.from(body.grid.edge, e => e * 1000)
  const at = (time: number): Moment => ({ time, core: valueAt(history.time, history.core, time) })
  const carve = at(pullTime + restSeconds(setup.settings.rest, pullTime, toPeak))
  const atCarving = fields.reduce((found, f) => (Math.abs(f.time - carve.time) < Math.abs(found.time - carve.time) ? f : found), fields[0])
  return {
    target,
    spells,
    turns: turnTimes(spells),
    turnEvery: spells[spells.length - 1].seconds,
    pull: at(pullTime),
    peak,
    carve,
    peakRate: trial.peakRate,
    loss: valueAt(history.time, history.evaporated, carve.time) + valueAt(history.time, history.dripped, carve.time),
    coldestPan: Math.min(...history.plate.filter((p, i): p is number => p !== null && history.time[i] <= pullTime)),
    section: readSection(atCarving, edgesMm, target, boilingPoint(setup.room.altitudeM)),
    history,
    fields,
    edgesMm,
    overshoot: trial.overshoot
  }
}

/** Enough for curves and scrubbing, little enough to post and store. */
const KEEP_PLAN: Recording = { every: 4, fieldEvery: 12, untilPastPeakBy: PAST_PEAK }

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
