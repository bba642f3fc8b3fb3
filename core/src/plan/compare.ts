/**
 * Every method on one piece and one kit, side by side: how long, how even, how brown,
 * how much is lost, and what is forgiven.
 */
import { bandEnd, bandOf, type Scale } from '#core/doneness/scale'
import { COARSE_STEPS, KEEP_ENDS, run } from '#core/heat/program'
import { METHODS, type MethodKind, type SettingsOf } from '#core/method/methods'
import { rested, type Method, type Resting } from '#core/method/method'
import type { Setup } from '#core/method/setup'
import { InfeasibleError, planMethod, type Plan } from './plan'
import type { Hint } from './search'
import { finish, type Steps } from '#core/numerics/steps'

/** What the peak would be off by if the piece were 3 mm thicker or thinner and cooked by the clock, K. */
export interface Misjudged {
  readonly thickerK: number
  readonly thinnerK: number
}

export interface Planned {
  readonly kind: MethodKind
  readonly plan: Plan
  /** How late the pull may be before the peak leaves its band of doneness, s; null where no lateness does that. */
  readonly lateS: number | null
}

export interface Unsuited {
  readonly kind: MethodKind
  readonly unsuited: string
  readonly nearestC: number | null
}

export type Compared = (Planned & { readonly misjudged: Misjudged }) | Unsuited

/** The setup of each method, but for its settings. */
export type Bare = Omit<Setup<unknown>, 'settings'>

export function compareMethods(bare: Bare, settings: SettingsOf, kinds: readonly MethodKind[], target: number, scale: Scale): Compared[] {
  return kinds.map(<K extends MethodKind>(kind: K) => {
    const found = planOne(kind, bare, settings[kind], target, scale, null)
    if ('unsuited' in found) return found
    return {
      ...found,
      misjudged: misjudged(METHODS[kind] as Method<SettingsOf[K]>, { ...bare, settings: settings[kind] }, found.plan.free)
    }
  })
}

/** @param byClock see `planMethod` */
export function planOne<K extends MethodKind>(
  kind: K,
  bare: Bare,
  settings: SettingsOf[K],
  target: number,
  scale: Scale,
  byClock: number | null,
  hint?: Hint
): Planned | Unsuited {
  const method = METHODS[kind] as Method<SettingsOf[K]>
  const setup = { ...bare, settings }
  try {
    const plan = planMethod(method, setup, target, byClock, hint)
    return { kind, plan, lateS: mayBeLate(plan, scale) }
  } catch (error) {
    if (error instanceof InfeasibleError) return { kind, unsuited: error.message, nearestC: error.nearestC }
    throw error
  }
}

const MISJUDGED_MM = 3

export function mayBeLate({ peak, peakRate }: Plan, scale: Scale): number | null {
  const end = bandEnd(scale, bandOf(scale, peak.core))
  return end === Infinity || peakRate <= 0 ? null : Math.max(0, (end - peak.core) / peakRate)
}

/** @param free the method's free time as planned, s */
export const misjudged = <S extends Resting>(method: Method<S>, setup: Setup<S>, free: number): Misjudged =>
  finish(misjudging(method, setup, free))

/** The same, a run at a time. */
export function* misjudging<S extends Resting>(method: Method<S>, setup: Setup<S>, free: number): Steps<Misjudged> {
  const peakAt = (mm: number): number => {
    const varied = { ...setup, piece: thicker(setup.piece, mm) }
    const stages = rested(method.program(varied, free), varied)
    return run(method.subject(varied, 'coarse'), stages, { ...KEEP_ENDS, untilPastPeakBy: 0.5 }, COARSE_STEPS).peak.core
  }
  const nominal = peakAt(0)
  yield
  const thickerK = peakAt(MISJUDGED_MM) - nominal
  yield
  return { thickerK, thinnerK: peakAt(-MISJUDGED_MM) - nominal }
}

/** The same face, thicker; a roast is so both ways across. */
export function thicker(piece: Setup<unknown>['piece'], mm: number): Setup<unknown>['piece'] {
  const thicknessMm = Math.max(1, piece.thicknessMm + mm)
  const ratio = thicknessMm / piece.thicknessMm
  return { ...piece, thicknessMm, weightG: piece.weightG * (piece.form === 'roast' ? ratio * ratio : ratio) }
}
