/** How long what a cook needs takes to be hot, and what is lit when. Seconds. */
import { preheatSeconds } from '#core/kit/pan'
import { WARM_UP_S } from '#core/kit/warmUp'
import type { Phase } from '#core/method/method'
import type { Mark } from '#core/plan/plan'
import type { PlanRequest } from '#core/request/request'
import { settingsOf } from '#core/request/setup'

/** A pan that its ring only just brings to its heat. */
const PAN_S = 4 * 60

export const IN_THE_PAN: ReadonlySet<Phase> = new Set<Phase>(['sear', 'fat edge', 'rewarm'])

function warmUp(stage: Phase, { kit }: PlanRequest, panS: number): number {
  switch (stage) {
    case 'sear':
    case 'fat edge':
    case 'rewarm':
      return panS
    case 'oven':
      return WARM_UP_S.oven
    case 'coals':
    case 'under the lid':
      return WARM_UP_S[kit.grill?.fuel ?? 'charcoal']
    case 'bath':
      return WARM_UP_S.bath
    case 'pot':
      return WARM_UP_S.pot
    case 'cool':
    case 'rest':
    case 'hold':
    case 'chill':
      return 0
  }
}

/** The pan's own, s; null where its ring never brings it there. */
export function panWarmUp(request: Pick<PlanRequest, 'piece' | 'kit' | 'room' | 'target' | 'method'>): number | null {
  const { panC } = settingsOf(request) as { readonly panC?: number }
  return panC === undefined ? PAN_S : preheatSeconds(request.kit.pan, request.kit.ring, panC, request.room.temperatureC)
}
export const panHotAfter = (request: Pick<PlanRequest, 'piece' | 'kit' | 'room' | 'target' | 'method'>): number =>
  panWarmUp(request) ?? PAN_S

export interface Preheats {
  /** What is lit first. */
  readonly leads: Phase
  /** From then until the piece may be laid in, s: so long that what comes later is ready in time too. */
  readonly first: number
  /** The pan's own, s. */
  readonly pan: number
}

/** What is slow is lit first, then the ring, so that the pan does not burn dry meanwhile; a ring for a later stage when its turn comes. */
export function preheatsOf(request: PlanRequest, marks: readonly Pick<Mark, 'phase' | 'from'>[]): Preheats {
  const panS = panHotAfter(request)
  const atOnce = marks.filter(({ phase, from }) => from === 0 || !IN_THE_PAN.has(phase))
  const needed = atOnce.map(({ phase, from }) => ({ phase, seconds: warmUp(phase, request, panS) - from }))
  const slowest = needed.reduce((most, n) => (n.seconds > most.seconds + A_WHILE_S ? n : most))
  return { leads: slowest.phase, first: Math.max(0, slowest.seconds), pan: panS }
}
/** Nearer together than this two things are lit at once, s. */
const A_WHILE_S = 30

/** Whether the ring is lit after something slower, for the piece to begin in the pan. */
export const ringFollows = ({ leads }: Preheats, [begins]: readonly Pick<Mark, 'phase'>[]): boolean =>
  IN_THE_PAN.has(begins.phase) && !IN_THE_PAN.has(leads)
