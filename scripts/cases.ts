/** Prints the table of what was seen against what is computed: `npx tsx scripts/cases.ts`, pasted into docs/physics.md. */
import { CASES } from '#core/evidence/cases'
import { judge } from '#core/evidence/case'
import { CONSTANTS } from '#core/heat/constants'

const round = (n: number): string => n.toFixed(1)
console.log('| case | source | seen | computed: middle (range) | middle off the band | use |')
console.log('| --- | --- | --- | --- | --- | --- |')
let inside = 0
const degrees: number[] = []
for (const c of CASES) {
  const v = judge(c, CONSTANTS)
  if (v.inside) inside++
  if (c.unit === '°C') degrees.push(Math.abs(v.error))
  const seen = `${round(c.seen[0])}–${round(c.seen[1])} ${c.unit}`
  const range = v.least === v.most ? '' : ` (${round(v.least)}–${round(v.most)})`
  console.log(
    `| ${c.what} | ${c.source} | ${seen} | ${round(v.middle)}${range} at ${c.middle} | ${v.error === 0 ? '0' : round(v.error)}${v.inside ? '' : ', **outside**'} | ${c.use} |`
  )
}
console.log(
  `\n${inside} of ${CASES.length} inside; mean |middle off the band| of temperatures ${round(degrees.reduce((a, b) => a + b, 0) / degrees.length)} °C`
)
