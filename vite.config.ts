import vue from '@vitejs/plugin-vue'
import { fileURLToPath } from 'node:url'
import { defineConfig } from 'vite'
import { worksOffline } from './vite.offline'

const PAGES = fileURLToPath(new URL('dist/web', import.meta.url))
const PORT = Number(process.env['MACELLAIO_PORT'] ?? 4380)

export default defineConfig({
  root: fileURLToPath(new URL('web', import.meta.url)),
  plugins: [vue(), worksOffline(PAGES)],
  worker: { format: 'es' },
  build: {
    outDir: PAGES,
    emptyOutDir: true,
    assetsInlineLimit: 0,
    chunkSizeWarningLimit: 1400,
    rolldownOptions: {
      output: {
        codeSplitting: {
          groups: [
            // What starts the engine waits for nothing; the plan and the stove come next, and then all other places.
            { name: 'engine', test: /web\/src\/(workers\/engineWorker|offline\/arriving)\.ts|vite\/preload-helper/, priority: 4 },
            { name: 'first', test: /web\/src\/page\.ts/, priority: 3 },
            { name: 'soon', test: /web\/src\/stores\/services\.ts/, priority: 2 },
            { name: 'places', test: /web\/src\/places\/.*(Place|Page)\.vue/, priority: 1 }
          ]
        }
      }
    }
  },
  server: { host: '127.0.0.1', proxy: { '/api': `http://127.0.0.1:${PORT}` } }
})
