/**
 * Every method on one piece and one kit, side by side: how long, how even, how brown,
 * how much is lost, and what is forgiven.
 */
import { bandEnd, bandOf, type Scale } from '#core/doneness/scale'
import { COARSE_STEPS, KEEP_ENDS, run } from '#core/heat/program'
import { METHODS, type MethodKind, type SettingsOf } from '#core/method/methods'
import type { Method, Resting } from '#core/method/method'
import type { Setup } from '#core/method/setup'
import { InfeasibleError, planMethod, type Plan } from './plan'
import type { Hint } from './search'

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
const LONGEST_REST = 60 * 60

export function mayBeLate({ peak, peakRate }: Plan, scale: Scale): number | null {
  const end = bandEnd(scale, bandOf(scale, peak.core))
  return end === Infinity || peakRate <= 0 ? null : Math.max(0, (end - peak.core) / peakRate)
}

/** @param free the method's free time as planned, s */
export function misjudged<S extends Resting>(method: Method<S>, setup: Setup<S>, free: number): Misjudged {
  const peakAt = (mm: number): number => {
    const varied = { ...setup, piece: thicker(setup.piece, mm) }
    const program = method.program(varied, free)
    const stages = [...program.heating, program.rest(LONGEST_REST)]
    return run(method.subject(varied, 'coarse'), stages, { ...KEEP_ENDS, untilPastPeakBy: 0.5 }, COARSE_STEPS).peak.core
  }
  const nominal = peakAt(0)
  return { thickerK: peakAt(MISJUDGED_MM) - nominal, thinnerK: peakAt(-MISJUDGED_MM) - nominal }
}

/** The same face, thicker; a roast is so both ways across. */
export function thicker(piece: Setup<unknown>['piece'], mm: number): Setup<unknown>['piece'] {
  const thicknessMm = Math.max(1, piece.thicknessMm + mm)
  const ratio = thicknessMm / piece.thicknessMm
  return { ...piece, thicknessMm, weightG: piece.weightG * (piece.form === 'roast' ? ratio * ratio : ratio) }
}
