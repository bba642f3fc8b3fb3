/** The book of sides and sauces as this kitchen has it: written down in the browser first, told to the server from an outbox. */
import { defineStore } from 'pinia'
import { computed, ref } from 'vue'
import { parseRecipe } from '#core/formats/recipeSchema'
import type { Recipe } from '#core/service/recipe'
import { bookOf, recipeIn, shippedRecipe } from '#core/service/recipes'
import { api } from '../api/client'
import { canonical } from './canonical'
import { kept } from './kept'
import { outbox } from './outbox'

const parseAll = (stored: unknown): Recipe[] => (stored as unknown[]).map(parseRecipe)

export const useRecipes = defineStore('recipes', () => {
  /** What differs from what ships. */
  const written = kept<readonly Recipe[]>('macellaio.recipes', () => [], parseAll)
  const { letters, offline, refused, post, answered } = outbox<Recipe>('macellaio.recipes.outbox', recipe => api.putRecipe(recipe), {
    parse: parseAll,
    heard: lay
  })
  const loaded = ref(false)
  const book = computed(() => bookOf(written.value))
  /** What may be put on a ticket. */
  const offered = computed(() => book.value.filter(r => r.out !== true))
  const find = (id: string): Recipe | undefined => recipeIn(book.value, id)
  const isChanged = (id: string): boolean => {
    const shipped = shippedRecipe(id)
    return shipped !== undefined && canonical(shipped) !== canonical(find(id))
  }
  const isOwn = (id: string): boolean => shippedRecipe(id) === undefined

  function lay(recipe: Recipe): void {
    written.value = [...written.value.filter(r => r.id !== recipe.id), recipe]
  }
  function keep(recipe: Recipe): void {
    refused.value = null
    lay(recipe)
    post(recipe, other => other.id === recipe.id)
  }
  function takeOut(id: string): void {
    const recipe = find(id)
    if (recipe) keep({ ...recipe, out: true })
  }
  function putBack(id: string): void {
    const { out: _, ...recipe } = find(id) ?? {}
    if ('id' in recipe) keep(recipe as Recipe)
  }
  /** As it ships. */
  function restore(id: string): void {
    const shipped = shippedRecipe(id)
    if (shipped) keep(shipped)
  }
  /** From a file: what this kitchen has itself under the same id stays as it is. @returns those that came in */
  function takeIn(recipes: readonly Recipe[]): readonly Recipe[] {
    const news = recipes.filter(r => find(r.id) === undefined || (shippedRecipe(r.id) !== undefined && !isChanged(r.id)))
    const differing = news.filter(r => canonical(r) !== canonical(find(r.id)))
    for (const recipe of differing) keep(recipe)
    return differing
  }

  /** What the server has, unless something is still on its way to it. */
  async function load(): Promise<void> {
    try {
      const answer = await answered(api.recipes)
      if (!answer) return
      const there = parseAll(answer.recipes)
      if (canonical(there) !== canonical(written.value)) written.value = there
      offline.value = false
    } catch {
      // Dead or failing: what stands here is what there is.
      offline.value = true
    } finally {
      loaded.value = true
    }
  }

  // Another page may have written over what this one kept.
  for (const letter of letters.value) lay(letter)
  return { book, offered, offline, refused, loaded, find, isChanged, isOwn, keep, takeOut, putBack, restore, takeIn, load }
})
