/** The kitchen's own kit: one document, replaced whole. */
import type { Knex } from 'knex'
import type { Kit } from '#core/kit/kit'
import { inOnePiece } from '#server/db/inOnePiece'

interface KitRow {
  id: number
  changed_at: number
  kit: string
}
const THE_ONE = 1

export class KitRepository {
  constructor(private readonly db: Knex) {}

  /** Null until one was told. */
  async get(): Promise<Kit | null> {
    const row = await this.db<KitRow>('kit').where({ id: THE_ONE }).first('kit')
    return row === undefined ? null : (JSON.parse(row.kit) as Kit)
  }

  async put(kit: Kit, at: number): Promise<void> {
    await inOnePiece(this.db, async trx => {
      await trx<KitRow>('kit')
        .insert({ id: THE_ONE, changed_at: at, kit: JSON.stringify(kit) })
        .onConflict('id')
        .merge()
    })
  }
}
