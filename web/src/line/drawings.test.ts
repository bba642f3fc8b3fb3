/** What the two drawings rest on: scales, ticks, outlines. */
import { describe, expect, it } from 'vitest'
import { fatPath, marbling, outlinePath } from '../section/outline'
import { rulerTicks } from '../section/ruler'
import { bandPath, degreeTicks, linePath, minuteTicks, scale } from './axes'

const numbers = (path: string): number[] => (path.match(/-?\d+(\.\d+)?/g) ?? []).map(Number)

describe('the Line', () => {
  const x = scale(-240, 1200, 0, 800)
  const y = scale(0, 60, 200, 0)

  it('maps ends to ends, and more heat is higher up', () => {
    expect([x(-240), x(1200), y(0), y(60)]).toEqual([0, 800, 200, 0])
    expect(y(50)).toBeLessThan(y(20))
  })

  it.each([200, 390, 900, 1600])('at %d px minute ticks are whole minutes and do not touch', width => {
    const spread = scale(-240, 1500, 0, width)
    const ticks = minuteTicks(spread, width)
    ticks.forEach(t => expect(Math.abs(t.seconds % 60)).toBe(0))
    ticks.slice(1).forEach((t, i) => expect(spread(t.seconds) - spread(ticks[i].seconds)).toBeGreaterThanOrEqual(45))
    expect(ticks.find(t => t.seconds === 0)?.label).toBe('on')
  })

  it('folds hours in which nothing is done: before and after them a minute is as wide, and a finger finds its moment', () => {
    const night = scale(0, 60_000, 0, 800, [{ from: 6000, to: 58_000 }])
    expect([night(0), night(60_000)]).toEqual([0, 800])
    expect(night(6000) - night(0)).toBeCloseTo(3 * (night(60_000) - night(58_000)), 6)
    expect(night(58_000) - night(6000)).toBeLessThan(60)
    for (const at of [0, 1500, 6000, 30_000, 59_000]) expect(night.invert(night(at))).toBeCloseTo(at, 6)
    for (const { seconds } of minuteTicks(night, 800)) expect(seconds <= 6000 || seconds >= 58_000).toBe(true)
  })

  it('degree ticks are round in the unit they are read in', () => {
    expect(degreeTicks(0, 60, 5, 'metric').map(t => t.label)).toEqual(['0', '20', '40', '60'])
    for (const t of degreeTicks(0, 60, 5, 'us')) expect(Number(t.label) % 10).toBe(0)
  })

  it('a curve stays inside its frame and lifts the pen where there is no value', () => {
    const path = linePath([-300, 0, 300, 600, 2000], [10, 20, null, 400, 30], x, y)
    expect(path.match(/M/g)).toHaveLength(2)
    expect(Math.min(...numbers(path))).toBeGreaterThanOrEqual(0)
  })

  it('a band goes out along the top and back along the bottom', () => {
    const path = bandPath([0, 600], [10, 20], [20, 40], x, y)
    expect(path.endsWith('Z')).toBe(true)
    expect(numbers(path)).toHaveLength(8)
    expect(bandPath([0], [1], [2], x, y)).toBe('')
  })
})

describe('the Section', () => {
  it.each([
    [85, 38],
    [60, 60],
    [200, 10]
  ])('%d × %d mm: the outline stays within the piece', (widthMm, thicknessMm) => {
    const values = numbers(outlinePath({ widthMm, thicknessMm, fatEdge: true }))
    expect(values.every(Number.isFinite)).toBe(true)
    expect(Math.max(...values)).toBeLessThanOrEqual(Math.max(widthMm, thicknessMm) + 1)
    expect(Math.min(...values)).toBeGreaterThanOrEqual(-1)
  })

  it('a rim of fat where the cut has one; the same flecks every time, more in fatter meat', () => {
    const shape = { widthMm: 85, thicknessMm: 38, fatEdge: true }
    expect(fatPath({ ...shape, fatEdge: false })).toBeNull()
    expect(marbling(shape, 0.09, 5)).toEqual(marbling(shape, 0.09, 5))
    expect(marbling(shape, 0.14, 5).length).toBeGreaterThan(marbling(shape, 0.06, 5).length)
  })

  it('the ruler runs from nothing to the top, in millimetres or in eighths of an inch', () => {
    const metric = rulerTicks(38, 'metric', 5)
    expect(metric).toHaveLength(39)
    expect(metric.filter(t => t.label).map(t => t.label)).toEqual(['0', '10', '20', '30'])
    const inches = rulerTicks(38.1, 'us', 5)
    expect(inches).toHaveLength(13)
    expect(inches.filter(t => t.label).map(t => t.label)).toEqual(['0', '1'])
  })

  it('too small for fine ticks, it keeps the long ones', () => {
    expect(rulerTicks(38, 'metric', 1).length).toBeLessThan(10)
  })
})
