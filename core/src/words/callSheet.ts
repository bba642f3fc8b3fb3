/**
 * The figures a cook calls out, each with its reason: how hot, how long and how turned, off at what,
 * after how long, rested, and where it peaks. The same for every method.
 */
import { bandOf, scaleOf } from '#core/doneness/scale'
import { UNKNOWN } from '#core/estimate/prior'
import type { Spread } from '#core/estimate/spread'
import { valueAt } from '#core/heat/history'
import { HOLDING_C } from '#core/kit/air'
import { preheatSeconds } from '#core/kit/pan'
import type { Phase, Resting } from '#core/method/method'
import { coldestMetal, metalIn, type PhaseSpan, type Plan } from '#core/plan/plan'
import { greyOf } from '#core/plan/thickness'
import {
  capital,
  showDuration,
  showDurationRange,
  showLength,
  showTemperature,
  showTemperatureRise,
  shownText,
  type Shown
} from '#core/quantity/format'
import type { UnitSystem } from '#core/quantity/units'
import type { PlanRequest } from '#core/request/request'
import { hotMetal, meltsCheese, servedCold, settingsOf } from '#core/request/setup'
import { phaseName, turnedText } from './phases'

export interface CallLine {
  readonly id: string
  readonly label: string
  readonly shown: Shown
  readonly why: string
}

/**
 * @param lateS how late it may come off, s; null where no lateness spoils it
 * @param spread null while it is still being worked out
 * @param shows what the cook's own thermometer shows where this is
 */
export function callSheet(
  request: PlanRequest,
  plan: Plan,
  lateS: number | null,
  spread: Spread | null,
  system: UnitSystem,
  shows: (celsius: number) => number = c => c
): CallLine[] {
  const asked: Asked = { request, plan, system, shows }
  const [first, ...others] = plan.phases.filter(
    p => p.phase !== 'rest' && p.phase !== 'hold' && p.phase !== 'chill' && p.phase !== 'rewarm' && p.from < plan.pull.time
  )
  const heating = others.every(p => p.phase === 'fat edge')
    ? [...heatLines(asked, first), ...others.map((p, i) => phaseLine(asked, p, i + 1))]
    : [first, ...others].map((p, i) => phaseLine(asked, p, i))
  return [
    ...heating,
    { id: 'pull', label: `${offWord(plan)} at`, shown: showTemperature(asked.shows(plan.pull.probe), system), why: whyPull(asked) },
    { id: 'after', label: 'That takes', shown: afterShown(plan, spread), why: whyAfter(asked, lateS, spread) },
    ...restLines(asked),
    { id: 'eat', label: 'Centre at its hottest', shown: showTemperature(plan.peak.core, system), why: whyEat(asked, lateS) }
  ]
}

interface Asked {
  readonly request: PlanRequest
  readonly plan: Plan
  readonly system: UnitSystem
  readonly shows: (celsius: number) => number
}
const degrees = (celsius: number, { system }: Asked): string => shownText(showTemperature(celsius, system))
const kelvin = (k: number, { system }: Asked, digits = 0): string => shownText(showTemperatureRise(k, system, digits))
const long = (seconds: number): string => shownText(showDuration(seconds))

/** How hot its place is held: °C by the phase; none where that is not one figure. */
interface Heats {
  readonly panC?: number
  readonly ovenC?: number
  readonly grateC?: number
  readonly lidC?: number
  readonly bathC?: number
}
const HEAT_OF: Partial<Record<Phase, { readonly key: keyof Heats; readonly label: string }>> = {
  sear: { key: 'panC', label: 'Pan' },
  'fat edge': { key: 'panC', label: 'Pan' },
  oven: { key: 'ovenC', label: 'Oven' },
  coals: { key: 'grateC', label: 'At the bars' },
  'under the lid': { key: 'lidC', label: 'Under the lid' },
  bath: { key: 'bathC', label: 'Bath' }
}
function heatOf(phase: Phase, { request }: Asked): { readonly label: string; readonly celsius: number } | null {
  const heat = HEAT_OF[phase]
  const celsius = heat && (settingsOf(request) as Heats)[heat.key]
  return heat && celsius !== undefined ? { label: heat.label, celsius } : null
}

