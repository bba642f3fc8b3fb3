/**
 * The settings of every method as the table in docs/case-format.md, made from the dials, so that no one writes it by
 * hand. `npx tsx scripts/settingsTable.ts` lays it into the page; a test refuses a page that has another.
 */
import { readFileSync, writeFileSync } from 'node:fs'
import { resolve } from 'node:path'
import { pathToFileURL } from 'node:url'
import { DIALS, dialsOf, RESTS, type Dial } from '#core/method/dials'
import { METHOD_KINDS, METHODS } from '#core/method/methods'
import { TURNINGS } from '#core/method/turning'

export const PAGE = resolve(import.meta.dirname, '../docs/case-format.md')
const [BEGINS, ENDS] = ['<!-- settings: made by scripts/settingsTable.ts -->', '<!-- end of settings -->']

const hours = (s: number): string => (s >= 3600 && s % 3600 === 0 ? `${s / 3600} h` : s >= 60 && s % 60 === 0 ? `${s / 60} min` : `${s} s`)
const code = (values: readonly string[]): string => values.map(v => `\`${v}\``).join(', ')

function valueOf(dial: Dial): string {
  switch (dial.kind) {
    case 'quantity': {
      const [low, high] = dial.range
      if (dial.dimension === 'duration') return `${hours(low)} to ${hours(high)}`
      return `${low} to ${high} ${dial.dimension === 'temperature' ? '°C' : 'mm'}`
    }
    case 'count':
      return `a plain number, ${dial.range.join(' to ')}`
    case 'choice':
      return code(dial.options.map(o => o.value))
    case 'yes':
      return '`true` or `false`'
    case 'turning':
      return `${code(TURNINGS)}, \`6 spells\``
    case 'rest':
      return `${code(RESTS)}, or a time up to ${hours(dial.range[1])}`
    case 'top-ups':
      return `list of \`{ "at": "10 min", "litres": 0.5 }\`, at most ${dial.most}`
  }
}

function table(head: readonly string[], rows: readonly (readonly string[])[]): string {
  const widths = head.map((h, i) => Math.max(h.length, ...rows.map(r => r[i].length)))
  const line = (cells: readonly string[]): string => `| ${cells.map((c, i) => c.padEnd(widths[i])).join(' | ')} |`
  return [line(head), `| ${widths.map(w => '-'.repeat(w)).join(' | ')} |`, ...rows.map(line)].join('\n')
}

const methods = table(
  ['kind', 'free quantity', 'settings'],
  METHOD_KINDS.map(kind => [`\`${kind}\``, METHODS[kind].free, code(dialsOf(kind).map(d => d.file))])
)
const settings = table(
  ['key', 'value', 'what it changes'],
  DIALS.map(d => [`\`${d.file}\``, valueOf(d), d.says])
)

/** @returns the page with the tables in their place */
export function laidIn(page: string): string {
  const [from, to] = [page.indexOf(BEGINS), page.indexOf(ENDS)]
  if (from < 0 || to < from) throw new Error(`The page has no place for the settings: ${BEGINS} … ${ENDS}`)
  return `${page.slice(0, from)}${BEGINS}\n\n${methods}\n\n${settings}\n\n${page.slice(to)}`
}

if (import.meta.url === pathToFileURL(process.argv[1] ?? '').href) writeFileSync(PAGE, laidIn(readFileSync(PAGE, 'utf8')))
