/**
 * Metal or water that is one lump of heat: a pan fed by a burner that a cook turns up
 * and down, a pot of hot water that cools. Robbed by the room and by the meat.
 *
 * A step of the piece needs the lump's temperature before what the piece took is known.
 * The lump therefore goes ahead with the heat taken in the step before, made straight
 * in its own temperature, and is put right with the true figure afterwards, so that
 * nothing is lost between the two.
 */
import { latentHeat, LEWIS, saturatedPressure } from './vapour'
import { ConvergenceError } from '#core/numerics/convergence'

export interface Lump {
  /** J/K */
  readonly heatCapacity: number
  /** To the room, W/K. */
  readonly loss: number
  /** Open water, m²: it evaporates into the room. */
  readonly openWater: number
  readonly room: number
  readonly start: number
}

export interface Burner {
  /** Temperature the cook, or the thermostat, holds, °C. */
  readonly hold: number
  /** Most that reaches the lump, W. */
  readonly power: number
  /** How hard the knob is turned for each degree the lump is off, W/K. */
  readonly response: number
}

/** What a cook does to a lump between two stages. */
export type LumpChange =
  | { readonly lump: number; readonly kind: 'brought to'; readonly temperature: number }
  | { readonly lump: number; readonly kind: 'poured in'; readonly heatCapacity: number; readonly temperature: number }

/** kg/(m²·s·Pa) from open still water: natural convection of about 8 W/(m²·K). */
const EVAPORATION = 8 * LEWIS
/** Pa: a kitchen’s air. */
const ROOM_VAPOUR = 1350

const MOST_ITERATIONS = 60
const SETTLED_KELVIN = 1e-6

export class LumpState {
  /** At the end of the last step. */
  temperature: number
  /** Where the step under way is expected to end. */
  ahead: number
  private heatCapacity: number
  /** W taken by the piece in the last step, and how it goes with the lump's temperature, W/K. */
  private taken = 0
  private takenSlope = 0
  /** W from burner less room in the step under way. */
  private net = 0

  constructor(private readonly lump: Lump) {
    this.temperature = this.ahead = lump.start
    this.heatCapacity = lump.heatCapacity
  }

  change(change: LumpChange): void {
    if (change.kind === 'brought to') this.temperature = change.temperature
    else {
      const sum = this.heatCapacity + change.heatCapacity
      this.temperature = (this.heatCapacity * this.temperature + change.heatCapacity * change.temperature) / sum
      this.heatCapacity = sum
    }
    this.ahead = this.temperature
  }

  begin(dt: number, burner: Burner | null): void {
    const { lump, temperature } = this
    const rate = this.heatCapacity / dt
    let T = temperature
    // Straight but for the knob's two stops and the vapour: a few Newton steps, kept between what is known to be too cold and too hot.
    let [low, high] = [-Infinity, Infinity]
    let settled = false
    for (let i = 0; i < MOST_ITERATIONS && !settled; i++) {
      let feed = 0
      let feedSlope = 0
      if (burner) {
        const wanted = lump.loss * (burner.hold - lump.room) + burner.response * (burner.hold - T)
        feed = Math.min(burner.power, Math.max(0, wanted))
        feedSlope = feed === wanted ? -burner.response : 0
      }
      const vapour = lump.openWater > 0 ? lump.openWater * EVAPORATION * (saturatedPressure(T) - ROOM_VAPOUR) * latentHeat(T) : 0
      this.net = feed - lump.loss * (T - lump.room) - vapour
      const off = rate * (T - temperature) - this.net + this.taken + this.takenSlope * (T - temperature)
      const slope = rate + lump.loss + vapour * 0.04 - feedSlope + this.takenSlope
      if (off > 0) high = T
      else low = T
      const next = T - off / slope
      settled = Math.abs(next - T) < SETTLED_KELVIN
      T = settled || (next > low && next < high) || high - low === Infinity ? next : (low + high) / 2
    }
    if (!settled) throw new ConvergenceError(`A pan or pot of ${temperature} °C found no balance in ${dt} s.`)
    this.ahead = T
  }

  /** @param share of the step under way that has gone by */
  at(share: number): number {
    return this.temperature + share * (this.ahead - this.temperature)
  }

  /**
   * @param heat J that the piece took in the step
   * @param slope W more for each kelvin the lump is warmer
   */
  finish(dt: number, heat: number, slope: number): void {
    this.taken = heat / dt
    this.takenSlope = slope
    this.temperature += (dt * (this.net - this.taken)) / this.heatCapacity
    this.ahead = this.temperature
  }
}
