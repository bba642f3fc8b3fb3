/**
 * Sets everything up, builds it and starts it: on the cook's own data, or with `--demo` on the demo's Book, which is
 * kept apart. Stop it with Ctrl+C.
 */
import { spawn, spawnSync } from 'node:child_process'
import { join } from 'node:path'
import { ensurePackages, ROOT } from './setup.mjs'

const demo = process.argv.includes('--demo')
// Whatever else is said is the server's to understand.
const flags = process.argv.slice(2).filter(flag => flag !== '--demo')
await ensurePackages()
for (const which of [[], ['--config', 'vite.server.config.ts']]) {
  const built = spawnSync('npx', ['vite', 'build', ...which, '--logLevel', 'warn'], { cwd: ROOT, stdio: 'inherit' })
  if (built.status !== 0) process.exit(built.status ?? 1)
}

const server = spawn(process.execPath, ['dist/server/main.js', ...flags], {
  cwd: ROOT,
  stdio: ['inherit', 'inherit', 'inherit', 'ipc'],
  env: {
    ...process.env,
    MACELLAIO_DEMO: demo ? '1' : '',
    MACELLAIO_LOG: process.env.MACELLAIO_LOG ?? 'warn',
    MACELLAIO_DB:
      process.env.MACELLAIO_DB ??
      (demo ? undefined : process.env.DATABASE_URL) ??
      join(ROOT, '.data', demo ? 'demo.sqlite' : 'macellaio.sqlite')
  }
})
const thermometers = []
server.on('exit', code => {
  for (const one of thermometers) one.kill()
  process.exit(code ?? 0)
})
for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => server.kill(signal))
server.on('message', ({ ready }) => {
  console.log(`\n  Macellaio is ready: ${ready}\n  Stop it with Ctrl+C.\n`)
  // The demo's kitchen has thermometers that speak for themselves; in the cook's own there are those he has.
  if (demo)
    for (const name of ['Galley probe', 'Oven shelf'])
      thermometers.push(
        spawn(process.execPath, ['--import', 'tsx', 'scripts/thermometer.ts', '--url', ready, '--name', name], {
          cwd: ROOT,
          stdio: 'ignore'
        })
      )
})
