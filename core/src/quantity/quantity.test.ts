import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import {
  showClock,
  showDuration,
  showDurationRange,
  editable,
  showLength,
  showMass,
  showVolume,
  shownText,
  showTemperature,
  showTemperatureRise
} from './format'
import { parseQuantity, QuantityError } from './parse'
import { findUnit, fromBase, shownUnit, toBase, UNITS, type Dimension } from './units'

const [mm, , , inch] = UNITS.length

describe('units', () => {
  it('130 °F is 54.44 °C, an inch 25.4 mm, an ounce 28.35 g', () => {
    expect(parseQuantity('130 °F', 'temperature')).toBeCloseTo(54.44, 2)
    expect(parseQuantity('1 in', 'length')).toBeCloseTo(25.4, 10)
    expect(parseQuantity('1 oz', 'mass')).toBeCloseTo(28.35, 2)
  })

  it('there and back again gives the same value, in every unit', () => {
    for (const units of Object.values(UNITS)) {
      for (const u of units) {
        fc.assert(fc.property(fc.double({ min: -1e4, max: 1e4, noNaN: true }), v => Math.abs(toBase(fromBase(v, u), u) - v) < 1e-6))
      }
    }
  })
})

describe('what a cook writes is read', () => {
  it.each([
    ['38', 'length', 38],
    ['38mm', 'length', 38],
    ['3,8 cm', 'length', 38],
    ['1 1/2 in', 'length', 38.1],
    ['1½″', 'length', 38.1],
    ['½ in', 'length', 12.7],
    ['1 lb 4 oz', 'mass', 566.99],
    ['1-1/2 in', 'length', 38.1],
    ['0.45 kg', 'mass', 450],
    ['-1 °C', 'temperature', -1],
    ['−1 C', 'temperature', -1],
    ['9:30', 'duration', 570],
    ['1 h 20 min', 'duration', 4800],
    ['90 s', 'duration', 90]
  ] as const)('%s', (text, dimension, value) => {
    expect(parseQuantity(text, dimension, mm)).toBeCloseTo(value, 2)
  })

  it.each([
    ['38 g', 'length', /measures mass, not length/],
    ['38', 'length', /no unit/],
    ['a thumb', 'length', /is not a length/],
    ['', 'mass', /missing/],
    ['54 furlongs', 'temperature', /not a unit of temperature/],
    ['1/0 in', 'length', /divides by nothing/],
    ['54 C 3 C', 'temperature', /not one temperature/]
  ] as const)('%s as %s is refused', (text, dimension: Dimension, why) => {
    expect(() => parseQuantity(text, dimension)).toThrow(QuantityError)
    expect(() => parseQuantity(text, dimension)).toThrow(why)
  })

  it('never answers with something that is no number', () => {
    fc.assert(
      fc.property(fc.string(), text => {
        try {
          expect(Number.isFinite(parseQuantity(text, 'length', mm))).toBe(true)
        } catch (error) {
          expect(error).toBeInstanceOf(QuantityError)
        }
      })
    )
  })

  it('what a field shows reads back as what it showed', () => {
    fc.assert(
      fc.property(fc.double({ min: 5, max: 100, noNaN: true }), fc.constantFrom('metric' as const, 'us' as const), (value, system) => {
        const unit = shownUnit('length', system)
        expect(Math.abs(parseQuantity(editable(value, 'length', system), 'length', unit) - value)).toBeLessThan(
          system === 'us' ? 0.13 : 0.051
        )
      })
    )
  })
})

describe('figures are rounded as a cook would', () => {
  it('whole degrees, half minutes, eighths of an inch', () => {
    expect(shownText(showTemperature(54.3, 'metric'))).toBe('54\u00a0°C')
    expect(shownText(showTemperature(54.44, 'us'))).toBe('130\u00a0°F')
    expect(shownText(showTemperatureRise(4, 'us'))).toBe('7\u00a0°F')
    expect(shownText(showDuration(752))).toBe('12½\u00a0min')
    expect(shownText(showDuration(47))).toBe('45\u00a0s')
    expect(shownText(showDuration(4500))).toBe('1\u00a0h\u00a015\u00a0min')
    expect(shownText(showLength(38, 'metric'))).toBe('38\u00a0mm')
    expect(shownText(showLength(38, 'us'))).toBe('1½\u00a0in')
    expect(shownText(showLength(1.96, 'metric'))).toBe('2\u00a0mm')
    expect(shownText(showMass(1250, 'metric'))).toBe('1.25\u00a0kg')
    expect(shownText(showMass(500, 'us'))).toBe('18\u00a0oz')
    expect(shownText(showMass(454, 'us'))).toBe('1\u00a0lb')
    expect(shownText(showMass(1400, 'us'))).toBe('3\u00a0lb')
    expect(shownText(showMass(570, 'us'))).toBe('1¼\u00a0lb')
    expect(shownText(showMass(6, 'us'))).toBe('0.2\u00a0oz')
    expect(shownText(showVolume(2000, 'us'))).toBe('2\u00a0qt')
    expect(shownText(showTemperature(200, 'us'))).toBe('390\u00a0°F')
    expect(shownText(showTemperature(54, 'us'))).toBe('129\u00a0°F')
    expect(shownText(showLength(2, 'us', true))).toBe('1⁄16\u00a0in')
    expect(shownText(showLength(30, 'us', true))).toBe('1\u00a03⁄16\u00a0in')
    expect(editable(200, 'temperature', 'us')).toBe('390')
    expect(shownText(showTemperature(-0.2, 'metric'))).toBe('0\u00a0°C')
  })

  it('ranges are ranges, and one figure where both ends read alike', () => {
    expect(shownText(showDurationRange(745, 925))).toBe('12½–15½\u00a0min')
    expect(shownText(showDurationRange(600, 605))).toBe('10\u00a0min')
    expect(shownText(showDurationRange(45, 150))).toBe('45\u00a0s – 2½\u00a0min')
    // Nobody takes “47–1 h 07 min” for minutes at both ends.
    expect(shownText(showDurationRange(2820, 4020))).toBe('47–67\u00a0min')
    expect(shownText(showDurationRange(3000, 7500))).toBe('50\u00a0min – 2\u00a0h\u00a005\u00a0min')
    expect(shownText(showDurationRange(6000, 7800))).toBe('1\u00a0h\u00a040–2\u00a0h\u00a010\u00a0min')
  })

  it('a clock never runs below nothing', () => {
    expect([showClock(23), showClock(665), showClock(3723), showClock(-4)]).toEqual(['0:23', '11:05', '1:02:03', '0:00'])
  })

  it('an inch has the symbols it is written with', () => {
    expect(findUnit('length', '″')).toBe(inch)
  })
})
