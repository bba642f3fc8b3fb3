/** The second door, for the kitchen's other screens: on the local network, encrypted, shut until the cook opens it. */
import type { Express } from 'express'
import { createServer, type Server } from 'node:https'
import { generate } from 'selfsigned'
import { addressesHere, namesHere } from './hosts'
import type { HouseRepository } from './repository'

export interface Lan {
  /** By which other devices may call it. */
  names(): readonly string[]
  /** Where other devices find it; empty while it is shut. */
  addresses(): string[]
  /** @throws where the port cannot be had */
  open(): Promise<void>
  shut(): Promise<void>
}

interface Certificate {
  readonly key: string
  readonly cert: string
  /** Names it was made for, and when it runs out, epoch ms. */
  readonly names: readonly string[]
  readonly until: number
}
/** No browser takes one that holds for longer; from memory, days. */
const HOLDS_DAYS = 390
const DAY_MS = 24 * 3600_000
/** A new one is made so long before. */
const BEFORE_MS = 30 * DAY_MS

async function certificate(house: HouseRepository, names: readonly string[]): Promise<Certificate> {
  const stored = await house.kept('certificate')
  const before = stored === null ? null : (JSON.parse(stored) as Certificate)
  if (before && before.until > Date.now() + BEFORE_MS && names.every(n => before.names.includes(n))) return before
  const until = Date.now() + HOLDS_DAYS * DAY_MS
  const { private: key, cert } = await generate([{ name: 'commonName', value: 'Macellaio in this kitchen' }], {
    keySize: 2048,
    algorithm: 'sha256',
    notAfterDate: new Date(until),
    extensions: [
      { name: 'basicConstraints', cA: false },
      {
        name: 'subjectAltName',
        altNames: [...names, 'localhost', '127.0.0.1'].map(n => (/^[\d.]+$/.test(n) ? { type: 7, ip: n } : { type: 2, value: n }))
      }
    ]
  })
  const made = { key, cert, names, until }
  await house.keep('certificate', JSON.stringify(made))
  return made
}

/**
 * @param app given afterwards: it asks for the door itself
 * @param called how others find it, where that is not by its own addresses
 */
export function lanOn(port: number, house: HouseRepository, app: () => Express, called: string | null): Lan {
  let server: Server | null = null
  const names = (): string[] => [...(called === null ? [] : [called.toLowerCase()]), ...namesHere()]
  return {
    names,
    addresses: () => (server ? (called === null ? addressesHere() : [called]).map(a => `https://${a}:${port}`) : []),
    open: async () => {
      if (server) return
      const { key, cert } = await certificate(house, names())
      const opening = createServer({ key, cert, minVersion: 'TLSv1.2' }, app())
      await new Promise<void>((ready, failed) => {
        opening.once('error', failed)
        opening.listen(port, '0.0.0.0', ready)
      })
      server = opening
    },
    shut: async () => {
      const closing = server
      server = null
      if (!closing) return
      closing.closeAllConnections()
      await new Promise<void>(done => closing.close(() => done()))
    }
  }
}
