import { describe, expect, it } from 'vitest'
import { cutById } from '#core/meat/cuts'
import { FIRST_REQUEST } from '#core/request/firstRequest'
import { planPanSear } from './panPlan'
import { afterwards, checklistFor, comparePreparations, USUAL_PREPARATION, warmedUp } from './preparation'
import { setupOf } from '#core/request/request'
import { thicknessesAllow, thinEndPeak } from './thickness'

const setup = setupOf(FIRST_REQUEST)
const strip = cutById('strip')!

describe('what preparation is worth', () => {
  const { surfaces, out } = comparePreparations(setup, 54, USUAL_PREPARATION)

  it('a wet face boils before it browns: aired first, patted next, wet last', () => {
    const s = (of: keyof typeof surfaces): number => surfaces[of].browningS!
    expect(s('aired')).toBeLessThanOrEqual(s('starched'))
    expect(s('starched')).toBeLessThanOrEqual(s('patted'))
    expect(s('wet')).toBeGreaterThan(s('patted') + 5)
  })

  it('half an hour out takes off the chill by some degrees and saves a minute or less of thirteen (common practice, no source)', () => {
    const [cold, half, hour] = out
    expect(half.startC - cold.startC).toBeGreaterThan(2)
    expect(half.startC - cold.startC).toBeLessThan(7)
    expect(cold.heatS! - half.heatS!).toBeGreaterThan(10)
    expect(cold.heatS! - half.heatS!).toBeLessThan(90)
    expect(hour.heatS!).toBeLessThan(half.heatS!)
  })

  it('never warmer than the room, however long', () => {
    expect(warmedUp(setup, 4, 0)).toBe(4)
    expect(warmedUp(setup, 4, 24 * 60)).toBeLessThanOrEqual(22.01)
  })
})

describe('the checklist', () => {
  it('is dated back in order, and every task says why', () => {
    const tasks = checklistFor(
      { ...USUAL_PREPARATION, surface: 'aired', salt: 'the day before', outMin: 30, tie: true },
      strip,
      FIRST_REQUEST.piece
    )
    const before = tasks.map(t => t.before)
    expect([...before].sort((a, b) => b - a)).toEqual(before)
    for (const t of tasks) expect(t.because.length).toBeGreaterThan(15)
    expect(tasks.find(t => t.id === 'salt')?.before).toBe(24 * 3600)
    expect(tasks.find(t => t.id === 'out')?.before).toBe(30 * 60)
  })

  it('names this cut’s own knife work, and none for a cut without', () => {
    const ids = (id: string): string[] =>
      checklistFor(USUAL_PREPARATION, cutById(id)!, { ...FIRST_REQUEST.piece, cutId: id }).map(t => t.id)
    expect(ids('strip')).toContain('knife sinew strip')
    expect(ids('rump-cap')).toContain('knife fat cap')
    expect(checklistFor({ ...USUAL_PREPARATION, knife: false }, strip, FIRST_REQUEST.piece).some(t => t.id.startsWith('knife'))).toBe(false)
  })

  it('salt drawn for forty minutes is patted off; salt left for the table is not on the list before', () => {
    const texts = (salt: (typeof USUAL_PREPARATION)['salt']): string[] =>
      checklistFor({ ...USUAL_PREPARATION, salt }, strip, FIRST_REQUEST.piece).map(t => t.id)
    expect(texts('40 min before')).toContain('pat after salt')
    expect(texts('after')).not.toContain('salt')
    expect(afterwards({ ...USUAL_PREPARATION, salt: 'after' }).join()).toMatch(/Salt the cut faces/)
  })
})

describe('what a thickness allows', () => {
  const [thin, middling, thick] = thicknessesAllow(setup, 54)

  it('thicker is slower and forgives more: the reason to ask for it', () => {
    expect(middling.heatS!).toBeGreaterThan(1.5 * thin.heatS!)
    expect(thick.heatS!).toBeGreaterThan(middling.heatS!)
    expect(middling.lateS).toBeGreaterThan(thin.lateS)
    expect(thick.lateS).toBeGreaterThan(middling.lateS)
  })

  it('the thin end of a wedge comes out further done, the more the thinner it is', () => {
    const peak = (thinEndMm: number): number => {
      const wedge = { ...setup, piece: { ...setup.piece, thinEndMm } }
      const plan = planPanSear(wedge, 54)
      return thinEndPeak(wedge, plan.spells, plan.carve.time - plan.pull.time)!
    }
    expect(peak(32)).toBeGreaterThan(57)
    expect(peak(24)).toBeGreaterThan(peak(32) + 4)
    expect(thinEndPeak(setup, [], 60)).toBeNull()
  })
})
