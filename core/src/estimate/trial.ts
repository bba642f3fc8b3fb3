/** A plan turned into the trial that beliefs are drawn from. */
import { rested, type Method, type Resting } from '#core/method/method'
import { edgeSeconds, flatSpells, panSear, panStages, panSubject, type PanSetup, type Spell } from '#core/method/panSear'
import type { Setup } from '#core/method/setup'
import type { Trial } from './belief'
import type { Plan } from '#core/plan/plan'
import type { PanPlan } from '#core/plan/panPlan'

const LONGEST_REST = 60 * 60

export function trialOf<S extends Resting>(method: Method<S>, setup: Setup<S>, plan: Plan): Trial<S> {
  return {
    setup,
    subject: method.subject,
    stages: (varied, free) => rested(method.program(varied, free), varied),
    free: plan.free,
    goal: method.goal(setup, plan.target)
  }
}

/** In a pan the turns stay where the plan has them: more time goes on in its rhythm, less cuts it short. */
export function panTrialOf(setup: PanSetup, plan: PanPlan): Trial<PanSetup['settings']> {
  return {
    setup,
    subject: panSubject,
    stages: (varied, free) => panStages(varied, inRhythm(plan.spells, free), LONGEST_REST),
    free: plan.pull.time - edgeSeconds(plan.spells),
    goal: panSear.goal(setup, plan.target)
  }
}

function inRhythm(spells: readonly Spell[], seconds: number): Spell[] {
  const flat = flatSpells(spells)
  const few = flat.length <= 4
  const last = flat[flat.length - 1]
  const other = last.state === 'first down' ? 'second down' : 'first down'
  const found: Spell[] = []
  let left = seconds
  for (let i = 0; left > 0; i++) {
    const more = (i - flat.length) % 2 === 0 && !few ? other : last.state
    const spell: Spell = i < flat.length ? flat[i] : { state: more, seconds: few ? left : last.seconds }
    found.push({ ...spell, seconds: Math.min(left, spell.seconds) })
    left -= spell.seconds
  }
  return [...found, ...spells.filter(s => s.state === 'on edge')]
}
