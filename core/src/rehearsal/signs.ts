/**
 * What a cook sees, hears and feels of a piece, as signs and not as numbers: the pan before the meat is in it, the hiss
 * by the water that boils off, the crust that shows, the smoke, how it yields. Never more than that: the truth stays
 * where it is until it is cut.
 */
import { geometryOf, type CutGeometry } from '#core/doneness/section'
import { fieldAt, valueAt, type Field } from '#core/heat/history'
import { PROBE_BEHIND_S } from '#core/heat/probeTip'
import { PAN_SIGNS } from '#core/kit/pan'
import { Randomness } from '#core/numerics/random'
import type { Method, Phase, Resting } from '#core/method/method'
import type { Setup } from '#core/method/setup'
import type { Down } from '#core/method/timeline'
import { READING_LIMITS, type CookEvent } from '#core/session/events'
import { progressOf } from '#core/session/progress'
import { onTheMetal } from '#core/plan/searedCrust'
import { faceOf, shadeOf, type Shade } from './browning'
import { fireLitAt, isWarming, type SlowFire, type TrueFire } from './coldFire'
import { feelOf, sharesOf, stiffness, type Feel } from './feel'
import { emptyPanC, type Beside, type Lived, type Truth } from './truth'

export const SMOKES = ['none', 'a thread', 'steady'] as const
export type Smoke = (typeof SMOKES)[number]

export interface Signs {
  /** Of the empty pan, by a drop of water and what is in it; null where there is none, or meat in it. */
  readonly pan: string | null
  /** Of an oven, a grill or a bath that is lit, until the piece is in it; null where it comes into none. */
  readonly fire: { readonly of: SlowFire; readonly word: string } | null
  /** How loud, 0 to 1, and in words; null where nothing can be heard. */
  readonly hiss: { readonly loud: number; readonly word: string } | null
  /** Of the face that can be seen. */
  readonly shade: Shade | null
  readonly smoke: Smoke
  readonly feel: Feel | null
  /** Flames under it. */
  readonly flames: boolean
}

const NO_SIGNS: Signs = { pan: null, fire: null, hiss: null, shade: null, smoke: 'none', feel: null, flames: false }

/** Water boiled off, g/s, that is as loud as a pan gets; estimate. */
const LOUD_G_S = 0.2
const HISSES: readonly (readonly [loud: number, word: string])[] = [
  [0, 'silent'],
  [0.03, 'a whisper'],
  [0.12, 'a steady sizzle'],
  [0.35, 'a lively hiss'],
  [0.7, 'a loud, spitting hiss']
]
/** Where oil of any usual kind begins to smoke, and smokes steadily, °C; as the signs of the pan say. */
const SMOKES_C = [225, 258] as const
/** s over which an ear takes the mean. */
const HEARD_OVER = 6
/** What a finger adds or takes, of stiffness: no two presses are the same; estimate. */
const FINGER = 0.05

const wordFor = (loud: number): string => HISSES.reduce((found, [from, word]) => (loud >= from ? word : found), HISSES[0][1])

const smokeOf = (panC: number | null): Smoke => {
  if (panC === null || panC < SMOKES_C[0]) return 'none'
  return panC < SMOKES_C[1] ? 'a thread' : 'steady'
}

/** A pan that is not as hot as for the first sign says nothing. */
export const panSign = (panC: number): string =>
  PAN_SIGNS.reduce((found, { celsius, sign }) => (panC >= celsius ? sign : found), 'a drop of water lies there and steams')

/** Where something can be heard: in a pan, over bars. */
const HEARD_IN: ReadonlySet<Phase> = new Set<Phase>(['sear', 'fat edge', 'rewarm', 'coals'])

