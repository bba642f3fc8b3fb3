/**
 * What is called out at the stove for the next action: the words, the name of the
 * button that says it is done, and the advice that goes with it; and what follows.
 */
import type { UnderWay } from '#core/estimate/underWay'
import { HOLDING_C } from '#core/kit/air'
import { cutById } from '#core/meat/cuts'
import { pieceName } from '#core/meat/piece'
import type { Phase } from '#core/method/method'
import type { Percentiles } from '#core/numerics/statistics'
import type { Mark, Plan } from '#core/plan/plan'
import { capital, showDuration, showDurationRange, showTemperature, showVolume, shownText } from '#core/quantity/format'
import type { UnitSystem } from '#core/quantity/units'
import type { PlanRequest } from '#core/request/request'
import { crustGoesOn, meltsCheese, servedCold, settingsOf } from '#core/request/setup'
import type { NextAction } from './nextAction'
import { settingsSaid, type Progress } from './progress'
import { IN_THE_PAN, preheatsOf, ringFollows } from './warmUp'

export interface Call {
  /** "Turn the strip steak" */
  readonly says: string
  /** "Turned" */
  readonly done: string
  readonly advice: string
}

/** Where a cook stands, and what is to come of it. */
export interface Stand {
  readonly request: PlanRequest
  readonly progress: Progress
  readonly forecast: UnderWay
  /** What the cook's own thermometer shows where this is; what is there, where it is not said. */
  readonly shows?: ((celsius: number) => number) | undefined
  /** How this one is told from the others at the stove: "rare piece". */
  readonly called?: string | undefined
  /** Whether others are at the stove, so that it has to be said whose turn it is. */
  readonly among?: boolean
  /** How long back at the heat would mend a piece that rests and stops short, s. */
  readonly backS?: number | null
}

interface Place {
  /** Said after the piece: "Put the ribeye joint …". */
  readonly into: string
  readonly there: string
  readonly out: string
  readonly light: string
  readonly lit: string
}
const PAN: Place = {
  into: 'into the hot pan',
  there: 'It is in the pan',
  out: 'Off the heat',
  light: 'Light the ring',
  lit: 'Ring is lit'
}
const GRILL = { light: 'Light the grill', lit: 'It is lit' }
const PLACES: Record<Phase, Place> = {
  sear: PAN,
  'fat edge': PAN,
  rewarm: PAN,
  oven: { into: 'into the oven', there: 'It is in the oven', out: 'Out of the oven', light: 'Heat the oven', lit: 'Oven is on' },
  coals: { into: 'over the coals', there: 'It is on', out: 'Off the grill', ...GRILL },
  'under the lid': { into: 'away from the coals, lid on', there: 'Lid is on', out: 'Off the grill', ...GRILL },
  bath: {
    into: 'in its bag into the bath',
    there: 'It is in the bath',
    out: 'Out of the bath',
    light: 'Start the bath',
    lit: 'Bath is on'
  },
  pot: { into: 'in its bag into the pot', there: 'It is in the pot', out: 'Out of the pot', light: 'Boil the water', lit: 'Kettle is on' },
  cool: { into: 'in its bag into ice water', there: 'It is in the ice', out: 'Out of the ice', light: 'Fetch ice', lit: 'Ice is there' },
  rest: { into: 'on a board', there: 'It rests', out: 'From the board', light: 'Lay out a board', lit: 'Board is out' },
  hold: {
    into: 'under foil into the low oven',
    there: 'It is kept warm',
    out: 'Out of the low oven',
    light: `Set an oven to ${HOLDING_C} °C`,
    lit: 'Oven is on'
  },
  chill: {
    into: 'into the fridge',
    there: 'It is in the fridge',
    out: 'Out of the fridge',
    light: 'Make room in the fridge',
    lit: 'There is room'
  }
}

/** How long after it went in it has to be looked at, s; null where there is nothing to see. Common practice, no source. */
export const lookAfter = ({ method }: Pick<PlanRequest, 'method'>): number | null => (method.kind === 'in pastry' ? 600 : null)

/** What is done to what is lit first. */
export const lighting = (leads: Phase): string => PLACES[leads].light

