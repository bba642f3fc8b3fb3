/**
 * The parts that methods are put together from: a sear in a pan, a rest, a moment back
 * in the pan. Each knows what a flat steak, a tall one and a roast turn to the heat.
 */
import { allOver, type AirFace, type Face, type Faces, type MetalFace, type PartlyFace } from '#core/heat/faces'
import type { Burner, Lump, LumpChange } from '#core/heat/lump'
import { faceAreaM2, type Piece } from '#core/meat/piece'
import { HOLDING_C, keptWarm, onBoard, openAir, overPan, underFoil } from '#core/kit/air'
import { inFridge, inIce } from '#core/kit/bath'
import { ovenAir, type Oven } from '#core/kit/oven'
import { burnerHolding, contactWith, panLump, type Pan, type Ring } from '#core/kit/pan'
import type { Cover, PlannedStage, Program, Resting } from './method'
import { outsideOf, type Setup } from './setup'
import type { Turning } from './turning'

/** What the piece meets on a rack in an oven. */
export function inOven(setup: Setup<unknown>, oven: Oven, ovenC: number): AirFace {
  const { acrossM, areaM2 } = outsideOf(setup)
  return ovenAir(oven, ovenC, { acrossM, areaM2: setup.piece.count * areaM2, room: setup.room }, setup.constants)
}

/** A pan on its ring and what is done in it. */
export interface InAPan {
  readonly pan: Pan
  readonly ring: Ring
  /** Pan temperature the cook holds. */
  readonly panC: number
  readonly turning: Turning
  /** Standing on its rim, s; 0 for none. */
  readonly fatEdgeS: number
  /** Hot butter spooned over the upper face. */
  readonly basted: boolean
}

/** A hard sear: what several methods begin or end with. */
export interface Searing extends InAPan {
  /** On the metal in all, s, both faces together (all round, for a roast). */
  readonly searS: number
}

export const PAN_LIMITS = { panC: [120, 300] } as const

/** The pan is always the first lump. */
export const PAN = 0

export const searLump = ({ settings, room }: Setup<InAPan>): Lump => panLump(settings.pan, room.temperatureC, settings.panC)

const ringBurner = ({ settings, room }: Setup<InAPan>): Burner =>
  burnerHolding(settings.pan, settings.ring, settings.panC, room.temperatureC)

/** The pan heated up again while the piece was elsewhere. */
export const panReady = ({ settings }: Setup<InAPan>): LumpChange => ({ lump: PAN, kind: 'brought to', temperature: settings.panC })

/** Spooned fat: estimates, W/(m²·K) and °C. */
const BASTING = { convection: 60, fat: 130 } as const

/**
 * A round piece that flattens by so much touches a strip of it: a chord, as a share of the way round. Of one that is
 * longer than the pan a part is on its floor at a time.
 */
function rollingShare(setup: Setup<InAPan>): number {
  const { acrossM } = outsideOf(setup)
  return (onTheFloor(setup.piece, setup.settings.pan) * Math.sqrt(4 * acrossM * setup.constants.rollingDent)) / (Math.PI * acrossM)
}
/** How much of its length the pan's floor takes at once. */
export const onTheFloor = ({ lengthMm }: Pick<Piece, 'lengthMm'>, { diameterMm }: Pick<Pan, 'diameterMm'>): number =>
  Math.min(1, diameterMm / lengthMm)

/** What a steak's upper face and rim, and what a rolled roast's whole outside, turn to in a pan. */
function inPan(setup: Setup<InAPan>): { readonly metal: MetalFace; readonly above: AirFace; readonly rolled: PartlyFace } {
  const { constants, room, settings } = setup
  const metal = { kind: 'metal', lump: PAN, contact: contactWith(settings.pan, constants) } as const
  const air = overPan(room, settings.panC, constants)
  const above: AirFace = settings.basted ? { ...air, air: BASTING.fat, convection: BASTING.convection, vapour: BASTED_VAPOUR } : air
  return { metal, above, rolled: { kind: 'partly', share: rollingShare(setup), touching: metal, open: air } }
}
/** Fat on the face keeps most of its water in; kg/m³, estimate. */
const BASTED_VAPOUR = 0.3

/** What a joint rolled in its pan meets where it touches, how much of it does, and over what area. */
export function rolledIn(setup: Setup<Searing>): {
  readonly metal: MetalFace
  readonly above: AirFace
  readonly share: number
  readonly touchedM2: number
  readonly burner: Burner
} {
  const { metal, above } = inPan(setup)
  const share = rollingShare(setup)
  return { metal, above, share, touchedM2: share * outsideOf(setup).areaM2, burner: ringBurner(setup) }
}

