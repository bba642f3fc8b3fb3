/**
 * What the trade knows of one cut: where it sits, what it is called, what it is made
 * of, what shape it comes in and what heat suits it.
 */
import type { Composition } from '#core/heat/properties'

export type Region = 'UK' | 'US' | 'AU' | 'FR' | 'IT' | 'ES' | 'BR' | 'DE'

export const REGION_NAMES: Record<Region, string> = {
  UK: 'United Kingdom',
  US: 'United States',
  AU: 'Australia and New Zealand',
  FR: 'France',
  IT: 'Italy',
  ES: 'Spain and Latin America',
  BR: 'Brazil',
  DE: 'Germany'
}

export interface RegionalName {
  readonly region: Region
  readonly names: readonly string[]
}

/** How far a figure goes both ways, in the unit its name says. */
export type Range = readonly [low: number, high: number]

export type Heat = 'pan' | 'pan and oven' | 'oven' | 'coals' | 'water bath' | 'braise'

export interface CutShape {
  /** A flat piece with two faces, or a round log cut across into rounds. */
  readonly outline: 'steak' | 'round'
  readonly thicknessMm: Range
  readonly lengthMm: Range
  /** Equal to the length for a round. */
  readonly widthMm: Range
  /** Share of the rectangle (or of the circle) that the piece fills; estimate. */
  readonly fill: number
  readonly weightG: Range
}

export interface Cut {
  readonly id: string
  readonly name: string
  readonly muscle: string
  readonly primal: string
  readonly regional: readonly RegionalName[]
  readonly composition: Composition
  /** Warner–Bratzler shear force, kg: lower is more tender. From memory, about the values of muscle-profiling surveys. */
  readonly shearKg: number
  readonly shape: CutShape
  readonly suits: readonly Heat[]
  /** Why that heat, in a sentence. */
  readonly because: string
  readonly grain: string
  /** Where it goes wrong most often. */
  readonly pitfall: string
  /** Where the fat lies: drawn on the Section. */
  readonly fatEdge: boolean
  readonly bone: boolean
  /** Set for a cut that a pan cannot make tender: why, and what to do instead. */
  readonly braise: string | null
}

export const isTender = (cut: Cut): boolean => cut.braise === null

/** Tender under 3.2 kg, tough over 5 (common survey bands, from memory). */
export function tendernessWord(cut: Cut): string {
  if (cut.braise !== null) return 'tough until braised'
  if (cut.shearKg < 3.2) return 'very tender'
  if (cut.shearKg < 3.9) return 'tender'
  if (cut.shearKg < 4.6) return 'some chew'
  return 'firm: slice it thin'
}
