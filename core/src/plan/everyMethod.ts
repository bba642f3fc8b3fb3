/** Any method on the piece of a request, as the cook has set it: what the comparison shows, and its call sheet. */
import { scaleOf } from '#core/doneness/scale'
import { CONSTANTS } from '#core/heat/constants'
import { braiseAdvice, isTender } from '#core/meat/cut'
import { cutById } from '#core/meat/cuts'
import { isFlat } from '#core/meat/piece'
import { dialled, type Dialled } from '#core/method/dials'
import type { MethodKind, SettingsOf } from '#core/method/methods'
import type { Setup } from '#core/method/setup'
import { USUAL_KIT, usualSettings, wholeKit } from '#core/method/usual'
import { capital, showDuration, showTemperature, showTemperatureRise, shownText, type Shown } from '#core/quantity/format'
import type { UnitSystem } from '#core/quantity/units'
import { valueAt } from '#core/heat/history'
import { planOne, type Bare, type Planned, type Unsuited } from './compare'
import type { PhaseSpan, Plan } from './plan'
import type { Hint } from './search'
import { panOf, panSettings, RequestError, ringOf, type PlanRequest } from '#core/request/request'

/** @throws RequestError */
export function planFor(request: PlanRequest, kind: MethodKind, turned: Dialled, hint?: Hint): Planned | Unsuited {
  const missing = missingFor(request, kind)
  if (missing !== null) return { kind, unsuited: missing, nearestC: null }
  return planOne(kind, bareOf(request), settingsFor(request, kind, turned), request.targetC, scaleOf(request), byClockOf(turned), hint)
}

const byClockOf = ({ byClockS }: Dialled): number | null => (byClockS === undefined || byClockS <= 0 ? null : byClockS)

/** The settings a method would be planned with. In a pan alone they are the request's own. */
export function settingsFor<K extends MethodKind>(request: PlanRequest, kind: K, turned: Dialled): SettingsOf[K] {
  const pan = panOf(request) ?? USUAL_KIT.pan
  const ring = ringOf(request) ?? USUAL_KIT.ring
  const kit = { ...wholeKit(request.kit ?? null), pan, ring }
  const usual: SettingsOf = { ...usualSettings(kit, request.targetC), 'pan sear': panSettings(request, pan, ring) }
  return dialled(kind, usual[kind], turned)
}

type Needed = 'oven' | 'grill' | 'pot' | 'bath'
const NEEDS: Partial<Record<MethodKind, Needed>> = {
  'sear then oven': 'oven',
  'oven then sear': 'oven',
  roast: 'oven',
  grill: 'grill',
  'two-zone grill': 'grill',
  'bath then sear': 'bath',
  'sear then bath': 'bath',
  'short hot bath': 'bath',
  pot: 'pot',
  'in pastry': 'oven'
}
const MISSING: Record<Needed, string> = {
  oven: 'There is no oven in the kit.',
  grill: 'There is no grill in the kit.',
  pot: 'There is no pot in the kit.',
  bath: 'There is no machine for a bath in the kit: the pot does without one.'
}

function missingFor({ kit }: PlanRequest, kind: MethodKind): string | null {
  const need = NEEDS[kind]
  return kit && need && kit[need] === null ? MISSING[need] : null
}

/** @throws RequestError */
export function bareOf({ piece, room }: Pick<PlanRequest, 'piece' | 'room'>): Bare {
  const cut = cutById(piece.cutId)
  if (!cut) throw new RequestError('piece.cutId', `There is no cut “${piece.cutId}”.`)
  if (!isTender(cut)) throw new RequestError('piece.cutId', braiseAdvice(cut))
  return { piece, cut, room, constants: CONSTANTS, flat: isFlat(piece, cut) }
}

/** Everything a plan of this request by this method starts from. @throws RequestError */
export const setupFor = <K extends MethodKind>(request: PlanRequest, kind: K, turned: Dialled): Setup<SettingsOf[K]> => ({
  ...bareOf(request),
  settings: settingsFor(request, kind, turned)
})

export interface SheetLine {
  readonly id: string
  readonly label: string
  readonly shown: Shown
  readonly why: string
}

/** Five or six figures to call out, each with its reason. */
export function methodSheet(plan: Plan, system: UnitSystem): SheetLine[] {
  const rise = plan.peak.core - plan.pull.core
  const heating = plan.phases.filter(p => p.phase !== 'rest' && p.phase !== 'rewarm' && p.from < plan.pull.time)
  const rewarm = plan.phases.find(p => p.phase === 'rewarm')
  return [
    ...heating.map((p, i) => ({
      id: `phase-${i}`,
      label: capital(phaseName(p)),
      shown: showDuration(p.to - p.from),
      why: whyPhase(plan, p, system)
    })),
    {
      id: 'pull',
      label: 'Out at',
      shown: showTemperature(plan.pull.core, system),
      why:
        rise > 0.4
          ? `It climbs ${shownText(showTemperatureRise(rise, system))} more by itself, in ${shownText(showDuration(plan.peak.time - plan.pull.time))}.`
          : 'It hardly climbs afterwards: what is outside is no hotter than what is wanted inside.'
    },
    {
      id: 'rest',
      label: 'Rest',
      shown: showDuration(Math.max(0, plan.carve.time - plan.pull.time - (rewarm ? rewarm.to - rewarm.from : 0))),
      why: whyRest(plan, system)
    },
    ...(rewarm
      ? [
          {
            id: 'rewarm',
            label: 'Back in the hot pan',
            shown: showDuration(rewarm.to - rewarm.from),
            why: whyRewarm(plan, rewarm, system)
          }
        ]
      : []),
    {
      id: 'peak',
      label: 'Peak inside',
      shown: showTemperature(plan.peak.core, system),
      why: `${Math.round(100 * plan.section.evenness)} % of it comes within ${shownText(showTemperatureRise(3, system))} of what is wanted; ${Math.round(100 * plan.loss)} % of its weight is lost.`
    }
  ]
}

