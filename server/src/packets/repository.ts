/** What is in the fridge and the freezer. A packet sent again replaces itself; a removed one can be put back. */
import type { Knex } from 'knex'
import type { Packet } from '#core/shop/larder'
import { inOnePiece } from '#server/db/inOnePiece'
import { readableOf } from '#server/db/readable'

interface PacketRow {
  id: string
  since: number
  removed_at: number | null
  packet: string
}

export class PacketRepository {
  constructor(private readonly db: Knex) {}

  async list(): Promise<Packet[]> {
    const rows = await this.db<PacketRow>('packets').whereNull('removed_at').orderBy('since').limit(1000)
    return readableOf(rows, r => JSON.parse(r.packet) as Packet).read
  }

  /** Whether there ever was one. */
  async any(): Promise<boolean> {
    return (await this.db<PacketRow>('packets').first('id')) !== undefined
  }

  /** @returns whether it is new */
  async put(packet: Packet): Promise<boolean> {
    return inOnePiece(this.db, async trx => {
      const known = await trx<PacketRow>('packets').where({ id: packet.id }).first('id')
      await trx<PacketRow>('packets')
        .insert({ id: packet.id, since: packet.since, packet: JSON.stringify(packet), removed_at: null })
        .onConflict('id')
        .merge()
      return known === undefined
    })
  }

  /** @returns whether there is such a packet */
  async remove(id: string, at: number): Promise<boolean> {
    return (await this.db<PacketRow>('packets').where({ id }).update({ removed_at: at })) > 0
  }
}
