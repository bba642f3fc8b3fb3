/**
 * Two donenesses from one piece: cooked and rested for whoever wants it rarer, cut, and the
 * rest of it put back to the heat until it too is right.
 */
import { KEEP_ENDS, run } from '#core/heat/program'
import { overCoals } from '#core/kit/grill'
import type { Oven } from '#core/kit/oven'
import { allOver } from '#core/heat/faces'
import type { Method, PlannedStage, Resting } from '#core/method/method'
import { inOven, panReady, searStages, stageIn, type Searing } from '#core/method/parts'
import { layOut, timelineOf, type Spell } from '#core/method/timeline'
import type { Setup } from '#core/method/setup'
import type { Grill } from '#core/kit/grill'
import { InfeasibleError, type Plan } from './plan'
import { solveFree } from './search'

export interface SecondServing {
  readonly where: 'oven' | 'pan' | 'coals'
  /** Back at the heat, s. */
  readonly seconds: number
  /** The core as it comes off again, °C; it peaks at the target. */
  readonly pullC: number
  readonly targetC: number
}

type Places = { readonly oven?: Oven; readonly ovenC?: number; readonly grill?: Grill; readonly grateC?: number } & Partial<Searing>

const SHORTEST = 5
const LONGEST = 90 * 60
/** The second part rests a little as well. */
const REST = 8 * 60

/** @throws InfeasibleError */
export function secondServing<S extends Resting>(method: Method<S>, setup: Setup<S>, plan: Plan, targetC: number): SecondServing {
  const { heating, rest } = timelineOf(method, setup, plan.free)
  const first = [...heating, rest(plan.carve.time - plan.pull.time)]
  const where = placeOf(setup.settings as unknown as Places)
  const again = (seconds: number): Spell[] => [...first, ...back(where, setup as Setup<unknown>, seconds), rest(REST)]
  const solved = solveFree({
    fine: method.subject(setup, 'fine'),
    coarse: method.subject(setup, 'coarse'),
    stages: again,
    goal: targetC,
    low: SHORTEST,
    high: LONGEST,
    guess: where === 'oven' ? 420 : 120,
    recording: () => KEEP_ENDS
  })
  if (solved.misses !== 'none')
    throw new InfeasibleError(
      solved.misses === 'too hot at the least'
        ? `It is past that already: it comes to ${Math.round(plan.peak.core)} °C by itself.`
        : `Not even ${LONGEST / 60} min more bring it there.`,
      solved.run.peak.core,
      solved.free
    )
  const upTo = run(method.subject(setup, 'fine'), again(solved.free).slice(0, -1), KEEP_ENDS)
  return { where, seconds: solved.free, pullC: upTo.body.centre.core, targetC }
}

/** A gentle oven would take an hour over what a hot pan does in minutes. */
const HOT_ENOUGH_C = 160
function placeOf({ oven, ovenC, grill }: Places): SecondServing['where'] {
  if (oven && (ovenC ?? 0) >= HOT_ENOUGH_C) return 'oven'
  return grill ? 'coals' : 'pan'
}

const back = (where: SecondServing['where'], setup: Setup<unknown>, seconds: number): readonly Spell[] =>
  layOut({ heating: backAt(where, setup, seconds), rest: s => stageIn('rest', 'rest', s, { kind: 'closed' }), rewarm: [] }).heating

function backAt(where: SecondServing['where'], setup: Setup<unknown>, seconds: number): PlannedStage[] {
  const settings = setup.settings as Places
  const { constants } = setup
  if (where === 'oven' && settings.oven)
    return [stageIn('oven', 'back in the oven', seconds, inOven(setup, settings.oven, settings.ovenC ?? 180))]
  if (where === 'coals') {
    const face = overCoals(settings.grateC ?? 220, constants, settings.grill)
    return [{ ...stageIn('coals', 'back over the coals', seconds, face), faces: allOver(face) }]
  }
  const searing = { ...setup, settings: { ...(settings as Searing), searS: seconds, turning: 'once', fatEdgeS: 0 } } as const
  return searStages(searing, [panReady(searing)])
}
