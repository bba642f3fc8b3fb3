/** The phone by the stove: let in over the network by a code, it cooks the same service, and is put out again. */
import { expect, test } from '@playwright/test'
import { App } from './app'
import { devices } from './devices'

let app: App
test.beforeAll(async () => {
  app = await App.start()
})
test.afterAll(() => app.stop())

const device = devices()

test('a phone comes in by the code that is shown, stands at the running cook, keeps what is said while the server is dead, and is put out', async ({
  page,
  browser
}) => {
  await page.goto(`${app.url}/fire`)
  await page.getByRole('button', { name: 'Light the stove' }).click()
  await page.getByRole('button', { name: 'Ring is lit' }).click()
  await page.getByRole('button', { name: 'It is in' }).click()
  await expect(page.getByText('Turn 1 of ')).toBeVisible()
  await page.getByRole('link', { name: 'On the phone' }).click()
  await expect(page.getByText('Shut: only this machine reaches it.')).toBeVisible()
  await page.getByRole('switch').click()
  await page.getByRole('button', { name: 'Show a code for a phone' }).click()
  await expect(page.getByAltText('The code to scan')).toBeVisible()
  const url = await page.locator('.url').innerText()

  // Who has no code sees the lock and nothing else.
  const stranger = await device(browser, 390, 844)
  await stranger.goto(new URL('/book', url).href)
  await expect(stranger.getByRole('heading', { name: 'This kitchen does not know this device yet' })).toBeVisible()
  expect(await stranger.evaluate(async () => (await fetch('/api/cooks')).status)).toBe(401)

  const phone = await device(browser, 390, 844)
  await phone.goto(url)
  await phone.getByLabel('What this device is called').fill('Galley phone')
  await phone.getByRole('button', { name: 'Come in' }).click()
  await expect(phone).toHaveURL(/\/stove$/)
  await expect(phone.getByText('Turn 1 of ')).toBeVisible()
  await phone.getByRole('button', { name: 'Turned' }).click()
  await expect(page.getByText('Galley phone')).toBeVisible()
  await page.getByRole('link', { name: /Stove/ }).click()
  await expect(page.getByText('Turn 2 of ')).toBeVisible({ timeout: 10_000 })

  await app.kill()
  // Sooner it would be the same turn, said twice.
  await phone.waitForTimeout(2200)
  await phone.getByRole('button', { name: 'Turned' }).click()
  await expect(phone.getByText('Turn 3 of ')).toBeVisible()
  await app.serve()
  // It was left open, and the phone is known.
  await expect(page.getByText('Turn 3 of ')).toBeVisible({ timeout: 30_000 })

  await page.getByRole('link', { name: 'On the phone' }).click()
  await page.getByRole('button', { name: 'Put out Galley phone' }).click()
  await expect(page.getByText('No other device is let in.')).toBeVisible()
  await phone.reload()
  await expect(phone.getByRole('heading', { name: 'This kitchen does not know this device yet' })).toBeVisible({ timeout: 20_000 })
})
