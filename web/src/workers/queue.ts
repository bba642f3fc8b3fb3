/**
 * The queue of one worker that answers only what is wanted now: while a question is being answered a newer one
 * waits, and an older one is forgotten. What has kept a newer question waiting too long is of no use to anybody:
 * its worker is ended, and a fresh one asked.
 */
import type { Remote } from 'comlink'
import { startEngine, type EngineWorker } from './engine'
import type { Engine } from './engine.worker'

export interface Work<Question, Answer> {
  readonly ask: (remote: Remote<Engine>, question: Question) => Promise<Answer>
  readonly answered: (question: Question, answer: Answer, fresh: EngineWorker | null) => void
  readonly failed: (question: Question) => void
}

/** ms that a newer question waits for an older one. */
const PATIENCE_MS = 400

export class Queue<Question, Answer> {
  private worker: EngineWorker | null = null
  private waiting: { readonly question: Question } | null = null
  private busySince: number | null = null
  private impatient: ReturnType<typeof setTimeout> | undefined

  constructor(
    private readonly work: Work<Question, Answer>,
    /** Infinity for work that is always worth its end. */
    private readonly patienceMs = PATIENCE_MS
  ) {}

  put(question: Question): void {
    this.waiting = { question }
    if (this.busySince === null) {
      void this.run()
      return
    }
    const left = this.patienceMs - (performance.now() - this.busySince)
    clearTimeout(this.impatient)
    if (left > 0) {
      if (left < Infinity) this.impatient = setTimeout(() => this.startOver(), left)
    } else this.startOver()
  }

  /** Ends the worker; the next question starts another. */
  stop(): void {
    clearTimeout(this.impatient)
    this.waiting = null
    this.busySince = null
    this.worker?.terminate()
    this.worker = null
  }

  private startOver(): void {
    const { waiting } = this
    if (waiting === null || this.busySince === null) return
    this.stop()
    this.waiting = waiting
    void this.run()
  }

  private async run(): Promise<void> {
    while (this.waiting !== null) {
      const { question } = this.waiting
      this.waiting = null
      const fresh = this.worker === null
      this.worker ??= startEngine()
      const { worker } = this
      this.busySince = performance.now()
      try {
        const answer = await this.work.ask(worker.remote, question)
        if (worker !== this.worker) return
        this.work.answered(question, answer, fresh ? worker : null)
      } catch {
        if (worker !== this.worker) return
        this.work.failed(question)
      }
      clearTimeout(this.impatient)
    }
    this.busySince = null
  }
}
