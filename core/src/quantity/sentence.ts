/**
 * A sentence that is written in metric, as its reader measures: lengths, weights, volumes and temperatures, alone or as
 * ranges; and differences that are told in degrees. What is not a figure with a unit stays.
 */
import { showLength, showMass, showTemperature, showTemperatureRise, showVolume, type Shown } from './format'
import type { UnitSystem } from './units'

const NUMBER = String.raw`\d+(?:\.\d+)?`
const FIGURES = new RegExp(
  String.raw`(?<![\w.])(±\s?)?(${NUMBER})(?:(\s?[–-]\s?| to )(${NUMBER}))?[\s\u00a0](°C|mm|cm|kg|g|ml|litres?|l|L)(?![\w/²³])`,
  'g'
)

const SHOW: Readonly<Record<string, (value: number) => Shown>> = {
  '°C': v => showTemperature(v, 'us'),
  mm: v => showLength(v, 'us'),
  cm: v => showLength(10 * v, 'us'),
  kg: v => showMass(1000 * v, 'us'),
  g: v => showMass(v, 'us'),
  ml: v => showVolume(v, 'us'),
  l: v => showVolume(1000 * v, 'us'),
  L: v => showVolume(1000 * v, 'us'),
  litre: v => showVolume(1000 * v, 'us'),
  litres: v => showVolume(1000 * v, 'us')
}

const COUNTED = ['one', 'two', 'three', 'four', 'five', 'six', 'seven', 'eight', 'nine', 'ten']
/** "Eight degrees", "± 15 degrees": how far apart, never how hot. */
const APART = new RegExp(String.raw`(?<![\w.])(\d+|${COUNTED.join('|')}) degrees\b`, 'gi')
const apart = (_: string, written: string): string => {
  const inWords = COUNTED.indexOf(written.toLowerCase())
  return `${showTemperatureRise(inWords < 0 ? Number(written) : inWords + 1, 'us').figure} degrees`
}

export function sayIn(text: string, system: UnitSystem): string {
  if (system === 'metric') return text
  return text
    .replace(APART, apart)
    .replace(FIGURES, (_, about: string | undefined, low: string, between: string | undefined, high: string | undefined, unit: string) => {
      const show = about && unit === '°C' ? (v: number): Shown => showTemperatureRise(v, 'us') : SHOW[unit]
      const from = show(Number(low))
      if (between === undefined || high === undefined) return `${about ?? ''}${from.figure}\u00a0${from.unit}`
      const to = show(Number(high))
      const first = from.unit === to.unit ? from.figure : `${from.figure}\u00a0${from.unit}`
      return `${about ?? ''}${first}${between}${to.figure}\u00a0${to.unit}`
    })
}
