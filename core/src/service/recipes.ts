/** What a cook may put on the ticket beside the beef: what ships, as one kitchen has changed it, and its own. */
import type { Recipe } from './recipe'
import { SAUCES } from './sauces'
import { SIDES } from './sides'

export type RecipeBook = readonly Recipe[]

/** As they ship. */
export const RECIPES: RecipeBook = [...SIDES, ...SAUCES]

/** @param kept what one kitchen has written: its own, and in place of those that ship with the same id */
export function bookOf(kept: readonly Recipe[]): RecipeBook {
  const changed = new Map(kept.map(r => [r.id, r]))
  const shipped = new Set(RECIPES.map(r => r.id))
  const own = kept.filter(r => !shipped.has(r.id)).sort((a, b) => a.name.localeCompare(b.name))
  return [...RECIPES.map(r => changed.get(r.id) ?? r), ...own]
}

/** A plate of their own for those who eat no meat, by id. */
export const MEATLESS: readonly string[] = ['celeriac-steaks', 'cauliflower-steaks']

/** As it ships; undefined for one of a kitchen's own. */
export const shippedRecipe = (id: string): Recipe | undefined => RECIPES.find(r => r.id === id)

/** Also one that is not offered any more: who has it on a ticket keeps it. */
export const recipeIn = (book: RecipeBook, id: string): Recipe | undefined => book.find(r => r.id === id)
