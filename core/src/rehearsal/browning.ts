/**
 * How brown a face is, from how hot it was and for how long. Browning takes water's going and then runs about twice as
 * fast for each ten kelvins (common practice, no source; the tenfold of roasting chemistry per 30 K is near it). The
 * scale is set so that a face held at 150 °C is hazelnut after a minute, and a steak turned every minute in a pan of
 * 200 °C is chestnut when it is done; the words are ours. For a sign and a score,
 * not for the heat: the engine does not need it.
 */
import { valueAt } from '#core/heat/history'

const AT_C = 150
const DOUBLES_K = 10
/** Below this nothing browns worth seeing, °C. */
const FROM_C = 105

/** In seconds at 150 °C. */
function browning(time: readonly number[], face: readonly (number | null)[], until: number): number {
  let dose = 0
  for (let i = 1; i < time.length && time[i - 1] < until; i++) {
    const [a, b] = [face[i - 1], face[i]]
    if (a === null || b === null) continue
    const end = Math.min(until, time[i])
    const mean = (a + valueAt([time[i - 1], time[i]], [a, b], end)) / 2
    if (mean > FROM_C) dose += (end - time[i - 1]) * 2 ** ((Math.min(mean, 260) - AT_C) / DOUBLES_K)
  }
  return dose
}

/** How hot it was where, and how brown it is of it. */
export interface Face {
  readonly dose: number
  readonly hottestC: number
}
export const faceOf = (time: readonly number[], face: readonly (number | null)[], until: number): Face => ({
  dose: browning(time, face, until),
  hottestC: Math.max(...face.map((T, i) => (time[i] <= until ? (T ?? 0) : 0)))
})

export const SHADES = ['raw', 'grey', 'straw', 'hazelnut', 'chestnut', 'near black'] as const
export type Shade = (typeof SHADES)[number]
/** From which dose on a face that is cooked has this shade. */
const FROM: readonly (readonly [dose: number, shade: Shade])[] = [
  [0, 'grey'],
  [15, 'straw'],
  [60, 'hazelnut'],
  [300, 'chestnut'],
  [2500, 'near black']
]
/** °C: until then a face looks raw. */
const COOKED_C = 60

export function shadeOf({ dose, hottestC }: Face): Shade {
  if (hottestC < COOKED_C) return 'raw'
  return FROM.reduce((found, [from, shade]) => (dose >= from ? shade : found), FROM[0][1])
}
/** Where a crust is best, and from where it is bitter: by its dose. */
export const GOOD_CRUST = [60, 2500] as const
