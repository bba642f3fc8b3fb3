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
  | { readonly kind: 'lit' | 'laid' | 'turned' | 'edged' | 'moved' | 'lifted' | 'returned' | 'pulled' | 'halved' | 'carved' | 'looked' }
  | {
      readonly kind: 'reading'
      readonly coreC: number
      /** Which thermometer said so by itself; left out where it was typed. */
      readonly probe?: string
    }
  /** The table is later than it was to be: what is not in yet goes in so much later, what is in rests so much longer. */
  | {
      readonly kind: 'delayed'
      readonly seconds: number
      /** Kept in a low oven meanwhile, instead of resting longer. */
      readonly held?: boolean
      /** Rested longer and then put back in the hot pan before it is cut, each face so long, s; the delay is with it. */
      readonly flashS?: number
      /** What the oven it is in was turned to meanwhile, °C, so that it comes out later. */
      readonly ovenC?: number
    }
  /** Served in two waves: half of it is carved when it was to be, the other half waits so much longer. */
  | { readonly kind: 'parted'; readonly seconds: number }
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
  'halved',
  'carved',
  'looked',
  'reading',
  'delayed',
  'parted',
  'undone'
]

/** s that a table may be late by. */
export const DELAY_LIMITS_S = [60, 3 * 3600] as const

/** s a face in the hot pan, of what has gone cool while it waited. */
export const FLASH_LIMITS_S = [10, 300] as const

/** What a thermometer in meat can show, °C. */
export const READING_LIMITS = [-5, 110] as const

/** ms: two hands that say the same so soon after one another, at one device or at two, have done it once. */
const ECHO_MS = 2000

/**
 * The events that stand, in the order they happened: not undone, and none the echo of another. What is undone is undone
 * with its echoes.
 */
export function standing(events: readonly CookEvent[]): CookEvent[] {
  /** When each was taken back. */
  const undone = new Map<string, number>()
  for (const e of events) if (e.kind === 'undone') undone.set(e.undoes, e.entered)
  const happened = events.filter(e => e.kind !== 'undone').sort((a, b) => a.at - b.at || a.entered - b.entered)
  const stand: CookEvent[] = []
  for (let i = 0; i < happened.length;) {
    const first = happened[i]
    let gone = undone.get(first.id) ?? Infinity
    // What is said after the taking back is said anew.
    for (i++; i < happened.length && echoes(first, happened[i]) && happened[i].entered <= gone; i++)
      gone = Math.min(gone, undone.get(happened[i].id) ?? Infinity)
    if (gone === Infinity) stand.push(first)
  }
  return stand
}

/** Readings and delays are each their own. */
const echoes = (first: CookEvent, then: CookEvent): boolean =>
  then.kind === first.kind &&
  first.kind !== 'reading' &&
  first.kind !== 'delayed' &&
  first.kind !== 'parted' &&
  then.at - first.at < ECHO_MS

/** What undo would take back: the last thing that a hand entered and that still stands. */
export function undoable(events: readonly CookEvent[]): CookEvent | null {
  const stand = new Set(standing(events).map(e => e.id))
  for (let i = events.length - 1; i >= 0; i--) if (stand.has(events[i].id) && !('probe' in events[i])) return events[i]
  return null
}
