/**
 * Seeded random numbers: a 32-bit mulberry generator and normal draws by Box and
 * Muller, cut at 2.5 standard deviations so that no draw is absurd.
 */
export class Randomness {
  private state: number

  constructor(seed: number) {
    this.state = seed >>> 0
  }

  /** Even in [0, 1). */
  even(): number {
    this.state = (this.state + 0x6d2b79f5) >>> 0
    let t = this.state
    t = Math.imul(t ^ (t >>> 15), t | 1)
    t ^= t + Math.imul(t ^ (t >>> 7), t | 61)
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296
  }

  normal(): number {
    const radius = Math.sqrt(-2 * Math.log(1 - this.even()))
    const z = radius * Math.cos(2 * Math.PI * this.even())
    return Math.max(-2.5, Math.min(2.5, z))
  }
}
