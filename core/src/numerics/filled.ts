/** So many numbers worked out one by one: an iterator costs ten times as much, and a plan makes some thousands of these. */
export function filled(length: number, of: (index: number) => number): Float64Array {
  const numbers = new Float64Array(length)
  for (let i = 0; i < length; i++) numbers[i] = of(i)
  return numbers
}
