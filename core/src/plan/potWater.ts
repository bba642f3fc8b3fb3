/** The pot without a machine by itself: how its water is mixed, how it falls, and what keeps it up. Seconds, °C, litres. */
import { LumpState } from '#core/heat/lump'
import { boilingPoint } from '#core/heat/vapour'
import { LITRE_HEAT, mixed, potLump } from '#core/kit/bath'
import type { Room } from '#core/kit/air'
import { waterAtStart, type InPot } from '#core/method/pot'

export type Mixed = Pick<InPot, 'pot' | 'boilingParts' | 'coldParts' | 'coldC' | 'lid'>

export interface PotWater {
  /** Where it boils here. */
  readonly boilsC: number
  /** Of each in this pot. */
  readonly boilingL: number
  readonly coldL: number
  /** Poured together, before the pot has taken its part, and after. */
  readonly mixedC: number
  readonly inPotC: number
}

export function potWater(settings: Mixed, room: Room): PotWater {
  const { pot, boilingParts, coldParts, coldC } = settings
  const parts = Math.max(1e-9, boilingParts + coldParts)
  const boilsC = boilingPoint(room.altitudeM)
  return {
    boilsC,
    boilingL: (pot.litres * boilingParts) / parts,
    coldL: (pot.litres * coldParts) / parts,
    mixedC: mixed([
      { litres: boilingParts, celsius: boilsC },
      { litres: coldParts, celsius: coldC }
    ]),
    inPotC: waterAtStart({ settings, room })
  }
}

const STEP = 15

/** Left alone, with nothing in it, from a temperature on: °C after so long. */
export function potAfter({ pot, lid }: Pick<Mixed, 'pot' | 'lid'>, room: Room, startC: number, seconds: number): number {
  const water = new LumpState(potLump(pot, startC, lid, room))
  const steps = Math.max(1, Math.round(seconds / STEP))
  for (let i = 0; i < steps; i++) {
    water.begin(seconds / steps, null)
    water.finish(seconds / steps, 0, 0)
  }
  return water.temperature
}

/** Boiling water that brings the pot from one temperature back to another, L; null where even a flood would not. */
export function topUpLitres({ pot }: Pick<Mixed, 'pot'>, room: Room, fromC: number, toC: number): number | null {
  const above = boilingPoint(room.altitudeM) - toC
  if (above <= 1) return null
  return ((pot.litres * LITRE_HEAT + pot.metalHeat) * Math.max(0, toC - fromC)) / (LITRE_HEAT * above)
}
