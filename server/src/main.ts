/** Starts the server on this machine only and stops it cleanly. What it takes is told by `--help`. */
import type { Server } from 'node:http'
import type { AddressInfo } from 'node:net'
import { dirname, join, resolve } from 'node:path'
import { fileURLToPath } from 'node:url'
import type { Express } from 'express'
import type { Knex } from 'knex'
import pino from 'pino'
import { InvalidInputError } from '#core/input/problem'
import { fillWithDemo } from '../../demo/cooks'
import { stockLarder } from '../../demo/larder'
import { createApp } from './app'
import { CookRepository } from './cooks/repository'
import { copyDaily } from './db/copies'
import { openDatabase } from './db/database'
import { isPostgresUrl } from './db/dialect'
import { lanOn } from './house/lan'
import { HouseRepository } from './house/repository'
import { plainly } from './failures'
import { neighboursOn } from './neighbours'
import { HELP, readSettings, type Settings } from './settings'

const ROOT = resolve(dirname(fileURLToPath(import.meta.url)), '../..')
const HOST = '127.0.0.1'
/** What is being answered has this long; a stream would stay open for ever, ms. */
const STREAMS_MS = 300
const GRACE_MS = 3000
const WRONG_USE = 2

function end(words: string, code: number): never {
  process.stderr.write(`${words}\n`)
  process.exit(code)
}

function settings(): Settings {
  try {
    const found = readSettings(process.argv.slice(2), process.env, join(ROOT, '.data/macellaio.sqlite'))
    if (found) return found
    process.stdout.write(HELP)
    process.exit(0)
  } catch (error) {
    if (error instanceof InvalidInputError) end(error.problems.map(p => p.message).join('\n'), WRONG_USE)
    throw error
  }
}

async function opened({ db, demo }: Settings): Promise<Knex> {
  const database = await openDatabase(db)
  if (demo) {
    await fillWithDemo(database)
    await stockLarder(database)
  }
  return database
}

const given = settings()
const log = pino({ level: given.log })
const db = await opened(given).catch((error: unknown) => end(plainly(error, given), 1))
const house = new HouseRepository(db)
const lan = lanOn(given.lanPort, house, () => app, given.lanName)
const neighbours = neighboursOn(given.db)
const app: Express = createApp({ db, log, lan, neighbours, pages: join(ROOT, 'dist/web') })
const server: Server = app.listen(given.port, HOST)
server.on('error', error => void db.destroy().finally(() => end(plainly(error, given), 1)))
server.on('listening', () => {
  const url = `http://${HOST}:${(server.address() as AddressInfo).port}`
  log.info(`Macellaio is ready at ${url}`)
  // Before the first search, so that it need not wait for the Book to be read.
  new CookRepository(db).catchUp().catch((error: unknown) => log.warn(`The Book cannot be searched: ${plainly(error, given)}`))
  void openTheLan().finally(() => {
    // Whoever started it as a part of something more.
    process.send?.({ ready: url })
  })
})

/** As it was left, or as it was started; this machine has it all the same where the network does not. */
async function openTheLan(): Promise<void> {
  if (!given.lan && (await house.kept('open')) === null) return
  try {
    await lan.open()
    log.info(`For the kitchen’s other screens: ${lan.addresses().join(', ') || 'this machine is in no network.'}`)
  } catch (error) {
    log.warn(`Other screens cannot reach it: ${plainly(error, { ...given, port: given.lanPort })}`)
  }
}

/** Once a day, also of a server that is never stopped. */
const LOOK_MS = 3600_000
function copyNow(): void {
  // PostgreSQL has ways of its own, and whoever runs it uses them.
  if (given.db === ':memory:' || isPostgresUrl(given.db)) return
  copyDaily(given.db, new Date()).catch((error: unknown) => log.warn(`No copy of today: ${plainly(error, given)}`))
}
copyNow()
setInterval(copyNow, LOOK_MS).unref()

let stopping = false
function stop(signal: string): void {
  if (stopping) return
  stopping = true
  log.info(`Stopping on ${signal}.`)
  setTimeout(() => process.exit(1), GRACE_MS).unref()
  setTimeout(() => server.closeAllConnections(), STREAMS_MS).unref()
  server.close(
    () =>
      void lan
        .shut()
        .then(() => neighbours?.close())
        .then(() => db.destroy().then(() => process.exit(0)))
  )
  server.closeIdleConnections()
}
process.on('SIGINT', () => stop('SIGINT'))
process.on('SIGTERM', () => stop('SIGTERM'))
