/** What water and a ring's power make of a pot: until it boils, and until a sauce is reduced. Litres, W, s. */
import { at, WATER_HEAT } from '#core/heat/properties'
import { BOILING_LATENT_HEAT } from '#core/heat/vapour'

const TAP_C = 15
const BOIL_C = 100
/** Of what reaches a pot under its lid, the rest going off its sides; and of a wide open pan turned right up, going into steam. Estimates. */
const HEATS = 0.85
const STEAMS = 0.7

export const boilSeconds = (litres: number, ringW: number): number => (litres * at(WATER_HEAT, 50) * (BOIL_C - TAP_C)) / (HEATS * ringW)

/** @param leaves share of it that stays */
export const reduceSeconds = (litres: number, leaves: number, ringW: number): number =>
  (litres * (1 - leaves) * BOILING_LATENT_HEAT) / (STEAMS * ringW)
