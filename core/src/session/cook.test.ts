import { describe, expect, it } from 'vitest'
import { stripSetup } from '#core/method/setups.fixture'
import { FIRST_REQUEST } from '#core/request/firstRequest'
import { followRest, planPanSear } from '#core/plan/panPlan'
import { standing, undoable, type CookEvent } from './events'
import { callFor, callsAfter, probedRangeFromNow, pullRangeFromNow } from './call'
import { nextAction } from './nextAction'
import { progressOf, spellsUntil } from './progress'

const T0 = 1_750_000_000_000
type Told =
  | { kind: 'lit' | 'laid' | 'turned' | 'edged' | 'lifted' | 'returned' | 'pulled' | 'carved' }
  | { kind: 'reading'; coreC: number }
  | { kind: 'undone'; undoes: string }
const at = (seconds: number, what: Told, entered = seconds): CookEvent => ({
  id: `${what.kind}-${seconds}`,
  at: T0 + seconds * 1000,
  entered: T0 + entered * 1000,
  ...what
})
const now = (seconds: number): number => T0 + seconds * 1000

describe('what happened is kept as it happened', () => {
  it('turned late, told later still: the spells are those of the meat, not of the clock', () => {
    const events = [at(0, { kind: 'laid' }), at(75, { kind: 'turned' }, 110)]
    expect(spellsUntil(events, now(120))).toEqual([
      { state: 'first down', seconds: 75 },
      { state: 'second down', seconds: 45 }
    ])
  })

  it('lifted out for a while, it is out of the pan for that while and comes back on the same side', () => {
    const events = [at(0, { kind: 'laid' }), at(60, { kind: 'turned' }), at(90, { kind: 'lifted' }), at(130, { kind: 'returned' })]
    expect(spellsUntil(events, now(150)).map(s => [s.state, s.seconds])).toEqual([
      ['first down', 60],
      ['second down', 30],
      ['lifted', 40],
      ['second down', 20]
    ])
  })

  it('undone is as if it had not been, and yet it is still written', () => {
    const events = [at(0, { kind: 'laid' }), at(60, { kind: 'turned' }), at(62, { kind: 'undone', undoes: 'turned-60' })]
    expect(progressOf(events).turns).toBe(0)
    expect(spellsUntil(events, now(100))).toEqual([{ state: 'first down', seconds: 100 }])
    expect(events).toHaveLength(3)
    expect(undoable(events)?.kind).toBe('laid')
    expect(standing(events).map(e => e.kind)).toEqual(['laid'])
  })

  it('the rest begins at the pull; put back in the pan, the pull was a pause', () => {
    const pulled = [at(0, { kind: 'laid' }), at(300, { kind: 'turned' }), at(500, { kind: 'pulled' })]
    expect(progressOf(pulled).phase).toBe('resting')
    expect(spellsUntil(pulled, now(700)).reduce((sum, s) => sum + s.seconds, 0)).toBe(500)
    const back = [...pulled, at(560, { kind: 'returned' })]
    expect(progressOf(back).phase).toBe('on the heat')
    expect(spellsUntil(back, now(600)).map(s => s.state)).toEqual(['first down', 'second down', 'lifted', 'second down'])
  })

  it('readings are kept with their moment', () => {
    expect(progressOf([at(0, { kind: 'laid' }), at(120, { kind: 'reading', coreC: 17.5 })]).readings).toEqual([{ time: 120, coreC: 17.5 }])
  })
})

