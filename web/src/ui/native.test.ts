/** Every standard control is the library's: none of the browser's own stands in a template. */
import { describe, expect, it } from 'vitest'

const FILES = import.meta.glob<string>('../**/*.vue', { query: '?raw', import: 'default', eager: true })
const NATIVE = /<(button|input|select|textarea|table|details|dialog|fieldset|progress|meter)[\s>/]/g
const templateOf = (source: string): string => source.slice(source.indexOf('<template'), source.lastIndexOf('</template>'))

describe('the templates', () => {
  it('are found', () => expect(Object.keys(FILES).length).toBeGreaterThan(50))

  it.each(Object.entries(FILES))('%s has no control of its own making', (_, source) => {
    expect([...templateOf(source).matchAll(NATIVE)].map(m => m[0])).toEqual([])
  })

  it('would be told of one', () => {
    expect([...templateOf('<template><p><button type="button">x</button></p></template>').matchAll(NATIVE)]).toHaveLength(1)
    expect([...templateOf('<template><a-button>x</a-button></template>').matchAll(NATIVE)]).toHaveLength(0)
  })
})
