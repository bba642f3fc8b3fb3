/**
 * Speed of the engine on this machine, in one thread: run by hand, never as a test.
 * Prints each figure as the median of several runs, after a warm-up.
 */
import { COARSE_STEPS, KEEP_ENDS, run } from '#core/heat/program'
import { panStages, panSubject } from '#core/method/panSear'
import { FIRST_REQUEST } from '#core/plan/firstRequest'
import { planPanSear } from '#core/plan/panPlan'
import { setupOf } from '#core/plan/request'
import { planSpread } from '#core/plan/spread'

const setup = setupOf(FIRST_REQUEST)
const plan = planPanSear(setup, FIRST_REQUEST.targetC)
const spells = plan.spells

function median(work: () => unknown, runs = 15): number {
  for (let i = 0; i < 5; i++) work()
  const times = Array.from({ length: runs }, () => {
    const began = performance.now()
    work()
    return performance.now() - began
  })
  return times.sort((a, b) => a - b)[Math.floor(runs / 2)]
}

const subject = panSubject(setup)
const coarse = panSubject(setup, 'coarse')
const stages = panStages(setup, spells, 600)
const report = (name: string, ms: number, more = ''): void => console.log(`${name.padEnd(58)} ${ms.toFixed(1).padStart(8)} ms  ${more}`)

const forward = median(() => run(subject, stages, KEEP_ENDS))
const { steps } = run(subject, stages, KEEP_ENDS)
report(
  'forward, 38 mm strip turned each minute, 10 min of rest',
  forward,
  `${((steps * subject.grid.cells) / forward / 1000).toFixed(2)} million cell-steps a second`
)
report(
  'the same on the coarse grid',
  median(() => run(coarse, stages, KEEP_ENDS, COARSE_STEPS))
)
report(
  'backward: the pull for 54 °C',
  median(() => planPanSear(setup, 54), 7)
)
report(
  'backward, turned once',
  median(() => planPanSear({ ...setup, settings: { ...setup.settings, turning: 'once' } }, 54), 7)
)
report(
  'spread of that plan',
  median(() => planSpread(setup, plan), 5)
)
