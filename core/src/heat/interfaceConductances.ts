/**
 * Conductances along a line, with the boiling front inside its cell. A cell on the boiling
 * curve is dry as far as its front and wet beyond; its temperature is that of the front,
 * not of its middle. Without this the crust would grow in jumps of a cell and the answer
 * hang on the grid.
 */
import type { Axis } from './grid'
import type { Substances } from './substances'
import { FREE_WATER_GONE } from './vapour'

/** K around boiling over which a cell's temperature moves from its middle to its boiling front, and back. */
const NEARING_FRONT = 8
const LEAVING_FRONT = 20
/** m²·K/W: the front can pass from cell to cell without a gap, but a matrix wants a number. */
const LEAST_RESISTANCE = 1e-7

/**
 * @param temperature °C, and `share` of the raw water, expected in each cell
 * @param conductance result, W/K for each edge; at either end from the outermost cell to the face
 */
export function interfaceConductances(
  axis: Axis,
  substances: Substances,
  material: Uint8Array,
  boiling: number,
  temperature: Float64Array,
  share: Float64Array,
  conductance: Float64Array
): void {
  const { centre, edge, area } = axis
  const n = axis.cells
  let before = 0
  for (let i = 0; i < n; i++) {
    const row = substances.row(material[i])
    const dried = substances.driedConductivity(row)
    const T = temperature[i]
    const wet = substances.wetConductivity(row, T)
    const w = share[i]
    let toLower = (centre[i] - edge[i]) / (dried + w * (wet - dried))
    let toUpper = toLower
    const over = T - boiling
    if (over > -NEARING_FRONT && over < FREE_WATER_GONE.aboveBoiling + LEAVING_FRONT && substances.rawWater(row) > 0) {
      const leaving = over - FREE_WATER_GONE.aboveBoiling
      const below = i > 0 ? share[i - 1] : 0
      const above = i < n - 1 ? share[i + 1] : 0
      const wetter = Math.max(below, above, w)
      const size = edge[i + 1] - edge[i]
      const gone = wetter > FREE_WATER_GONE.share ? Math.min(1, Math.max(0, (wetter - w) / (wetter - FREE_WATER_GONE.share))) : 1
      // What is dry without boiling has no front to speak of.
      const nearing = over < 0 ? (1 + over / NEARING_FRONT) * (1 - gone) : over < 1 ? 1 - gone * (1 - over) : 1
      const atFront = leaving > 0 ? 1 - leaving / LEAVING_FRONT : nearing
      const dry = (gone * size) / dried
      const moist = ((1 - gone) * size) / (dried + wetter * (wet - dried))
      const dryIsBelow = below < above
      toLower += atFront * ((dryIsBelow ? dry : moist) - toLower)
      toUpper += atFront * ((dryIsBelow ? moist : dry) - toUpper)
    }
    conductance[i] = area[i] / Math.max(LEAST_RESISTANCE, before + toLower)
    before = toUpper
  }
  conductance[n] = area[n] / Math.max(LEAST_RESISTANCE, before)
}
