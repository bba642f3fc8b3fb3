/** A probe that speaks every few seconds: few readings, none twice, and no jump believed at once. */
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { hear, isDoubted, SILENT, type Listening, type Sample } from './probes'

const LAID = 1_000_000
/** What is passed on of what is said, and how it stands after it. */
function heard(said: readonly Sample[], laidAt: number | null = LAID, from: Listening = SILENT): { passed: Sample[]; now: Listening } {
  let now = from
  const passed: Sample[] = []
  for (const sample of said) {
    const found = hear(now, sample, laidAt)
    now = found.now
    if (found.pass) passed.push(sample)
  }
  return { passed, now }
}
const every = (s: number, count: number, of: (i: number) => number): Sample[] =>
  Array.from({ length: count }, (_, i) => ({ at: LAID + 1000 * s * i, celsius: of(i) }))

describe('what a probe says', () => {
  it('is a reading at once, and then about every three quarters of a minute', () => {
    const { passed } = heard(every(5, 120, i => 20 + 0.1 * i))
    expect(passed[0].at).toBe(LAID)
    const gaps = passed.slice(1).map((p, i) => (p.at - passed[i].at) / 1000)
    for (const gap of gaps) expect(gap).toBe(45)
  })

  it('in three hours is some tens of readings, the further apart the longer it has been in', () => {
    const { passed } = heard(every(5, 2160, i => 5 + 0.02 * i))
    expect(passed.length).toBeLessThan(80)
    expect(passed.length).toBeGreaterThan(30)
    expect(passed.at(-1)!.at - passed.at(-2)!.at).toBeGreaterThan(5 * 60_000)
  })

  it('is none before the piece is in, nor of a time before that', () => {
    expect(
      heard(
        every(5, 20, () => 20),
        null
      ).passed
    ).toEqual([])
    expect(heard([{ at: LAID - 1, celsius: 20 }]).passed).toEqual([])
  })

  it('is passed on sooner where it has changed much', () => {
    const { passed } = heard(every(5, 7, i => 20 + 1.2 * i))
    expect(passed.map(p => (p.at - LAID) / 1000)).toEqual([0, 20])
  })

  it('that jumps is doubted, and forgotten where it comes back', () => {
    const steady = every(5, 20, () => 40)
    const { now } = heard(steady)
    const jumped = hear(now, { at: LAID + 100_000, celsius: 71 }, LAID)
    expect(jumped.pass).toBe(false)
    expect(isDoubted(jumped.now)).toBe(true)
    const back = hear(jumped.now, { at: LAID + 105_000, celsius: 40.2 }, LAID)
    expect(isDoubted(back.now)).toBe(false)
    expect(back.now.believed?.celsius).toBe(40.2)
  })

  it('that stays where it jumped to was moved: the second is believed', () => {
    const { now } = heard(every(5, 20, () => 40))
    const { now: then, passed } = heard(
      [100, 105, 110].map(s => ({ at: LAID + s * 1000, celsius: 55 })),
      LAID,
      now
    )
    expect(isDoubted(then)).toBe(false)
    expect(passed.map(p => p.celsius)).toEqual([55])
    expect(passed[0].at).toBe(LAID + 105_000)
  })

  it('twice or late is heard once', () => {
    const said = every(5, 30, i => 20 + 0.1 * i)
    expect(heard(said.flatMap(s => [s, s])).passed).toEqual(heard(said).passed)
    expect(heard([said[3], said[1]]).now.last).toBe(said[3])
  })

  it('whatever it is, no two readings are closer than a quarter of a minute', () => {
    const sample = fc.record({
      at: fc.integer({ min: LAID - 60_000, max: LAID + 3_600_000 }),
      celsius: fc.double({ min: -5, max: 110, noNaN: true })
    })
    fc.assert(
      fc.property(fc.array(sample, { maxLength: 200 }), said => {
        const { passed } = heard(said)
        for (let i = 1; i < passed.length; i++) expect(passed[i].at - passed[i - 1].at).toBeGreaterThanOrEqual(15_000)
      })
    )
  })
})
