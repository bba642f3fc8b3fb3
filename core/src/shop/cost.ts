/** What a plate costs once trimming and the fire have taken their share. Money in the cook's own. */

export interface Cost {
  /** On each plate. */
  readonly perDiner: number
  /** g, cooked, on each plate. */
  readonly eatenG: number
  /** Of meat as it is eaten. */
  readonly perEatenKg: number
}

/**
 * @param pricePerKg as bought
 * @param trim share of that which goes into the pan
 * @param loss share of that which the fire takes
 */
export function costOf(pricePerKg: number, boughtG: number, diners: number, trim: number, loss: number): Cost {
  const kept = trim * (1 - loss)
  return { perDiner: (pricePerKg * boughtG) / 1000 / diners, eatenG: (boughtG * kept) / diners, perEatenKg: pricePerKg / kept }
}

/** Of raw mass, for a middling doneness: the engine's own loss replaces it once there is a plan. */
export const USUAL_LOSS = 0.17
