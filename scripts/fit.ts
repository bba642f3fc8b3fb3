/**
 * The one calibration of the shared constants, over the fitting half of the cases: a
 * pattern search along one constant after another (R. Hooke and T. A. Jeeves, J. ACM 8, 1961),
 * inside the range each has in the table, with a mild pull toward the middle of that range so that what the cases do not tell stays
 * where the literature has it. Run by hand: `npx tsx scripts/fit.ts [rounds] [first step, as a share of each range]`.
 */
import { CASES } from '#core/evidence/cases'
import { judge, outsideBy, type Case } from '#core/evidence/case'
import { CONSTANT_TABLE, CONSTANTS, type Constants } from '#core/heat/constants'

const FREE = [
  'fibreFactor',
  'driedConductivity',
  'panContact',
  'coolWaterDiffusivity',
  'hotWaterDiffusivity',
  'ovenDraught',
  'ovenLeak',
  'lidConvection',
  'coalConvection',
  'crustVapour',
  'juiceEscape',
  'barShare',
  'panPlume',
  'juiceSeep',
  'restConvection',
  'foilConvection',
  'boardContact',
  'bathConductance',
  'potConductance'
] as const satisfies readonly (keyof Constants)[]

const FITTED = CASES.filter(c => c.use === 'fitted')
/** What counts as one unit of error. */
const scaleOf = (c: Case): number => ({ '°C': 3, K: 2, min: 0.07 * c.seen[1], '%': 3 })[c.unit]
const PULL = 0.15
/** A laboratory that states its temperatures and sizes counts for more than a size by eye. */
const weightOf = (c: Case): number => (c.source.includes('J. Animal Science') ? 2 : 1)
/** For each case that no size in its range can meet. */
const OUTSIDE = 0.5
/** A wild case must not rule the others. */
const MOST = 4

const clipped = (error: number): number => Math.min(MOST, Math.abs(error))

function cost(constants: Constants): number {
  let sum = 0
  for (const c of FITTED) {
    const v = judge(c, constants)
    const nearest = v.inside ? 0 : outsideBy(v.most < c.seen[0] ? v.most : v.least, c.seen)
    if (!v.inside) sum += OUTSIDE
    sum += weightOf(c) * (0.5 * clipped(v.error / scaleOf(c)) ** 2 + 2 * clipped(nearest / scaleOf(c)) ** 2)
  }
  for (const name of FREE) {
    const [low, high] = CONSTANT_TABLE[name].range
    sum += PULL * ((2 * constants[name] - low - high) / (high - low)) ** 2
  }
  return sum
}

const rounds = Number(process.argv[2] ?? 6)
let best: Constants = CONSTANTS
let least = cost(best)
console.log('start', least.toFixed(2))
let step = Number(process.argv[3] ?? 0.25)

const inRange = (name: (typeof FREE)[number], value: number): number => {
  const [low, high] = CONSTANT_TABLE[name].range
  return Math.min(high, Math.max(low, value))
}

/** Keeps a trial that costs less. */
function take(tried: Constants, what: string): boolean {
  const now = cost(tried)
  if (now >= least - 1e-3) return false
  best = tried
  least = now
  console.log(`${what}: ${least.toFixed(2)}`)
  return true
}

/** One constant after another, up or down by the step. */
function explore(round: number): void {
  for (const name of FREE) {
    const [low, high] = CONSTANT_TABLE[name].range
    for (const way of [1, -1]) {
      const value = inRange(name, best[name] + way * step * (high - low))
      if (value === best[name]) continue
      if (take({ ...best, [name]: value }, `round ${round}: ${name} = ${Number(value.toPrecision(4))}`)) break
    }
  }
}

for (let round = 1; round <= rounds; round++) {
  const before = best
  explore(round)
  // What a round found together is tried once more, all at a time: along a valley no single constant gets on.
  let from = before
  while (best !== from) {
    const here = best
    const further = Object.fromEntries(FREE.map(name => [name, inRange(name, 2 * here[name] - from[name])]))
    if (!take({ ...here, ...further }, `round ${round}: further`)) break
    from = here
  }
  step /= 1.6
}
for (const name of FREE) console.log(name.padEnd(24), Number(best[name].toPrecision(3)))