/** A moment warms the outside; minutes cook it on. */
function whyRewarm({ history, peak, target }: Plan, { from }: PhaseSpan, system: UnitSystem): string {
  const degrees = (c: number): string => shownText(showTemperature(c, system))
  const before = valueAt(history.time, history.core, from)
  return peak.core > target + WORTH_SAYING_K
    ? `So long that it cooks on: the core goes from ${degrees(before)} to ${degrees(peak.core)}. A few seconds a side are enough to warm it.`
    : `Hot crust again, and too short to reach the centre, which stands at ${degrees(before)}.`
}
const WORTH_SAYING_K = 1

/** Spells between which it is turned are one thing to a cook, with a turn every so often. */
export function phaseName(span: PhaseSpan): string {
  const { spells, from, to } = span
  if (spells === 1) return shortName(span)
  const every = spells === 2 ? 'once' : `every ${shownText(showDuration((to - from) / spells))}`
  return `${shortName(span)}, turned ${every}`
}
/** The same where there is little room. */
export const shortName = ({ phase, name, spells }: PhaseSpan): string =>
  phase === 'fat edge' ? 'fat edge' : spells === 1 ? name : phase === 'coals' ? 'over the coals' : phase

/** The engine's own figures for one part of the work. */
function whyRest({ peak, carve, history }: Plan, system: UnitSystem): string {
  const degrees = (c: number): string => shownText(showTemperature(c, system))
  return peak.time >= history.time[history.time.length - 1]
    ? `The core is still on its way up when it is carved, at ${degrees(carve.core)}: by then, not later, or the outside goes cold.`
    : `The core peaks at ${degrees(peak.core)} and stands at ${degrees(carve.core)} when it is carved.`
}

function whyPhase({ history, geometry }: Plan, { phase, from, to }: PhaseSpan, system: UnitSystem): string {
  const degrees = (c: number): string => shownText(showTemperature(c, system))
  const at = (series: readonly number[], time: number): number => valueAt(history.time, series, time)
  const core = `The core goes from ${degrees(at(history.core, from))} to ${degrees(at(history.core, to))}`
  const rate = ((at(history.core, to) - at(history.core, Math.max(from, to - 60))) * 60) / Math.min(60, Math.max(1, to - from))
  const pace = rate > 0.05 ? `, ${shownText(showTemperatureRise(rate, system, 1))} a minute at the end` : ''
  const metal = history.time.flatMap((t, i) => (t > from && t <= to && history.plate[i] !== null ? [history.plate[i]] : []))
  const outside = geometry.mirrored ? history.side : history.first
  const face =
    outside[0] === null
      ? null
      : at(
          outside.map(f => f ?? 0),
          to
        )
  switch (phase) {
    case 'sear':
    case 'fat edge':
      return metal.length === 0
        ? `${core}${pace}.`
        : `${core}. The pan falls to ${degrees(Math.min(...metal))} under the meat and comes back.`
    case 'pot':
      return metal.length === 0
        ? `${core}.`
        : `The water falls from ${degrees(metal[0])} to ${degrees(metal[metal.length - 1])} meanwhile. ${core}${pace}: a minute late counts that much.`
    case 'bath':
      return `${core}${pace}. The nearer it comes to its water the slower it goes.`
    case 'oven':
    case 'coals':
    case 'under the lid':
      return `${core}${pace}.${face === null ? '' : ` Its outside stands at ${degrees(face)} by then: what is stored there goes on inward.`}`
    default:
      return `${core}.`
  }
}

/** When to choose it, in a sentence. Common practice, no source. */
export const WHEN: Record<MethodKind, string> = {
  'pan sear': 'For steaks up to about 4 cm: quickest, the most crust, one pan.',
  'sear then oven': 'For thick steaks when the oven is free and somebody is waiting.',
  'oven then sear': 'Slow, and it waits for you: dry from the oven it browns at once. Keep the sear short.',
  roast: 'For joints: little work, a long rest, gravy in the tin.',
  grill: 'For thin and middling pieces over a lively fire.',
  'two-zone grill': 'For thick pieces outdoors: colour over the coals, the middle under the lid.',
  'bath then sear': 'When being late must not matter, and it should be alike from edge to edge.',
  'sear then bath': 'When it is kept in its bag for another day.',
  'short hot bath': 'When there is a hot bath and little time: out by the clock.',
  pot: 'Without any machine: a big pot, a lid and a kettle.',
  'in pastry': 'For a feast: fillet in its crust, and both must be ready at once.'
}
