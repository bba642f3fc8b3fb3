import vue from '@vitejs/plugin-vue'
import { defineConfig } from 'vitest/config'

export default defineConfig({
  plugins: [vue()],
  test: {
    include: ['core/**/*.test.ts', 'server/**/*.test.ts', 'web/**/*.test.ts', 'scripts/**/*.test.ts', 'demo/**/*.test.ts'],
    testTimeout: 60_000,
    // Half the cores, as it is by itself, is one of two.
    maxWorkers: '100%'
  }
})
