/**
 * What a diner would notice: degrees first, then the grey edge, the crust, what was lost, and how long was waited. A
 * hundred less what each costs; a plate nobody would send back keeps them all. Our own measure.
 */
import { GOOD_CRUST } from './browning'
import type { Served } from './cutOpen'

export interface Score {
  readonly points: number
  /** What each cost, of a hundred. */
  readonly degrees: number
  /** Cold as it came to the table. */
  readonly cold: number
  readonly grey: number
  readonly crust: number
  readonly loss: number
  readonly minutes: number
}

interface Judged {
  readonly targetC: number
  readonly served: Pick<Served, 'peakC' | 'carvedC' | 'greyMm' | 'crust' | 'loss'>
  readonly wanted: Pick<Served, 'loss' | 'greyMm'>
  /** After it was planned to be carved, s. */
  readonly lateS: number
}

/** Free of charge, then so many points for each more, and no more than so many. */
const COST = {
  degrees: { free: 1.5, each: 8, most: 60 },
  cold: { free: 0, each: 2, most: 20 },
  grey: { free: 1, each: 4, most: 25 },
  loss: { free: 0.02, each: 300, most: 15 },
  minutes: { free: 180, each: 1 / 60, most: 15 }
} as const
const cost = (over: number, { free, each, most }: (typeof COST)[keyof typeof COST]): number =>
  Math.round(Math.min(most, Math.max(0, over - free) * each))
/** Warm enough at the table, °C: this, or where it was to be rarer so much under that. */
const WARM = { from: 46, under: 4 } as const
/** For each halving short of a good crust, and each doubling past it. */
const CRUST = { each: 8, most: 20 } as const

export function scoreOf({ targetC, served, wanted, lateS }: Judged): Score {
  const [least, most] = GOOD_CRUST
  const dose = Math.max(1, served.crust?.dose ?? least)
  const off = Math.max(0, Math.log2(least / dose), Math.log2(dose / most))
  const costs = {
    degrees: cost(Math.abs(served.peakC - targetC), COST.degrees),
    cold: cost(Math.min(WARM.from, targetC - WARM.under) - served.carvedC, COST.cold),
    grey: cost(served.greyMm - wanted.greyMm, COST.grey),
    crust: Math.round(Math.min(CRUST.most, CRUST.each * off)),
    loss: cost(served.loss - wanted.loss, COST.loss),
    minutes: cost(Math.abs(lateS), COST.minutes)
  }
  const points = Math.max(0, 100 - costs.degrees - costs.cold - costs.grey - costs.crust - costs.loss - costs.minutes)
  return { points, ...costs }
}
