/**
 * A PostgreSQL server for tests, on this machine only, with nothing kept: made anew in a folder of its own and thrown
 * away. Plain Node, since the tests are started by that.
 */
import { spawn, spawnSync } from 'node:child_process'
import { chownSync, existsSync, mkdtempSync, readdirSync, rmSync } from 'node:fs'
import { createServer } from 'node:net'
import { tmpdir } from 'node:os'
import { join } from 'node:path'

const DEBIANS = '/usr/lib/postgresql'
const READY_WITHIN_MS = 20_000
const LOOK_MS = 100

/** @returns the folder of its programs; null where there is none */
export function postgresPath() {
  const found = existsSync(DEBIANS)
    ? readdirSync(DEBIANS)
        .sort((a, b) => Number(b) - Number(a))
        .map(version => join(DEBIANS, version, 'bin'))
    : []
  return found.find(folder => existsSync(join(folder, 'initdb'))) ?? null
}

/** It refuses to be run by root: then by the user that came with it. */
function runner() {
  if (process.getuid?.() !== 0) return {}
  const id = flag => Number(spawnSync('id', [flag, 'postgres'], { encoding: 'utf8' }).stdout)
  return { uid: id('-u'), gid: id('-g') }
}

const freePort = () =>
  new Promise((found, failed) => {
    const probe = createServer()
    probe.on('error', failed)
    probe.listen(0, '127.0.0.1', () => {
      const { port } = probe.address()
      probe.close(() => found(port))
    })
  })

/** @returns its address, and how to stop it; null where it cannot be had */
export async function startPostgres() {
  const bin = postgresPath()
  if (bin === null) return null
  const folder = mkdtempSync(join(tmpdir(), 'macellaio-postgres-'))
  const by = runner()
  if (by.uid !== undefined) chownSync(folder, by.uid, by.gid)
  const data = join(folder, 'data')
  const gone = () => rmSync(folder, { recursive: true, force: true })
  const made = spawnSync(
    join(bin, 'initdb'),
    ['-D', data, '-U', 'macellaio', '-E', 'UTF8', '--locale=C.UTF-8', '--auth=trust', '--no-sync'],
    {
      ...by,
      cwd: folder,
      encoding: 'utf8'
    }
  )
  if (made.status !== 0) {
    console.error(made.stderr)
    gone()
    return null
  }
  const port = await freePort()
  const settings = ['listen_addresses=127.0.0.1', `port=${port}`, `unix_socket_directories=${folder}`, 'fsync=off', 'max_connections=200']
  const server = spawn(join(bin, 'postgres'), ['-D', data, ...settings.flatMap(s => ['-c', s])], { ...by, cwd: folder, stdio: 'ignore' })
  const stop = () =>
    new Promise(done => {
      const end = () => {
        gone()
        done()
      }
      if (server.exitCode !== null) return end()
      server.once('exit', end)
      server.kill('SIGINT')
    })
  const until = Date.now() + READY_WITHIN_MS
  while (Date.now() < until && server.exitCode === null) {
    if (spawnSync(join(bin, 'pg_isready'), ['-h', '127.0.0.1', '-p', String(port)]).status === 0)
      return { url: `postgres://macellaio@127.0.0.1:${port}`, stop }
    await new Promise(again => setTimeout(again, LOOK_MS))
  }
  await stop()
  return null
}
