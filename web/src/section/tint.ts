/** Tenderness as a tint: pale where it is tough, oxblood where it is tender. Never the only sign of it. */
import { isTender, type Cut } from '#core/meat/cut'

const TOUGH = [206, 190, 184] as const
const TENDER = [146, 28, 40] as const

/** @param share 0 for the palest, 1 for the deepest */
export function shade(share: number): string {
  const s = Math.max(0, Math.min(1, share))
  return `rgb(${TOUGH.map((t, i) => Math.round(t + s * (TENDER[i] - t))).join(' ')})`
}

/** 0 for what must be braised, 1 for the most tender. */
export const tenderness = (cut: Cut): number => (isTender(cut) ? Math.max(0.12, Math.min(1, (5.3 - cut.shear.kg) / 2.4)) : 0)

export const tint = (cut: Cut): string => shade(tenderness(cut))
