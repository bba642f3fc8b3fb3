/** What has happened where all has gone by the plan so far. */
import { otherDown, type Down } from '#core/method/timeline'
import type { Plan } from '#core/plan/plan'
import type { Spent } from './underWay'

/** @param until s since it was laid in */
export function asPlanned({ marks, pull }: Pick<Plan, 'marks' | 'pull'>, until: number): Spent[] {
  let down: Down = 'first'
  return marks.flatMap(({ from, stage }, i) => {
    down = i > 0 && marks[i - 1].stage === stage ? otherDown(down) : 'first'
    const to = Math.min(until, marks.at(i + 1)?.from ?? Math.max(until, pull.time))
    return to > from ? [{ stage, down, seconds: to - from }] : []
  })
}
