/** Who wants to know that something of a service has changed is told so, within this one process. */
import type { RequestHandler } from 'express'

/** A line now and then keeps what lies between from closing the way. */
const STILL_HERE_MS = 20_000

export class Changes {
  private readonly listeners = new Map<string, Set<() => void>>()

  /** @returns to stop listening */
  listen(service: string, told: () => void): () => void {
    const those = this.listeners.get(service) ?? new Set()
    this.listeners.set(service, those.add(told))
    return () => {
      those.delete(told)
      if (those.size === 0) this.listeners.delete(service)
    }
  }

  tell(service: string | null): void {
    if (service !== null) for (const told of this.listeners.get(service) ?? []) told()
  }

  /** What every service may be made of has changed. */
  tellAll(): void {
    for (const those of this.listeners.values()) for (const told of those) told()
  }

  /** Server-sent events: one for each change, without saying what; who hears it asks. */
  readonly stream: RequestHandler<{ id: string }> = (request, response) => {
    response.writeHead(200, {
      'Content-Type': 'text/event-stream',
      // Compressed it would wait to be worth it.
      'Cache-Control': 'no-store, no-transform',
      Connection: 'keep-alive'
    })
    const write = (): void => void response.write('event: changed\ndata: {}\n\n')
    response.write('retry: 1000\n\n')
    const leave = this.listen(request.params.id, write)
    const beat = setInterval(() => response.write(': here\n\n'), STILL_HERE_MS)
    request.on('close', () => {
      clearInterval(beat)
      leave()
    })
  }
}
