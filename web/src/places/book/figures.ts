/** A cook's figures as they are read in the book: planned beside seen. */
import { seenOf, type CookRecord } from '#core/book/record'
import { cutById } from '#core/meat/cuts'
import { pieceName } from '#core/meat/piece'
import { timelineOf } from '#core/method/timeline'
import { marksOf, type Mark } from '#core/plan/plan'
import { showDuration, showDurationRange, showLength, showMass, showTemperature, shownText } from '#core/quantity/format'
import type { UnitSystem } from '#core/quantity/units'
import { RequestError } from '#core/request/request'
import { setupOf, wholeSettings } from '#core/request/setup'
import { progressOf } from '#core/session/progress'

export interface Figure {
  readonly what: string
  readonly planned: string
  readonly seen: string
}

const NOT_SEEN = '—'
const duration = (s: number | null): string => (s === null ? NOT_SEEN : shownText(showDuration(s)))
const degreesIn =
  (units: UnitSystem) =>
  (c: number | null): string =>
    c === null ? NOT_SEEN : shownText(showTemperature(c, units))

/** What was to be done one after the other, as it was planned. */
export function spellsOf({ request, planned }: CookRecord): readonly Mark[] {
  try {
    const { method, setup } = setupOf(request)
    return marksOf(timelineOf(method, setup, planned.freeS).heating)
  } catch (error) {
    if (error instanceof RequestError) return []
    throw error
  }
}

/** What was to follow its rest, with what was said of the table since. */
export function afterRestOf({ request, planned, events }: CookRecord): readonly Mark[] {
  try {
    const { method, setup } = setupOf(request)
    const { held, flash } = progressOf(events).later
    const { heldS, rewarmS } = setup.settings
    const settings = { ...setup.settings, heldS: heldS + held, rewarmS: Math.max(rewarmS, flash) }
    return marksOf(timelineOf(method, { ...setup, settings }, planned.freeS).rewarm)
  } catch (error) {
    if (error instanceof RequestError) return []
    throw error
  }
}

export function figuresOf(record: CookRecord, units: UnitSystem): Figure[] {
  const { planned } = record
  const seen = seenOf(record)
  const degrees = degreesIn(units)
  const spells = spellsOf(record)
  const turns = spells.filter((s, i) => i > 0 && s.stage === spells[i - 1].stage).length
  const range = planned.pullRangeS ? ` (${shownText(showDurationRange(planned.pullRangeS[0], planned.pullRangeS[2]))})` : ''
  return [
    { what: 'Time on the heat', planned: `${duration(planned.pullS)}${range}`, seen: duration(seen.pullS) },
    ...(turns > 0 ? [{ what: 'Turns', planned: String(turns), seen: seen.pullS === null ? NOT_SEEN : String(seen.turns) }] : []),
    { what: 'Off the heat at', planned: degrees(planned.pullC), seen: degrees(seen.pullC) },
    { what: 'Rest', planned: duration(planned.carveS - planned.pullS), seen: duration(seen.restS) },
    { what: 'Highest at the core', planned: degrees(planned.peakC), seen: degrees(seen.highestC) },
    { what: 'Cook loss', planned: `${Math.round(planned.loss * 100)} %`, seen: NOT_SEEN }
  ]
}

/** By what, how often turned, how hot. */
export function howOf({ request }: CookRecord, units: UnitSystem): string {
  const { turning, panC, ovenC } = wholeSettings(request)
  const degrees = degreesIn(units)
  const hot = ovenC === undefined ? (panC === undefined ? null : `pan at ${degrees(panC)}`) : `oven at ${degrees(ovenC)}`
  const joint = request.piece.form === 'roast'
  return [request.method.kind, turning === undefined || joint ? null : `turned ${turning}`, hot].filter(p => p !== null).join(', ')
}

/** What it was begun with, line by line. */
export function begunWith(record: CookRecord, units: UnitSystem): { readonly what: string; readonly is: string }[] {
  const { piece, target, kit } = record.request
  const cut = cutById(piece.cutId)
  const degrees = degreesIn(units)
  return [
    { what: 'Piece', is: cut ? pieceName(piece, cut) : piece.cutId },
    { what: 'How many, of what weight', is: `${piece.count} × ${shownText(showMass(piece.weightG, units))}` },
    { what: 'Thickness', is: shownText(showLength(piece.thicknessMm, units)) },
    { what: 'From', is: degrees(piece.startC) },
    { what: 'Surface', is: SURFACE[piece.surface] },
    { what: 'To', is: degrees(target.coreC) },
    { what: 'How', is: howOf(record, units) },
    { what: 'In', is: kit.pan.name }
  ]
}
const SURFACE: Record<CookRecord['request']['piece']['surface'], string> = {
  wet: 'wet',
  patted: 'patted dry',
  starched: 'dusted with starch',
  aired: 'dried in the fridge'
}

const DONENESS = { under: 'underdone', 'as wanted': 'as wanted', over: 'overdone' } as const
export const verdictOf = ({ outcome }: Pick<CookRecord, 'outcome'>): string =>
  outcome.doneness === null ? 'not judged' : DONENESS[outcome.doneness]
