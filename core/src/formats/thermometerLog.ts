/**
 * The log of any thermometer, as a table of texts: which column is the time and which the core, and in what they are, is
 * guessed, shown, and put right by the cook before it is taken. And a cook's own curves, the other way.
 */
import type { CookRecord, ProbeLog } from '#core/book/record'
import { progressOf } from '#core/session/progress'

export const TIMES = ['seconds', 'minutes', 'clock', 'epoch'] as const
/** Elapsed seconds or minutes; the clock on the wall; or seconds or milliseconds since 1970. */
export type TimeAs = (typeof TIMES)[number]

export interface LogReading {
  readonly time: number
  readonly timeAs: TimeAs
  readonly temperature: number
  readonly unit: 'C' | 'F'
}

export interface LogTable {
  /** What its columns are called: by its first line, or by their number. */
  readonly names: readonly string[]
  readonly rows: readonly (readonly string[])[]
}

/** A figure with a point or a comma; a unit behind it is no harm. NaN where it is none. */
function figure(text: string): number {
  const found = /^[-+−]?\d+(?:[.,]\d+)?(?:e[-+]?\d+)?/i.exec(text.trim().replace('−', '-'))
  return found ? Number(found[0].replace(',', '.')) : NaN
}
const CLOCK = /(\d{1,2}):(\d{2})(?::(\d{2}(?:[.,]\d+)?))?\s*([ap]m)?/i
/** s since midnight. */
function clock(text: string): number {
  const found = CLOCK.exec(text)
  if (!found) return NaN
  const [, hours, minutes, seconds, half] = found
  const hour = half === undefined ? Number(hours) : (Number(hours) % 12) + (half.toLowerCase() === 'pm' ? 12 : 0)
  return 3600 * hour + 60 * Number(minutes) + (seconds === undefined ? 0 : figure(seconds))
}

/** @param cells as a reader of separated values has them; lines without figures before the first are its head. */
export function tableOf(cells: readonly (readonly string[])[]): LogTable | null {
  const width = cells.reduce((most, row) => Math.max(most, row.length), 0)
  const isRow = (row: readonly string[]): boolean => row.filter(cell => Number.isFinite(figure(cell))).length >= 2
  const first = cells.findIndex(isRow)
  const rows = cells.slice(Math.max(0, first)).filter(isRow)
  if (first < 0 || rows.length < 2 || width < 2) return null
  const head = first > 0 ? cells[first - 1] : []
  return { names: Array.from({ length: width }, (_, i) => head.at(i)?.trim() || `Column ${i + 1}`), rows }
}

const column = (table: LogTable, at: number): string[] => table.rows.map(row => row.at(at) ?? '')
/** Share of neighbours that rise. */
function rising(values: readonly number[]): number {
  const pairs = values.slice(1).filter((v, i) => v >= values[i]).length
  return values.length < 2 ? 0 : pairs / (values.length - 1)
}
const EPOCH_S = 1e9
const EPOCH_MS = 1e12
/** °C: hotter no middle of a piece ever is. */
const HOTTEST_CORE = 100

/** What is most likely; null where no column rises as time does. */
export function guessed(table: LogTable): LogReading | null {
  const indices = table.names.map((_, i) => i)
  const clocked = (i: number): boolean => column(table, i).every(cell => CLOCK.test(cell))
  const figures = (i: number): number[] => column(table, i).map(figure)
  const timeLike = indices.filter(
    i => clocked(i) || (figures(i).every(Number.isFinite) && rising(figures(i)) === 1 && new Set(figures(i)).size > 1)
  )
  const time = timeLike.find(i => /time|zeit|date|clock|elapsed|sec|min/i.test(table.names[i])) ?? timeLike.at(0)
  if (time === undefined) return null
  const others = indices.filter(i => i !== time && !clocked(i) && figures(i).filter(Number.isFinite).length > table.rows.length / 2)
  const temperature =
    others.find(i => /core|meat|food|probe|kern|inner/i.test(table.names[i])) ??
    others.find(i => /temp|°|\bc\b|\bf\b/i.test(table.names[i])) ??
    others.at(0)
  if (temperature === undefined) return null
  const hottest = figures(temperature).reduce((most, value) => (Number.isFinite(value) ? Math.max(most, value) : most), -Infinity)
  const named = table.names[temperature]
  const fahrenheit = /°\s*f|\bf\b|fahrenheit|\(f\)/i.test(named) || (!/°\s*c|\bc\b|celsius/i.test(named) && hottest > HOTTEST_CORE)
  return { time, timeAs: timeAsOf(table, time, clocked(time)), temperature, unit: fahrenheit ? 'F' : 'C' }
}
function timeAsOf(table: LogTable, time: number, clocked: boolean): TimeAs {
  if (clocked) return 'clock'
  const values = column(table, time).map(figure)
  if (values[0] > EPOCH_S) return 'epoch'
  return /min/i.test(table.names[time]) ? 'minutes' : 'seconds'
}

