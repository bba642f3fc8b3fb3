/** Seeded random numbers: the library's congruential generator, and its normal draws cut at 2.5 standard deviations so that none is absurd. */
import { randomLcg, randomNormal } from 'd3-random'

/** Neighbouring seeds are sent far apart: the generator's first numbers follow its seed. */
const GOLDEN = (Math.sqrt(5) - 1) / 2

export class Randomness {
  /** Even in [0, 1). */
  readonly even: () => number
  private readonly drawn: () => number

  constructor(seed: number) {
    this.even = randomLcg((seed * GOLDEN) % 1)
    this.drawn = randomNormal.source(this.even)()
  }

  normal(): number {
    return Math.max(-2.5, Math.min(2.5, this.drawn()))
  }
}
