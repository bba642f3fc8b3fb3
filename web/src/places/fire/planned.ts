/** A method that can be planned, as the comparison shows it. */
import type { Compared } from '#core/plan/compare'
import { showDuration, shownText } from '#core/quantity/format'

export type Planned = Extract<Compared, { plan: unknown }>
export const planned = (compared: Compared | null): Planned | null => (compared && 'plan' in compared ? compared : null)

/** Hours without the word for minutes: the columns are narrow. */
export const spanText = (seconds: number): string =>
  seconds < 3570 ? shownText(showDuration(seconds)) : showDuration(seconds).figure + (seconds % 3600 < 30 ? ' h' : '')
