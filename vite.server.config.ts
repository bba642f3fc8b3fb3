import { fileURLToPath } from 'node:url'
import { defineConfig } from 'vite'

/** The server in one file, so that it starts at once; packages stay where they are. */
export default defineConfig({
  root: fileURLToPath(new URL('.', import.meta.url)),
  publicDir: false,
  build: {
    ssr: 'server/src/main.ts',
    outDir: 'dist/server',
    emptyOutDir: true,
    target: 'node20',
    sourcemap: true
  }
})
