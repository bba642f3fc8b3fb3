import { defineConfig } from '@playwright/test'
import { chromiumPath } from './scripts/chromium.mjs'

const FLAGS = [
  '--no-sandbox',
  '--disable-gpu',
  '--disable-quic',
  '--no-first-run',
  '--disable-background-networking',
  '--disable-component-update',
  '--disable-sync'
]

export default defineConfig({
  testDir: 'e2e',
  outputDir: 'test-results',
  globalSetup: './e2e/setup.ts',
  fullyParallel: false,
  // A browser waits more than it works: two do no harm to each other, each file with a server of its own.
  workers: 2,
  // What comes is told, not how soon: a machine that is busy elsewhere is no fault of what is tested.
  timeout: 180_000,
  expect: { timeout: 30_000 },
  use: {
    viewport: { width: 1280, height: 800 },
    // Days before months, hours to 24.
    locale: 'en-GB',
    // Every page a browser of its own: what they would keep is fetched for nothing. The tests of that let it.
    serviceWorkers: 'block',
    // A click waits until what moves has come to rest.
    contextOptions: { reducedMotion: 'reduce' },
    launchOptions: { executablePath: chromiumPath() ?? 'chromium', args: FLAGS }
  }
})
