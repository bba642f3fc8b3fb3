/** An oven, a grill or a bath that was not hot yet when the piece came into it: what that is in while it warms. */
import type { HeatSet, Spent } from '#core/estimate/underWay'
import { bathAfter } from '#core/kit/bath'
import { grillAfter, type Grill } from '#core/kit/grill'
import { ovenAfter } from '#core/kit/oven'
import type { Bath } from '#core/method/bath'
import type { Method, Phase, Resting } from '#core/method/method'
import type { Setup } from '#core/method/setup'
import type { CookEvent } from '#core/session/events'
import { progressOf } from '#core/session/progress'

export const SLOW_FIRES = ['oven', 'grill', 'bath'] as const
export type SlowFire = (typeof SLOW_FIRES)[number]

/** What a method uses that is slow to be hot. */
export interface TrueFire {
  readonly of: SlowFire
  readonly fuel: Grill['fuel']
  /** What it is set to. */
  readonly set: HeatSet
  /** °C at what is set to that, so many s after it was lit. */
  readonly after: (setC: number, seconds: number) => number
  /** In which stages of its program the piece is in it. */
  readonly stages: readonly number[]
}

const IN: Readonly<Partial<Record<Phase, SlowFire>>> = { oven: 'oven', coals: 'grill', 'under the lid': 'grill', bath: 'bath' }
/** By what each is set. */
const SET_BY: Readonly<Record<SlowFire, readonly (keyof HeatSet)[]>> = { oven: ['ovenC'], grill: ['grateC', 'lidC'], bath: ['bathC'] }

/** Null where it comes into none. */
export function fireOf(method: Method<Resting>, setup: Setup<Resting>): TrueFire | null {
  const { heating } = method.program(setup, method.guess(setup))
  const of = heating.map(({ phase }) => IN[phase]).find(fire => fire !== undefined)
  if (of === undefined) return null
  const settings = setup.settings as HeatSet & { readonly grill?: Grill; readonly machine?: Bath['machine'] }
  const roomC = setup.room.temperatureC
  const fuel = settings.grill?.fuel ?? 'charcoal'
  const litres = settings.machine?.litres ?? USUAL_LITRES
  const after: Record<SlowFire, TrueFire['after']> = {
    oven: (setC, seconds) => ovenAfter(setC, roomC, seconds),
    grill: (setC, seconds) => grillAfter(setC, roomC, fuel, seconds),
    bath: (setC, seconds) => bathAfter(setC, litres, seconds)
  }
  return {
    of,
    fuel,
    set: Object.fromEntries(SET_BY[of].flatMap(key => (settings[key] === undefined ? [] : [[key, settings[key]]]))),
    after: after[of],
    stages: heating.flatMap(({ phase }, i) => (IN[phase] === of ? [i] : []))
  }
}
const USUAL_LITRES = 12

/** What is slow is lit first. @returns epoch ms; null while nothing is lit */
export const fireLitAt = (events: readonly CookEvent[]): number | null => progressOf(events).lits.at(0) ?? null

/** s: in a step of that it is taken to be as it is half-way. */
const STEP = 60

const keysOf = (set: HeatSet): (keyof HeatSet)[] => Object.keys(set) as (keyof HeatSet)[]
/** K by which it is short of what it is set to, at most. */
const shortBy = (set: HeatSet, { after }: TrueFire, seconds: number): number =>
  Math.max(0, ...keysOf(set).map(key => (set[key] ?? 0) - after(set[key] ?? 0, seconds)))
export const isWarming = (fire: TrueFire, seconds: number): boolean => shortBy(fire.set, fire, seconds) > 0

/**
 * The same with its fire as warm as it was.
 * @param litBefore s that it had been lit when the piece was laid in
 */
export function asTheFireWarmed(past: readonly Spent[], fire: TrueFire, litBefore: number): Spent[] {
  let at = Math.max(0, litBefore)
  return past.flatMap(spent => {
    const { stage, seconds } = spent
    const from = at
    at += seconds
    if (stage === 'out' || !fire.stages.includes(stage)) return [spent]
    const set = { ...fire.set, ...spent.set }
    const steps: Spent[] = []
    for (let gone = 0; gone < seconds;) {
      const long = Math.min(STEP, seconds - gone)
      const lit = from + gone + long / 2
      if (shortBy(set, fire, lit) <= 0) return [...steps, { ...spent, seconds: seconds - gone }]
      const warm = Object.fromEntries(keysOf(set).map(key => [key, fire.after(set[key] ?? 0, lit)]))
      steps.push({ ...spent, seconds: long, set: warm })
      gone += long
    }
    return steps
  })
}

/** K by which it was short when the piece came into it; null where it has not yet. */
export function shortWhenMet(past: readonly Spent[], fire: TrueFire, litBefore: number): number | null {
  let at = Math.max(0, litBefore)
  for (const { stage, seconds } of past) {
    if (stage !== 'out' && fire.stages.includes(stage)) return shortBy(fire.set, fire, at)
    at += seconds
  }
  return null
}
