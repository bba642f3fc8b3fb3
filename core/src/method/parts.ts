/**
 * The parts that methods are put together from: a sear in a pan, a rest, a moment back
 * in the pan. Each knows what a flat steak, a tall one and a roast turn to the heat.
 */
import { allOver, type AirFace, type Face, type Faces, type MetalFace, type PartlyFace } from '#core/heat/faces'
import type { Burner, Lump, LumpChange } from '#core/heat/lump'
import { onBoard, openAir, overPan, underFoil } from '#core/kit/air'
import { inFridge } from '#core/kit/bath'
import { burnerHolding, contactWith, panLump, type Pan, type Ring } from '#core/kit/pan'
import type { PlannedStage, Program, Resting } from './method'
import type { Setup } from './setup'

/** A hard sear in a pan: what several methods begin or end with. */
export interface Searing {
  readonly pan: Pan
  readonly ring: Ring
  /** Pan temperature the cook holds. */
  readonly panC: number
  /** On the metal in all, s, both faces together (all round, for a roast). */
  readonly searS: number
  /** How many spells that is cut into: two for a turn, four for twice a side. */
  readonly searSpells: number
  /** Standing on its rim, s; 0 for none. */
  readonly fatEdgeS: number
  /** Hot butter spooned over the upper face. */
  readonly basted: boolean
}

/** The pan is always the first lump. */
export const PAN = 0

export const searLump = ({ settings, room }: Setup<Searing>): Lump => panLump(settings.pan, room.temperatureC, settings.panC)

export const ringBurner = ({ settings, room }: Setup<Searing>): Burner =>
  burnerHolding(settings.pan, settings.ring, settings.panC, room.temperatureC)

/** The pan heated up again while the piece was elsewhere. */
export const panReady = ({ settings }: Setup<Searing>): LumpChange => ({ lump: PAN, kind: 'brought to', temperature: settings.panC })

/** Spooned fat: estimates, W/(m²·K) and °C. */
const BASTING = { convection: 60, fat: 130 } as const

/** What a steak's upper face and rim, and what a rolled roast's whole outside, turn to in a pan. */
export function inPan(setup: Setup<Searing>): { readonly metal: MetalFace; readonly above: AirFace; readonly rolled: PartlyFace } {
  const { constants, room, settings } = setup
  const metal = { kind: 'metal', lump: PAN, contact: contactWith(settings.pan, constants) } as const
  const air = overPan(room, constants)
  const above: AirFace = settings.basted ? { ...air, air: BASTING.fat, convection: BASTING.convection, vapour: BASTED_VAPOUR } : air
  return { metal, above, rolled: { kind: 'partly', share: constants.rollingShare, touching: metal, open: air } }
}
/** Fat on the face keeps most of its water in; kg/m³, estimate. */
const BASTED_VAPOUR = 0.3

const SEAR = { phase: 'sear', busy: true } as const

/** @param fresh what is done to the pan as the sear begins */
export function searStages(setup: Setup<Searing>, fresh: readonly LumpChange[] = []): PlannedStage[] {
  const { settings, piece, constants } = setup
  if (settings.searS <= 0) return []
  const { metal, above, rolled } = inPan(setup)
  const side = setup.flat ? above : { ...above, convection: constants.roomConvection }
  const burners = [ringBurner(setup)]
  const changes = (i: number): readonly LumpChange[] => (i === 0 ? fresh : [])
  if (piece.form === 'roast')
    return [{ ...SEAR, name: 'seared all round', end: { after: settings.searS }, faces: allOver(rolled), burners, changes: fresh }]
  const stages: PlannedStage[] = Array.from({ length: settings.searSpells }, (_, i) => ({
    ...SEAR,
    name: i % 2 === 0 ? 'first face down' : 'second face down',
    end: { after: settings.searS / settings.searSpells },
    faces: i % 2 === 0 ? { first: metal, second: above, side } : { first: above, second: metal, side },
    burners,
    changes: changes(i)
  }))
  if (settings.fatEdgeS > 0)
    stages.push({
      phase: 'fat edge',
      busy: true,
      name: 'fat edge down',
      end: { after: settings.fatEdgeS },
      faces: { first: above, second: above, side: rolled },
      burners
    })
  return stages
}

/** What the piece rests in and on. */
function restFaces({ piece, room, constants, settings }: Setup<Resting>): Faces {
  if (settings.cover === 'fridge') return allOver(inFridge(constants))
  const over = settings.cover === 'bare' ? openAir(room, constants) : underFoil(room, constants, settings.cover === 'tucked foil')
  return piece.form === 'roast' ? allOver(over) : { first: onBoard(room, constants), second: over, side: over }
}

export const restStage = (setup: Setup<Resting>, seconds: number): PlannedStage => ({
  phase: 'rest',
  busy: false,
  name: setup.settings.cover === 'fridge' ? 'in the fridge' : `rest, ${setup.settings.cover}`,
  end: { after: seconds },
  faces: restFaces(setup)
})

/** A moment back in the hot pan, to warm and crisp what has rested long. */
function rewarmStages(setup: Setup<Searing & Resting>): PlannedStage[] {
  const { rewarmS } = setup.settings
  if (rewarmS <= 0) return []
  const again = { ...setup, settings: { ...setup.settings, searS: 2 * rewarmS, searSpells: 2, fatEdgeS: 0 } }
  return searStages(again, [panReady(setup)]).map(s => ({ ...s, phase: 'rewarm' }))
}

export function thenRest(setup: Setup<Searing & Resting>, heating: readonly PlannedStage[]): Program {
  return { heating, rest: seconds => restStage(setup, seconds), rewarm: rewarmStages(setup) }
}

/** Everywhere the same: an oven, a bath, air under a lid. */
export const stageIn = (phase: PlannedStage['phase'], name: string, seconds: number, face: Face): PlannedStage => ({
  phase,
  busy: false,
  name,
  end: { after: seconds },
  faces: allOver(face)
})
