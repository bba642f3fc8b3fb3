/** Workers that run the engine, by what they do, so that a slow spread never delays a plan. */
import { wrap, type Remote } from 'comlink'
import type { Engine } from './engine.worker'
import { engineWorker } from './engineWorker'
import { packPlans } from './packed'

packPlans()

export interface EngineWorker {
  readonly remote: Remote<Engine>
  terminate(): void
}

export function startEngine(): EngineWorker {
  const worker = engineWorker()
  return { remote: wrap<Engine>(worker), terminate: () => worker.terminate() }
}

/** One question to a worker of its own, which then ends. */
export async function askEngine<T>(question: (remote: Remote<Engine>) => Promise<T>): Promise<T> {
  const worker = startEngine()
  try {
    return await question(worker.remote)
  } finally {
    worker.terminate()
  }
}
