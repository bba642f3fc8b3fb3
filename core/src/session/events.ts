/**
 * A cook under way as what happened, in the order it was entered. Nothing is ever
 * changed: a mistake is undone by saying so. Times are epoch milliseconds; `at` is when
 * it happened, `entered` when it was said, so that lateness is recorded as it was.
 */

export type CookEvent = {
  readonly id: string
  readonly at: number
  readonly entered: number
} & (
  | { readonly kind: 'lit' | 'laid' | 'turned' | 'edged' | 'moved' | 'lifted' | 'returned' | 'pulled' | 'carved' }
  | { readonly kind: 'reading'; readonly coreC: number }
  /** The table is later than it was to be: what is not in yet goes in so much later, what is in rests so much longer. */
  | { readonly kind: 'delayed'; readonly seconds: number }
  | { readonly kind: 'undone'; readonly undoes: string }
)

export type EventKind = CookEvent['kind']
export const EVENT_KINDS: readonly EventKind[] = [
  'lit',
  'laid',
  'turned',
  'edged',
  'moved',
  'lifted',
  'returned',
  'pulled',
  'carved',
  'reading',
  'delayed',
  'undone'
]

/** s that a table may be late by. */
export const DELAY_LIMITS_S = [60, 3 * 3600] as const

/** What a thermometer in meat can show, °C. */
export const READING_LIMITS = [-5, 110] as const

/** The events that stand: not undone themselves, in the order they happened. */
export function standing(events: readonly CookEvent[]): CookEvent[] {
  const undone = new Set<string>()
  for (const e of events) if (e.kind === 'undone') undone.add(e.undoes)
  return events.filter(e => e.kind !== 'undone' && !undone.has(e.id)).sort((a, b) => a.at - b.at || a.entered - b.entered)
}

/** What undo would take back: the last thing entered that still stands. */
export function undoable(events: readonly CookEvent[]): CookEvent | null {
  const stand = new Set(standing(events).map(e => e.id))
  for (let i = events.length - 1; i >= 0; i--) if (stand.has(events[i].id)) return events[i]
  return null
}
