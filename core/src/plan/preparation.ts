/**
 * Getting a piece ready: the schools to choose from, the checklist they make, dated back
 * from the moment it goes in, and what each does to the cook by the engine's reckoning.
 */
import { between } from '#core/heat/faces'
import { KEEP_ENDS, run, type StepLengths } from '#core/heat/program'
import { onBoard, openAir } from '#core/kit/air'
import type { Cut } from '#core/meat/cut'
import { SURFACES, type Piece, type SurfaceState } from '#core/meat/piece'
import { panStages, panSubject, type PanSetup } from '#core/method/panSear'
import { planPanSear } from './panPlan'
import { InfeasibleError } from './plan'

export const SALTINGS = ['right before', '40 min before', 'the day before', 'after'] as const
export type Salting = (typeof SALTINGS)[number]
export const PEPPERINGS = ['before', 'after'] as const
export type Peppering = (typeof PEPPERINGS)[number]
export const OILINGS = ['on the meat', 'in the pan', 'none'] as const
export type Oiling = (typeof OILINGS)[number]
export const OUT_MINUTES = [0, 30, 60] as const

export interface Preparation {
  readonly surface: SurfaceState
  readonly salt: Salting
  readonly pepper: Peppering
  readonly oil: Oiling
  /** Out of the fridge before it goes in, min. */
  readonly outMin: number
  /** Of the fridge it comes from, °C. */
  readonly fridgeC: number
  /** Knife work of this cut that is wanted: by feature. */
  readonly knife: boolean
  readonly tie: boolean
}

export const USUAL_PREPARATION: Preparation = {
  surface: 'patted',
  salt: 'right before',
  pepper: 'after',
  oil: 'on the meat',
  outMin: 0,
  fridgeC: 4,
  knife: true,
  tie: false
}

export interface Task {
  readonly id: string
  /** Before the piece goes in, s. */
  readonly before: number
  readonly text: string
  readonly because: string
}

const MINUTE = 60
const HOUR = 3600

/** First things first. */
export function checklistFor(preparation: Preparation, cut: Cut, piece: Piece): Task[] {
  const tasks: Task[] = []
  const add = (id: string, before: number, text: string, because: string): void => void tasks.push({ id, before, text, because })
  const { surface, salt, pepper, oil, outMin, knife, tie } = preparation
  const dayAhead = surface === 'aired' || salt === 'the day before'
  const knifeAt = dayAhead ? 24 * HOUR + 10 * MINUTE : (outMin + 50) * MINUTE

  if (surface === 'aired')
    add(
      'unwrap',
      24 * HOUR,
      'Unwrap and dry; lay it on a rack in the fridge, open',
      'Moving cold air dries the faces, so they brown at once.'
    )
  if (knife) {
    for (const f of cut.features) {
      if (f.kind === 'bone' || f.kind === 'seam fat') continue
      const what = f.kind === 'fat cap' ? 'Score the fat cap' : f.kind === 'sinew strip' ? 'See to the sinew' : 'Trim the silverskin'
      add(`knife ${f.kind}`, knifeAt, `${what}: ${f.where}`, f.advice)
    }
  }
  if (tie) add('tie', knifeAt - 5 * MINUTE, 'Tie it every 3 cm', 'Round and even, it is done everywhere at once.')
  if (salt === 'the day before') {
    add(
      'salt',
      24 * HOUR,
      'Salt it on all sides, about 1 % of its weight',
      'A day is long enough for the salt to go in and its brine to be drawn back; the outside dries meanwhile.'
    )
  }
  if (salt === '40 min before') {
    add(
      'salt',
      40 * MINUTE,
      'Salt it on all sides',
      'Salt draws water first and lets it back after half an hour: in between, the faces are at their wettest.'
    )
    add('pat after salt', 3 * MINUTE, 'Pat off what the salt drew', 'Drawn water must boil away before anything browns.')
  }
  if (outMin > 0)
    add(
      'out',
      outMin * MINUTE,
      'Take it out of the fridge',
      'A little warmer at the start is a little sooner done: see what it is worth below.'
    )
  if (surface === 'patted' && salt !== '40 min before')
    add('pat', 5 * MINUTE, 'Pat every face dry, hard', 'A wet face boils before it browns.')
  if (surface === 'starched')
    add('starch', 4 * MINUTE, 'Pat dry, then dust thinly with plain starch', 'Starch takes up the last film of water and browns by itself.')
  if (oil === 'on the meat') add('oil', 2 * MINUTE, 'Rub it thinly with oil', 'The oil is where it is needed, and the pan smokes less.')
  if (salt === 'right before') add('salt', MINUTE, 'Salt it', 'So late it has no time to draw water.')
  if (pepper === 'before')
    add('pepper', MINUTE, 'Press in crushed pepper, its dust sieved off', 'The dust burns first; coarse pieces make a crust.')
  if (oil === 'in the pan') add('oil', 0.5 * MINUTE, 'A film of oil in the hot pan', 'It bridges the gaps between metal and meat.')
  if (piece.intact === 'unknown')
    add(
      'ask',
      knifeAt + HOUR,
      'Find out whether it was needled',
      'Needles carry what is outside to the inside: then the middle must be cooked through.'
    )
  return tasks.sort((a, b) => b.before - a.before)
}

