/** Every start that fails says in one line what, where and what to do; what cannot be a setting is told before anything is touched. */
import { createServer, type AddressInfo } from 'node:net'
import { mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import Database from 'better-sqlite3'
import { afterAll, describe, expect, it } from 'vitest'
import { InvalidInputError } from '#core/input/problem'
import { openDatabase } from './db/database'
import { plainly } from './failures'
import { readSettings } from './settings'

const folder = mkdtempSync(join(tmpdir(), 'macellaio-start-'))
afterAll(() => rmSync(folder, { recursive: true, force: true }))
const saysOf = async (db: string): Promise<string> => {
  try {
    await (await openDatabase(db)).destroy()
    return 'opened'
  } catch (error) {
    return plainly(error, { db, port: 4380 })
  }
}

describe('a database that cannot be had', () => {
  it('damaged, or something else altogether', async () => {
    const file = join(folder, 'damaged.sqlite')
    writeFileSync(file, 'This is a shopping list, and a long one at that: shallots, butter, four strips.'.repeat(60))
    const says = await saysOf(file)
    expect(says).toMatch(/is damaged, or no database\. Put a copy in its place/)
    expect(says).toContain(file)
  })

  it('of a newer version', async () => {
    const file = join(folder, 'newer.sqlite')
    expect(await saysOf(file)).toBe('opened')
    const db = new Database(file)
    db.prepare("insert into knex_migrations (name, batch, migration_time) values ('0999_of_tomorrow', 99, 0)").run()
    db.close()
    expect(await saysOf(file)).toMatch(/was written by a newer Macellaio/)
  })

  it('held by another program', async () => {
    const file = join(folder, 'held.sqlite')
    expect(await saysOf(file)).toBe('opened')
    const other = new Database(file)
    other.pragma('locking_mode = EXCLUSIVE')
    other.exec('begin exclusive')
    const says = await saysOf(file)
    other.close()
    expect(says).toMatch(/is in use by another program\. Stop that one first\./)
  }, 20_000)

  it('where a folder is, and where none can be made', async () => {
    const taken = join(folder, 'a-folder')
    mkdirSync(taken)
    expect(await saysOf(taken)).toMatch(/cannot be opened, nor made/)
    const file = join(folder, 'a-file')
    writeFileSync(file, '')
    expect(await saysOf(join(file, 'within', 'book.sqlite'))).toMatch(/cannot be opened, nor made \(ENOTDIR|EEXIST\)/)
  })
})

it('a port that is taken is told with one that may not be', async () => {
  const first = createServer().listen(0, '127.0.0.1')
  await new Promise(ready => first.once('listening', ready))
  const { port } = first.address() as AddressInfo
  const second = createServer().listen(port, '127.0.0.1')
  const error = await new Promise(failed => second.once('error', failed))
  expect(plainly(error, { db: 'x', port })).toBe(
    `Port ${port} is taken by another program. Stop that one, or take another port: MACELLAIO_PORT=${port + 1}.`
  )
  first.close()
})

describe('the settings', () => {
  const read = (args: readonly string[], environment: NodeJS.ProcessEnv = {}) => readSettings(args, environment, '/usual.sqlite')

  it('by flag, else by the environment, else as usual', () => {
    expect(read([])).toEqual({ db: '/usual.sqlite', port: 4380, lanPort: 4381, lan: false, lanName: null, demo: false, log: 'info' })
    expect(read([], { MACELLAIO_PORT: '5000', MACELLAIO_DEMO: '1' })).toMatchObject({ port: 5000, demo: true })
    expect(read(['--port', '6000', '--db', 'mine.sqlite'], { MACELLAIO_PORT: '5000' })).toMatchObject({ port: 6000, db: 'mine.sqlite' })
    expect(read(['--port', '6000', '--lan'], { MACELLAIO_LAN_PORT: '7000' })).toMatchObject({ lanPort: 7000, lan: true })
    expect(read(['--port', '6000', '--lan-port', '6500'])).toMatchObject({ lanPort: 6500, lan: false })
    expect(read(['--help'])).toBeNull()
  })

  it.each([
    [['--port', '99999'], /whole number from 1 to 65535/],
    [['--lan-port', '0'], /whole number from 1 to 65535/],
    [['--lan-name', 'the galley!'], /letters, digits, dots and hyphens/],
    [['--port', 'soon'], /whole number from 1 to 65535/],
    [['--log', 'loud'], /levels/],
    [['--prot', '1'], /--help tells what there is/],
    [['--db', ''], /needs a file/]
  ])('%j is refused in words', (args, says) => {
    expect(() => read(args)).toThrow(InvalidInputError)
    expect(() => read(args)).toThrow(says)
  })
})
