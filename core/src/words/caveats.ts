/** What a cook should hear about a plan before trusting it, worst first: what will not come out well, and what is less sure than the rest. */
import { SHELVES } from '#core/kit/oven'
import { floorAreaM2, type Pan } from '#core/kit/pan'
import type { MethodKind } from '#core/method/methods'
import { onTheFloor } from '#core/method/parts'
import { pastryMisses } from '#core/method/wrapped'
import { cutById } from '#core/meat/cuts'
import type { Phase } from '#core/method/method'
import { fastestS } from '#core/plan/fastest'
import { chillsSlowly } from '#core/safety/dangers'
import { COLD_C, coldAfter } from '#core/plan/keeping'
import { KEEPS_DAYS } from '#core/shop/larder'
import { coldestMetal, type Plan } from '#core/plan/plan'
import { greyOf } from '#core/plan/thickness'
import { showDuration, showLength, showTemperature, showTemperatureRise, shownText } from '#core/quantity/format'
import type { UnitSystem } from '#core/quantity/units'
import type { PlanRequest } from '#core/request/request'
import { batchesOf, betweenBatches, coverage, hotMetal, servedCold, traysOf } from '#core/request/setup'

/** °C, mm: common practice, no source. */
const BROWNING_STOPS = 145
const CROWDED = 0.7
const THICK_FOR_A_PAN = 50
const LEAST_CRUST = 0.3
/** K: a joint that climbs further is beyond what cooks report (5 to 10 for joints taken out later; common practice, no source). */
const LONG_CLIMB_K = 10
const OFF_TARGET_K = 1
/** Warm enough for a crust and too cool to cook on; common practice, no source, °C. */
const WAITS_C = 60

export const caveats = (request: PlanRequest, plan: Plan, system: UnitSystem): string[] => [
  ...ofCookedBefore(request, plan, system),
  ...ofBatches(request, plan, system),
  ...ofThePan(request, plan, system),
  ...(request.method.kind === 'pan sear' || request.method.kind === 'grill' ? ofOneTurn(request, plan, system) : []),
  ...ofTheOven(request, plan),
  ...ofTwoSides(plan, system),
  ...ofTheFridge(request, plan, system),
  ...ofTheClimb(plan, system)
]

function ofBatches(request: PlanRequest, plan: Plan, system: UnitSystem): string[] {
  const batches = batchesOf(request)
  if (batches.length < 2) return []
  const all = batches.length * plan.pull.time + (batches.length - 1) * betweenBatches(request)
  const even = batches.every(n => n === batches[0])
  const [where, next] = ROOM[request.method.kind] ?? ['in the pan', 'the pan is hot again']
  return [
    `All ${request.piece.count} do not fit ${where} at once: ${batches.length} batches of ${even ? '' : 'up to '}${batches[0]}, each as planned here, the next when ${next}. Together about ${shownText(showDuration(all))}; what comes first waits in an oven at ${shownText(showTemperature(WAITS_C, system))}, or is served as it comes.`
  ]
}

const ROOM: Partial<Record<MethodKind, readonly [where: string, next: string]>> = {
  grill: ['over the fire', 'the grate is clear'],
  'two-zone grill': ['beside the fire', 'the coals are topped up and grey again']
}

/** More than an oven of the size that is reckoned with takes on its trays. */
function ofTheOven(request: PlanRequest, plan: Plan): string[] {
  const trays = plan.phases.some(p => p.phase === 'oven') ? traysOf(request) : 1
  if (trays <= SHELVES) return []
  return [
    `With air around each that is ${trays} trays of a half-size oven, which has room for ${SHELVES}: a larger oven, or one load after the other.`
  ]
}

