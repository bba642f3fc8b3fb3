/**
 * All that one kitchen has to cook with, and what of it is in use. Plain data: it is
 * edited, stored, and goes along with every request, so that a plan stands by itself.
 */
import { BATHS, POTS, type BathMachine, type Pot } from './bath'
import { GRILLS, type Grill } from './grill'
import { OVENS, type Oven } from './oven'
import { PANS, RINGS, type Pan, type Ring } from './pan'
import { TRUE_READER, type Thermometer } from './thermometer'

export interface Kit {
  readonly pans: readonly Pan[]
  readonly rings: readonly Ring[]
  readonly ovens: readonly Oven[]
  readonly grills: readonly Grill[]
  readonly pots: readonly Pot[]
  readonly baths: readonly BathMachine[]
  readonly thermometers: readonly Thermometer[]
  /** m above the sea: where water boils. */
  readonly altitudeM: number
}
export type KitShelf = Exclude<keyof Kit, 'altitudeM'>
export const SHELVES: readonly KitShelf[] = ['pans', 'rings', 'ovens', 'grills', 'baths', 'pots', 'thermometers']

/** What a plan cooks with beside its pan and ring; null for what there is none of. */
export interface KitInUse {
  readonly pan: Pan
  readonly ring: Ring
  readonly oven: Oven | null
  readonly grill: Grill | null
  readonly pot: Pot | null
  readonly bath: BathMachine | null
}

export interface ReadyKit {
  readonly id: string
  readonly name: string
  readonly says: string
  readonly kit: Kit
}

const induction: readonly Ring[] = [
  { id: 'boost', name: 'Large zone', powerW: 1955, heat: 'induction' },
  { id: 'middle', name: 'Middle zone', powerW: 1530, heat: 'induction' }
]
const gasRange: readonly Ring[] = [
  { id: 'wok', name: 'Wok burner', powerW: 2250, heat: 'gas' },
  { id: 'large', name: 'Large burner', powerW: 1350, heat: 'gas' },
  { id: 'small', name: 'Small burner', powerW: 790, heat: 'gas' }
]

/** Kits to start from; the first is the galley of the demo. */
export const READY_KITS: readonly ReadyKit[] = [
  {
    id: 'galley',
    name: 'Galley',
    says: 'two rings, a half-size oven, a kettle grill on deck, a circulator',
    kit: { pans: PANS, rings: RINGS, ovens: OVENS, grills: GRILLS, pots: POTS, baths: BATHS, thermometers: [TRUE_READER], altitudeM: 0 }
  },
  {
    id: 'home',
    name: 'Home kitchen',
    says: 'induction hob, fan oven, two pans, no machine for baths',
    kit: {
      pans: [PANS[0], PANS[3]],
      rings: induction,
      ovens: [{ id: 'fan', name: 'Built-in oven, fan', fan: true, offsetC: 0 }],
      grills: [],
      pots: [POTS[0]],
      baths: [],
      thermometers: [TRUE_READER],
      altitudeM: 0
    }
  },
  {
    id: 'range',
    name: 'Small restaurant',
    says: 'gas range, still and fan ovens, gas grill, circulator',
    kit: {
      pans: [PANS[2], PANS[0]],
      rings: gasRange,
      ovens: [
        { id: 'combi', name: 'Convection oven', fan: true, offsetC: 0 },
        { id: 'deck', name: 'Range oven, still', fan: false, offsetC: 0 }
      ],
      grills: [{ id: 'gas', name: 'Gas grill', lid: false, fuel: 'gas', twoZones: true, acrossMm: 700, deepMm: 450 }],
      pots: POTS,
      baths: BATHS,
      thermometers: [TRUE_READER, { ...TRUE_READER, id: 'probe', name: 'Leave-in probe', leaveIn: true }],
      altitudeM: 0
    }
  },
  {
    id: 'pan',
    name: 'One pan',
    says: 'one ring, one pan, one pot',
    kit: {
      pans: [PANS[3]],
      rings: [{ id: 'ring', name: 'The ring', powerW: 1260, heat: 'electric' }],
      ovens: [],
      grills: [],
      pots: [POTS[0]],
      baths: [],
      thermometers: [TRUE_READER],
      altitudeM: 0
    }
  }
]

/** What is in use of each shelf: by id, or the first there is. */
export type Chosen = Partial<Record<Exclude<KitShelf, 'pans' | 'rings'>, string>>

const pick = <T extends { readonly id: string }>(shelf: readonly T[], id: string | undefined): T | null =>
  shelf.find(item => item.id === id) ?? (shelf.length > 0 ? shelf[0] : null)

/** @param pan what the plan cooks in: from the kit where it is still there */
export function kitInUse(kit: Kit, chosen: Chosen, panId: string, ringId: string): KitInUse {
  return {
    pan: pick(kit.pans, panId) ?? PANS[0],
    ring: pick(kit.rings, ringId) ?? RINGS[0],
    oven: pick(kit.ovens, chosen.ovens),
    grill: pick(kit.grills, chosen.grills),
    pot: pick(kit.pots, chosen.pots),
    bath: pick(kit.baths, chosen.baths)
  }
}
