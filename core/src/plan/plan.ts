/**
 * A plan: one method on one piece solved for the doneness wanted, and everything a cook
 * asks of it read off the same run. Seconds, °C, mm.
 */
import { acrossMiddle, axisColumn, geometryOf, readSection, type CutGeometry, type SectionReading } from '#core/doneness/section'
import { fieldAt, valueAt, type Field, type History } from '#core/heat/history'
import { KEEP_ENDS, run, type Recording, type Run } from '#core/heat/program'
import { COARSE_STEPS } from '#core/heat/stepControl'
import { boilingPoint } from '#core/heat/vapour'
import type { Method, Phase, Resting } from '#core/method/method'
import type { Setup } from '#core/method/setup'
import { AFTERWARDS, openSpells, rested, restSeconds, secondsOf, timelineOf, type Spell, type Timeline } from '#core/method/timeline'
import { bandEnd, bandOf, type Scale } from '#core/doneness/scale'
import { lethality, REFERENCES } from '#core/safety/lethality'
import { searedCrust } from './searedCrust'
import { PAST_PEAK, solveFree, type Solved, type WarmStart } from './search'
import { filletSideOf, type FilletSide } from './filletSide'

export interface Moment {
  /** s since the piece first met the heat. */
  readonly time: number
  readonly core: number
  /** What a well-placed probe shows then. */
  readonly probe: number
}

export interface PhaseSpan {
  readonly phase: Phase
  readonly name: string
  /** How many stages it is of: a piece is turned between two. */
  readonly spells: number
  readonly from: number
  readonly to: number
}

/** When the piece is laid, turned or moved: the beginning of a spell, s since it first met the heat. */
export interface Mark {
  readonly phase: Phase
  readonly name: string
  /** The stage of the program, by number. */
  readonly stage: number
  readonly from: number
}

/** Toward each reference, by the end of the carving: 1 is enough. */
export interface Lethal {
  readonly reference: string
  readonly core: number
  /** Least of the faces. */
  readonly surface: number
}

export interface Plan {
  readonly kind: string
  readonly target: number
  /** The free quantity, s. */
  readonly free: number
  readonly phases: readonly PhaseSpan[]
  /** Up to the pull. */
  readonly marks: readonly Mark[]
  /** After the rest, until it is carved: kept warm, chilled, back in the pan. */
  readonly afterRest: readonly Mark[]
  /** Off the last heat. */
  readonly pull: Moment
  readonly peak: Moment
  readonly carve: Moment
  /** Rise of the peak for each second longer, K/s. */
  readonly peakRate: number
  /** Share of the raw mass gone by carving. */
  readonly loss: number
  /** Of a steak with its bone in the middle; all else of it is said of its strip side. */
  readonly filletSide: FilletSide | null
  /** Busy at the heat, s. */
  readonly handsOn: number
  readonly section: SectionReading
  readonly lethal: readonly Lethal[]
  /** For the next plan like this one. */
  readonly warmStart: WarmStart
  readonly history: History
  /** Along the axis, from the first face. */
  readonly fields: readonly Field[]
  /** Half-way up from the axis outward, at the same moments; null for a flat piece. The hottest so far, °C. */
  readonly girth: readonly (readonly number[])[] | null
  readonly geometry: CutGeometry
}

/** The target cannot be had this way: what can, and why. */
export class InfeasibleError extends Error {
  override readonly name = 'InfeasibleError'
  constructor(
    message: string,
    readonly nearestC: number | null,
    readonly atSeconds: number | null
  ) {
    super(message)
  }
}

/** Each change of place takes about this long of a cook's time, s; estimate. */
const MOVING = 60

/**
 * @param byClock the free quantity as the cook gives it, s; solved for the target where it is null
 * @param warmStart of a plan much like this one
 * @throws InfeasibleError
 */
export function planMethod<S extends Resting>(
  method: Method<S>,
  setup: Setup<S>,
  target: number,
  byClock: number | null = null,
  warmStart?: WarmStart
): Plan {
  const reason = method.unsuited(setup, target)
  if (reason !== null && byClock === null) throw new InfeasibleError(reason, null, null)
  const [low, high] = method.bounds(setup)
  const open: Open = {
    timeline: (free, count) => timelineOf(method, setup, free, count),
    spells: free => openSpells(method, setup, free),
    bounds: [low, high],
    guess: method.guess(setup)
  }
  if (byClock !== null) return readPlan(method, setup, target, byTheClock(method, setup, open, byClock))
  const solved = solveOpen(method, setup, target, open, warmStart)
  if (solved.misses !== 'none' && !heldLong(solved, setup)) throw infeasible(method, setup, target, solved)
  return readPlan(method, setup, target, solved)
}

/** Kept in its water longer than the core needs, by the cook's own wish: it comes to what it comes to, and that is told. */
const heldLong = ({ misses }: Solved, { settings }: Setup<Resting & { readonly holdS?: number }>): boolean =>
  misses === 'too hot at the least' && (settings.holdS ?? 0) > 0

