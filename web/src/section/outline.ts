/**
 * The drawn shape of a piece cut open across its width, in millimetres: x along the
 * width, y through the thickness, 0 at the second face.
 */

export interface SectionShape {
  readonly widthMm: number
  readonly thicknessMm: number
  /** A steak with a rim of fat on one side, or a round without. */
  readonly fatEdge: boolean
}

/** Width of the fat rim, mm; what butchers usually leave on. */
const FAT_MM = 7

/** The whole outline: faces nearly flat, sides bulged. */
export function outlinePath({ widthMm: w, thicknessMm: t }: SectionShape): string {
  const r = Math.min(t * 0.52, w * 0.18)
  const sag = Math.min(t * 0.025, 1)
  return [
    `M ${r} ${sag}`,
    `Q ${w / 2} ${-sag} ${w - r} ${sag}`,
    `C ${w - r * 0.35} ${sag} ${w} ${t * 0.22} ${w} ${t * 0.5}`,
    `C ${w} ${t * 0.78} ${w - r * 0.35} ${t - sag} ${w - r} ${t - sag}`,
    `Q ${w / 2} ${t + sag} ${r} ${t - sag}`,
    `C ${r * 0.35} ${t - sag} 0 ${t * 0.8} 0 ${t * 0.52}`,
    `C 0 ${t * 0.2} ${r * 0.35} ${sag} ${r} ${sag}`,
    'Z'
  ].join(' ')
}

/** The rim of fat along the left side. */
export function fatPath({ widthMm: w, thicknessMm: t, fatEdge }: SectionShape): string | null {
  if (!fatEdge) return null
  const f = Math.min(FAT_MM, w * 0.12)
  return `M ${f * 2.1} -2 C ${f * 1.5} ${t * 0.18} ${f * 0.75} ${t * 0.3} ${f * 0.85} ${t * 0.55} C ${f * 0.95} ${t * 0.75} ${f * 1.5} ${t * 0.85} ${f * 2.3} ${t + 2} L -2 ${t + 2} L -2 -2 Z`
}

/** Flecks of fat in the lean, the same every time for the same piece. */
export function marbling({ widthMm: w, thicknessMm: t, fatEdge }: SectionShape, fatShare: number, seed: number): string[] {
  const random = seeded(seed)
  const count = Math.round(w * t * Math.max(0, fatShare - 0.03) * 0.16)
  const left = fatEdge ? 12 : 4
  return Array.from({ length: Math.min(count, 140) }, () => {
    const x = left + random() * (w - left - 5)
    const y = 2.5 + random() * (t - 5)
    const reach = 1.2 + random() * 3.2
    const lean = (random() - 0.5) * 2.6
    return `M ${x.toFixed(1)} ${y.toFixed(1)} q ${(reach * 0.5).toFixed(1)} ${(lean * 0.8).toFixed(1)} ${reach.toFixed(1)} ${lean.toFixed(1)}`
  })
}

function seeded(seed: number): () => number {
  let state = seed % 2147483647 || 1
  return () => {
    state = (state * 48271) % 2147483647
    return state / 2147483647
  }
}
