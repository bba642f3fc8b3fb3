/**
 * What nobody at the stove knows: the piece and the kitchen as they really are, and what has come of them by what the
 * cook did. Drawn from the stated unknowns by a seed, or set by an exercise.
 */
import { drawUnknowns, NAMES, withUnknowns, type Unknowns } from '#core/estimate/prior'
import { trialOfPast, type Spent } from '#core/estimate/underWay'
import type { AirFace, Face, Faces } from '#core/heat/faces'
import { run, type Run, type Stage, type Subject } from '#core/heat/program'
import { panAfter, type Pan, type Ring } from '#core/kit/pan'
import type { SurfaceState } from '#core/meat/piece'
import type { Method, Phase, Resting } from '#core/method/method'
import { PAN } from '#core/method/parts'
import { AFTERWARDS, layOut, secondsOf, type Down, type Spell } from '#core/method/timeline'
import type { Setup } from '#core/method/setup'
import { Randomness } from '#core/numerics/random'
import type { PlanRequest } from '#core/request/request'
import { hotMetal, setupOf } from '#core/request/setup'
import type { CookEvent } from '#core/session/events'
import { asTheFireWarmed, fireLitAt, fireOf, type TrueFire } from './coldFire'
import { happenedUntil, progressOf, settingsSaid, type Progress } from '#core/session/progress'

export interface TrueKitchen<S extends Resting> {
  readonly method: Method<S>
  readonly setup: Setup<S>
  readonly target: number
}

/** In what the truth is not as was said; what is left out is drawn. */
export interface Twist extends Partial<Unknowns<number>> {
  /** Share of its power that the ring still has. */
  readonly ring?: number
  /** How its faces really are. */
  readonly surface?: SurfaceState
  /** Fat burns under it: from then on, so long, unless it is lifted out. s since it was laid in. */
  readonly flare?: { readonly fromS: number; readonly forS: number }
}

/** One cook as it truly is. */
export interface Truth {
  readonly kitchen: TrueKitchen<Resting>
  readonly unknowns: Unknowns<number>
  readonly twist: Twist
  readonly seed: number
  /** The pan that it is laid in first, on the ring as that really is; null where it begins elsewhere. */
  readonly pan: { readonly pan: Pan; readonly ring: Ring; readonly holdC: number; readonly roomC: number } | null
  /** What it is cooked in that is slow to be hot; null where that is a pan or a pot. */
  readonly fire: TrueFire | null
}

/** Of the spread of what is not known: an exercise is about what it says, and not the same twice either. */
const BESIDE_A_TWIST = 0.4

/** @param twist null draws all of it, as wide as kitchens are */
export function truthOf(request: PlanRequest, seed: number, twist: Twist | null): Truth {
  const { method, setup, targetC } = setupOf(request)
  const drawn = drawUnknowns(new Randomness(seed))
  const unknowns = Object.fromEntries(
    NAMES.map(name => [name, twist ? (twist[name] ?? BESIDE_A_TWIST * drawn[name]) : drawn[name]])
  ) as unknown as Unknowns<number>
  const { ring: power = 1, surface } = twist ?? {}
  const weak = <T extends object>(settings: T): T =>
    'ring' in settings ? { ...settings, ring: { ...(settings.ring as Ring), powerW: power * (settings.ring as Ring).powerW } } : settings
  const wet = surface === undefined ? setup.piece : { ...setup.piece, surface }
  const kitchen = { method, target: targetC, setup: withUnknowns({ ...setup, piece: wet, settings: weak(setup.settings) }, unknowns) }
  const metal = hotMetal(request)
  const [begins] = method.program(kitchen.setup, method.guess(kitchen.setup)).heating
  const pan =
    metal && (begins.phase === 'sear' || begins.phase === 'fat edge')
      ? { pan: metal.pan, ring: weak({ ring: metal.ring }).ring, holdC: metal.panC, roomC: request.room.temperatureC }
      : null
  return { kitchen, unknowns, twist: twist ?? {}, seed, pan, fire: fireOf(method, kitchen.setup) }
}

