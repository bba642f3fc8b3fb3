/**
 * Cooks and their events in the database. Every write is one transaction, and every
 * write may come twice: a client that lost its connection sends again.
 */
import { group } from 'd3-array'
import type { Knex } from 'knex'
import { onPostgres } from '#server/db/dialect'
import { inOnePiece } from '#server/db/inOnePiece'
import { readableOf, UnreadableError } from '#server/db/readable'
import type { CookEvent } from '#core/session/events'
import type { InService } from '#core/session/inService'
import { summaryOf, type CookRecord, type CookSummary, type Outcome, type ProbeLog } from '#core/book/record'
import type { CookPage, NewCook } from '#core/book/cookSchema'
import { PostgresWords } from './postgresWords'
import { POSTGRES_SORTS, SQLITE_SORTS } from './sorts'
import { SqliteWords } from './sqliteWords'
import type { CookWords } from './words'

interface CookRow {
  id: string
  title: string
  created_at: number
  request: string
  planned: string
  doneness: string | null
  crust: string | null
  notes: string
  service_id: string | null
  after_cook: string | null
  after_s: number | null
  called: string | null
  piece: string | null
  log: string | null
  /** 1 where it was a rehearsal. */
  rehearsed: number | null
}

interface EventRow {
  id: string
  kind: string
  at: number
  entered: number
  core_c: number | null
  undoes: string | null
  seconds: number | null
  /** 1 for kept warm meanwhile. */
  held: number | null
  oven_c: number | null
  flash_s: number | null
  probe: string | null
}

export class CookRepository {
  private readonly words: CookWords

  constructor(private readonly db: Knex) {
    this.words = onPostgres(db) ? new PostgresWords(db) : new SqliteWords(db)
  }

  /** @returns whether it is new; the same cook sent again changes nothing */
  async add(cook: NewCook): Promise<boolean> {
    const added = await this.db('cooks')
      .insert({
        id: cook.id,
        title: cook.title,
        created_at: cook.createdAt,
        request: JSON.stringify(cook.request),
        planned: JSON.stringify(cook.planned),
        service_id: cook.service?.id ?? null,
        after_cook: cook.service?.after?.cookId ?? null,
        after_s: cook.service?.after?.seconds ?? null,
        called: cook.service?.called ?? null,
        piece: cook.service?.piece ?? null,
        rehearsed: cook.rehearsed === true ? 1 : null
      })
      .onConflict('id')
      .ignore()
      .returning('id')
    return added.length > 0
  }

  /** Adds those events that are not there yet. @returns null where there is no such cook */
  async addEvents(cookId: string, events: readonly CookEvent[]): Promise<CookRecord | null> {
    return inOnePiece(this.db, async trx => {
      // Whoever else has something to say of it waits, or both would count the same.
      const cook = await trx('cooks').where({ id: cookId }).forUpdate().first('id')
      if (!cook) return null
      const last = (await trx('cook_events').where({ cook_id: cookId }).max({ sequence: 'sequence' }).first()) as
        { sequence: number | null } | undefined
      let sequence = last?.sequence ?? 0
      for (const event of events) {
        const known = await trx('cook_events').where({ id: event.id }).first('id')
        if (known) continue
        sequence += 1
        await trx('cook_events').insert({
          id: event.id,
          cook_id: cookId,
          sequence,
          kind: event.kind,
          at: event.at,
          entered: event.entered,
          core_c: event.kind === 'reading' ? event.coreC : null,
          probe: event.kind === 'reading' ? (event.probe ?? null) : null,
          undoes: event.kind === 'undone' ? event.undoes : null,
          seconds: event.kind === 'delayed' || event.kind === 'parted' ? event.seconds : null,
          held: event.kind === 'delayed' && event.held === true ? 1 : null,
          oven_c: event.kind === 'delayed' ? (event.ovenC ?? null) : null,
          flash_s: event.kind === 'delayed' ? (event.flashS ?? null) : null
        })
      }
      return load(trx, cookId)
    })
  }

