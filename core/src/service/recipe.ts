/** A side or a sauce as data: what goes in for each, and steps whose times go by the clock, the number at the table, water or a ring. */
import { SHELVES } from '#core/kit/oven'
import { type Dish, type DishKind, type Step, type Tool } from './dish'
import { boilSeconds, reduceSeconds } from './water'

export const AMOUNT_UNITS = ['g', 'ml', ''] as const
/** For one diner. */
export interface Amount {
  readonly what: string
  readonly each: number
  /** None for what is counted. */
  readonly unit: (typeof AMOUNT_UNITS)[number]
}

/** For whom, and over how much heat. */
export interface Scaling {
  readonly diners: number
  /** Of the strongest ring, W at the pan. */
  readonly ringW: number
}

export const TIMINGS = ['clock', 'guests', 'boil', 'reduce'] as const
export type Timing = (typeof TIMINGS)[number]
/** How long a step takes, s. */
export type Takes =
  | { readonly by: 'clock'; readonly seconds: number }
  /** For four; for more longer, but not in step with it. */
  | { readonly by: 'guests'; readonly seconds: number }
  /** Until so much has come to the boil, and so long after it. A pot has a least volume. */
  | { readonly by: 'boil'; readonly mlEach: number; readonly leastMl: number; readonly seconds: number }
  /** Until a share of it is left. */
  | { readonly by: 'reduce'; readonly mlEach: number; readonly leaves: number }

export interface RecipeStep {
  /** "{volume}" in it is what is brought to the boil. */
  readonly what: string
  readonly then?: string
  readonly tool: Tool | null
  readonly ovenC?: readonly [least: number, most: number]
  readonly takes: Takes
  /** As of any step; or all the while. */
  readonly hands: 'all' | readonly [atFirst: number, atLast: number]
  readonly holds: readonly [well: number, most: number]
  /** For so many it fits on a tray, the bars or into a pan at once; left out, for any number. */
  readonly load?: number
}

export const RECIPE_KINDS = ['side', 'sauce'] as const satisfies readonly DishKind[]
export interface Recipe {
  readonly id: string
  readonly name: string
  readonly kind: (typeof RECIPE_KINDS)[number]
  readonly amounts: readonly Amount[]
  readonly steps: readonly RecipeStep[]
  /** Made in the pan that the beef was seared in. */
  readonly inItsPan?: boolean
  /** For who eats none: on the bars before any meat was on them. */
  readonly beforeMeat?: boolean
  /** What an eater must be told, or a cook look out for. */
  readonly caution?: string
  /** Out of the book: not offered any more, but kept where a ticket has it. */
  readonly out?: boolean
}

export const LOAD_LIMITS = [1, 40] as const

/** No cook times closer, s. */
const CLOSEST_S = 30
const SHORTEST_S = 60
/** A tray follows the last at once, a pan is filled again. */
const BETWEEN_LOADS: Step['holds'] = [0, 0]

const halfMinutes = (seconds: number): number => Math.max(SHORTEST_S, Math.round(seconds / CLOSEST_S) * CLOSEST_S)

/** Litres; a pot of water is measured by the half. */
const volumeOf = ({ mlEach, leastMl }: { readonly mlEach: number; readonly leastMl: number }, diners: number): number =>
  leastMl > 0 ? Math.max(leastMl / 1000, Math.round((2 * mlEach * diners) / 1000) / 2) : (mlEach * diners) / 1000

function secondsOf(takes: Takes, { diners, ringW }: Scaling): number {
  switch (takes.by) {
    case 'clock':
      return takes.seconds
    case 'guests':
      return halfMinutes(takes.seconds * Math.sqrt(diners / 4))
    case 'boil':
      return halfMinutes(boilSeconds(volumeOf(takes, diners), ringW) + takes.seconds)
    case 'reduce':
      return halfMinutes(reduceSeconds((takes.mlEach * diners) / 1000, takes.leaves, ringW))
  }
}

/** Steps that follow each other at once are loaded together. */
function runsOf(steps: readonly RecipeStep[]): RecipeStep[][] {
  const runs: RecipeStep[][] = []
  for (const [i, step] of steps.entries()) {
    const before = steps.at(i - 1)
    const follows = i > 0 && before !== undefined && before.load !== undefined && step.load !== undefined && before.holds[1] === 0
    if (follows) runs[runs.length - 1].push(step)
    else runs.push([step])
  }
  return runs
}

/** How many trays, pans or grates there are of it, and how many go at once. */
const loadsOf = ({ load = Infinity, tool }: RecipeStep, diners: number): readonly [loads: number, atOnce: number] => [
  Math.max(1, Math.ceil(diners / load)),
  tool === 'oven' ? SHELVES : 1
]

/** The steps of a recipe for so many: one after the other, and again for each load. */
export function stepsFor(steps: readonly RecipeStep[], scaling: Scaling): Step[] {
  return runsOf(steps).flatMap(run => {
    const turns = Math.max(...run.map(step => Math.ceil(loadsOf(step, scaling.diners)[0] / loadsOf(step, scaling.diners)[1])))
    return Array.from({ length: turns }, (_, turn) =>
      run.map((step, i): Step => {
        const one = oneTurn(step, scaling, turn, turns)
        return i === run.length - 1 && turn < turns - 1 ? { ...one, holds: BETWEEN_LOADS } : one
      })
    ).flat()
  })
}

function oneTurn(step: RecipeStep, scaling: Scaling, turn: number, turns: number): Step {
  const { what, then, tool, ovenC, takes, hands, holds } = step
  const said = takes.by === 'boil' ? what.replace('{volume}', `{${volumeOf(takes, scaling.diners).toFixed(1)} l}`) : what
  const [loads, atOnce] = loadsOf(step, scaling.diners)
  const trays = Math.min(atOnce, loads - turn * atOnce)
  const seconds = secondsOf(takes, scaling)
  return {
    what: turns > 1 ? `${said}, ${turn + 1} of ${turns}` : said,
    ...(then ? { then } : {}),
    tool,
    ...(ovenC ? { ovenC } : {}),
    ...(trays > 1 ? { trays } : {}),
    seconds,
    hands: hands === 'all' ? [seconds, 0] : hands,
    holds
  }
}

export const dishOf = (id: string, recipe: Recipe, scaling: Scaling): Dish => ({
  id,
  name: recipe.name,
  kind: recipe.kind,
  steps: stepsFor(recipe.steps, scaling),
  ...(recipe.inItsPan ? { inItsPan: true } : {}),
  ...(recipe.beforeMeat ? { beforeMeat: true } : {})
})

export interface Measured {
  readonly what: string
  readonly amount: number
  readonly unit: Amount['unit']
}

/** Rounded as a cook weighs: two figures. */
export const amountsFor = (recipe: Recipe, diners: number): Measured[] =>
  recipe.amounts.map(({ what, each, unit }) => ({ what, amount: unit === '' ? Math.ceil(each * diners) : twoFigures(each * diners), unit }))

function twoFigures(value: number): number {
  const size = 10 ** Math.max(0, Math.floor(Math.log10(value)) - 1)
  return Math.round(value / size) * size
}
