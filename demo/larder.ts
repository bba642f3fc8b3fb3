/** What lies in the galley's fridge and freezer: a quarter came on Tuesday, and not every packet was labelled. */
import type { Knex } from 'knex'
import type { Packet } from '#core/shop/larder'
import { PacketRepository } from '#server/packets/repository'

const HOUR = 3600_000
const DAY = 24 * HOUR

const packets = (now: number): Packet[] => {
  const usual = { useBy: null, thawing: null, intact: 'yes', thicknessMm: null, label: '' } as const
  return [
    {
      ...usual,
      id: 'demo-picanha',
      cutId: 'rump-cap',
      label: 'CAP OF RMP',
      pieces: 1,
      weightG: 1280,
      wrap: 'vacuum',
      place: 'fridge',
      since: now - 4 * DAY,
      useBy: now + 5 * DAY
    },
    {
      ...usual,
      id: 'demo-cooked',
      cutId: 'rump-cap',
      label: 'Saturday’s, from the bath',
      pieces: 2,
      weightG: 590,
      thicknessMm: 36,
      wrap: 'vacuum',
      place: 'fridge',
      since: now - DAY,
      cookedC: 55
    },
    { ...usual, id: 'demo-skirts', cutId: 'skirt', pieces: 2, weightG: 760, wrap: 'wrapped', place: 'fridge', since: now - 2 * DAY },
    {
      ...usual,
      id: 'demo-strips',
      cutId: 'strip',
      pieces: 2,
      weightG: 720,
      thicknessMm: 32,
      wrap: 'vacuum',
      place: 'fridge',
      since: now - 60 * DAY,
      thawing: { since: now - 9 * HOUR, how: 'fridge' }
    },
    { ...usual, id: 'demo-roast', cutId: 'rib-roast', pieces: 1, weightG: 3400, wrap: 'vacuum', place: 'freezer', since: now - 40 * DAY },
    {
      ...usual,
      id: 'demo-shins',
      cutId: 'shin',
      pieces: 4,
      weightG: 1900,
      thicknessMm: 40,
      wrap: 'vacuum',
      place: 'freezer',
      since: now - 40 * DAY
    },
    {
      ...usual,
      id: 'demo-unknown',
      cutId: null,
      label: 'hind, lean, no. 7',
      pieces: 1,
      weightG: 1150,
      wrap: 'vacuum',
      place: 'freezer',
      since: now - 40 * DAY,
      intact: 'unknown'
    }
  ]
}

/** Fills an empty larder; leaves one with anything in it alone. */
export async function stockLarder(db: Knex, now = Date.now()): Promise<void> {
  const larder = new PacketRepository(db)
  if (await larder.any()) return
  for (const packet of packets(now)) await larder.put(packet)
}
