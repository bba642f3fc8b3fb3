/**
 * What follows from a plan is worked out beside it by one worker that stays: how sure it is, what if.
 * It goes piece by piece, and what nobody waits for any more is dropped between two pieces.
 */
import type { Remote } from 'comlink'
import { startEngine, type EngineWorker } from './engine'
import type { Engine } from './engine.worker'

/** ms: what follows from a plan is begun once the plan itself is on the screen and the hand is still. */
export const AFTER_PLAN = 150
/** ms: at least so long before the first, while page and workers still wake and a first turn of a dial would have to share with it. */
const AFTER_WAKING = 800

let worker: EngineWorker | null = null
let tokens = 0

/**
 * @param work what to ask, with the token that goes along with each question
 * @param after ms to wait first: the hand on the dial should be still
 * @param failed called where it could not be worked out, not where it was cancelled
 * @returns to cancel it
 */
export function inBackground(
  work: (remote: Remote<Engine>, token: number) => Promise<void>,
  after: number,
  failed: () => void
): () => void {
  tokens += 1
  const token = tokens
  let [wanted, begun] = [true, false]
  const begin = (): void => {
    begun = true
    worker ??= startEngine()
    work(worker.remote, token).catch(() => {
      if (wanted) failed()
    })
  }
  const waiting = setTimeout(begin, worker ? after : Math.max(after, AFTER_WAKING))
  return () => {
    wanted = false
    clearTimeout(waiting)
    if (begun) void worker?.remote.cancel(token)
  }
}
