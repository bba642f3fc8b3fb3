/** What is called out at the stove by any method: where the piece goes, and what is to be seen to there. */
import type { Phase as Stage } from '#core/method/method'
import type { UnderWay } from '#core/estimate/underWay'
import type { PlanRequest } from '#core/request/request'
import { capital, showDuration, showDurationRange, showTemperature, shownText } from '#core/quantity/format'
import type { UnitSystem } from '#core/quantity/units'
import { pieceInWords, pullAdvice, restAdvice, type Call } from './call'
import type { NextAction } from './nextAction'
import type { Progress } from './progress'
import { ringFollows, type Heats, type Preheats } from './way'

interface Told {
  readonly action: NextAction
  readonly progress: Progress
  readonly forecast: UnderWay
  readonly request: PlanRequest
  readonly heats: Heats
  readonly preheats: Preheats
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
  out: 'Out of the pan',
  light: 'Light the ring',
  lit: 'Ring is lit'
}
const GRILL = { light: 'Light the grill', lit: 'It is lit' }
const PLACES: Record<Stage, Place> = {
  sear: PAN,
  'fat edge': PAN,
  rewarm: PAN,
  oven: { into: 'into the oven', there: 'It is in the oven', out: 'Out of the oven', light: 'Heat the oven', lit: 'Oven is on' },
  coals: { into: 'over the coals', there: 'It is on', out: 'Off the grill', ...GRILL },
  'under the lid': { into: 'beside the coals, lid on', there: 'Lid is on', out: 'Off the grill', ...GRILL },
  bath: {
    into: 'in its bag into the bath',
    there: 'It is in the bath',
    out: 'Out of the bath',
    light: 'Start the bath',
    lit: 'Bath is on'
  },
  pot: { into: 'in its bag into the pot', there: 'It is in the pot', out: 'Out of the pot', light: 'Boil the water', lit: 'Kettle is on' },
  cool: { into: 'in its bag into ice water', there: 'It is in the ice', out: 'Out of the ice', light: 'Fetch ice', lit: 'Ice is there' },
  rest: { into: 'on a board', there: 'It rests', out: 'From the board', light: 'Lay out a board', lit: 'Board is out' }
}

export function callForWay(told: Told, system: UnitSystem): Call {
  const { action, progress, forecast, request, heats } = told
  const piece = pieceInWords(request)
  const { marks } = forecast
  const here = marks[Math.min(progress.stage, marks.length - 1)]
  const next = marks.at(progress.stage + 1)
  const place = PLACES[here.phase]
  switch (action.does) {
    case 'lit': {
      const { light, lit } = progress.phase === 'ready' ? PLACES[told.preheats.leads] : PAN
      return { says: light, done: lit, advice: lightAdvice(told, system) }
    }
    case 'laid':
      return { says: `Put ${piece} ${place.into}`, done: place.there, advice: stayAdvice(here.phase, heats, system) }
    case 'turned':
      return { says: `Turn ${piece}`, done: 'Turned', advice: turnAdvice(told) }
    case 'edged':
      return {
        says: `Stand ${piece} on the fat edge`,
        done: 'On its edge',
        advice: `${shownText(showDuration(heats.fatEdgeS ?? 0))}, held with tongs, until the fat is brown and gives.`
      }
    case 'moved': {
      const to = PLACES[(next ?? here).phase]
      if (here.phase === 'pot' && next?.phase === 'pot') return topUp(progress, told)
      return { says: `Put ${piece} ${to.into}`, done: to.there, advice: moveAdvice(here.phase, (next ?? here).phase, heats, system) }
    }
    case 'returned':
      return {
        says: `Put ${piece} back ${place.into}`,
        done: place.there,
        advice: 'It is out of the heat and cooling; the forecast takes that in.'
      }
    case 'pulled':
      return { says: place.out, done: 'It is out', advice: outAdvice(here.phase, forecast, system) }
    case 'carved':
      return {
        says: 'Carve',
        done: 'Carved',
        advice: restAdvice(forecast, { targetC: request.targetC, rewarmS: heats.rewarmS ?? 0, cover: heats.cover ?? 'bare' }, system)
      }
  }
}

/** How hot, by when, and what else has to be begun now. */
function lightAdvice({ progress, forecast: { marks }, heats, preheats }: Told, system: UnitSystem): string {
  const long = (seconds: number): string => shownText(showDuration(seconds))
  if (progress.phase !== 'ready') return `${capital(heatOf('sear', heats, system))} takes about ${long(preheats.pan)}. Dry pan.`
  const { leads } = preheats
  const hot = `${capital(heatOf(leads, heats, system))}`
  if (ringFollows(preheats, marks)) return `${hot}. The ring comes in ${long(preheats.first - preheats.pan)}.`
  const slow = [...new Set(marks.map(m => m.phase))].filter(p => p !== leads && !NOT_LIT.has(p) && PLACES[p].light !== PLACES[leads].light)
  const also = slow.map(p => ` ${PLACES[p].light} as well: ${heatOf(p, heats, system)}.`)
  return `${hot}, ready in about ${long(preheats.first)}.${also.join('')}`
}
/** Lit when their turn comes, or not at all. */
const NOT_LIT: ReadonlySet<Stage> = new Set<Stage>(['sear', 'fat edge', 'rewarm', 'cool', 'rest'])

