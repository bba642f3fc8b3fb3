/** The one thing to do next, and when: from where the cook stands in its program and the forecast made for it. */
import type { UnderWay } from '#core/estimate/underWay'
import type { EventKind } from './events'
import type { NotBefore } from './inService'
import type { Progress, Reading } from './progress'
import { IN_THE_PAN, ringFollows, type Preheats } from './warmUp'

export interface NextAction {
  readonly does: Extract<EventKind, 'lit' | 'laid' | 'turned' | 'edged' | 'moved' | 'looked' | 'returned' | 'pulled' | 'halved' | 'carved'>
  /** Epoch ms; null where it waits for nothing but the cook. */
  readonly due: number | null
}

const isWaiting = (when: NotBefore): when is { readonly afterS: number } => typeof when === 'object' && when !== null

/** K: nearer than this it is there. */
const THERE_K = 0.3
/** What comes out so soon is looked at then. */
const SOON_OUT_S = 120

/**
 * @param forecast made from this cook's own past; its times are seconds since laying in
 * @param believed the last reading, unless it is doubted: at or past what the pull is at, it comes off at once
 * @param lookAfter s after it went in; null where there is nothing to look at
 * @param notBefore when it may go in beside others: its fire is lit for then
 * @returns null once carved, or while it waits for another and its fire is lit
 */
export function nextAction(
  progress: Progress,
  forecast: UnderWay,
  preheats: Preheats,
  believed: Reading | null = null,
  notBefore: NotBefore = null,
  lookAfter: number | null = null
): NextAction | null {
  const since = (seconds: number): number => (progress.laidAt ?? 0) + seconds * 1000
  switch (progress.state) {
    case 'ready':
      if (isWaiting(notBefore)) return notBefore.afterS > preheats.first ? null : { does: 'lit', due: null }
      return { does: 'lit', due: notBefore === null ? null : notBefore - preheats.first * 1000 }
    case 'heating': {
      const [began, ring] = progress.lits
      const laid = (hotAt: number): NextAction | null =>
        isWaiting(notBefore) ? null : { does: 'laid', due: Math.max(hotAt, notBefore ?? 0) + progress.later.in * 1000 }
      if (!ringFollows(preheats, forecast.marks)) return laid(began + preheats.first * 1000)
      return progress.lits.length < 2
        ? { does: 'lit', due: began + (preheats.first - preheats.pan) * 1000 }
        : laid(Math.max(began + preheats.first * 1000, ring + preheats.pan * 1000))
    }
    case 'on the heat': {
      const { marks, pull, overdue } = forecast
      if (believed && believed.coreC >= pull.probe - THERE_K) return { does: 'pulled', due: since(believed.time) }
      const here = marks[Math.min(progress.moves, marks.length - 1)]
      const next = marks.at(progress.moves + 1)
      if (next === undefined) {
        const worth = lookAfter !== null && !progress.looked && lookAfter < pull.time - SOON_OUT_S
        return worth ? { does: 'looked', due: since(lookAfter) } : { does: 'pulled', due: since(pull.time - overdue) }
      }
      if (IN_THE_PAN.has(next.phase) && !IN_THE_PAN.has(here.phase) && !progress.lits.some(at => at > (progress.laidAt ?? 0)))
        return { does: 'lit', due: since(Math.max(0, next.from - preheats.pan)) }
      return {
        does: next.stage === here.stage ? 'turned' : next.phase === 'fat edge' ? 'edged' : 'moved',
        due: since(next.from - overdue)
      }
    }
    case 'lifted':
      return { does: 'returned', due: null }
    case 'resting':
      return whileItRests(progress, forecast, preheats, since)
    case 'carved':
      return null
  }
}

/** After the rest it may be kept warm, chilled, or back in the pan before it is carved. */
function whileItRests(
  { onward, lits, pulledAt, inWaves, halvedAt }: Progress,
  { afterRest, carve }: UnderWay,
  preheats: Preheats,
  since: (seconds: number) => number
): NextAction {
  const here = onward.length === 0 ? undefined : afterRest.at(Math.min(onward.length, afterRest.length) - 1)
  const next = afterRest.at(onward.length)
  const last = onward.at(-1)
  // A minute a face in the pan is a minute, however late it went in; a low oven and a fridge are left when the table calls.
  const slip = here && last !== undefined && IN_THE_PAN.has(here.phase) ? last - since(here.from) : 0
  if (next === undefined) return { does: inWaves && halvedAt === null ? 'halved' : 'carved', due: since(carve.time) + slip }
  if (IN_THE_PAN.has(next.phase) && next.stage !== here?.stage && !lits.some(at => at > (pulledAt ?? 0)))
    return { does: 'lit', due: Math.max(pulledAt ?? 0, since(next.from - preheats.pan)) }
  return { does: next.stage === here?.stage ? 'turned' : 'moved', due: since(next.from) + slip }
}
