/**
 * Puts one of the daily copies in the database's place: `npm run restore` lists them, `npm run restore -- 2026-11-27` does it.
 * What stood there is kept beside it. The server has to stand still meanwhile.
 */
import { join } from 'node:path'
import { copiesOf, putBack } from '#server/db/copies'
import { isPostgresUrl } from '#server/db/dialect'

const ROOT = join(import.meta.dirname, '..')
const file = process.env['MACELLAIO_DB'] ?? process.env['DATABASE_URL'] ?? join(ROOT, '.data/macellaio.sqlite')
const port = process.env['MACELLAIO_PORT'] ?? '4380'
const [day] = process.argv.slice(2)

if (isPostgresUrl(file)) {
  process.stdout.write('Of a PostgreSQL database the copies are taken and put back by its own pg_dump and pg_restore.\n')
  process.exit(1)
}
const copies = copiesOf(file)
const answers = await fetch(`http://127.0.0.1:${port}/api/health`).then(
  () => true,
  () => false
)
function end(words: string, code: number): never {
  process.stdout.write(`${words}\n`)
  process.exit(code)
}

if (copies.length === 0) end(`There is no copy of ${file}. One is taken each day that the server runs.`, 1)
if (day === undefined)
  end(
    `Copies of ${file}:\n${copies.map(c => `  ${c.day}  ${Math.ceil(c.bytes / 1024)} kB`).join('\n')}\nPut one back: npm run restore -- ${copies[0].day}`,
    0
  )
const copy = copies.find(c => c.day === day)
if (!copy) end(`There is no copy of ${day}. There are: ${copies.map(c => c.day).join(', ')}.`, 1)
if (answers) end(`Macellaio is running on port ${port}. Stop it first: what it writes meanwhile would be lost.`, 1)
try {
  const kept = putBack(file, copy, new Date())
  end(`The copy of ${copy.day} stands at ${file}.${kept === null ? '' : ` What stood there is at ${kept}.`}`, 0)
} catch (error) {
  end(error instanceof Error ? error.message : String(error), 1)
}