/** What is left free, and what is cooked for any value of it. */
export interface Open {
  /** @param count spells of the open stage, where that is held */
  readonly timeline: (free: number, count: number | null) => Timeline
  /** How many spells the open stage has to come for a free time; null where it is not turned. */
  readonly spells: (free: number) => number | null
  readonly bounds: readonly [low: number, high: number]
  readonly guess: number
}

/** An answer, and the timeline it is the answer of. */
export interface SolvedTimeline extends Solved {
  readonly timeline: Timeline
}

/** The solve alone, whether it meets the target or not. */
export function solveOpen<S extends Resting>(
  method: Method<S>,
  setup: Setup<S>,
  target: number,
  { timeline, spells, bounds: [low, high], guess }: Open,
  warmStart?: WarmStart
): SolvedTimeline {
  const solved = solveFree({
    fine: method.subject(setup, 'fine'),
    coarse: method.subject(setup, 'coarse'),
    stages: (free, count) => rested(timeline(free, count), setup),
    spells,
    goal: method.goal(setup, target),
    low,
    high,
    guess: Math.min(high, Math.max(low, guess)),
    recording: (free, count) => recordingFor(timeline(free, count), setup.settings),
    warmStart
  })
  return { ...solved, timeline: timeline(solved.free, solved.spells) }
}

/** Nothing solved: what comes of just so long. */
function byTheClock<S extends Resting>(method: Method<S>, setup: Setup<S>, { timeline, spells }: Open, free: number): SolvedTimeline {
  const followed = follow(method, setup, timeline(free, null), free)
  const count = spells(free)
  const coarse = (seconds: number): number =>
    run(
      method.subject(setup, 'coarse'),
      rested(timeline(seconds, count), setup),
      { ...KEEP_ENDS, untilPastPeakBy: PAST_PEAK },
      COARSE_STEPS
    ).peak.core
  const more = Math.max(20, 0.05 * free)
  const coarseC = coarse(free)
  return { ...followed, peakRate: (coarse(free + more) - coarseC) / more, warmStart: { ...followed.warmStart, coarseC } }
}

/** What comes of a timeline with nothing left to solve. */
export function follow<S extends Resting>(method: Method<S>, setup: Setup<S>, timeline: Timeline, free: number): SolvedTimeline {
  const outcome = run(method.subject(setup, 'fine'), rested(timeline, setup), recordingFor(timeline, setup.settings))
  return { free, spells: null, run: outcome, peakRate: 0, misses: 'none', warmStart: { free, bias: 0, slope: 0, coarseC: null }, timeline }
}

/** Some three hundred entries whatever the length: enough for curves, little enough to post and store. */
function recordingFor({ heating }: Timeline, { rest }: Resting): Recording {
  const cooking = secondsOf(heating)
  const atLeast = AFTERWARDS + (rest.kind === 'to the peak' ? 0 : restSeconds(rest, cooking, 0))
  const every = Math.max(4, cooking / 250)
  return { every, fieldEvery: 3 * every, untilPastPeakBy: PAST_PEAK, atLeast }
}

function infeasible<S extends Resting>(method: Method<S>, setup: Setup<S>, target: number, { run: outcome, free, misses }: Solved): Error {
  const reached = Math.round(outcome.peak.core)
  const wanted = Math.round(target)
  const minutes = Math.round(free / 60)
  return new InfeasibleError(
    misses === 'too hot at the least'
      ? `With the ${method.free} as short as it goes the centre still comes to ${reached} °C, past ${wanted}: the rest of the program alone does that to a piece of ${Math.round(setup.piece.thicknessMm)} mm.`
      : `Even with ${minutes} min as the ${method.free} the centre comes only to ${reached} °C, not to ${wanted}.`,
    outcome.peak.core,
    free
  )
}

const withSear = (section: SectionReading, crustMm: number): SectionReading =>
  section.side && crustMm > section.side.crustMm ? { ...section, side: { ...section.side, crustMm } } : section

/** Everything a plan says, from the run at its answer. */
export function readPlan<S extends Resting>(method: Method<S>, setup: Setup<S>, target: number, solved: SolvedTimeline): Plan {
  const { timeline } = solved
  const pullTime = secondsOf(timeline.heating)
  const toPeak = Math.max(0, solved.run.peak.time - pullTime)
  const rest = restSeconds(setup.settings.rest, pullTime, toPeak)
  const outcome = timeline.rewarm.length > 0 ? rewarmed(method, setup, timeline, rest) : solved.run
  const { history, fields, peak } = outcome
  const at = (time: number): Moment => ({
    time,
    core: valueAt(history.time, history.core, time),
    probe: valueAt(history.time, history.probe, time)
  })
  const carve = at(pullTime + rest + secondsOf(timeline.rewarm))
  const geometry = geometryOf(outcome.body.grid)
  // What was crust when it came off the heat is crust, even if it takes up a little juice in the rest.
  const carved = fieldAt(fields, carve.time)
  const { wetness } = fieldAt(fields, pullTime)
  const atCarving = { ...carved, wetness: carved.wetness.map((w, i) => Math.min(w, wetness[i])) }
  const spells = [...timeline.heating, timeline.rest(rest), ...timeline.rewarm]
  return {
    kind: method.kind,
    target,
    free: solved.free,
    phases: spans(spells),
    marks: marksOf(timeline.heating),
    afterRest: marksOf(timeline.rewarm).map(m => ({ ...m, from: m.from + pullTime + rest })),
    pull: at(pullTime),
    peak: { ...peak, probe: Math.max(peak.core, at(peak.time).probe) },
    carve,
    peakRate: solved.peakRate,
    loss: valueAt(history.time, history.evaporated, carve.time) + valueAt(history.time, history.dripped, carve.time),
    filletSide: filletSideOf(method, setup, timeline),
    handsOn: secondsOf(spells.filter(s => s.busy)) + MOVING * spells.filter(s => !s.busy).length,
    section: withSear(readSection(atCarving, geometry, target, boilingPoint(setup.room.altitudeM)), searedCrust(setup as Setup<object>)),
    lethal: lethalOf(history, carve.time),
    warmStart: solved.warmStart,
    history,
    fields: fields.map(f => axisColumn(f, geometry)),
    girth: girthOf(fields, geometry),
    geometry
  }
}

