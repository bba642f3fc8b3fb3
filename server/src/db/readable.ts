/** Rows that cannot be read any more hurt no others: they are kept as they are, and told apart. */

/** What is stored cannot be read: somebody wrote in the file, or the disk did. */
export class UnreadableError extends Error {
  override readonly name = 'UnreadableError'
}

export function readableOf<Row, T>(rows: readonly Row[], read: (row: Row) => T): { readonly read: T[]; readonly unreadable: Row[] } {
  const found: T[] = []
  const unreadable: Row[] = []
  for (const row of rows) {
    try {
      found.push(read(row))
    } catch {
      unreadable.push(row)
    }
  }
  return { read: found, unreadable }
}
