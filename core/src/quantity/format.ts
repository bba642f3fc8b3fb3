/**
 * Writes quantities as a cook says them: whole degrees, half minutes, quarter
 * inches, with the unit, in the system the cook reads. `exact` gives one more digit.
 */
import { fromBase, shownUnit, UNITS, type Dimension, type UnitSystem } from './units'

const NBSP = '\u00a0'
const [, , , INCH] = UNITS.length
const [, , OUNCE, POUND] = UNITS.mass

export interface Shown {
  /** The figure alone, to be set large. */
  readonly figure: string
  readonly unit: string
}

export const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1)

export const shownText = (s: Shown): string => (s.unit === '' ? s.figure : `${s.figure}${NBSP}${s.unit}`)

const tidy = (value: number, digits: number): string => {
  const text = value.toFixed(digits)
  return (Number(text) === 0 ? text.replace('-', '') : text).replace('-', '−')
}

export function showTemperature(celsius: number, system: UnitSystem, digits = 0): Shown {
  const u = shownUnit('temperature', system)
  return { figure: tidy(fromBase(celsius, u), digits), unit: u.symbol }
}

/** A difference of temperatures: no offset, so 4 °C of carryover is 7 °F. */
export function showTemperatureRise(celsius: number, system: UnitSystem, digits = 0): Shown {
  const u = shownUnit('temperature', system)
  return { figure: tidy(celsius / u.factor, digits), unit: u.symbol }
}

/** A figure to edit: as few decimals as hold it to a tenth of a millimetre, a gram or a tenth of a degree. */
export function editable(value: number, dimension: Dimension, system: UnitSystem): string {
  const u = shownUnit(dimension, system)
  const digits = { length: system === 'metric' ? 1 : 2, mass: system === 'metric' ? 0 : 1, temperature: 1, duration: 1, power: 0 }[
    dimension
  ]
  return String(Number(fromBase(value, u).toFixed(digits)))
}

/** Millimetres, or inches to the eighth under 4 in and the quarter above. */
export function showLength(mm: number, system: UnitSystem, exact = false): Shown {
  if (system === 'metric') return { figure: tidy(mm, exact || mm < 5 ? 1 : 0).replace(/\.0$/, ''), unit: 'mm' }
  const inches = fromBase(mm, INCH)
  if (exact || inches < 0.25) return { figure: tidy(inches, 2), unit: 'in' }
  return { figure: eighths(inches), unit: 'in' }
}

export function showMass(grams: number, system: UnitSystem): Shown {
  if (system === 'metric') {
    return grams >= 1000 ? { figure: tidy(grams / 1000, 2), unit: 'kg' } : { figure: tidy(grams, 0), unit: 'g' }
  }
  return grams >= POUND.factor
    ? { figure: tidy(fromBase(grams, POUND), 2), unit: 'lb' }
    : { figure: tidy(fromBase(grams, OUNCE), 1), unit: 'oz' }
}

const FLUID_OUNCE_ML = 29.5735
const QUART_OZ = 32

/** Of water, wine or oil. */
export function showVolume(ml: number, system: UnitSystem): Shown {
  if (system === 'metric') return ml >= 1000 ? { figure: tidy(ml / 1000, 1), unit: 'l' } : { figure: tidy(ml, 0), unit: 'ml' }
  const ounces = ml / FLUID_OUNCE_ML
  return ounces >= QUART_OZ ? { figure: tidy(ounces / QUART_OZ, 2), unit: 'qt' } : { figure: tidy(ounces, 1), unit: 'fl oz' }
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

/** A range of durations, "12–15½ min", or one figure where both ends read alike. */
export function showDurationRange(low: number, high: number): Shown {
  const a = showDuration(low)
  const b = showDuration(high)
  if (a.figure === b.figure && a.unit === b.unit) return b
  return a.unit === b.unit ? { figure: `${a.figure}–${b.figure}`, unit: b.unit } : { figure: `${shownText(a)} – ${b.figure}`, unit: b.unit }
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

function eighths(value: number): string {
  const GLYPH = ['', '⅛', '¼', '⅜', '½', '⅝', '¾', '⅞']
  const steps = value < 4 ? 1 : 2
  const n = Math.round((value * 8) / steps) * steps
  const whole = Math.floor(n / 8)
  return `${whole === 0 && n % 8 !== 0 ? '' : whole}${GLYPH[n % 8] ?? ''}`
}
