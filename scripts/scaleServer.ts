/** The server of `scale.ts`: on a Book that is there, with no limit on how much is asked. */
import type { AddressInfo } from 'node:net'
import pino from 'pino'
import { createApp } from '#server/app'
import { CookRepository } from '#server/cooks/repository'
import { openDatabase } from '#server/db/database'

const db = await openDatabase(process.argv[2])
const began = performance.now()
await new CookRepository(db).catchUp()
console.log(`read for the search in ${((performance.now() - began) / 1000).toFixed(1)} s`)
const server = createApp({ db, log: pino({ level: 'silent' }), pages: null, requestsAMinute: 1e9 }).listen(0, '127.0.0.1')
server.on('listening', () => process.send?.({ port: (server.address() as AddressInfo).port }))
process.on('message', () => {
  const { user, system } = process.cpuUsage()
  process.send?.({ bytes: process.memoryUsage.rss(), busyMs: (user + system) / 1000 })
})
