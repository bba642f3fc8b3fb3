/**
 * Reads a quantity as a cook writes it: "38", "38 mm", "1 1/2 in", "1½″", "4,5 cm",
 * "1 lb 4 oz", "9:30" (a duration), "130 F".
 */
import { dimensionOf, findUnit, toBase, UNITS, type Dimension, type Unit } from './units'

/** Why a quantity could not be read. `message` is a sentence for the person who wrote it. */
export class QuantityError extends Error {
  override readonly name = 'QuantityError'
}

const VULGAR: Record<string, number> = {
  '½': 1 / 2,
  '¼': 1 / 4,
  '¾': 3 / 4,
  '⅛': 1 / 8,
  '⅜': 3 / 8,
  '⅝': 5 / 8,
  '⅞': 7 / 8,
  '⅓': 1 / 3,
  '⅔': 2 / 3
}
const NUMBER = String.raw`[+\-−]?\s*(?:\d+(?:[.,]\d+)?\s*[½¼¾⅛⅜⅝⅞⅓⅔]|[½¼¾⅛⅜⅝⅞⅓⅔]|\d+\s+\d+\s*/\s*\d+|\d+\s*/\s*\d+|\d*[.,]?\d+(?:e[+-]?\d+)?)`
const TERM = new RegExp(String.raw`^\s*(${NUMBER})\s*([^\d\s+\-−½¼¾⅛⅜⅝⅞⅓⅔][^\d+\-−½¼¾⅛⅜⅝⅞⅓⅔]*?)?\s*(?=$|[\d½¼¾⅛⅜⅝⅞⅓⅔])`, 'i')

/**
 * @param text what was written
 * @param dimension what kind of quantity is wanted
 * @param bare the unit a figure without one is in; none means a unit is required
 * @returns the value in the dimension's base unit (mm, g, °C, s, W)
 * @throws QuantityError
 */
export function parseQuantity(text: string, dimension: Dimension, bare?: Unit): number {
  const clock = dimension === 'duration' ? /^\s*(\d+):([0-5]\d)\s*$/.exec(text) : null
  if (clock) return Number(clock[1]) * 60 + Number(clock[2])

  // “1-1/2 in”: a hyphen that joins, not one that takes away.
  let rest = text.replace(/(\d)-(\d+\s*\/\s*\d+)/g, '$1 $2')
  let total: number | undefined
  while (rest.trim() !== '') {
    const term = TERM.exec(rest)
    if (!term) throw new QuantityError(`“${text.trim()}” is not a ${dimension}. ${wanted(dimension)}`)
    const value = readNumber(term[1] ?? '')
    total = (total ?? 0) + toBase(value, unitOf(term[2], dimension, bare))
    rest = rest.slice(term[0].length)
    if (rest.trim() !== '' && dimension === 'temperature') {
      throw new QuantityError(`“${text.trim()}” is not one temperature. ${wanted(dimension)}`)
    }
  }
  if (total === undefined) throw new QuantityError(`A ${dimension} is missing. ${wanted(dimension)}`)
  return total
}

function unitOf(spelling: string | undefined, dimension: Dimension, bare: Unit | undefined): Unit {
  if (spelling === undefined || spelling.trim() === '') {
    if (bare) return bare
    throw new QuantityError(`The ${dimension} has no unit. ${wanted(dimension)}`)
  }
  const found = findUnit(dimension, spelling)
  if (found) return found
  const other = dimensionOf(spelling)
  throw new QuantityError(
    other
      ? `“${spelling.trim()}” measures ${other}, not ${dimension}. ${wanted(dimension)}`
      : `“${spelling.trim()}” is not a unit of ${dimension}. ${wanted(dimension)}`
  )
}

function wanted(dimension: Dimension): string {
  const example = {
    length: '38 mm or 1½ in',
    mass: '450 g or 1 lb',
    volume: '250 ml or 8 fl oz',
    temperature: '54 °C or 130 °F',
    duration: '90 s or 8 min',
    power: '1500 W'
  }[dimension]
  return `Write it as ${example} (${UNITS[dimension].map(u => u.symbol).join(', ')}).`
}

function readNumber(text: string): number {
  const compact = text.trim().replace('−', '-').replace(',', '.')
  const sign = compact.startsWith('-') ? -1 : 1
  const body = compact.replace(/^[+-]\s*/, '')
  const vulgar = /^(\d+(?:\.\d+)?)?\s*([½¼¾⅛⅜⅝⅞⅓⅔])$/.exec(body)
  if (vulgar) return sign * (Number(vulgar[1] ?? 0) + (VULGAR[vulgar[2] ?? ''] ?? 0))
  const fraction = /^(?:(\d+)\s+)?(\d+)\s*\/\s*(\d+)$/.exec(body)
  if (fraction) {
    if (Number(fraction[3]) === 0) throw new QuantityError(`“${text.trim()}” divides by nothing.`)
    return sign * (Number(fraction[1] ?? 0) + Number(fraction[2]) / Number(fraction[3]))
  }
  return sign * Number(body)
}
