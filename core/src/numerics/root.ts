/**
 * Root of a function that rises, if not smoothly, where it is dear to ask: by the secant from a guess and a slope,
 * each new pair of points mending the slope, and never back beyond a point known to lie on the other side.
 */

export interface Point {
  readonly x: number
  readonly y: number
}

export interface Search {
  readonly from: number
  /** Of the function there, told from the first point where that is a function; must be above zero. */
  readonly slope: number | ((first: Point) => number)
  readonly low: number
  readonly high: number
  /** Whether a point is near enough to zero. */
  readonly close: (point: Point, slope: number) => boolean
  /** Steps shorter than this are not taken. */
  readonly narrow: number
  /** Times the function may be asked. */
  readonly most: number
}

export interface Found {
  /** All that were asked, in order; the last is the answer. */
  readonly points: readonly Point[]
  readonly slope: number
  /** 'above': even the lowest is too much; 'below': the highest not enough; 'tired': asked often enough, or no step left worth taking. */
  readonly ends: 'close' | 'above' | 'below' | 'tired'
}

/** A step upward goes no further than so many times what is known already. */
const MOST_GROWTH = 1.8

export function risingRoot(f: (x: number) => number, { from, slope: given, low, high, close, narrow, most }: Search): Found {
  const first = { x: from, y: f(from) }
  const points: Point[] = [first]
  let slope = typeof given === 'number' ? given : given(first)
  let at = first
  let under = low
  let over = high
  for (;;) {
    if (close(at, slope)) return { points, slope, ends: 'close' }
    if (at.y > 0 && at.x <= low) return { points, slope, ends: 'above' }
    if (at.y <= 0 && at.x >= high) return { points, slope, ends: 'below' }
    if (at.y > 0) over = at.x
    else under = at.x
    const aimed = Math.min(at.x - at.y / slope, low + (at.x - low) * MOST_GROWTH + (over - low) / 50)
    const x = inside(aimed, under, over, low, high)
    if (points.length >= most || Math.abs(x - at.x) < narrow) return { points, slope, ends: 'tired' }
    const then = { x, y: f(x) }
    points.push(then)
    const mended = (then.y - at.y) / (then.x - at.x)
    if (mended > 0) slope = mended
    at = then
  }
}

/** Between what is known to be under and over; the ends of the range may be asked themselves. */
function inside(aimed: number, under: number, over: number, low: number, high: number): number {
  const bounded = Math.min(high, Math.max(low, aimed))
  if ((bounded > under || under === low) && (bounded < over || over === high)) return bounded
  return (under + over) / 2
}
