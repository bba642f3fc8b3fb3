/**
 * Where a cook stands, read from its events: which step is on, how long the piece has
 * been where, what the probe said.
 */
import type { Happened, Spent } from '#core/estimate/underWay'
import { otherDown, type Down } from '#core/method/timeline'
import { standing, type CookEvent, type EventKind } from './events'

export type CookState = 'ready' | 'heating' | 'on the heat' | 'lifted' | 'resting' | 'carved'

export interface Reading {
  /** s since the piece was laid in. */
  readonly time: number
  readonly coreC: number
  /** Which thermometer said so by itself. */
  readonly probe?: string
}

export interface Progress {
  readonly state: CookState
  /** Epoch ms. */
  readonly litAt: number | null
  readonly laidAt: number | null
  readonly pulledAt: number | null
  readonly carvedAt: number | null
  /** Where it is served in two waves: when the first half was carved; null where it is whole yet. */
  readonly halvedAt: number | null
  /** Whether half of it is to be carved before the other. */
  readonly inWaves: boolean
  /** Whether it was looked at on the way. */
  readonly looked: boolean
  readonly turns: number
  /** Turned, stood on its edge or moved so often: which of the plan's marks it stands at. */
  readonly moves: number
  /** Turned or moved since it was taken off: which of what comes after its rest it stands at. Epoch ms. */
  readonly onward: readonly number[]
  /** Epoch ms of each thing lit, the oven and then the ring. */
  readonly lits: readonly number[]
  /** Whether it was put back to the heat after it had been taken off for good. */
  readonly again: boolean
  readonly readings: readonly Reading[]
  /** How much later the table was said to be: before it was laid in, and since, to rest longer or to be kept warm; and how long a face it is then flashed in the pan, s. */
  readonly later: { readonly in: number; readonly rest: number; readonly held: number; readonly flash: number }
}

/** A ring is lit for a later stage too, and the piece stays where it is; what is done after the pull is of its rest. */
const stateAfter = (before: CookState, { kind }: CookEvent): CookState =>
  (kind === 'lit' && before !== 'ready') || (before === 'resting' && FORWARD.has(kind)) ? before : (STATE_AFTER[kind] ?? before)
