/** Sets everything up and starts the app with the demo's Book. Stop it with Ctrl+C. */
import { spawn, spawnSync } from 'node:child_process'
import { join } from 'node:path'
import { ensurePackages, ROOT } from './setup.mjs'

await ensurePackages()
const built = spawnSync('npx', ['vite', 'build', '--logLevel', 'warn'], { cwd: ROOT, stdio: 'inherit' })
if (built.status !== 0) process.exit(built.status ?? 1)

const port = process.env.MACELLAIO_PORT ?? '4380'
const server = spawn(process.execPath, ['--import', 'tsx', 'server/src/main.ts'], {
  cwd: ROOT,
  stdio: 'inherit',
  env: {
    ...process.env,
    MACELLAIO_PORT: port,
    MACELLAIO_DEMO: '1',
    MACELLAIO_LOG: process.env.MACELLAIO_LOG ?? 'warn',
    MACELLAIO_DB: process.env.MACELLAIO_DB ?? join(ROOT, '.data/demo.sqlite')
  }
})
server.on('exit', code => process.exit(code ?? 0))
for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => server.kill(signal))

for (let tries = 0; tries < 240; tries++) {
  await new Promise(wait => setTimeout(wait, 250))
  const ready = await fetch(`http://127.0.0.1:${port}/api/health`).then(
    r => r.ok,
    () => false
  )
  if (!ready) continue
  console.log(`\n  Macellaio is ready: http://127.0.0.1:${port}\n  Stop it with Ctrl+C.\n`)
  break
}
