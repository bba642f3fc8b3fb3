/** @returns to have it called twice a second, also while the page is out of sight; and to stop */
export function ticker(tick: () => void): { readonly start: () => void; readonly stop: () => void } {
  let worker: Worker | null = null
  return {
    start: () => {
      if (worker) return
      worker = new Worker(new URL('./ticker.worker.ts', import.meta.url), { type: 'module' })
      worker.onmessage = tick
    },
    stop: () => {
      worker?.terminate()
      worker = null
    }
  }
}
