/** Services and what was said of them. Every write is one transaction, and may come twice. */
import type { Knex } from 'knex'
import { inOnePiece } from '#server/db/inOnePiece'
import { readableOf } from '#server/db/readable'
import { RecipeRepository } from '#server/recipes/repository'
import { bookOf } from '#core/service/recipes'
import { serviceOf, summaryOf, type ServiceEvent, type ServiceRecord, type ServiceSummary } from '#core/service/record'

interface ServiceRow {
  id: string
  created_at: number
  serve_at: string | null
  summary: string
  removed_at: number | null
}
interface EventRow {
  id: string
  service_id: string
  sequence: number
  said: string
}

export class ServiceRepository {
  constructor(private readonly db: Knex) {}

  /** Adds those events that are not there yet, and the service with the first of them. */
  async tell(id: string, events: readonly ServiceEvent[]): Promise<ServiceRecord> {
    return inOnePiece(this.db, async trx => {
      await trx<ServiceRow>('services')
        .insert({ id, created_at: events[0].at, serve_at: null, summary: '{}', removed_at: null })
        .onConflict('id')
        .ignore()
      // Whoever else has something to say of it waits, or both would count the same.
      await trx<ServiceRow>('services').where({ id }).forUpdate().first('id')
      let { length: sequence } = await eventsOf(trx, id)
      for (const event of events) {
        if (await trx<EventRow>('service_events').where({ id: event.id }).first('id')) continue
        sequence += 1
        await trx<EventRow>('service_events').insert({ id: event.id, service_id: id, sequence, said: JSON.stringify(event) })
      }
      const record = serviceOf(id, await eventsOf(trx, id))
      const book = bookOf(await new RecipeRepository(trx).list())
      await trx<ServiceRow>('services')
        .where({ id })
        .update({ serve_at: record.ticket?.serveAt ?? null, summary: JSON.stringify(summaryOf(record, book, 0, 0)) })
      return record
    })
  }

  /** As they were said. */
  eventsOf(id: string): Promise<ServiceEvent[]> {
    return eventsOf(this.db, id)
  }

  async find(id: string): Promise<ServiceRecord | null> {
    const row = await this.db<ServiceRow>('services').where({ id }).first('id')
    return row ? serviceOf(id, await eventsOf(this.db, id)) : null
  }

  /** Latest on the table first. @param skip of them so many */
  async list(skip: number, most: number): Promise<{ services: ServiceSummary[]; total: number }> {
    const standing = (): Knex.QueryBuilder<ServiceRow> => this.db<ServiceRow>('services').whereNull('removed_at')
    const rows = (await standing().orderByRaw('serve_at desc nulls last, id').offset(skip).limit(most)) as ServiceRow[]
    const lit = await this.litFor(rows.map(r => r.id))
    const [{ total }] = (await standing().count({ total: 'id' })) as unknown as [{ total: number }]
    const { read: services } = readableOf(rows, ({ id, summary }) => {
      const [cooks, underWay] = lit.get(id) ?? [0, 0]
      return { ...(JSON.parse(summary) as ServiceSummary), cooks, underWay }
    })
    return { services, total }
  }

  /** @returns whether there is such a service */
  async setRemoved(id: string, removedAt: number | null): Promise<boolean> {
    return (await this.db<ServiceRow>('services').where({ id }).update({ removed_at: removedAt })) > 0
  }

  /** By service, how many cooks it has and how many of them are not carved. */
  private async litFor(ids: readonly string[]): Promise<Map<string, readonly [number, number]>> {
    const takenBack = this.db('cook_events').select('undoes').whereNotNull('undoes')
    const carved = this.db('cook_events').select('cook_id').where({ kind: 'carved' }).whereNotIn('id', takenBack)
    const rows = (await this.db('cooks')
      .whereNull('removed_at')
      .whereIn('service_id', ids)
      .groupBy('service_id')
      .select('service_id')
      .count({ cooks: 'id' })
      .sum({ underWay: this.db.raw('case when id in (?) then 0 else 1 end', [carved]) })) as {
      service_id: string
      cooks: number
      underWay: number
    }[]
    return new Map(rows.map(r => [r.service_id, [r.cooks, r.underWay]]))
  }
}

const eventsOf = async (db: Knex, id: string): Promise<ServiceEvent[]> => {
  const rows = await db<EventRow>('service_events').where({ service_id: id }).orderBy('sequence').select('said')
  return readableOf(rows, r => JSON.parse(r.said) as ServiceEvent).read
}
