/** The engine's own thread, apart from what speaks with it, so that the first one can begin before the page is read. */

let begun: Worker | null = null

const start = (): Worker => new Worker(new URL('./engine.worker.ts', import.meta.url), { type: 'module' })

export function beginEngine(): void {
  begun = start()
}

/** The one that has begun, or a fresh one. */
export function engineWorker(): Worker {
  const worker = begun ?? start()
  begun = null
  return worker
}
