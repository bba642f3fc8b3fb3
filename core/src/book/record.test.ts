import { describe, expect, it } from 'vitest'
import type { CookEvent } from '#core/session/events'
import { FIRST_REQUEST } from '#core/request/firstRequest'
import { planned as planOf } from '#core/plan/planned.fixture'
import { plannedOf, seenOf } from './record'

describe('what goes into the book', () => {
  const { plan } = planOf(FIRST_REQUEST)
  const planned = plannedOf(plan, null, 212.34)
  const T0 = 1_750_000_000_000
  const event = (kind: 'laid' | 'pulled' | 'carved', s: number): CookEvent => ({
    id: `${kind}-${s}`,
    kind,
    at: T0 + s * 1000,
    entered: T0 + s * 1000
  })
  const read = (s: number, coreC: number): CookEvent => ({
    id: `read-${s}`,
    kind: 'reading',
    coreC,
    at: T0 + s * 1000,
    entered: T0 + s * 1000
  })

  it('the plan thinned keeps its ends and its peak', () => {
    expect(planned.curve.timeS.length).toBeLessThan(100)
    expect(planned.curve.timeS[0]).toBe(0)
    expect(Math.max(...planned.curve.coreC)).toBeCloseTo(plan.peak.core, 0)
    expect(planned.section.edgesMm).toHaveLength(planned.section.hottestC.length + 1)
  })

  it('what was seen: the reading nearest the pull counts for it, the highest for the peak', () => {
    const events = [event('laid', 0), read(300, 20), read(590, 44), event('pulled', 600), read(900, 53.5), event('carved', 960)]
    expect(seenOf({ events, planned })).toMatchObject({ pullS: 600, pullC: 44, highestC: 53.5, restS: 360, lateBy: 600 - planned.pullS })
  })

  it('nothing seen is nothing said', () => {
    expect(seenOf({ events: [], planned })).toEqual({ pullS: null, pullC: null, highestC: null, restS: null, turns: 0, lateBy: null })
  })
})
