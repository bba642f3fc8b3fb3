/**
 * Every check there is, each counted: types, lint, rooms, unused code, unit tests,
 * build, interface. Ends with "N passed, N failed".
 */
import { spawn } from 'node:child_process'
import { existsSync, mkdtempSync, readdirSync, readFileSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { startPostgres } from './postgres.mjs'
import { ensureChromium, ensurePostgres, ensureSources, ROOT } from './setup.mjs'

const { compiled } = await ensureSources()
const chromium = ensureChromium()
// One after the other: Debian's installer goes by itself.
const postgres = chromium.then(ensurePostgres)
const LINES_OF_A_PAGE = 60
const reports = mkdtempSync(join(tmpdir(), 'macellaio-test-'))
let passed = 0
let failed = 0

function run(command, args, environment = {}) {
  return new Promise(done => {
    const child = spawn(command, args, { cwd: ROOT, stdio: 'inherit', env: { ...process.env, ...environment, NO_COLOR: '1' } })
    child.on('error', () => done(127))
    child.on('exit', code => done(code ?? 1))
  })
}

function count(name, ok) {
  if (ok) passed += 1
  else failed += 1
  console.log(`${ok ? 'pass' : 'FAIL'}  ${name}`)
}

async function check(name, command, args) {
  count(name, (await run(command, args)) === 0)
}

/** Runs a test runner that writes a JSON report, and counts its tests. */
async function tests(name, command, args, read, environment = {}) {
  const file = join(reports, `${name}.json`)
  const code = await run(command, args(file), environment)
  try {
    const result = read(JSON.parse(readFileSync(file, 'utf8')))
    passed += result.passed
    failed += result.failed
    if (code !== 0 && result.failed === 0) failed += 1
    console.log(`${code === 0 ? 'pass' : 'FAIL'}  ${name}: ${result.passed} passed, ${result.failed} failed`)
  } catch {
    count(`${name} gave no report`, false)
  }
}

async function typed() {
  await check('types: core', 'npx', ['tsc', '-p', 'core'])
  await check('types: server, scripts, tests', 'npx', ['tsc', '-p', '.'])
  await check('types: web', 'npx', ['vue-tsc', '--noEmit', '-p', 'web'])
  await check('build: page', 'npx', ['vite', 'build', '--logLevel', 'warn'])
  await check('build: server', 'npx', ['vite', 'build', '--config', 'vite.server.config.ts', '--logLevel', 'warn'])
}

async function tidy() {
  await check('lint', 'npx', ['eslint', '.', '--max-warnings', '0'])
  await check('format', 'npx', ['prettier', '--check', '--log-level', 'warn', '.'])
  await check('rooms: who may import whom', 'npx', [
    'depcruise',
    '--config',
    '.dependency-cruiser.cjs',
    '--output-type',
    'err',
    'core',
    'server',
    'web/src',
    'demo',
    'scripts',
    'e2e'
  ])
  await check('no unused code', 'npx', ['knip'])
  await check('tests are a quarter to a third of the code', 'node', ['scripts/testShare.mjs'])
}

const unit = (project, environment = {}) =>
  tests(
    `unit, ${project}`,
    'npx',
    file => ['vitest', 'run', '--project', project, '--reporter=default', '--reporter=json', `--outputFile.json=${file}`],
    r => ({ passed: r.numPassedTests, failed: r.numFailedTests }),
    environment
  )

/** The server's tests once more, on the other database that it can have; where that is not to be had it is said, and no failure. */
async function onPostgres() {
  const server = (await postgres) ? await startPostgres() : null
  if (server === null) {
    console.log('skip  unit, postgres: there is no PostgreSQL here, and none could be installed')
    return
  }
  await unit('postgres', { MACELLAIO_TEST_POSTGRES: server.url })
  await server.stop()
}

/** On the pages of the interface tests that failed: of a machine that is gone nothing else is left to look at. */
function whatStoodThere() {
  const results = join(ROOT, 'test-results')
  for (const name of existsSync(results) ? readdirSync(results) : []) {
    const told = join(results, name, 'error-context.md')
    if (!existsSync(told)) continue
    const [, page = 'nothing'] = /```yaml\n([\s\S]*?)```/.exec(readFileSync(told, 'utf8')) ?? []
    console.log(`\n${name} saw\n${page.split('\n').slice(0, LINES_OF_A_PAGE).join('\n')}`)
  }
}

// Two at a time, beside what is still being installed: none asks anything of another.
await Promise.all([typed(), tidy()])
// The core needs no database driver, which is still compiled meanwhile.
await unit('core')
await Promise.all([compiled, chromium])
await unit('rest')
await onPostgres()
if (await chromium) {
  process.env.PLAYWRIGHT_JSON_OUTPUT_NAME = join(reports, 'interface.json')
  await tests(
    'interface',
    'npx',
    () => ['playwright', 'test', '--reporter=list,json'],
    r => ({ passed: r.stats.expected, failed: r.stats.unexpected + r.stats.flaky })
  )
} else {
  count('interface: no Chromium', false)
}

if (failed > 0) whatStoodThere()
rmSync(reports, { recursive: true, force: true })
console.log(`\n${passed} passed, ${failed} failed`)
process.exit(failed === 0 ? 0 : 1)
