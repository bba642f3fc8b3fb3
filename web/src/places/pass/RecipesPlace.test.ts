// @vitest-environment happy-dom
/** The recipe book mounted: read for so many, changed and put back, one's own written and put on the ticket, and as a file. */
import { flushPromises, type VueWrapper } from '@vue/test-utils'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { writeRecipes } from '#core/formats/recipeSchema'
import { shippedRecipe } from '#core/service/recipes'
import { mounted } from '../../mounted/mount.fixture'
import { button, emptyBrowser, field, pick, shownIn, type } from '../../mounted/page.fixture'
import { router } from '../../router'
import { usePass } from '../../stores/pass'
import { useRecipes } from '../../stores/recipes'
import { useUnits } from '../../stores/units'
import FileField from '../../ui/FileField.vue'
import RecipesPlace from './RecipesPlace.vue'
import { soon } from '../../mounted/soon.fixture'

vi.mock('comlink', () => import('../../mounted/comlink.fixture'))
beforeEach(emptyBrowser)

const opened = async (id = ''): Promise<VueWrapper> => {
  const page = await mounted(RecipesPlace, {}, `/pass/recipes/${id}`)
  await flushPromises()
  return page
}
async function click(page: VueWrapper, says: string): Promise<void> {
  button(page, says).click()
  await flushPromises()
}
async function keep(page: VueWrapper): Promise<void> {
  await page.find('form').trigger('submit')
  await flushPromises()
}
const steps = (page: VueWrapper): string[] => page.findAll('[aria-label="Steps"] li').map(li => li.text().replace(/\s/g, ' '))

describe('the recipe book', () => {
  it('is read for so many, in the units of the reader', async () => {
    const page = await opened('oven-chips')
    await type(field(page, 'For'), '10')
    expect(page.text().replace(/\s/g, ' ')).toContain('2.60 kg floury potatoes')
    expect(steps(page)[1]).toContain('In the oven at 190–215 °C, 2 trays; 40 min')
    expect(steps(page)[2]).toContain('2 of 2')
    useUnits().toggle()
    await flushPromises()
    expect(page.text()).toContain('°F')
    useUnits().toggle()
  })
  it('finds by what goes in, whatever its accents', async () => {
    const page = await opened()
    await page.find('nav input').setValue('puree')
    expect(page.findAll('nav li').map(li => li.text())).toEqual(['Onion purée'])
    await page.find('nav input').setValue('lobster')
    expect(page.text()).toContain('Nothing in the book is called that')
  })
  it('a recipe is changed, says that it is, and is as it was with one touch', async () => {
    const page = await opened('rice')
    await click(page, 'Change it')
    expect(shownIn(field(page, 'Name'))).toBe('Rice')
    await type(field(page, 'Name'), 'Rice with bay')
    await keep(page)
    expect(useRecipes().find('rice')).toEqual({ ...shippedRecipe('rice'), name: 'Rice with bay' })
    expect(page.find('nav').text()).toContain('Rice with baychanged')
    await click(page, 'As it was in the book')
    expect(useRecipes().find('rice')).toEqual(shippedRecipe('rice'))
    expect(useRecipes().isChanged('rice')).toBe(false)
  })
  it('one’s own is as full as what ships: ingredients, an oven, trays, hands, how long it keeps; and goes on the ticket', async () => {
    const page = await opened()
    await click(page, 'A recipe of your own')
    await keep(page)
    expect(page.text()).toContain('This needs a name.')
    await type(field(page, 'Name'), 'Salt-baked turnips')
    await click(page, 'One more ingredient')
    await type(field(page, 'What'), 'turnips')
    await type(field(page, 'For each'), '0.2 kg')
    await type(field(page, 'What is done'), 'Turnips into the oven in their salt')
    await pick(field(page, 'Where'), 'in the oven')
    await type(field(page, 'Oven from'), '210')
    await type(field(page, 'to'), '190')
    await keep(page)
    expect(page.text()).toContain('From the lowest to the highest.')
    await type(field(page, 'to'), '230')
    await pick(field(page, 'How long'), 'the same for any')
    await type(field(page, 'Time'), '1 h 10 min')
    field(page, 'keeps me at it').click()
    await flushPromises()
    await type(field(page, 'Hands at first'), '2')
    field(page, 'a tray takes only so many').click()
    await flushPromises()
    await type(field(page, 'At once for'), '3')
    await keep(page)
    const { id, ...own } = useRecipes().book.at(-1)!
    expect(own).toEqual({
      name: 'Salt-baked turnips',
      kind: 'side',
      amounts: [{ what: 'turnips', each: 200, unit: 'g' }],
      steps: [
        {
          what: 'Turnips into the oven in their salt',
          tool: 'oven',
          ovenC: [210, 230],
          takes: { by: 'clock', seconds: 4200 },
          hands: [120, 60],
          holds: [600, 1800],
          load: 3
        }
      ]
    })
    expect(router.currentRoute.value.params['id']).toBe(id)
    await click(page, 'Put it on the ticket')
    expect(usePass().dishes.map(d => d.name)).toContain('Salt-baked turnips')
    expect(page.text()).toContain('It is on the ticket')
  })
  it('out of the book it is not offered any more, but where it is on a ticket it stays', async () => {
    const page = await opened('mash')
    usePass().add({ recipe: 'mash' })
    await click(page, 'Take it out of the book')
    expect(useRecipes().offered.map(r => r.id)).not.toContain('mash')
    expect(usePass().dishes.map(d => d.name)).toContain('Mash')
    useRecipes().putBack('mash')
    expect(useRecipes().find('mash')).toEqual(shippedRecipe('mash'))
  })
  it('a file brings what is new; what this kitchen has made its own stays; nonsense is refused in words', async () => {
    const page = await opened()
    const rice = shippedRecipe('rice')!
    useRecipes().keep({ ...rice, name: 'Ours' })
    const file = writeRecipes([
      { ...rice, name: 'Theirs' },
      { ...rice, id: 'theirs-1', name: 'Wild rice' }
    ])
    page.findComponent(FileField).vm.$emit('file', new File([JSON.stringify(file)], 'r.json'))
    await flushPromises()
    await soon(() => expect(page.text()).toContain('1 came in. 1 you have already'))
    expect(useRecipes().find('rice')!.name).toBe('Ours')
    expect(useRecipes().find('theirs-1')!.name).toBe('Wild rice')
    page.findComponent(FileField).vm.$emit('file', new File(['{"format":"cards"}'], 'r.json'))
    await soon(() => expect(page.text()).toContain('These are no recipes'))
  })
})