/** All of it in one place: how hot, and how it is turned there; how long is the pull's own line. */
function heatLines(asked: Asked, span: PhaseSpan): CallLine[] {
  const { plan, system } = asked
  const heat = heatOf(span.phase, asked)
  const turned = turnedText(span)
  if (!heat) return [phaseLine(asked, span, 0)]
  const [, turn] = plan.marks
  return [
    {
      id: 'heat',
      label: heat.label,
      shown: showTemperature(heat.celsius, system),
      why: span.phase === 'sear' ? whyPan(asked) : whyPhase(asked, span)
    },
    ...(turned === null
      ? []
      : [
          {
            id: 'turn',
            label: 'Turn',
            shown: span.spells === 2 ? { figure: 'once', unit: `at ${clockText(turn.from)}` } : everyShown(span),
            why: whyTurn(asked, span)
          }
        ])
  ]
}
const everyShown = ({ from, to, spells }: PhaseSpan): Shown => {
  const every = showDuration((to - from) / spells)
  return { figure: `every ${every.figure}`, unit: every.unit }
}
const clockText = (seconds: number): string =>
  `${Math.floor(Math.round(seconds) / 60)}:${String(Math.round(seconds) % 60).padStart(2, '0')}`

function phaseLine(asked: Asked, span: PhaseSpan, index: number): CallLine {
  const heat = heatOf(span.phase, asked)
  const name = capital(phaseName(span))
  const label = heat && span.phase !== 'fat edge' ? name.replace(/(, turned .*)?$/, ` at ${degrees(heat.celsius, asked)}$1`) : name
  return { id: `phase-${index}`, label, shown: showDuration(span.to - span.from), why: whyPhase(asked, span) }
}

const ON_THE_FIRE: ReadonlySet<Phase> = new Set<Phase>(['sear', 'fat edge', 'coals'])
function offWord({ phases, pull }: Plan): string {
  const last = phases.filter(p => p.from < pull.time).at(-1)
  return last && ON_THE_FIRE.has(last.phase) ? 'Off the heat' : 'Out'
}

function whyPan(asked: Asked): string {
  const { request, plan } = asked
  const metal = hotMetal(request)
  const coldest = coldestMetal(plan)
  if (!metal || coldest === null) return 'A hotter pan gives more crust and hardly a faster centre.'
  const heat = preheatSeconds(metal.pan, metal.ring, metal.panC, request.room.temperatureC)
  const ready = heat === null ? 'This ring only just gets there' : `About ${long(heat)} of heating over a medium-high ring`
  return `${ready}. With the meat in it the pan falls ${kelvin(metal.panC - coldest, asked)} and recovers. A hotter pan gives more crust and hardly a faster centre.`
}

function whyTurn({ plan, system }: Asked, { spells }: PhaseSpan): string {
  const grey = shownText(showLength(greyOf(plan), system))
  return spells <= FEW_SPELLS
    ? `Few turns leave a grey edge of about ${grey}; turned every minute it would be thinner and the centre there sooner.`
    : `${spells - 1} turns: neither face gets long enough to cool, so the centre arrives sooner and the grey edge stays near ${grey}.`
}
const FEW_SPELLS = 4

function whyPull(asked: Asked): string {
  const { plan } = asked
  const rise = plan.peak.core - plan.pull.probe
  const off = plan.pull.probe - plan.pull.core
  // Read near the middle and not in it, a steep piece shows more than its coldest point.
  const steep = off > STEEP_K ? ` A probe shows that just off the middle; the coldest point is at ${degrees(plan.pull.core, asked)}.` : ''
  return (
    (rise > 0.4
      ? `It climbs ${kelvin(rise, asked)} by itself: the outer layers stand at up to ${degrees(hottestAt(plan, plan.pull.time), asked)} and go on heating the middle for ${long(plan.peak.time - plan.pull.time)}.`
      : 'It hardly climbs afterwards: what is outside is no hotter than what is wanted inside.') + steep
  )
}

