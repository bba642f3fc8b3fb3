/**
 * The physical quantities a cook deals in, and the units each may be written in.
 *
 * Inside the program every quantity has one unit: millimetres, grams, degrees
 * Celsius, seconds. Other units exist only at the edges: typed in, printed out,
 * read from a file.
 */

export type Dimension = 'length' | 'mass' | 'volume' | 'temperature' | 'duration' | 'power'

export interface Unit {
  /** The symbol printed after a figure. */
  readonly symbol: string
  /** What may be typed for it, lower case. */
  readonly spellings: readonly string[]
  /** base = value * factor + offset */
  readonly factor: number
  readonly offset: number
}

const unit = (symbol: string, factor: number, spellings: string[] = [], offset = 0): Unit => ({
  symbol,
  factor,
  offset,
  spellings: [symbol.toLowerCase(), ...spellings]
})

/** The inch and the pound are exact by definition (international yard and pound agreement, 1959); the fluid ounce and the quart by the gallon of 231 cubic inches. */
export const UNITS = {
  length: [
    unit('mm', 1, ['millimetre', 'millimetres', 'millimeter', 'millimeters']),
    unit('cm', 10, ['centimetre', 'centimetres', 'centimeter', 'centimeters']),
    unit('m', 1000, ['metre', 'metres', 'meter', 'meters']),
    unit('in', 25.4, ['inch', 'inches', '"', '″', '”'])
  ],
  mass: [
    unit('g', 1, ['gram', 'grams', 'gr']),
    unit('kg', 1000, ['kilo', 'kilos', 'kilogram', 'kilograms']),
    unit('oz', 28.349523125, ['ounce', 'ounces']),
    unit('lb', 453.59237, ['lbs', 'pound', 'pounds'])
  ],
  volume: [
    unit('ml', 1, ['millilitre', 'millilitres', 'milliliter', 'milliliters']),
    unit('cl', 10, ['centilitre', 'centilitres']),
    unit('l', 1000, ['litre', 'litres', 'liter', 'liters']),
    unit('fl oz', 29.5735295625, ['floz', 'fluid ounce', 'fluid ounces']),
    unit('qt', 946.352946, ['quart', 'quarts'])
  ],
  temperature: [unit('°C', 1, ['c', 'celsius', 'degc', 'º c', '° c']), unit('°F', 5 / 9, ['f', 'fahrenheit', 'degf', '° f'], -160 / 9)],
  duration: [
    unit('s', 1, ['sec', 'secs', 'second', 'seconds']),
    unit('min', 60, ['mins', 'minute', 'minutes']),
    unit('h', 3600, ['hr', 'hrs', 'hour', 'hours'])
  ],
  power: [unit('W', 1, ['watt', 'watts']), unit('kW', 1000, ['kilowatt', 'kilowatts'])]
} as const satisfies Record<Dimension, readonly Unit[]>

/** The unit every figure of a dimension is kept in: mm, g, ml, °C, s, W. */
export function baseUnit(dimension: Dimension): Unit {
  return UNITS[dimension][0]
}

export function findUnit(dimension: Dimension, spelling: string): Unit | undefined {
  const wanted = spelling.trim().toLowerCase()
  return UNITS[dimension].find(u => u.spellings.includes(wanted))
}

/** The dimension a unit belongs to, for telling a cook that "38 g" is not a thickness. */
export function dimensionOf(spelling: string): Dimension | undefined {
  return (Object.keys(UNITS) as Dimension[]).find(d => findUnit(d, spelling) !== undefined)
}

export const toBase = (value: number, u: Unit): number => value * u.factor + u.offset
export const fromBase = (value: number, u: Unit): number => (value - u.offset) / u.factor

/** Which units a cook reads: all metric, or all United States customary. */
export type UnitSystem = 'metric' | 'us'

const SHOWN: Record<UnitSystem, Record<Dimension, string>> = {
  metric: { length: 'mm', mass: 'g', volume: 'ml', temperature: '°C', duration: 'min', power: 'W' },
  us: { length: 'in', mass: 'oz', volume: 'fl oz', temperature: '°F', duration: 'min', power: 'W' }
}

/** The unit a figure of this dimension is shown in under a system. */
export function shownUnit(dimension: Dimension, system: UnitSystem): Unit {
  return findUnit(dimension, SHOWN[system][dimension]) ?? baseUnit(dimension)
}
