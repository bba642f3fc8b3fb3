/**
 * Where a cook stands, read from its events: which step is on, how long the piece has
 * been where, what the probe said.
 */
import type { Spell } from '#core/method/panSear'
import type { Spent } from '#core/estimate/underWay'
import { standing, type CookEvent, type EventKind } from './events'

export type Phase = 'ready' | 'heating' | 'on the heat' | 'lifted' | 'resting' | 'carved'

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
  /** Of the program's stages, by number: the one it is in, or was in last. */
  readonly stage: number
  /** Epoch ms of each thing lit, the oven and then the ring. */
  readonly lits: readonly number[]
  /** Whether it was put back to the heat after it had been taken off for good. */
  readonly again: boolean
  readonly readings: readonly Reading[]
}

/** A ring is lit for a later stage too, and the piece stays where it is. */
const phaseAfter = (before: Phase, { kind }: CookEvent): Phase =>
  kind === 'lit' && before !== 'ready' ? before : (PHASE_AFTER[kind] ?? before)
const PHASE_AFTER: Partial<Record<EventKind, Phase>> = {
  lit: 'heating',
  laid: 'on the heat',
  turned: 'on the heat',
  edged: 'on the heat',
  moved: 'on the heat',
  returned: 'on the heat',
  lifted: 'lifted',
  pulled: 'resting',
  carved: 'carved'
}

/** What may be said in each phase. */
export const ALLOWED: Record<Phase, readonly EventKind[]> = {
  ready: ['lit', 'laid'],
  heating: ['lit', 'laid'],
  'on the heat': ['lit', 'turned', 'edged', 'moved', 'lifted', 'pulled', 'reading'],
  lifted: ['returned', 'pulled', 'reading'],
  resting: ['reading', 'carved', 'returned'],
  carved: ['reading']
}

export function progressOf(events: readonly CookEvent[]): Progress {
  const stand = standing(events)
  const when = (kind: EventKind): number | null => stand.find(e => e.kind === kind)?.at ?? null
  const laidAt = when('laid')
  const phase = stand.reduce<Phase>(phaseAfter, 'ready')
  const firstPull = stand.findIndex(e => e.kind === 'pulled')
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
    stage: stand.filter(e => FORWARD.has(e.kind)).length,
    lits: stand.filter(e => e.kind === 'lit').map(e => e.at),
    again: firstPull >= 0 && stand.slice(firstPull).some(e => e.kind === 'returned'),
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

/** The same for any method: in which of its stages the piece was, or out of the heat. */
export function spentUntil(events: readonly CookEvent[], now: number): Spent[] {
  const until = Math.min(now, progressOf(events).pulledAt ?? Infinity)
  const spent: Spent[] = []
  let stage = 0
  let out = false
  let since: number | null = null
  const close = (at: number): void => {
    if (since !== null) spent.push({ stage: out ? 'out' : stage, seconds: Math.max(0, at - since) / 1000 })
    since = at
  }
  for (const e of standing(events)) {
    if (e.kind === 'laid') since = e.at
    if (since === null || e.at > until || !MOVES.has(e.kind)) continue
    close(e.at)
    if (FORWARD.has(e.kind)) stage += 1
    out = e.kind === 'lifted' || e.kind === 'pulled'
  }
  if (since !== null && until > since) close(until)
  return spent
}

/** What takes the piece on to the next stage of its program. */
const FORWARD: ReadonlySet<EventKind> = new Set<EventKind>(['turned', 'edged', 'moved'])
const MOVES: ReadonlySet<EventKind> = new Set<EventKind>([...FORWARD, 'lifted', 'returned', 'pulled'])
