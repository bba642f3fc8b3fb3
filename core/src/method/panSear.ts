/**
 * Searing in a pan from first to last: on the hot metal, turned by one school or
 * another, lifted out early, rested. The free quantity is the time on the heat.
 * Seconds, °C.
 */
import type { Cut } from '#core/meat/cut'
import { boilingPoint } from '#core/heat/vapour'
import type { Constants } from '#core/heat/constants'
import { DEFAULT_RESOLUTION, type Resolution } from '#core/heat/grid'
import type { Faces } from '#core/heat/faces'
import type { Burner } from '#core/heat/plate'
import type { Stage, Subject } from '#core/heat/program'
import { meatMaterial } from '#core/heat/properties'
import { onBoard, openAir, overPan, underFoil, type Room } from '#core/kit/air'
import { burnerHolding, panPlate, type Pan, type Ring } from '#core/kit/pan'
import { faceAreaM2, gridOf, SURFACES, type Piece } from '#core/meat/piece'

export type Turning = 'once' | 'twice a side' | 'every 60 s' | 'every 30 s'
export type Cover = 'bare' | 'loose foil'
export type RestLength =
  { readonly kind: 'clock'; readonly seconds: number } | { readonly kind: 'half the cooking time' } | { readonly kind: 'to the peak' }

export interface PanSear {
  readonly pan: Pan
  readonly ring: Ring
  /** Pan temperature the cook holds. */
  readonly panC: number
  readonly turning: Turning
  readonly cover: Cover
  readonly rest: RestLength
}

export const PAN_LIMITS = { panC: [120, 300] } as const

export interface PanSetup {
  readonly piece: Piece
  readonly cut: Cut
  readonly room: Room
  readonly settings: PanSear
  readonly constants: Constants
}

/** What the piece is doing for a while. */
export type Spell = { readonly state: SpellState; readonly seconds: number }
export type SpellState = 'first down' | 'second down' | 'lifted'

/** A school either fixes the number of spells on the metal or how long one lasts, about. */
const SCHOOLS: Record<Turning, { readonly spells: number } | { readonly about: number }> = {
  once: { spells: 2 },
  'twice a side': { spells: 4 },
  'every 60 s': { about: 60 },
  'every 30 s': { about: 30 }
}
export const TURNINGS = Object.keys(SCHOOLS) as Turning[]

/** Spells still to come, the one under way counted, when `remaining` seconds are left on the metal. */
export function spellsToCome(past: readonly Spell[], turning: Turning, remaining: number): number {
  const school = SCHOOLS[turning]
  const turned = turnsIn(past)
  if ('spells' in school) return Math.max(1, school.spells - turned)
  // Both sides get as many spells: with those behind, the whole is even.
  const wanted = (turned + (sinceTurn(past) + remaining) / school.about) / 2
  return Math.max(turned % 2 === 0 ? 2 : 1, 2 * Math.round(wanted) - turned)
}

/**
 * The spells from the first touch of the pan to the pull. Those to come are of one
 * length, so that no side gets a last moment not worth the turn; only the one under
 * way may be longer, where the turn is late.
 *
 * @param past what has already happened, exactly as it happened
 * @param remaining time still to come on the metal, s
 * @param count spells to come, the one under way counted
 */
export function panSpells(past: readonly Spell[], remaining: number, count: number): Spell[] {
  const since = sinceTurn(past)
  const current = Math.min(remaining, Math.max(0, (since + remaining) / count - since))
  const each = count > 1 ? (remaining - current) / (count - 1) : 0
  const spells = [...past]
  let state = lastDown(past)
  if (current > 0) spells.push({ state, seconds: current })
  for (let i = 1; i < count; i++) {
    state = opposite(state)
    if (each > 0) spells.push({ state, seconds: each })
  }
  return spells
}

type DownState = Exclude<SpellState, 'lifted'>
const opposite = (state: DownState): DownState => (state === 'first down' ? 'second down' : 'first down')

function lastDown(spells: readonly Spell[]): DownState {
  for (let i = spells.length - 1; i >= 0; i--) {
    const { state } = spells[i]
    if (state !== 'lifted') return state
  }
  return 'first down'
}

/** Time on the metal since the last turn. */
function sinceTurn(spells: readonly Spell[]): number {
  const down = lastDown(spells)
  let sum = 0
  for (let i = spells.length - 1; i >= 0; i--) {
    if (spells[i].state === 'lifted') continue
    if (spells[i].state !== down) break
    sum += spells[i].seconds
  }
  return sum
}

function turnsIn(spells: readonly Spell[]): number {
  const down = spells.filter(s => s.state !== 'lifted')
  return down.filter((s, i) => i > 0 && s.state !== down[i - 1].state).length
}

/** The piece and the pan under it, at the moment it is laid in. */
export function panSubject(setup: PanSetup, resolution: Resolution = DEFAULT_RESOLUTION): Subject {
  const { piece, cut, room, settings, constants } = setup
  const film = SURFACES[piece.surface].filmKgM2
  return {
    grid: gridOf(piece, resolution),
    material: meatMaterial(cut.composition, constants.fibreFactor, constants.driedConductivity),
    start: { temperature: piece.startC, film: [film, film], boiling: boilingPoint(room.altitudeM) },
    plate: panPlate(settings.pan, faceAreaM2(piece, cut) * piece.count, room.temperatureC, settings.panC),
    constants
  }
}

/** @param restSeconds how long the rest is run, whatever the school says */
export function panStages(setup: PanSetup, spells: readonly Spell[], restSeconds: number): Stage[] {
  const { room, settings, constants } = setup
  const burner = burnerHolding(settings.pan, settings.ring, settings.panC, room.temperatureC)
  const metal = { kind: 'metal', contact: constants.panContact } as const
  const above = overPan(room, constants)
  const facing: Record<SpellState, Faces> = {
    'first down': [metal, above],
    'second down': [above, metal],
    lifted: [above, above]
  }
  const onHeat = spells.map((s): Stage => ({ name: s.state, end: { after: s.seconds }, faces: facing[s.state], burner }))
  return [...onHeat, restStage(setup, lastDown(spells), restSeconds, null)]
}

function restStage({ room, settings, constants }: PanSetup, down: DownState, seconds: number, burner: Burner | null): Stage {
  const over = settings.cover === 'bare' ? openAir(room, constants) : underFoil(room, constants)
  const under = onBoard(room, constants)
  return { name: 'rest', end: { after: seconds }, faces: down === 'first down' ? [under, over] : [over, under], burner }
}

/** How long the school rests a piece that spent `cooking` in the pan and peaks after `toPeak`. */
export function restSeconds(rest: RestLength, cooking: number, toPeak: number): number {
  switch (rest.kind) {
    case 'clock':
      return rest.seconds
    case 'half the cooking time':
      return cooking / 2
    case 'to the peak':
      return toPeak
  }
}
