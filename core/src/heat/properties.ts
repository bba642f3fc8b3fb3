/**
 * Thermal properties of raw beef from its composition, and of the same beef as
 * it dries. SI units, temperatures in °C, as everywhere on this floor.
 *
 * Source of the component polynomials: Y. Choi and M. R. Okos, "Effects of
 * temperature and composition on the thermal properties of foods", 1986, as
 * printed in the ASHRAE Handbook—Refrigeration (from memory). For the specific heat of water
 * some printings have 4128.9 where the polynomial needs 4176.2 to meet the steam tables within 0.5 %.
 */
import type { Constants } from './constants'
import { heldWaterShare } from './vapour'

/** Mass fractions of the raw meat. They should add to about 1; the rest counts as protein. */
export interface Composition {
  readonly water: number
  readonly protein: number
  readonly fat: number
  readonly ash: number
  /** Of dough and vegetables; meat has none. */
  readonly carbohydrate?: number
}

type Component = keyof Composition
type WholeComposition = Required<Composition>

/** a + b·T + c·T², T in °C. */
export type Quadratic = readonly [a: number, b: number, c: number]

export const at = (q: Quadratic, celsius: number): number => q[0] + celsius * (q[1] + celsius * q[2])
/** ∫₀ᵀ q, for enthalpies above 0 °C. */
export const integral = (q: Quadratic, celsius: number): number => celsius * (q[0] + celsius * (q[1] / 2 + (celsius * q[2]) / 3))

/** kg/m³ */
const DENSITY = {
  water: [997.18, 3.1439e-3, -3.7574e-3],
  protein: [1329.9, -0.5184, 0],
  fat: [925.59, -0.41757, 0],
  ash: [2423.8, -0.28063, 0],
  carbohydrate: [1599.1, -0.31046, 0]
} as const satisfies Record<Component, Quadratic>

/** J/(kg·K) */
const SPECIFIC_HEAT = {
  water: [4176.2, -0.090864, 5.4731e-3],
  protein: [2008.2, 1.2089, -1.3129e-3],
  fat: [1984.2, 1.4733, -4.8008e-3],
  ash: [1092.6, 1.8896, -3.6817e-3],
  carbohydrate: [1548.8, 1.9625, -5.9399e-3]
} as const satisfies Record<Component, Quadratic>

/** W/(m·K) */
const CONDUCTIVITY = {
  water: [0.57109, 1.7625e-3, -6.7036e-6],
  protein: [0.17881, 1.1958e-3, -2.7178e-6],
  fat: [0.18071, -2.7604e-4, -1.7749e-7],
  ash: [0.32962, 1.4011e-3, -2.9069e-6],
  carbohydrate: [0.20141, 1.3874e-3, -4.3312e-6]
} as const satisfies Record<Component, Quadratic>

export const WATER_HEAT: Quadratic = SPECIFIC_HEAT.water
const [WATER_0, WATER_1, WATER_2] = WATER_HEAT
/** Of water, as the loops want it: J/(kg·K), and J/kg above 0 °C. */
export const waterHeat = (T: number): number => WATER_0 + T * (WATER_1 + T * WATER_2)
export const waterWarmth = (T: number): number => T * (WATER_0 + T * (0.5 * WATER_1 + (T * WATER_2) / 3))

const COMPONENTS = ['water', 'protein', 'fat', 'ash', 'carbohydrate'] as const

/** What the solver needs to know of a substance; all per cubic metre of the raw piece. */
export interface Material {
  /** kg/m³, raw */
  readonly density: number
  /** Heat capacity of everything but water, J/(m³·K). */
  readonly solidsHeat: Quadratic
  /** Conductivity while wet, W/(m·K). */
  readonly wetConductivity: Quadratic
  /** Conductivity once dry, W/(m·K). */
  readonly driedConductivity: number
  /** Water when raw, kg/m³; 0 for a substance that neither dries nor boils. */
  readonly rawWater: number
  /** Whether it holds less water when heated, as muscle does. */
  readonly tightens: boolean
  /** What it has been heated through to before, °C: it is as tight as that made it, whatever it is now. Left out of raw meat. */
  readonly heatedToC?: number
  /** Diffusivity of the water that it does not hold, m²/s: cool, and once tightened. */
  readonly supply: readonly [cool: number, hot: number]
  /** Diffusivity of vapour through it once dry, m²/s. */
  readonly vapourDiffusivity: number
}

