/** Sets up if need be, then opens the door for scripts. */
import { spawnSync } from 'node:child_process'
import { join } from 'node:path'
import { ensurePackages, ROOT } from './setup.mjs'

await ensurePackages()
const { status } = spawnSync(process.execPath, ['--import', 'tsx', join(ROOT, 'scripts/door.ts'), ...process.argv.slice(2)], {
  stdio: 'inherit'
})
process.exit(status ?? 1)
