/**
 * The five or six figures a cook calls out, each with its reason, and the remarks
 * that belong to the plan.
 */
import { bandEnd, bandOf, scaleOf } from '#core/doneness/scale'
import { preheatSeconds } from '#core/kit/pan'
import { setupOf, coverage, type PlanRequest } from '#core/request/request'
import {
  showDuration,
  showDurationRange,
  showLength,
  shownText,
  showTemperature,
  showTemperatureRise,
  type Shown
} from '#core/quantity/format'
import type { UnitSystem } from '#core/quantity/units'
import type { PanPlan } from './panPlan'
import { UNKNOWN } from '#core/estimate/belief'
import type { Spread } from './spread'

export type LineId = 'pan' | 'turn' | 'pull' | 'after' | 'rest' | 'eat'

export interface CallLine {
  readonly id: LineId
  readonly label: string
  readonly shown: Shown
  readonly why: string
}

/** @param spread null while it is still being worked out */
export function callSheet(request: PlanRequest, plan: PanPlan, spread: Spread | null, system: UnitSystem): CallLine[] {
  const degrees = (c: number): string => shownText(showTemperature(c, system))
  const rise = plan.peak.core - plan.pull.core
  return [
    { id: 'pan', label: 'Pan', shown: showTemperature(request.panC, system), why: whyPan(request, plan, system) },
    { id: 'turn', label: 'Turn', shown: turnShown(plan), why: whyTurn(request, plan, system) },
    {
      id: 'pull',
      label: 'Off the heat at',
      shown: showTemperature(plan.pull.core, system),
      why: `It climbs ${shownText(showTemperatureRise(rise, system))} by itself: the outer layers stand at up to ${degrees(hottestAt(plan, plan.pull.time))} and go on heating the middle for ${shownText(showDuration(plan.peak.time - plan.pull.time))}.`
    },
    {
      id: 'after',
      label: 'which is after',
      shown: spread ? showDurationRange(spread.pull[0], spread.pull[2]) : showDuration(plan.pull.time),
      why: spread
        ? `${shownText(showDuration(plan.pull.time))} if everything is as said. ±${shownText(showLength(UNKNOWN.thicknessMm, system))} of thickness is most of the range; 8 cooks in 10 end inside it. Probe at ${shownText(showDuration(0.92 * spread.pull[0]))}.`
        : 'Working out how sure that is…'
    },
    {
      id: 'rest',
      label: `Rest, ${request.cover}`,
      shown: showDuration(plan.carve.time - plan.pull.time),
      why: whyRest(request, plan, system)
    },
    { id: 'eat', label: 'Peak in the rest', shown: showTemperature(plan.peak.core, system), why: whyEat(request, plan, spread, system) }
  ]
}

const turnShown = (plan: PanPlan): Shown => {
  if (plan.turns.length === 1) return { figure: 'once', unit: `at ${clockText(plan.turns[0])}` }
  const every = showDuration(plan.turnEvery)
  return { figure: `every ${every.figure}`, unit: every.unit }
}

const clockText = (seconds: number): string => `${Math.floor(seconds / 60)}:${String(Math.round(seconds) % 60).padStart(2, '0')}`

function whyPan(request: PlanRequest, plan: PanPlan, system: UnitSystem): string {
  const { settings, room } = setupOf(request)
  const heat = preheatSeconds(settings.pan, settings.ring, request.panC, room.temperatureC)
  const sag = request.panC - plan.coldestPan
  const ready =
    heat === null ? 'This ring only just gets there' : `About ${shownText(showDuration(heat))} of heating over a medium-high ring`
  return `${ready}. With the meat in it the pan falls ${shownText(showTemperatureRise(sag, system))} and recovers. A hotter pan gives more crust and hardly a faster centre.`
}

function whyTurn(request: PlanRequest, plan: PanPlan, system: UnitSystem): string {
  const [first, second] = plan.section.greyMm
  const grey = shownText(showLength((first + second) / 2, system))
  return request.turning === 'once' || request.turning === 'twice a side'
    ? `Few turns leave a grey edge of about ${grey}; turned every minute it would be thinner and the centre there sooner.`
    : `${plan.turns.length} turns: neither face gets long enough to cool, so the centre arrives sooner and the grey edge stays near ${grey}.`
}

