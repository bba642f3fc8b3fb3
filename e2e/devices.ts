/** Other devices beside the one of a test, each with a storage of its own; shut after it: a stove that nobody looks at any more goes on ticking. */
import { test, type Browser, type BrowserContext, type Page } from '@playwright/test'
import { App } from './app'

const DESK_AND_PHONE = [
  ['at the desk', { viewport: { width: 1280, height: 800 } }],
  ['on a phone', { viewport: { width: 390, height: 844 }, hasTouch: true }]
] as const

/** The same tests at the desk and on a phone, each with an app of its own. */
export function atDeskAndOnPhone(tests: (app: () => App) => void): void {
  for (const [where, device] of DESK_AND_PHONE)
    test.describe(where, () => {
      test.use(device)
      let app: App
      test.beforeAll(async () => {
        app = await App.start()
      })
      test.afterAll(() => app.stop())
      tests(() => app)
    })
}

/** Once in a file. @returns to take one in hand; over the network it does not know who vouches for the page, and goes on */
export function devices(): (browser: Browser, width: number, height: number) => Promise<Page> {
  const open: BrowserContext[] = []
  test.afterEach(() => Promise.all(open.splice(0).map(d => d.close())))
  return async (browser, width, height) => {
    const context = await browser.newContext({
      viewport: { width, height },
      locale: 'en-GB',
      ignoreHTTPSErrors: true,
      reducedMotion: 'reduce'
    })
    open.push(context)
    return context.newPage()
  }
}
