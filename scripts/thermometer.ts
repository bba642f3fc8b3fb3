/**
 * A thermometer for a kitchen that has none: speaks to the app as a real one could (docs/probe-interface.md). By the
 * engine, in a hidden true piece, once the cook has said which, or in the air of its oven, its bath or its grill, or on its
 * pan; or from a log of another.
 *
 *   npm run thermometer                                     in the piece that it is said to be in
 *   npm run thermometer -- --csv log.csv --speed 10         what a log says, ten times as fast
 *   --url, --name, --every (s), --seed                      where, as whom, how often, which truth
 */
import { readFileSync } from 'node:fs'
import { parseArgs } from 'node:util'
import Papa from 'papaparse'
import type { CookRecord } from '#core/book/record'
import { standInProbe } from '#core/evidence/standIn'
import type { Probe } from '#core/session/probes'

const { values: given } = parseArgs({
  options: {
    url: { type: 'string', default: 'http://127.0.0.1:4380' },
    name: { type: 'string', default: 'Stand-in' },
    every: { type: 'string', default: '5' },
    seed: { type: 'string', default: String(Date.now() % 1e6) },
    csv: { type: 'string' },
    speed: { type: 'string', default: '1' }
  }
})
const everyMs = Math.max(1, Number(given.every) || 5) * 1000
const id = given.name
  .toLowerCase()
  .replace(/[^a-z0-9]+/g, '-')
  .slice(0, 40)
const wait = (ms: number): Promise<void> => new Promise(done => setTimeout(done, ms))

async function ask<T>(path: string, body?: object): Promise<T> {
  const sent = body ? { method: 'POST', headers: { 'Content-Type': 'application/json' }, body: JSON.stringify(body) } : {}
  const response = await fetch(`${given.url}/api${path}`, sent)
  if (!response.ok) throw new Error(`${path} was answered ${response.status}: ${await response.text()}`)
  return (await response.json()) as T
}
const say = (celsius: number): Promise<Probe> => ask(`/probes/${id}/readings`, { name: given.name, readings: [{ celsius }] })

/** °C of nothing in particular: a probe on the board. */
const ON_THE_BOARD = 21
async function byTheEngine(): Promise<never> {
  const inside = new Map<string, ReturnType<typeof standInProbe>>()
  let celsius = ON_THE_BOARD
  for (;;) {
    try {
      const { cook, tip } = await say(celsius)
      if (cook === null) celsius = ON_THE_BOARD
      else {
        const record = await ask<CookRecord>(`/cooks/${cook}`)
        const shows = inside.get(cook) ?? standInProbe(record, Number(given.seed))
        inside.set(cook, shows)
        celsius = shows(record.events, Date.now(), tip)
      }
    } catch (error) {
      console.error(error instanceof Error ? error.message : error)
    }
    await wait(everyMs)
  }
}

/** Rows of seconds and degrees; a header is passed over. */
async function byALog(file: string): Promise<void> {
  const rows = Papa.parse<string[]>(readFileSync(file, 'utf8'), { skipEmptyLines: true })
    .data.map(row => row.map(Number))
    .filter(row => row.length >= 2 && row.slice(0, 2).every(Number.isFinite))
  const began = Date.now()
  for (const [seconds, celsius] of rows) {
    await wait(Math.max(0, (1000 * (seconds - rows[0][0])) / Number(given.speed) - (Date.now() - began)))
    await say(celsius)
  }
}

console.log(`${given.name} speaks to ${given.url} as “${id}”. Say at the stove which piece it is in. Stop it with Ctrl+C.`)
await (given.csv === undefined ? byTheEngine() : byALog(given.csv))
