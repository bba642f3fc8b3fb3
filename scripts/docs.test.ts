/** What the docs say of the code is what the code says. */
import { readdirSync, readFileSync } from 'node:fs'
import { resolve } from 'node:path'
import { createRequire } from 'node:module'
import { describe, expect, it } from 'vitest'
import { laidIn, PAGE } from './settingsTable'

const ROOT = resolve(import.meta.dirname, '..')
const read = (path: string): string => readFileSync(resolve(ROOT, path), 'utf8')

describe('the docs', () => {
  it('have every setting of every method, as the dials have it', () => {
    const page = readFileSync(PAGE, 'utf8')
    expect(laidIn(page)).toBe(page)
  })

  it('name the floors of the core in the order in which they may import each other', () => {
    const { forbidden } = createRequire(import.meta.url)('../.dependency-cruiser.cjs') as { forbidden: { name: string }[] }
    const floors = forbidden.flatMap(({ name }) => name.match(/^core-(\w+)-only-downward$/)?.[1] ?? [])
    const told = [...read('docs/architecture.md').matchAll(/^\| `(\w+)` +\|/gm)].map(m => m[1])
    expect(told).toEqual(floors)
    expect(readdirSync(resolve(ROOT, 'core/src')).sort()).toEqual([...floors].sort())
  })

  it('name no file that is not there', () => {
    const named = ['README.md', 'docs/physics.md', 'docs/architecture.md', 'docs/case-format.md'].flatMap(page =>
      [...read(page).matchAll(/`((?:core|server|web|scripts|e2e|docs|demo)\/[\w./-]+\.\w+)`/g)].map(m => m[1])
    )
    expect(named.length).toBeGreaterThan(10)
    for (const path of named) expect(() => read(path), path).not.toThrow()
  })

  it('link every picture there is, and no other', () => {
    const linked = [...read('README.md').matchAll(/docs\/screenshots\/([\w-]+\.png)/g)].map(m => m[1])
    expect([...new Set(linked)].sort()).toEqual(readdirSync(resolve(ROOT, 'docs/screenshots')).sort())
    expect(linked.length).toBeLessThan(20)
  })
})
