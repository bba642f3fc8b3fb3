/**
 * A program of stages run on a piece: each stage has a length or an end condition
 * and what either face is turned to. Knows no cooking, only faces and time.
 */
import { Body, type BodyStart } from './body'
import { ProbeTip } from './probeTip'
import { CONSTANTS, type Constants } from './constants'
import { lumpOf, type Faces } from './faces'
import type { Grid } from './grid'
import type { Field, History } from './history'
import { LumpState, type Burner, type Lump, type LumpChange } from './lump'
import type { Material } from './properties'
import { DEFAULT_STEPS, nextStep, stepControl, type StepLengths } from './stepControl'
import type { Cover, Surface } from './surface'

export type StageEnd = { readonly after: number } | { readonly coreReaches: number; readonly atMost: number }

export interface Stage {
  readonly name: string
  readonly end: StageEnd
  readonly faces: Faces
  /** Fire under each of the subject's lumps during this stage; null when it is off. */
  readonly burners?: readonly (Burner | null)[]
  /** What is done to the lumps as the stage begins. */
  readonly changes?: readonly LumpChange[]
  /** What else takes heat from the lumps, in times what the subject takes. */
  readonly beside?: number
}

export interface Subject {
  readonly grid: Grid
  /** 0 is the meat, the others its coats. */
  readonly materials: readonly Material[]
  readonly start: BodyStart
  /** What lies along a part of the side. */
  readonly sideCover?: Cover | null
  /** Pans and pots. */
  readonly lumps?: readonly Lump[]
  /** How much lies on them of what the grid describes: m² of slab, m of cylinder, or pieces. */
  readonly amount?: number
  readonly constants?: Constants
}

export interface Recording {
  /** s between two entries of the history; Infinity keeps only the ends of stages. */
  readonly every: number
  /** s between two fields; Infinity keeps only the ends of stages, null none. */
  readonly fieldEvery: number | null
  /** Stops the last stage once all of the central span has fallen this far below the peak, K. Infinity runs to the end. */
  readonly untilPastPeakBy: number
  /** But not before the last stage has run this long, s. */
  readonly atLeast?: number
  /** Stops the whole run when the core first reads this, °C. */
  readonly untilCore?: number
}

export interface Run {
  readonly history: History
  readonly fields: readonly Field[]
  /** When each stage ended, s. A stage not reached has none. */
  readonly stageEnds: readonly number[]
  /** The hottest the least cooked point has been by the end, and when it was. */
  readonly peak: { readonly time: number; readonly core: number }
  /** Share of the raw mass lost by the end. */
  readonly loss: number
  /** Time steps taken, and how many grid lines had to take one in two because it did not settle. */
  readonly steps: number
  readonly halvings: number
  /** The body as it is at the end, for balances. */
  readonly body: Body
}

export const KEEP_ALL: Recording = { every: 2, fieldEvery: 15, untilPastPeakBy: Infinity }
export const KEEP_ENDS: Recording = { every: Infinity, fieldEvery: null, untilPastPeakBy: Infinity }

export function run(subject: Subject, stages: readonly Stage[], recording: Recording = KEEP_ALL, steps: StepLengths = DEFAULT_STEPS): Run {
  const body = new Body(
    subject.grid,
    subject.materials,
    subject.constants ?? CONSTANTS,
    subject.start,
    subject.sideCover ?? null,
    steps.rim
  )
  const lumps = (subject.lumps ?? []).map(l => new LumpState(l))
  const recorder = new Recorder(body, lumps, recording)
  const stageEnds: number[] = []
  let time = 0
  let count = 0
  let peak = { time: 0, core: subject.start.temperature }

  const control = stepControl(subject.grid, steps)
  const enough = recording.untilCore ?? Infinity
  for (const [index, stage] of stages.entries()) {
    if (body.centre.core >= enough) break
    for (const change of stage.changes ?? []) lumps[change.lump].change(change)
    recorder.turn(stage.faces)
    recorder.take(time, true)
    body.forgetRates()
    const last = index === stages.length - 1
    const stop = time + ('after' in stage.end ? stage.end.after : stage.end.atMost)
    const earliest = time + (recording.atLeast ?? 0)
    const began = time
    const amount = (subject.amount ?? 1) * (1 + (stage.beside ?? 0))
    let dt = control.first
    let done = stop - time < SCRAP
    while (!done) {
      const before = body.centre.core
      const left = stop - time
      // Two equal steps rather than a long one and a scrap.
      const step = dt >= left ? left : dt > 0.6 * left ? left / 2 : dt
      body.step(step, stage.faces, lumps, stage.burners ?? NO_BURNERS, amount)
      count += 1
      time = stop - time - step < SCRAP ? stop : time + step
      recorder.follow(step)
      const core = body.centre.core
      const doneness = body.centre.doneness
      if (doneness > peak.core) peak = { time, core: doneness }
      done = time >= stop || ('coreReaches' in stage.end && core >= stage.end.coreReaches)
      if (last && peak.core - body.centre.warmest > recording.untilPastPeakBy && time >= earliest) done = true
      if (core >= enough) done = true
      dt = nextStep(control, step, body.stepError, time - began)
      const goal = 'coreReaches' in stage.end ? stage.end.coreReaches : enough
      if (goal < Infinity && core > before) dt = Math.min(dt, Math.max(control.first, (step * (goal - core)) / (core - before)))
      if (!done) recorder.take(time, false)
    }
    recorder.take(time, true)
    stageEnds.push(time)
  }
  return {
    history: recorder.history,
    fields: recorder.fields,
    stageEnds,
    peak,
    loss: recorder.loss,
    steps: count,
    halvings: body.halvings,
    body
  }
}

