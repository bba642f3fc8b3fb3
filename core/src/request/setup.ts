/** What the engine starts from for a request: its method, and the piece, kit, room and settings as the method takes them. */
import { CONSTANTS } from '#core/heat/constants'
import { besideFireAreaM2, fireAreaM2 } from '#core/kit/grill'
import { floorAreaM2, hottestPan } from '#core/kit/pan'
import { braiseAdvice, isTender } from '#core/meat/cut'
import { cutById } from '#core/meat/cuts'
import { faceAreaM2, isFlat, outsideOf } from '#core/meat/piece'
import { cookedWith, dialValues, withSettings, type KitPart, type Settings } from '#core/method/dials'
import type { Method, Resting } from '#core/method/method'
import { METHODS, type MethodKind, type SettingsOf } from '#core/method/methods'
import type { InAPan } from '#core/method/parts'
import type { Setup } from '#core/method/setup'
import { usualSettings, wholeKit } from '#core/method/usual'
import { RequestError, type PlanRequest } from './request'

/** A method with what it is set to, whichever it is. */
export interface Asked {
  readonly kind: MethodKind
  readonly method: Method<Resting>
  readonly setup: Setup<Resting>
  readonly targetC: number
  /** The free quantity as the cook gives it, s; null where it is to be solved. */
  readonly byClockS: number | null
}

const MISSING: Record<Exclude<KitPart, 'pan'>, string> = {
  oven: 'There is no oven in the kit.',
  grill: 'There is no grill in the kit.',
  pot: 'There is no pot in the kit.',
  bath: 'There is no machine for a bath in the kit: the pot does without one.'
}

/** The settings a method is planned with: the usual ones for this kit and target, with what the cook has set. */
export function settingsOf({
  piece,
  kit,
  target,
  method: { kind, settings }
}: Pick<PlanRequest, 'piece' | 'kit' | 'target' | 'method'>): SettingsOf[MethodKind] {
  return withSettings(kind, usualSettings(wholeKit(kit), target.coreC, piece)[kind], settings)
}

/** So long in the fridge it is cold to the middle, and is sliced so, s. */
const COLD_FROM_S = 3 * 3600
/** Whether it is cooked to be eaten cold: what is done to it after the rest is another day's, or another part of the day's. */
export function servedCold(request: Pick<PlanRequest, 'piece' | 'kit' | 'target' | 'method'>): boolean {
  const { cover, rest, heldS, coldS, rewarmS } = settingsOf(request)
  const inFridgeS = coldS + (cover === 'fridge' && rest.kind === 'clock' ? rest.seconds : 0)
  return inFridgeS >= COLD_FROM_S && heldS <= 0 && rewarmS <= 0
}

/** Whether cheese is melted on it as it comes off: not on what goes into ice or a fridge, or is sliced cold. */
export function meltsCheese(request: Pick<PlanRequest, 'piece' | 'kit' | 'target' | 'method'>): boolean {
  const { cheese, cover } = settingsOf(request)
  return cheese && cover !== 'ice' && cover !== 'fridge' && !servedCold(request)
}

/** When its crust of paste goes on: where it is seared raw, after that; null where it has none, or has it under its pastry. */
export function crustGoesOn(request: Pick<PlanRequest, 'piece' | 'kit' | 'target' | 'method'>): 'before' | 'after its sear' | null {
  const { kind } = request.method
  if (outsideOf(request.piece).pasteMm <= 0 || kind === 'in pastry') return null
  const { searS = 0 } = settingsOf(request) as { readonly searS?: number }
  return searS > 0 && (kind === 'roast' || kind === 'sear then oven') ? 'after its sear' : 'before'
}

/** Every dial of the request's method, as it stands. */
export const wholeSettings = (request: Pick<PlanRequest, 'piece' | 'kit' | 'target' | 'method'>): Settings =>
  dialValues(request.method.kind, settingsOf(request) as never, request.method.settings.byClockS ?? 0)

/** The metal the piece meets, as hot as it is held; null where it meets none. */
export function hotMetal(request: Pick<PlanRequest, 'piece' | 'kit' | 'target' | 'method'>): InAPan | null {
  const { kind } = request.method
  const settings = settingsOf(request) as Partial<InAPan & { readonly searS: number; readonly rewarmS: number }>
  if (!cookedWith(kind).includes('pan')) return null
  const met = kind === 'pan sear' || (settings.searS ?? 0) > 0 || (settings.rewarmS ?? 0) > 0
  return met ? (settings as InAPan) : null
}

