/**
 * How long the next time step may be. Steps start short after each change at the faces; then each is as long as
 * lets the temperatures leave a straight line by about so many kelvin, the error estimate that the step before
 * gives. Seconds.
 */
import type { Grid } from './grid'

export interface StepLengths {
  readonly first: number
  /** Of a steak; or a share of the time since the faces changed, where that is longer. */
  readonly longest: number
  /** What the error estimate is aimed at, K: root of the mean square by volume, below boiling. */
  readonly kelvin: number
}
export const DEFAULT_STEPS: StepLengths = { first: 0.6, longest: 11, kelvin: 7 }
export const COARSE_STEPS: StepLengths = { first: 0.8, longest: 30, kelvin: 5 }

/** The lengths as they suit one piece. */
interface StepControl extends StepLengths {
  /** A step may be this share of the time since the faces changed, where that is longer. */
  readonly shareOfAge: number
}

const LARGEST_GROWTH = 3
const LEAST_GROWTH = 0.3

/** @param age s since the faces changed */
export function nextStep({ first, longest, kelvin, shareOfAge }: StepControl, step: number, errorEstimate: number, age: number): number {
  const growth = Math.min(LARGEST_GROWTH, Math.max(LEAST_GROWTH, Math.sqrt(kelvin / errorEstimate)))
  return Math.max(first, Math.min(step * growth, Math.max(longest, shareOfAge * age)))
}

/** m: in thinner pieces everything happens sooner, with the square of the size at the core and its first power at the crust; steps are shorter by a power between. */
const USUAL_SIZE = 0.04
const SIZE_POWER = 1.3
const SHARE_OF_AGE = 0.05
/**
 * A log of this width takes the longest step as it is given, a wider one a longer step by the square of the
 * width, as heat goes, m. Steps of one length keep what each leaves out small and even; those that follow every
 * bend of the curves are long where a wrap dries, and what they leave out jumps with the settings.
 */
const LOG = { width: 0.037, kelvin: 4, shareOfAge: 0.025 } as const
/** A wrap dries all the while: it is given shorter steps, s at most, and none that grow with time. */
const WRAPPED = { longest: 6, share: 0.4 } as const

/** @param substances the meat and its coats */
export function stepControl(grid: Grid, substances: number, { first, longest, kelvin }: StepLengths): StepControl {
  const size = sizeOf(grid)
  const smaller = Math.min(1, size / USUAL_SIZE) ** SIZE_POWER
  const log = grid.mirrored || grid.axial.cells === 1
  if (!log) return { first: first * smaller, kelvin: kelvin * smaller, longest: longest * smaller, shareOfAge: SHARE_OF_AGE }
  const wider = (size / LOG.width) ** 2
  const wrapped = substances > 1
  return {
    first: first * smaller,
    kelvin: LOG.kelvin * kelvin * smaller,
    longest: wider * (wrapped ? Math.min(WRAPPED.longest, WRAPPED.share * longest) : longest),
    shareOfAge: wrapped ? 0 : LOG.shareOfAge
  }
}

/** The shorter way across, m. */
function sizeOf({ radial, axial }: Grid): number {
  const across = radial.cells > 1 ? 2 * radial.edge[radial.cells] : Infinity
  const high = axial.cells > 1 ? axial.edge[axial.cells] : Infinity
  return Math.min(across, high)
}