function whyRest(request: PlanRequest, plan: PanPlan, system: UnitSystem): string {
  const toPeak = plan.peak.time - plan.pull.time
  const rest = plan.carve.time - plan.pull.time
  const atCarving = shownText(showTemperature(plan.carve.core, system))
  const foil = request.cover === 'loose foil' ? ' Foil loose, never tucked in: trapped steam softens the crust.' : ''
  if (rest < toPeak - 30)
    return `Shorter than the ${shownText(showDuration(toPeak))} to its peak: carved at ${atCarving}, the middle is still on its way up.${foil}`
  if (rest > toPeak + 120) return `It peaks after ${shownText(showDuration(toPeak))} and has cooled to ${atCarving} when you carve.${foil}`
  return `The centre peaks after ${shownText(showDuration(toPeak))}; carve then.${foil}`
}

function whyEat(request: PlanRequest, plan: PanPlan, spread: Spread | null, system: UnitSystem): string {
  const scale = scaleOf(request)
  const band = bandOf(scale, plan.peak.core)
  const late = secondsLate(request, plan)
  const lateness = late === null ? '' : ` You may be ${shownText(showDuration(late))} late before it leaves that band.`
  const clock = spread
    ? ` By the clock alone it would end between ${showTemperature(spread.peakByClock[0], system).figure} and ${shownText(showTemperature(spread.peakByClock[2], system))}: trust the probe.`
    : ''
  return `${band.word[0].toUpperCase()}${band.word.slice(1)} in the ${scale.name.toLowerCase()}.${lateness}${clock}`
}

/** How many seconds late the pull may be before the peak leaves its doneness band; null for well done. */
export function secondsLate(request: PlanRequest, plan: PanPlan): number | null {
  const scale = scaleOf(request)
  const end = bandEnd(scale, bandOf(scale, plan.peak.core))
  return end === Infinity || plan.peakRate <= 0 ? null : Math.max(0, (end - plan.peak.core) / plan.peakRate)
}

/** Hottest part of the piece at a moment, crust and all. */
function hottestAt(plan: PanPlan, time: number): number {
  const field = plan.fields.reduce((found, f) => (Math.abs(f.time - time) < Math.abs(found.time - time) ? f : found), plan.fields[0])
  return Math.max(...field.temperature)
}

/** What a cook should hear about this plan before trusting it, worst first. */
export function remarks(request: PlanRequest, plan: PanPlan, system: UnitSystem): string[] {
  const said: string[] = []
  const { thicknessMm, count } = request.piece
  const covered = coverage(request)
  if (plan.coldestPan < BROWNING_STOPS) {
    said.push(
      `The pan falls to ${shownText(showTemperature(plan.coldestPan, system))}, too cool to brown: fewer pieces, a heavier pan or a stronger ring.`
    )
  } else if (covered > CROWDED) {
    said.push(
      `${count === 1 ? 'The piece covers' : 'The pieces cover'} ${Math.round(covered * 100)} % of the pan: crowded meat steams. Two batches would brown better.`
    )
  }
  if (thicknessMm > THICK_FOR_A_PAN) {
    const grey = (plan.section.greyMm[0] + plan.section.greyMm[1]) / 2
    said.push(
      `Past about ${shownText(showLength(THICK_FOR_A_PAN, system))} a pan alone overdoes the outside: here ${shownText(showLength(grey, system))} of grey on each side. Gentler heat would finish it better.`
    )
  }
  if (Math.min(...plan.section.crustMm) < LEAST_CRUST) {
    said.push(
      'So little time in the pan that the crust is barely there: a hotter pan, a drier surface, or meat straight from the fridge gives it longer.'
    )
  }
  return said
}

/** °C, mm: common practice, no source. */
const BROWNING_STOPS = 145
const CROWDED = 0.7
const THICK_FOR_A_PAN = 50
const LEAST_CRUST = 0.3
