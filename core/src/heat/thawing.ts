/**
 * How long a frozen piece takes to thaw in air or water of one temperature.
 *
 * A slab between two equal faces, by the enthalpy method: each cell's enthalpy is carried
 * forward, and temperature follows from it by the ice that is left. Ice by the law of the
 * ideal solution, x = w_f·(1 − T_f/T) below the freezing point T_f, with w_f the water that
 * can freeze (Schwartzberg, J. Food Science 41, 1976; from memory). Explicit steps, since
 * thawing has hours to do in and conduction in ice sets the step.
 *
 * SI, °C.
 */
import type { Composition } from './properties'

/** °C, of lean beef; typical, from memory. */
const FREEZING_POINT = -1.1
/** Water bound to protein does not freeze: kg for each kg of protein; typical, from memory. */
const BOUND = 0.4
/** J/kg */
const LATENT = 333_600
/** J/(kg·K): of ice, liquid water, and what is dry. */
const HEAT = { ice: 2050, water: 4180, dry: 1700 }
/** W/(m·K), lean beef thawed and frozen hard; typical, from memory. */
const CONDUCTIVITY = { thawed: 0.48, frozen: 1.5 }
/** kg/m³ */
const DENSITY = 1050
const CELLS = 12
/** Coldest that a kitchen freezer gets; the enthalpy curve starts here. */
const COLDEST = -40

export interface Thawing {
  /** Of the piece between its two faces, m. */
  readonly thickness: number
  readonly composition: Composition
  /** °C, below freezing */
  readonly from: number
  /** °C, of air or water */
  readonly around: number
  /** W/(m²·K) at both faces */
  readonly exchange: number
  /** Thawed when the coldest has reached this, °C. */
  readonly until?: number
}

/** Exchange at the faces of a packet, W/(m²·K): typical, from memory. */
export const THAWING_EXCHANGE = { fridge: 9, room: 12, 'cold water': 150, 'running water': 350 } as const
const LONGEST_S = 10 * 24 * 3600

/** @returns seconds; Infinity where the surroundings never bring it there */
export function thawingTime({ thickness, composition, from, around, exchange, until = -0.5 }: Thawing): number {
  if (from >= until) return 0
  if (around <= until) return Infinity
  const curve = enthalpyCurve(composition)
  const dx = thickness / 2 / CELLS
  const enthalpy = new Float64Array(CELLS).fill(curve.enthalpy(from))
  const temperature = new Float64Array(CELLS).fill(from)
  // Stable where the fastest cell, frozen hard, is: half the usual limit.
  const dt = (0.25 * dx * dx * DENSITY * HEAT.ice * 0.9) / CONDUCTIVITY.frozen
  const flow = new Float64Array(CELLS + 1)
  for (let time = 0; time < LONGEST_S; time += dt) {
    const outer = conductivity(temperature[0])
    flow[0] = (around - temperature[0]) / (1 / exchange + dx / 2 / outer)
    for (let i = 1; i < CELLS; i++) {
      const a = conductivity(temperature[i - 1])
      const b = conductivity(temperature[i])
      flow[i] = (((2 * a * b) / (a + b)) * (temperature[i - 1] - temperature[i])) / dx
    }
    for (let i = 0; i < CELLS; i++) {
      enthalpy[i] += (dt * (flow[i] - flow[i + 1])) / (dx * DENSITY)
      temperature[i] = curve.temperature(enthalpy[i])
    }
    if (temperature[CELLS - 1] >= until) return time + dt
  }
  return Infinity
}

function conductivity(celsius: number): number {
  if (celsius >= FREEZING_POINT) return CONDUCTIVITY.thawed
  return CONDUCTIVITY.frozen + (CONDUCTIVITY.thawed - CONDUCTIVITY.frozen) * (FREEZING_POINT / celsius)
}

/** Enthalpy by temperature, J/kg, and back; nothing at the coldest. */
export function enthalpyCurve({ water, protein }: Composition): {
  enthalpy: (celsius: number) => number
  temperature: (enthalpy: number) => number
} {
  const freezable = Math.max(0, water - BOUND * protein)
  const dry = (1 - water) * HEAT.dry
  const ice = (T: number): number => (T >= FREEZING_POINT ? 0 : freezable * (1 - FREEZING_POINT / T))
  // ∫ (ice·c_ice + liquid·c_water + dry) dT − latent·(ice − ice₀), the integral in closed form.
  const sensible = (T: number): number => {
    const below = Math.min(T, FREEZING_POINT)
    const iceIntegral = freezable * (below - COLDEST - FREEZING_POINT * Math.log(below / COLDEST))
    return (T - COLDEST) * (dry + water * HEAT.water) - iceIntegral * (HEAT.water - HEAT.ice)
  }
  const enthalpy = (T: number): number => sensible(T) + LATENT * (ice(COLDEST) - ice(T))
  const atFreezing = enthalpy(FREEZING_POINT)
  const above = dry + water * HEAT.water
  // Inverse kept as a table: the loops ask for nothing else.
  const inverse = Float64Array.from({ length: PIECES + 1 }, (_, i) => bisect(enthalpy, (atFreezing * i) / PIECES))
  return {
    enthalpy,
    temperature: wanted => {
      if (wanted >= atFreezing) return FREEZING_POINT + (wanted - atFreezing) / above
      const x = Math.max(0, (wanted / atFreezing) * PIECES)
      const i = Math.min(PIECES - 1, x | 0)
      return inverse[i] + (x - i) * (inverse[i + 1] - inverse[i])
    }
  }
}

const PIECES = 2000

/** Temperature below freezing at which a rising function has a value. */
function bisect(of: (celsius: number) => number, value: number): number {
  let low = COLDEST
  let high = FREEZING_POINT
  for (let i = 0; i < 50; i++) {
    const middle = (low + high) / 2
    if (of(middle) < value) low = middle
    else high = middle
  }
  return (low + high) / 2
}
