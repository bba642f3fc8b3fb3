/** What the Book teaches of the kit: its cooks with readings, each as it happened, with the pan and oven it was cooked in. */
import { progressOf, spellsUntil, spentUntil } from '#core/session/progress'
import { METHODS, type MethodKind, type SettingsOf } from '#core/method/methods'
import type { Method } from '#core/method/method'
import type { Trial } from '#core/estimate/belief'
import { setupFor } from '#core/plan/everyMethod'
import { panTrialOfPast } from '#core/estimate/heed'
import { learning, type FinishedCook, type Learned } from '#core/estimate/learn'
import { setupOf, type PlanRequest } from '#core/request/request'
import type { Steps } from '#core/numerics/steps'
import { trialOfPast, type Spent } from '#core/estimate/underWay'
import type { CookRecord } from './record'

/** Of a pan what it gives of the usual, of an oven what it holds over its dial, K; the range holds 80 %. */
export interface Lesson extends Pick<Learned, 'value' | 'low' | 'high' | 'cooks' | 'enough'> {
  readonly shelf: 'pans' | 'ovens'
  readonly id: string
}

const IN_THE_OVEN: ReadonlySet<MethodKind> = new Set<MethodKind>(['sear then oven', 'oven then sear', 'roast', 'in pastry'])

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
  const { laidAt, pulledAt, readings, phase } = progressOf(record.events)
  const { way, events } = record
  if (laidAt === null || pulledAt === null || phase !== 'carved') return []
  const offAt = (pulledAt - laidAt) / 1000
  const told = readings.filter(r => r.time <= offAt + RESTING_S)
  if (told.length === 0) return []
  const request = asUsual(record.request)
  const setup = way === null ? null : setupFor(request, way.kind, way.dials)
  const seared = setup === null || ('searS' in setup.settings && setup.settings.searS > 0 && way?.kind !== 'in pastry')
  const oven = way !== null && IN_THE_OVEN.has(way.kind) ? request.kit?.oven : null
  return [
    {
      trial: trialOf(request, way, spellsUntil(events, pulledAt), spentUntil(events, pulledAt)),
      readings: told.map(r => ({ time: r.time, celsius: r.coreC })),
      contact: seared ? `${PAN}${request.panId}` : null,
      heat: oven ? `${OVEN}${oven.id}` : null
    }
  ]
}

function trialOf(
  request: PlanRequest,
  way: CookRecord['way'],
  spells: ReturnType<typeof spellsUntil>,
  spent: readonly Spent[]
): Trial<unknown> {
  if (way === null) return panTrialOfPast(setupOf(request), request.targetC, spells) as Trial<unknown>
  const method = METHODS[way.kind] as unknown as Method<SettingsOf[typeof way.kind]>
  return trialOfPast(method, setupFor(request, way.kind, way.dials) as never, request.targetC, spent) as Trial<unknown>
}

/** What was already learned at the time does not count twice. */
function asUsual(request: PlanRequest): PlanRequest {
  const { kit } = request
  if (!kit) return request
  const oven = kit.oven === null ? null : { ...kit.oven, offsetC: 0 }
  return { ...request, kit: { ...kit, pan: { ...kit.pan, gives: 1 }, oven } }
}
