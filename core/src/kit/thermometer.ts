/**
 * A cook's thermometer and how far off it is. Checked in ice water and in boiling water
 * it is taken to be off by a straight line between the two. °C.
 */
import { boilingPoint } from '#core/heat/vapour'

export interface Thermometer {
  readonly id: string
  readonly name: string
  /** A leave-in probe reads all the while; the other is put in and taken out. */
  readonly leaveIn: boolean
  /** What it shows in ice water, well stirred. */
  readonly inIceC: number
  /** What it shows in boiling water; null where it was not checked there. */
  readonly inBoilingC: number | null
  /** Where it was checked, m above the sea. */
  readonly checkedAtM: number
}

/** How far off a thermometer may be and still be one. */
export const OFF_LIMITS_K = 15

export const TRUE_READER: Thermometer = {
  id: 'instant',
  name: 'Instant-read thermometer',
  leaveIn: false,
  inIceC: 0,
  inBoilingC: null,
  checkedAtM: 0
}

/** Degrees shown for each true one. */
function gain({ inIceC, inBoilingC, checkedAtM }: Thermometer): number {
  return inBoilingC === null ? 1 : (inBoilingC - inIceC) / boilingPoint(checkedAtM)
}

/** What is really there when it shows this. */
export const trueC = (thermometer: Thermometer, shownC: number): number => (shownC - thermometer.inIceC) / gain(thermometer)

/** What it shows when this is really there. */
export const shownC = (thermometer: Thermometer, actualC: number): number => thermometer.inIceC + actualC * gain(thermometer)

/** What it should show in boiling water there. */
export const boilingThere = (altitudeM: number): number => boilingPoint(altitudeM)
