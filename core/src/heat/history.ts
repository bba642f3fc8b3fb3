/**
 * What happened in a run: series against time, and the whole field at chosen moments.
 * Plain arrays, so that a history can be posted from a worker and stored.
 */

export interface History {
  /** s since the start of the program. */
  readonly time: readonly number[]
  /** °C: the thermal centre; the middle of the first and second face and of the side, where there are such; mean by volume; the pan or pot in use. */
  readonly core: readonly number[]
  /** What a well-placed probe shows, °C: it stands near the coldest point, not in it, and is a few seconds behind. */
  readonly probe: readonly number[]
  readonly first: readonly (number | null)[]
  readonly second: readonly (number | null)[]
  readonly side: readonly (number | null)[]
  readonly mean: readonly number[]
  readonly plate: readonly (number | null)[]
  /** Shares of the raw mass lost as vapour and as drips. */
  readonly evaporated: readonly number[]
  readonly dripped: readonly number[]
}

/** The piece cut open at one moment. */
export interface Field {
  readonly time: number
  /** °C, one a cell, ring by ring from the axis outward, each from the first face to the second. */
  readonly temperature: readonly number[]
  /** The hottest each cell has been, °C. */
  readonly hottest: readonly number[]
  /** Share of the raw water left, one a cell. */
  readonly wetness: readonly number[]
  /** Of a slab with a rim: how much hotter its mean over the thickness has been than at the axis, K, one a ring from the axis outward. */
  readonly rimOver?: readonly number[]
}

/** Value of a series at a time, by straight interpolation; the ends hold. */
export function valueAt(time: readonly number[], series: readonly number[], t: number): number {
  let low = 0
  let high = time.length - 1
  if (t <= time[low]) return series[low]
  if (t >= time[high]) return series[high]
  while (high - low > 1) {
    const middle = (low + high) >> 1
    if (time[middle] <= t) low = middle
    else high = middle
  }
  const share = (t - time[low]) / (time[high] - time[low])
  return series[low] + share * (series[high] - series[low])
}

/** The field kept nearest to a moment. */
export const fieldAt = (fields: readonly Field[], time: number): Field =>
  fields.reduce((near, f) => (Math.abs(f.time - time) < Math.abs(near.time - time) ? f : near), fields[0])
