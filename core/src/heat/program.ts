/**
 * A program of stages run on a piece: each stage has a length or an end condition
 * and what either face is turned to. Knows no cooking, only faces and time.
 */
import { Body, type BodyStart } from './body'
import { CONSTANTS, type Constants } from './constants'
import type { Faces } from './faces'
import type { Grid } from './grid'
import type { Field, History } from './history'
import { PlateState, type Burner, type Plate } from './plate'
import type { Material } from './properties'

export type StageEnd = { readonly after: number } | { readonly coreReaches: number; readonly atMost: number }

export interface Stage {
  readonly name: string
  readonly end: StageEnd
  readonly faces: Faces
  /** Fire under the plate during this stage; null when it is off or there is none. */
  readonly burner: Burner | null
}

export interface Subject {
  readonly grid: Grid
  readonly material: Material
  readonly start: BodyStart
  readonly plate: Plate | null
  readonly constants?: Constants
}

export interface Recording {
  /** s between two entries of the history; Infinity keeps only the ends of stages. */
  readonly every: number
  /** s between two fields; Infinity keeps only the ends of stages. */
  readonly fieldEvery: number
  /** Stops the last stage once the core has fallen this far below its peak, K. Infinity runs to the end. */
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
  /** Time steps taken. */
  readonly steps: number
  /** The body as it is at the end, for balances. */
  readonly body: Body
}

export const KEEP_ALL: Recording = { every: 2, fieldEvery: 15, untilPastPeakBy: Infinity }
export const KEEP_ENDS: Recording = { every: Infinity, fieldEvery: Infinity, untilPastPeakBy: Infinity }

/**
 * Steps start short after each change at the faces, then take whatever length
 * changes the fastest cell below boiling by about `kelvin`.
 */
export interface StepLengths {
  readonly first: number
  readonly longest: number
  readonly kelvin: number
}
export const DEFAULT_STEPS: StepLengths = { first: 0.1, longest: 8, kelvin: 0.8 }
export const COARSE_STEPS: StepLengths = { first: 0.2, longest: 10, kelvin: 3 }
const GROWTH = 1.5

export function run(subject: Subject, stages: readonly Stage[], recording: Recording = KEEP_ALL, steps: StepLengths = DEFAULT_STEPS): Run {
  const body = new Body(subject.grid, subject.material, subject.constants ?? CONSTANTS, subject.start)
  const plate = subject.plate ? new PlateState(subject.plate) : null
  const recorder = new Recorder(body, plate, recording)
  const stageEnds: number[] = []
  let time = 0
  let count = 0
  let peak = { time: 0, core: subject.start.temperature }
  recorder.take(time, true)

  const enough = recording.untilCore ?? Infinity
  for (const [index, stage] of stages.entries()) {
    if (body.heart.core >= enough) break
    const last = index === stages.length - 1
    const stop = time + ('after' in stage.end ? stage.end.after : stage.end.atMost)
    const earliest = time + (recording.atLeast ?? 0)
    let dt = steps.first
    let done = stop <= time
    while (!done) {
      const before = body.heart.core
      const step = Math.min(dt, stop - time)
      body.step(step, stage.faces, plate, stage.burner)
      count += 1
      time = stop - time - step < 1e-9 ? stop : time + step
      const core = body.heart.core
      const doneness = body.heart.doneness
      if (doneness > peak.core) peak = { time, core: doneness }
      done = time >= stop || ('coreReaches' in stage.end && core >= stage.end.coreReaches)
      if (last && peak.core - core > recording.untilPastPeakBy && time >= earliest) done = true
      if (core >= enough) done = true
      dt = Math.min(step * Math.min(GROWTH, steps.kelvin / body.lastChange), steps.longest)
      if ('coreReaches' in stage.end && core > before)
        dt = Math.min(dt, Math.max(steps.first, (step * (stage.end.coreReaches - core)) / (core - before)))
      if (!done) recorder.take(time, false)
    }
    recorder.take(time, true)
    stageEnds.push(time)
  }
  return { history: recorder.history, fields: recorder.fields, stageEnds, peak, loss: recorder.loss, steps: count, body }
}

class Recorder {
  readonly history = {
    time: [] as number[],
    core: [] as number[],
    first: [] as number[],
    second: [] as number[],
    mean: [] as number[],
    plate: [] as (number | null)[],
    evaporated: [] as number[],
    dripped: [] as number[]
  }
  readonly fields: Field[] = []
  private readonly mass: number
  private nextEntry = 0
  private nextField = 0

  constructor(
    private readonly body: Body,
    private readonly plate: PlateState | null,
    private readonly recording: Recording
  ) {
    let volume = 0
    for (const v of body.grid.volume) volume += v
    this.mass = volume * body.material.density
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
        history.core.push(body.heart.core)
        history.first.push(body.surfaces[0].temperature)
        history.second.push(body.surfaces[1].temperature)
        history.mean.push(body.mean)
        history.plate.push(this.plate?.temperature ?? null)
        history.evaporated.push(body.ledger.evaporated / this.mass)
        history.dripped.push(body.ledger.dripped / this.mass)
      }
    }
    if (always || time >= this.nextField) {
      this.nextField = time + this.recording.fieldEvery
      const raw = body.material.rawWater
      if (this.fields[this.fields.length - 1]?.time !== time) {
        this.fields.push({
          time,
          temperature: [...body.temperature],
          hottest: [...body.hottest],
          wetness: Array.from(body.water, w => (raw > 0 ? w / raw : 1))
        })
      }
    }
  }
}