const STATE_AFTER: Partial<Record<EventKind, CookState>> = {
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

/** What may be said in each state. */
export const ALLOWED: Record<CookState, readonly EventKind[]> = {
  ready: ['lit', 'laid', 'delayed'],
  heating: ['lit', 'laid', 'delayed'],
  'on the heat': ['lit', 'turned', 'edged', 'moved', 'looked', 'lifted', 'pulled', 'reading', 'delayed', 'parted'],
  lifted: ['returned', 'pulled', 'reading', 'delayed', 'parted'],
  resting: ['halved', 'carved', 'returned', 'lit', 'moved', 'turned', 'reading', 'delayed', 'parted'],
  carved: ['reading']
}

export function progressOf(events: readonly CookEvent[]): Progress {
  const stand = standing(events)
  const when = (kind: EventKind): number | null => stand.find(e => e.kind === kind)?.at ?? null
  const laidAt = when('laid')
  let state: CookState = 'ready'
  const forward: { readonly kind: EventKind; readonly at: number; readonly rested: boolean }[] = []
  for (const e of stand) {
    if (FORWARD.has(e.kind)) forward.push({ kind: e.kind, at: e.at, rested: state === 'resting' })
    state = stateAfter(state, e)
  }
  const cooked = forward.filter(f => !f.rested)
  // In an oven turned down it is the heat that waits.
  const late = (when: (at: number, held: boolean) => boolean): number =>
    stand.reduce((sum, e) => sum + (e.kind === 'delayed' && e.ovenC === undefined && when(e.at, e.held === true) ? e.seconds : 0), 0)
  const halvedAt = when('halved')
  // What waits is what is left.
  const waits = stand.reduce((sum, e) => sum + (e.kind === 'parted' ? e.seconds : 0), 0)
  const firstPull = stand.findIndex(e => e.kind === 'pulled')
  const off = state === 'resting' || state === 'carved'
  // Put back in the pan, an earlier pull was only a pause.
  const pulledAt = off ? ([...stand].reverse().find(e => e.kind === 'pulled')?.at ?? null) : null
  return {
    state,
    litAt: when('lit'),
    laidAt,
    pulledAt,
    carvedAt: when('carved'),
    halvedAt,
    inWaves: waits > 0,
    looked: when('looked') !== null,
    turns: cooked.filter(f => f.kind === 'turned').length,
    moves: cooked.length,
    onward: pulledAt === null ? [] : fromTheFirstMove(forward.filter(f => f.rested && f.at >= pulledAt)).map(f => f.at),
    lits: stand.filter(e => e.kind === 'lit').map(e => e.at),
    again: firstPull >= 0 && stand.slice(firstPull).some(e => e.kind === 'returned'),
    later: {
      in: late(at => laidAt === null || at < laidAt),
      rest: late((at, held) => laidAt !== null && at >= laidAt && !held) + (halvedAt === null ? 0 : waits),
      held: late((at, held) => laidAt !== null && at >= laidAt && held),
      flash: stand.reduce(
        (most, e) => (e.kind === 'delayed' && laidAt !== null && e.at >= laidAt ? Math.max(most, e.flashS ?? 0) : most),
        0
      )
    },
    readings: stand.flatMap(e =>
      e.kind === 'reading' && laidAt !== null
        ? [{ time: (e.at - laidAt) / 1000, coreC: e.coreC, ...(e.probe === undefined ? {} : { probe: e.probe }) }]
        : []
    )
  }
}

/** So much later it was wanted, and its oven turned for that, s. */
const ovenLaterS = (events: readonly CookEvent[]): number =>
  standing(events).reduce((sum, e) => sum + (e.kind === 'delayed' && e.ovenC !== undefined ? e.seconds : 0), 0)

/** How far what is forecast to come off the heat is behind what was planned and has been said since, s. @param pullS since it was laid in */
export const behindBy = (events: readonly CookEvent[], plannedPullS: number, pullS: number): number =>
  pullS - plannedPullS - ovenLaterS(events)

/** Settings as they have come to be by what was said of the table since. */
export const settingsSaid = <S extends { readonly heldS?: number; readonly rewarmS?: number }>(
  settings: S,
  { held, flash }: Pick<Progress['later'], 'held' | 'flash'>
): S => ({ ...settings, heldS: (settings.heldS ?? 0) + held, rewarmS: Math.max(settings.rewarmS ?? 0, flash) })

/** A turn that another hand said as it came off takes it nowhere. */
function fromTheFirstMove<F extends { readonly kind: EventKind }>(rested: readonly F[]): readonly F[] {
  const first = rested.findIndex(f => f.kind === 'moved')
  return first < 0 ? [] : rested.slice(first)
}

/** Where the piece has been since it was laid in, up to `now` or the pull: in which stage of its program, on which face, or out of the heat. */
export function spentUntil(events: readonly CookEvent[], now: number): Spent[] {
  const until = Math.min(now, progressOf(events).pulledAt ?? Infinity)
  const spent: Spent[] = []
  let stage = 0
  let down: Down = 'first'
  let out = false
  let resting = false
  let since: number | null = null
  let ovenC: number | null = null
  const close = (at: number): void => {
    const turned = ovenC === null ? {} : { set: { ovenC } }
    if (since !== null) spent.push({ stage: out ? 'out' : stage, down, seconds: Math.max(0, at - since) / 1000, ...turned })
    since = at
  }
  for (const e of standing(events)) {
    if (e.kind === 'laid') since = e.at
    if (since !== null && e.at <= until && e.kind === 'delayed' && e.ovenC !== undefined) {
      close(e.at)
      ovenC = e.ovenC
    }
    if (since === null || e.at > until || !MOVES.has(e.kind) || (resting && FORWARD.has(e.kind))) continue
    close(e.at)
    resting = e.kind === 'pulled'
    if (e.kind === 'turned') down = otherDown(down)
    if (ONWARD.has(e.kind)) {
      stage += 1
      down = 'first'
    }
    out = e.kind === 'lifted' || e.kind === 'pulled'
  }
  // What is turned, moved or set this very moment is so.
  const last = spent.at(-1)
  const moved = last !== undefined && !resting && (last.stage !== (out ? 'out' : stage) || last.down !== down)
  if (since !== null && (until > since || moved || (last?.set?.ovenC ?? null) !== ovenC)) close(until)
  return spent
}

/** The same as the forecast asks for it. */
export function happenedUntil(events: readonly CookEvent[], now: number): Happened {
  const { state, again } = progressOf(events)
  return { past: spentUntil(events, now), off: state === 'resting' || state === 'carved', again }
}

/** A cook that was left by itself. */
export interface Left {
  /** When it was last heard of, epoch ms. */
  readonly since: number
  readonly hours: number
  /** At the fire, or off it. */
  readonly where: 'heat' | 'board'
}
/** Long past whatever was due nothing that was planned is true any more, ms. */
const LEFT_MS = 2 * 3600_000

/** @param due when the next thing was due, epoch ms; null where that is not known. @returns null while somebody is at it */
export function standsLeft(events: readonly CookEvent[], now: number, due: number | null): Left | null {
  const { state } = progressOf(events)
  const last = standing(events).at(-1)
  if (!last || state === 'carved' || state === 'ready') return null
  const since = Math.max(last.at, due ?? last.at + (state === 'on the heat' ? LONG_ROAST_MS : 0))
  if (now - since < LEFT_MS) return null
  return { since: last.at, hours: (now - last.at) / 3600_000, where: state === 'on the heat' || state === 'heating' ? 'heat' : 'board' }
}
/** What may be on so long of its own accord, ms. */
const LONG_ROAST_MS = 12 * 3600_000

/** On the metal, over the coals, in the oven: not lifted out, s. */
export const atTheHeat = (spent: readonly Spent[]): number => spent.reduce((sum, s) => sum + (s.stage === 'out' ? 0 : s.seconds), 0)

/** What takes the piece on to the next stage of its program. */
const ONWARD: ReadonlySet<EventKind> = new Set<EventKind>(['edged', 'moved'])
const FORWARD: ReadonlySet<EventKind> = new Set<EventKind>(['turned', ...ONWARD])
const MOVES: ReadonlySet<EventKind> = new Set<EventKind>([...FORWARD, 'lifted', 'returned', 'pulled'])
