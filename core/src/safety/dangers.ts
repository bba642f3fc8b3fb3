/**
 * A plan that could make someone ill, why, and what would make it safe. Such a plan is
 * carried out only on a deliberate yes. Local codes come first.
 */
import type { History } from '#core/heat/history'
import type { Table } from './cautions'
import { guardedC, NOT_INTACT_C } from './cautions'

/** What of a plan counts here. */
export interface Cooked {
  readonly peak: { readonly core: number; readonly time: number }
  readonly history: Pick<History, 'time' | 'core'>
  readonly carve: { readonly time: number }
  readonly lethal: readonly { readonly reference: string; readonly core: number }[]
}

export type DangerId = 'not intact' | 'vulnerable' | 'long and warm' | 'slow to chill'

export interface Danger {
  readonly id: DangerId
  /** The target at which it is safe by the usual advice, °C; null where another target does not help. */
  readonly saferC: number | null
  /** Hours between 5 and 54 °C, on the way up or down, where that is it. */
  readonly hours?: number
}

/** The usual ceiling between 5 and 54 °C, h. */
export const WARM_CEILING_H = 4
const [WARM_FROM, WARM_TO] = [5, 54]
/** Cooked meat should be cold within this long, h: two hours to 21 °C and four more to 5 °C (US Food Code, from memory). */
export const CHILLED_WITHIN_H = 6
/** Cooler than that when it is cut, it was chilled, °C. */
const CHILLED_C = 21
/** K: a held bath stops half a degree short of its water, and is taken to be there. */
const CLOSE_K = 0.6
/** Nobody counts a quarter of what a reference asks for as done. */
const ENOUGH = 1

/**
 * @param plan null while there is none
 * @param reference id of the lethality gone by
 */
export function dangersOf(targetC: number, table: Table, plan: Cooked | null, reference: string): Danger[] {
  const reached = plan?.lethal.find(l => l.reference === reference)
  const killed = (reached?.core ?? 0) >= ENOUGH
  // By the clock a plan may stay below what was wanted: what counts is where it really comes to.
  const comesTo = plan === null ? targetC : Math.min(targetC, plan.peak.core + CLOSE_K)
  const dangers: Danger[] = []
  const rarer = table.rarestC !== undefined && table.rarestC < targetC
  const rarest = rarer ? Math.min(comesTo, table.rarestC ?? comesTo) : comesTo
  if (table.intact !== 'yes' && rarest < NOT_INTACT_C && (rarer || !killed)) dangers.push({ id: 'not intact', saferC: NOT_INTACT_C })
  // What grew since it was cooked may have left what this heat does not undo: only the usual advice counts then.
  const enough = killed && !table.warmedAgain
  // Of a piece of theirs alone there is no plan here: what counts is what it is wanted at.
  const own = table.atRiskC !== undefined && table.atRiskC !== targetC
  const theirs = own ? (table.atRiskC ?? targetC) : comesTo
  if (table.vulnerable && theirs < guardedC(table) && (own || !enough))
    dangers.push({ id: 'vulnerable', saferC: Math.ceil(guardedC(table)) })
  if (plan !== null) {
    const { up, down } = warmHours(plan)
    // What grew meanwhile may leave what no heat undoes.
    if (up > WARM_CEILING_H) dangers.push({ id: 'long and warm', saferC: null, hours: up })
    if (down > CHILLED_WITHIN_H) dangers.push({ id: 'slow to chill', saferC: null, hours: down })
  }
  return dangers
}

/** Whether what is chilled is so too slowly. */
export const chillsSlowly = (plan: Pick<Cooked, 'history' | 'peak' | 'carve'>): boolean => warmHours(plan).down > CHILLED_WITHIN_H

/** Time that the core spends where what makes ill can grow, h; of what is chilled again, the way down apart. */
function warmHours({ history: { time, core }, peak, carve }: Pick<Cooked, 'history' | 'peak' | 'carve'>): {
  readonly up: number
  readonly down: number
} {
  const upTo = time.filter(t => t <= carve.time).length
  const chilled = (core.at(upTo - 1) ?? Infinity) < CHILLED_C && time[upTo - 1] > peak.time
  let [up, down] = [0, 0]
  for (let i = 1; i < upTo; i++) {
    if (core[i] <= WARM_FROM || core[i] >= WARM_TO) continue
    const hours = (time[i] - time[i - 1]) / 3600
    if (chilled && time[i] > peak.time) down += hours
    else up += hours
  }
  return { up, down }
}
