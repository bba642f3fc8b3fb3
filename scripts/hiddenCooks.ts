/**
 * Two hundred cooks with hidden truths, as the calls say, with a probe and without: `npm run cooks`, or so many
 * with `npm run cooks -- 40`. Minutes long; run by hand after every change of engine or re-timing.
 */
import { quantileSorted } from 'd3-array'
import { hiddenCook, type HiddenCook } from '#core/evidence/hiddenCooks'
import type { MethodKind } from '#core/method/methods'

const KINDS: readonly MethodKind[] = [
  'pan sear',
  'sear then oven',
  'oven then sear',
  'two-zone grill',
  'grill',
  'bath then sear',
  'sear then bath',
  'roast'
]
const WITHIN_K = 1.5

const asked = Number(process.argv[2] ?? 200)
const cooks: HiddenCook[] = []
for (let seed = 1; cooks.length < asked; seed++) {
  const found = hiddenCook(KINDS[seed % KINDS.length], seed)
  if (found) cooks.push(found)
}
const share = (of: readonly HiddenCook[], served: (c: HiddenCook) => number): string =>
  `${Math.round((100 * of.filter(c => Math.abs(served(c) - c.targetC) <= WITHIN_K).length) / of.length)} %`.padStart(6)
const middle = (of: readonly HiddenCook[], served: (c: HiddenCook) => number, q: number): string =>
  (
    quantileSorted(
      of.map(c => Math.abs(served(c) - c.targetC)).sort((a, b) => a - b),
      q
    ) ?? NaN
  )
    .toFixed(1)
    .padStart(6)
const row = (name: string, of: readonly HiddenCook[]): void =>
  console.log(
    `${name.padEnd(18)}${String(of.length).padStart(5)}  ${share(of, c => c.byClockC)}${middle(of, c => c.byClockC, 0.95)}  ${share(of, c => c.byProbeC)}${middle(of, c => c.byProbeC, 0.95)}  ${(of.reduce((sum, c) => sum + c.readings, 0) / of.length).toFixed(1).padStart(6)}`
  )
console.log(`served within ${WITHIN_K} K of the target, and the miss that 95 % stay under, K`)
console.log('                  cooks   clock    95 %   probe  95 %  readings')
for (const kind of KINDS) {
  const of = cooks.filter(c => c.kind === kind)
  if (of.length > 0) row(kind, of)
}
row('all', cooks)
if (process.argv.includes('--each')) for (const c of cooks) console.log(JSON.stringify(c))