/** @param now epoch ms */
export function signsAt(truth: Truth, events: readonly CookEvent[], life: Lived | null, now: number, beside: Beside): Signs {
  const { state, lits } = progressOf(events)
  const litAt = lits.at(-1)
  if (life === null) {
    const fire = fireSign(truth, events, now, beside)
    if (truth.pan === null || litAt === undefined) return { ...NO_SIGNS, fire }
    const inUse = beside.panInUseFrom !== null && beside.panInUseFrom <= now
    const panC = inUse ? truth.pan.holdC : emptyPanC(truth.pan, (now - litAt) / 1000)
    return { ...NO_SIGNS, fire, pan: panSign(panC), smoke: smokeOf(panC) }
  }
  const at = (now - life.laidAt) / 1000
  const { history, body } = life.run
  const onward = life.after.filter(a => a.fromS <= at).at(-1)
  const onHeat = state === 'on the heat'
  const stage = life.past.at(-1)?.stage ?? 'out'
  const cooking = onHeat && stage !== 'out' ? phasesOf(truth.kitchen.method, truth.kitchen.setup)[stage] : null
  const here = onward?.phase ?? cooking
  const inIt = onHeat && stage !== 'out' && truth.fire?.stages.includes(stage) === true
  const boils = here !== null && HEARD_IN.has(here)
  const { piece } = truth.kitchen.setup
  const gone = (t: number): number => valueAt(history.time, history.evaporated, t) * piece.weightG * piece.count
  const since = Math.max(0, at - HEARD_OVER)
  const loud = boils && at > 0 ? Math.min(1, Math.max(0, gone(at) - gone(since)) / Math.max(1, at - since) / LOUD_G_S) : 0
  const plate = boils && here !== 'coals' ? plateAt(history.time, history.plate, at) : null
  const { flare } = truth.twist
  return {
    pan: null,
    fire: inIt ? null : fireSign(truth, events, now, beside),
    hiss: boils ? { loud: Math.round(20 * loud) / 20, word: wordFor(loud) } : null,
    shade:
      piece.form === 'roast'
        ? rolledShade(truth, life, at, cooking)
        : shadeAt(life, at, onward?.phase === 'rewarm' ? onward.down : onHeat ? 'as it lies' : 'in hand'),
    smoke: smokeOf(plate),
    feel: feelAt(truth, fieldAt(life.run.fields, at), geometryOf(body.grid), at),
    flames: flare !== undefined && onHeat && at >= flare.fromS && at < flare.fromS + flare.forS
  }
}

function fireSign({ fire }: Truth, events: readonly CookEvent[], now: number, beside: Beside): Signs['fire'] {
  const lit = Math.min(fireLitAt(events) ?? Infinity, beside.fireLitAt ?? Infinity)
  if (fire === null || lit > now) return null
  const [warming, hot] = WORDS_FOR[fire.of === 'grill' ? (fire.fuel ?? 'charcoal') : fire.of]
  return { of: fire.of, word: isWarming(fire, (now - lit) / 1000) ? warming : hot }
}
/** While it warms, and when it is there: a lamp, a display, the look of the coals, a hand over the bars; common practice, no source. */
const WORDS_FOR: Readonly<Record<'oven' | 'bath' | NonNullable<TrueFire['fuel']>, readonly [string, string]>> = {
  oven: ['its lamp is lit: it is still warming', 'its lamp has gone out'],
  bath: ['its display is still climbing', 'its display stands where it was set'],
  charcoal: ['black coals among the red ones, and flames', 'the coals are grey all over'],
  gas: ['a hand can stay over the bars', 'no hand stays over the bars for long']
}

function plateAt(time: readonly number[], plate: readonly (number | null)[], at: number): number | null {
  const i = time.findIndex(t => t >= at)
  return plate.at(i < 0 ? -1 : i) ?? null
}
/**
 * Of a joint that is rolled raw in its pan: a place on it, by the moments that it lay on the metal so far. In the oven it
 * is not told: what browns it there are hours of dry air at its very skin, which the engine does not keep.
 */
