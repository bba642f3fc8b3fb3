/**
 * Workers by what they do, so that a slow spread never delays a plan. `Latest` keeps
 * only the newest question: while one is being answered, a newer one waits and an
 * older one is forgotten.
 */
import { wrap, type Remote } from 'comlink'
import { packPlans } from './packed'
import type { PlannerWorker } from './planner.worker'

packPlans()

/** ms: what follows from a plan is begun once the plan itself is on the screen and the hand is still. */
export const AFTER_PLAN = 150

export interface Hand {
  readonly remote: Remote<PlannerWorker>
  stop(): void
}

export function hireWorker(): Hand {
  const worker = new Worker(new URL('./planner.worker.ts', import.meta.url), { type: 'module' })
  return { remote: wrap<PlannerWorker>(worker), stop: () => worker.terminate() }
}

/** One question to a worker of its own, which is then let go. */
export async function askWorker<T>(question: (remote: Remote<PlannerWorker>) => Promise<T>): Promise<T> {
  const hand = hireWorker()
  try {
    return await question(hand.remote)
  } finally {
    hand.stop()
  }
}

export class Latest<Question, Answer> {
  private asking = false
  private waiting: { question: Question } | null = null

  constructor(
    private readonly ask: (question: Question) => Promise<Answer>,
    private readonly answered: (question: Question, answer: Answer) => void,
    private readonly failed: (question: Question, error: unknown) => void
  ) {}

  put(question: Question): void {
    this.waiting = { question }
    if (!this.asking) void this.work()
  }

  private async work(): Promise<void> {
    this.asking = true
    while (this.waiting) {
      const { question } = this.waiting
      this.waiting = null
      try {
        const answer = await this.ask(question)
        this.answered(question, answer)
      } catch (error) {
        this.failed(question, error)
      }
    }
    this.asking = false
  }
}
