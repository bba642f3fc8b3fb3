/** Writes the tables of constants and cases into docs/physics.md: `npx tsx scripts/cases.ts`, then `npm run format`. */
import { readFileSync, writeFileSync } from 'node:fs'
import { judge } from '#core/evidence/case'
import { CASES } from '#core/evidence/cases'
import { CONSTANT_TABLE, CONSTANTS } from '#core/heat/constants'

const DOC = new URL('../docs/physics.md', import.meta.url)
const row = (...cells: string[]): string => `| ${cells.join(' | ')} |`
const round = (n: number): string => n.toFixed(1)

const constants = [
  row('constant', 'value', 'range', 'what it is'),
  row('---', '---', '---', '---'),
  ...Object.entries(CONSTANT_TABLE).map(([name, c]) =>
    row(`\`${name}\``, `${c.value} ${c.unit === '1' ? '' : c.unit}`.trim(), `${c.range[0]}–${c.range[1]}`, c.source)
  )
]

const judged = CASES.map(c => ({ ...c, ...judge(c, CONSTANTS) }))
const cases = [
  row('case', 'source', 'seen', 'computed', 'middle off the band', 'use'),
  row('---', '---', '---', '---', '---', '---'),
  ...judged.map(c => {
    const range = c.least === c.most ? '' : ` (${round(c.least)} to ${round(c.most)})`
    return row(
      c.what,
      c.source,
      `${round(c.seen[0])}–${round(c.seen[1])} ${c.unit}`,
      `${round(c.middle)}${range} at ${c.middleIs}`,
      `${c.error === 0 ? '0' : round(c.error)}${c.inside ? '' : ', **outside**'}`,
      c.use
    )
  })
]
const count = (of: typeof judged): string => `${of.filter(c => c.inside).length} of ${of.length}`
const degrees = judged.filter(c => c.unit === '°C')
const mean = degrees.reduce((sum, c) => sum + Math.abs(c.error), 0) / degrees.length
const summary = `Inside: ${count(judged)}; of the fitted ${count(judged.filter(c => c.use === 'fitted'))}, of those held out ${count(judged.filter(c => c.use === 'held out'))}. Core temperatures, middle of the ranges: off the band by ${round(mean)} °C on average.`

function fill(text: string, name: string, lines: readonly string[]): string {
  const from = text.indexOf(`<!-- ${name} -->`)
  const to = text.indexOf('<!-- end -->', from)
  if (from < 0 || to < 0) throw new Error(`docs/physics.md has no place for ${name}.`)
  return `${text.slice(0, from)}<!-- ${name} -->\n\n${lines.join('\n')}\n\n${text.slice(to)}`
}

const before = readFileSync(DOC, 'utf8')
writeFileSync(DOC, fill(fill(before, 'constants', constants), 'cases', [...cases, '', summary]))
console.log(summary)
