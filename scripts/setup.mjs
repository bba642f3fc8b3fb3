/**
 * What has to be there before anything runs: the packages and, for the interface
 * tests, Chromium. Plain Node, since it runs before anything is installed.
 */
import { spawnSync } from 'node:child_process'
import { createHash } from 'node:crypto'
import { existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs'
import { dirname, join, resolve } from 'node:path'
import { fileURLToPath } from 'node:url'

export const ROOT = resolve(dirname(fileURLToPath(import.meta.url)), '..')
const STAMP = join(ROOT, 'node_modules/.macellaio-installed')
export const CHROMIUM = process.env.MACELLAIO_CHROMIUM ?? '/usr/bin/chromium'

/** Runs a command, its output on standard error so that answers keep standard output to themselves. */
function run(command, args, options = {}) {
  const { status, error } = spawnSync(command, args, { cwd: ROOT, stdio: ['ignore', 2, 2], ...options })
  return error ? 127 : (status ?? 1)
}

/** Installs the packages where they are missing or the lock file has changed. */
export function ensurePackages() {
  const wanted = createHash('sha256')
    .update(readFileSync(join(ROOT, 'package-lock.json')))
    .digest('hex')
  if (existsSync(STAMP) && readFileSync(STAMP, 'utf8') === wanted) return
  console.error('Installing packages; the database driver may take some minutes to compile the first time…')
  if (run('npm', ['ci', '--no-audit', '--no-fund']) !== 0) {
    console.error('npm ci failed: see above. Node 20.19 or later, npm, python3, make and a C++ compiler are needed.')
    process.exit(1)
  }
  mkdirSync(dirname(STAMP), { recursive: true })
  writeFileSync(STAMP, wanted)
}

/** Installs Debian's Chromium where it is missing and that is allowed. @returns whether there is one */
export function ensureChromium() {
  if (existsSync(CHROMIUM)) return true
  if (process.platform === 'linux' && process.getuid?.() === 0) {
    console.error('Installing Chromium for the interface tests…')
    const environment = { env: { ...process.env, DEBIAN_FRONTEND: 'noninteractive' } }
    if (run('apt-get', ['update'], environment) === 0) run('apt-get', ['install', '-y', '--no-install-recommends', 'chromium'], environment)
  }
  if (existsSync(CHROMIUM)) return true
  console.error(
    `The interface tests need Chromium at ${CHROMIUM}. On Debian: apt-get install chromium. Elsewhere set MACELLAIO_CHROMIUM to its path.`
  )
  return false
}