const STEEP_K = 0.7

const afterShown = ({ pull }: Plan, spread: Spread | null): Shown =>
  spread ? showDurationRange(spread.pull[0], spread.pull[2]) : showDuration(pull.time)

function whyAfter(asked: Asked, lateS: number | null, spread: Spread | null): string {
  const { plan, system } = asked
  if (!spread) return 'Working out how sure that is…'
  const thickness = shownText(showLength(UNKNOWN.thicknessMm, system))
  const clock = `By the clock alone it would peak between ${showTemperature(spread.peakByClock[0], system).figure} and ${degrees(spread.peakByClock[2], asked)}: trust the probe.`
  return `${long(plan.pull.time)} if everything is as said. ±${thickness} of thickness is most of the range; 8 cooks in 10 end inside it. Probe at ${long(0.92 * spread.pull[0])}. ${clock}${lateS === null ? ' Being late does not spoil it.' : ''}`
}

function restLines(asked: Asked): CallLine[] {
  const { request, plan } = asked
  const { cover } = settingsOf(request) as Resting
  const cheese = meltsCheese(request)
  const secondsIn = (phase: Phase): number => plan.phases.filter(p => p.phase === phase).reduce((sum, p) => sum + p.to - p.from, 0)
  const rewarm = plan.phases.find(p => p.phase === 'rewarm')
  const [heldS, coldS, rewarmS] = [secondsIn('hold'), secondsIn('chill'), secondsIn('rewarm')]
  const melted = cheese ? ' The cheese goes on as it comes off, a lid over it until it has melted.' : ''
  const rest = {
    id: 'rest',
    label:
      cover === 'fridge'
        ? 'In the fridge, wrapped'
        : cover === 'ice'
          ? 'In ice and water'
          : `${cheese ? 'Cheese on; rest' : 'Rest'}, ${cover}`,
    shown: showDuration(Math.max(0, plan.carve.time - plan.pull.time - heldS - coldS - rewarmS)),
    why:
      heldS > 0
        ? 'Until it is at its hottest; then it is kept warm.'
        : coldS > 0
          ? 'Then wrapped, and into the fridge.'
          : whyRest(asked, cover, rewarmS) + melted
  }
  const held = { id: 'hold', label: 'Kept warm', shown: showDuration(heldS), why: whyHeld(asked) }
  return [
    rest,
    ...(heldS > 0 ? [held] : []),
    ...(coldS > 0 ? [{ id: 'chill', label: 'Then in the fridge', shown: showDuration(coldS), why: slicedCold(asked) }] : []),
    ...(rewarm ? [{ id: 'rewarm', label: 'Back in the hot pan', shown: showDuration(rewarmS), why: whyRewarm(asked, rewarm) }] : [])
  ]
}

const whyHeld = (asked: Asked): string =>
  `Under foil in an oven at ${degrees(HOLDING_C, asked)}: ${degrees(asked.plan.carve.core, asked)} in the middle when it is cut, its crust softer. It is no longer fresh from the fire after an hour, and no oven this low makes meat safe that was not before.`

const slicedCold = (asked: Asked): string => `It is sliced cold, at ${degrees(asked.plan.carve.core, asked)}, thin and across the grain.`

