/** The server is gone, the page closed and opened again, and there are two of it: nothing is lost, nothing said twice. */
import { expect, test, type BrowserContext, type Page } from '@playwright/test'
import { App } from './app'
import { planned } from './kitchen'

test.use({ serviceWorkers: 'allow' })

let app: App
test.beforeAll(async () => {
  app = await App.start()
})
test.afterAll(() => app.stop())

/** Whether all that ships is kept. */
const keptWhole = (page: Page): Promise<unknown> =>
  page.evaluate(() =>
    navigator.serviceWorker.ready.then(r => new Promise(kept => (r.active ? kept(true) : r.addEventListener('updatefound', kept))))
  )

async function another(context: BrowserContext): Promise<Page> {
  const page = await context.newPage()
  await page.goto(`${app.url}/stove`)
  return page
}

test('with the server dead it opens, plans, cooks in two windows and records; all of it is told once when the server is back', async ({
  page,
  context
}) => {
  await page.goto(`${app.url}/counter`)
  await keptWhole(page)
  await app.kill()
  await page.reload()
  await expect(page.getByRole('heading', { name: 'What are you after?' })).toBeVisible()
  await planned(page, `${app.url}/fire`)
  await page.getByRole('button', { name: 'Light the stove' }).click()
  await expect(page.getByRole('heading', { name: 'Light the ring' })).toBeVisible()
  const other = await another(context)
  await expect(other.getByRole('heading', { name: 'Light the ring' })).toBeVisible()
  await page.keyboard.press('Space')
  await expect(other.getByRole('heading', { name: /Lay the strip steak/ })).toBeVisible()
  await other.keyboard.press('Space')
  const turns = page.getByText(/Turn 1 of \d+/)
  await expect(turns).toBeVisible()
  // Each in turn, and each hears of the other; in one breath both would have turned it once.
  for (const [n, hand] of [page, other].entries()) {
    await hand.waitForTimeout(2100)
    await hand.keyboard.press('Space')
    for (const eye of [page, other]) await expect(eye.getByText(new RegExp(`Turn ${n + 2} of \\d+`))).toBeVisible()
  }
  await page.close()
  await other.close()
  const later = await another(context)
  await expect(later.getByText(/Turn 3 of \d+/)).toBeVisible()
  await later.keyboard.press('p')
  await later.getByRole('button', { name: 'Carved' }).click()
  await app.serve()
  await later.getByRole('button', { name: 'To the book' }).click()
  await expect(later.locator('.log li').filter({ hasText: 'Turned' })).toHaveCount(2)
  const told = async (): Promise<string[][]> => {
    const ask = async (path: string): Promise<unknown> => (await later.request.get(`${app.url}/api/cooks${path}`)).json()
    const { cooks } = (await ask('')) as { cooks: { id: string }[] }
    const whole = await Promise.all(cooks.map(({ id }) => ask(`/${id}`) as Promise<{ events: { kind: string }[] }>))
    return whole.map(({ events }) => events.map(e => e.kind))
  }
  await expect.poll(told).toEqual([['lit', 'laid', 'turned', 'turned', 'pulled', 'carved']])
})
