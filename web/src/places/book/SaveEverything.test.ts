// @vitest-environment happy-dom
/** The whole kitchen brought back from a file, with a server that takes it, fails in the middle, or is not asked at all. */
import { flushPromises, type VueWrapper } from '@vue/test-utils'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { NOTHING_TAKEN } from '#core/formats/everythingSchema'
import { shippedRecipe } from '#core/service/recipes'
import { mounted } from '../../mounted/mount.fixture'
import { emptyBrowser } from '../../mounted/page.fixture'
import FileField from '../../ui/FileField.vue'
import SaveEverything from './SaveEverything.vue'
import { soon } from '../../mounted/soon.fixture'

beforeEach(emptyBrowser)

const bring = (page: VueWrapper, content: object | string): void =>
  void page
    .findComponent(FileField)
    .vm.$emit('file', new File([typeof content === 'string' ? content : JSON.stringify(content)], 'kitchen.json'))
const file = (recipes: number): object => ({
  format: 'macellaio kitchen',
  version: 1,
  recipes: Array.from({ length: recipes }, (_, i) => ({ ...shippedRecipe('rice')!, id: `rice-${i}` })),
  kit: { of: 'another' }
})
/** A server that takes what it is told, until it fails. */
function server(failsAfter = Infinity): unknown[] {
  const told: unknown[] = []
  vi.stubGlobal('fetch', (_: string, { body }: { body: string }) => {
    if (told.length >= failsAfter) return Promise.reject(new TypeError('gone'))
    const part = JSON.parse(body) as { recipes?: unknown[]; kit?: unknown }
    told.push(part)
    const taken = { ...NOTHING_TAKEN, recipes: part.recipes?.length ?? 0, kit: part.kit ? 1 : 0 }
    return Promise.resolve(new Response(JSON.stringify(taken)))
  })
  return told
}
const says = (page: VueWrapper): string => page.find('[role=status]').text()

describe('the whole kitchen', () => {
  it('is saved by a link, and brought back in parts, with what came in', async () => {
    const told = server()
    const page = await mounted(SaveEverything, {}, '/book')
    expect(page.find('a').attributes('href')).toBe('/api/everything')
    bring(page, file(250))
    await soon(() => expect(says(page)).toContain('Brought back: 250 recipes and 1 kit.'))
    expect(told.length).toBeGreaterThan(3)
  })
  it('that stops half-way says so, and that it can be brought again', async () => {
    server(2)
    const page = await mounted(SaveEverything, {}, '/book')
    bring(page, file(250))
    await soon(() => expect(says(page)).toContain('The server does not answer. What came in before that is here'))
  })
  it.each([
    ['{"format":"macellaio ticket","version":1}', 'This is no saved kitchen'],
    ['{', 'not JSON'],
    [{ format: 'macellaio kitchen', version: 1 }, 'There is nothing in it.']
  ])('%s is told in words, and nothing is sent', async (content, words) => {
    const told = server()
    const page = await mounted(SaveEverything, {}, '/book')
    bring(page, content)
    await flushPromises()
    await soon(() => expect(says(page)).toContain(words))
    expect(told).toEqual([])
  })
})
