/**
 * The figures of speed, in one thread, wherever this is run: `bench.ts` runs it in
 * Node or in Chromium. Each is the median of several runs after a warm-up, with the
 * fastest beside it: on a shared machine the two can lie far apart.
 */
import { believe, drawMembers } from '#core/estimate/ensemble'
import { trialOf } from '#core/estimate/trial'
import { CONSTANTS } from '#core/heat/constants'
import { KEEP_ENDS, run, type Run } from '#core/heat/program'
import { KITCHEN } from '#core/kit/air'
import { READY_KITS } from '#core/kit/kit'
import { CUTS } from '#core/meat/cuts'
import { isFlat, type Piece } from '#core/meat/piece'
import type { MethodKind } from '#core/method/methods'
import { roast } from '#core/method/roast'
import { timelineOf } from '#core/method/timeline'
import { USUAL_KIT, usualSettings } from '#core/method/usual'
import { planMethod } from '#core/plan/plan'
import { FIRST_REQUEST } from '#core/request/firstRequest'
import { setupOf } from '#core/request/setup'
import type { Dish, Kitchen } from '#core/service/dish'
import { RECIPES } from '#core/service/recipes'
import { schedule } from '#core/service/schedule'
import { dishesOf, kitchenOf, ownDish, type Ticket } from '#core/service/ticket'
import { compare } from '#core/usecase/compare'
import { randomLcg } from 'd3-random'

const { method, setup } = setupOf(FIRST_REQUEST)
const plan = planMethod(method, setup, FIRST_REQUEST.target.coreC)
const settings = usualSettings(USUAL_KIT, 54)
const SIX: readonly MethodKind[] = ['pan sear', 'sear then oven', 'oven then sear', 'two-zone grill', 'bath then sear', 'pot']

interface Timing {
  readonly median: number
  readonly fastest: number
}

/** ms: by then the engine's loops are compiled, as they are for a cook who has turned a dial or two. */
const WARM_UP = 1500

function timed(work: () => unknown, runs: number): Timing {
  const warm = performance.now() + WARM_UP
  while (performance.now() < warm) work()
  const times = Array.from({ length: runs }, () => {
    const began = performance.now()
    work()
    return performance.now() - began
  }).sort((a, b) => a - b)
  return { median: times[Math.floor(runs / 2)], fastest: times[0] }
}

function report(name: string, budgetMs: number, { median, fastest }: Timing, outcome?: Run): void {
  const rate = outcome ? `${((outcome.steps * outcome.body.grid.cells) / median / 1000).toFixed(2)} million cell-steps a second` : ''
  console.log(`${name.padEnd(52)} ${median.toFixed(1).padStart(7)} ms (fastest ${fastest.toFixed(1)}; budget ${budgetMs})  ${rate}`)
}

const subject = method.subject(setup, 'fine')
const { heating, rest } = timelineOf(method, setup, plan.free)
const stages = [...heating, rest(600)]
report(
  'forward, 38 mm strip turned each minute, 10 min rest',
  5,
  timed(() => run(subject, stages, KEEP_ENDS), 60),
  run(subject, stages, KEEP_ENDS)
)

report(
  'backward: the pull for 54 °C',
  60,
  timed(() => planMethod(method, setup, 54), 15)
)

const log: Piece = { ...setup.piece, form: 'roast', thicknessMm: 110, weightG: 2200, lengthMm: 220 }
const [cut] = CUTS
const roasting = { piece: log, cut, room: KITCHEN, constants: CONSTANTS, flat: isFlat(log, cut), settings: settings.roast }
const program = timelineOf(roast, roasting, 3 * 3600)
const whole = roast.subject(roasting, 'fine')
const threeHours = [...program.heating, program.rest(1800)]
report(
  'forward in radius and height: 3 h roast, half an hour’s rest',
  300,
  timed(() => run(whole, threeHours, KEEP_ENDS), 7),
  run(whole, threeHours, KEEP_ENDS)
)

report(
  'six methods compared on the strip',
  500,
  timed(() => compare(FIRST_REQUEST, SIX), 5)
)

const reading = { time: plan.pull.time / 2, celsius: 20 }
report(
  '200 draws, and one reading taken in',
  1000,
  timed(() => believe(drawMembers(trialOf(method, setup, plan), 200, 1), [reading]), 3)
)

/** A joint and sides of the book drawn by chance, of some thirty steps, on one pair of hands or two; half of them do not come out. */
function dinner(seed: number): readonly [readonly Dish[], Kitchen] {
  const { kit } = READY_KITS[seed % READY_KITS.length]
  const even = randomLcg(seed / 100)
  const sides = RECIPES.map(recipe => ({ id: recipe.id, recipe: recipe.id, at: even() })).sort((a, b) => a.at - b.at)
  const joint = { id: 'joint', dish: ownDish('joint', 'Joint', { tool: 'oven', seconds: 5400, busy: false, ovenC: 180 }) }
  const of = (many: number): Ticket => ({
    serveAt: '2026-11-26T19:30',
    diners: 6,
    cooks: 1 + (seed % 2),
    lines: [joint, ...sides.slice(0, many).map(({ id, recipe }) => ({ id, recipe }))]
  })
  for (let many = 1; ; many++) {
    const dishes = dishesOf(of(many), kit, RECIPES)
    if (dishes.reduce((steps, d) => steps + d.steps.length, 0) >= STEPS) return [dishes, kitchenOf(of(many), kit)]
  }
}
const STEPS = 28
const dinners = Array.from({ length: 20 }, (_, i) => dinner(i + 1))
let turn = 0
report(
  'a dinner of 30 steps laid out',
  200,
  timed(() => schedule(...dinners[turn++ % dinners.length]), 40)
)
