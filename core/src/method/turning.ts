/**
 * How a piece is turned in a stage: a schedule that either fixes the number of spells
 * between turns or how long one lasts, about. Any stage that sears takes any schedule.
 * Seconds.
 */

/** The schools by name, and any number of spells: “3 spells”. */
export type Turning = (typeof TURNINGS)[number] | `${number} spells`
export const TURNINGS = ['not at all', 'once', 'twice a side', 'every 60 s', 'every 30 s'] as const

type Schedule = { readonly spells: number } | { readonly about: number }

const SCHOOLS: Record<(typeof TURNINGS)[number], Schedule> = {
  'not at all': { spells: 1 },
  once: { spells: 2 },
  'twice a side': { spells: 4 },
  'every 60 s': { about: 60 },
  'every 30 s': { about: 30 }
}
export const MOST_SPELLS = 40

/** By a number of spells; the school's own name where it has one. */
export function turningOf(spells: number): Turning {
  const named = TURNINGS.find(t => (SCHOOLS[t] as { readonly spells?: number }).spells === spells)
  return named ?? `${spells} spells`
}

/** As it is read: a number of spells by the turns between them. */
export const turningSaid = (turning: Turning): string => turning.replace(/^(\d+) spells$/, (_, n: string) => `${Number(n) - 1} times`)

/** What there is to choose from where it is turned so now. */
export const turningsBeside = (now: Turning | undefined): readonly Turning[] =>
  now === undefined || TURNINGS.some(t => t === now) ? TURNINGS : [...TURNINGS, now]

/** @returns null for a word that is no schedule */
export function parseTurning(word: string): Turning | null {
  const named = TURNINGS.find(t => t === word)
  if (named) return named
  const spells = Number(/^(\d{1,2}) spells$/.exec(word)?.[1] ?? NaN)
  return spells >= 1 && spells <= MOST_SPELLS ? turningOf(spells) : null
}

const scheduleOf = (turning: Turning): Schedule =>
  turning in SCHOOLS ? SCHOOLS[turning as keyof typeof SCHOOLS] : { spells: Number.parseInt(turning, 10) }

/** Where a piece stands in a stage: turns behind it, and s since the last. */
export interface Turned {
  readonly turns: number
  readonly since: number
}
const UNTURNED: Turned = { turns: 0, since: 0 }

/** Spells still to come, the one under way counted, when `remaining` seconds of the stage are left. */
export function spellsToCome(turning: Turning, remaining: number, { turns, since }: Turned = UNTURNED): number {
  const schedule = scheduleOf(turning)
  if ('spells' in schedule) return Math.max(1, schedule.spells - turns)
  // Both sides get as many spells: with those behind, the whole is even.
  const wanted = (turns + (since + remaining) / schedule.about) / 2
  return Math.max(turns % 2 === 0 ? 2 : 1, 2 * Math.round(wanted) - turns)
}

/**
 * How long each of the spells to come lasts. They are of one length, so that no side gets a last
 * moment not worth the turn; only the one under way may be longer, where the turn is late.
 * @param count the one under way counted; it comes first, and lasts 0 where its turn is overdue
 */
export function spellLengths(remaining: number, count: number, since = 0): number[] {
  const current = Math.min(remaining, Math.max(0, (since + remaining) / count - since))
  const each = count > 1 ? (remaining - current) / (count - 1) : 0
  return [current, ...Array.from({ length: count - 1 }, () => each)]
}
