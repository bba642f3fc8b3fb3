/** Scales, ticks and paths for the Line: seconds and degrees to pixels. */
import type { Plan } from '#core/plan/plan'
import { showTemperature } from '#core/quantity/format'
import type { UnitSystem } from '#core/quantity/units'
import { fromBase, shownUnit, toBase } from '#core/quantity/units'

export interface Scale {
  (value: number): number
  readonly from: number
  readonly to: number
  /** Hours in which nothing is done, drawn as a narrow strip. */
  readonly folds: readonly Fold[]
  invert(px: number): number
}
export interface Fold {
  readonly from: number
  readonly to: number
}
const FOLD_PX = 46
/** Shorter than that a wait is drawn as long as it is, s. */
export const FOLDED_FROM_S = 3 * 3600

/** @param folds one after the other, within what is drawn */
export function scale(from: number, to: number, pxFrom: number, pxTo: number, folds: readonly Fold[] = []): Scale {
  const open = to - from - folds.reduce((sum, f) => sum + f.to - f.from, 0)
  const each = (pxTo - pxFrom - folds.length * FOLD_PX) / open
  /** Where the drawing bends: values beside pixels. */
  const values = [from]
  const pixels = [pxFrom]
  for (const fold of folds) {
    const begins = pixels[pixels.length - 1] + each * (fold.from - values[values.length - 1])
    values.push(fold.from, fold.to)
    pixels.push(begins, begins + FOLD_PX)
  }
  values.push(to)
  pixels.push(pxTo)
  const through = (at: number, x: readonly number[], y: readonly number[]): number => {
    const rising = x[x.length - 1] > x[0]
    const beyond = x.findIndex((end, k) => k > 0 && (rising ? at <= end : at >= end))
    const k = beyond < 0 ? x.length - 1 : beyond
    return y[k - 1] + ((at - x[k - 1]) / (x[k] - x[k - 1])) * (y[k] - y[k - 1])
  }
  return Object.assign((value: number): number => through(value, values, pixels), {
    from,
    to,
    folds,
    invert: (px: number): number => through(px, pixels, values)
  })
}
/** Of a night in the fridge only its beginning and its end are looked at, s. */
const LOOKED_AT_S = 30 * 60
export function nightOf({ pull, peak, carve }: Pick<Plan, 'pull' | 'peak' | 'carve'>): Fold[] {
  const from = Math.max(pull.time, peak.time) + LOOKED_AT_S
  const to = carve.time - LOOKED_AT_S / 3
  return to - from > FOLDED_FROM_S ? [{ from, to }] : []
}
const within = (value: number, folds: readonly Fold[]): boolean => folds.some(f => value > f.from && value < f.to)

const MINUTE_STEPS = [1, 2, 5, 10, 15, 30, 60, 120, 240, 480]

/** Whole minutes on the axis, about one for each 70 px. */
export function minuteTicks({ from, to, folds }: Scale, width: number): { seconds: number; label: string }[] {
  const minutes = (to - from - folds.reduce((sum, f) => sum + f.to - f.from, 0)) / 60
  const step = MINUTE_STEPS.find(s => minutes / s <= width / 70) ?? 720
  const ticks: { seconds: number; label: string }[] = []
  for (let m = Math.ceil(from / 60 / step) * step; m * 60 <= to; m += step)
    if (
      !within(m * 60, folds) &&
      !folds.some(f => Math.abs(m * 60 - f.to) < (60 * step) / 2 || Math.abs(m * 60 - f.from) < (60 * step) / 2)
    )
      ticks.push({ seconds: m * 60, label: m === 0 ? 'on' : m > 0 ? `+${m}` : `−${-m}` })
  return ticks
}

/** Round degrees in the cook's own unit, about `count` of them. */
export function degreeTicks(from: number, to: number, count: number, system: UnitSystem): { celsius: number; label: string }[] {
  const unit = shownUnit('temperature', system)
  const low = fromBase(from, unit)
  const high = fromBase(to, unit)
  const step = [10, 20, 50, 100, 200].find(s => (high - low) / s <= count) ?? 500
  const ticks: { celsius: number; label: string }[] = []
  for (let v = Math.ceil(low / step) * step; v <= high; v += step) {
    const celsius = toBase(v, unit)
    ticks.push({ celsius, label: showTemperature(celsius, system).figure })
  }
  return ticks
}

export function linePath(time: readonly number[], values: readonly (number | null)[], x: Scale, y: Scale): string {
  let path = ''
  let pen = false
  for (let i = 0; i < time.length; i++) {
    const v = values[i]
    if (v === null || time[i] < x.from || time[i] > x.to) {
      pen = false
      continue
    }
    path += `${pen ? 'L' : 'M'}${x(time[i]).toFixed(1)} ${y(Math.max(y.from, Math.min(y.to, v))).toFixed(1)}`
    pen = true
  }
  return path
}

export function bandPath(time: readonly number[], low: readonly number[], high: readonly number[], x: Scale, y: Scale): string {
  const inside = time.map((_, i) => i).filter(i => time[i] >= x.from && time[i] <= x.to)
  if (inside.length < 2) return ''
  const forth = inside.map(i => `${x(time[i]).toFixed(1)} ${y(high[i]).toFixed(1)}`)
  const back = [...inside].reverse().map(i => `${x(time[i]).toFixed(1)} ${y(low[i]).toFixed(1)}`)
  return `M${[...forth, ...back].join('L')}Z`
}
