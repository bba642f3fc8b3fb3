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
 * The plate during one implicit stage of a time step, solved together with the meat
 * surface on it: temperature = base + slope · surface.
 */
export class PlateState {
  temperature: number
  /** How fast the plate's temperature follows the meat surface on it. */
  facingSlope = 0
  private base = 0

  constructor(private readonly plate: Plate) {
    this.temperature = plate.start
  }

  /**
   * @param from plate temperature that the stage starts from
   * @param contact W/(m²·K), 0 when the piece is lifted off
   */
  begin(dt: number, from: number, burner: Burner | null, contact: number): void {
    const { plate } = this
    const capacityRate = plate.heatCapacity / dt
    const steady = burner === null ? 0 : plate.loss * (burner.hold - plate.room)
    const wanted = burner === null ? 0 : steady + burner.response * (burner.hold - from)
    const follows = burner !== null && wanted > 0 && wanted < burner.power
    const feed = burner === null ? 0 : follows ? steady + burner.response * burner.hold : wanted > 0 ? burner.power : 0
    const meat = contact * plate.meatArea
    const sum = capacityRate + (follows ? burner.response : 0) + plate.loss + meat
    this.base = (capacityRate * from + feed + plate.loss * plate.room) / sum
    this.facingSlope = meat / sum
  }

  /** Temperature at the end of the stage if the meat surface ends at `surface`. */
  facing(surface: number): number {
    return this.base + this.facingSlope * surface
  }
}
