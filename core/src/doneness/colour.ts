/**
 * The colour of a cut face by the hottest each part has been: purple-red raw, red near
 * 50, rose at 54–57, pale pink at 62, tan about 70, grey-brown above, dark in the
 * crust. Common practice, no source; heat turns myoglobin brown between 55 and 75 °C.
 */

const STOPS: readonly (readonly [celsius: number, r: number, g: number, b: number])[] = [
  [20, 108, 18, 46],
  [42, 128, 22, 48],
  [50, 178, 38, 58],
  [55, 208, 72, 88],
  [59, 218, 112, 116],
  [63, 214, 154, 144],
  [68, 192, 154, 130],
  [74, 165, 134, 110],
  [90, 139, 110, 86],
  [101, 112, 82, 58],
  [106, 84, 54, 33],
  [130, 58, 34, 20],
  [170, 36, 20, 12]
]

/** @returns a CSS colour */
export function cookedColour(hottest: number): string {
  const first = STOPS[0]
  if (hottest <= first[0]) return rgb(first[1], first[2], first[3])
  for (let i = 1; i < STOPS.length; i++) {
    const [to, r1, g1, b1] = STOPS[i]
    if (hottest > to) continue
    const [from, r0, g0, b0] = STOPS[i - 1]
    const share = (hottest - from) / (to - from)
    return rgb(r0 + share * (r1 - r0), g0 + share * (g1 - g0), b0 + share * (b1 - b0))
  }
  const last = STOPS[STOPS.length - 1]
  return rgb(last[1], last[2], last[3])
}

const rgb = (r: number, g: number, b: number): string => `rgb(${Math.round(r)} ${Math.round(g)} ${Math.round(b)})`
