/**
 * The one thing to do next, and when: from where the cook stands and the forecast
 * made for it.
 */
import type { PanPlan } from '#core/plan/panPlan'
import type { EventKind } from './events'
import type { Progress } from './progress'

export interface NextAction {
  readonly does: Extract<EventKind, 'lit' | 'laid' | 'turned' | 'edged' | 'moved' | 'returned' | 'pulled' | 'carved'>
  /** Epoch ms; null where it waits for nothing but the cook. */
  readonly due: number | null
}

/**
 * @param forecast made from this cook's own past; its times are seconds since laying in
 * @param preheat s
 * @returns null once carved
 */
export function nextAction(progress: Progress, forecast: PanPlan, preheat: number): NextAction | null {
  const since = (seconds: number): number => (progress.laidAt ?? 0) + seconds * 1000
  switch (progress.phase) {
    case 'ready':
      return { does: 'lit', due: null }
    case 'heating':
      return { does: 'laid', due: (progress.litAt ?? 0) + preheat * 1000 }
    case 'on the heat': {
      const turn = forecast.turns[progress.turns] as number | undefined
      if (turn !== undefined && turn < forecast.pull.time) return { does: 'turned', due: since(turn) }
      return forecast.edgeAt !== null && !progress.edged
        ? { does: 'edged', due: since(forecast.edgeAt) }
        : { does: 'pulled', due: since(forecast.pull.time) }
    }
    case 'lifted':
      return { does: 'returned', due: null }
    case 'resting':
      return { does: 'carved', due: since(forecast.carve.time) }
    case 'carved':
      return null
  }
}
