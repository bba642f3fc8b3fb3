/** A recipe as it is kept and as a file: what ships is right by the same rule, and what is wrong is told by where. */
import { describe, expect, it } from 'vitest'
import { InvalidInputError } from '#core/input/problem'
import { RECIPES, shippedRecipe } from '#core/service/recipes'
import { parseRecipe, readRecipes, writeRecipes } from './recipeSchema'

const [chips] = [shippedRecipe('oven-chips')!]
const [board, bake] = chips.steps

describe('a recipe', () => {
  it.each(RECIPES.map(r => [r.name, r] as const))('%s, as it ships, is one', (_, recipe) => {
    expect(parseRecipe(JSON.parse(JSON.stringify(recipe)))).toEqual(recipe)
  })
  it('goes out in a file and comes in the same', () => {
    expect(readRecipes(JSON.parse(JSON.stringify(writeRecipes(RECIPES))))).toEqual(RECIPES)
  })
  it.each([
    ['nameless', { ...chips, name: '' }, 'name: This needs a name.'],
    ['without steps', { ...chips, steps: [] }, 'At least one step'],
    [
      'in an oven that is not set',
      { ...chips, steps: [{ ...bake, ovenC: undefined }] },
      'steps[0].ovenC: This needs what the oven may be set to'
    ],
    ['with a board at so many degrees', { ...chips, steps: [{ ...board, ovenC: [180, 200] }] }, 'Only what is in the oven'],
    ['from hot to cold', { ...chips, steps: [{ ...bake, ovenC: [215, 190] }] }, 'From the lowest to the highest'],
    ['that takes no time', { ...chips, steps: [{ ...board, takes: { by: 'clock', seconds: 0 } }] }, 'steps[0].takes.seconds'],
    ['by a measure that is none', { ...chips, steps: [{ ...board, takes: { by: 'moon', seconds: 60 } }] }, 'clock, guests, boil, reduce'],
    ['boiled without saying what', { ...chips, steps: [{ ...board, takes: { by: 'boil', seconds: 60 } }] }, 'steps[0].takes.mlEach'],
    [
      'reduced to more than there is',
      { ...chips, steps: [{ ...board, takes: { by: 'reduce', mlEach: 50, leaves: 1.5 } }] },
      'from 0.02 to 0.98'
    ],
    ['worse sooner than it is served', { ...chips, steps: [{ ...board, holds: [600, 60] }] }, 'As good for no longer'],
    ['with hands that are no hands', { ...chips, steps: [{ ...board, hands: 'some' }] }, 'steps[0].hands'],
    ['of a tray for half a guest', { ...chips, steps: [{ ...bake, load: 0.5 }] }, 'steps[0].load'],
    ['by the spoon', { ...chips, amounts: [{ what: 'salt', each: 1, unit: 'spoon' }] }, 'g, ml, or nothing'],
    ['with more than it says', { ...chips, price: 3 }, 'price: There is no such key here']
  ])('%s is refused, and where', (_, recipe, says) => {
    expect(() => parseRecipe(recipe)).toThrow(InvalidInputError)
    expect(() => parseRecipe(recipe)).toThrow(says)
  })
  it.each([
    ['of something else', { format: 'macellaio ticket', version: 1, recipes: [chips] }, 'These are no recipes'],
    ['of a later version', { ...writeRecipes([chips]), version: 2 }, 'Only version 1'],
    ['with none', writeRecipes([]), 'There is none in it'],
    ['with one twice', writeRecipes([chips, chips]), 'one id']
  ])('a file %s is refused', (_, file, says) => {
    expect(() => readRecipes(file)).toThrow(says)
  })
})