/** Fire that licks at the meat, °C, where coals or bars are this much cooler; estimate. */
const FLAMES_C = 700
const inFlames = (air: AirFace): AirFace => ({ ...air, walls: FLAMES_C, air: Math.max(air.air, FLAMES_C / 2) })
function flamesAt(face: Face): Face {
  if (face.kind === 'air') return inFlames(face)
  return face.kind === 'partly' ? { ...face, open: inFlames(face.open) } : face
}
/** The face that is turned to the coals is the one that touches the bars. */
const flaring = ({ first, second, side }: Faces): Faces => ({
  first: first.kind === 'partly' ? flamesAt(first) : first,
  second: second.kind === 'partly' ? flamesAt(second) : second,
  side
})

/** Stages with a fire under those that lie over it between two moments. */
function burnt(stages: readonly Spell[], { fromS, forS }: NonNullable<Twist['flare']>): Stage[] {
  let at = 0
  return stages.flatMap((stage, i) => {
    const [begin, end] = [at, at + stage.seconds]
    at = end
    if (stage.stage === 'out' || i === stages.length - 1) return [stage]
    const [from, to] = [Math.min(end, Math.max(begin, fromS)), Math.min(end, Math.max(begin, fromS + forS))]
    const part = (a: number, b: number, faces: Faces): Stage[] =>
      b - a > 0.1 ? [{ ...stage, faces, end: { after: b - a }, ...(a > begin ? { changes: [] } : {}) }] : []
    return [...part(begin, from, stage.faces), ...part(from, to, flaring(stage.faces)), ...part(to, end, stage.faces)]
  })
}

/** Where it went from its rest, and stayed. */
interface Onward {
  /** s after it was taken off, of each that it went on to. */
  readonly fromS: readonly number[]
  /** s after it was taken off up to which it is wanted. */
  readonly untilS: number
  readonly later: Progress['later']
}

export interface Living {
  readonly onward?: Onward | undefined
  /** s that the rest runs at least. */
  readonly atLeast?: number
  /** What the pan was at when it was laid in, °C; as it is held, where nothing is said. */
  readonly panC?: number | null
  readonly flare?: Twist['flare']
  /** s between two fields; none where it is left out. */
  readonly fieldEvery?: number
  readonly fineness?: 'fine' | 'coarse'
}

/** What the true piece did until it was taken off, and in its rest. */
export function truly<S extends Resting>({ method, setup, target }: TrueKitchen<S>, past: readonly Spent[], living: Living = {}): Run {
  const { atLeast = 0, panC = null, onward, flare, fieldEvery = null, fineness = 'fine' } = living
  const trial = trialOfPast(method, setup, target, past)
  const laid = trial.stages(setup, trial.free) as readonly Spell[]
  const after = onward ? goneOnTo({ method, setup, target }, onward) : []
  const stages = after.length > 0 && onward ? goingOn(laid, after, onward) : restingOn(laid, atLeast)
  const subject = laidInAt(method.subject(setup, fineness), panC)
  const lit = flare ? burnt(stages, flare) : stages
  return run(subject, lit, { every: 4, fieldEvery, untilPastPeakBy: 0.5, atLeast })
}
/** What there is to go on to after the rest, as it was planned and as was said since, as long as it stayed there. Gone on once more than that, it stays in the last. */
function goneOnTo<S extends Resting>({ method, setup }: TrueKitchen<S>, { fromS, untilS, later }: Onward): Spell[] {
  const said = { ...setup, settings: settingsSaid(setup.settings, later) }
  const { rewarm } = layOut(method.program(said, method.bounds(said)[0]))
  if (rewarm.length === 0) return []
  return fromS.map((from, i) => {
    const seconds = Math.max(SOON_OVER, (fromS[i + 1] ?? untilS) - from)
    return { ...rewarm[Math.min(i, rewarm.length - 1)], seconds, end: { after: seconds } }
  })
}
/** s */
const SOON_OVER = 0.1
/** Its rest ends where it goes on, and when all of that is over it lies on the board. */
function goingOn(laid: readonly Spell[], after: readonly Spell[], { fromS: [restS] }: Onward): readonly Spell[] {
  const rest = laid[laid.length - 1]
  const resting = (seconds: number): Spell => ({ ...rest, seconds, end: { after: seconds } })
  return [...laid.slice(0, -1), resting(Math.max(SOON_OVER, restS)), ...after, resting(AFTERWARDS)]
}
/** However long it is left on its board. */
const restingOn = (stages: readonly Spell[], seconds: number): readonly Spell[] =>
  stages.map((s, i) => (i === stages.length - 1 && s.seconds < seconds ? { ...s, seconds, end: { after: seconds } } : s))
