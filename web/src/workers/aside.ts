/**
 * What follows from a plan is worked out beside it by one worker that stays: how sure it is, what if.
 * It goes piece by piece, and what nobody waits for any more is dropped between two pieces.
 */
import type { Remote } from 'comlink'
import { hireWorker, type Hand } from './planner'
import type { PlannerWorker } from './planner.worker'

/** ms: at least so long before the first, while page and workers still wake and a first turn of a dial would have to share with it. */
const AFTER_WAKING = 800

let hand: Hand | null = null
let tickets = 0

/**
 * @param work what to ask, with the ticket that goes along with each question
 * @param after ms to wait first: the hand on the dial should be still
 * @param failed called where it could not be worked out, not where it was let go
 * @returns to let it go
 */
export function aside(
  work: (remote: Remote<PlannerWorker>, ticket: number) => Promise<void>,
  after: number,
  failed: () => void
): () => void {
  tickets += 1
  const ticket = tickets
  let [wanted, begun] = [true, false]
  const begin = (): void => {
    begun = true
    hand ??= hireWorker()
    const { remote } = hand
    work(remote, ticket).catch(() => {
      if (wanted) failed()
    })
  }
  const waiting = setTimeout(begin, hand ? after : Math.max(after, AFTER_WAKING))
  return () => {
    wanted = false
    clearTimeout(waiting)
    if (begun) void hand?.remote.letGo(ticket)
  }
}
