/** All that is kept, given out and taken in again. What is there already stays as it is; nothing comes twice. */
import type { Knex } from 'knex'
import { NOTHING_TAKEN, type Everything, type SavedService, type TakenIn } from '#core/formats/everythingSchema'
import type { CookRecord } from '#core/book/record'
import { CookRepository } from '#server/cooks/repository'
import { DrillRepository } from '#server/drills/repository'
import { KitRepository } from '#server/kit/repository'
import { PacketRepository } from '#server/packets/repository'
import { Probes } from '#server/probes/probes'
import { RecipeRepository } from '#server/recipes/repository'
import { Rehearsals } from '#server/rehearsals/rehearsals'
import { ServiceRepository } from '#server/services/repository'
import { inOnePiece } from '#server/db/inOnePiece'

export class EverythingRepository {
  private readonly cooks: CookRepository
  private readonly services: ServiceRepository
  private readonly packets: PacketRepository
  private readonly recipes: RecipeRepository
  private readonly kits: KitRepository
  private readonly probes: Probes
  private readonly rehearsals: Rehearsals
  private readonly drills: DrillRepository

  constructor(private readonly db: Knex) {
    this.cooks = new CookRepository(db)
    this.services = new ServiceRepository(db)
    this.packets = new PacketRepository(db)
    this.recipes = new RecipeRepository(db)
    this.kits = new KitRepository(db)
    this.probes = new Probes(db, this.cooks)
    this.rehearsals = new Rehearsals(db, this.cooks)
    this.drills = new DrillRepository(db)
  }

  /** Some at a time, the oldest first: a Book of years is no one string. */
  async *allCooks(): AsyncGenerator<CookRecord> {
    for (const id of await idsOf(this.db, 'cooks', 'created_at')) {
      const cook = await this.cooks.find(id).catch(() => null)
      if (cook) yield cook
    }
  }
  async *allServices(): AsyncGenerator<SavedService> {
    for (const id of await idsOf(this.db, 'services', 'created_at')) {
      const events = await this.services.eventsOf(id)
      if (events.length > 0) yield { id, events }
    }
  }
  async rest(): Promise<Omit<Everything, 'cooks' | 'services'>> {
    const [packets, recipes, kit] = await Promise.all([this.packets.list(), this.recipes.list(), this.kits.get()])
    const [probes, scores, drills] = await Promise.all([this.probes.placed(), this.rehearsals.scores(), this.drills.list()])
    return { packets, recipes, kit, probes, scores, drills }
  }

  /** All of it or nothing. */
  takeIn(all: Everything, now: number): Promise<TakenIn> {
    return inOnePiece(this.db, trx => new EverythingRepository(trx).take(all, now))
  }

  private async take({ cooks, services, packets, recipes, kit, probes, scores, drills }: Everything, now: number): Promise<TakenIn> {
    const taken = { ...NOTHING_TAKEN }
    for (const recipe of recipes)
      if (!(await known(this.db, 'recipes', recipe.id))) {
        await this.recipes.put(recipe, now)
        taken.recipes += 1
      }
    for (const { id, events } of services) {
      if (!(await known(this.db, 'services', id))) taken.services += 1
      await this.services.tell(id, events)
    }
    for (const packet of packets)
      if (!(await known(this.db, 'packets', packet.id))) {
        await this.packets.put(packet)
        taken.packets += 1
      }
    for (const { events, outcome, log, ...cook } of cooks) {
      const added = await this.cooks.add(cook)
      await this.cooks.addEvents(cook.id, events)
      if (!added) continue
      await this.cooks.judge(cook.id, outcome)
      if (log) await this.cooks.keepLog(cook.id, log)
      taken.cooks += 1
    }
    if (kit !== null && (await this.kits.get()) === null) {
      await this.kits.put(kit, now)
      taken.kit = 1
    }
    for (const probe of probes) if (await this.probes.know(probe)) taken.probes += 1
    for (const score of scores) if (await this.rehearsals.keepScore(score)) taken.scores += 1
    for (const done of drills) if (await this.drills.add(done)) taken.drills += 1
    return taken
  }
}

async function idsOf(db: Knex, table: 'cooks' | 'services', order: string): Promise<string[]> {
  const kept = db(table).whereNull('removed_at').orderBy(order).select('id')
  // A rehearsal is played again, not kept.
  const rows = (await (table === 'cooks' ? kept.whereNull('rehearsed') : kept)) as { id: string }[]
  return rows.map(r => r.id)
}
/** Also what was taken out: it does not come back by itself. */
const known = async (db: Knex, table: 'recipes' | 'services' | 'packets', id: string): Promise<boolean> =>
  (await db(table).where({ id }).first('id')) !== undefined
