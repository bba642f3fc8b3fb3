/** The hand test and the drills: held against what the engine says itself, and what cooks know. */
import { describe, expect, it } from 'vitest'
import { cutById } from '#core/meat/cuts'
import { SIDE } from '#core/meat/side'
import type { Plan } from '#core/plan/plan'
import { plan } from '#core/usecase/plan'
import { draw, DRILLS, questionOf, type DrillKind, type Question } from './drills'
import { feelOf } from './feel'
import { feltInPans } from './felt'
import { disagreement, HAND_SCHOOLS, meantBy, meantByAll, PADS } from './hand'

describe('what a finger can tell', () => {
  const felt = feltInPans()

  it('the further it is cooked the stiffer it is, and as much by how it was turned as by its middle', () => {
    for (const mm of [22, 44]) {
      const once = felt.filter(f => f.thicknessMm === mm).filter((_, i) => i % 2 === 0)
      expect(once.map(f => f.stiffness)).toEqual(once.map(f => f.stiffness).sort((a, b) => a - b))
    }
    const at = (coreC: number): number[] => felt.filter(f => f.thicknessMm === 44 && f.coreC === coreC).map(f => f.stiffness)
    // Turned once a rare one presses like one turned each minute and eight degrees further.
    expect(at(50)[0]).toBeGreaterThan(at(54)[1])
  })

  it('the same feel is found eight degrees apart and more', () => {
    for (const feel of ['gives, and comes back', 'firm, with a little give'] as const) {
      const [least, most] = meantBy(feel, felt)!
      expect(most - least).toBeGreaterThanOrEqual(8)
    }
    expect(meantByAll(felt)).toHaveLength(5)
    expect(meantBy('soft as raw', felt)).toBeNull()
  })

  it('the schools say something of every pad, each further than the one before, and not the same', () => {
    for (const { means } of HAND_SCHOOLS) {
      expect(means).toHaveLength(PADS.length)
      expect(means).toEqual([...means].sort((a, b) => a - b))
    }
    const apart = PADS.map((_, i) => disagreement(i)).map(([least, most]) => most - least)
    expect(Math.max(...apart)).toBeGreaterThan(10)
  })
})

describe('a drill', () => {
  const plansFor = (requests: Parameters<typeof plan>[0][]): Plan[] =>
    requests.map(r => {
      const answer = plan(r)
      if ('refused' in answer) throw new Error(answer.refused)
      return answer.plan
    })
  const asked = (kind: DrillKind, seed: number): { readonly question: Question | null; readonly plans: Plan[] } => {
    const drawn = draw(kind, seed)
    const plans = plansFor([...drawn.requests])
    return { question: questionOf(drawn, plans, seed % 2 ? 'metric' : 'us'), plans }
  }

  it.each(DRILLS)('%s: the same seed asks the same, one answer of several is right, and says why', kind => {
    const questions = [3, 4, 7, 8].flatMap(seed => asked(kind, seed).question ?? [])
    expect(questions.length).toBeGreaterThan(1)
    for (const q of questions) {
      expect(new Set(q.options).size).toBe(q.options.length)
      expect(q.options[q.right]).toBeTypeOf('string')
      expect(q.why).toMatch(/\.$/)
    }
    expect(asked(kind, 7)).toEqual(asked(kind, 7))
  })

  it('names the muscle that is marked', () => {
    for (const seed of [11, 12, 13, 14]) {
      const { question } = asked('muscle', seed)
      const marked = SIDE.find(m => m.id === (question!.shows as { muscle: string }).muscle)!
      expect(question!.options[question!.right]).toBe(marked.label)
    }
  })

  it('sends the knife square to the fibres', () => {
    const flatIron = cutById('flat-iron')!
    const found = Array.from({ length: 60 }, (_, seed) => asked('grain', seed).question!).find(q =>
      q.asks.includes(flatIron.name.toLowerCase())
    )
    expect(flatIron.grain.runs).toBe('across')
    expect(found!.options[found!.right]).toBe('Along its length')
  })

  it('climbs as far as the plan climbs, and is not asked where it is on the line between two', () => {
    for (const seed of [21, 22, 23, 24, 25]) {
      const { question, plans } = asked('climb', seed)
      const climb = plans[0].peak.core - plans[0].pull.core
      if (question === null) expect(Math.min(...[2, 5, 8].map(c => Math.abs(c - climb)))).toBeLessThan(0.4)
      else expect(question.right).toBe([2, 5, 8].filter(c => climb >= c).length)
    }
  })

  it('of two the one that is carved first is first', () => {
    const { question, plans } = asked('first', 31)
    expect(plans[question!.right].carve.time).toBeLessThan(plans[1 - question!.right].carve.time)
  })

  it('what is pressed is as stiff as what is looked at is cooked', () => {
    const felt = [41, 42, 43].map(seed => asked('finger', seed))
    for (const { question, plans } of felt) {
      const { stiffness } = question!.shows as { stiffness: number }
      expect(question!.why).toContain(feelOf(stiffness))
      if (plans[0].peak.core > 64) expect(stiffness).toBeGreaterThan(0.7)
      if (plans[0].peak.core < 47) expect(stiffness).toBeLessThan(0.45)
    }
  })
})
