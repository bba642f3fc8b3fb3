/**
 * How much of the code is tests: lines that are not blank, styles left out, of `*.test.ts` and `e2e/` over all of
 * it. Fails outside a quarter to a third.
 */
import { readdirSync, readFileSync } from 'node:fs'
import { join, relative } from 'node:path'
import { ROOT } from './setup.mjs'

const [LEAST, MOST] = [0.25, 0.33]
const ROOMS = ['core', 'server', 'web', 'demo', 'scripts', 'e2e']
const CODE = /\.(ts|vue|mjs|cjs)$/
const TEST = /\.test\.ts$|^e2e\//

const files = ROOMS.flatMap(room =>
  readdirSync(join(ROOT, room), { recursive: true, withFileTypes: true })
    .filter(f => f.isFile() && CODE.test(f.name))
    .map(f => relative(ROOT, join(f.parentPath, f.name)))
    .filter(path => !path.includes('node_modules'))
)
const linesOf = path =>
  readFileSync(join(ROOT, path), 'utf8')
    .replace(/<style[^>]*>[\s\S]*?<\/style>/g, '')
    .split('\n')
    .filter(line => line.trim() !== '').length
let [tests, all] = [0, 0]
for (const path of files) {
  const lines = linesOf(path)
  all += lines
  if (TEST.test(path)) tests += lines
}
const share = tests / all
console.log(`${tests} of ${all} lines are tests: ${(100 * share).toFixed(1)} %, wanted ${100 * LEAST} to ${100 * MOST} %`)
process.exit(share >= LEAST && share <= MOST ? 0 : 1)
