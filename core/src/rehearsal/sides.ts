/** What stands beside the beef in a rehearsal, as its keeper tells it, and what it came to. */

/** Something to do with a side, at its time. */
export interface SideCall {
  readonly id: string
  /** Of which side. */
  readonly of: string
  readonly says: string
  /** After the first piece is laid in, s. */
  readonly dueS: number
}
/** As it was done in one rehearsal, by its clock, epoch ms; null where it was not. */
export interface SideDone extends SideCall {
  readonly doneAt: number | null
}

/** Off its time by no more than that nobody notices, s. */
export const UNNOTICED_S = 180

/** How one side came out: by how much its worst step was off, s; null where one was never done. */
export interface SideServed {
  readonly of: string
  readonly offS: number | null
}
/** @param laidAt when the first piece was laid in, epoch ms */
export function sidesServed(calls: readonly SideDone[], laidAt: number): SideServed[] {
  return [...new Set(calls.map(c => c.of))].map(of => {
    const off = calls
      .filter(c => c.of === of)
      .map(({ doneAt, dueS }) => (doneAt === null ? null : (doneAt - laidAt) / 1000 - dueS))
      .sort((a, b) => (a === null ? -1 : b === null ? 1 : Math.abs(b) - Math.abs(a)))
    return { of, offS: off[0] }
  })
}

/** Points for a side that is never made; and at the most for one that is off, a point for each minute. */
const MISSING = 8
export const sidesCost = (sides: readonly SideServed[]): number =>
  sides.reduce(
    (sum, { offS }) => sum + (offS === null ? MISSING : Math.min(MISSING, Math.round(Math.max(0, Math.abs(offS) - UNNOTICED_S) / 60))),
    0
  )