/** So many are kept, evenly over the whole. */
const MOST_KEPT = 500
const DAY_S = 86_400

/**
 * @param laidAt epoch ms at which the piece went in: where the log has the time of day, it begins by that; null, or where it has not, at its first line
 * @param offsetMinutes of the clock on the wall over universal time
 * @returns s since the piece went in, and °C; null where too little of it can be read
 */
export function readLog(table: LogTable, by: LogReading, name: string, laidAt: number | null, offsetMinutes: number): ProbeLog | null {
  const times = column(table, by.time).map(by.timeAs === 'clock' ? clock : figure)
  const degrees = column(table, by.temperature).map(figure)
  const points: { readonly time: number; readonly celsius: number }[] = []
  const scale = by.timeAs === 'minutes' ? 60 : by.timeAs === 'epoch' && times[0] > EPOCH_MS ? 1e-3 : 1
  const from = beganAt(by.timeAs, times, scale, laidAt, offsetMinutes)
  let days = 0
  for (const [i, at] of times.entries()) {
    if (!Number.isFinite(at) || !Number.isFinite(degrees[i])) continue
    // Past midnight the clock begins anew.
    if (by.timeAs === 'clock' && i > 0 && at < times[i - 1] - DAY_S / 2) days += 1
    const time = at * scale + days * DAY_S - from
    if (points.length > 0 && time <= points[points.length - 1].time) continue
    points.push({ time, celsius: by.unit === 'F' ? ((degrees[i] - 32) * 5) / 9 : degrees[i] })
  }
  if (points.length < 2) return null
  const every = Math.ceil(points.length / MOST_KEPT)
  const kept = points.filter((_, i) => i % every === 0)
  return { name, seconds: kept.map(p => Math.round(10 * p.time) / 10), celsius: kept.map(p => Math.round(100 * p.celsius) / 100) }
}
function beganAt(timeAs: TimeAs, times: readonly number[], scale: number, laidAt: number | null, offsetMinutes: number): number {
  const first = times.find(Number.isFinite) ?? 0
  if (laidAt === null || timeAs === 'seconds' || timeAs === 'minutes') return first * scale
  if (timeAs === 'epoch') return laidAt / 1000
  const onTheWall = (laidAt / 1000 + 60 * offsetMinutes) % DAY_S
  // Of the day before or after, whichever is nearer.
  const apart = first - onTheWall
  return onTheWall + DAY_S * Math.round(apart / DAY_S)
}

/** A cook's curves as rows under a head: what was planned, what was read and by what, and what a log has. Seconds, °C; empty where there is nothing. */
export function curvesOf({ planned: { curve }, events, log }: Pick<CookRecord, 'planned' | 'events' | 'log'>): (string | number)[][] {
  const rows = new Map<number, (string | number)[]>()
  const put = (seconds: number, at: number, ...values: (string | number)[]): void => {
    const key = Math.round(10 * seconds) / 10
    const row = rows.get(key) ?? [key, '', '', '', '']
    values.forEach((value, i) => (row[at + i] = value))
    rows.set(key, row)
  }
  const twoPlaces = (celsius: number): number => Math.round(100 * celsius) / 100
  curve.timeS.forEach((t, i) => put(t, 1, twoPlaces(curve.coreC[i])))
  for (const { time, coreC, probe } of progressOf(events).readings) put(time, 2, twoPlaces(coreC), probe ?? '')
  log?.seconds.forEach((t, i) => put(t, 4, log.celsius[i]))
  const head = ['seconds since it went in', 'planned core, °C', 'read, °C', 'read by', log ? `${log.name}, °C` : 'log, °C']
  return [head, ...[...rows.values()].sort((a, b) => Number(a[0]) - Number(b[0]))]
}
