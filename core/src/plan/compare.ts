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

export interface Tolerance {
  /** How late the pull may be before the peak leaves its band of doneness, s; null where no lateness does that. */
  readonly lateS: number | null
  /** What the peak would be off by if the piece were 3 mm thicker or thinner and cooked by the clock, K. */
  readonly thickerK: number
  readonly thinnerK: number
}

export type Compared =
  | { readonly kind: MethodKind; readonly plan: Plan; readonly tolerance: Tolerance }
  | { readonly kind: MethodKind; readonly unsuited: string; readonly nearestC: number | null }

/** The setup of each method, but for its settings. */
export type Bare = Omit<Setup<unknown>, 'settings'>

export function compareMethods(bare: Bare, settings: SettingsOf, kinds: readonly MethodKind[], target: number, scale: Scale): Compared[] {
  return kinds.map(kind => compareOne(kind, bare, settings[kind], target, scale, null))
}

/** @param byClock see `planMethod` */
export function compareOne<K extends MethodKind>(
  kind: K,
  bare: Bare,
  settings: SettingsOf[K],
  target: number,
  scale: Scale,
  byClock: number | null,
  hint?: Hint
): Compared {
  const method = METHODS[kind] as Method<SettingsOf[K]>
  const setup = { ...bare, settings }
  try {
    const plan = planMethod(method, setup, target, byClock, hint)
    return { kind, plan, tolerance: toleranceOf(method, setup, plan, scale) }
  } catch (error) {
    if (error instanceof InfeasibleError) return { kind, unsuited: error.message, nearestC: error.nearestC }
    throw error
  }
}

const MISJUDGED_MM = 3
const LONGEST_REST = 60 * 60

export function toleranceOf<S extends Resting>(method: Method<S>, setup: Setup<S>, plan: Plan, scale: Scale): Tolerance {
  const peakAt = (mm: number): number => {
    const varied = { ...setup, piece: thicker(setup.piece, mm) }
    const program = method.program(varied, plan.free)
    const stages = [...program.heating, program.rest(LONGEST_REST)]
    return run(method.subject(varied, 'coarse'), stages, { ...KEEP_ENDS, untilPastPeakBy: 0.5 }, COARSE_STEPS).peak.core
  }
  const nominal = peakAt(0)
  const end = bandEnd(scale, bandOf(scale, plan.peak.core))
  return {
    lateS: end === Infinity || plan.peakRate <= 0 ? null : Math.max(0, (end - plan.peak.core) / plan.peakRate),
    thickerK: peakAt(MISJUDGED_MM) - nominal,
    thinnerK: peakAt(-MISJUDGED_MM) - nominal
  }
}

/** The same face, thicker; a roast is so both ways across. */
export function thicker(piece: Setup<unknown>['piece'], mm: number): Setup<unknown>['piece'] {
  const thicknessMm = Math.max(1, piece.thicknessMm + mm)
  const ratio = thicknessMm / piece.thicknessMm
  return { ...piece, thicknessMm, weightG: piece.weightG * (piece.form === 'roast' ? ratio * ratio : ratio) }
}
