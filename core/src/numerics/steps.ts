/**
 * Work that takes many runs of the engine, as steps of one run or so: whoever does it may
 * pause between two, or be let go.
 */
export type Steps<T> = Generator<undefined, T, undefined>

/** All of it at once. */
export function finish<T>(steps: Steps<T>): T {
  for (;;) {
    const step = steps.next()
    if (step.done === true) return step.value
  }
}
