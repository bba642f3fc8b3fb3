/**
 * A held water bath with a sear after it or before it. The free quantity is the time in
 * the water: until the core is within half a degree of it, or, in water hotter than the
 * target, until it is pulled on time.
 */
import { heldBath, inIce, type BathMachine } from '#core/kit/bath'
import type { Method, PlannedStage, Program, Resting } from './method'
import { panReady, searLump, searStages, stageIn, thenRest, type Searing } from './parts'
import { subjectOf, type Setup } from './setup'

export interface Bath extends Searing, Resting {
  readonly machine?: BathMachine
  /** As the machine shows it. */
  readonly bathC: number
  /** At least this long in the water, s, whatever the core: for tenderness or by habit. */
  readonly holdS: number
  /** In ice water between bath and sear, s, so that the sear does not cook it again; 0 for none. */
  readonly coolS: number
}

/** What the water really is, °C. */
export const waterC = ({ machine, bathC }: Pick<Bath, 'machine' | 'bathC'>): number => bathC + (machine?.offsetC ?? 0)

/** How close to its water a core comes before it counts as there, K. */
const CLOSE_ENOUGH = 0.5

const bath = (kind: string, program: (setup: Setup<Bath>, free: number) => Program): Method<Bath> => ({
  kind,
  free: 'time in the water',
  subject: (setup, fineness) => subjectOf(setup, fineness, [searLump(setup)]),
  program,
  bounds: ({ settings }) => [settings.holdS, 24 * 3600],
  guess: setup => 2.5 * setup.piece.thicknessMm ** 2,
  goal: ({ settings }, target) => {
    const water = waterC(settings)
    return water > target + CLOSE_ENOUGH ? target : Math.min(target, water) - CLOSE_ENOUGH
  },
  unsuited: ({ settings }, target) =>
    waterC(settings) < target - CLOSE_ENOUGH
      ? `Water of ${settings.bathC} °C never brings the core to ${target} °C: set it to ${target} °C or a little above.`
      : null
})

const inWater = (setup: Setup<Bath>, seconds: number): PlannedStage =>
  stageIn('bath', 'bagged, in the bath', seconds, heldBath(waterC(setup.settings), setup.constants))

function cooled(setup: Setup<Bath>): PlannedStage[] {
  const { coolS } = setup.settings
  return coolS > 0 ? [stageIn('cool', 'in ice water', coolS, inIce(setup.constants))] : []
}

export const bathThenSear = bath('bath then sear', (setup, free) =>
  thenRest(setup, [inWater(setup, free), ...cooled(setup), ...searStages(setup, [panReady(setup)])])
)

export const searThenBath = bath('sear then bath', (setup, free) => thenRest(setup, [...searStages(setup), inWater(setup, free)]))
