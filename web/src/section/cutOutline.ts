/**
 * A cut seen from above as we draw it: an outline, its fat, bone and seams, and lines
 * along its fibres. Profiles are our own, in a unit square, stretched to the piece.
 */
import type { Grain, Profile } from '#core/meat/cut'
import type { Point } from '#core/meat/side'

interface Drawn {
  readonly outline: readonly Point[]
  /** Edge with fat on it, as a run of the outline's points. */
  readonly fat: readonly [from: number, to: number]
  /** Lines of seam or sinew. */
  readonly seams?: readonly (readonly Point[])[]
  readonly bone?: readonly Point[]
}

const ROUND: Drawn = {
  outline: [
    [0.5, 0],
    [0.83, 0.1],
    [1, 0.42],
    [0.92, 0.8],
    [0.6, 1],
    [0.22, 0.93],
    [0, 0.6],
    [0.12, 0.18]
  ],
  fat: [0, 2]
}
const LOG: Drawn = {
  outline: [
    [0.04, 0.2],
    [0.3, 0.02],
    [0.75, 0],
    [0.97, 0.2],
    [1, 0.55],
    [0.94, 0.86],
    [0.6, 1],
    [0.2, 0.98],
    [0.02, 0.76],
    [0, 0.45]
  ],
  fat: [0, 3]
}

// prettier-ignore
const DRAWN: Record<Profile, Drawn> = {
  strip: { outline: [[0.03, 0.28], [0.2, 0.07], [0.55, 0], [0.86, 0.08], [1, 0.36], [0.97, 0.7], [0.8, 0.96], [0.5, 1], [0.2, 0.9], [0, 0.62]], fat: [0, 4] },
  'eye and cap': {
    outline: [[0.02, 0.4], [0.14, 0.1], [0.45, 0], [0.78, 0.04], [0.98, 0.28], [1, 0.62], [0.84, 0.92], [0.5, 1], [0.16, 0.9], [0, 0.66]],
    fat: [1, 4],
    seams: [[[0.1, 0.34], [0.34, 0.26], [0.62, 0.24], [0.84, 0.38], [0.94, 0.62]]],
    bone: [[0.06, 0.94], [0.3, 1.03], [0.62, 1.05], [0.62, 0.96], [0.3, 0.93], [0.1, 0.84]]
  },
  't-bone': {
    outline: [[0.02, 0.34], [0.16, 0.06], [0.5, 0], [0.84, 0.06], [1, 0.34], [0.97, 0.66], [0.8, 0.9], [0.56, 1], [0.26, 0.96], [0.04, 0.7]],
    fat: [0, 3],
    bone: [[0, 0.56], [0.5, 0.5], [0.98, 0.58], [0.98, 0.65], [0.6, 0.6], [0.57, 0.98], [0.5, 0.98], [0.51, 0.6], [0, 0.64]]
  },
  round: ROUND,
  log: LOG,
  'tapered log': { outline: [[0.02, 0.3], [0.16, 0.04], [0.4, 0], [0.7, 0.16], [0.94, 0.36], [1, 0.52], [0.93, 0.66], [0.65, 0.84], [0.32, 1], [0.1, 0.92], [0, 0.6]], fat: [0, 2] },
  'roast with cap': { ...LOG, fat: [9, 13] },
  'roast on ribs': { ...LOG, fat: [9, 13], bone: [[0.08, 0.96], [0.92, 0.96], [0.9, 1.1], [0.78, 1.1], [0.76, 1], [0.6, 1], [0.58, 1.1], [0.46, 1.1], [0.44, 1], [0.3, 1], [0.28, 1.1], [0.12, 1.1]] },
  cap: { outline: [[0, 0.5], [0.06, 0.12], [0.3, 0], [0.62, 0.12], [0.9, 0.36], [1, 0.5], [0.9, 0.68], [0.6, 0.9], [0.28, 1], [0.05, 0.86]], fat: [0, 5] },
  triangle: { outline: [[0, 0.44], [0.14, 0.1], [0.4, 0], [0.66, 0.2], [0.9, 0.6], [1, 0.84], [0.86, 0.92], [0.5, 0.96], [0.2, 1], [0.04, 0.8]], fat: [0, 3] },
  fan: { outline: [[0.02, 0.5], [0.2, 0.16], [0.5, 0], [0.82, 0.04], [1, 0.3], [0.94, 0.68], [0.74, 0.94], [0.4, 1], [0.14, 0.84]], fat: [0, 3] },
  blanket: { outline: [[0, 0.24], [0.22, 0.04], [0.46, 0.1], [0.72, 0], [0.98, 0.12], [1, 0.5], [0.95, 0.86], [0.68, 0.94], [0.42, 1], [0.16, 0.92], [0.02, 0.66]], fat: [0, 4] },
  long: { outline: [[0, 0.46], [0.08, 0.16], [0.3, 0.04], [0.6, 0.08], [0.88, 0], [1, 0.36], [0.96, 0.76], [0.7, 0.94], [0.36, 1], [0.08, 0.84]], fat: [0, 3] },
  teardrop: { outline: [[0, 0.5], [0.1, 0.16], [0.34, 0], [0.6, 0.12], [0.86, 0.36], [1, 0.52], [0.84, 0.66], [0.58, 0.88], [0.32, 1], [0.08, 0.82]], fat: [0, 2] },
  slab: { outline: [[0, 0.16], [0.14, 0.02], [0.5, 0], [0.86, 0.04], [1, 0.2], [0.98, 0.6], [0.94, 0.94], [0.56, 1], [0.14, 0.96], [0.02, 0.7]], fat: [0, 4] },
  'marrow slice': { ...ROUND, bone: [[0.5, 0.4], [0.6, 0.44], [0.63, 0.54], [0.57, 0.63], [0.46, 0.63], [0.4, 0.54], [0.42, 0.44]] }
}

