/**
 * How far a cook has gone toward killing what could make someone ill, as the time at
 * each temperature over the time that reference asks for there. 1 is enough by that
 * reference; local codes come first.
 */

export interface Reference {
  readonly id: string
  readonly name: string
  readonly source: string
  /** s needed at each temperature; between two, straight in the logarithm; nothing is counted below the first. */
  readonly table: readonly (readonly [celsius: number, seconds: number])[]
}

const minutes = (m: number): number => 60 * m

export const REFERENCES: readonly Reference[] = [
  {
    id: 'salmonella-6.5',
    name: '6.5-log Salmonella, roast beef',
    source: 'USDA FSIS, Appendix A (from memory)',
    table: [
      [54.4, minutes(112)],
      [57.2, minutes(36.5)],
      [60, minutes(11.5)],
      [62.8, minutes(4)],
      [65.6, 70],
      [70, 10]
    ]
  },
  {
    id: 'two-minutes-at-70',
    name: '70 °C for two minutes',
    source: 'UK Food Standards Agency equivalents (from memory)',
    table: [
      [60, minutes(45)],
      [65, minutes(10)],
      [70, minutes(2)],
      [75, 30],
      [80, 6]
    ]
  }
]

/** s that the reference asks for at a steady temperature; Infinity where it counts nothing. */
export function secondsNeeded({ table }: Reference, celsius: number): number {
  if (celsius < table[0][0]) return Infinity
  const above = table.findIndex(([T]) => T > celsius)
  if (above < 0) return table[table.length - 1][1]
  const [T0, s0] = table[above - 1]
  const [T1, s1] = table[above]
  return s0 * (s1 / s0) ** ((celsius - T0) / (T1 - T0))
}

/** Over a whole history: 1 and more is enough. @param time s @param celsius at each time */
export function lethality(reference: Reference, time: readonly number[], celsius: readonly number[]): number {
  let sum = 0
  for (let i = 1; i < time.length; i++) {
    const rate = (T: number): number => 1 / secondsNeeded(reference, T)
    sum += (time[i] - time[i - 1]) * 0.5 * (rate(celsius[i - 1]) + rate(celsius[i]))
  }
  return sum
}
