import type { Knex } from 'knex'
import { plannedFromEarlier } from '#core/book/earlier'
import { fromEarlier } from '#core/request/earlier'
import type { PlanRequest } from '#core/request/request'

interface Row {
  readonly id: string
  readonly request: string
  readonly way: string | null
  readonly planned: string
}

/** Every cook by one request, its method in it; the column beside it stays, empty, as what was there is in the request now. */
export async function up(db: Knex): Promise<void> {
  const rows = await db<Row>('cooks').select('id', 'request', 'way', 'planned')
  for (const row of rows) {
    const [way, given, planned] = [row.way ?? 'null', row.request, row.planned].map(parsed)
    // A row that cannot be read is left as it is: the others must not wait for it.
    if (given === undefined || planned === undefined || way === undefined) continue
    const request = fromEarlier(given, way) as PlanRequest
    await db('cooks')
      .where({ id: row.id })
      .update({ request: JSON.stringify(request), planned: JSON.stringify(plannedFromEarlier(planned, request, way)), way: null })
  }
}

function parsed(text: string): unknown {
  try {
    return JSON.parse(text)
  } catch {
    return undefined
  }
}

/** What was one is not told apart again: a backup from before is the way back. */
export function down(): Promise<void> {
  return Promise.resolve()
}
