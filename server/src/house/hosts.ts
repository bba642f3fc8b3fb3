/**
 * Who may ask at all: by the names this machine has, and from its own pages. A name of somebody else's that was
 * turned to this address, and another site's page, are refused before anything else is looked at.
 */
import type { Request, RequestHandler } from 'express'
import { hostname, networkInterfaces } from 'node:os'
import { HttpProblem } from '#server/problem'

/** Over the local network everything comes encrypted; in the clear only what is on this machine. */
export const overTheNetwork = (request: Request): boolean => request.secure

export const addressesHere = (): string[] =>
  Object.values(networkInterfaces()).flatMap(of => (of ?? []).flatMap(a => (a.family === 'IPv4' && !a.internal ? [a.address] : [])))
/** Names and addresses by which other devices may call it. */
export const namesHere = (): string[] => {
  const name = hostname().toLowerCase()
  return [...addressesHere(), ...(name === '' ? [] : [name, name.endsWith('.local') ? name : `${name}.local`])]
}
const LOOPBACK: ReadonlySet<string> = new Set(['localhost', '127.0.0.1', '[::1]'])

const nameOf = (host: string): string => host.toLowerCase().replace(/:\d+$/, '')

const READS: ReadonlySet<string> = new Set(['GET', 'HEAD', 'OPTIONS'])

/** @param names by which other devices may call it */
export const ownPagesOnly =
  (names: () => readonly string[]): RequestHandler =>
  (request, _response, next) => {
    const { host = '', origin } = request.headers
    const name = nameOf(host)
    if (!LOOPBACK.has(name) && !(overTheNetwork(request) && names().includes(name)))
      throw new HttpProblem(421, 'Not the name of this kitchen', `Nothing is served under the name “${name.slice(0, 80)}”.`)
    const from = request.headers['sec-fetch-site']
    const elsewhere = from === 'cross-site' || from === 'same-site'
    const foreign = typeof origin === 'string' && !sameHost(origin, host)
    const api = request.path.startsWith('/api/')
    if ((api && elsewhere) || (foreign && (api || !READS.has(request.method))))
      throw new HttpProblem(403, 'Not from this page', 'Only Macellaio’s own pages may ask here.')
    next()
  }

function sameHost(origin: string, host: string): boolean {
  try {
    return new URL(origin).host === host.toLowerCase()
  } catch {
    return false
  }
}
