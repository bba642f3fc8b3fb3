/**
 * The catalogue: every cut we know, read from `catalogue/*.json`. Each file is checked
 * by the tests against the schema beside it, and trusted here.
 */
import type { Composition } from '#core/heat/properties'
import braising from './catalogue/braising.json'
import chuck from './catalogue/chuck.json'
import loin from './catalogue/loin.json'
import plateAndFlank from './catalogue/plateAndFlank.json'
import rib from './catalogue/rib.json'
import round from './catalogue/round.json'
import rump from './catalogue/rump.json'
import type { Cut } from './cut'

/** Of lean without its fat; typical of food composition tables, from memory. */
const FAT_FREE = { water: 0.763, protein: 0.2265, ash: 0.0105 }

/** @param fat share of the whole */
function compositionWith(fat: number): Composition {
  const lean = 1 - fat
  return { water: lean * FAT_FREE.water, protein: lean * FAT_FREE.protein, ash: lean * FAT_FREE.ash, fat }
}

const ENTRIES = [...loin, ...rib, ...rump, ...chuck, ...plateAndFlank, ...round, ...braising] as unknown as readonly Omit<
  Cut,
  'composition'
>[]

export const CUTS: readonly Cut[] = ENTRIES.map(entry => ({ ...entry, composition: compositionWith((entry.fat[0] + entry.fat[1]) / 2) }))

const BY_ID = new Map(CUTS.map(c => [c.id, c]))
export const cutById = (id: string): Cut | undefined => BY_ID.get(id)
