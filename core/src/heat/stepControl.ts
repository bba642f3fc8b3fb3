/**
 * How long the next time step may be. Steps start short after each change at the faces; then each is as long as
 * lets the temperatures leave a straight line by about so many kelvin, the error estimate that the step before
 * gives. Seconds.
 *
 * One rule for every body, by two lengths of it: the shorter way across, and the thinnest layer it is made of.
 */
import type { Axis, Grid } from './grid'

export interface StepLengths {
  readonly first: number
  /** Of a piece of the usual size; or a share of the time since the faces changed, where that is longer. */
  readonly longest: number
  /** What the error estimate is aimed at, K: root of the mean square by volume, below boiling. */
  readonly kelvin: number
  /** Of the rim of a slab, at which nothing is quick. */
  readonly rim: number
}
export const DEFAULT_STEPS: StepLengths = { first: 1, longest: 12, kelvin: 4.5, rim: 24 }
export const COARSE_STEPS: StepLengths = { first: 0.8, longest: 30, kelvin: 5, rim: 48 }

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

/** m. Heat takes the square of the way to go it, but a crust forms with its first power: steps go by a power between. */
const USUAL_SIZE = 0.04
const SIZE_POWER = 1.65
const LAYER_POWER = 0.6
/** Below the usual size what is aimed at shrinks too: in a thin piece all is over before the steps have grown. */
const THIN_POWER = 1.3
const SHARE_OF_AGE = 0.035

export function stepControl(grid: Grid, { first, longest, kelvin, rim }: StepLengths): StepControl {
  const across = acrossOf(grid)
  const thinnest = Math.min(thinnestLayer(grid, grid.radial, grid.axial.cells), thinnestLayer(grid, grid.axial, 1), across)
  const smaller = Math.min(1, across / USUAL_SIZE) ** THIN_POWER
  return {
    first: first * smaller,
    rim,
    kelvin: kelvin * smaller,
    // A thin layer that dries goes on for as long as the whole: neither length alone says how fast.
    longest: longest * (across / USUAL_SIZE) ** SIZE_POWER * (thinnest / across) ** LAYER_POWER,
    shareOfAge: (SHARE_OF_AGE * thinnest) / across
  }
}

/** The shorter way across, m. */
function acrossOf({ radial, axial, mirrored }: Grid): number {
  const across = radial.cells > 1 ? 2 * radial.edge[radial.cells] : Infinity
  const high = axial.cells > 1 ? (mirrored ? 2 : 1) * axial.edge[axial.cells] : Infinity
  return Math.min(across, high)
}

/** Along the first line of an axis, the thinnest stretch of one substance, m; Infinity where it is all one. @param stride from cell to cell */
function thinnestLayer({ material, axial }: Grid, axis: Axis, stride: number): number {
  if (axis.cells < 2) return Infinity
  // Half-way along the other axis, past what lies on its ends.
  const from = stride === 1 ? 0 : axial.cells >> 1
  let least = Infinity
  let began = 0
  for (let i = 1; i <= axis.cells; i++) {
    if (i < axis.cells && material[from + i * stride] === material[from + began * stride]) continue
    if (began > 0 || i < axis.cells) least = Math.min(least, axis.edge[i] - axis.edge[began])
    began = i
  }
  return least
}