/** A bag stays shut: there it goes by the clock. */
const outAdvice = (from: Stage, forecast: UnderWay, system: UnitSystem): string =>
  (from === 'bath' || from === 'pot') && !forecast.overshoot
    ? `By the clock, the bag stays shut: inside it is at ${shownText(showTemperature(forecast.pull.core, system))} then.`
    : pullAdvice(forecast, system)

function heatOf(stage: Stage, heats: Heats, system: UnitSystem): string {
  const degrees = (celsius: number | undefined): string => (celsius === undefined ? '' : shownText(showTemperature(celsius, system)))
  switch (stage) {
    case 'oven':
      return `${degrees(heats.ovenC)} in the oven`
    case 'coals':
      return `${degrees(heats.grateC)} at the bars`
    case 'under the lid':
      return `${degrees(heats.lidC)} under the lid`
    case 'bath':
      return `${degrees(heats.bathC)} in the bath`
    case 'pot':
      return `${heats.boilingParts ?? 0} parts boiling water to ${heats.coldParts ?? 0} cold`
    default:
      return `${degrees(heats.panC)} in the pan`
  }
}

function stayAdvice(stage: Stage, heats: Heats, system: UnitSystem): string {
  switch (stage) {
    case 'oven':
      return `${heats.standing === 'pan floor' ? 'In its pan' : 'On a rack'}, ${heatOf(stage, heats, system)}. Leave the probe in, its tip in the middle.`
    case 'bath':
      return `No air in the bag, all of it under water, ${heatOf(stage, heats, system)}.`
    case 'pot':
      return `Off the heat. ${capital(heatOf(stage, heats, system))}${heats.lid === false ? '' : ', lid on'}. Never a sealed bag in boiling water.`
    case 'coals':
      return `${capital(heatOf(stage, heats, system))}. If fat flares, move it aside until it is over.`
    case 'under the lid':
      return `${capital(heatOf(stage, heats, system))}; the probe’s lead past the rim.`
    default:
      return 'Lay it away from you. A loud hiss says the pan is hot.'
  }
}

function moveAdvice(from: Stage, to: Stage, heats: Heats, system: UnitSystem): string {
  const wet = from === 'bath' || from === 'pot' || from === 'cool'
  return to === 'sear' && wet ? 'Out of the bag and dried, all round: wet it boils before it browns.' : stayAdvice(to, heats, system)
}

function turnAdvice({ progress, forecast: { marks } }: Told): string {
  const here = marks[Math.min(progress.stage, marks.length - 1)].phase
  const before = marks.slice(0, progress.stage + 1).filter(m => m.phase === here).length
  const turns = marks.filter(m => m.phase === here).length - 1
  return `Turn ${before} of ${turns}. If it sticks it is not ready.`
}

function topUp(progress: Progress, { forecast: { marks }, heats }: Told): Call {
  const poured = marks.slice(0, progress.stage + 1).filter(m => m.phase === 'pot').length - 1
  const litres = heats.topUps?.[poured]?.litres ?? 0
  return {
    says: `Top up the pot with ${litres} L`,
    done: 'Poured in',
    advice: 'Boiling, from the kettle, beside the bag and not on it. Lid on again.'
  }
}

/** What follows the next action while the piece is on the heat. */
export function callsAfterWay(
  action: NextAction,
  progress: Progress,
  forecast: UnderWay,
  pullIn: readonly [number, number],
  elapsed: number,
  system: UnitSystem
): { readonly what: string; readonly when: string }[] {
  const clock = (seconds: number): string => shownText(showDuration(Math.max(0, seconds)))
  const rest = { what: 'rest', when: clock(forecast.carve.time - forecast.pull.time) }
  if (action.does === 'pulled') return [rest]
  // What the action itself does is on the screen already.
  const reached = progress.stage + (action.does === 'lit' ? 0 : 1)
  const move = forecast.marks.find((m, i) => i > reached && m.phase !== forecast.marks[i - 1].phase)
  const off = {
    what: `out at ${shownText(showTemperature(forecast.pull.core, system))}`,
    when: `in ${shownText(showDurationRange(...pullIn))}`
  }
  return [...(move ? [{ what: PLACES[move.phase].into, when: `in ${clock(move.from - elapsed)}` }] : []), off, rest]
}
