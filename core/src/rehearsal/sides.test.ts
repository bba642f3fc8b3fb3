/** What stands beside the beef in a rehearsal: called round it, and priced by what a table would notice. */
import { describe, expect, it } from 'vitest'
import { planned } from '#core/plan/planned.fixture'
import { EXERCISES, exerciseById } from './exercises'
import { sideCalls } from './sideCalls'
import { sidesCost, sidesServed, type SideDone } from './sides'

const SERVICE = exerciseById('whole-service')!
const CALLS = sideCalls(SERVICE)

describe('the sides of a rehearsal', () => {
  it('are called in the order of time, after the first piece is in and before all is carved', () => {
    const carvedS = Math.max(...SERVICE.parts.map(p => planned(p.request).plan.carve.time))
    const due = CALLS.map(c => c.dueS)
    expect(due).toEqual([...due].sort((a, b) => a - b))
    expect(due[0]).toBeGreaterThan(0)
    expect(due.at(-1)).toBeLessThan(carvedS)
    expect(new Set(CALLS.map(c => c.of)).size).toBe(SERVICE.sides!.length)
    expect(new Set(CALLS.map(c => c.id)).size).toBe(CALLS.length)
    // What cools is made last, what keeps is made before.
    const last = (of: RegExp): number => Math.max(...CALLS.filter(c => of.test(c.of)).map(c => c.dueS))
    expect(last(/salad/i)).toBeGreaterThan(last(/horseradish/i))
  })

  it('are none where an exercise has none', () => {
    for (const e of EXERCISES.filter(x => !x.sides)) expect(sideCalls(e)).toEqual([])
  })

  const LAID = 1_000_000
  const done = (lateS: (call: (typeof CALLS)[number]) => number | null): SideDone[] =>
    CALLS.map(c => {
      const late = lateS(c)
      return { ...c, doneAt: late === null ? null : LAID + 1000 * (c.dueS + late) }
    })
  const cost = (calls: readonly SideDone[]): number => sidesCost(sidesServed(calls, LAID))

  it('cost nothing within three minutes of their time, a point for each minute past that, and eight where one is never made', () => {
    expect(cost(done(() => 0))).toBe(0)
    expect(cost(done(() => 170))).toBe(0)
    expect(cost(done(() => -170))).toBe(0)
    const salad = (lateS: number | null) => cost(done(c => (/salad/i.test(c.of) ? lateS : 0)))
    expect(salad(180 + 240)).toBe(4)
    expect(salad(-180 - 240)).toBe(4)
    expect(salad(3600)).toBe(8)
    expect(salad(null)).toBe(8)
    expect(cost(done(() => null))).toBe(8 * SERVICE.sides!.length)
  })

  it('go by the step that was furthest off', () => {
    const [first] = CALLS
    const served = sidesServed(
      done(c => (c.id === first.id ? -600 : 60)),
      LAID
    )
    expect(served.find(s => s.of === first.of)?.offS).toBe(-600)
    expect(served.filter(s => s.of !== first.of).every(s => s.offS === 60)).toBe(true)
    expect(
      sidesServed(
        done(c => (c.id === first.id ? null : 0)),
        LAID
      )[0]
    ).toEqual({ of: first.of, offS: null })
  })
})
