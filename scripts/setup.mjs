/**
 * What has to be there before anything runs: the packages and, for the interface
 * tests, Chromium. Plain Node, since it runs before anything is installed.
 */
import { spawn } from 'node:child_process'
import { createHash } from 'node:crypto'
import { existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs'
import { dirname, join, resolve } from 'node:path'
import { fileURLToPath } from 'node:url'
import { CHROMIUM_MISSING, chromiumPath } from './chromium.mjs'
import { postgresPath } from './postgres.mjs'

export const ROOT = resolve(dirname(fileURLToPath(import.meta.url)), '..')
const STAMP = join(ROOT, 'node_modules/.macellaio-installed')

/** Runs a command, its output on standard error so that answers keep standard output to themselves. */
function run(command, args, env = process.env) {
  return new Promise(done => {
    const child = spawn(command, args, { cwd: ROOT, stdio: ['ignore', 2, 2], env })
    child.on('error', () => done(127))
    child.on('exit', code => done(code ?? 1))
  })
}

function orExit(status) {
  if (status === 0) return
  console.error('npm failed: see above. Node 20.19 or later, npm, python3, make and a C++ compiler are needed.')
  process.exit(1)
}

/** Installs the packages where they are missing or the lock file has changed. */
export async function ensurePackages() {
  const { compiled } = await ensureSources()
  await compiled
}

/** The same, but for what is compiled: that may go on beside what does not need it. */
export async function ensureSources() {
  const wanted = createHash('sha256')
    .update(readFileSync(join(ROOT, 'package-lock.json')))
    .digest('hex')
  if (existsSync(STAMP) && readFileSync(STAMP, 'utf8') === wanted) return { compiled: Promise.resolve() }
  console.error('Installing packages; the database driver may take some minutes to compile the first time…')
  orExit(await run('npm', ['ci', '--ignore-scripts', '--no-audit', '--no-fund']))
  return { compiled: compile(wanted) }
}

async function compile(wanted) {
  orExit(await run('npm', ['rebuild', '--no-audit', '--no-fund']))
  mkdirSync(dirname(STAMP), { recursive: true })
  writeFileSync(STAMP, wanted)
}

/** Whether Debian's packages can be installed here. */
const onDebianAsRoot = () => process.platform === 'linux' && process.getuid?.() === 0
const apt = (...args) => run('apt-get', args, { ...process.env, DEBIAN_FRONTEND: 'noninteractive' })
const install = name => apt('install', '-y', '--no-install-recommends', name)

/** Installs Debian's Chromium where it is missing and that is allowed. @returns whether there is one */
export async function ensureChromium() {
  if (chromiumPath() !== null) return true
  if (onDebianAsRoot()) {
    console.error('Installing Chromium for the interface tests…')
    // An older Debian has no package of the one without a window.
    if ((await apt('update')) === 0 && (await install('chromium-headless-shell')) !== 0) await install('chromium')
  }
  if (chromiumPath() !== null) return true
  console.error(CHROMIUM_MISSING)
  return false
}

/** Installs Debian's PostgreSQL where it is missing and that is allowed. @returns whether there is one */
export async function ensurePostgres() {
  if (postgresPath() !== null) return true
  if (!onDebianAsRoot()) return false
  console.error('Installing PostgreSQL for the server’s tests…')
  if ((await apt('update')) === 0) await install('postgresql')
  return postgresPath() !== null
}
