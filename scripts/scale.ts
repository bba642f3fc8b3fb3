/**
 * A Book of twenty thousand and a kitchen of fifty: how long the server takes. Run by hand, never as a test:
 * `npm run scale`, or with other numbers `npm run scale -- 5000 10 5` (cooks, clients, seconds). With DATABASE_URL set, on an
 * empty database of that PostgreSQL.
 */
import { spawn } from 'node:child_process'
import { mkdtempSync, rmSync, statSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { quantileSorted } from 'd3-array'
import { plannedOf } from '#core/book/record'
import { CUTS } from '#core/meat/cuts'
import { randomLcg } from 'd3-random'
import { FIRST_REQUEST } from '#core/request/firstRequest'
import { plan } from '#core/usecase/plan'
import { openDatabase } from '#server/db/database'

const [COOKS = 20_000, CLIENTS = 50, SECONDS = 20] = process.argv.slice(2).map(Number)
const NOTES = [
  'crust pale',
  'rested too long on deck',
  'Ömer wanted it rarer',
  'pan never got hot',
  'best one yet',
  'wind took the lid',
  'smoke alarm'
]

const folder = mkdtempSync(join(tmpdir(), 'macellaio-scale-'))
const file = join(folder, 'book.sqlite')
const place = process.env['DATABASE_URL'] ?? file
const db = await openDatabase(place)
const random = randomLcg(1)
const any = <T>(of: readonly T[]): T => of[Math.floor(random() * of.length)]

const answer = plan(FIRST_REQUEST)
if ('refused' in answer) throw new Error('The example has no plan.')
const planned = plannedOf(answer.plan, null, 200)
/** A Book of years: of all cuts, with words of notes, every eighth judged. */
async function fill(): Promise<void> {
  for (let done = 0; done < COOKS; done += 500)
    await db.transaction(async trx => {
      const rows = Array.from({ length: Math.min(500, COOKS - done) }, (_, i) => {
        const cut = any(CUTS)
        const request = {
          ...FIRST_REQUEST,
          piece: { ...FIRST_REQUEST.piece, cutId: cut.id },
          target: { ...FIRST_REQUEST.target, coreC: 48 + Math.round(14 * random()) }
        }
        const id = `scale-${done + i}`
        return {
          id,
          title: `${cut.name}, evening ${done + i}`,
          created_at: 1.6e12 + (done + i) * 3.6e6,
          request: JSON.stringify(request),
          planned: JSON.stringify(planned),
          notes: any(NOTES),
          doneness: any(['under', 'as wanted', 'over', null])
        }
      })
      await trx.batchInsert('cooks', rows, 50)
      const kinds = ['lit', 'laid', 'turned', 'reading', 'pulled', 'carved']
      const events = rows.flatMap(row =>
        kinds.map((kind, n) => ({
          id: `${row.id}-${n}`,
          cook_id: row.id,
          sequence: n + 1,
          kind,
          at: row.created_at + n * 2e5,
          entered: row.created_at + n * 2e5,
          core_c: kind === 'reading' ? 48 : null
        }))
      )
      await trx.batchInsert('cook_events', events, 50)
    })
}
const took = async (work: () => Promise<unknown>): Promise<number> => {
  const began = performance.now()
  await work()
  return performance.now() - began
}
const inMb = (bytes: number): string => `${(bytes / 2 ** 20).toFixed(0)} MB`
const size = (): string => (place === file ? `the file ${inMb(statSync(file).size)}` : 'on PostgreSQL')
const seconds = (ms: number): string => `${(ms / 1000).toFixed(1)} s`
console.log(`${COOKS} cooks written in ${seconds(await took(fill))}; ${size()}`)

/** In a process of its own, as it is: who asks must not take its time. */
const server = spawn(process.execPath, ['--import', 'tsx', fileURLToPath(new URL('scaleServer.ts', import.meta.url)), place], {
  stdio: ['ignore', 'inherit', 'inherit', 'ipc']
})
const url = await new Promise<string>(ready =>
  server.once('message', ({ port }: { port: number }) => ready(`http://127.0.0.1:${port}/api`))
)
async function ask(path: string, body?: object): Promise<void> {
  const response = await fetch(
    url + path,
    body ? { method: 'POST', headers: { 'Content-Type': 'application/json' }, body: JSON.stringify(body) } : {}
  )
  await response.text()
  if (!response.ok) throw new Error(`${path}: ${response.status}`)
}
function row(name: string, times: number[]): void {
  const sorted = times.sort((a, b) => a - b)
  const [half, most, worst] = [0.5, 0.95, 0.99].map(q => (quantileSorted(sorted, q) ?? NaN).toFixed(1).padStart(8))
  console.log(`${name.padEnd(48)}${half}${most}${worst}   ms at 50, 95, 99 % of ${sorted.length}`)
}
async function timed(name: string, path: () => string, times = 40): Promise<void> {
  const all: number[] = []
  for (let i = 0; i < times; i++) all.push(await took(() => ask(path())))
  row(name, all)
}
const somewhere = (): number => Math.floor(random() * COOKS)
await timed('the first page of the Book', () => '/cooks?take=25')
await timed('any page', () => `/cooks?take=25&skip=${somewhere()}`)
await timed('any page, by the highest core', () => `/cooks?take=25&sort=highest&skip=${somewhere()}`)
await timed('found by a word of many', () => '/cooks?take=25&search=strip')
await timed('found by three words', () => '/cooks?take=25&search=omer%20rump%20rarer')
await timed('found though misspelt', () => '/cooks?take=25&search=sirlion')
await timed('one cook opened', () => `/cooks/scale-${somewhere()}`)

const reads: number[] = []
const writes: number[] = []
let failed = 0
const until = performance.now() + SECONDS * 1000
async function client(n: number): Promise<void> {
  for (let i = 0; performance.now() < until; i++) {
    const now = Date.now()
    const writing = i % 3 === 2
    const work = writing
      ? () => ask(`/cooks/scale-${n}/events`, { events: [{ id: `client-${n}-${i}`, kind: 'reading', at: now, entered: now, coreC: 50 }] })
      : () => ask(any([`/cooks/scale-${somewhere()}`, `/cooks?take=25&skip=${somewhere()}`, '/cooks?take=25&search=rump']))
    try {
      ;(writing ? writes : reads).push(await took(work))
    } catch {
      failed += 1
    }
    // A hand does something every quarter of a second at the most.
    await new Promise(wait => setTimeout(wait, 250))
  }
}
interface Spent {
  readonly bytes: number
  readonly busyMs: number
}
const spent = (): Promise<Spent> => {
  const told = new Promise<Spent>(told => server.once('message', told))
  server.send('spent')
  return told
}
const before = await spent()
await Promise.all(Array.from({ length: CLIENTS }, (_, n) => client(n)))
row(`${CLIENTS} clients for ${SECONDS} s: reads`, reads)
row('writes', writes)
const { bytes, busyMs } = await spent()
const each = (busyMs - before.busyMs) / (reads.length + writes.length)
console.log(`${failed} failed; the server ${each.toFixed(2)} ms of the processor for each, ${inMb(bytes)} of memory, ${size()}`)
server.kill()
await db.destroy()
rmSync(folder, { recursive: true, force: true })
