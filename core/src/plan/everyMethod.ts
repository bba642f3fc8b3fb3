/** Any method on the piece of a request, as the cook has set it: what the comparison shows, and its call sheet. */
import { SCALES, scaleById } from '#core/doneness/scale'
import { CONSTANTS } from '#core/heat/constants'
import { panById, ringById } from '#core/kit/pan'
import { braiseAdvice, isTender } from '#core/meat/cut'
import { cutById } from '#core/meat/cuts'
import { isFlat } from '#core/meat/piece'
import { dialled, type Dialled } from '#core/method/dials'
import type { MethodKind, SettingsOf } from '#core/method/methods'
import { USUAL_KIT, usualSettings } from '#core/method/usual'
import { showDuration, showTemperature, showTemperatureRise, shownText, type Shown } from '#core/quantity/format'
import type { UnitSystem } from '#core/quantity/units'
import { compareMethods, type Bare, type Compared } from './compare'
import type { PhaseSpan, Plan } from './plan'
import { RequestError, type PlanRequest } from './request'

/** @throws RequestError */
export function compareFor(request: PlanRequest, kind: MethodKind, turned: Dialled): Compared {
  const { bare, settings } = setUp(request, turned, kind)
  const [found] = compareMethods(bare, settings, [kind], request.targetC, scaleById(request.scaleId) ?? SCALES[0])
  return found
}

/** The settings a method would be planned with. */
export function settingsFor<K extends MethodKind>(request: PlanRequest, kind: K, turned: Dialled): SettingsOf[K] {
  const pan = panById(request.panId) ?? USUAL_KIT.pan
  const ring = ringById(request.ringId) ?? USUAL_KIT.ring
  return dialled(kind, usualSettings({ ...USUAL_KIT, pan, ring }, request.targetC)[kind], turned)
}

function setUp(request: PlanRequest, turned: Dialled, kind: MethodKind): { bare: Bare; settings: SettingsOf } {
  const { piece, room } = request
  const cut = cutById(piece.cutId)
  if (!cut) throw new RequestError('piece.cutId', `There is no cut “${piece.cutId}”.`)
  if (!isTender(cut)) throw new RequestError('piece.cutId', braiseAdvice(cut))
  const usual = usualSettings(USUAL_KIT, request.targetC)
  return {
    bare: { piece, cut, room, constants: CONSTANTS, flat: isFlat(piece, cut) },
    settings: { ...usual, [kind]: settingsFor(request, kind, turned) }
  }
}

export interface SheetLine {
  readonly id: string
  readonly label: string
  readonly shown: Shown
  readonly why: string
}

/** Five or six figures to call out, each with its reason. */
export function methodSheet(plan: Plan, system: UnitSystem): SheetLine[] {
  const rise = plan.peak.core - plan.pull.core
  const degrees = (c: number): string => shownText(showTemperature(c, system))
  const heating = plan.phases.filter(p => p.phase !== 'rest' && p.phase !== 'rewarm' && p.from < plan.pull.time)
  const rewarm = plan.phases.find(p => p.phase === 'rewarm')
  return [
    ...heating.map((p, i) => ({
      id: `phase-${i}`,
      label: capital(phaseName(p)),
      shown: showDuration(p.to - p.from),
      why: whyPhase(plan, p.from, p.to, degrees)
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
      why: `The core peaks at ${degrees(plan.peak.core)} and stands at ${degrees(plan.carve.core)} when it is carved.`
    },
    ...(rewarm
      ? [
          {
            id: 'rewarm',
            label: 'Back in the hot pan',
            shown: showDuration(rewarm.to - rewarm.from),
            why: 'Hot crust again, and too short to reach the centre.'
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

/** A sear of several turns is one thing to a cook. */
export const phaseName = ({ phase, name }: PhaseSpan): string =>
  phase === 'sear' ? 'sear, all its turns' : phase === 'fat edge' ? 'fat edge' : name

function whyPhase({ history }: Plan, from: number, to: number, degrees: (c: number) => string): string {
  const at = (time: number): number =>
    history.core[
      Math.max(
        0,
        history.time.findIndex(t => t >= time - 1e-6)
      )
    ]
  return `The core goes from ${degrees(at(from))} to ${degrees(at(to))}.`
}

const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1)

/** When to choose it, in a sentence. Common practice, no source. */
export const WHEN: Record<MethodKind, string> = {
  'pan sear': 'For steaks up to about 4 cm: quickest, the most crust, one pan.',
  'sear then oven': 'For thick steaks when the oven is free and somebody is waiting.',
  'oven then sear': 'For the evenest thick steak without a bath; slow, and it waits for you.',
  roast: 'For joints: little work, a long rest, gravy in the tin.',
  grill: 'For thin and middling pieces over a lively fire.',
  'two-zone grill': 'For thick pieces outdoors: colour over the coals, the middle under the lid.',
  'bath then sear': 'When being late must not matter, and it should be alike from edge to edge.',
  'sear then bath': 'When it is kept in its bag for another day.',
  'short hot bath': 'When there is a hot bath and little time: out by the clock.',
  pot: 'Without any machine: a big pot, a lid and a kettle.',
  'in pastry': 'For a feast: fillet in its crust, and both must be ready at once.'
}