describe('the next thing to do', () => {
  const setup = stripSetup({ thicknessMm: 28 }, { turning: 'twice a side' })
  const plan = planPanSear(setup, 54)

  it('light, lay in when the pan is hot, turn, turn, turn, off, carve', () => {
    const events: CookEvent[] = []
    expect(nextAction(progressOf(events), plan, 200)).toEqual({ does: 'lit', due: null })
    events.push(at(-200, { kind: 'lit' }))
    expect(nextAction(progressOf(events), plan, 200)).toEqual({ does: 'laid', due: T0 })
    events.push(at(0, { kind: 'laid' }))
    for (const turn of plan.turns) {
      const next = nextAction(progressOf(events), plan, 200)
      expect(next?.does).toBe('turned')
      expect(next?.due).toBeCloseTo(T0 + turn * 1000, -1)
      events.push(at(turn, { kind: 'turned' }))
    }
    expect(nextAction(progressOf(events), plan, 200)?.does).toBe('pulled')
    events.push(at(plan.pull.time, { kind: 'pulled' }))
    expect(nextAction(progressOf(events), plan, 200)?.does).toBe('carved')
    events.push(at(plan.carve.time, { kind: 'carved' }))
    expect(nextAction(progressOf(events), plan, 200)).toBeNull()
  })

  it('the fat edge comes after the last turn, once; told late, the rest of it is still due', () => {
    const edged = { ...setup, settings: { ...setup.settings, fatEdgeS: 60 } }
    const whole = planPanSear(edged, 54)
    expect(whole.pull.time - whole.edgeAt!).toBeCloseTo(60, 6)
    const events = [at(0, { kind: 'laid' }), ...whole.turns.map(t => at(t, { kind: 'turned' }))]
    expect(nextAction(progressOf(events), whole, 200)).toMatchObject({ does: 'edged' })
    const standing = [...events, at(whole.edgeAt!, { kind: 'edged' })]
    expect(nextAction(progressOf(standing), whole, 200)?.does).toBe('pulled')
    const half = spellsUntil(standing, now(whole.edgeAt! + 20))
    expect(half.at(-1)).toMatchObject({ state: 'on edge' })
    const rest = planPanSear(edged, 54, half)
    expect(rest.pull.time).toBeGreaterThan(whole.pull.time - 5)
    expect(rest.overshoot).toBe(false)
    expect(
      callFor({ does: 'edged', due: null }, progressOf(events), whole, { ...FIRST_REQUEST, fatEdgeS: 60 }, 200, 'metric').says
    ).toContain('fat edge')
  })

  it('a first turn a minute late moves the pull, and the meat still peaks at the target', () => {
    const events = [at(0, { kind: 'laid' }), at(plan.turns[0] + 60, { kind: 'turned' })]
    const again = planPanSear(setup, 54, spellsUntil(events, now(plan.turns[0] + 60)))
    expect(again.turns).toHaveLength(plan.turns.length)
    expect(Math.abs(again.peak.core - 54)).toBeLessThan(0.1)
    expect(again.pull.time).not.toBeCloseTo(plan.pull.time, 0)
  })
})

describe('what is called out', () => {
  const setup = stripSetup({ thicknessMm: 28 })
  const plan = planPanSear(setup, 54)
  const request = { ...FIRST_REQUEST, piece: setup.piece }
  const progress = progressOf([at(0, { kind: 'laid' })])
  const advice = (does: 'pulled' | 'carved', forecast: typeof plan): string =>
    callFor({ does, due: null }, progress, forecast, request, 200, 'metric').advice

  it('names the piece, or the pieces', () => {
    expect(callFor({ does: 'turned', due: null }, progress, plan, request, 200, 'metric').says).toBe('Turn the strip steak')
    const two = { ...request, piece: { ...request.piece, count: 2 } }
    expect(callFor({ does: 'turned', due: null }, progress, plan, two, 200, 'metric').says).toBe('Turn the 2 pieces')
  })

  it('at the pull it gives the reading to wait for, in the cook’s own degrees, or says that it is too late', () => {
    expect(advice('pulled', plan)).toContain(`${Math.round(plan.pull.core)}\u00a0°C`)
    expect(callFor({ does: 'pulled', due: null }, progress, plan, request, 200, 'us').advice).toMatch(/°F/)
    expect(advice('pulled', planPanSear(setup, 54, [{ state: 'first down', seconds: 1500 }]))).toMatch(/whatever you do/)
  })

  it('in the rest it says where the piece will end when that is not where it was to', () => {
    expect(advice('carved', plan)).toMatch(/Leave it alone/)
    expect(advice('carved', followRest(setup, 54, plan.spells.slice(0, 4)))).toMatch(/Pulled early/)
    expect(
      advice(
        'carved',
        followRest(setup, 54, [...plan.spells, { state: 'first down', seconds: 120 }, { state: 'second down', seconds: 120 }])
      )
    ).toMatch(/carve sooner/)
  })

  it('the range of the pull moves with the forecast and is never in the past', () => {
    const later = { ...plan, pull: { ...plan.pull, time: plan.pull.time + 30 } }
    const [low, high] = pullRangeFromNow(later, plan.pull.time, [400, 450, 520], 100)
    expect(low).toBeCloseTo(330, 6)
    expect(high).toBeCloseTo(450, 6)
    expect(pullRangeFromNow(plan, plan.pull.time, [400, 450, 520], 5000)).toEqual([0, 0])
    expect(probedRangeFromNow(plan, { sooner: 0.95, later: 1.1 }, 100)).toEqual([0.95 * plan.pull.time - 100, 1.1 * plan.pull.time - 100])
    expect(probedRangeFromNow(plan, { sooner: 0.95, later: 1.1 }, 5000)).toEqual([0, 0])
    expect(callsAfter({ does: 'turned', due: null }, plan, [330, 450], 'metric').map(c => c.what)).toEqual([
      expect.stringMatching(/^off the heat at/),
      'rest'
    ])
    expect(callsAfter({ does: 'pulled', due: null }, plan, [0, 0], 'metric').map(c => c.what)).toEqual(['rest'])
  })
})
