/** What a cook may put on the ticket beside the beef. */
import type { Recipe } from './recipe'
import { SAUCES } from './sauces'
import { SIDES } from './sides'

export const RECIPES: readonly Recipe[] = [...SIDES, ...SAUCES]

export const recipeById = (id: string): Recipe | undefined => RECIPES.find(r => r.id === id)
