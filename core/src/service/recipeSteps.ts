/** The steps that the book's dishes are made of: times of boiling, roasting and standing, and what fits on a tray, are common practice, no source. */
import type { RecipeStep, Takes } from './recipe'

export const MIN = 60
export const HOUR = 60 * MIN
type Hands = RecipeStep['hands']
type Holds = RecipeStep['holds']
type Long = number | Takes
const timed = (long: Long): Takes => (typeof long === 'number' ? { by: 'clock', seconds: long } : long)

/** Longer for more, as the work of hands and full pans is. */
export const more = (forFour: number): Takes => ({ by: 'guests', seconds: forFour })
/** Until so much boils, and so long after. */
export const boiling = (mlEach: number, seconds = 0): Takes => ({ by: 'boil', mlEach, leastMl: 0, seconds })
/** A pot of water for it: never less than two litres. */
export const potOf = (mlEach: number): Takes => ({ by: 'boil', mlEach, leastMl: 2000, seconds: 0 })

export const atBoard = (what: string, forFour: number, holds: Holds): RecipeStep => ({
  what,
  tool: null,
  takes: more(forFour),
  hands: 'all',
  holds
})
/** Left to itself at the ring but for its beginning and end. */
export const simmer = (what: string, long: Long, hands: Hands, holds: Holds, then?: string): RecipeStep => ({
  what,
  ...(then ? { then } : {}),
  tool: 'ring',
  takes: timed(long),
  hands,
  holds
})
/** At the ring, and nothing else meanwhile. */
export const over = (what: string, long: Long, holds: Holds, then?: string): RecipeStep => simmer(what, long, 'all', holds, then)
export const wait = (what: string, seconds: number, holds: Holds): RecipeStep => ({
  what,
  tool: null,
  takes: timed(seconds),
  hands: [0, 0],
  holds
})
export const water = (mlEach: number): RecipeStep =>
  simmer('Bring {volume} of salted water to the boil', potOf(mlEach), [30, 0], [0, 5 * MIN])
export const reduced = (what: string, mlEach: number, leaves: number, then?: string, holds: Holds = [0, 0]): RecipeStep =>
  simmer(what, { by: 'reduce', mlEach, leaves }, [60, 60], holds, then)
/** In the oven, laid in and taken out. @param load for so many a tray takes it */
export const bake = (
  what: string,
  then: string,
  ovenC: readonly [number, number],
  seconds: number,
  holds: Holds,
  load?: number
): RecipeStep => ({
  what,
  then,
  tool: 'oven',
  ovenC,
  takes: timed(seconds),
  hands: [MIN, MIN],
  holds,
  ...(load === undefined ? {} : { load })
})
/** On the bars, watched. */
export const grill = (what: string, then: string, seconds: number, holds: Holds, load: number): RecipeStep => ({
  what,
  then,
  tool: 'grill',
  takes: timed(seconds),
  hands: 'all',
  holds,
  load
})
/** Off the heat, and still a moment's work. */
export const offHeat = (what: string, seconds: number, holds: Holds): RecipeStep => ({
  what,
  tool: null,
  takes: timed(seconds),
  hands: 'all',
  holds
})
/** No more of it at once than for so many. */
export const inLoads = (load: number, step: RecipeStep): RecipeStep => ({ ...step, load })