  async judge(cookId: string, outcome: Outcome): Promise<CookRecord | null> {
    return inOnePiece(this.db, async trx => {
      await trx('cooks').where({ id: cookId }).update({ doneness: outcome.doneness, crust: outcome.crust, notes: outcome.notes })
      return load(trx, cookId)
    })
  }

  /** @param log null takes it away */
  async keepLog(cookId: string, log: ProbeLog | null): Promise<CookRecord | null> {
    await this.db('cooks')
      .where({ id: cookId })
      .update({ log: log && JSON.stringify(log) })
    return load(this.db, cookId)
  }

  async rename(cookId: string, title: string): Promise<CookRecord | null> {
    await this.db('cooks').where({ id: cookId }).update({ title })
    return load(this.db, cookId)
  }

  /** All that were cooked for one table, in the order in which they were lit. */
  async ofService(serviceId: string): Promise<CookSummary[]> {
    return (await this.litFor(serviceId)).map(summaryOf)
  }

  /** The same, whole. */
  async litFor(serviceId: string): Promise<CookRecord[]> {
    const rows = await this.db<CookRow>('cooks').whereNull('removed_at').where({ service_id: serviceId }).orderBy('created_at').limit(100)
    return withEvents(this.db, rows)
  }

  /** Ids of those that were thrown away. */
  async thrownAway(serviceId: string): Promise<string[]> {
    const rows = await this.db<CookRow>('cooks').whereNotNull('removed_at').where({ service_id: serviceId }).select('id').limit(1000)
    return rows.map(r => r.id)
  }

  /** Which service a cook was lit for; null where for none. */
  async serviceOf(cookId: string): Promise<string | null> {
    return (await this.db<CookRow>('cooks').where({ id: cookId }).first('service_id'))?.service_id ?? null
  }

  find(cookId: string): Promise<CookRecord | null> {
    return load(this.db, cookId)
  }

  /** Takes a cook out of the Book or puts it back. @returns whether there is such a cook */
  async setRemoved(cookId: string, removedAt: number | null): Promise<boolean> {
    return (await this.db('cooks').where({ id: cookId }).update({ removed_at: removedAt })) > 0
  }

  /** A page of the Book, and how many there are on all of them. What is looked for may be misspelt. */
  async list({ search, skip, take, sort, order }: CookPage): Promise<CookPageFound> {
    const match = search.trim() === '' ? null : await this.words.match(search)
    if (match === null && search.trim() !== '') return { cooks: [], unreadable: [], total: 0 }
    const { total, rows } =
      match !== null && sort === undefined ? await this.best(match, skip, take) : await this.sorted(match, { skip, take, sort, order })
    const eventsOf = await eventsBy(this.db, rows)
    const { read: cooks, unreadable } = readableOf(rows, row => summaryOf(recordOf(row, eventsOf(row.id))))
    return { cooks, unreadable: unreadable.map(({ id, title, created_at }) => ({ id, title, createdAt: created_at })), total }
  }

  private async best(match: string, skip: number, take: number): Promise<RowsFound> {
    const { total, ids } = await this.words.page(match, skip, take)
    const rows = await this.db<CookRow>('cooks').whereIn('id', ids)
    return { total, rows: rows.sort((a, b) => ids.indexOf(a.id) - ids.indexOf(b.id)) }
  }

  /** All one way, as the indices are; and no two pages share one. */
  private async sorted(match: string | null, { skip, take, sort, order }: Omit<CookPage, 'search'>): Promise<RowsFound> {
    const there = this.db<CookRow>('cooks').whereNull('removed_at').whereNull('rehearsed')
    if (match !== null) this.words.among(there, match)
    const [{ total }] = (await there.clone().count({ total: '*' })) as [{ total: number }]
    const way = order === 'up' ? 'asc' : 'desc'
    const by = (onPostgres(this.db) ? POSTGRES_SORTS : SQLITE_SORTS)[sort ?? 'made']
    // What has no figure is less than any.
    if (by !== 'created_at') void there.orderByRaw(`${by} ${way} nulls ${order === 'up' ? 'first' : 'last'}`)
    void there.orderByRaw(`created_at ${way}, cooks.id ${way}`)
    return { total, rows: (await there.select('cooks.*').offset(skip).limit(take)) as CookRow[] }
  }

