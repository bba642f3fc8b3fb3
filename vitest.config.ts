import { fileURLToPath } from 'node:url'
import vue from '@vitejs/plugin-vue'
import { defineConfig } from 'vitest/config'

/** What is asked of SQLite's file, and of its copies. */
const SQLITES_OWN = ['server/src/db/database.test.ts', 'server/src/db/copies.test.ts', 'server/src/start.test.ts']

export default defineConfig({
  plugins: [vue()],
  // The library in one file: in two thousand they take a second longer for every file of tests.
  resolve: {
    alias: [{ find: /^ant-design-vue$/, replacement: fileURLToPath(import.meta.resolve('ant-design-vue/dist/antd.esm.min.js')) }]
  },
  test: {
    testTimeout: 120_000,
    server: { deps: { external: [/ant-design-vue/] } },
    // Half the cores, as it is by itself, is one of two.
    maxWorkers: '100%',
    projects: [
      // Nothing in core outlives a test: its files share one process, and its loops are compiled once.
      { extends: true, test: { name: 'core', include: ['core/**/*.test.ts'], isolate: false } },
      {
        extends: true,
        test: {
          name: 'rest',
          include: ['server/**/*.test.ts', 'web/**/*.test.ts', 'scripts/**/*.test.ts', 'demo/**/*.test.ts'],
          exclude: ['**/*.postgres.test.ts']
        }
      },
      // The same tests of the server once more, and those of several servers on one database: where there is one to be had.
      ...(process.env['MACELLAIO_TEST_POSTGRES'] === undefined
        ? []
        : [
            {
              extends: true as const,
              test: { name: 'postgres', include: ['server/**/*.test.ts'], exclude: SQLITES_OWN, isolate: false }
            }
          ])
    ]
  }
})
