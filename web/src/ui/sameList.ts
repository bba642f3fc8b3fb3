/** Something to be picked from a list. */
export interface Option {
  readonly value: string
  readonly label: string
}

/**
 * A list for the library, which changes what it is given; as long as it says the same it is the same: one that is given
 * anew while it is open goes back to its top, under the hand that is about to pick.
 */
export function sameList(options: readonly Option[], before: Option[] | undefined): Option[] {
  const as = (o: Option, i: number): boolean => before?.[i]?.value === o.value && before[i].label === o.label
  return before?.length === options.length && options.every(as) ? before : options.map(o => ({ ...o }))
}
