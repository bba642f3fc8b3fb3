/** What the Book teaches of the kit: its cooks with readings, each as it happened, with the pan and oven it was cooked in. */
import type { Trial } from '#core/estimate/ensemble'
import { learning, type FinishedCook, type Learned } from '#core/estimate/learn'
import { trialOfPast } from '#core/estimate/underWay'
import { cookedWith } from '#core/method/dials'
import type { Steps } from '#core/numerics/steps'
import { RequestError, type PlanRequest } from '#core/request/request'
import { hotMetal, setupOf } from '#core/request/setup'
import { progressOf, spentUntil } from '#core/session/progress'
import type { CookRecord } from './record'

/** Of a pan what it gives of the usual, of an oven what it holds over its dial, K; the range holds 80 %. */
export interface Lesson extends Pick<Learned, 'value' | 'low' | 'high' | 'cooks' | 'enough'> {
  readonly shelf: 'pans' | 'ovens'
  readonly id: string
}

/** The newest say most; so many are weighed. */
export const MOST_COOKS = 30

export function* lessons(records: readonly CookRecord[]): Steps<Lesson[]> {
  const newest = [...records].sort((a, b) => a.createdAt - b.createdAt).slice(-MOST_COOKS)
  const learned = yield* learning(newest.flatMap(finished))
  return learned.map(({ thing, of, value, low, high, cooks, enough }) => {
    const read = of === 'contact' ? Math.exp : (kelvin: number) => kelvin
    const [shelf, id] = of === 'contact' ? (['pans', thing.slice(PAN.length)] as const) : (['ovens', thing.slice(OVEN.length)] as const)
    return { shelf, id, value: read(value), low: read(low), high: read(high), cooks, enough }
  })
}
const PAN = 'pan '
const OVEN = 'oven '

/** s of the rest in which a reading still tells of the heat. */
const RESTING_S = 20 * 60

function finished(record: CookRecord): FinishedCook[] {
  const { laidAt, pulledAt, readings, state } = progressOf(record.events)
  if (laidAt === null || pulledAt === null || state !== 'carved') return []
  const offAt = (pulledAt - laidAt) / 1000
  const read = readings.filter(r => r.time <= offAt + RESTING_S)
  if (read.length === 0) return []
  const request = asUsual(record.request)
  const trial = trialFor(request, record, pulledAt)
  if (trial === null) return []
  const { kit, method } = request
  const oven = cookedWith(method.kind).includes('oven') ? kit.oven : null
  return [
    {
      trial,
      readings: read.map(r => ({ time: r.time, celsius: r.coreC })),
      contact: hotMetal(request) ? `${PAN}${kit.pan.id}` : null,
      heat: oven ? `${OVEN}${oven.id}` : null
    }
  ]
}

/** @returns null for what could not be planned today any more */
function trialFor(request: PlanRequest, { events }: CookRecord, pulledAt: number): Trial<unknown> | null {
  try {
    const { method, setup, targetC } = setupOf(request)
    return trialOfPast(method, setup, targetC, spentUntil(events, pulledAt)) as Trial<unknown>
  } catch (error) {
    if (error instanceof RequestError) return null
    throw error
  }
}

/** What was already learned at the time does not count twice. */
function asUsual(request: PlanRequest): PlanRequest {
  const { kit } = request
  const oven = kit.oven === null ? null : { ...kit.oven, offsetC: 0 }
  return { ...request, kit: { ...kit, pan: { ...kit.pan, gives: 1 }, oven } }
}
