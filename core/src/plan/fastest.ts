/** How soon a steak could be done at all, whatever the fire: by the exact solution, and not by the engine. */
import { conductivityOf, densityOf, specificHeatOf } from '#core/heat/properties'
import { boilingPoint } from '#core/heat/vapour'
import type { Cut } from '#core/meat/cut'
import { compositionOf } from '#core/meat/piece'
import type { PlanRequest } from '#core/request/request'
import type { Plan } from './plan'

/** The substance at the middle of the way, °C. */
const MIDWAY_C = 50

/**
 * Until its middle is as warm as the plan takes it off at, with both its faces at the boiling point of its water from
 * the first moment: meat that has water in it is nowhere hotter, so no pan and no coals are sooner. What is crust by the
 * end is taken off beforehand. The slab's series, of which the first term is all by then (H. S. Carslaw and
 * J. C. Jaeger, Conduction of Heat in Solids, 1959; from memory).
 * @returns s
 */
export function fastestS({ piece, room }: Pick<PlanRequest, 'piece' | 'room'>, cut: Cut, plan: Pick<Plan, 'pull' | 'section'>): number {
  const mix = compositionOf(piece, cut)
  const diffusivity = conductivityOf(mix, MIDWAY_C) / (densityOf(mix, MIDWAY_C) * specificHeatOf(mix, MIDWAY_C))
  const [first, second] = plan.section.crustMm
  const through = (piece.thicknessMm - first - second) / 1000
  const boiling = boilingPoint(room.altitudeM)
  const left = (boiling - plan.pull.core) / (boiling - piece.startC)
  return Math.max(0, ((through / Math.PI) ** 2 / diffusivity) * Math.log(4 / (Math.PI * left)))
}
