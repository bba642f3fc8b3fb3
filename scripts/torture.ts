/**
 * The server and the page tortured, and what came of it as a table. Minutes long, by hand, after a build; the tests have a
 * short form of each.
 *
 *   npm run torture                                          some hundreds of kills, ten thousand pieces of nonsense
 *   npm run torture -- --kills 1000 --page 40 --nonsense 20000
 */
import { spawn } from 'node:child_process'
import { once } from 'node:events'
import { chmodSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs'
import { request as httpRequest } from 'node:http'
import { createServer, type AddressInfo } from 'node:net'
import { tmpdir } from 'node:os'
import { join, resolve } from 'node:path'
import { parseArgs } from 'node:util'
import { chromium, type Browser, type Page } from '@playwright/test'
import Database from 'better-sqlite3'
import { quantileSorted } from 'd3-array'
import { randomLcg } from 'd3-random'
import pino from 'pino'
import { plannedOf, type CookRecord } from '#core/book/record'
import { FIRST_REQUEST } from '#core/request/firstRequest'
import { plan } from '#core/usecase/plan'
import { createApp } from '#server/app'
import { openDatabase } from '#server/db/database'
import { DOORS, INSTEAD, NONSENSE, placesIn, withInstead, type Json } from '#server/nonsense.fixture'
import { App } from '../e2e/app'
import { chromiumOrThrow } from './chromium.mjs'

const { values: given } = parseArgs({
  options: {
    kills: { type: 'string', default: '300' },
    page: { type: 'string', default: '20' },
    nonsense: { type: 'string', default: '10000' },
    seed: { type: 'string', default: '1' }
  }
})
const ROOT = resolve(import.meta.dirname, '..')
const random = randomLcg(Number(given.seed))
const any = <T>(of: readonly T[]): T => of[Math.floor(random() * of.length)]
const wait = (ms: number): Promise<void> => new Promise(done => setTimeout(done, ms))
const rows: { readonly what: string; readonly came: string; readonly well: boolean }[] = []
function row(what: string, came: string, well: boolean): void {
  rows.push({ what, came, well })
  console.log(`${well ? 'well ' : 'WRONG'}  ${what.padEnd(46)} ${came}`)
}

const answer = plan(FIRST_REQUEST)
if ('refused' in answer) throw new Error('The example has no plan.')
const planned = plannedOf(answer.plan, null, 200)
const cookCalled = (id: string): object => ({ id, title: id, createdAt: Date.now(), request: FIRST_REQUEST, planned, service: null })
const json = (body: object): RequestInit => ({
  method: 'POST',
  headers: { 'Content-Type': 'application/json' },
  body: JSON.stringify(body),
  signal: AbortSignal.timeout(4000)
})

/** Two devices write as fast as hands never are, and the server is killed in the middle of it, again and again. */
async function throughTheApi(kills: number): Promise<void> {
  const app = await App.start()
  const acknowledged = new Map<string, string>()
  const cooks: string[] = []
  /** A cook for every so many kills: its answer is all of it. */
  const EACH = 25
  async function fresh(): Promise<void> {
    const id = `cook-${cooks.length}`
    await fetch(`${app.url}/api/cooks`, json(cookCalled(id)))
    cooks.push(id)
  }
  await fresh()
  let over = false
  async function device(name: string): Promise<void> {
    for (let n = 0; !over;) {
      const cook = cooks[cooks.length - 1]
      const id = `${name}-${n}`
      const at = Date.now()
      try {
        const { status } = await fetch(`${app.url}/api/cooks/${cook}/events`, json({ events: [{ id, kind: 'turned', at, entered: at }] }))
        if (status === 200) {
          acknowledged.set(id, cook)
          n += 1
        }
      } catch {
        // Said again, as the same.
      }
      await wait(20 * random())
    }
  }
  const devices = [device('desk-device'), device('phone-device')]
  for (let i = 0; i < kills; i++) {
    await wait(60 * random())
    await app.kill()
    await app.serve()
    if (i % EACH === EACH - 1) await fresh()
  }
  over = true
  await Promise.all(devices)
  const kept: string[] = []
  for (const cook of cooks) kept.push(...((await (await fetch(`${app.url}/api/cooks/${cook}`)).json()) as CookRecord).events.map(e => e.id))
  await app.stop()
  const there = new Set(kept)
  const lost = [...acknowledged.keys()].filter(id => !there.has(id)).length
  const doubled = kept.length - there.size
  row(
    `${kills} kills, two devices through the API`,
    `${acknowledged.size} acknowledged, ${lost} lost, ${doubled} doubled`,
    lost + doubled === 0
  )
}

/** So many kills for one cook: what was said of it is sent, kept and worked out whole. */
const PAGE_EACH = 20

/** Two windows of one browser, pressed in turn. */
async function throughThePage(kills: number): Promise<void> {
  const app = await App.start()
  const browser = await chromium.launch({
    executablePath: chromiumOrThrow(),
    args: ['--no-sandbox']
  })
  let [said, lost, doubled] = [0, 0, 0]
  for (let done = 0; done < kills; done += PAGE_EACH) {
    const of = await aCookInTwoWindows(app, browser, Math.min(PAGE_EACH, kills - done))
    said += of.said
    lost += of.lost
    doubled += of.doubled
    if (kills > PAGE_EACH) console.log(`        ${Math.min(kills, done + PAGE_EACH)} kills: ${said} said, ${lost} lost, ${doubled} doubled`)
  }
  await browser.close()
  await app.stop()
  row(`${kills} kills, two windows of one browser`, `${said} said, ${lost} lost, ${doubled} doubled`, lost + doubled === 0)
}

async function aCookInTwoWindows(app: App, browser: Browser, kills: number): Promise<{ said: number; lost: number; doubled: number }> {
  const context = await browser.newContext({ serviceWorkers: 'block', locale: 'en-GB' })
  const windows: Page[] = [await context.newPage()]
  await windows[0].goto(`${app.url}/fire`)
  await windows[0].getByRole('button', { name: 'Light the stove' }).click()
  await windows[0].getByRole('button', { name: 'Ring is lit' }).click()
  await windows[0].getByRole('button', { name: 'It is in' }).click()
  windows.push(await context.newPage())
  await windows[1].goto(`${app.url}/stove`)
  await windows[1].getByRole('button', { name: /Pause: lift out/ }).waitFor()
  for (let i = 0; i < kills; i++) {
    const pressing = (async () => {
      for (let n = 0; n < 6; n++) {
        await windows[(i + n) % 2].keyboard.press('l')
        await wait(30 + 120 * random())
      }
    })()
    await wait(300 * random())
    await app.kill()
    await wait(400 * random())
    await app.serve()
    await pressing
  }
  type Kept = { readonly id: string; readonly events: readonly { readonly id: string }[] }
  const here = async (page: Page): Promise<Kept> =>
    page.evaluate(() => (JSON.parse(localStorage.getItem('macellaio.cooks') ?? '[]') as Kept[])[0])
  let there: string[] = []
  let mine = await here(windows[0])
  for (let i = 0; i < 60; i++) {
    mine = await here(windows[0])
    const record = (await (await fetch(`${app.url}/api/cooks/${mine.id}`)).json()) as CookRecord
    there = record.events.map(e => e.id)
    if (mine.events.every(e => there.includes(e.id))) break
    await wait(500)
  }
  await context.close()
  return {
    said: mine.events.length,
    lost: mine.events.filter(e => !there.includes(e.id)).length,
    doubled: there.length - new Set(there).size
  }
}

async function nonsense(many: number): Promise<void> {
  const db = await openDatabase(':memory:')
  const server = createApp({ db, log: pino({ level: 'silent' }), pages: null, requestsAMinute: 1e9 }).listen(0, '127.0.0.1')
  await once(server, 'listening')
  const url = `http://127.0.0.1:${(server.address() as AddressInfo).port}`
  const counts = { taken: 0, refused: 0, broken: 0 }
  for (let i = 0; i < many; i++) {
    const [method, path, fine] = any(DOORS)
    const text = random() < 0.2 ? any(NONSENSE) : withInstead(fine as Json, any(placesIn(fine as Json)), any(INSTEAD))
    const { status } = await fetch(url + path, {
      method: method.toUpperCase(),
      headers: { 'Content-Type': 'application/json' },
      body: text
    })
    counts[status >= 500 ? 'broken' : status >= 400 ? 'refused' : 'taken'] += 1
  }
  const lists = [
    '/api/cooks',
    '/api/cooks/read',
    '/api/services',
    '/api/kit',
    '/api/packets',
    '/api/recipes',
    '/api/everything',
    '/api/rehearsals'
  ]
  const read = await Promise.all(lists.map(async path => (await fetch(url + path)).status))
  const { taken, refused, broken } = counts
  row(`${many} requests with something wrong in them`, `${refused} refused, ${taken} taken, ${broken} answers 5xx`, broken === 0)
  row(
    'what is there after them',
    `${read.filter(s => s === 200).length} of ${read.length} lists can be read`,
    read.every(s => s === 200)
  )
  server.close()
  await db.destroy()
}

/** One line of why, and a code that is not 0. */
async function startsThatFail(): Promise<void> {
  const folder = mkdtempSync(join(tmpdir(), 'macellaio-torture-'))
  const held = createServer().listen(0, '127.0.0.1')
  await once(held, 'listening')
  const { port } = held.address() as AddressInfo
  const file = (name: string, text = ''): string => {
    writeFileSync(join(folder, name), text)
    return join(folder, name)
  }
  const newer = join(folder, 'newer.sqlite')
  await (await openDatabase(newer)).destroy()
  const db = new Database(newer)
  db.prepare("insert into knex_migrations (name, batch, migration_time) values ('0999_of_tomorrow', 99, 0)").run()
  db.close()
  const starts: readonly (readonly [what: string, args: readonly string[]])[] = [
    ['a port that is taken', ['--db', join(folder, 'a.sqlite'), '--port', String(port)]],
    ['a file that is no database', ['--db', file('list.txt', 'shallots, butter, four strips. '.repeat(200))]],
    ['a database of a newer version', ['--db', newer]],
    ['a folder that cannot be made', ['--db', join(file('plain'), 'within', 'book.sqlite')]],
    ['a port that is none', ['--port', '99999']],
    ['a flag that there is not', ['--prot', '1']]
  ]
  for (const [what, args] of starts) {
    const child = spawn(process.execPath, [join(ROOT, 'dist/server/main.js'), ...args], { stdio: ['ignore', 'pipe', 'pipe'] })
    let said = ''
    for (const stream of [child.stdout, child.stderr]) stream.on('data', (chunk: Buffer) => (said += chunk.toString()))
    const late = setTimeout(() => child.kill('SIGKILL'), 15_000)
    const [code] = (await once(child, 'exit')) as [number | null]
    clearTimeout(late)
    const lines = said.trim().split('\n')
    row(what, `code ${code}: ${lines[0].slice(0, 110)}`, code !== 0 && code !== null && lines.length === 1 && !/ at .*:\d+:\d+/.test(said))
  }
  held.close()
  chmodSync(folder, 0o700)
  rmSync(folder, { recursive: true, force: true })
}

/** From the word of one device to the other's hearing of it, ms. */
async function fromDeviceToDevice(times: number): Promise<void> {
  const app = await App.start()
  await fetch(`${app.url}/api/cooks`, json({ ...cookCalled('cook-heard'), service: { id: 'service-heard', after: null, called: '' } }))
  const stream = await fetch(`${app.url}/api/services/service-heard/changes`)
  const reader = stream.body!.getReader()
  const took: number[] = []
  const heard = async (): Promise<void> => {
    for (;;) {
      const { value, done } = await reader.read()
      if (done || new TextDecoder().decode(value).includes('event: changed')) return
    }
  }
  for (let i = 0; i < times; i++) {
    const began = performance.now()
    const hearing = heard()
    const at = Date.now()
    await fetch(`${app.url}/api/cooks/cook-heard/events`, json({ events: [{ id: `heard-${i}`, kind: 'turned', at, entered: at }] }))
    await hearing
    took.push(performance.now() - began)
    await wait(60)
  }
  await reader.cancel()
  await app.stop()
  const sorted = took.sort((a, b) => a - b)
  const [half, most] = [0.5, 0.99].map(q => quantileSorted(sorted, q) ?? NaN)
  row(`${times} words from one device to the other`, `${half.toFixed(0)} ms half of them, ${most.toFixed(0)} ms at 99 %`, most < 1000)
}

/** What another site's page, or a name that was turned to here, would send. */
async function strangers(): Promise<void> {
  const app = await App.start()
  const { port } = new URL(app.url)
  const asked = (method: string, headers: Record<string, string>): Promise<number> =>
    new Promise((told, failed) => {
      const request = httpRequest({ host: '127.0.0.1', port, path: '/api/kit', method, headers }, response => {
        response.resume()
        told(response.statusCode ?? 0)
      })
      request.once('error', failed)
      request.end(method === 'PUT' ? '{}' : undefined)
    })
  const type = { 'Content-Type': 'application/json' }
  const tries = [
    await asked('GET', { Host: 'rebound.example' }),
    await asked('PUT', { ...type, Host: 'rebound.example' }),
    await asked('PUT', { ...type, Origin: 'http://other.example' }),
    await asked('PUT', { ...type, 'Sec-Fetch-Site': 'cross-site' }),
    await asked('GET', { 'Sec-Fetch-Site': 'cross-site' }),
    await asked('PUT', { 'Content-Type': 'text/plain', Origin: 'null' })
  ]
  await app.stop()
  row(
    'other hosts, other origins, other sites',
    `answered ${tries.join(', ')}`,
    tries.every(s => s >= 400 && s < 500)
  )
}

await strangers()
await startsThatFail()
await fromDeviceToDevice(100)
await nonsense(Number(given.nonsense))
await throughThePage(Number(given.page))
await throughTheApi(Number(given.kills))
const wrong = rows.filter(r => !r.well).length
console.log(`\n${rows.length} rows, ${wrong} wrong`)
process.exit(wrong > 0 ? 1 : 0)
