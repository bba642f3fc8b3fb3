/** An iteration did not settle: a fault of the program, never of the cook. */
export class ConvergenceError extends Error {
  override readonly name = 'ConvergenceError'
}