/** What the settings hold, as far as the method has them. */
interface Set {
  readonly panC?: number
  readonly ovenC?: number
  readonly grateC?: number
  readonly lidC?: number
  readonly bathC?: number
  readonly boilingParts?: number
  readonly coldParts?: number
  readonly lid?: boolean
  readonly topUps?: readonly { readonly litres: number }[]
  readonly standing?: 'rack' | 'pan floor'
  readonly fatEdgeS?: number
  readonly heldS?: number
  readonly coldS?: number
  readonly rewarmS?: number
  readonly cover?: string
  readonly pastryMm?: number
  readonly basted?: boolean
}

const degreesIn =
  (system: UnitSystem) =>
  (celsius: number | undefined): string =>
    celsius === undefined ? '' : shownText(showTemperature(celsius, system))
const long = (seconds: number): string => shownText(showDuration(seconds))

/** As it was set, and what was said of the table since. */
function setNow({ request, progress: { later } }: Stand): Set {
  return settingsSaid(settingsOf(request) as Set, later)
}

export function callFor(action: NextAction, stand: Stand, system: UnitSystem): Call {
  const { progress, forecast, request } = stand
  const { marks } = forecast
  const set = setNow(stand)
  const piece = stand.called ? `the ${stand.called}` : pieceInWords(request)
  const here = marks[Math.min(progress.moves, marks.length - 1)]
  const next = marks.at(progress.moves + 1) ?? here
  const place = PLACES[here.phase]
  // After the pull it is what follows the rest that it is moved to, and turned in.
  const rested = progress.state === 'resting' ? forecast.afterRest.at(progress.onward.length) : undefined
  switch (action.does) {
    case 'lit': {
      const { light, lit } = progress.state === 'ready' ? PLACES[preheatsOf(request, marks).leads] : PAN
      const off = progress.state === 'resting' ? missesBy(stand, place.into, system) : null
      return { says: light, done: lit, advice: off ?? lightAdvice(stand, set, system) }
    }
    case 'laid':
      return {
        says: here.phase === 'sear' ? `Lay ${piece} in the pan` : `Put ${piece} ${place.into}`,
        done: place.there,
        advice: stayAdvice(here.phase, set, system)
      }
    case 'turned':
      return { says: `Turn ${piece}`, done: 'Turned', advice: rested ? OTHER_FACE : turnAdvice(progress.moves, marks, set) }
    case 'looked':
      return {
        says: 'Look at the pastry',
        done: 'Looked at',
        advice: 'Where it darkens already, lay foil over it. Be quick: the oven cools.'
      }
    case 'edged':
      return {
        says: `Stand ${piece} on the fat edge`,
        done: 'On its edge',
        advice: `${long(set.fatEdgeS ?? 0)}, held with tongs, until the fat is brown and gives.`
      }
    case 'moved': {
      if (rested) {
        const off = IN_THE_PAN.has(rested.phase) ? missesBy(stand, place.into, system) : stopsShort(stand, place.into, system)
        const advice = off ?? restedAdvice(rested.phase, set, system)
        return { says: `Put ${piece} ${PLACES[rested.phase].into}`, done: PLACES[rested.phase].there, advice }
      }
      if (here.phase === 'pot' && next.phase === 'pot') return topUp(progress.moves, marks, set, system)
      const to = PLACES[next.phase]
      const crust = here.phase === 'sear' && next.phase === 'oven' && crustGoesOn(request) === 'after its sear' ? CRUST_ON : ''
      return { says: `Put ${piece} ${to.into}`, done: to.there, advice: `${crust}${moveAdvice(here.phase, next.phase, set, system)}` }
    }
    case 'returned':
      return {
        says: `Put ${piece} back ${here.phase === 'sear' ? 'in' : place.into}`,
        done: here.phase === 'sear' ? 'Back in the pan' : place.there,
        advice: 'It is out of the heat and cooling; the forecast takes that in.'
      }
    case 'pulled':
      return {
        says: stand.among ? `Take ${piece} ${place.out.toLowerCase()}` : place.out,
        done: set.cover === 'ice' ? PLACES.cool.there : IN_A_BAG.has(here.phase) ? 'It is out' : place.out,
        advice: `${outAdvice(here.phase, stand, system)}${set.cover === 'ice' ? ' Then in its bag straight into ice and water.' : ''}${meltsCheese(request) ? MELTED : ''}`
      }
    case 'halved':
      return {
        says: `Carve half of ${piece}`,
        done: 'Half is carved',
        advice: `${carveAdvice(stand, place.into, set, system)} The other half stays whole, under foil.`
      }
    case 'carved':
      if (progress.halvedAt !== null)
        return { says: `Carve the rest of ${piece}`, done: 'Carved', advice: 'The second wave. Hot plates do the rest.' }
      if (servedCold(request))
        return {
          says: stand.among ? `Slice ${piece}, cold` : 'Slice it cold',
          done: 'Sliced',
          advice: (set.coldS ?? 0) > 0 ? 'Thin, across the grain.' : 'Wrapped in the fridge until then. Thin, across the grain.'
        }
      return { says: stand.among ? `Carve ${piece}` : 'Carve', done: 'Carved', advice: carveAdvice(stand, place.into, set, system) }
  }
}
const CRUST_ON = 'First its crust, spread over all but the underside. '
/** On what is hottest outside, as it comes off. */
const MELTED = ' Then the cheese on at once, and a lid over it until it has melted.'
const IN_A_BAG: ReadonlySet<Phase> = new Set<Phase>(['bath', 'pot'])