function rewarmed<S extends Resting>(method: Method<S>, setup: Setup<S>, { heating, rest: resting, rewarm }: Timeline, rest: number): Run {
  const spells = [...heating, resting(rest), ...rewarm, resting(AFTERWARDS)]
  const every = Math.max(4, secondsOf(heating) / 250)
  return run(method.subject(setup, 'fine'), spells, { ...KEEP_ENDS, every, fieldEvery: 3 * every })
}

/** When the spells of a timeline begin; a while out of the heat is none, and what follows it goes on with the one before. */
export function marksOf(heating: readonly Spell[]): Mark[] {
  const marks: Mark[] = []
  let from = 0
  let last: Spell | null = null
  for (const spell of heating) {
    if (spell.stage !== 'out') {
      if (last === null || last.stage !== spell.stage || last.down !== spell.down)
        marks.push({ phase: spell.phase, name: spell.name, stage: spell.stage, from })
      last = spell
    }
    from += spell.seconds
  }
  return marks
}

function girthOf(fields: readonly Field[], geometry: CutGeometry): readonly (readonly number[])[] | null {
  const across = fields.map(f => acrossMiddle(f, geometry))
  return across.some(a => a === null) ? null : across.map(a => a ?? [])
}

/** How late the pull may be before the peak leaves its band of doneness, s; null where no lateness does that. */
export function mayBeLate({ peak, peakRate }: Pick<Plan, 'peak' | 'peakRate'>, scale: Scale): number | null {
  const end = bandEnd(scale, bandOf(scale, peak.core))
  return end === Infinity || peakRate <= 0 ? null : Math.max(0, (end - peak.core) / peakRate)
}

/** The pan or pot, but only while the piece is in it. */
export function plateInUse({ history, phases }: Pick<Plan, 'history' | 'phases'>): (number | null)[] {
  const used = phases.filter(p => IN_A_LUMP.has(p.phase))
  return history.time.map((t, i) => (used.some(p => t >= p.from && t <= p.to) ? history.plate[i] : null))
}
/** What the pan or pot read during one phase, °C. */
export const metalIn = ({ history }: Pick<Plan, 'history'>, { from, to }: PhaseSpan): number[] =>
  history.time.flatMap((t, i) => {
    const read = history.plate[i]
    return t > from && t <= to && read !== null ? [read] : []
  })

/** The coldest the pan gets under the meat, °C; null where there is none. */
export function coldestMetal(plan: Pick<Plan, 'history' | 'phases'>): number | null {
  const read = plan.phases.filter(p => p.phase === 'sear' || p.phase === 'fat edge').flatMap(p => metalIn(plan, p))
  return read.length === 0 ? null : Math.min(...read)
}
const IN_A_LUMP: ReadonlySet<Phase> = new Set<Phase>(['sear', 'fat edge', 'rewarm', 'pot'])

/** Spells that follow one another in one phase count as one span. */
function spans(spells: readonly Spell[]): PhaseSpan[] {
  const found: PhaseSpan[] = []
  let time = 0
  for (const [i, { phase, name, seconds, stage, down }] of spells.entries()) {
    const from = time
    time += seconds
    const last = found[found.length - 1]
    // In one stage with one face down it lies where it lay, whatever the oven was turned to.
    const turned = i > 0 && spells[i - 1].stage === stage && spells[i - 1].down === down ? 0 : 1
    if (last?.phase === phase) found[found.length - 1] = { ...last, spells: last.spells + turned, to: time }
    else if (time > from) found.push({ phase, name, spells: 1, from, to: time })
  }
  return found
}

function lethalOf(history: History, until: number): Lethal[] {
  const end = history.time.findIndex(t => t > until)
  const count = end < 0 ? history.time.length : end
  const time = history.time.slice(0, count)
  const faces = [history.first, history.second, history.side]
    .map(series => series.slice(0, count))
    .filter((series): series is number[] => series.every(T => T !== null))
  return REFERENCES.map(reference => ({
    reference: reference.id,
    core: lethality(reference, time, history.core.slice(0, count)),
    surface: Math.min(...faces.map(face => lethality(reference, time, face)))
  }))
}
