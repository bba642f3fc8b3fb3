/** What a cook must be able to rely on: nothing lost, nothing stale, nonsense answered. */
import { expect, test, type Page } from '@playwright/test'
import { App } from './app'
import { secondsLeft } from './kitchen'
import { pick } from './controls'

let app: App
test.beforeAll(async () => {
  app = await App.start(true)
})
test.afterAll(() => app.stop())

const sheet = (page: Page) => page.getByLabel('Call sheet', { exact: true }).locator('ul[aria-busy]')

/** The example in its pan, to be turned next. */
async function laidIn(page: Page): Promise<void> {
  await page.goto(`${app.url}/fire`)
  await expect(sheet(page)).toHaveAttribute('aria-busy', 'false')
  await page.getByRole('button', { name: 'Light the stove' }).click()
  await page.getByRole('button', { name: 'Ring is lit' }).click()
  await page.getByRole('button', { name: 'It is in' }).click()
  await expect(page.getByText('Turn 1 of ')).toBeVisible()
}

test('the server is killed in the middle of a cook, the page reloaded, and nothing is lost', async ({ page }) => {
  await laidIn(page)

  await app.kill()
  await page.getByRole('button', { name: 'Turned' }).click()
  await expect(page.getByText('The server does not answer.')).toBeVisible()
  await page.keyboard.press('r')
  await page.getByLabel('The probe reads').fill('6.5')
  await page.keyboard.press('Enter')

  await app.serve()
  await page.reload()
  await expect(page.locator('aside').getByText('You read 6.5')).toBeVisible()
  await expect(page.getByText('Turn 2 of ')).toBeVisible()
  await page.keyboard.press('p')
  await page.getByRole('button', { name: 'Carved' }).click()
  await page.getByRole('button', { name: 'To the book' }).click()

  await app.kill()
  await app.serve()
  await page.reload()
  await expect(page.getByText('Read 6.5')).toBeVisible()
  await expect(page.locator('.log li')).toHaveText([/Ring lit/, /Into the pan/, /Turned/, /Read 6.5/, /Off the heat/, /Carved/])
})

test('no stale figure is shown as current, and nonsense is answered in the field', async ({ page }) => {
  await page.goto(`${app.url}/fire`)
  await expect(sheet(page)).toHaveAttribute('aria-busy', 'false')
  const before = await sheet(page).textContent()

  const sawBusy = page.waitForFunction(() => document.querySelector('[aria-label="Call sheet"] ul')?.getAttribute('aria-busy') === 'true')
  await pick(page.getByLabel('Turn', { exact: true }), 'once')
  await sawBusy
  await expect(sheet(page)).toHaveAttribute('aria-busy', 'false')
  expect(await sheet(page).textContent()).not.toBe(before)

  await page.getByLabel('Pan', { exact: true }).fill('warmish')
  await expect(page.getByText('“warmish” is not a temperature').first()).toBeVisible()
  await expect(page.getByRole('button', { name: 'Light the stove' })).toBeDisabled()
  await expect(sheet(page)).toHaveCount(0)
  await page.getByLabel('Pan', { exact: true }).fill('410 F')
  await expect(sheet(page)).toHaveAttribute('aria-busy', 'false')
  await expect(page.locator('[data-line="heat"] .figure')).toHaveText('210')

  await page.reload()
  await expect(sheet(page)).toHaveAttribute('aria-busy', 'false')
  await expect(page.locator('[data-line="heat"] .figure')).toHaveText('210')

  await page.getByRole('button', { name: /Units/ }).click()
  await expect(page.locator('[data-line="heat"]')).toHaveText(/410 °F/)
  await expect(page.getByRole('heading', { name: 'Strip steak, 1½ in' })).toBeVisible()
})

test('a phone on its side has the call and the great key in sight', async ({ page }) => {
  await page.goto(`${app.url}/fire`)
  await page.getByRole('button', { name: 'Light the stove' }).click()
  await page.getByRole('button', { name: 'Ring is lit' }).click()
  await page.setViewportSize({ width: 844, height: 390 })
  await expect(page.getByRole('heading', { name: /Lay the/ })).toBeInViewport({ ratio: 1 })
  await expect(page.getByRole('button', { name: 'It is in' })).toBeInViewport({ ratio: 1 })
})

test('a clock that is set in the middle of a cook, on or back, changes nothing of what is called, nor does opening the page anew', async ({
  page
}) => {
  await page.clock.install()
  await laidIn(page)
  const left = (): Promise<number> => secondsLeft(page)
  const began = await page.evaluate(() => Date.now())
  let shown = await left()
  for (const hours of [1, -1, 2]) {
    await page.clock.setSystemTime(began + hours * 3_600_000)
    await page.clock.runFor(2000)
    await expect(page.getByText('Turn 1 of ')).toBeVisible()
    const now = await left()
    expect(shown - now).toBeGreaterThanOrEqual(1)
    expect(shown - now).toBeLessThan(15)
    shown = now
  }
  await page.reload()
  await expect(page.getByText('Turn 1 of ')).toBeVisible()
  expect(shown - (await left())).toBeLessThan(20)
  expect(await left()).toBeGreaterThan(0)
})
