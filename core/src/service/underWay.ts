/** A dinner put off while it is cooked: what is begun stays where it is on the clock, and what cannot wait after it with it. */
import { onCall } from './calls'
import type { Placed, Service } from './schedule'

/** By step, how much further before the new serving it stands than the schedule says, s. */
export type Kept = Readonly<Record<string, number>>

const stepKey = ({ dish, index }: Pick<Placed, 'dish' | 'index'>): string => `${dish.id} ${index}`

/** @param done ids of calls @param laterS how much later the table is than it was; below 0 for sooner */
export function keptThrough(kept: Kept, { placed }: Service, done: readonly string[], laterS: number): Kept {
  const stays = new Set<string>()
  for (const p of [...placed].sort((a, b) => a.index - b.index)) {
    const before = placed.find(b => b.dish.id === p.dish.id && b.index === p.index - 1)
    const waits = laterS >= 0 && before !== undefined && before.held + laterS <= before.dish.steps[before.index].holds[1]
    if (done.includes(onCall(p)) || (before !== undefined && stays.has(stepKey(before)) && !waits)) stays.add(stepKey(p))
  }
  return { ...kept, ...Object.fromEntries([...stays].map(key => [key, (kept[key] ?? 0) + laterS])) }
}

export const asKept = (service: Service, kept: Kept): Service => ({
  ...service,
  placed: service.placed.map(p => ({ ...p, from: p.from - (kept[stepKey(p)] ?? 0), to: p.to - (kept[stepKey(p)] ?? 0) }))
})
