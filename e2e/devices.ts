/** Other devices beside the one of a test, each with a storage of its own; shut after it: a stove that nobody looks at any more goes on ticking. */
import { test, type Browser, type BrowserContext, type Page } from '@playwright/test'

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
