/** Who of the table eats of a piece, how, and who should not have it rare. */
import type { Guest, Guests, PlanRequest } from './request'

export const eats = ({ noMeat }: Guest): boolean => noMeat !== true
export const eaters = ({ named }: Pick<Guests, 'named'>): Guest[] => named.filter(eats)

/** Each doneness that is wanted once, the rarest first; that of the plan where nobody is named who eats of it. */
export function wantedOf({ target, guests }: Pick<PlanRequest, 'target' | 'guests'>): number[] {
  const wanted = new Set(eaters(guests).map(g => g.targetC))
  return wanted.size === 0 ? [target.coreC] : [...wanted].sort((a, b) => a - b)
}

/** The rarest that somebody at risk gets, °C: of one who is named what that one wants, else the rarest there is; null where nobody is. */
export function atRiskC(request: Pick<PlanRequest, 'target' | 'guests'>): number | null {
  if (request.guests.atRisk) return Math.min(request.target.coreC, ...wantedOf(request))
  const theirs = eaters(request.guests).flatMap(g => (g.atRisk ? g.targetC : []))
  return theirs.length === 0 ? null : Math.min(...theirs)
}