const laidInAt = (subject: Subject, panC: number | null): Subject =>
  panC === null || !subject.lumps ? subject : { ...subject, lumps: subject.lumps.map((l, i) => (i === PAN ? { ...l, start: panC } : l)) }

/** Left on its ring, nobody turns it down before meat is in it: hotter than this no kitchen leaves it, °C. */
const GLOWS_C = 330

/** The empty pan so long after its ring was lit, °C. */
export const emptyPanC = ({ pan, ring, roomC }: Omit<NonNullable<Truth['pan']>, 'holdC'>, seconds: number): number =>
  Math.min(GLOWS_C, panAfter(pan, ring, Math.max(0, seconds), roomC))

/** What else was going on, epoch ms. */
export interface Beside {
  /** When another piece was laid into the same pan; null where none was. */
  readonly panInUseFrom: number | null
  /** When its oven, grill or bath was lit for another; null where it was not. */
  readonly fireLitAt: number | null
}
export const ALONE: Beside = { panInUseFrom: null, fireLitAt: null }

/** What the pan is at when the piece meets it, °C; null where it meets none. */
export function panMetAt({ pan }: Truth, events: readonly CookEvent[], { panInUseFrom }: Beside): number | null {
  if (pan === null) return null
  const { lits, laidAt } = progressOf(events)
  if (laidAt === null) return null
  // Whoever cooks in it has turned it down.
  if (panInUseFrom !== null && panInUseFrom < laidAt) return pan.holdC
  // What is slow first, and then the ring.
  const litAt = lits.filter(at => at <= laidAt).at(-1)
  return litAt === undefined ? pan.roomC : emptyPanC(pan, (laidAt - litAt) / 1000)
}

/** A true cook so far, and for a while on if nothing more is done. */
export interface Lived {
  readonly run: Run
  /** Epoch ms. */
  readonly laidAt: number
  readonly past: readonly Spent[]
  /** What it went on to after its rest: in what, which face down, and from when, s since it was laid in. */
  readonly after: readonly { readonly phase: Phase; readonly down: Down; readonly fromS: number }[]
  /** s since it was laid in up to which it holds. */
  readonly until: number
}
const FIELD_EVERY = 8

/** s that its fire had been lit when the piece was laid in, by whoever lit it; 0 where nobody had. */
export const fireLitBefore = (events: readonly CookEvent[], laidAt: number, beside: Beside): number =>
  Math.max(0, laidAt - Math.min(fireLitAt(events) ?? laidAt, beside.fireLitAt ?? laidAt)) / 1000

/** What was gone on to after the rest until then. @param until epoch ms */
export function onwardOf(events: readonly CookEvent[], until: number): Onward | undefined {
  const { pulledAt, onward, later } = progressOf(events)
  const since = (at: number): number => (at - (pulledAt ?? at)) / 1000
  const fromS = onward.filter(at => at <= until).map(since)
  return fromS.length > 0 ? { fromS, untilS: since(until), later } : undefined
}

/** @param until epoch ms. @returns null before it is laid in */
export function lived(truth: Truth, events: readonly CookEvent[], until: number, beside: Beside): Lived | null {
  const { laidAt } = progressOf(events)
  const onward = onwardOf(events, until)
  const { past: said } = happenedUntil(events, until)
  if (laidAt === null || said.length === 0) return null
  const past = truth.fire ? asTheFireWarmed(said, truth.fire, fireLitBefore(events, laidAt, beside)) : said
  const seconds = Math.max(0, (until - laidAt) / 1000)
  const living = { atLeast: seconds, panC: panMetAt(truth, events, beside), onward, fieldEvery: FIELD_EVERY, flare: truth.twist.flare }
  const off = secondsOf(past)
  const after = onward ? goneOnTo(truth.kitchen, onward).map(({ phase, down }, i) => ({ phase, down, fromS: off + onward.fromS[i] })) : []
  return { run: truly(truth.kitchen, past, living), laidAt, past, after, until: seconds }
}
