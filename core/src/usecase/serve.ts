/** Everything on a ticket laid out for one moment. */
import type { Dish, Kitchen } from '#core/service/dish'
import { schedule, type Service } from '#core/service/schedule'

export const serve = (dishes: readonly Dish[], kitchen: Kitchen): Service => schedule(dishes, kitchen)
