/**
 * Root of a rising function inside a bracket by false position, with the stuck end
 * halved (the Illinois rule) so that both ends close in. Regular enough for
 * simulations, whose rise is steady but not smooth.
 */

export interface Bracket {
  readonly low: number
  readonly high: number
  /** Values there; low must not be above zero, high not below. */
  readonly atLow: number
  readonly atHigh: number
}

/**
 * @param closeEnough accept |f| below this
 * @param narrowEnough or a bracket narrower than this
 */
export function risingRoot(f: (x: number) => number, bracket: Bracket, closeEnough: number, narrowEnough: number): number {
  let { low, high, atLow, atHigh } = bracket
  let stuck = 0
  let best = Math.abs(atLow) < Math.abs(atHigh) ? low : high
  let bestAt = Math.min(Math.abs(atLow), Math.abs(atHigh))
  for (let i = 0; i < 60 && bestAt > closeEnough && high - low > narrowEnough; i++) {
    const span = atHigh - atLow
    const x = span > 0 ? high - (atHigh * (high - low)) / span : (low + high) / 2
    const at = f(x)
    if (Math.abs(at) < bestAt) {
      best = x
      bestAt = Math.abs(at)
    }
    if (at < 0) {
      low = x
      atLow = at
      if (stuck < 0) atHigh /= 2
      stuck = -1
    } else {
      high = x
      atHigh = at
      if (stuck > 0) atLow /= 2
      stuck = 1
    }
  }
  return best
}