/** @throws RequestError */
export function setupOf(request: PlanRequest): Asked {
  const { piece, kit, room, target, method, beside } = request
  const { kind, settings } = method
  const cut = cutById(piece.cutId)
  if (!cut) throw new RequestError('piece.cutId', `There is no cut “${piece.cutId}”.`)
  if (!isTender(cut)) throw new RequestError('piece.cutId', braiseAdvice(cut))
  for (const part of cookedWith(kind)) if (part !== 'pan' && kit[part] === null) throw new RequestError(`kit.${part}`, MISSING[part])
  if (target.coreC <= piece.startC) throw new RequestError('target.coreC', 'The piece is already that warm.')
  if (settings.boilingParts === 0 && settings.coldParts === 0)
    throw new RequestError('method.settings.boilingParts', 'A pot needs some water: boiling, cold or both.')
  const metal = hotMetal(request)
  if (metal) {
    const hottest = hottestPan(metal.pan, metal.ring, room.temperatureC)
    if (metal.panC > hottest)
      throw new RequestError('method.settings.panC', `This ring brings this pan to ${Math.round(hottest)} °C at most.`)
  }
  const [together = 0] = batchesOf(request)
  if (together === 0) {
    const covered = coverage({ piece: { ...piece, count: 1 }, kit })
    throw new RequestError('kit.pan', `The piece does not fit: ${Math.round(covered * 100)} % of the pan’s floor. Use a larger pan.`)
  }
  return {
    kind,
    method: METHODS[kind] as unknown as Method<Resting>,
    setup: {
      piece: { ...piece, count: together },
      cut,
      room,
      constants: CONSTANTS,
      flat: isFlat(piece, cut),
      settings: settingsOf(request),
      ...(beside && kind === 'pan sear' ? { beside } : {})
    },
    targetC: target.coreC,
    byClockS: settings.byClockS !== undefined && settings.byClockS > 0 ? settings.byClockS : null
  }
}
/** Meat may overlap the curve of the pan a little before it truly does not fit. */
export const MOST_OF_FLOOR = 1

/**
 * Until a pan is as hot again for the next batch, until a grate is cleared for it, until coals that have burnt for most
 * of an hour are topped up and grey again, s; common practice, no source.
 */
const BETWEEN_BATCHES_S: Partial<Record<MethodKind, number>> = { 'pan sear': 90, grill: 30, 'two-zone grill': 600 }
export const betweenBatches = ({ method }: Pick<PlanRequest, 'method'>): number => BETWEEN_BATCHES_S[method.kind] ?? 0

/** How many pieces a fire takes at once; all, where room is not what it is short of. */
function roomFor({ piece, kit, method }: Pick<PlanRequest, 'piece' | 'kit' | 'method'>): number {
  if (method.kind === 'pan sear') return Math.floor(MOST_OF_FLOOR / coverage({ piece: { ...piece, count: 1 }, kit }) + 1e-9)
  const cut = cutById(piece.cutId)
  const area = method.kind === 'grill' ? fireAreaM2 : method.kind === 'two-zone grill' ? besideFireAreaM2 : null
  return area === null || !cut ? piece.count : Math.max(1, Math.floor(area(kit.grill ?? {}) / faceAreaM2(piece, cut)))
}

/** How many pieces are at the heat together, batch by batch, the fullest first; nothing where not even one fits. */
export function batchesOf({ piece, kit, method }: Pick<PlanRequest, 'piece' | 'kit' | 'method'>): number[] {
  const most = roomFor({ piece, kit, method })
  if (most < 1) return []
  const batches = Math.ceil(piece.count / most)
  return Array.from({ length: batches }, (_, i) => Math.floor(piece.count / batches) + (i < piece.count % batches ? 1 : 0))
}

/** Of a tray of a half-size oven, what meat may cover with air around it, m²; common practice, no source. */
const TRAY_M2 = 0.09

/** Trays that it lies on in an oven. */
export function traysOf({ piece }: Pick<PlanRequest, 'piece'>): number {
  const cut = cutById(piece.cutId)
  return cut ? Math.ceil((faceAreaM2(piece, cut) * piece.count) / TRAY_M2) : 1
}

/** Share of the pan's floor under meat. */
export function coverage({ piece, kit }: Pick<PlanRequest, 'piece' | 'kit'>): number {
  const cut = cutById(piece.cutId)
  return cut ? (faceAreaM2(piece, cut) * piece.count) / floorAreaM2(kit.pan) : 0
}
