import vue from '@vitejs/plugin-vue'
import { defineConfig } from 'vitest/config'

export default defineConfig({
  plugins: [vue()],
  test: {
    testTimeout: 120_000,
    // Half the cores, as it is by itself, is one of two.
    maxWorkers: '100%',
    projects: [
      // Nothing in core outlives a test: its files share one process, and its loops are compiled once.
      { extends: true, test: { name: 'core', include: ['core/**/*.test.ts'], isolate: false } },
      {
        extends: true,
        test: { name: 'rest', include: ['server/**/*.test.ts', 'web/**/*.test.ts', 'scripts/**/*.test.ts', 'demo/**/*.test.ts'] }
      }
    ]
  }
})
