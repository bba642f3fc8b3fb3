/** Who wants to know that something of a service has changed is told so, also by the kitchen's other servers where there are some. */
import type { RequestHandler, Response } from 'express'
import type { Probe } from '#core/session/probes'
import type { Neighbours } from './neighbours'

/** A line now and then keeps what lies between from closing the way. */
const STILL_HERE_MS = 20_000

export class Changes {
  private readonly listeners = new Map<string, Set<() => void>>()
  private readonly toProbes = new Set<(probe: Probe) => void>()

  /** @param elsewhere hears what a thermometer has said to another server */
  constructor(
    private readonly neighbours: Neighbours | null = null,
    elsewhere: (probe: Probe) => void = () => undefined
  ) {
    neighbours?.hear(told => {
      if (told.probe) {
        elsewhere(told.probe)
        this.tellProbeHere(told.probe)
      } else if (told.service === undefined) this.tellAllHere()
      else this.tellHere(told.service)
    })
  }

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
    if (service === null) return
    this.tellHere(service)
    this.neighbours?.say({ service })
  }

  /** What every service may be made of has changed. */
  tellAll(): void {
    this.tellAllHere()
    this.neighbours?.say({})
  }

  /** A thermometer has said something: every screen may show it. */
  tellProbe(probe: Probe): void {
    this.tellProbeHere(probe)
    this.neighbours?.say({ probe })
  }

  /**
   * Server-sent events: one for each change, without saying what; who hears it asks. What thermometers say comes along,
   * whole: a browser lets a page have few streams.
   */
  readonly stream: RequestHandler<{ id: string }> = (request, response) => {
    const write = streamTo(response)
    const leave = this.listen(request.params.id, () => write('changed', {}))
    const silence = this.listenToProbes(probe => write('probe', probe))
    request.on('close', () => {
      leave()
      silence()
    })
  }

  /** For another program: what thermometers say, and nothing else. */
  readonly probeStream: RequestHandler = (request, response) => {
    const write = streamTo(response)
    request.on(
      'close',
      this.listenToProbes(probe => write('probe', probe))
    )
  }

  private tellHere(service: string): void {
    for (const told of this.listeners.get(service) ?? []) told()
  }

  private tellAllHere(): void {
    for (const those of this.listeners.values()) for (const told of those) told()
  }

  private tellProbeHere(probe: Probe): void {
    for (const told of this.toProbes) told(probe)
  }

  private listenToProbes(told: (probe: Probe) => void): () => void {
    this.toProbes.add(told)
    return () => void this.toProbes.delete(told)
  }
}

/** @returns writes one event */
function streamTo(response: Response): (event: string, data: object) => void {
  response.writeHead(200, {
    'Content-Type': 'text/event-stream',
    // Compressed it would wait to be worth it.
    'Cache-Control': 'no-store, no-transform',
    Connection: 'keep-alive'
  })
  response.write('retry: 1000\n\n')
  const beat = setInterval(() => response.write(': here\n\n'), STILL_HERE_MS)
  response.on('close', () => clearInterval(beat))
  return (event, data) => void response.write(`event: ${event}\ndata: ${JSON.stringify(data)}\n\n`)
}