/** A part of it is on the floor at a time: what is planned is for all of it, and colours the less. */
function ofItsLength({ piece }: PlanRequest, { phases }: Plan, pan: Pan, system: UnitSystem): string[] {
  const sear = phases.find(p => p.phase === 'sear')
  if (!sear || onTheFloor(piece, pan) > FITS) return []
  const [long, floor, seconds] = [
    showLength(piece.lengthMm, system),
    showLength(pan.diameterMm, system),
    showDuration(sear.to - sear.from)
  ].map(shownText)
  return [
    `It is ${long} long and the pan’s floor ${floor}: brown one part after the other. The ${seconds} are for all of it; in a roasting tin over two rings it browns as a whole.`
  ]
}
/** A little may stand over the rim. */
const FITS = 0.9

function ofThePan(request: PlanRequest, plan: Plan, system: UnitSystem): string[] {
  const metal = hotMetal(request)
  if (!metal) return []
  if (request.piece.form === 'roast') return ofItsLength(request, plan, metal.pan, system)
  const said: string[] = []
  const { thicknessMm, count } = request.piece
  const alone = request.method.kind === 'pan sear'
  const batches = batchesOf(request)
  const together = batches.at(0) ?? count
  // What else lies in it takes its room too.
  const beside = alone ? (request.beside ?? []).reduce((sum, { areaM2 }) => sum + areaM2, 0) / floorAreaM2(metal.pan) : 0
  const covered = coverage({ ...request, piece: { ...request.piece, count: together } }) + beside
  const share = Math.round(covered * 100)
  const coldest = coldestMetal(plan)
  if (covered > 1) said.push(`They do not fit in the pan at once (${share} % of its floor): sear them in batches.`)
  else if (coldest !== null && coldest < BROWNING_STOPS)
    said.push(
      `The pan falls to ${shownText(showTemperature(coldest, system))}, too cool to brown: fewer pieces, a heavier pan or a stronger ring.`
    )
  else if (covered > CROWDED)
    said.push(
      `${together === 1 && beside === 0 ? 'One piece covers' : 'The pieces cover'} ${share} % of the pan: crowded meat steams. ${together === 1 ? 'A larger pan' : batches.length > 1 ? 'Fewer at a time' : 'Two batches'} would brown better.`
    )
  if (alone && thicknessMm > THICK_FOR_A_PAN)
    said.push(
      `Past about ${shownText(showLength(THICK_FOR_A_PAN, system))} a pan alone overdoes the outside: here ${shownText(showLength(greyOf(plan), system))} of grey on each side. Gentler heat would finish it better.`
    )
  if (alone && Math.min(...plan.section.crustMm) < LEAST_CRUST)
    said.push(
      'So little time in the pan that the crust is barely there: a hotter pan, a drier surface, or meat straight from the fridge gives it longer.'
    )
  return said
}

/**
 * One face at a time, so much meat takes far longer than cooks tell (10 to 13 min in a pan, 7 over coals; common practice,
 * no source): that is said, with what bounds it from below, and with what those minutes fit.
 */
function ofOneTurn(request: PlanRequest, plan: Plan, system: UnitSystem): string[] {
  const { piece } = request
  const cut = cutById(piece.cutId)
  const one = plan.phases.length > 0 ? plan.phases[0] : undefined
  const told = one && TOLD[one.phase]
  if (!cut || !one || !told || one.spells > 2 || piece.thicknessMm < LONG_ONE_TURN_MM) return []
  const length = (mm: number): string => shownText(showLength(mm, system))
  const [long, least] = [one.to - one.from, fastestS(request, cut, plan)].map(s => shownText(showDuration(s)))
  return [
    `Turned so seldom it takes ${long}: both faces at once, at the boiling point of its water, would take ${least} at the least, and one is heated at a time. Turned every minute, about a third less. The ${told.minutes} that cooks tell of pieces called so thick fit ${told.fitMm.map(length).join(' to ')} here.`
  ]
}
const LONG_ONE_TURN_MM = 36
const TOLD: Partial<Record<Phase, { readonly minutes: string; readonly fitMm: readonly [number, number] }>> = {
  sear: { minutes: '10 to 13 min', fitMm: [26, 30] },
  coals: { minutes: '7 to 9 min', fitMm: [19, 22] }
}

