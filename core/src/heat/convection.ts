/** Natural convection of air round a piece. SI, °C. */

const KELVIN = 273.15
const GRAVITY = 9.81
const PRANDTL = 0.7

/** Of air at atmospheric pressure, by its absolute temperature: power laws through the tables at 300 and 450 K (from memory). */
const conductivity = (kelvin: number): number => 0.0263 * (kelvin / 300) ** 0.86
const kinematicViscosity = (kelvin: number): number => 15.9e-6 * (kelvin / 300) ** 1.72

/**
 * Mean over a horizontal cylinder, W/(m²·K): S. W. Churchill and H. H. S. Chu, Int. J. Heat Mass Transfer 18
 * (1975) 1049, eq. 6 (from memory).
 * @param across m
 */
export function naturalConvection(across: number, air: number, surface: number): number {
  const film = (air + surface) / 2 + KELVIN
  const rayleigh = (PRANDTL * GRAVITY * Math.abs(air - surface) * across ** 3) / (film * kinematicViscosity(film) ** 2)
  const nusselt = (0.6 + (0.387 * rayleigh ** (1 / 6)) / (1 + (0.559 / PRANDTL) ** (9 / 16)) ** (8 / 27)) ** 2
  return (nusselt * conductivity(film)) / across
}
