/**
 * The backward solve for a pan sear: how long on the heat so that the least cooked
 * point peaks at the target in the rest; then the whole run for that time, read off
 * as a plan. Works from the raw piece and from any point of a cook under way.
 */
import { InfeasibleError, readPlan, type Plan } from './plan'
import {
  flatSpells,
  panProgram,
  panSear,
  panSpells,
  panStages,
  panSubject,
  spellsToCome,
  withEdge,
  type PanSetup,
  type Spell
} from '#core/method/panSear'
import { run, type Recording } from '#core/heat/program'
import { restSeconds } from '#core/method/method'
import { PAST_PEAK, solveFree, type Hint, type Solved } from './search'

export interface PanPlan extends Plan {
  readonly spells: readonly Spell[]
  /** When each turn falls, s. */
  readonly turns: readonly number[]
  /** When it is stood on its fat edge, s; null for never. */
  readonly edgeAt: number | null
  /** How long each side still to come gets, s. */
  readonly turnEvery: number
  readonly coldestPan: number
  /** Edges of the cells along the axis, mm from the first face. */
  readonly edgesMm: readonly number[]
  /** Set where the target is already out of reach: the piece will peak above it whatever is done. */
  readonly overshoot: boolean
}

/** K: nearer than this it is there, and nothing has gone wrong. */
const WORTH_SAYING = 0.5
const LONGEST_ON_HEAT = 75 * 60
const LONGEST_REST = 40 * 60
/** Kept running after the carving, so that the curves show where things go. */
const AFTERWARDS = 120

/**
 * @param past what has happened on the heat so far, as it happened; none for a piece not yet in the pan
 * @param hint from a plan much like this one, to find it sooner
 * @throws InfeasibleError
 */
export function planPanSear(setup: PanSetup, target: number, past: readonly Spell[] = [], hint?: Hint): PanPlan {
  const { turning } = setup.settings
  /** Held once the neighbourhood is known, so that the peak is smooth in the time. */
  let count: number | null = null
  const spells = (remaining: number): Spell[] =>
    withEdge(past, panSpells(past, remaining, count ?? spellsToCome(past, turning, remaining)), setup.settings.fatEdgeS ?? 0)
  const raw = past.length === 0
  const low = raw ? panSear.bounds(setup)[0] : 0
  const solved = solveFree({
    fine: panSubject(setup, 'fine'),
    coarse: panSubject(setup, 'coarse'),
    stages: remaining => panStages(setup, spells(remaining), restRun(setup)),
    goal: target,
    low,
    high: LONGEST_ON_HEAT,
    guess: Math.max(low + 30, panSear.guess(setup) - secondsIn(past)),
    recording: remaining => keeping(setup, spells(remaining)),
    hint,
    settle: near => {
      const before = count
      count = near === null ? null : spellsToCome(past, turning, near)
      return count !== before
    }
  })
  const nearestC = solved.run.peak.core
  if (solved.misses === 'too cool at the most')
    throw new InfeasibleError(
      `Even ${Math.round(solved.free / 60)} min in the pan would bring the centre only to ${Math.round(nearestC)} °C.`,
      nearestC,
      solved.free
    )
  const overshoot = solved.misses === 'too hot at the least' && (raw || nearestC > target + WORTH_SAYING)
  if (overshoot && raw)
    throw new InfeasibleError(
      `Even ${low} s in the pan would take the centre to ${Math.round(nearestC)} °C: the piece is too thin, or already too warm, for ${Math.round(target)} °C.`,
      nearestC,
      low
    )
  return panPlanOf(setup, target, spells(solved.free), solved, overshoot)
}

/** The same reading of a piece that is already off the heat: nothing left to solve, only the rest to follow. */
export function followRest(setup: PanSetup, target: number, past: readonly Spell[]): PanPlan {
  const outcome = run(panSubject(setup, 'fine'), panStages(setup, past, restRun(setup)), keeping(setup, past))
  return panPlanOf(setup, target, past, { free: 0, run: outcome, peakRate: 0, misses: 'none', hint: { free: 0, bias: 0, slope: 0 } }, false)
}

const restRun = ({ settings: { rest } }: PanSetup): number =>
  rest.kind === 'clock' ? Math.max(LONGEST_REST, rest.seconds + AFTERWARDS) : LONGEST_REST

const secondsIn = (spells: readonly Spell[]): number => spells.reduce((sum, s) => sum + s.seconds, 0)

/** Enough for curves and scrubbing, little enough to post and store. */
function keeping(setup: PanSetup, spells: readonly Spell[]): Recording {
  const { rest } = setup.settings
  const atLeast = AFTERWARDS + (rest.kind === 'to the peak' ? 0 : restSeconds(rest, secondsIn(spells), 0))
  return { every: 4, fieldEvery: 12, untilPastPeakBy: PAST_PEAK, atLeast }
}

function panPlanOf(setup: PanSetup, target: number, spells: readonly Spell[], solved: Solved, overshoot: boolean): PanPlan {
  const plan = readPlan({ ...panSear, program: () => panProgram(setup, spells) }, setup, target, solved)
  const { history } = plan
  return {
    ...plan,
    spells,
    edgesMm: plan.geometry.edgesMm,
    turns: turnTimes(spells),
    turnEvery: flatSpells(spells).at(-1)?.seconds ?? 0,
    edgeAt: edgeTime(spells),
    coldestPan: Math.min(...history.plate.filter((p, i): p is number => p !== null && history.time[i] <= plan.pull.time)),
    overshoot
  }
}

function turnTimes(spells: readonly Spell[]): number[] {
  const turns: number[] = []
  let time = 0
  let down: Spell['state'] | null = null
  for (const spell of spells) {
    if (spell.state !== 'lifted' && spell.state !== 'on edge') {
      if (down !== null && spell.state !== down) turns.push(time)
      down = spell.state
    }
    time += spell.seconds
  }
  return turns
}

function edgeTime(spells: readonly Spell[]): number | null {
  const index = spells.findIndex(s => s.state === 'on edge')
  return index < 0 ? null : secondsIn(spells.slice(0, index))
}
