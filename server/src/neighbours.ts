/** Several servers on one PostgreSQL database hear from one another what has changed, by its LISTEN and NOTIFY. */
import { nanoid } from 'nanoid'
import pg from 'pg'
import type { Probe } from '#core/session/probes'
import { isPostgresUrl } from './db/dialect'

/** Of a service, or of a thermometer; of neither where it may be anything. */
export interface Told {
  readonly service?: string
  readonly probe?: Probe
}

export interface Neighbours {
  /** Once it is committed. Lost where the database cannot be reached: when it can again, everybody asks anew. */
  say(told: Told): void
  hear(told: (told: Told) => void): void
  close(): Promise<void>
}

const CHANNEL = 'macellaio'
/** As which its connection is seen among others. */
export const NEIGHBOURS = 'macellaio neighbours'
const AGAIN_MS = 1000

/** @returns null where a database has but one server */
export function neighboursOn(where: string): Neighbours | null {
  return isPostgresUrl(where) ? new PostgresNeighbours(where) : null
}

class PostgresNeighbours implements Neighbours {
  private readonly self = nanoid(8)
  private readonly listeners = new Set<(told: Told) => void>()
  private client: pg.Client | null = null
  private again: NodeJS.Timeout | null = null
  private closed = false

  constructor(private readonly url: string) {
    void this.connect(false)
  }

  say(told: Told): void {
    this.client?.query('select pg_notify($1, $2)', [CHANNEL, JSON.stringify({ from: this.self, told })]).catch(() => undefined)
  }

  hear(told: (told: Told) => void): void {
    this.listeners.add(told)
  }

  async close(): Promise<void> {
    this.closed = true
    if (this.again !== null) clearTimeout(this.again)
    await this.client?.end().catch(() => undefined)
  }

  /** @param missed whether something may have been said meanwhile */
  private async connect(missed: boolean): Promise<void> {
    const client = new pg.Client({ connectionString: this.url, keepAlive: true, application_name: NEIGHBOURS })
    let lost = false
    const lose = (): void => {
      if (!lost) this.lose(client)
      lost = true
    }
    client.on('error', lose)
    client.on('end', lose)
    client.on('notification', ({ payload }) => this.read(payload))
    try {
      await client.connect()
      await client.query(`listen ${CHANNEL}`)
      this.client = client
      if (this.closed) await this.close()
      else if (missed) {
        this.pass({})
        this.say({})
      }
    } catch {
      lose()
    }
  }

  private lose(client: pg.Client): void {
    if (this.client === client) this.client = null
    void client.end().catch(() => undefined)
    if (this.closed || this.client !== null || this.again !== null) return
    this.again = setTimeout(() => {
      this.again = null
      void this.connect(true)
    }, AGAIN_MS)
    this.again.unref()
  }

  private read(payload: string | undefined): void {
    try {
      const { from, told } = JSON.parse(payload ?? '') as { from: string; told: Told }
      if (from !== this.self) this.pass(told)
    } catch {
      // Of another program on the same channel.
    }
  }

  private pass(told: Told): void {
    for (const listener of this.listeners) listener(told)
  }
}
