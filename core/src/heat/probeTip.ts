/**
 * The tip of a thermometer: it takes some seconds to follow what it stands in, more or less as a first-order lag.
 * While that warms evenly it is as many seconds behind.
 */

/** s; of thin tips, settled within about three times as long; common practice, no source. */
export const PROBE_BEHIND_S = 4

export class ProbeTip {
  /** °C */
  shows: number

  constructor(private standsIn: number) {
    this.shows = standsIn
  }

  /** @param now what it stands in at the end of the step, °C: it went there evenly; @param step s */
  follow(now: number, step: number): void {
    const behind = (PROBE_BEHIND_S * (now - this.standsIn)) / step
    this.shows = now - behind + (this.shows - this.standsIn + behind) * Math.exp(-step / PROBE_BEHIND_S)
    this.standsIn = now
  }
}
