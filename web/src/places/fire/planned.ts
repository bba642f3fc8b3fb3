/** A method that can be planned, as the comparison shows it. */
import type { Planned } from '#core/plan/compare'
import { showDuration, shownText } from '#core/quantity/format'

import type { Weighed } from '../../stores/methods'

export type Suited = Extract<Weighed, Planned>
export const planned = (weighed: Weighed | null): Suited | null => (weighed && 'plan' in weighed ? weighed : null)

/** Hours without the word for minutes: the columns are narrow. */
export const spanText = (seconds: number): string =>
  seconds < 3570 ? shownText(showDuration(seconds)) : showDuration(seconds).figure + (seconds % 3600 < 30 ? ' h' : '')