const SEAR = { phase: 'sear', busy: true } as const

/** A sear of so long and its fat edge. A joint is rolled, and has neither turns nor an edge. @param fresh what is done to the pan as it begins */
export function searStages(setup: Setup<Searing>, fresh: readonly LumpChange[] = [], open = false): PlannedStage[] {
  const { settings, piece, constants } = setup
  const { searS: seconds, turning, fatEdgeS } = settings
  if (seconds <= 0) return []
  const { metal, above, rolled } = inPan(setup)
  const side = { ...above, convection: constants.roomConvection }
  const burners = [ringBurner(setup)]
  if (piece.form === 'roast') return [{ ...SEAR, name: 'seared all round', seconds, faces: allOver(rolled), burners, changes: fresh, open }]
  const sear: PlannedStage = {
    ...SEAR,
    name: 'first face down',
    seconds,
    faces: { first: metal, second: above, side },
    turned: { turning, name: 'second face down', faces: { first: above, second: metal, side } },
    burners,
    changes: fresh,
    open,
    beside: besideIn(setup, seconds)
  }
  const onEdge = { first: above, second: above, side: rolled }
  const edge: PlannedStage = { phase: 'fat edge', busy: true, name: 'fat edge down', seconds: fatEdgeS, faces: onEdge, burners }
  return fatEdgeS > 0 ? [sear, edge] : [sear]
}

/** What others in its pan take, in times what it takes itself: by the floor they cover, for the part of its sear they are there. */
function besideIn({ piece, cut, beside = [] }: Setup<unknown>, searS: number): number {
  const theirs = beside.reduce((sum, { areaM2, seconds }) => sum + areaM2 * Math.min(1, seconds / searS), 0)
  return theirs / (piece.count * faceAreaM2(piece, cut))
}

/** What the piece rests in and on. */
function restFaces({ piece, room, constants, settings }: Setup<Resting>): Faces {
  if (settings.cover === 'fridge') return allOver(inFridge(constants))
  if (settings.cover === 'ice') return allOver(inIce(constants))
  const over = settings.cover === 'bare' ? openAir(room, constants) : underFoil(room, constants, settings.cover === 'tucked foil')
  return piece.form === 'roast' ? allOver(over) : { first: onBoard(room, constants), second: over, side: over }
}

const RESTING_IN: Partial<Record<Cover, string>> = { fridge: 'wrapped, in the fridge', ice: 'in its bag in ice and water' }
export const restStage = (setup: Setup<Resting>, seconds: number): PlannedStage => ({
  phase: 'rest',
  busy: false,
  name: RESTING_IN[setup.settings.cover] ?? `rest, ${setup.settings.cover}`,
  seconds,
  faces: restFaces(setup)
})

/** Kept warm for who is late, by then at its hottest; or cold for another day. */
export function heldStages({ settings: { heldS, coldS }, constants }: Setup<Resting>): PlannedStage[] {
  const warm = stageIn('hold', `kept under foil in an oven at ${HOLDING_C} °C`, heldS, keptWarm(constants))
  const cold = stageIn('chill', 'wrapped, in the fridge', coldS, inFridge(constants))
  return [warm, cold].filter(s => s.seconds > 0)
}

/** A moment back in the hot pan, to warm and crisp what has rested long. */
function rewarmStages(setup: Setup<InAPan & Resting>): PlannedStage[] {
  const { rewarmS } = setup.settings
  if (rewarmS <= 0) return []
  const again = { ...setup, settings: { ...setup.settings, searS: 2 * rewarmS, turning: 'once', fatEdgeS: 0 } } as const
  return searStages(again, [panReady(setup)]).map(s => ({ ...s, phase: 'rewarm' }))
}

export function thenRest(setup: Setup<InAPan & Resting>, heating: readonly PlannedStage[]): Program {
  return { heating, rest: seconds => restStage(setup, seconds), rewarm: [...heldStages(setup), ...rewarmStages(setup)] }
}

/** Everywhere the same: an oven, a bath, air under a lid. */
export const stageIn = (phase: PlannedStage['phase'], name: string, seconds: number, face: Face): PlannedStage => ({
  phase,
  busy: false,
  name,
  seconds,
  faces: allOver(face)
})