function whyRest(asked: Asked, cover: string, rewarmS: number): string {
  const { plan } = asked
  const toPeak = plan.peak.time - plan.pull.time
  const rest = plan.carve.time - plan.pull.time - rewarmS
  const atCarving = degrees(plan.carve.core, asked)
  if (servedCold(asked.request)) return slicedCold(asked)
  const foil = cover === 'loose foil' ? ' Foil loose, never tucked in: trapped steam softens the crust.' : ''
  if (rewarmS > 0) return `Then it goes back to the heat for a moment.${foil}`
  if (plan.peak.time >= plan.history.time[plan.history.time.length - 1])
    return `The core is still on its way up when it is carved, at ${atCarving}: by then, not later, or the outside goes cold.${foil}`
  if (rest < toPeak - 30)
    return `Shorter than the ${long(toPeak)} to its peak: carved at ${atCarving}, the middle is still on its way up.${foil}`
  if (rest > toPeak + 120) return `It peaks after ${long(toPeak)} and has cooled to ${atCarving} when you carve.${foil}`
  return `The centre peaks after ${long(toPeak)}; carve then.${foil}`
}

/** A moment warms the outside; minutes cook it on. */
function whyRewarm(asked: Asked, { from }: PhaseSpan): string {
  const { history, peak, target } = asked.plan
  const before = valueAt(history.time, history.core, from)
  return peak.core > target + WORTH_SAYING_K
    ? `So long that it cooks on: the core goes from ${degrees(before, asked)} to ${degrees(peak.core, asked)}. A few seconds a side are enough to warm it.`
    : `Hot crust again, and too short to reach the centre, which stands at ${degrees(before, asked)}.`
}
const WORTH_SAYING_K = 1

function whyEat(asked: Asked, lateS: number | null): string {
  const { request, plan } = asked
  const scale = scaleOf(request.target)
  const band = bandOf(scale, plan.peak.core)
  const lateness = lateS === null ? '' : ` You may be ${long(lateS)} late before it leaves that band.`
  return `${capital(band.word)} in the ${scale.name.toLowerCase()}; ${Math.round(100 * plan.section.evenness)} % of it comes within ${kelvin(3, asked)} of what is wanted.${lateness}`
}

/** The engine's own figures for one part of the work. */
function whyPhase(asked: Asked, span: PhaseSpan): string {
  const { history, geometry } = asked.plan
  const { phase, from, to } = span
  const at = (series: readonly number[], time: number): number => valueAt(history.time, series, time)
  const core = `The core goes from ${degrees(at(history.core, from), asked)} to ${degrees(at(history.core, to), asked)}`
  const rate = ((at(history.core, to) - at(history.core, Math.max(from, to - 60))) * 60) / Math.min(60, Math.max(1, to - from))
  const pace = rate > 0.05 ? `, ${kelvin(rate, asked, 1)} a minute at the end` : ''
  const metal = metalIn(asked.plan, span)
  switch (phase) {
    case 'sear':
    case 'fat edge':
      return metal.length === 0
        ? `${core}${pace}.`
        : `${core}. The pan falls to ${degrees(Math.min(...metal), asked)} under the meat and comes back.`
    case 'pot':
      return metal.length === 0
        ? `${core}.`
        : `The water falls from ${degrees(metal[0], asked)} to ${degrees(metal[metal.length - 1], asked)} meanwhile. ${core}${pace}: a minute late counts that much.`
    case 'bath':
      return `${core}${pace}. The nearer it comes to its water the slower it goes.`
    case 'oven':
    case 'coals':
    case 'under the lid': {
      const outside = (geometry.mirrored ? history.side : history.first).filter((T): T is number => T !== null)
      const face = outside.length === history.time.length ? at(outside, to) : null
      return `${core}${pace}.${face === null ? '' : ` Its outside stands at ${degrees(face, asked)} by then: what is stored there goes on inward.`}`
    }
    default:
      return `${core}.`
  }
}

/** Hottest part of the piece at a moment, crust and all. */
function hottestAt({ fields }: Plan, time: number): number {
  const field = fields.reduce((found, f) => (Math.abs(f.time - time) < Math.abs(found.time - time) ? f : found), fields[0])
  return Math.max(...field.temperature)
}
