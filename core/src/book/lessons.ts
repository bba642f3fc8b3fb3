/** What the Book teaches of the kit: its cooks with readings, each as it happened, with the things it was cooked on. */
import { progressOf, spellsUntil, spentUntil } from '#core/cook/progress'
import type { KitInUse, KitShelf } from '#core/kit/kit'
import { METHODS, type MethodKind, type SettingsOf } from '#core/method/methods'
import type { Method } from '#core/method/method'
import type { Trial } from '#core/plan/belief'
import { setupFor } from '#core/plan/everyMethod'
import { panTrialOfPast } from '#core/plan/heed'
import { learning, type FinishedCook, type Learned } from '#core/plan/learn'
import { setupOf, type PlanRequest } from '#core/plan/request'
import type { Steps } from '#core/plan/steps'
import { trialOfPast, type Spent } from '#core/plan/underWay'
import type { CookRecord } from './record'

/** Things of the kit that give heat. */
export type GivingShelf = Exclude<KitShelf, 'rings' | 'thermometers'>
const GIVING: readonly GivingShelf[] = ['pans', 'ovens', 'grills', 'pots', 'baths']

export interface Lesson extends Omit<Learned, 'thing'> {
  readonly shelf: GivingShelf
  readonly id: string
}

/** What a method cooks in beside its pan. */
const AROUND: Record<MethodKind, Exclude<GivingShelf, 'pans'> | null> = {
  'pan sear': null,
  'sear then oven': 'ovens',
  'oven then sear': 'ovens',
  roast: 'ovens',
  grill: 'grills',
  'two-zone grill': 'grills',
  'bath then sear': 'baths',
  'sear then bath': 'baths',
  'short hot bath': 'baths',
  pot: 'pots',
  'in pastry': 'ovens'
}
const USED = { ovens: 'oven', grills: 'grill', pots: 'pot', baths: 'bath' } as const

/** The newest say most; so many are weighed. */
export const MOST_COOKS = 30

export function* lessons(records: readonly CookRecord[]): Steps<Lesson[]> {
  const newest = [...records].sort((a, b) => a.createdAt - b.createdAt).slice(-MOST_COOKS)
  const learned = yield* learning(newest.flatMap(finished))
  return learned.flatMap(({ thing, ...rest }) => {
    const shelf = GIVING.find(s => thing.startsWith(`${s} `))
    return shelf ? [{ shelf, id: thing.slice(shelf.length + 1), ...rest }] : []
  })
}

/** s of the rest in which a reading still tells of the heat. */
const RESTING_S = 20 * 60

function finished(record: CookRecord): FinishedCook[] {
  const { laidAt, pulledAt, readings, phase } = progressOf(record.events)
  const { way, events } = record
  if (laidAt === null || pulledAt === null || readings.length === 0 || phase !== 'carved') return []
  const offAt = (pulledAt - laidAt) / 1000
  const request = asUsual(record.request)
  const { kit } = request
  const around = AROUND[way?.kind ?? 'pan sear']
  const used = around === null || !kit ? null : kit[USED[around]]
  const seared = way === null || ('searS' in way.dials ? (way.dials.searS ?? 0) > 0 : way.kind !== 'in pastry' && around !== 'grills')
  return [
    {
      trial: trialOf(request, way, spellsUntil(events, pulledAt), spentUntil(events, pulledAt)),
      readings: readings.filter(r => r.time <= offAt + RESTING_S).map(r => ({ time: r.time, celsius: r.coreC })),
      contact: seared ? `pans ${request.panId}` : null,
      air: around !== null && used ? `${around} ${used.id}` : null
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
  if (!request.kit) return request
  const plain = <T extends { readonly gives?: number } | null>(thing: T): T => (thing === null ? thing : { ...thing, gives: 1 })
  const { pan, ring, oven, grill, pot, bath } = request.kit
  const kit: KitInUse = { pan: plain(pan), ring, oven: plain(oven), grill: plain(grill), pot: plain(pot), bath: plain(bath) }
  return { ...request, kit }
}
