/** The service worker, built after the pages, with the list of what they are made of put into it. */
import { createHash } from 'node:crypto'
import { readdirSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { build, type Plugin } from 'vite'

const ENTRY = fileURLToPath(new URL('web/src/offline/serviceWorker.ts', import.meta.url))
const FILE = 'serviceWorker.js'
/** Fonts for browsers that know no better have no service workers. */
const LEFT_OUT = /\.woff$/

/** @param folder of the built pages */
export function worksOffline(folder: string): Plugin {
  return {
    name: 'works offline',
    apply: 'build',
    async closeBundle() {
      await build({
        configFile: false,
        logLevel: 'warn',
        define: { SHIPPED: JSON.stringify(shipped(folder)), 'process.env.NODE_ENV': '"production"' },
        build: { outDir: folder, emptyOutDir: false, lib: { entry: ENTRY, formats: ['iife'], name: 'offline', fileName: () => FILE } }
      })
    }
  }
}

function shipped(folder: string): object[] {
  return readdirSync(folder, { recursive: true, withFileTypes: true })
    .filter(entry => entry.isFile() && entry.name !== FILE && !LEFT_OUT.test(entry.name))
    .map(entry => join(entry.parentPath, entry.name))
    .map(path => {
      const url = path.slice(folder.length).replaceAll('\\', '/')
      const named = url.startsWith('/assets/')
      return { url, revision: named ? null : createHash('sha256').update(readFileSync(path)).digest('hex').slice(0, 16) }
    })
}
