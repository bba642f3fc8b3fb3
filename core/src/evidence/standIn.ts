/**
 * A thermometer that is none: what one would show whose tip is in a piece that is not quite as was said, or in the air
 * of the oven, under the lid, in the bath, on the pan that it is cooked with. What is true of them follows from a seed which
 * only the stand-in knows; the app is told nothing but what the probe shows.
 */
import type { CookRecord } from '#core/book/record'
import { drawUnknowns, withUnknowns } from '#core/estimate/prior'
import { valueAt } from '#core/heat/history'
import type { Setup } from '#core/method/setup'
import { Randomness } from '#core/numerics/random'
import { hotMetal, setupOf } from '#core/request/setup'
import type { Resting } from '#core/method/method'
import type { Tip } from '#core/session/probes'
import { happenedUntil, progressOf } from '#core/session/progress'
import { fireLitAt, fireOf } from '#core/rehearsal/coldFire'
import { emptyPanC, truly } from '#core/rehearsal/truth'
import { OFFSET_SD } from './hiddenCooks'

/** K from one word to the next: what a tip in wet meat and its converter make of a steady core; and air, which an element and a draught stir. */
const NOISE_SD = { middle: 0.15, air: 1.5 } as const satisfies Record<Tip, number>

type Shows = (events: CookRecord['events'], now: number) => number

/** @returns °C at a moment, epoch ms */
export function standInProbe(
  { id, request }: Pick<CookRecord, 'id' | 'request'>,
  seed: number
): (...at: [...Parameters<Shows>, tip?: Tip]) => number {
  const random = new Randomness(seed + [...id].reduce((sum, letter) => 31 * (sum % 1e9) + letter.charCodeAt(0), 0))
  const { method, setup, targetC: target } = setupOf(request)
  const truth = { method, setup: withUnknowns(setup, drawUnknowns(random)), target }
  const offset = OFFSET_SD * random.normal()
  const ran = (events: CookRecord['events'], now: number) => {
    const { laidAt } = progressOf(events)
    const { past } = happenedUntil(events, now)
    if (laidAt === null || past.length === 0) return null
    const elapsed = Math.max(0, (now - laidAt) / 1000)
    return { elapsed, history: truly(truth, past, { atLeast: elapsed }).history }
  }
  const inMeat: Shows = (events, now) => {
    const life = ran(events, now)
    return life ? valueAt(life.history.time, life.history.probe, life.elapsed) : truth.setup.piece.startC
  }
  const roomC = setup.room.temperatureC
  const fire = fireOf(method, truth.setup)
  const pan = hotMetal(request)
  const aroundIt: Shows = (events, now) => {
    if (fire) {
      const { lidC, grateC, ovenC, bathC } = { ...fire.set, ...happenedUntil(events, now).past.at(-1)?.set }
      const lit = fireLitAt(events)
      const setC = ovenC ?? bathC ?? lidC ?? grateC ?? roomC
      return lit === null || lit > now ? roomC : fire.after(setC, (now - lit) / 1000) + heldOver(truth.setup)
    }
    const life = ran(events, now)
    const plates = life?.history.plate.map(C => C ?? roomC)
    if (life && plates) return valueAt(life.history.time, plates, life.elapsed)
    const lit = progressOf(events).lits.at(-1)
    return pan && lit !== undefined && lit <= now ? emptyPanC({ pan: pan.pan, ring: pan.ring, roomC }, (now - lit) / 1000) : roomC
  }
  return (events, now, tip = 'middle') =>
    Math.round(10 * ((tip === 'air' ? aroundIt : inMeat)(events, now) + offset + NOISE_SD[tip] * random.normal())) / 10
}

/** What an oven or a bath truly holds over what it is set to, K. */
function heldOver({ settings }: Setup<Resting>): number {
  const { oven, machine } = settings as { readonly oven?: { readonly offsetC: number }; readonly machine?: { readonly offsetC: number } }
  return oven?.offsetC ?? machine?.offsetC ?? 0
}
