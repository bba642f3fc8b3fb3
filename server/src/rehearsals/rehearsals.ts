/**
 * Rehearsals: the keeper of what is true. The seed stands in the database and never leaves the server; what goes out
 * before the cut are signs, what a thermometer shows, and a clock.
 */
import { randomInt } from 'node:crypto'
import type { Knex } from 'knex'
import type { CookRecord } from '#core/book/record'
import type { Steps } from '#core/numerics/steps'
import { cuttingOpen, type CutOpen } from '#core/rehearsal/cutOpen'
import { exerciseById } from '#core/rehearsal/exercises'
import { goingAt, shownBy, type Clock } from '#core/rehearsal/clock'
import type { Rehearsal, RehearsalSummary } from '#core/rehearsal/record'
import type { Score } from '#core/rehearsal/schema'
import { sideCalls } from '#core/rehearsal/sideCalls'
import { sidesCost, sidesServed, type SideCall, type SideDone } from '#core/rehearsal/sides'
import { probedAt, signsAt, type Signs } from '#core/rehearsal/signs'
import { lived, truthOf, type Beside, type Lived, type Truth } from '#core/rehearsal/truth'
import { twistOf } from '#core/rehearsal/twists'
import { cookedWith } from '#core/method/dials'
import { fireLitAt, SLOW_FIRES } from '#core/rehearsal/coldFire'
import { progressOf } from '#core/session/progress'
import type { CookRepository } from '#server/cooks/repository'

interface RehearsalRow {
  id: string
  exercise: string | null
  seed: number
  created_at: number
  clock_at: number
  clock_since: number
  speed: number
  points: number | null
}

interface CallRow {
  rehearsal_id: string
  call_id: string
  done_at: number
}

/** What has been worked out of a cook: its truth, and its life so far and a while on, for as long as nothing more is said. */
interface Known {
  readonly truth: Truth
  events: string
  life: Lived | null
  /** Once it is carved. */
  cut: { readonly events: string; readonly open: CutOpen } | null
}

/** ms that a life is worked out ahead: how often it is, at sixty times. */
const AHEAD_MS = 10 * 60_000
const MOST_KNOWN = 60
const MOST_LISTED = 40

export class Rehearsals {
  private readonly known = new Map<string, Known>()
  /** By exercise: they are the same in each of its rehearsals. */
  private readonly sides = new Map<string, readonly SideCall[]>()

  constructor(
    private readonly db: Knex,
    private readonly cooks: CookRepository
  ) {}

  /** The same one begun again changes nothing. */
  async begin(id: string, exercise: string | null, now: number): Promise<Rehearsal> {
    const row: RehearsalRow = {
      id,
      exercise,
      seed: randomInt(1, 2 ** 31),
      created_at: now,
      clock_at: now,
      clock_since: now,
      speed: 1,
      points: null
    }
    await this.db<RehearsalRow>('rehearsals').insert(row).onConflict('id').ignore()
    return (await this.find(id, now)) as Rehearsal
  }

  async find(id: string, now: number): Promise<Rehearsal | null> {
    const row = await this.row(id)
    if (!row) return null
    const at = shownBy(clockOf(row), now)
    const records = await this.cooks.litFor(id)
    return {
      id,
      exercise: row.exercise,
      clock: { at: Math.round(at), speed: row.speed },
      cooks: records.map(r => ({ id: r.id, signs: this.signsOf(row, r, records, at), events: r.events.length })),
      sides: await this.sidesOf(row),
      points: row.points
    }
  }

  /**
   * A step of a side was done, or not after all. Twice is once.
   * @returns null where there is no such rehearsal, or no such step in it
   */
  async did(id: string, call: string, done: boolean, now: number): Promise<Rehearsal | null> {
    const row = await this.row(id)
    if (!row || !this.callsOf(row).some(c => c.id === call)) return null
    const key = { rehearsal_id: id, call_id: call }
    if (done) {
      const at = Math.round(shownBy(clockOf(row), now))
      await this.db<CallRow>('rehearsal_calls')
        .insert({ ...key, done_at: at })
        .onConflict(['rehearsal_id', 'call_id'])
        .ignore()
    } else await this.db<CallRow>('rehearsal_calls').where(key).delete()
    return this.find(id, now)
  }