const SMOOTH = 1 / 6

/** A closed smooth line through the points (Catmull–Rom). */
export function smoothPath(points: readonly Point[], w = 1, h = 1): string {
  const n = points.length
  const at = (i: number): Point => points[((i % n) + n) % n]
  const p = ([x, y]: Point): string => `${(x * w).toFixed(1)} ${(y * h).toFixed(1)}`
  const curves = points.map((_, i) => curve(at(i - 1), at(i), at(i + 1), at(i + 2), p))
  return `M ${p(at(0))} ${curves.join(' ')} Z`
}

function openPath(points: readonly Point[], w: number, h: number): string {
  const p = ([x, y]: Point): string => `${(x * w).toFixed(1)} ${(y * h).toFixed(1)}`
  const at = (i: number): Point => points[Math.min(points.length - 1, Math.max(0, i))]
  const curves = points.slice(1).map((_, i) => curve(at(i - 1), at(i), at(i + 1), at(i + 2), p))
  return `M ${p(points[0])} ${curves.join(' ')}`
}

function curve(a: Point, b: Point, c: Point, d: Point, p: (q: Point) => string): string {
  const first: Point = [b[0] + (c[0] - a[0]) * SMOOTH, b[1] + (c[1] - a[1]) * SMOOTH]
  const second: Point = [c[0] - (d[0] - b[0]) * SMOOTH, c[1] - (d[1] - b[1]) * SMOOTH]
  return `C ${p(first)}, ${p(second)}, ${p(c)}`
}

export interface CutPaths {
  readonly outline: string
  readonly fat: string | null
  readonly seams: readonly string[]
  readonly bone: string | null
}

/** @param w long side, px @param h across, px */
export function cutPaths(profile: Profile, w: number, h: number, fatEdge: boolean, bone: boolean): CutPaths {
  const drawn = DRAWN[profile]
  const n = drawn.outline.length
  const [from, to] = drawn.fat
  const edge = Array.from({ length: to - from + 1 }, (_, i) => drawn.outline[(from + i) % n])
  return {
    outline: smoothPath(drawn.outline, w, h),
    fat: fatEdge ? openPath(edge, w, h) : null,
    seams: (drawn.seams ?? []).map(s => openPath(s, w, h)),
    bone: bone && drawn.bone ? smoothPath(drawn.bone, w, h) : null
  }
}

/** Lines along the fibres across a box, as one path; ends of fibres are short dashes. */
export function grainPath(runs: Grain['runs'], w: number, h: number, gap = 5): string {
  const angle = { along: 3, across: 88, slanting: 38, through: 0, fanning: 0, turning: 0 }[runs]
  if (runs === 'through') {
    const dots: string[] = []
    for (let y = gap / 2, row = 0; y < h; y += gap * 0.8, row++)
      for (let x = (row % 2) * gap * 0.6; x < w; x += gap * 1.2) dots.push(`M ${x.toFixed(1)} ${y.toFixed(1)} h 1`)
    return dots.join(' ')
  }
  if (runs === 'fanning') {
    const lines: string[] = []
    for (let a = -70; a <= 70; a += 9) {
      const rad = (a * Math.PI) / 180
      lines.push(
        `M ${(-0.1 * w).toFixed(1)} ${(h / 2).toFixed(1)} l ${(1.5 * w * Math.cos(rad)).toFixed(1)} ${(1.5 * w * Math.sin(rad)).toFixed(1)}`
      )
    }
    return lines.join(' ')
  }
  if (runs === 'turning') return `${hatch(28, 0, w * 0.52, h, gap)} ${hatch(-42, w * 0.52, w, h, gap)}`
  return hatch(angle, 0, w, h, gap)
}

/** Parallel lines at an angle, from one x to another. */
function hatch(degrees: number, from: number, to: number, h: number, gap: number): string {
  const rad = (degrees * Math.PI) / 180
  const lines: string[] = []
  if (Math.abs(degrees) > 60) {
    const lean = h / Math.tan(rad)
    for (let x = from - Math.abs(lean); x < to + Math.abs(lean); x += gap)
      lines.push(`M ${x.toFixed(1)} ${h.toFixed(1)} L ${(x + lean).toFixed(1)} 0`)
    return lines.join(' ')
  }
  const rise = Math.tan(rad) * (to - from)
  for (let y = -Math.abs(rise); y < h + Math.abs(rise); y += gap / Math.cos(rad))
    lines.push(
      `M ${from.toFixed(1)} ${(y + (rise > 0 ? rise : 0)).toFixed(1)} L ${to.toFixed(1)} ${(y + (rise > 0 ? 0 : -rise)).toFixed(1)}`
    )
  return lines.join(' ')
}
