/** Recipes of this kitchen. One sent again replaces itself; one out of the book says so of itself, and stays. */
import type { Knex } from 'knex'
import type { Recipe } from '#core/service/recipe'
import { inOnePiece } from '#server/db/inOnePiece'
import { readableOf } from '#server/db/readable'

interface RecipeRow {
  id: string
  changed_at: number
  recipe: string
}
/** No kitchen has more. */
const MOST = 2000

export class RecipeRepository {
  constructor(private readonly db: Knex) {}

  async list(): Promise<Recipe[]> {
    const rows = await this.db<RecipeRow>('recipes').orderBy('id').limit(MOST)
    return readableOf(rows, r => JSON.parse(r.recipe) as Recipe).read
  }

  /** @returns whether it is new */
  async put(recipe: Recipe, at: number): Promise<boolean> {
    return inOnePiece(this.db, async trx => {
      const known = await trx<RecipeRow>('recipes').where({ id: recipe.id }).first('id')
      await trx<RecipeRow>('recipes')
        .insert({ id: recipe.id, changed_at: at, recipe: JSON.stringify(recipe) })
        .onConflict('id')
        .merge()
      return known === undefined
    })
  }
}
