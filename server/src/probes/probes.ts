/**
 * The kitchen's thermometers: where each is stands in the database; what it last said in memory, since it will say
 * something else in a few seconds. What is worth it becomes a reading of the cook that its tip is in.
 */
import type { Knex } from 'knex'
import { nanoid } from 'nanoid'
import { inMeat, type PlacedProbe } from '#core/formats/probeSchema'
import { hear, isDoubted, SILENT, type Listening, type Probe, type Sample, type Tip } from '#core/session/probes'
import { ALLOWED, progressOf } from '#core/session/progress'
import type { CookRepository } from '#server/cooks/repository'

interface ProbeRow {
  id: string
  name: string
  tip: Tip
  cook_id: string | null
}

/** So many a kitchen has at the most; more is somebody trying names. */
const MOST_PROBES = 40

export class Probes {
  private readonly listening = new Map<string, Listening>()

  constructor(
    private readonly db: Knex,
    private readonly cooks: CookRepository
  ) {}

  async list(): Promise<Probe[]> {
    const rows = await this.db<ProbeRow>('probes').orderBy('name').orderBy('id')
    return rows.map(row => this.seen(row))
  }

  async find(id: string): Promise<Probe | null> {
    const row = await this.db<ProbeRow>('probes').where({ id }).first()
    return row ? this.seen(row) : null
  }

  /**
   * @param name by which it is called from now on
   * @returns whether any of it is a reading of its cook now; null where there are too many probes already
   */
  async say(
    id: string,
    name: string | undefined,
    samples: readonly Sample[]
  ): Promise<{ readonly probe: Probe; readonly read: boolean } | null> {
    const row = await this.known(id, name)
    if (row === null) return null
    const record = row.cook_id !== null && row.tip === 'middle' ? await this.cooks.find(row.cook_id) : null
    const progress = record ? progressOf(record.events) : null
    const open = progress !== null && progress.state !== 'carved' && ALLOWED[progress.state].includes('reading')
    const kept: Sample[] = []
    // From here on in one breath: of two that speak at once neither hears half of the other.
    let listening = this.listening.get(id) ?? SILENT
    for (const sample of samples) {
      const { now, pass } = hear(listening, sample, open ? progress.laidAt : null)
      listening = now
      if (pass && inMeat(sample)) kept.push(sample)
    }
    this.listening.set(id, listening)
    if (record && kept.length > 0) {
      const entered = Date.now()
      const events = kept.map(({ at, celsius }) => ({
        id: nanoid(12),
        kind: 'reading' as const,
        at,
        entered,
        coreC: celsius,
        probe: row.name
      }))
      await this.cooks.addEvents(record.id, events)
    }
    return { probe: this.seen(row), read: kept.length > 0 }
  }

  async placed(): Promise<PlacedProbe[]> {
    return (await this.list()).map(({ id, name, tip, cook }) => ({ id, name, tip, cook }))
  }

  /** @returns whether it was not known yet, and is now: in no piece where its cook is not here */
  async know({ id, name, tip, cook }: PlacedProbe): Promise<boolean> {
    if ((await this.find(id)) !== null || (await this.list()).length >= MOST_PROBES) return false
    const here = cook !== null && (await this.db('cooks').where({ id: cook }).first('id')) !== undefined
    await this.db<ProbeRow>('probes').insert({ id, name, tip, cook_id: here ? cook : null })
    return true
  }

  /** @returns null where there is no such probe */
  async place(id: string, cook: string | null, tip: Tip): Promise<Probe | null> {
    await this.db<ProbeRow>('probes').where({ id }).update({ cook_id: cook, tip })
    const { last = null } = this.listening.get(id) ?? SILENT
    // In another piece it may be at anything.
    this.listening.set(id, { last, believed: last, passed: null })
    return this.find(id)
  }

  /** Another server of this kitchen has heard it. */
  heardElsewhere({ id, last, doubted }: Probe): void {
    const { believed, passed } = this.listening.get(id) ?? SILENT
    this.listening.set(id, { last, believed: doubted ? believed : last, passed })
  }

  async forget(id: string): Promise<boolean> {
    this.listening.delete(id)
    return (await this.db<ProbeRow>('probes').where({ id }).delete()) > 0
  }

  private async known(id: string, name: string | undefined): Promise<ProbeRow | null> {
    const row = await this.db<ProbeRow>('probes').where({ id }).first()
    if (row && (name === undefined || name === row.name)) return row
    if (row && name !== undefined) await this.db<ProbeRow>('probes').where({ id }).update({ name })
    else {
      const [{ many }] = (await this.db('probes').count({ many: '*' })) as [{ many: number }]
      if (many >= MOST_PROBES) return null
      await this.db<ProbeRow>('probes')
        .insert({ id, name: name ?? id, tip: 'middle', cook_id: null })
        .onConflict('id')
        .ignore()
    }
    return (await this.db<ProbeRow>('probes').where({ id }).first()) ?? null
  }

  private seen({ id, name, tip, cook_id: cook }: ProbeRow): Probe {
    const listening = this.listening.get(id) ?? SILENT
    return { id, name, tip, cook, last: listening.last, doubted: isDoubted(listening) }
  }
}
