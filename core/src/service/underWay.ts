/** A dinner put off while it is cooked: what is begun stays where it is on the clock, and what cannot wait after it with it. */
import { onCall } from './calls'
import type { Placed } from './placed'
import type { Service } from './schedule'

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

/**
 * Laid out anew in the middle of it: what was begun stays where it was, and what must follow it at once with it.
 * @param before as it stood @param after as it is laid out now
 */
export function keptAcross(before: Service, after: Service, done: readonly string[]): Kept {
  const stood = new Map(before.placed.map(p => [stepKey(p), p.from]))
  const kept = new Map<string, number>()
  for (const p of [...after.placed].sort((a, b) => a.index - b.index)) {
    const from = stood.get(stepKey(p))
    const before = `${p.dish.id} ${p.index - 1}`
    const follows = p.index > 0 && p.dish.steps[p.index - 1].holds[1] <= 0 ? kept.get(before) : undefined
    const stays = done.includes(onCall(p)) && from !== undefined ? p.from - from : follows
    if (stays !== undefined) kept.set(stepKey(p), stays)
  }
  return Object.fromEntries(kept)
}

export const asKept = (service: Service, kept: Kept): Service => ({
  ...service,
  placed: service.placed.map(p => ({ ...p, from: p.from - (kept[stepKey(p)] ?? 0), to: p.to - (kept[stepKey(p)] ?? 0) }))
})
