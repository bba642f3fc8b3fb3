/** Scales, ticks and paths for the Line: seconds and degrees to pixels. */
import { showTemperature } from '#core/quantity/format'
import type { UnitSystem } from '#core/quantity/units'
import { fromBase, shownUnit, toBase } from '#core/quantity/units'

export interface Scale {
  (value: number): number
  readonly from: number
  readonly to: number
}

export function scale(from: number, to: number, pxFrom: number, pxTo: number): Scale {
  const map = (value: number): number => pxFrom + ((value - from) / (to - from)) * (pxTo - pxFrom)
  return Object.assign(map, { from, to })
}

const MINUTE_STEPS = [1, 2, 5, 10, 15, 30, 60, 120, 240, 480]

/** Whole minutes on the axis, about one for each 70 px. */
export function minuteTicks(from: number, to: number, width: number): { seconds: number; label: string }[] {
  const minutes = (to - from) / 60
  const step = MINUTE_STEPS.find(s => minutes / s <= width / 70) ?? 720
  const ticks: { seconds: number; label: string }[] = []
  for (let m = Math.ceil(from / 60 / step) * step; m * 60 <= to; m += step)
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