/** Warmed again: what it was done to stays, until it is warmed past that. */
function ofCookedBefore({ piece: { cookedC } }: PlanRequest, { peak }: Plan, system: UnitSystem): string[] {
  if (cookedC === undefined) return []
  const [was, now] = [cookedC, peak.core].map(c => shownText(showTemperature(c, system)))
  return peak.core > cookedC + OFF_TARGET_K
    ? [`It was cooked to ${was} and now comes to ${now}: it is further done than it was, and gives off more juice.`]
    : [`It was cooked to ${was} before: at ${now} it is warm again and no further done than it was.`]
}

/** One bone, two muscles. */
function ofTwoSides({ filletSide, peak }: Plan, system: UnitSystem): string[] {
  if (filletSide === null) return []
  const [fillet, strip] = [filletSide.peak.core, peak.core].map(c => shownText(showTemperature(c, system)))
  return [
    filletSide.peak.core - peak.core > OFF_TARGET_K
      ? `Its fillet side is the narrower and comes to ${fillet} where its strip side comes to ${strip}: lay it toward the cooler part of the fire, and carve it first.`
      : `Its strip side comes to ${strip} and its fillet side to ${fillet}: carve the fillet first, it is the smaller and cools sooner.`
  ]
}

/** Cooked to be eaten cold: how soon it is, and how long it keeps. */
function ofTheFridge(request: PlanRequest, plan: Plan, system: UnitSystem): string[] {
  if (!servedCold(request)) return []
  const cold = shownText(showTemperature(COLD_C, system))
  const after = coldAfter(plan)
  if (after === null) return [`It is sliced before its middle is at ${cold}: longer in the fridge, or in ice and water first.`]
  // Too slow is a danger, and is said as one.
  if (chillsSlowly(plan)) return []
  return [
    `Chilled so, its middle is at ${cold} after ${shownText(showDuration(after))}. It keeps ${KEEPS_DAYS} days there, wrapped; local codes come first.`
  ]
}

/** Where a plan does not come to what is wanted of it; null where it does. */
export function missedTarget({ peak, target }: Pick<Plan, 'peak' | 'target'>, system: UnitSystem): string | null {
  const off = peak.core - target
  if (Math.abs(off) <= OFF_TARGET_K) return null
  const by = shownText(showTemperatureRise(Math.abs(off), system))
  return `it peaks at ${shownText(showTemperature(peak.core, system))}, ${by} ${off > 0 ? 'above' : 'below'} what is wanted.`
}

function ofTheClimb({ kind, free, pull, peak, target, geometry }: Plan, system: UnitSystem): string[] {
  const kelvin = (k: number): string => shownText(showTemperatureRise(k, system))
  const climb = peak.core - pull.probe
  const off = peak.core - target
  const said: string[] = []
  if (kind === 'in pastry') {
    const missed = pastryMisses(free)
    if (missed !== null) said.push(missed)
    said.push(
      `In pastry the climb is less sure than elsewhere: ${kelvin(climb)} here, where cooks report ${kelvin(3)} to ${kelvin(10)}. Leave the probe in, and cut it when it is right.`
    )
  } else if (climb > LONG_CLIMB_K) {
    const gentler = geometry.mirrored ? 'A cooler oven' : 'A cooler pan or fire, or an oven after a short sear,'
    said.push(
      `It climbs ${kelvin(climb)} by itself: so much heat is in its outside, and so long a climb is the engine’s least sure figure. ${gentler} stores less and is surer; here leave the probe in, and put it back if it stops short.`
    )
  }
  const missed = missedTarget({ peak, target }, system)
  if (missed !== null) {
    said.push(`So ${missed}`)
    if (off > 0 && kind === 'bath then sear')
      said.push(`The sear does that: five minutes in ice water before it, or a bath cooler by ${kelvin(Math.ceil(off))}, brings it down.`)
  }
  return said
}