  /** @returns null where there is no such rehearsal */
  async go(id: string, speed: number, now: number): Promise<Rehearsal | null> {
    const row = await this.row(id)
    if (!row) return null
    const { at, since } = goingAt(clockOf(row), speed, now)
    await this.db<RehearsalRow>('rehearsals').where({ id }).update({ clock_at: at, clock_since: since, speed })
    return this.find(id, now)
  }

  /** What a thermometer put in by hand shows now; null where there is no such piece, or it is not in anything hot yet. */
  async probe(id: string, cookId: string, now: number): Promise<{ readonly at: number; readonly celsius: number } | null> {
    const row = await this.row(id)
    const records = await this.cooks.litFor(id)
    const record = records.find(r => r.id === cookId)
    if (!row || !record) return null
    const at = Math.round(shownBy(clockOf(row), now))
    const { truth, life } = this.lifeOf(row, record, records, at)
    return life === null ? null : { at, celsius: probedAt(truth, life, (at - life.laidAt) / 1000).shownC }
  }

  /** @returns null where there is no such piece; 'whole' while nobody has cut it */
  async cut(id: string, cookId: string): Promise<CutOpen | 'whole' | null> {
    const row = await this.row(id)
    const records = await this.cooks.litFor(id)
    const record = records.find(r => r.id === cookId)
    if (!row || !record) return null
    const { laidAt, carvedAt } = progressOf(record.events)
    if (laidAt === null || carvedAt === null) return 'whole'
    const cut = await this.opened(row, record, records)
    await this.judge(row, records)
    return cut
  }

  /** The latest, and what each came to. */
  async list(): Promise<RehearsalSummary[]> {
    const rows = await this.db<RehearsalRow>('rehearsals').orderBy('created_at', 'desc').limit(MOST_LISTED)
    const cooks = (await this.db('cooks')
      .whereNull('removed_at')
      .whereIn(
        'service_id',
        rows.map(r => r.id)
      )
      .orderBy('created_at')
      .select('id', 'title', 'service_id')) as { id: string; title: string; service_id: string }[]
    const all = rows.map(({ id, exercise, created_at: createdAt, points }) => ({
      id,
      exercise,
      createdAt,
      points,
      cooks: cooks.filter(c => c.service_id === id).map(c => ({ id: c.id, title: c.title }))
    }))
    // Of one that was brought back only the points are left: there is nothing to cut open.
    return all.filter(r => r.points === null || r.cooks.length > 0)
  }

  /** The best that each exercise was ever done. */
  async best(): Promise<Readonly<Record<string, number>>> {
    const rows = (await this.db('rehearsals')
      .whereNotNull('exercise')
      .whereNotNull('points')
      .groupBy('exercise')
      .select('exercise')
      .max({ points: 'points' })) as { exercise: string; points: number }[]
    return Object.fromEntries(rows.map(r => [r.exercise, r.points]))
  }

  async scores(): Promise<Score[]> {
    const rows = await this.db<RehearsalRow>('rehearsals')
      .whereNotNull('exercise')
      .whereNotNull('points')
      .orderBy('created_at')
      .orderBy('id')
    return rows.map(r => ({ id: r.id, exercise: r.exercise as string, createdAt: r.created_at, points: r.points as number }))
  }

  /** What was cooked for it is not brought back. @returns whether it was not here yet */
  async keepScore({ id, exercise, createdAt, points }: Score): Promise<boolean> {
    const over = { seed: 0, clock_at: createdAt, clock_since: createdAt, speed: 1 }
    const added = await this.db<RehearsalRow>('rehearsals')
      .insert({ id, exercise, created_at: createdAt, points, ...over })
      .onConflict('id')
      .ignore()
      .returning('id')
    return added.length > 0
  }

  /** Once all of it is cut it has its points: the mean of its pieces', less what its sides cost. */
  private async judge(row: RehearsalRow, records: readonly CookRecord[]): Promise<void> {
    if (row.points !== null || records.some(r => progressOf(r.events).carvedAt === null)) return
    const all: number[] = []
    for (const record of records) all.push((await this.opened(row, record, records)).score.points)
    const beef = all.reduce((sum, p) => sum + p, 0) / all.length
    const laidAt = Math.min(...records.flatMap(r => progressOf(r.events).laidAt ?? []))
    const points = Math.max(0, Math.round(beef - sidesCost(sidesServed(await this.sidesOf(row), laidAt))))
    await this.db<RehearsalRow>('rehearsals').where({ id: row.id }).update({ points })
  }

