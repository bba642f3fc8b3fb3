/**
 * Searing in a pan from first to last: on the hot metal, turned by one school or
 * another, lifted out early, rested. The free quantity is the time on the heat.
 * Seconds, °C.
 */
import { allOver, type Faces } from '#core/heat/faces'
import type { Stage, Subject } from '#core/heat/program'
import type { Pan, Ring } from '#core/kit/pan'
import type { Method, PlannedStage, Program, Resting } from './method'
import { inPan, ringBurner, searLump, thenRest, type Searing } from './parts'
import { subjectOf, type Fineness, type Setup } from './setup'

export type Turning = 'once' | 'twice a side' | 'every 60 s' | 'every 30 s'
export const COVERS = ['bare', 'loose foil', 'tucked foil'] as const
export type Cover = (typeof COVERS)[number]

export interface PanSear extends Resting {
  readonly pan: Pan
  readonly ring: Ring
  /** Pan temperature the cook holds. */
  readonly panC: number
  readonly turning: Turning
  readonly basted?: boolean
  /** Standing on its rim at the end, s. */
  readonly fatEdgeS?: number
}

export const PAN_LIMITS = { panC: [120, 300] } as const

export type PanSetup = Setup<PanSear>

/** What the piece is doing for a while. */
export type Spell = { readonly state: SpellState; readonly seconds: number }
export type SpellState = 'first down' | 'second down' | 'on edge' | 'lifted'

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

type DownState = Exclude<SpellState, 'lifted' | 'on edge'>
/** Whether one of its two faces lies on the metal. */
const isFlatDown = (spell: Spell): spell is Spell & { readonly state: DownState } => spell.state !== 'lifted' && spell.state !== 'on edge'
export const flatSpells = (spells: readonly Spell[]): (Spell & { readonly state: DownState })[] => spells.filter(isFlatDown)
export const edgeSeconds = (spells: readonly Spell[]): number => spells.reduce((sum, s) => sum + (s.state === 'on edge' ? s.seconds : 0), 0)

/** With what is still due on the fat edge: last, or at once where it already stands on it. */
export function withEdge(past: readonly Spell[], spells: readonly Spell[], fatEdgeS: number): Spell[] {
  const due = fatEdgeS - edgeSeconds(past)
  if (due <= 0) return [...spells]
  const edge: Spell = { state: 'on edge', seconds: due }
  const standing = past.length > 0 && past[past.length - 1].state === 'on edge'
  return standing ? [...past, edge, ...spells.slice(past.length)] : [...spells, edge]
}
const opposite = (state: DownState): DownState => (state === 'first down' ? 'second down' : 'first down')

function lastDown(spells: readonly Spell[]): DownState {
  const flat = flatSpells(spells)
  return flat.length > 0 ? flat[flat.length - 1].state : 'first down'
}

/** Time on the metal since the last turn. */
function sinceTurn(spells: readonly Spell[]): number {
  const down = lastDown(spells)
  let sum = 0
  for (let i = spells.length - 1; i >= 0; i--) {
    if (!isFlatDown(spells[i])) continue
    if (spells[i].state !== down) break
    sum += spells[i].seconds
  }
  return sum
}

function turnsIn(spells: readonly Spell[]): number {
  const down = flatSpells(spells)
  return down.filter((s, i) => i > 0 && s.state !== down[i - 1].state).length
}

/** The piece and the pan under it, at the moment it is laid in. */
export const panSubject = (setup: PanSetup, fineness: Fineness = 'fine'): Subject =>
  subjectOf(setup, fineness, [searLump(asSearing(setup))])

/** The pan school's settings as a sear whose spells are laid out elsewhere. */
const asSearing = (setup: PanSetup): Setup<Searing & Resting> => ({
  ...setup,
  settings: { basted: false, ...setup.settings, fatEdgeS: 0, searS: 0, searSpells: 2 }
})

/** @param rest how long the rest is run, s, whatever the school says */
export const panStages = (setup: PanSetup, spells: readonly Spell[], rest: number): Stage[] => {
  const { heating, rest: resting } = panProgram(setup, spells)
  return [...heating, resting(rest)]
}

export function panProgram(setup: PanSetup, spells: readonly Spell[]): Program {
  const searing = asSearing(setup)
  const { metal, above, rolled } = inPan(searing)
  const round = setup.piece.form === 'roast'
  const facing: Record<SpellState, Faces> = {
    'first down': round ? allOver(rolled) : { first: metal, second: above, side: above },
    'second down': round ? allOver(rolled) : { first: above, second: metal, side: above },
    'on edge': { first: above, second: above, side: rolled },
    lifted: allOver(above)
  }
  const burners = [ringBurner(searing)]
  const heating = spells.map((s): PlannedStage => ({
    phase: s.state === 'on edge' ? 'fat edge' : 'sear',
    busy: true,
    name: s.state,
    end: { after: s.seconds },
    faces: facing[s.state],
    burners
  }))
  const { rest, rewarm } = thenRest(searing, heating)
  return { heating, rest: seconds => restUnder(rest(seconds), lastDown(spells)), rewarm }
}

/** The face that was down last lies on the board. */
function restUnder(stage: PlannedStage, down: DownState): PlannedStage {
  const { first, second, side } = stage.faces
  return down === 'first down' ? stage : { ...stage, faces: { first: second, second: first, side } }
}

/** From the raw piece: so long on its faces, and then its fat edge. */
const wholeSear = ({ settings }: PanSetup, free: number): Spell[] =>
  withEdge([], panSpells([], free, spellsToCome([], settings.turning, free)), settings.fatEdgeS ?? 0)

export const panSear: Method<PanSear> = {
  kind: 'pan sear',
  free: 'time in the pan',
  subject: panSubject,
  program: (setup, free) => panProgram(setup, wholeSear(setup, free)),
  bounds: () => [20, 75 * 60],
  // Heating time goes with thickness squared: about 0.45 s for each mm², from trials of this engine.
  guess: setup => Math.max(60, 0.45 * setup.piece.thicknessMm ** 2),
  goal: (_, target) => target,
  unsuited: ({ piece }) =>
    piece.form === 'roast' || piece.thicknessMm > TOO_THICK
      ? `Past about ${TOO_THICK} mm a pan alone burns the outside first: finish it with gentler heat.`
      : null
}
const TOO_THICK = 65
