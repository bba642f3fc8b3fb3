/**
 * Getting a piece ready: the schools to choose from, and what each does to the cook by the engine's reckoning.
 */
import { between } from '#core/heat/faces'
import { KEEP_ENDS, run } from '#core/heat/program'
import { type StepLengths } from '#core/heat/stepControl'
import { onBoard, openAir } from '#core/kit/air'
import type { Cut } from '#core/meat/cut'
import { SURFACES, type Piece, type SurfaceState } from '#core/meat/piece'
import type { Method, Phase, Resting } from '#core/method/method'
import type { Setup } from '#core/method/setup'
import { openSpells, timelineOf } from '#core/method/timeline'
import { FIRST_REQUEST } from '#core/request/firstRequest'
import { InfeasibleError, planMethod } from './plan'
import { greyOf } from './thickness'

export const SALTINGS = ['right before', '40 min before', 'the day before', 'after'] as const
export type Salting = (typeof SALTINGS)[number]
export const PEPPERINGS = ['before', 'after'] as const
export type Peppering = (typeof PEPPERINGS)[number]
export const OILINGS = ['on the meat', 'in the pan', 'none'] as const
export type Oiling = (typeof OILINGS)[number]
export const MARINADES = ['none', 'two hours', 'overnight'] as const
export const OUT_MINUTES = [0, 30, 60] as const

/** Where the piece is now. */
export const FROMS = ['fridge', 'freezer', 'butcher'] as const
export type From = (typeof FROMS)[number]

export interface Preparation {
  readonly from: From
  readonly surface: SurfaceState
  readonly salt: Salting
  readonly pepper: Peppering
  readonly oil: Oiling
  readonly marinade: (typeof MARINADES)[number]
  /** Out of the fridge before it goes in, min. */
  readonly outMin: number
  /** Of the fridge it comes from, °C. */
  readonly fridgeC: number
  /** Knife work of this cut that is wanted: by feature. */
  readonly knife: boolean
  readonly tie: boolean
}

export const USUAL_PREPARATION: Preparation = {
  from: 'fridge',
  surface: 'patted',
  salt: 'right before',
  pepper: 'after',
  oil: 'on the meat',
  marinade: 'none',
  outMin: 0,
  fridgeC: FIRST_REQUEST.piece.startC,
  knife: true,
  tie: false
}

/** A joint without a bone spreads, and has thin ends to tuck in; common practice, no source. */
export const usuallyTied = ({ form, bone }: Pick<Cut, 'form' | 'bone'>): boolean => form === 'roast' && !bone

/** What lies in a marinade does not dry in the open meanwhile: what was said last counts. */
export function agreeing(how: Preparation, part: Partial<Preparation>): Partial<Preparation> {
  const { surface, marinade } = { ...how, ...part }
  if (surface !== 'aired' || marinade === 'none') return part
  return part.surface === 'aired' ? { ...part, marinade: 'none' } : { ...part, surface: 'patted' }
}

const MINUTE = 60

export interface Consequence {
  /** Until the first face begins to brown, s; null where it never does. */
  readonly browningS: number | null
  /** On the heat, s; null where it cannot be planned. */
  readonly heatS: number | null
  /** Mean of both faces, mm. */
  readonly greyMm: number | null
  /** At the start, °C. */
  readonly startC: number
}

/** Of a face, where browning goes fast (from memory). */
const BROWNS_FROM_C = 140

/** What a start and a surface do to the cook. */
function consequenceOf<S extends Resting>(method: Method<S>, setup: Setup<S>, targetC: number): Consequence {
  const startC = setup.piece.startC
  try {
    const plan = planMethod(method, setup, targetC)
    return { browningS: browning(method, setup, plan.free), heatS: plan.pull.time, greyMm: greyOf(plan), startC }
  } catch (error) {
    if (!(error instanceof InfeasibleError)) throw error
    return { browningS: browning(method, setup, 4 * MINUTE), heatS: null, greyMm: null, startC }
  }
}

/** A face browns within a few of the engine's usual steps. */
const FINE_STEPS: StepLengths = { first: 0.1, longest: 0.5, kelvin: 1, rim: 24 }
const BROWNED_IN: ReadonlySet<Phase> = new Set<Phase>(['sear', 'coals'])

/** Null also where it does not begin on the metal or the bars. */
function browning<S extends Resting>(method: Method<S>, setup: Setup<S>, free: number): number | null {
  const [spell] = timelineOf(method, setup, free, openSpells(method, setup, free)).heating
  if (!BROWNED_IN.has(spell.phase)) return null
  const { history } = run(method.subject(setup, 'fine'), [spell], { ...KEEP_ENDS, every: 0.5 }, FINE_STEPS)
  const faces = (setup.piece.form === 'roast' ? history.side : history.first).map(T => T ?? -Infinity)
  const at = faces.findIndex(T => T >= BROWNS_FROM_C)
  if (at < 1) return at < 0 ? null : 0
  const share = (BROWNS_FROM_C - faces[at - 1]) / (faces[at] - faces[at - 1])
  return history.time[at - 1] + share * (history.time[at] - history.time[at - 1])
}

/** √(kρc) of a board of hardwood across its grain, J/(m²·K·√s): 0.16 W/(m·K), 650 kg/m³, 1.6 kJ/(kg·K), from memory. */
const WOOD_EFFUSIVITY = 408
/** What a board under cold meat passes on, mean over so long, W/(m²·K): it is cooled where the meat lies, as a thick body is. */
const throughBoard = (contact: number, seconds: number): number => 1 / (1 / contact + Math.sqrt(Math.PI * seconds) / (2 * WOOD_EFFUSIVITY))

/** Mean temperature of the piece after some minutes on a board in the room, °C. */
export function warmedUp<S extends Resting>(method: Method<S>, setup: Setup<S>, fridgeC: number, minutes: number): number {
  if (minutes <= 0) return fridgeC
  const cold = { ...setup, piece: { ...setup.piece, startC: fridgeC } }
  const air = openAir(setup.room, setup.constants)
  const onWood = onBoard(setup.room, setup.constants)
  // A board under cold meat is no warmer than its room.
  const board = { ...onWood, at: setup.room.temperatureC, conductance: throughBoard(onWood.conductance, minutes * MINUTE) }
  const faces = { ...between(board, air), side: air }
  const stage = { name: 'out', end: { after: minutes * MINUTE }, faces }
  const { history } = run(method.subject(cold, 'coarse'), [stage], KEEP_ENDS)
  return history.mean[history.mean.length - 1]
}

export interface Compared {
  readonly surfaces: Readonly<Record<SurfaceState, Consequence>>
  readonly out: readonly (Consequence & { readonly minutes: number })[]
}

/** Every school of drying and of taking off the chill, for this piece. */
export function comparePreparations<S extends Resting>(
  method: Method<S>,
  setup: Setup<S>,
  targetC: number,
  preparation: Preparation
): Compared {
  const at = (part: Partial<Piece>): Consequence => consequenceOf(method, { ...setup, piece: { ...setup.piece, ...part } }, targetC)
  const startC = warmedUp(method, setup, preparation.fridgeC, preparation.outMin)
  return {
    surfaces: Object.fromEntries(
      (Object.keys(SURFACES) as SurfaceState[]).map(surface => [surface, at({ startC, surface })])
    ) as Compared['surfaces'],
    out: OUT_MINUTES.map(minutes => ({
      minutes,
      ...at({ startC: warmedUp(method, setup, preparation.fridgeC, minutes), surface: preparation.surface })
    }))
  }
}
