/** What the parts of a plan are called. */
import type { PhaseSpan } from '#core/plan/plan'
import { showDuration, shownText } from '#core/quantity/format'

/** Spells between which it is turned are one thing to a cook, with a turn every so often. */
export function phaseName(span: PhaseSpan): string {
  const turned = turnedText(span)
  return turned === null ? shortName(span) : `${shortName(span)}, turned ${turned}`
}

/** The same where there is little room. */
export const shortName = ({ phase, name, spells }: PhaseSpan): string =>
  phase === 'fat edge' ? 'fat edge' : spells === 1 ? name : phase === 'coals' ? 'over the coals' : phase

/** “once”, “every 60 s”; null where it lies as it was laid. */
export function turnedText({ spells, from, to }: PhaseSpan): string | null {
  if (spells === 1) return null
  return spells === 2 ? 'once' : `every ${shownText(showDuration((to - from) / spells))}`
}