/** How hot, by when, and what else has to be begun now. */
function lightAdvice({ progress, forecast: { marks }, request }: Stand, set: Set, system: UnitSystem): string {
  const preheats = preheatsOf(request, marks)
  const { leads } = preheats
  if (progress.state !== 'ready' || leads === 'sear')
    return `Medium-high, ${heatOf('sear', set, system)} in about ${long(preheats.pan)}. Dry pan.`
  const hot = `${capital(heatOf(leads, set, system))}`
  if (ringFollows(preheats, marks)) return `${hot}. The ring comes in ${long(preheats.first - preheats.pan)}.`
  const slow = [...new Set(marks.map(m => m.phase))].filter(p => p !== leads && !NOT_LIT.has(p) && PLACES[p].light !== PLACES[leads].light)
  const also = slow.map(p => ` ${PLACES[p].light} as well: ${heatOf(p, set, system)}.`)
  return `${hot}, ready in about ${long(preheats.first)}.${also.join('')}`
}
/** Lit when their turn comes, or not at all. */
const NOT_LIT: ReadonlySet<Phase> = new Set<Phase>(['sear', 'fat edge', 'rewarm', 'cool', 'rest', 'hold', 'chill'])

/** A bag stays shut: there it goes by the clock. */
function outAdvice(from: Phase, stand: Stand, system: UnitSystem): string {
  const { overshoot, peak, pull } = stand.forecast
  const degrees = degreesIn(system)
  if (overshoot) return `It will peak at ${degrees(peak.core)} whatever you do. Take it off now.`
  return IN_A_BAG.has(from)
    ? `By the clock, the bag stays shut: inside it is at ${degrees(pull.core)} then.`
    : `When the probe reads ${degrees(shown(stand, pull.probe))}, from the side, in the middle.`
}

/** No scale calls less than this done, °C; common practice, no source. */
const STILL_RAW_C = 44
/** A peak that misses the target by more than this is worth saying, K. */
const WORTH_SAYING = 2

const shown = ({ shows }: Pick<Stand, 'shows'>, celsius: number): number => shows?.(celsius) ?? celsius

/** Of a piece that stops short of what was wanted; null where it does not. */
function stopsShort({ forecast: { peak }, request, backS }: Stand, into: string, system: UnitSystem): string | null {
  if (request.target.coreC - peak.core <= WORTH_SAYING) return null
  const reached = shownText(showTemperature(peak.core, system))
  const otherwise = peak.core < STILL_RAW_C ? '; as it is it is raw inside.' : ', or serve it rarer.'
  return `Pulled early: it will only reach ${reached}. Put it back ${into} for ${backS ? `about ${long(backS)}` : 'a little'}${otherwise}`
}

/** The same of one that is to go in the pan again, and of one that goes past what was wanted as it is. */
function missesBy(stand: Stand, into: string, system: UnitSystem): string | null {
  const { peak } = stand.forecast
  return peak.core - stand.request.target.coreC > WORTH_SAYING
    ? `It will reach ${shownText(showTemperature(peak.core, system))}: cut it sooner, and leave the pan.`
    : stopsShort(stand, into, system)
}