/** What follows the fire. */
export function afterwards({ salt, pepper }: Preparation): string[] {
  return [
    ...(salt === 'after' ? ['Salt the cut faces as you carve'] : []),
    ...(pepper === 'after' ? ['Pepper at the table, so that it does not burn'] : [])
  ]
}

export interface Consequence {
  /** Until the first face begins to brown, s; null where it never does. */
  readonly browningS: number | null
  /** On the heat, s; null where it cannot be planned. */
  readonly heatS: number | null
  /** Mean of both faces, mm. */
  readonly greyMm: number | null
  /** At the start, °C. */
  readonly startC: number
}

/** Of a face, where browning goes fast (from memory). */
const BROWNS_FROM_C = 140

/** What a start and a surface do to the cook in this pan. */
function consequenceOf(setup: PanSetup, targetC: number): Consequence {
  const startC = setup.piece.startC
  try {
    const plan = planPanSear(setup, targetC)
    const [first, second] = plan.section.greyMm
    return { browningS: browning(setup, plan.spells[0].seconds), heatS: plan.pull.time, greyMm: (first + second) / 2, startC }
  } catch (error) {
    if (!(error instanceof InfeasibleError)) throw error
    return { browningS: browning(setup, 2 * MINUTE), heatS: null, greyMm: null, startC }
  }
}

/** A face browns within a few of the engine's usual steps. */
const FINE_STEPS: StepLengths = { first: 0.1, longest: 0.5, kelvin: 1 }

function browning(setup: PanSetup, seconds: number): number | null {
  const spells = [{ state: 'first down', seconds }] as const
  const { history } = run(panSubject(setup, 'fine'), panStages(setup, spells, 1), { ...KEEP_ENDS, every: 0.5 }, FINE_STEPS)
  const faces = history.first.map(T => T ?? -Infinity)
  const at = faces.findIndex((T, i) => T >= BROWNS_FROM_C && history.time[i] <= seconds)
  if (at < 1) return at < 0 ? null : 0
  const share = (BROWNS_FROM_C - faces[at - 1]) / (faces[at] - faces[at - 1])
  return history.time[at - 1] + share * (history.time[at] - history.time[at - 1])
}

/** Mean temperature of the piece after some minutes on a board in the room, °C. */
export function warmedUp(setup: PanSetup, fridgeC: number, minutes: number): number {
  if (minutes <= 0) return fridgeC
  const cold = { ...setup, piece: { ...setup.piece, startC: fridgeC } }
  const faces = between(onBoard(setup.room, setup.constants), openAir(setup.room, setup.constants))
  const stage = { name: 'out', end: { after: minutes * MINUTE }, faces }
  const { history } = run(panSubject(cold, 'coarse'), [stage], KEEP_ENDS)
  return history.mean[history.mean.length - 1]
}

export interface Compared {
  readonly surfaces: Readonly<Record<SurfaceState, Consequence>>
  readonly out: readonly (Consequence & { readonly minutes: number })[]
}

/** Every school of drying and of taking off the chill, for this piece. */
export function comparePreparations(setup: PanSetup, targetC: number, preparation: Preparation): Compared {
  const at = (part: Partial<Piece>): Consequence => consequenceOf({ ...setup, piece: { ...setup.piece, ...part } }, targetC)
  const startC = warmedUp(setup, preparation.fridgeC, preparation.outMin)
  return {
    surfaces: Object.fromEntries(
      (Object.keys(SURFACES) as SurfaceState[]).map(surface => [surface, at({ startC, surface })])
    ) as Compared['surfaces'],
    out: OUT_MINUTES.map(minutes => ({
      minutes,
      ...at({ startC: warmedUp(setup, preparation.fridgeC, minutes), surface: preparation.surface })
    }))
  }
}
