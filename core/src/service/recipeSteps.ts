/** The steps that dishes are made of: times of boiling, roasting and standing are common practice, no source; what hangs on water and a ring is worked out. */
import type { Step } from './dish'
import type { Scaling } from './recipe'
import { boilSeconds, reduceSeconds } from './water'

export const MIN = 60
export const HOUR = 60 * MIN
/** No cook times closer. */
export const halfMinutes = (seconds: number): number => Math.round(seconds / 30) * 30

/** Board work: longer for more, but not in step with it. */
export const atBoard = (what: string, forFour: number, { diners }: Scaling, holds: Step['holds']): Step => {
  const seconds = halfMinutes(forFour * Math.sqrt(diners / 4))
  return { what, tool: null, seconds, hands: [seconds, 0], holds }
}
/** Left to itself at the ring but for its beginning and end. */
export const simmer = (what: string, seconds: number, hands: Step['hands'], holds: Step['holds'], then?: string): Step => ({
  what,
  ...(then ? { then } : {}),
  tool: 'ring',
  seconds,
  hands,
  holds
})
/** At the ring, and nothing else meanwhile. */
export const over = (what: string, seconds: number, holds: Step['holds'], then?: string): Step =>
  simmer(what, seconds, [seconds, 0], holds, then)
export const wait = (what: string, seconds: number, holds: Step['holds']): Step => ({ what, tool: null, seconds, hands: [0, 0], holds })
export const water = (litres: number, { ringW }: Scaling): Step => {
  const seconds = halfMinutes(boilSeconds(litres, ringW))
  return simmer(`Bring {${litres.toFixed(1)} l} of salted water to the boil`, seconds, [30, 0], [0, 5 * MIN])
}
/** A litre for every two or three, and never less than two. */
export const potFor = ({ diners }: Scaling, each: number): number => Math.max(2, Math.round(2 * each * diners) / 2)
export const reduced = (what: string, mlEach: number, leaves: number, s: Scaling, then?: string): Step => {
  const seconds = Math.max(60, halfMinutes(reduceSeconds((mlEach * s.diners) / 1000, leaves, s.ringW)))
  return simmer(what, seconds, [60, 60], [0, 0], then)
}
/** In the oven, laid in and taken out. */
export const bake = (what: string, then: string, ovenC: readonly [number, number], seconds: number, holds: Step['holds']): Step => ({
  what,
  then,
  tool: 'oven',
  ovenC,
  seconds,
  hands: [MIN, MIN],
  holds
})
/** On the bars, watched. */
export const grill = (what: string, then: string, seconds: number, holds: Step['holds']): Step => ({
  what,
  then,
  tool: 'grill',
  seconds,
  hands: [seconds, 0],
  holds
})
/** Off the heat, and still a moment's work. */
export const offHeat = (what: string, seconds: number, holds: Step['holds']): Step => ({
  what,
  tool: null,
  seconds,
  hands: [seconds, 0],
  holds
})
