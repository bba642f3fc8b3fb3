/**
 * Starts the server on this machine only and stops it cleanly.
 *
 * MACELLAIO_DB    path of the database file   (.data/macellaio.sqlite)
 * MACELLAIO_PORT  port on the loopback        (4380)
 * MACELLAIO_DEMO  "1" fills an empty Book with the demo cooks
 */
import type { AddressInfo } from 'node:net'
import { dirname, join, resolve } from 'node:path'
import { fileURLToPath } from 'node:url'
import pino from 'pino'
import { fillWithDemo } from '../../demo/cooks'
import { stockLarder } from '../../demo/larder'
import { createApp } from './app'
import { openDatabase } from './db/database'

const ROOT = resolve(dirname(fileURLToPath(import.meta.url)), '../..')
const HOST = '127.0.0.1'
const GRACE_MS = 3000
const STREAMS_MS = 300

const log = pino({ level: process.env['MACELLAIO_LOG'] ?? 'info' })
const db = await openDatabase(process.env['MACELLAIO_DB'] ?? join(ROOT, '.data/macellaio.sqlite'))
if (process.env['MACELLAIO_DEMO'] === '1') {
  await fillWithDemo(db)
  await stockLarder(db)
}

const app = createApp({ db, log, pages: join(ROOT, 'dist/web') })
const server = app.listen(Number(process.env['MACELLAIO_PORT'] ?? 4380), HOST, () => {
  const { port } = server.address() as AddressInfo
  log.info(`Macellaio is ready at http://${HOST}:${port}`)
})
server.on('error', error => {
  log.fatal({ err: error }, 'The server cannot listen.')
  process.exitCode = 1
  void db.destroy()
})

let stopping = false
function stop(signal: string): void {
  if (stopping) return
  stopping = true
  log.info(`Stopping on ${signal}.`)
  setTimeout(() => process.exit(1), GRACE_MS).unref()
  server.close(() => {
    void db.destroy().then(() => process.exit(0))
  })
  server.closeIdleConnections()
  // A stream would stay open for ever; what is being answered has this long.
  setTimeout(() => server.closeAllConnections(), STREAMS_MS).unref()
}
process.on('SIGINT', () => stop('SIGINT'))
process.on('SIGTERM', () => stop('SIGTERM'))