function rolledShade({ kitchen: { setup } }: Truth, { past }: Lived, at: number, here: Phase | null): Shade | null {
  if (here !== 'sear' || past.some(s => s.stage !== 'out' && s.stage !== 0)) return null
  const before = past.slice(0, -1).reduce((sum, s) => sum + s.seconds, 0)
  const out = past.reduce((sum, s) => sum + (s.stage === 'out' && s !== past.at(-1) ? s.seconds : 0), 0)
  const place = onTheMetal(setup as Setup<object>, Math.max(at, before) - out)
  return place && shadeOf(faceOf(place.history.time, place.history.first, Infinity))
}

/** Of the face that lies up; off the heat the cook turns it about in his hand, and sees the better one. */
function shadeAt(life: Lived, at: number, lies: Down | 'as it lies' | 'in hand'): Shade {
  const {
    past,
    run: { history }
  } = life
  const { time, first, second } = history
  let spent = 0
  let { down } = past[0]
  for (const s of past) {
    if (spent > at) break
    down = s.down
    spent += s.seconds
  }
  if (lies !== 'as it lies' && lies !== 'in hand') down = lies
  const up = down === 'first' ? second : first
  const [best] = (lies !== 'in hand' ? [up] : [first, second]).map(face => faceOf(time, face, at)).sort((a, b) => b.dose - a.dose)
  return shadeOf(best)
}

/** Of each stage of its program, by number. */
const phasesOf = (method: Method<Resting>, setup: Setup<Resting>): Phase[] =>
  method.program(setup, method.bounds(setup)[1]).heating.map(s => s.phase)

function feelAt({ seed }: Truth, field: Field, geometry: CutGeometry, at: number): Feel {
  const finger = FINGER * new Randomness(seed + Math.floor(at / 20)).normal()
  return feelOf(Math.min(1, Math.max(0, stiffness(sharesOf(field, geometry)) + finger)))
}

/** mm that a tip put in by hand stands off the coldest point; common practice, no source. */
const TIP_OFF_MM = 2.5
/** K that a thermometer of the kitchen is off, and its noise. */
const NOISE_SD = 0.15

/** One reading by hand: what it shows, and where its tip was. */
export interface Probed {
  readonly shownC: number
  readonly offMm: number
  readonly trueC: number
}

/** Of one and the same moment it is one and the same reading, a few seconds behind. @param now s since it was laid in */
export function probedAt({ seed }: Truth, { run: { history, fields, body } }: Lived, now: number): Probed {
  const at = Math.max(0, now - PROBE_BEHIND_S)
  const random = new Randomness(seed + 7919 * (1 + Math.floor(at)))
  const offMm = Math.abs(TIP_OFF_MM * random.normal())
  const trueC = valueAt(history.time, history.core, now)
  const over = hotterOff(fieldAt(fields, at), geometryOf(body.grid), offMm)
  const shownC = Math.max(
    READING_LIMITS[0],
    Math.min(READING_LIMITS[1], valueAt(history.time, history.core, at) + over + NOISE_SD * random.normal())
  )
  return { shownC: Math.round(10 * shownC) / 10, offMm, trueC }
}

/** K over the thermal centre so far off it: along the axis of a steak, across a joint, where it is a tip goes too far or not far enough. */
function hotterOff({ temperature, hottest }: Field, { edgesMm, radiiMm, mirrored }: CutGeometry, offMm: number): number {
  const layers = edgesMm.length - 1
  const across = mirrored ? radiiMm.slice(1).map((_, i) => temperature[(i + 1) * layers - 1]) : null
  const line = across ?? temperature.slice(0, layers)
  const edges = across ? radiiMm : edgesMm
  const middles = line.map((_, i) => (edges[i] + edges[i + 1]) / 2)
  // In the rest its skin may be colder than its middle.
  const soFar = hottest.slice(0, layers)
  const centre = across ? 0 : soFar.indexOf(Math.min(...soFar))
  return valueAt(middles, line, Math.min(middles[middles.length - 1], middles[centre] + offMm)) - line[centre]
}