function carveAdvice(stand: Stand, into: string, { heldS = 0, rewarmS = 0, cover }: Set, system: UnitSystem): string {
  const { peak } = stand.forecast
  if (rewarmS > 0) return 'Hot from the pan, at once. Across the grain.'
  const short = stopsShort(stand, into, system)
  if (short !== null) return short
  if (heldS > 0) return 'Kept warm until the table is ready. Across the grain when you cut.'
  if (peak.core - stand.request.target.coreC > WORTH_SAYING)
    return `It will reach ${shownText(showTemperature(peak.core, system))}: carve sooner to keep some of the pink.`
  return cover === 'loose foil' ? 'Foil laid over, not tucked in.' : 'Leave it alone. Across the grain when you cut.'
}

function heatOf(stage: Phase, set: Set, system: UnitSystem): string {
  const degrees = degreesIn(system)
  switch (stage) {
    case 'oven':
      return `${degrees(set.ovenC)} in the oven`
    case 'coals':
      return `${degrees(set.grateC)} at the bars`
    case 'under the lid':
      return `${degrees(set.lidC)} under the lid`
    case 'bath':
      return `${degrees(set.bathC)} in the bath`
    case 'pot':
      return `${set.boilingParts ?? 0} parts boiling water to ${set.coldParts ?? 0} cold`
    default:
      return `${degrees(set.panC)} in the pan`
  }
}

function stayAdvice(stage: Phase, set: Set, system: UnitSystem): string {
  const hot = heatOf(stage, set, system)
  switch (stage) {
    case 'oven':
      if (set.pastryMm !== undefined) return `On a hot tray, ${hot}.`
      return `${set.standing === 'pan floor' ? 'In its pan' : 'On a rack'}, ${hot}. Leave the probe in, its tip in the middle.`
    case 'bath':
      return `No air in the bag, all of it under water, ${hot}.`
    case 'pot':
      return `Off the heat. ${capital(hot)}${set.lid === false ? '' : ', lid on'}. Never a sealed bag in boiling water.`
    case 'coals':
      return `${capital(hot)}. If fat flares, move it aside until it is over.`
    case 'under the lid':
      return `${capital(hot)}; the probe’s lead past the rim.`
    default:
      return 'Lay it away from you. A loud hiss says the pan is hot.'
  }
}

function moveAdvice(from: Phase, to: Phase, set: Set, system: UnitSystem): string {
  const wet = IN_A_BAG.has(from) || from === 'cool'
  if (to === 'sear' && wet) return 'Out of the bag and dried, all round: wet it boils before it browns.'
  const pepper = from === 'coals' && to === 'under the lid' ? ' Pepper it now, if you do: over the coals it would have burnt.' : ''
  return `${stayAdvice(to, set, system)}${pepper}`
}

const OTHER_FACE = 'The other face as long, then carve at once.'
/** Where it goes after the rest. */
function restedAdvice(to: Phase, set: Set, system: UnitSystem): string {
  if (to === 'chill')
    return `${set.cover === 'ice' ? 'In ice and water until then. Its bag dried' : 'Wrapped'}, on a shelf of its own, nothing on top. It is sliced cold.`
  if (to === 'hold') return `An oven at ${degreesIn(system)(HOLDING_C)}, until the table is ready.`
  return `${long(set.rewarmS ?? 0)} a face, dried first. To warm and crisp it, not to cook it on.`
}

/** Turned no oftener than that, a piece lies long enough for the bars to draw on it. */
const TURNS_WITH_MARKS = 3

function turnAdvice(moves: number, marks: readonly Mark[], { basted }: Set): string {
  const { stage, phase } = marks[Math.min(moves, marks.length - 1)]
  const before = marks.slice(0, moves + 1).filter(m => m.stage === stage).length
  const turns = marks.filter(m => m.stage === stage).length - 1
  const butter = basted === true && phase === 'sear' ? ' Then butter over it with the spoon, as it foams.' : ''
  const drawn = phase === 'coals' && turns <= TURNS_WITH_MARKS ? ' For crossed marks, a quarter turn half-way through each side.' : ''
  return `Turn ${before} of ${turns}. If it sticks it is not ready.${butter}${drawn}`
}

