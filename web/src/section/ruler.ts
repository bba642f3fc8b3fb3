/** Ticks of the butcher's ruler beside the Section, from the first face up. */
import type { UnitSystem } from '#core/quantity/units'

export interface Tick {
  readonly mm: number
  /** px */
  readonly length: number
  readonly label: string | null
}

const INCH = 25.4

/** @param scale px per mm */
export function rulerTicks(thicknessMm: number, system: UnitSystem, scale: number): Tick[] {
  const metric = system === 'metric'
  const step = metric ? 1 : INCH / 8
  const every = metric ? (scale < 2.2 ? 20 : 10) : 8
  const middle = metric ? 5 : 4
  const fine = step * scale >= 2.5
  const ticks: Tick[] = []
  for (let n = 0; n * step <= thicknessMm + 1e-6; n++) {
    const labelled = n % every === 0
    if (!labelled && n % middle !== 0 && !fine) continue
    ticks.push({ mm: n * step, length: labelled ? 14 : n % middle === 0 ? 10 : 6, label: labelled ? String(metric ? n : n / 8) : null })
  }
  return ticks
}
