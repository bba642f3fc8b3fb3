/**
 * A metal plate as one lump of heat: fed by a burner that a cook turns up and
 * down around the temperature wanted, robbed by the air and by the meat on it.
 */

export interface Plate {
  /** J/K */
  readonly heatCapacity: number
  /** To the room, W/K. */
  readonly loss: number
  /** Meat resting on it, m². */
  readonly meatArea: number
  readonly room: number
  readonly start: number
}

export interface Burner {
  /** The plate temperature the cook holds, °C. */
  readonly hold: number
  /** Most that reaches the metal, W. */
  readonly power: number
  /** How hard the cook turns the knob for each degree the plate is off, W/K. */
  readonly response: number
}

/**
 * The plate during one step, solved implicitly with the meat surface on it:
 * temperature = base + slope · surface.
 */
export class PlateState {
  temperature: number
  /** J that the burner gave since the beginning. */
  given = 0
  private base = 0
  private slope = 0
  private capacityRate = 0
  private feed = 0
  private feedSlope = 0

  constructor(private readonly plate: Plate) {
    this.temperature = plate.start
  }

  /** Sets up a step of `dt` seconds with meat in contact (W/(m²·K), 0 when lifted off). */
  begin(dt: number, burner: Burner | null, contact: number): void {
    const { plate } = this
    this.capacityRate = plate.heatCapacity / dt
    if (burner === null) {
      this.linearise(0, 0, contact)
      return
    }
    const steady = plate.loss * (burner.hold - plate.room)
    const wanted = steady + burner.response * (burner.hold - this.temperature)
    if (wanted >= burner.power) this.linearise(burner.power, 0, contact)
    else if (wanted <= 0) this.linearise(0, 0, contact)
    else this.linearise(steady + burner.response * burner.hold, burner.response, contact)
  }

  private linearise(feed: number, feedSlope: number, contact: number): void {
    const { plate } = this
    this.feed = feed
    this.feedSlope = feedSlope
    const meat = contact * plate.meatArea
    const sum = this.capacityRate + feedSlope + plate.loss + meat
    this.base = (this.capacityRate * this.temperature + feed + plate.loss * plate.room) / sum
    this.slope = meat / sum
  }

  /** Temperature at the end of the step if the meat surface ends at `surface`. */
  facing(surface: number): number {
    return this.base + this.slope * surface
  }

  get facingSlope(): number {
    return this.slope
  }

  commit(dt: number, surface: number): void {
    this.temperature = this.facing(surface)
    this.given += dt * (this.feed - this.feedSlope * this.temperature)
  }
}
