/**
 * Water as vapour: how much the air can hold, what it costs to leave, and how
 * strongly drying meat holds on to it.
 */

import { Tabulated } from './tabulated'

/** J/kg at the boiling point. */
export const BOILING_LATENT_HEAT = 2.257e6

/** J/kg at a surface temperature; linear fit to steam tables between 0 and 100 °C. */
export const latentHeat = (celsius: number): number => 2.501e6 - 2.44e3 * celsius

/** Molar mass of water over the gas constant, kg·K/J. */
const MOLAR = 0.018015 / 8.31446

const HOTTEST_WET = 200

/**
 * Pressure of saturated vapour, Pa. A. L. Buck, "New equations for computing vapor
 * pressure", J. Applied Meteorology 20 (1981), with the 1996 constants (from memory).
 */
export function saturatedPressure(celsius: number): number {
  return 611.21 * Math.exp((18.678 - celsius / 234.5) * (celsius / (257.14 + celsius)))
}

/** Pa/K: `saturatedPressure` differentiated. */
function saturatedPressureSlope(celsius: number): number {
  const d = 257.14 + celsius
  return saturatedPressure(celsius) * (-celsius / (234.5 * d) + (18.678 - celsius / 234.5) * (257.14 / (d * d)))
}

/** Pressure of so much vapour in air, Pa; an ideal gas. */
export const vapourPressure = (density: number, celsius: number): number => (density * (celsius + 273.15)) / MOLAR

/** Density of vapour of that pressure, kg/m³. */
export const vapourDensity = (pressure: number, celsius: number): number => (pressure * MOLAR) / (celsius + 273.15)

/** Density of saturated vapour, kg/m³; within 2 % of steam tables up to 100 °C. */
export const saturatedVapour = (celsius: number): number => vapourDensity(saturatedPressure(celsius), celsius)

/** The pressure and its slope as tables, for the loops; above 200 °C a surface is bone dry and the value is held. */
export const SATURATED = new Tabulated(celsius => saturatedPressure(Math.min(celsius, HOTTEST_WET)))
export const SATURATED_SLOPE = new Tabulated(celsius => (celsius < HOTTEST_WET ? saturatedPressureSlope(celsius) : 0))

/**
 * Vapour that a wet face loses, kg/(m²·s·Pa) for each W/(m²·K) of convection. The Lewis analogy,
 * h / (ρ·c·Le^⅔), by the difference of vapour density in the film of air between: that air's
 * own density and the vapour's both fall with its absolute temperature, so what is true at 60 °C
 * (ρ·c·Le^⅔ = 1007 J/(m³·K) in moist air) is true at any.
 */
export const LEWIS = MOLAR / (333.15 * 1007)

/** Boiling point by altitude: about 1 °C lower for each 300 m. */
export const boilingPoint = (altitudeM: number): number => 100 - altitudeM / 300

/**
 * Water activity of meat that has kept `share` of its raw water (0–1), by an Oswin
 * isotherm X = 0.10·(a/(1−a))^0.5 on dry mass, with raw meat at X ≈ 2.6
 * (typical of lean meat near 60 °C, from memory).
 */
export function waterActivity(share: number): number {
  const ratio = (share * 26) ** 2
  return ratio / (1 + ratio)
}

/** Its slope by the share. */
export function waterActivitySlope(share: number): number {
  const ratio = (share * 26) ** 2
  return (2 * 26 * 26 * share) / (1 + ratio) ** 2
}

/**
 * The boiling curve: the share of the raw water that can stay in a cell at a
 * temperature above the boiling point, in three straight pieces through the
 * isotherm above at one atmosphere: free water is gone 4 °C above boiling, the
 * last bound water 60 °C above.
 */
export const FREE_WATER_GONE = { aboveBoiling: 4, share: 0.1 } as const
export const BOUND_WATER_GONE = { aboveBoiling: 60, share: 0 } as const

/**
 * Share of the raw water that cooked meat still holds at a temperature, 1 when cold: it lets go in two steps. Past 55 °C
 * its fibres shorten, by R. G. M. van der Sman, "Moisture transport during cooking of meat", Meat Science 76 (2007):
 * equilibrium water 0.745 − 0.345/(1 + 30·exp(−0.25(T − 52))) kg/kg (from memory), turned into water on dry mass
 * relative to the raw. Before that, between 40 and 55 °C, they shrink across (J. R. Bendall and D. J. Restall, Meat
 * Science 8, 1983, from memory), which that leaves out: as much as meat loses in its bag at 50 °C.
 */
export function heldWaterShare(celsius: number): number {
  const wet = 0.745 - 0.345 / (1 + 30 * Math.exp(-0.25 * (celsius - 52)))
  const shrunk = ACROSS.share / (1 + Math.exp((ACROSS.at - celsius) / ACROSS.width))
  return ((1 - shrunk) * wet) / (1 - wet) / RAW_WATER_ON_DRY
}
const ACROSS = { share: 0.15, at: 48, width: 2.5 } as const
const RAW_WATER_ON_DRY = 0.745 / 0.255
