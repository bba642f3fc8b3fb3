/** /api/recipes: what this kitchen has written into the book. */
import { Router } from 'express'
import { parseRecipe } from '#core/formats/recipeSchema'
import type { Changes } from '#server/changes'
import { HttpProblem } from '#server/problem'
import type { RecipeRepository } from './repository'

export function recipeRoutes(recipes: RecipeRepository, changes: Changes): Router {
  const routes = Router()

  routes.get('/', async (_request, response) => {
    response.json({ recipes: await recipes.list() })
  })

  routes.put('/:id', async (request, response) => {
    const recipe = parseRecipe(request.body)
    if (recipe.id !== request.params.id)
      throw new HttpProblem(422, 'The input cannot be taken', 'The id in the address and in the recipe differ.')
    const added = await recipes.put(recipe, Date.now())
    changes.tellAll()
    response.status(added ? 201 : 200).json(recipe)
  })

  return routes
}
