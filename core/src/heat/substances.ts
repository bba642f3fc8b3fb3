/**
 * The figures of a body's materials in one table, as the loops want them. Each is named
 * by where its row begins: `row(place)`. J, kg, m, °C.
 */
import { WATER_HEAT, type Material } from './properties'

const FIGURES = 10
const DRIED = 6
const RAW_WATER = 7
const VAPOUR = 8
const PER_RAW_WATER = 9
const [WATER_0, WATER_1, WATER_2] = WATER_HEAT

export class Substances {
  private readonly table: Float64Array

  constructor(materials: readonly Material[]) {
    this.table = Float64Array.from(
      materials.flatMap(m => [...m.solidsHeat, ...m.wetConductivity, m.driedConductivity, m.rawWater, m.vapourDiffusivity, 1 / m.rawWater])
    )
  }

  row(place: number): number {
    return place * FIGURES
  }

  rawWater(row: number): number {
    return this.table[row + RAW_WATER]
  }

  /** m³/kg */
  perRawWater(row: number): number {
    return this.table[row + PER_RAW_WATER]
  }

  driedConductivity(row: number): number {
    return this.table[row + DRIED]
  }

  wetConductivity(row: number, T: number): number {
    const { table } = this
    return table[row + 3] + T * (table[row + 4] + T * table[row + 5])
  }

  vapourDiffusivity(row: number): number {
    return this.table[row + VAPOUR]
  }

  /** J/(m³·K). @param water kg/m³ */
  capacity(row: number, T: number, water: number): number {
    const { table } = this
    return table[row] + water * WATER_0 + T * (table[row + 1] + water * WATER_1 + T * (table[row + 2] + water * WATER_2))
  }

  /** Enthalpy gained from one temperature to another, J/m³. */
  warming(row: number, from: number, to: number, water: number): number {
    const { table } = this
    const sum = from + to
    const curved = (sum * sum - from * to) * (table[row + 2] + water * WATER_2)
    return (to - from) * (table[row] + water * WATER_0 + 0.5 * sum * (table[row + 1] + water * WATER_1) + curved / 3)
  }
}
