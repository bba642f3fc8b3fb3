import { describe, expect, it } from 'vitest'
import { cookedColour } from './colour'
import { bandEnd, bandOf, PUBLIC_HEALTH, scaleById, SCALES } from './scale'
import { isotherm, readSection } from './section'

const channels = (celsius: number): number[] => (cookedColour(celsius).match(/\d+/g) ?? []).map(Number)

describe('the schools of doneness', () => {
  it.each(SCALES.map(s => [s.id, s] as const))('%s: bands follow each other and each aim lies in its band', (_, scale) => {
    scale.bands.forEach((band, i) => {
      expect(bandOf(scale, band.aim)).toBe(band)
      if (i > 0) expect(band.from).toBeGreaterThan(scale.bands[i - 1].from)
      expect(band.aim).toBeLessThan(bandEnd(scale, band))
    })
    expect(bandEnd(scale, scale.bands[scale.bands.length - 1])).toBe(Infinity)
  })

  it('mean by medium rare what their cooks do (common practice, no source)', () => {
    const aim = (id: string): number | undefined => scaleById(id)?.bands.find(b => b.word === 'medium rare')?.aim
    expect([aim('early'), aim('middle'), aim('late'), aim('hot')]).toEqual([53, 54, 56, 60])
  })

  it('public health asks for 62.8 °C and three minutes (USDA)', () => {
    expect(PUBLIC_HEALTH).toEqual({ celsius: 62.8, restSeconds: 180 })
  })
})

describe('the colour of a cut face', () => {
  it('is red while rare, loses its red through pink to grey-brown, and is dark in the crust', () => {
    const redness = (T: number): number => channels(T)[0] - channels(T)[2]
    expect(channels(54)[0]).toBeGreaterThan(2 * channels(54)[1])
    expect(redness(54)).toBeGreaterThan(redness(64))
    const [r, g, b] = channels(76)
    expect(Math.max(r, g, b) - Math.min(r, g, b)).toBeLessThan(65)
    expect(Math.max(...channels(180))).toBeLessThan(40)
  })

  it('changes without a jump', () => {
    for (let T = 0; T < 200; T += 0.5) {
      channels(T).forEach((c, i) => expect(Math.abs(c - channels(T + 0.5)[i])).toBeLessThanOrEqual(7))
    }
  })
})

describe('a section is read off the field', () => {
  // Ten cells of 2 mm: hot at the first face, hotter at the second, 54 °C between.
  const hottest = [120, 90, 66, 57, 54, 54, 55, 64, 80, 150]
  const edgesMm = hottest.map((_, i) => i * 2).concat(20)
  const field = { time: 0, temperature: hottest, hottest, wetness: hottest.map(() => 1) }
  const reading = readSection(field, { edgesMm, radiiMm: [0, 1000], rimMm: null, dimension: 2, mirrored: false }, 54, 100)

  it('crust where it has passed the last of the free water, by interpolation between cells', () => {
    expect(reading.crustMm[0]).toBeCloseTo(1 + (2 * (120 - 104)) / (120 - 90), 6)
    expect(reading.crustMm[1]).toBeCloseTo(1 + (2 * (150 - 104)) / (150 - 80), 6)
  })

  it('grey where it has passed 65 °C, even where it is within three degrees of the target', () => {
    expect(reading.greyMm[0]).toBeGreaterThan(5)
    expect(reading.greyMm[0]).toBeLessThan(6)
    expect(reading.evenness).toBeCloseTo(0.4, 6)
  })

  it('isotherms are found on both sides, none where the piece never got there', () => {
    expect(isotherm(field, edgesMm, 60)).toHaveLength(2)
    expect(isotherm(field, edgesMm, 200)).toEqual([])
  })
})
