/**
 * Portions from a whole muscle: knife cuts square to its length, and what each piece
 * then weighs. Sliced across its fibres a muscle gives steaks whose grain goes down
 * through them; a rump cap's fibres lie across its length, so the same cuts run with
 * the grain and each diner slices across it. On its ribs it is cut between them. Millimetres and grams.
 */
import { densityOf } from '#core/heat/properties'
import type { Cut, Grain, Profile, Range } from './cut'

export interface Muscle {
  readonly lengthMm: number
  readonly widthMm: number
  readonly thicknessMm: number
  /** Trimmed. */
  readonly weightG: number
}

export interface Portion {
  /** Along the muscle. */
  readonly fromMm: number
  readonly toMm: number
  readonly weightG: number
  /** Whole ribs that it is on. */
  readonly ribs: number
  /** What the piece is when it lies in the pan. */
  readonly thicknessMm: number
  readonly lengthMm: number
  readonly widthMm: number
}

const middle = ([low, high]: Range): number => (low + high) / 2

/** A usual whole muscle of the cut, trimmed; null where it does not come whole. */
export function usualMuscle(cut: Cut): Muscle | null {
  if (!cut.whole) return null
  const { fill } = cut.whole
  const [lengthMm, widthMm, thicknessMm] = [cut.whole.lengthMm, cut.whole.widthMm, cut.whole.thicknessMm].map(r => Math.round(middle(r)))
  const bought = (densityOf(cut.composition, 5) / 1e6) * lengthMm * widthMm * thicknessMm * fill
  return { lengthMm, widthMm, thicknessMm, weightG: Math.round((cut.trim * bought) / 10) * 10 }
}

/** How the fibres lie in the whole muscle, as drawn along its length. */
export function grainInWhole(cut: Cut): Grain['runs'] {
  if (cut.portioning !== 'slices') return cut.grain.runs
  if (cut.grain.runs === 'through') return 'along'
  return cut.grain.runs === 'along' && cut.form === 'steak' ? 'across' : cut.grain.runs
}

/** Half the width at each of a few places along the muscle, as a share of the widest; our own rough outlines. */
const TAPER: Partial<Record<Profile, readonly number[]>> = {
  round: [0.75, 1, 0.95, 0.85, 0.7, 0.4],
  log: [0.8, 1, 1, 1, 0.85],
  'tapered log': [0.9, 1, 0.85, 0.6, 0.35],
  cap: [0.95, 1, 0.85, 0.6, 0.2],
  triangle: [0.5, 1, 0.8, 0.45, 0.15],
  teardrop: [0.5, 1, 0.9, 0.5],
  fan: [0.6, 1, 0.95, 0.7]
}
const EVEN = [0.92, 1, 1, 0.92]

/** Width at a place from 0 to 1 along the length, as a share of the widest. */
export function widthAt(profile: Profile, at: number): number {
  const taper = TAPER[profile] ?? EVEN
  const x = Math.min(Math.max(at, 0), 1) * (taper.length - 1)
  const i = Math.min(Math.floor(x), taper.length - 2)
  return taper[i] + (x - i) * (taper[i + 1] - taper[i])
}

/** Weight between two places from 0 to 1, as a share of the whole. */
function shareBetween(profile: Profile, from: number, to: number): number {
  // A round muscle narrows both ways.
  const power = profile === 'round' || profile === 'log' || profile === 'tapered log' || profile === 'teardrop' ? 2 : 1
  const steps = 200
  let part = 0
  let whole = 0
  for (let i = 0; i < steps; i++) {
    const at = (i + 0.5) / steps
    const w = widthAt(profile, at) ** power
    whole += w
    const overlap = Math.min(to, (i + 1) / steps) - Math.max(from, i / steps)
    if (overlap > 0) part += w * overlap * steps
  }
  return part / whole
}

/** A bone that lies across the muscle, mm along it. */
export interface Rib {
  readonly fromMm: number
  readonly toMm: number
}

/** mm from one rib to the next, and how wide one is; common practice, no source. */
const RIB_PITCH_MM = 57
const RIB_WIDE_MM = 22

