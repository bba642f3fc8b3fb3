/** How a piece of the service is got ready: as it was chosen on the bench, what of its list is done, and where it came from. */
import type { Cut } from '#core/meat/cut'
import { USUAL_PREPARATION, usuallyTied, type Preparation } from '#core/plan/preparation'
import type { Packet } from '#core/shop/larder'

export interface Prepared {
  readonly how: Preparation
  /** Tasks of its list, by their ids. */
  readonly ticked: readonly string[]
  /** Of the larder, as it was then. */
  readonly packet?: Packet
}

export const UNPREPARED: Prepared = { how: USUAL_PREPARATION, ticked: [] }

/** Another piece is got ready by the same schools, from the fridge, and nothing of it is done. @param cut of that piece */
export const preparedAnew = ({ how }: Prepared, cut: Cut): Prepared => ({
  how: { ...how, from: 'fridge', marinade: 'none', tie: usuallyTied(cut) },
  ticked: []
})
