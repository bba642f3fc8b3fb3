/**
 * Writes quantities as a cook says them: whole degrees, half minutes, quarter
 * inches, with the unit, in the system the cook reads. `exact` gives one more digit.
 */
import { fromBase, shownUnit, UNITS, type Dimension, type UnitSystem } from './units'

const NBSP = '\u00a0'
const [, , , INCH] = UNITS.length
const [, , OUNCE, POUND] = UNITS.mass
const [, , , FLUID_OUNCE] = UNITS.volume

export interface Shown {
  /** The figure alone, to be set large. */
  readonly figure: string
  readonly unit: string
}

export const withArticle = (noun: string): string => `${/^[aeiou]/i.test(noun) ? 'an' : 'a'} ${noun}`
export const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1)

export const shownText = (s: Shown): string => (s.unit === '' ? s.figure : `${s.figure}${NBSP}${s.unit}`)

const tidy = (value: number, digits: number): string => {
  const text = value.toFixed(digits)
  return (Number(text) === 0 ? text.replace('-', '') : text).replace('-', '−')
}

/** °F from which on nobody sets a dial finer than by fives. */
const BY_FIVES_F = 250
const dialled = (value: number, system: UnitSystem): number => (system === 'us' && value >= BY_FIVES_F ? 5 * Math.round(value / 5) : value)

export function showTemperature(celsius: number, system: UnitSystem, digits = 0): Shown {
  const u = shownUnit('temperature', system)
  const value = fromBase(celsius, u)
  return { figure: tidy(digits === 0 ? dialled(value, system) : value, digits), unit: u.symbol }
}

/** A difference of temperatures: no offset, so 4 °C of carryover is 7 °F. */
export function showTemperatureRise(celsius: number, system: UnitSystem, digits = 0): Shown {
  const u = shownUnit('temperature', system)
  return { figure: tidy(celsius / u.factor, digits), unit: u.symbol }
}

/** A figure to edit: as few decimals as hold it to a tenth of a millimetre, a gram, a tenth of a °C or one °F. */
export function editable(value: number, dimension: Dimension, system: UnitSystem): string {
  const u = shownUnit(dimension, system)
  const digits = {
    length: system === 'metric' ? 1 : 2,
    mass: system === 'metric' ? 0 : 1,
    volume: system === 'metric' ? 0 : 1,
    temperature: system === 'metric' ? 1 : 0,
    duration: 1,
    power: 0
  }[dimension]
  const shown = fromBase(value, u)
  return String(Number((dimension === 'temperature' ? dialled(shown, system) : shown).toFixed(digits)))
}

/** Millimetres, or inches: to the eighth under 4 in and the quarter above; what is thin or wanted exactly, to the sixteenth. */
export function showLength(mm: number, system: UnitSystem, exact = false): Shown {
  if (system === 'metric') return { figure: tidy(mm, exact || mm < 5 ? 1 : 0).replace(/\.0$/, ''), unit: 'mm' }
  const inches = fromBase(mm, INCH)
  if (exact || inches < THIN_IN) return { figure: sixteenths(inches), unit: 'in' }
  return { figure: eighths(inches), unit: 'in' }
}

export function showMass(grams: number, system: UnitSystem): Shown {
  if (system === 'metric') {
    return grams >= 1000 ? { figure: tidy(grams / 1000, 2), unit: 'kg' } : { figure: tidy(grams, 0), unit: 'g' }
  }
  const ounces = fromBase(grams, OUNCE)
  const pounds = fromBase(grams, POUND)
  const even = Math.abs(Math.round(pounds * 4) / 4 - pounds) < NEAR_A_QUARTER * pounds
  // Quarters of a pound where it is near one or many; else ounces.
  if (pounds >= MANY_LB || (even && pounds > 0.9)) return { figure: quarters(pounds), unit: 'lb' }
  return { figure: ounces < FEW ? tidy(ounces, 1) : tidy(ounces, 0), unit: 'oz' }
}
const NEAR_A_QUARTER = 0.03
const MANY_LB = 2
/** Below so many a tenth of one counts. */
const FEW = 3

const QUART_OZ = 32

