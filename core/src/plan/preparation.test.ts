import { describe, expect, it } from 'vitest'
import { FIRST_REQUEST } from '#core/request/firstRequest'
import { comparePreparations, USUAL_PREPARATION, warmedUp } from './preparation'
import { planMethod } from './plan'
import { asked, planned } from './planned.fixture'
import { setupOf } from '#core/request/setup'
import { thicknessesAllow, thinEndPeak } from './thickness'

const { method, setup } = setupOf(FIRST_REQUEST)

describe('what preparation is worth', () => {
  const { surfaces, out } = comparePreparations(method, setup, 54, USUAL_PREPARATION)

  it('a wet face boils before it browns: aired first, patted next, wet last', () => {
    const s = (of: keyof typeof surfaces): number => surfaces[of].browningS!
    expect(s('aired')).toBeLessThanOrEqual(s('starched'))
    expect(s('starched')).toBeLessThanOrEqual(s('patted'))
    expect(s('wet')).toBeGreaterThan(s('patted') + 4)
  })

  it('half an hour out takes off the chill by some degrees and saves a minute or less of thirteen (common practice, no source)', () => {
    const [cold, half, hour] = out
    expect(half.startC - cold.startC).toBeGreaterThan(3)
    expect(half.startC - cold.startC).toBeLessThan(6)
    expect(hour.startC - half.startC).toBeLessThan(half.startC - cold.startC)
    expect(cold.heatS! - half.heatS!).toBeGreaterThan(10)
    expect(cold.heatS! - half.heatS!).toBeLessThan(90)
    expect(hour.heatS!).toBeLessThan(half.heatS!)
  })

  it('never warmer than the room, however long', () => {
    expect(warmedUp(method, setup, 4, 0)).toBe(4)
    expect(warmedUp(method, setup, 4, 24 * 60)).toBeLessThanOrEqual(22.01)
  })
})

describe('by other methods than the pan', () => {
  it('browning is timed where it begins on the metal or over the coals, and nowhere else', () => {
    const seconds = (...args: Parameters<typeof asked>): number | null => {
      const found = setupOf(asked(...args))
      return comparePreparations(found.method, found.setup, 54, USUAL_PREPARATION).surfaces.patted.browningS
    }
    expect(seconds('sear then oven')).toBeGreaterThan(5)
    expect(seconds('oven then sear')).toBeNull()
    expect(seconds('bath then sear')).toBeNull()
  })
})

describe('what a thickness allows', () => {
  const [thin, middling, thick] = thicknessesAllow(method, setup, 54)

  it('thicker is slower and forgives more: the reason to ask for it', () => {
    expect(middling.heatS!).toBeGreaterThan(1.5 * thin.heatS!)
    expect(thick.heatS!).toBeGreaterThan(middling.heatS!)
    expect(middling.lateS).toBeGreaterThan(thin.lateS)
    expect(thick.lateS).toBeGreaterThan(middling.lateS)
  })

  it('the thin end of a wedge comes out further done, the more the thinner it is', () => {
    const peak = (thinEndMm: number): number => {
      const wedge = { ...setup, piece: { ...setup.piece, thinEndMm } }
      return thinEndPeak(method, wedge, planMethod(method, wedge, 54))!
    }
    expect(peak(32)).toBeGreaterThan(57)
    expect(peak(24)).toBeGreaterThan(peak(32) + 4)
    expect(thinEndPeak(method, setup, planned(FIRST_REQUEST).plan)).toBeNull()
  })
})