  /** Cut once, and looked at as often as anybody likes. */
  private async opened(row: RehearsalRow, record: CookRecord, records: readonly CookRecord[]): Promise<CutOpen> {
    const known = this.knownOf(row, record)
    const events = eventsOf(record)
    if (known.cut?.events !== events)
      known.cut = { events, open: await betweenOthers(cuttingOpen(known.truth, record, besideOf(record, records), lateOf(row))) }
    return known.cut.open
  }

  private callsOf({ exercise }: RehearsalRow): readonly SideCall[] {
    const told = exerciseById(exercise ?? '')
    if (!told) return []
    const there = this.sides.get(told.id) ?? sideCalls(told)
    this.sides.set(told.id, there)
    return there
  }

  private async sidesOf(row: RehearsalRow): Promise<SideDone[]> {
    const calls = this.callsOf(row)
    if (calls.length === 0) return []
    const rows = await this.db<CallRow>('rehearsal_calls').where({ rehearsal_id: row.id })
    const done = new Map(rows.map(r => [r.call_id, r.done_at]))
    return calls.map(c => ({ ...c, doneAt: done.get(c.id) ?? null }))
  }

  private row(id: string): Promise<RehearsalRow | undefined> {
    return this.db<RehearsalRow>('rehearsals').where({ id }).first()
  }

  private knownOf(row: RehearsalRow, record: CookRecord): Known {
    const there = this.known.get(record.id)
    if (there) return there
    if (this.known.size >= MOST_KNOWN) this.known.clear()
    const fresh: Known = {
      truth: truthOf(record.request, row.seed + numberOf(record.id), twistOf(row.exercise)),
      events: '',
      life: null,
      cut: null
    }
    this.known.set(record.id, fresh)
    return fresh
  }

  private lifeOf(row: RehearsalRow, record: CookRecord, records: readonly CookRecord[], at: number): Known {
    const known = this.knownOf(row, record)
    const events = eventsOf(record)
    const enough = known.life !== null && (at - known.life.laidAt) / 1000 <= known.life.until
    if (known.events !== events || !enough) {
      known.life = lived(known.truth, record.events, at + AHEAD_MS, besideOf(record, records))
      known.events = events
    }
    return known
  }

  private signsOf(row: RehearsalRow, record: CookRecord, records: readonly CookRecord[], at: number): Signs {
    const { truth, life } = this.lifeOf(row, record, records, at)
    return signsAt(truth, record.events, life, at, besideOf(record, records))
  }
}

const eventsOf = ({ events }: CookRecord): string => events.map(e => e.id).join(' ')
const lateOf = ({ exercise }: RehearsalRow): number => exerciseById(exercise ?? '')?.guestsLateS ?? 0
const clockOf = ({ clock_at: at, clock_since: since, speed }: RehearsalRow): Clock => ({ at, since, speed })

/** Each piece of a rehearsal has a truth of its own. */
const numberOf = (id: string): number => [...id].reduce((sum, letter) => (31 * sum + letter.charCodeAt(0)) % 1e6, 0)

const slowOf = ({ request }: CookRecord): string | undefined => {
  const parts = cookedWith(request.method.kind)
  return SLOW_FIRES.find(fire => parts.includes(fire))
}
function besideOf(of: CookRecord, records: readonly CookRecord[]): Beside {
  const {
    id,
    request: { kit }
  } = of
  const laid = records
    .filter(r => r.id !== id && r.request.kit.pan.id === kit.pan.id && r.request.kit.ring.id === kit.ring.id)
    .flatMap(r => progressOf(r.events).laidAt ?? [])
  const fire = slowOf(of)
  const lit = records.filter(r => r.id !== id && fire !== undefined && slowOf(r) === fire).flatMap(r => fireLitAt(r.events) ?? [])
  return { panInUseFrom: laid.length === 0 ? null : Math.min(...laid), fireLitAt: lit.length === 0 ? null : Math.min(...lit) }
}

/** Others are answered between two steps of it. */
async function betweenOthers<T>(steps: Steps<T>): Promise<T> {
  for (;;) {
    const step = steps.next()
    if (step.done === true) return step.value
    await new Promise(setImmediate)
  }
}
