/**
 * What the trade knows of one cut: where it sits, what it is called, what it is made
 * of, what shape it comes in and what heat suits it. The cuts themselves are data, in
 * `catalogue/`.
 */
import type { Composition } from '#core/heat/properties'

export const REGION_NAMES = {
  UK: 'United Kingdom',
  US: 'United States',
  AU: 'Australia and New Zealand',
  FR: 'France',
  IT: 'Italy',
  ES: 'Spain and Latin America',
  BR: 'Brazil',
  DE: 'Germany',
  JP: 'Japan'
} as const

export type Region = keyof typeof REGION_NAMES
export const REGIONS = Object.keys(REGION_NAMES) as readonly Region[]

/** How far a figure goes both ways, in the unit its name says. */
export type Range = readonly [low: number, high: number]

export const HEATS = ['pan', 'pan and oven', 'oven', 'coals', 'water bath', 'braise'] as const
export type Heat = (typeof HEATS)[number]

export const PRIMALS = ['head', 'chuck', 'rib', 'loin', 'rump', 'round', 'shank', 'brisket', 'plate', 'flank'] as const
export type Primal = (typeof PRIMALS)[number]

export const PROFILES = [
  'strip',
  'eye and cap',
  't-bone',
  'round',
  'log',
  'tapered log',
  'roast with cap',
  'roast on ribs',
  'cap',
  'triangle',
  'fan',
  'blanket',
  'long',
  'teardrop',
  'slab',
  'marrow slice'
] as const
/** How the usual piece is drawn. */
export type Profile = (typeof PROFILES)[number]

export interface CutShape {
  /** A flat piece with two faces, or a round: a log, or a slice across one. */
  readonly outline: 'steak' | 'round'
  readonly thicknessMm: Range
  readonly lengthMm: Range
  /** For a round slice the same as the length, for a round log the same as the thickness. */
  readonly widthMm: Range
  /** Share of the rectangle (or of the circle) that the piece fills; estimate. */
  readonly fill: number
  readonly weightG: Range
}

/** The muscle before it is portioned. */
export type WholeMuscle = Pick<CutShape, 'thicknessMm' | 'lengthMm' | 'widthMm' | 'fill' | 'weightG'>

export const GRAINS = ['along', 'across', 'slanting', 'through', 'fanning', 'turning'] as const
export interface Grain {
  /** Seen from above: along or across the long side, at a slant, down through the thickness, as rays, or in two directions. */
  readonly runs: (typeof GRAINS)[number]
  readonly text: string
}

export const FEATURE_KINDS = ['bone', 'fat cap', 'seam fat', 'silverskin', 'sinew strip', 'head'] as const
/** Connective tissue, fat or bone that the knife has to deal with. */
export interface Feature {
  readonly kind: (typeof FEATURE_KINDS)[number]
  readonly where: string
  readonly advice: string
}

export interface Cut {
  readonly id: string
  readonly name: string
  readonly muscle: string
  readonly primal: Primal
  /** Regions where it has no name of its own are left out. */
  readonly regional: Partial<Record<Region, readonly string[]>>
  /** What is printed on packets, abbreviations and all. */
  readonly labels: readonly string[]
  /** Warner–Bratzler shear force: lower is more tender. */
  readonly shear: { readonly kg: number; readonly source: SourceId }
  /** Intramuscular, share of the raw mass. */
  readonly fat: Range
  /** At the middle of that range. */
  readonly composition: Composition
  /** What it usually is in the kitchen. */
  readonly form: 'steak' | 'roast'
  readonly shape: CutShape
  readonly whole: WholeMuscle | null
  /** How the whole muscle is cut: across into slices, or, being thin already, into lengths. */
  readonly portioning: 'slices' | 'lengths' | null
  readonly profile: Profile
  readonly grain: Grain
  readonly slice: { readonly text: string; readonly mm: number }
  readonly features: readonly Feature[]
  /** Where the fat lies: drawn on the Section. */
  readonly fatEdge: boolean
  readonly bone: boolean
  /** Share of what is bought that goes into the pan. */
  readonly trim: number
  /** Bought for one ordinary eater, bone and trim included. */
  readonly gramsPerDiner: number
  /** From 1, cheap, to 5, dear. */
  readonly price: number
  readonly suits: readonly { readonly heat: Heat; readonly because: string }[]
  /** Where it goes wrong most often, worst first. */
  readonly pitfalls: readonly string[]
  readonly substitutes: readonly { readonly id: string; readonly because: string }[]
  /** Set for a cut that no dry heat makes tender: why, and what to do instead. */
  readonly braise: { readonly because: string; readonly outline: string } | null
}

/** Where a shear force is from. Names, shapes, yields and portions are common practice, no source. */
export const SOURCES = {
  sullivan:
    'about the weighted mean of published studies in G. A. Sullivan and C. R. Calkins, J. Food Quality 34 (2011); from memory, ± 0.4 kg',
  belew: 'about the mean in J. B. Belew et al., Meat Science 64 (2003), 40 muscles; from memory, ± 0.4 kg',
  judged: 'no published figure known to us: judged beside its neighbours, ± 1 kg'
} as const
export type SourceId = keyof typeof SOURCES

export const isTender = (cut: Cut): boolean => cut.braise === null

export const heatsOf = (cut: Cut): readonly Heat[] => cut.suits.map(s => s.heat)

/** Why not the pan, and what to do; empty for a tender cut. */
export const braiseAdvice = (cut: Cut): string => (cut.braise ? `${cut.braise.because} ${cut.braise.outline}` : '')

/** Tender under 3.2 kg, tough over 4.6 (common survey bands, from memory). */
export type Tenderness = 'very tender' | 'tender' | 'some chew' | 'firm: slice it thin' | 'tough until braised'
export function tendernessWord(cut: Cut): Tenderness {
  if (cut.braise !== null) return 'tough until braised'
  if (cut.shear.kg < 3.2) return 'very tender'
  if (cut.shear.kg < 3.9) return 'tender'
  if (cut.shear.kg < 4.6) return 'some chew'
  return 'firm: slice it thin'
}