  /** Gets ready to be searched. */
  catchUp(): Promise<void> {
    return this.words.catchUp()
  }

  /** The newest finished cooks in which something was read, whole. @param most so many */
  async read(most: number): Promise<CookRecord[]> {
    const rows = await this.db<CookRow>('cooks')
      .whereNull('removed_at')
      .whereNull('rehearsed')
      .whereIn('id', this.db('cook_events').select('cook_id').where({ kind: 'reading' }))
      .orderBy('created_at', 'desc')
      .limit(most)
    return withEvents(this.db, rows)
  }
}

interface RowsFound {
  readonly total: number
  readonly rows: readonly CookRow[]
}

interface CookPageFound {
  readonly cooks: CookSummary[]
  readonly unreadable: Unreadable[]
  readonly total: number
}

/** A row that is kept and cannot be read. */
export interface Unreadable {
  readonly id: string
  readonly title: string
  /** Epoch ms. */
  readonly createdAt: number
}

async function eventsBy(db: Knex, rows: readonly CookRow[]): Promise<(cookId: string) => EventRow[]> {
  const events = await db<EventRow & { cook_id: string }>('cook_events')
    .whereIn(
      'cook_id',
      rows.map(r => r.id)
    )
    .orderBy('sequence')
  const found = group(events, e => e.cook_id)
  return id => found.get(id) ?? []
}
/** Cooks with their events, as they are in the Book; what cannot be read is left out. */
async function withEvents(db: Knex, rows: readonly CookRow[]): Promise<CookRecord[]> {
  const eventsOf = await eventsBy(db, rows)
  return readableOf(rows, row => recordOf(row, eventsOf(row.id))).read
}

async function load(db: Knex, cookId: string): Promise<CookRecord | null> {
  const row = await db<CookRow>('cooks').where({ id: cookId }).first()
  if (!row) return null
  const events = await db<EventRow & { cook_id: string }>('cook_events').where('cook_id', cookId).orderBy('sequence')
  try {
    return recordOf(row, events)
  } catch {
    throw new UnreadableError(`“${row.title}” cannot be read any more. It is kept as it is; a copy of an earlier day may have it whole.`)
  }
}

function recordOf(row: CookRow, events: readonly EventRow[]): CookRecord {
  return {
    id: row.id,
    title: row.title,
    createdAt: row.created_at,
    request: JSON.parse(row.request) as CookRecord['request'],
    planned: JSON.parse(row.planned) as CookRecord['planned'],
    service: serviceOf(row),
    events: events.map(eventOf),
    outcome: { doneness: row.doneness, crust: row.crust, notes: row.notes } as Outcome,
    ...(row.log === null ? {} : { log: JSON.parse(row.log) as ProbeLog }),
    ...(row.rehearsed === null ? {} : { rehearsed: true })
  }
}

function serviceOf({ service_id: id, after_cook: cookId, after_s: seconds, called, piece }: CookRow): InService | null {
  if (id === null) return null
  const after = cookId === null || seconds === null ? null : { cookId, seconds }
  return { id, after, called: called ?? '', ...(piece === null ? {} : { piece }) }
}

function eventOf(row: EventRow): CookEvent {
  const { id, at, entered } = row
  if (row.kind === 'reading')
    return { id, at, entered, kind: 'reading', coreC: row.core_c ?? NaN, ...(row.probe === null ? {} : { probe: row.probe }) }
  if (row.kind === 'delayed')
    return {
      id,
      at,
      entered,
      kind: 'delayed',
      seconds: row.seconds ?? 0,
      ...(row.held === 1 ? { held: true } : {}),
      ...(row.oven_c === null ? {} : { ovenC: row.oven_c }),
      ...(row.flash_s === null ? {} : { flashS: row.flash_s })
    }
  if (row.kind === 'parted') return { id, at, entered, kind: 'parted', seconds: row.seconds ?? 0 }
  if (row.kind === 'undone') return { id, at, entered, kind: 'undone', undoes: row.undoes ?? '' }
  return { id, at, entered, kind: row.kind } as CookEvent
}
