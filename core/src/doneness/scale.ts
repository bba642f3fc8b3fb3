/**
 * What cooks mean by rare and done. The words are the same everywhere and the degrees
 * are not, so every scale is a school, and the figure is what counts. °C at the core,
 * at its peak. All common practice, no source, but for the public-health line.
 */

export interface Band {
  readonly word: string
  /** From this up to the next band's. */
  readonly from: number
  /** What a cook of this school aims at. */
  readonly aim: number
}

export interface Scale {
  readonly id: string
  readonly name: string
  readonly says: string
  readonly bands: readonly Band[]
}

const bands = (...rows: readonly (readonly [word: string, from: number, aim: number])[]): Band[] =>
  rows.map(([word, from, aim]) => ({ word, from, aim }))

export const SCALES: readonly Scale[] = [
  {
    id: 'middle',
    name: 'Middle school',
    says: 'medium rare served at 54',
    bands: bands(
      ['blue', 0, 46],
      ['rare', 48, 50],
      ['medium rare', 52, 54],
      ['medium', 57, 59],
      ['medium well', 62, 64],
      ['well done', 67, 70]
    )
  },
  {
    id: 'early',
    name: 'Early school',
    says: 'pulled at 48, served at 53',
    bands: bands(
      ['blue', 0, 45],
      ['rare', 47, 49],
      ['medium rare', 51, 53],
      ['medium', 55, 57],
      ['medium well', 60, 62],
      ['well done', 65, 68]
    )
  },
  {
    id: 'late',
    name: 'Late school',
    says: 'medium rare served at 56',
    bands: bands(
      ['blue', 0, 47],
      ['rare', 49, 52],
      ['medium rare', 54, 56],
      ['medium', 58, 60],
      ['medium well', 64, 66],
      ['well done', 69, 71]
    )
  },
  {
    id: 'hot',
    name: 'Hot school',
    says: 'rare at 50, medium rare at 60',
    bands: bands(
      ['blue', 0, 45],
      ['rare', 48, 50],
      ['medium rare', 56, 60],
      ['medium', 62, 65],
      ['medium well', 67, 69],
      ['well done', 70, 73]
    )
  }
]

/** Whole cuts of beef: 62.8 °C (145 °F) and three minutes' rest (USDA). */
export const PUBLIC_HEALTH = { celsius: 62.8, restSeconds: 180 } as const

/** A school of the cook's own. */
export const OWN = 'own'

export const scaleById = (id: string): Scale | undefined => SCALES.find(s => s.id === id)

export function bandOf(scale: Scale, celsius: number): Band {
  return scale.bands.reduce((found, band) => (celsius >= band.from ? band : found), scale.bands[0])
}

/** Up to where a band goes; well done has no end. */
export function bandEnd(scale: Scale, band: Band): number {
  const next = scale.bands[scale.bands.indexOf(band) + 1] as Band | undefined
  return next?.from ?? Infinity
}

/** The scale a request goes by. */
export const scaleOf = ({ scaleId, ownScale }: { readonly scaleId: string; readonly ownScale?: Scale | undefined }): Scale =>
  (scaleId === OWN ? ownScale : scaleById(scaleId)) ?? SCALES[0]
