/** A tip against the exact answers of a first-order lag, in steps of any length. */
import { describe, expect, it } from 'vitest'
import { PROBE_BEHIND_S, ProbeTip } from './probeTip'

/** What it shows after a course of degrees, walked in equal steps. */
function walked(course: (t: number) => number, seconds: number, steps: number): number {
  const tip = new ProbeTip(course(0))
  for (let k = 1; k <= steps; k++) tip.follow(course((seconds * k) / steps), seconds / steps)
  return tip.shows
}

describe('the tip of a probe', () => {
  it.each([1, 2, 7, 60])('on an even climb is exactly what the differential equation says, in %i steps', steps => {
    const [rate, seconds] = [0.08, 30]
    const exact = 5 + rate * (seconds - PROBE_BEHIND_S * (1 - Math.exp(-seconds / PROBE_BEHIND_S)))
    expect(walked(t => 5 + rate * t, seconds, steps)).toBeCloseTo(exact, 9)
  })

  it('put from the fridge into a bath it has gone 63 % of the way after its time, 95 % after three times that', () => {
    const tip = new ProbeTip(4)
    tip.follow(60, 1e-9)
    tip.follow(60, PROBE_BEHIND_S)
    expect((tip.shows - 4) / 56).toBeCloseTo(1 - Math.exp(-1), 6)
    tip.follow(60, 2 * PROBE_BEHIND_S)
    expect((tip.shows - 4) / 56).toBeCloseTo(0.95, 2)
  })

  it('on a swing is damped and late by as much as a first-order lag is', () => {
    const omega = 0.2
    const [gain, late] = [1 / Math.hypot(1, omega * PROBE_BEHIND_S), Math.atan(omega * PROBE_BEHIND_S)]
    const seconds = 200
    expect(walked(t => Math.sin(omega * t), seconds, 8000)).toBeCloseTo(gain * Math.sin(omega * seconds - late), 4)
  })
})