function topUp(moves: number, marks: readonly Mark[], set: Set, system: UnitSystem): Call {
  const poured = marks.slice(0, moves + 1).filter(m => m.phase === 'pot').length - 1
  return {
    says: `Top up the pot with ${shownText(showVolume(1000 * (set.topUps?.[poured]?.litres ?? 0), system))}`,
    done: 'Poured in',
    advice: 'Boiling, from the kettle, beside the bag and not on it. Lid on again.'
  }
}

function pieceInWords({ piece }: Pick<PlanRequest, 'piece'>): string {
  const cut = cutById(piece.cutId)
  return piece.count > 1 ? `the ${piece.count} pieces` : `the ${cut ? pieceName(piece, cut).toLowerCase() : 'piece'}`
}

/** When the pull may come, s from now: the plan's own range, moved by what the forecast has moved. */
export function pullRangeFromNow(
  forecast: Pick<Plan, 'pull'>,
  plannedPullS: number,
  range: Percentiles | null,
  elapsed: number
): readonly [low: number, high: number] {
  const moved = forecast.pull.time - plannedPullS
  const [low, , high] = range ?? [plannedPullS, plannedPullS, plannedPullS]
  return [Math.max(0, low + moved - elapsed), Math.max(0, high + moved - elapsed)]
}

/** Narrower once the probe has spoken, s from now. @param sooner, later factors of the free time */
export function probedRangeFromNow(
  { pull, free }: Pick<Plan, 'pull' | 'free'>,
  { sooner, later }: { readonly sooner: number; readonly later: number },
  elapsed: number
): readonly [low: number, high: number] {
  const at = (factor: number): number => Math.max(0, pull.time + free * (factor - 1) - elapsed)
  return [at(sooner), at(later)]
}

/** What follows the next action. @param pullIn when it may come out, s from now; @param elapsed s since it was laid in */
export function callsAfter(
  action: NextAction,
  { progress, forecast, request, shows }: Stand,
  pullIn: readonly [number, number],
  elapsed: number,
  system: UnitSystem
): { readonly what: string; readonly when: string }[] {
  const { marks, pull, carve, afterRest } = forecast
  if (progress.state === 'resting') {
    const to = progress.onward.length + (action.does === 'lit' ? 0 : 1)
    const onward = afterRest.filter((m, i) => i >= to && (i === 0 || m.phase !== afterRest[i - 1].phase))
    const next = afterRest.at(progress.onward.length)
    // What lies in the pan later than was planned is turned and cut as much later.
    const slip = action.does === 'lit' || !next || action.due === null ? 0 : (action.due - (progress.laidAt ?? 0)) / 1000 - next.from
    const inAWhile = (time: number): string => `in ${long(Math.max(0, time + slip - elapsed))}`
    const carved = { what: servedCold(request) ? 'sliced' : 'carved', when: inAWhile(carve.time) }
    return action.does === 'carved' || action.does === 'halved'
      ? []
      : [...onward.map(m => ({ what: PLACES[m.phase].into, when: inAWhile(m.from) })), carved]
  }
  const rest = { what: servedCold(request) ? 'wrapped, in the fridge' : 'rest', when: long(Math.max(0, carve.time - pull.time)) }
  if (action.does === 'pulled') return [rest]
  // What the action itself does is on the screen already.
  const reached = progress.moves + (action.does === 'lit' || action.does === 'looked' ? 0 : 1)
  const move = marks.find((m, i) => i > reached && m.phase !== marks[i - 1].phase)
  const off = {
    what: `${PLACES[(marks.at(-1) ?? { phase: 'sear' as const }).phase].out.toLowerCase()} at ${shownText(showTemperature(shown({ shows }, pull.probe), system))}`,
    when: `in ${shownText(showDurationRange(...pullIn))}`
  }
  const onward = move
    ? [
        {
          what: move.phase === 'fat edge' ? 'on its fat edge' : PLACES[move.phase].into,
          when: `in ${long(Math.max(0, move.from - elapsed))}`
        }
      ]
    : []
  const look = progress.looked || action.does === 'looked' ? null : lookAfter(request)
  const seen = look === null || look <= elapsed ? [] : [{ what: 'look at the pastry', when: `in ${long(look - elapsed)}` }]
  return [...seen, ...onward, off, rest]
}