/** Of water, wine or oil. */
export function showVolume(ml: number, system: UnitSystem): Shown {
  if (system === 'metric') return ml >= 1000 ? { figure: tidy(ml / 1000, 1), unit: 'l' } : { figure: tidy(ml, 0), unit: 'ml' }
  const ounces = fromBase(ml, FLUID_OUNCE)
  if (Math.round(ounces) >= QUART_OZ) return { figure: quarters(ounces / QUART_OZ), unit: 'qt' }
  return { figure: ounces < FEW ? tidy(ounces, 1) : tidy(ounces, 0), unit: 'fl oz' }
}

/** Seconds under a minute and a half, half minutes to an hour, then hours and minutes. */
export function showDuration(seconds: number): Shown {
  if (seconds < 90) return { figure: tidy(Math.round(seconds / 5) * 5, 0), unit: 's' }
  if (seconds < 3600) return { figure: halves(seconds / 60), unit: 'min' }
  const minutes = Math.round(seconds / 60)
  const rest = minutes % 60
  return rest === 0
    ? { figure: String(minutes / 60), unit: 'h' }
    : { figure: `${Math.floor(minutes / 60)}${NBSP}h${NBSP}${String(rest).padStart(2, '0')}`, unit: 'min' }
}

/** Up to here a range that begins below an hour is told in minutes, s. */
const IN_MINUTES_TO = 2 * 3600

/** A range of durations, "12–15½ min", "47–67 min", or one figure where both ends read alike. */
export function showDurationRange(low: number, high: number): Shown {
  if (low >= 90 && low < 3600 && high >= 3600 && high < IN_MINUTES_TO)
    return { figure: `${tidy(low / 60, 0)}–${tidy(high / 60, 0)}`, unit: 'min' }
  const a = showDuration(low)
  const b = showDuration(high)
  if (a.figure === b.figure && a.unit === b.unit) return b
  const alike = a.unit === b.unit && (low >= 3600 || high < 3600)
  return alike ? { figure: `${a.figure}–${b.figure}`, unit: b.unit } : { figure: `${shownText(a)} – ${b.figure}`, unit: b.unit }
}

/** A clock running: 0:23, 11:05, 1:02:03. Never negative: lateness is said in words. */
export function showClock(seconds: number): string {
  const whole = Math.max(0, Math.round(seconds))
  const two = (n: number): string => String(n).padStart(2, '0')
  const h = Math.floor(whole / 3600)
  const m = Math.floor(whole / 60) % 60
  return h > 0 ? `${h}:${two(m)}:${two(whole % 60)}` : `${m}:${two(whole % 60)}`
}

function halves(value: number): string {
  const doubled = Math.round(value * 2)
  const whole = Math.floor(doubled / 2)
  return doubled % 2 === 0 ? String(whole) : `${whole === 0 ? '' : whole}½`
}

const THIN_IN = 0.5
const GLYPH = ['', '⅛', '¼', '⅜', '½', '⅝', '¾', '⅞']
const part = (whole: number, fraction: string): string => `${whole === 0 && fraction !== '' ? '' : whole}${fraction}`

function eighths(value: number): string {
  const steps = value < 4 ? 1 : 2
  const n = Math.round((value * 8) / steps) * steps
  return part(Math.floor(n / 8), GLYPH[n % 8])
}
const quarters = (value: number): string => {
  const n = Math.round(value * 4) * 2
  return part(Math.floor(n / 8), GLYPH[n % 8])
}
function sixteenths(value: number): string {
  const n = Math.round(Math.abs(value) * 16)
  if (n === 0) return Math.abs(value) > 0.002 ? '1⁄32' : '0'
  const sign = value < 0 ? '−' : ''
  return (
    sign +
    (n % 2 === 0 ? part(Math.floor(n / 16), GLYPH[(n % 16) / 2]) : `${n > 16 ? Math.floor(n / 16) : ''}${n > 16 ? NBSP : ''}${n % 16}⁄16`)
  )
}

const LIST = new Intl.ListFormat('en')
/** "the strip, the chips and the broccoli" */
export const listed = (names: Iterable<string>): string => LIST.format(names)
