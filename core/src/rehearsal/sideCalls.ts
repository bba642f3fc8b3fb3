/**
 * What stands beside the beef in a rehearsal: its steps are called as in earnest, and done or not. Nothing of it is
 * hidden. It is laid out once, for two pairs of hands, round the plans of the pieces as they are told.
 */
import { planMethod } from '#core/plan/plan'
import { setupOf } from '#core/request/setup'
import { beefDish } from '#core/service/beef'
import { callsOf } from '#core/service/calls'
import type { Kitchen } from '#core/service/dish'
import { dishOf } from '#core/service/recipe'
import { shippedRecipe } from '#core/service/recipes'
import { schedule } from '#core/service/schedule'
import type { Exercise } from './exercises'
import type { SideCall } from './sides'

const KITCHEN: Kitchen = { tools: { ring: ['large', 'small'], oven: ['oven'], grill: ['grill'], bath: ['bath'] }, cooks: 2 }

/** @returns in the order of time; empty where the exercise has no sides */
export function sideCalls({ parts, sides = [], diners = 1 }: Exercise): SideCall[] {
  if (sides.length === 0) return []
  const plans = parts.map(({ request }) => {
    const { method, setup, targetC, byClockS } = setupOf(request)
    return planMethod(method, setup, targetC, byClockS)
  })
  const beef = parts.map(({ request }, i) => beefDish(`beef ${i}`, 'beef', request, plans[i], diners))
  const ringW = Math.max(...parts.map(({ request }) => request.kit.ring.powerW))
  const dishes = sides.flatMap(id => {
    const recipe = shippedRecipe(id)
    return recipe ? [dishOf(id, recipe, { diners, ringW })] : []
  })
  const carvedS = Math.max(...plans.map(p => p.carve.time))
  return callsOf(schedule([...beef, ...dishes], KITCHEN)).flatMap(({ id, at, text, dishId }) => {
    const dish = dishes.find(d => d.id === dishId)
    return dish ? [{ id, of: dish.name, says: text, dueS: Math.round(carvedS + at) }] : []
  })
}