/** kg/m³ by volume-weighted mixing. */
export function densityOf(mix: Composition, celsius: number): number {
  let volume = 0
  for (const c of COMPONENTS) volume += (mix[c] ?? 0) / at(DENSITY[c], celsius)
  return 1 / volume
}

/** J/(kg·K) by mass-weighted mixing. */
export function specificHeatOf(mix: Composition, celsius: number): number {
  return COMPONENTS.reduce((sum, c) => sum + (mix[c] ?? 0) * at(SPECIFIC_HEAT[c], celsius), 0)
}

/** W/(m·K) by volume-weighted (parallel) mixing. */
export function conductivityOf(mix: Composition, celsius: number): number {
  const density = densityOf(mix, celsius)
  return COMPONENTS.reduce((sum, c) => sum + (((mix[c] ?? 0) * density) / at(DENSITY[c], celsius)) * at(CONDUCTIVITY[c], celsius), 0)
}

const RAW_CELSIUS = 5

/**
 * Meat that has been heated through to a temperature, long enough to lose all it then no longer holds.
 * @param heatedToC °C
 */
export function cookedComposition(raw: Composition, heatedToC: number): Composition {
  const lost = raw.water * (1 - heldWaterShare(heatedToC))
  const share = (of: number): number => of / (1 - lost)
  return { water: share(raw.water - lost), protein: share(raw.protein), fat: share(raw.fat), ash: share(raw.ash) }
}

/**
 * Muscle, cooked along its fibres.
 * @param mix as it is now
 * @param heatedToC of meat that has been cooked before, °C
 */
export function meatMaterial(mix: Composition, c: Constants, heatedToC?: number): Material {
  return {
    ...mixture(wholeComposition(mix), c.fibreFactor, c.driedConductivity),
    tightens: true,
    ...(heatedToC === undefined ? {} : { heatedToC }),
    supply: [c.coolWaterDiffusivity, c.hotWaterDiffusivity],
    vapourDiffusivity: c.crustVapour
  }
}

/** Water hardly moves in fat or in dough, m²/s; estimate. */
const SLOW_SUPPLY = 2e-10

/** Anything that dries and boils but does not press its water out: a fat cap, pastry, a paste of mushrooms. */
export function coatMaterial(
  raw: Composition,
  driedConductivity: number,
  vapourDiffusivity: number,
  looseness = 1,
  supply = SLOW_SUPPLY
): Material {
  const mix = mixture(wholeComposition(raw), looseness, driedConductivity)
  return { ...mix, tightens: false, supply: [supply, supply], vapourDiffusivity }
}

/** m²/s: nothing to speak of passes. */
const TIGHT = 1e-12

/** A solid without water to lose, such as bone. W/(m·K), kg/m³, J/(kg·K). */
export function drySolid(conductivity: number, density: number, specificHeat: number): Material {
  return {
    density,
    solidsHeat: [density * specificHeat, 0, 0],
    wetConductivity: [conductivity, 0, 0],
    driedConductivity: conductivity,
    rawWater: 0,
    tightens: false,
    supply: [SLOW_SUPPLY, SLOW_SUPPLY],
    vapourDiffusivity: TIGHT
  }
}

/** @param factor conduction over that of the plain mixture: above 1 along fibres, below it where air is folded in */
function mixture(
  mix: WholeComposition,
  factor: number,
  driedConductivity: number
): Omit<Material, 'tightens' | 'supply' | 'vapourDiffusivity'> {
  const density = densityOf(mix, RAW_CELSIUS)
  const combine = (weight: (c: Component) => number, table: Record<Component, Quadratic>, of: readonly Component[]): Quadratic =>
    [0, 1, 2].map(power => of.reduce((sum, c) => sum + weight(c) * table[c][power], 0)) as unknown as Quadratic
  return {
    density,
    solidsHeat: combine(
      c => mix[c] * density,
      SPECIFIC_HEAT,
      COMPONENTS.filter(c => c !== 'water')
    ),
    wetConductivity: combine(c => (factor * mix[c] * density) / at(DENSITY[c], RAW_CELSIUS), CONDUCTIVITY, COMPONENTS),
    driedConductivity,
    rawWater: mix.water * density
  }
}

function wholeComposition(mix: Composition): WholeComposition {
  const carbohydrate = mix.carbohydrate ?? 0
  return { ...mix, carbohydrate, protein: 1 - mix.water - mix.fat - mix.ash - carbohydrate }
}
