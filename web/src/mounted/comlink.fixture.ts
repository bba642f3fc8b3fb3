/** Workers without threads, for components mounted in tests: the real engine, with everything copied on the way as threads copy it. */
import type { Engine } from '../workers/engine.worker'

let engine: Engine | null = null

/** An answer comes as a message: never before what is under way on the page is done. */
const posted = (): Promise<void> =>
  new Promise(done => {
    const { port1, port2 } = new MessageChannel()
    port1.addEventListener('message', () => {
      port1.close()
      done()
    })
    port1.start()
    port2.postMessage(null)
  })

export const transferHandlers = new Map()
export function expose(exposed: Engine): void {
  engine = exposed
}

export function wrap(): unknown {
  const ask =
    (question: keyof Engine) =>
    async (...given: readonly unknown[]): Promise<unknown> => {
      const copied = structuredClone(given)
      if (!engine) await import('../workers/engine.worker')
      const answer = (engine![question] as (...all: readonly unknown[]) => unknown)(...copied)
      const copy = structuredClone(await answer)
      await posted()
      return copy
    }
  return new Proxy({}, { get: (_, question) => (question === 'then' ? undefined : ask(question as keyof Engine)) })
}
