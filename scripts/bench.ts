/**
 * Speed of the engine on this machine: run by hand, never as a test. In the browser, where cooks
 * have it; with `--node`, or where there is no Chromium, in Node.
 */
import { fileURLToPath } from 'node:url'
import { chromium } from '@playwright/test'
import { build } from 'vite'
import { chromiumOrThrow, chromiumPath } from './chromium.mjs'

const WORK = fileURLToPath(new URL('benchWork.ts', import.meta.url))

async function inChromium(): Promise<void> {
  const built = await build({
    configFile: false,
    logLevel: 'warn',
    resolve: { alias: [{ find: /^#core\/(.*)$/, replacement: fileURLToPath(new URL('../core/src/$1.ts', import.meta.url)) }] },
    build: { write: false, minify: false, lib: { entry: WORK, formats: ['iife'], name: 'bench', fileName: 'bench' } }
  })
  const outputs = Array.isArray(built) ? built : [built]
  const code = outputs.flatMap(o => ('output' in o ? o.output : [])).find(o => o.type === 'chunk')?.code
  if (!code) throw new Error('The benchmark could not be built.')
  const browser = await chromium.launch({ executablePath: chromiumOrThrow(), args: ['--no-sandbox', '--disable-gpu'] })
  const page = await browser.newPage()
  page.on('console', message => console.log(message.text()))
  console.log(`Chromium ${browser.version()}`)
  await page.evaluate(code)
  await browser.close()
}

if (!process.argv.includes('--node') && chromiumPath() !== null) await inChromium()
else {
  console.log(`Node ${process.version}`)
  await import('./benchWork')
}
