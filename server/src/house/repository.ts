/** Devices that may come in over the network, and what the house keeps for itself. */
import type { Knex } from 'knex'
import { nanoid } from 'nanoid'
import { hashOf, newToken, same } from './secrets'

export interface Device {
  readonly id: string
  readonly name: string
  /** Epoch ms. */
  readonly pairedAt: number
  readonly seenAt: number
}
interface DeviceRow {
  id: string
  name: string
  token_hash: string
  paired_at: number
  seen_at: number
}
type Kept = 'open' | 'passcode' | 'certificate' | 'invited'

/** Nobody needs to know it to the second. */
const SEEN_EVERY_MS = 60_000
const MOST_DEVICES = 40

export class HouseRepository {
  constructor(private readonly db: Knex) {}

  async keep(key: Kept, value: string | null): Promise<void> {
    if (value === null) await this.db('house').where({ key }).delete()
    else await this.db('house').insert({ key, value }).onConflict('key').merge()
  }
  async kept(key: Kept): Promise<string | null> {
    return ((await this.db('house').where({ key }).first('value')) as { value: string } | undefined)?.value ?? null
  }

  /** Takes it away, once. @returns whether it was still there */
  async take(key: Kept, value: string): Promise<boolean> {
    return (await this.db('house').where({ key, value }).delete()) > 0
  }

  async devices(): Promise<Device[]> {
    const rows = await this.db<DeviceRow>('devices').orderBy('seen_at', 'desc')
    return rows.map(({ id, name, paired_at, seen_at }) => ({ id, name, pairedAt: paired_at, seenAt: seen_at }))
  }
  /** @returns what the device shows from now on; null where there are too many already */
  async pair(name: string, now: number): Promise<string | null> {
    const [{ count }] = (await this.db('devices').count({ count: 'id' })) as unknown as [{ count: number }]
    if (count >= MOST_DEVICES) return null
    const [id, token] = [nanoid(12), newToken()]
    await this.db<DeviceRow>('devices').insert({ id, name, token_hash: hashOf(token), paired_at: now, seen_at: now })
    return `${id}.${token}`
  }
  /** @param shown what a device brings. @returns its id; null where it may not come in */
  async known(shown: string, now: number): Promise<string | null> {
    const [id = '', token = ''] = shown.split('.')
    const row = await this.db<DeviceRow>('devices').where({ id }).first()
    if (!row || !same(row.token_hash, hashOf(token))) return null
    if (now - row.seen_at > SEEN_EVERY_MS) await this.db<DeviceRow>('devices').where({ id }).update({ seen_at: now })
    return id
  }
  async putOut(id: string): Promise<boolean> {
    return (await this.db<DeviceRow>('devices').where({ id }).delete()) > 0
  }
}
