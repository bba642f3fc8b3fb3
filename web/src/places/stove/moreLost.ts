import type { Plan } from '#core/plan/plan'

/** Less of the raw weight is not seen in the pan nor on the scales, share. */
const WORTH_SAYING = 0.003

/** ", 1.2 % more of its weight lost": what a way out costs in juice; empty where that is nothing to speak of. */
export function moreLost(instead: Pick<Plan, 'loss'>, now: Pick<Plan, 'loss'>): string {
  const more = instead.loss - now.loss
  if (Math.abs(more) < WORTH_SAYING) return ''
  return `, ${Math.abs(100 * more).toFixed(1)}\u00a0% ${more > 0 ? 'more' : 'less'} of its weight lost`
}