/** s: less than this is rounding, not time. */
const SCRAP = 1e-6
const NO_BURNERS: readonly (Burner | null)[] = []
class Recorder {
  readonly history = {
    time: [] as number[],
    core: [] as number[],
    probe: [] as number[],
    first: [] as (number | null)[],
    second: [] as (number | null)[],
    side: [] as (number | null)[],
    mean: [] as number[],
    plate: [] as (number | null)[],
    evaporated: [] as number[],
    dripped: [] as number[]
  }
  readonly fields: Field[] = []
  private readonly mass: number
  private readonly tip: ProbeTip
  private touched: number | null = null
  private nextEntry = 0
  private nextField = 0

  constructor(
    private readonly body: Body,
    private readonly lumps: readonly LumpState[],
    private readonly recording: Recording
  ) {
    this.mass = body.mass
    this.tip = new ProbeTip(body.centre.atTip)
  }

  /** The tip of a probe that is in it all the while. Where only ends are kept it has nothing to be behind. */
  follow(step: number): void {
    if (this.recording.every < Infinity) this.tip.follow(this.body.centre.atTip, step)
  }

  /** The lump whose temperature is worth keeping: the one that a face touches, or else the first. */
  turn(faces: Faces): void {
    this.touched = lumpOf(faces.first) ?? lumpOf(faces.second) ?? lumpOf(faces.side) ?? (this.lumps.length > 0 ? 0 : null)
  }

  get loss(): number {
    return (this.body.ledger.evaporated + this.body.ledger.dripped) / this.mass
  }

  take(time: number, always: boolean): void {
    const { body, history } = this
    if (always || time >= this.nextEntry) {
      this.nextEntry = time + this.recording.every
      if (history.time[history.time.length - 1] !== time) {
        history.time.push(time)
        history.core.push(body.centre.core)
        history.probe.push(this.recording.every < Infinity ? this.tip.shows : body.centre.atTip)
        history.first.push(middleOf(body.first, 0))
        history.second.push(middleOf(body.second, 0))
        history.side.push(middleOf(body.side, body.grid.mirrored ? body.side.length - 1 : body.side.length >> 1))
        history.mean.push(body.mean)
        history.plate.push(this.touched === null ? null : this.lumps[this.touched].temperature)
        history.evaporated.push(body.ledger.evaporated / this.mass)
        history.dripped.push(body.ledger.dripped / this.mass)
      }
    }
    const { fieldEvery } = this.recording
    if (fieldEvery !== null && (always || time >= this.nextField)) {
      this.nextField = time + fieldEvery
      const { grid, materials } = body
      if (this.fields[this.fields.length - 1]?.time !== time) {
        this.fields.push({
          time,
          temperature: listed(body.temperature),
          hottest: listed(body.hottest),
          ...(body.rim ? { rimOver: body.rim.hottestOver } : {}),
          wetness: listed(body.water).map((w, i) => share(w, materials[grid.material[i]].rawWater))
        })
      }
    }
  }
}

const middleOf = (surfaces: readonly Surface[], at: number): number | null => (surfaces.length > 0 ? surfaces[at].temperature : null)
/** A plain array of it, by hand: an iterator costs ten times as much, and there are some hundred of them in a plan. */
function listed(cells: Float64Array): number[] {
  const list = new Array<number>(cells.length)
  for (let i = 0; i < cells.length; i++) list[i] = cells[i]
  return list
}
const share = (water: number, raw: number): number => (raw > 0 ? water / raw : 1)
