/** How each drill went, each time. What was told once stays as it was told. */
import type { Knex } from 'knex'
import type { DrillDone } from '#core/rehearsal/schema'

/** Of a cook who does all of them every day, a year and a half. */
const NEWEST = 4000

export class DrillRepository {
  constructor(private readonly db: Knex) {}

  /** The oldest first. */
  async list(): Promise<DrillDone[]> {
    const rows = await this.db<DrillDone>('drills').orderBy('at', 'desc').orderBy('id').limit(NEWEST)
    return rows.map(({ id, kind, right, at }) => ({ id, kind, right, at })).reverse()
  }

  /** @returns whether it is new */
  async add(done: DrillDone): Promise<boolean> {
    const added = await this.db('drills')
      .insert({ ...done })
      .onConflict('id')
      .ignore()
      .returning('id')
    return added.length > 0
  }
}