/** Where the ribs lie in a muscle sold on them; none in any other. */
export function ribsOf(muscle: Pick<Muscle, 'lengthMm'>, cut: Cut): readonly Rib[] {
  if (!cut.bone || cut.primal !== 'rib' || cut.portioning !== 'slices') return []
  const count = Math.max(1, Math.round(muscle.lengthMm / RIB_PITCH_MM))
  const pitch = muscle.lengthMm / count
  return Array.from({ length: count }, (_, i) => ({
    fromMm: Math.round((i + 0.5) * pitch - RIB_WIDE_MM / 2),
    toMm: Math.round((i + 0.5) * pitch + RIB_WIDE_MM / 2)
  }))
}

/** A knife's place beside the rib it would have struck. @param toward −1 or 1 where it was on its way to one side; else the nearer */
export function clearOfRibs(ribs: readonly Rib[], mm: number, toward: -1 | 0 | 1 = 0): number {
  const struck = ribs.find(r => mm > r.fromMm && mm < r.toMm)
  if (!struck) return mm
  const up = toward === 0 ? mm - struck.fromMm > struck.toMm - mm : toward > 0
  return up ? struck.toMm : struck.fromMm
}

const ribsWithin = (ribs: readonly Rib[], fromMm: number, toMm: number): number =>
  ribs.filter(r => r.fromMm >= fromMm && r.toMm <= toMm).length

/** Each place clear of the ribs, and none twice. */
function between(muscle: Muscle, cut: Cut, cuts: readonly number[]): number[] {
  const ribs = ribsOf(muscle, cut)
  return [...new Set(cuts.map(c => clearOfRibs(ribs, c)))].filter(c => c > 0 && c < muscle.lengthMm)
}

/**
 * @param cuts places of the knife along the muscle, mm; in any order
 */
export function portionsAt(muscle: Muscle, cut: Cut, cuts: readonly number[]): Portion[] {
  const inside = between(muscle, cut, cuts).sort((a, b) => a - b)
  const ribs = ribsOf(muscle, cut)
  const places = [0, ...inside, muscle.lengthMm]
  return places.slice(1).map((toMm, i) => {
    const fromMm = places[i]
    const from = fromMm / muscle.lengthMm
    const to = toMm / muscle.lengthMm
    const weightG = Math.round(muscle.weightG * shareBetween(cut.profile, from, to))
    const across = Math.round(muscle.widthMm * widthAt(cut.profile, (from + to) / 2))
    const along = Math.round(toMm - fromMm)
    return cut.portioning === 'slices' && cut.form === 'steak'
      ? {
          fromMm,
          toMm,
          weightG,
          ribs: ribsWithin(ribs, fromMm, toMm),
          thicknessMm: along,
          lengthMm: Math.max(across, muscle.thicknessMm),
          widthMm: Math.min(across, muscle.thicknessMm)
        }
      : {
          fromMm,
          toMm,
          weightG,
          ribs: 0,
          thicknessMm: muscle.thicknessMm,
          lengthMm: Math.max(along, across),
          widthMm: Math.min(along, across)
        }
  })
}

/** Cuts that make portions of equal weight, as nearly as the ribs let them; fewer where there are not so many ways through. */
export function equalPortions(muscle: Muscle, cut: Cut, count: number): number[] {
  const even = Array.from({ length: count - 1 }, (_, i) => {
    const wanted = (i + 1) / count
    let low = 0
    let high = 1
    for (let step = 0; step < 30; step++) {
      const at = (low + high) / 2
      if (shareBetween(cut.profile, 0, at) < wanted) low = at
      else high = at
    }
    return Math.round(low * muscle.lengthMm)
  })
  return between(muscle, cut, even)
}

/** Cuts that make slices of one thickness; less than half a slice left over goes into the last. */
export function slicesOf(muscle: Muscle, cut: Cut, thicknessMm: number): number[] {
  const count = Math.max(1, Math.round(muscle.lengthMm / thicknessMm))
  const even = Array.from({ length: count - 1 }, (_, i) => Math.round((i + 1) * thicknessMm))
  return between(muscle, cut, even)
}
