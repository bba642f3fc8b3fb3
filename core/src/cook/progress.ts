/**
 * Where a cook stands, read from its events: which step is on, how long the piece has
 * been where, what the probe said.
 */
import type { Spell } from '#core/method/panSear'
import { standing, type CookEvent, type EventKind } from './events'

export type Phase = 'ready' | 'heating' | 'in the pan' | 'lifted' | 'resting' | 'carved'

export interface Reading {
  /** s since the piece was laid in. */
  readonly time: number
  readonly coreC: number
}

export interface Progress {
  readonly phase: Phase
  /** Epoch ms. */
  readonly litAt: number | null
  readonly laidAt: number | null
  readonly pulledAt: number | null
  readonly carvedAt: number | null
  readonly turns: number
  /** Whether it has been stood on its fat edge. */
  readonly edged: boolean
  readonly readings: readonly Reading[]
}

const PHASE_AFTER: Partial<Record<EventKind, Phase>> = {
  lit: 'heating',
  laid: 'in the pan',
  turned: 'in the pan',
  edged: 'in the pan',
  returned: 'in the pan',
  lifted: 'lifted',
  pulled: 'resting',
  carved: 'carved'
}

/** What may be said in each phase. */
export const ALLOWED: Record<Phase, readonly EventKind[]> = {
  ready: ['lit', 'laid'],
  heating: ['laid'],
  'in the pan': ['turned', 'edged', 'lifted', 'pulled', 'reading'],
  lifted: ['returned', 'pulled', 'reading'],
  resting: ['reading', 'carved', 'returned'],
  carved: ['reading']
}

export function progressOf(events: readonly CookEvent[]): Progress {
  const stand = standing(events)
  const when = (kind: EventKind): number | null => stand.find(e => e.kind === kind)?.at ?? null
  const laidAt = when('laid')
  const phase = stand.reduce<Phase>((before, e) => PHASE_AFTER[e.kind] ?? before, 'ready')
  const off = phase === 'resting' || phase === 'carved'
  return {
    phase,
    litAt: when('lit'),
    laidAt,
    // Put back in the pan, an earlier pull was only a pause.
    pulledAt: off ? ([...stand].reverse().find(e => e.kind === 'pulled')?.at ?? null) : null,
    carvedAt: when('carved'),
    turns: stand.filter(e => e.kind === 'turned').length,
    edged: stand.some(e => e.kind === 'edged'),
    readings: stand.flatMap(e => (e.kind === 'reading' && laidAt !== null ? [{ time: (e.at - laidAt) / 1000, coreC: e.coreC }] : []))
  }
}

/** What the piece has been doing since it was laid in, up to `now` or the pull. */
export function spellsUntil(events: readonly CookEvent[], now: number): Spell[] {
  const until = Math.min(now, progressOf(events).pulledAt ?? Infinity)
  const spells: Spell[] = []
  let state: Spell['state'] = 'first down'
  let down: Spell['state'] = 'first down'
  let since: number | null = null
  for (const e of standing(events)) {
    if (e.kind === 'laid') since = e.at
    if (since === null || e.at > until || !MOVES.has(e.kind)) continue
    if (e.at > since) spells.push({ state, seconds: (e.at - since) / 1000 })
    since = e.at
    if (e.kind === 'turned') down = down === 'first down' ? 'second down' : 'first down'
    state = e.kind === 'lifted' || e.kind === 'pulled' ? 'lifted' : e.kind === 'edged' ? 'on edge' : down
  }
  if (since !== null && until > since) spells.push({ state, seconds: (until - since) / 1000 })
  return spells
}

const MOVES: ReadonlySet<EventKind> = new Set<EventKind>(['turned', 'edged', 'lifted', 'returned', 'pulled'])
