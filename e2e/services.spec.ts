/** One service at two devices: written at the desk, opened on a phone, cooked by both, through a killed server. */
import { expect, test } from '@playwright/test'
import { App } from './app'
import { pick } from './controls'
import { devices } from './devices'
import { secondsLeft, visit } from './kitchen'

let app: App
test.beforeAll(async () => {
  app = await App.start()
})
test.afterAll(() => app.stop())

const device = devices()

test('a supper written at the desk is opened on a phone, cooked by both, and nothing of it is lost or done twice', async ({ browser }) => {
  test.setTimeout(120_000)
  const desk = await device(browser, 1280, 800)
  await desk.goto(`${app.url}/pass`)
  await expect(desk.getByRole('heading', { name: 'The pass' })).toBeVisible()
  await pick(desk.getByLabel('A side or a sauce'), /^Rice/)
  await expect(desk.locator('.ticket').getByText('Rice', { exact: true })).toBeVisible()
  await desk.getByRole('button', { name: 'All services' }).click()
  await desk.getByLabel('This one is called').fill('Lock-keepers’ supper')
  await desk.keyboard.press('Enter')
  await desk.keyboard.press('Escape')
  await expect(desk.getByRole('heading', { name: 'Lock-keepers’ supper' })).toBeVisible()
  await visit(desk, `${app.url}/fire`)
  await desk.getByRole('button', { name: 'Light the stove' }).click()
  await desk.getByRole('button', { name: 'Ring is lit' }).click()
  await desk.getByRole('button', { name: 'It is in' }).click()
  await expect(desk.getByText('Turn 1 of ')).toBeVisible()

  const phone = await device(browser, 390, 844)
  // Whose clock nobody has set right.
  await phone.clock.install({ time: Date.now() + 3 * 60_000 })
  await phone.goto(`${app.url}/pass`)
  await expect(phone.getByText('This device’s clock is 3 min ahead of the server’s.')).toBeVisible()
  await phone.getByRole('button', { name: 'All services' }).click()
  await phone.getByRole('tab', { name: /Running/ }).click()
  await phone.locator('.service', { hasText: 'Lock-keepers’ supper' }).getByRole('button', { name: 'Open' }).click()
  await expect(phone.getByRole('heading', { name: 'Lock-keepers’ supper' })).toBeVisible()
  await phone.getByRole('link', { name: /Stove/ }).click()
  await expect(phone.getByText('Turn 1 of ')).toBeVisible()
  // And yet it counts to the same moment.
  await expect(async () => {
    const [here, there] = await Promise.all([secondsLeft(desk), secondsLeft(phone)])
    expect(Math.abs(here - there)).toBeLessThan(3)
  }).toPass()

  // Whoever presses, both go on.
  await phone.getByRole('button', { name: 'Turned' }).click()
  await expect(desk.getByText('Turn 2 of ')).toBeVisible({ timeout: 10_000 })
  await desk.keyboard.press('u')
  await expect(phone.getByText('Turn 1 of ')).toBeVisible({ timeout: 10_000 })
  // Both at once is once.
  await Promise.all([phone.getByRole('button', { name: 'Turned' }).click(), desk.getByRole('button', { name: 'Turned' }).click()])
  await expect(desk.getByText('Turn 2 of ')).toBeVisible()
  await expect(phone.getByText('Turn 2 of ')).toBeVisible()

  await app.kill()
  await phone.getByRole('button', { name: 'Reading' }).click()
  await phone.getByLabel('The probe reads').fill('7.5')
  await phone.keyboard.press('Enter')
  await expect(phone.locator('main').getByText('Turn 2 of ')).toBeVisible()
  await app.serve()
  await phone.reload()
  await expect(desk.locator('aside').getByText('You read 7.5')).toBeVisible({ timeout: 25_000 })
  await desk.keyboard.press('p')
  await expect(phone.getByRole('button', { name: 'Carved' })).toBeVisible({ timeout: 10_000 })
  await phone.getByRole('button', { name: 'Carved' }).click()
  await phone.getByRole('button', { name: 'To the book' }).click()
  await expect(phone.locator('.log li')).toHaveText([/Ring lit/, /Into the pan/, /Turned/, /Read 7.5/, /Off the heat/, /Carved/])
  await phone.getByRole('button', { name: 'Its ticket' }).click()
  await expect(phone.getByRole('heading', { name: 'Lock-keepers’ supper' })).toBeVisible()
})

test('another is begun, the one before is put away and taken back, and without a server what stands here stays', async ({ page }) => {
  await page.goto(`${app.url}/pass`)
  await pick(page.getByLabel('A side or a sauce'), /^Rice/)
  await expect(page.locator('.ticket').getByText('Rice', { exact: true })).toBeVisible()
  await page.waitForTimeout(1500)
  await page.getByRole('button', { name: 'All services' }).click()
  await page.getByRole('button', { name: 'Begin another' }).click()
  await expect(page.locator('.ticket').getByText('Rice', { exact: true })).toBeHidden()
  await page.getByRole('button', { name: 'All services' }).click()
  const before = page.locator('.service', { hasText: 'Rice' }).filter({ hasNotText: 'Lock-keepers' }).first()
  await before.getByRole('button', { name: 'Put away' }).click()
  await expect(before).toBeHidden()
  await page.getByRole('button', { name: 'Undo' }).click()
  await before.getByRole('button', { name: 'Open' }).click()
  await expect(page.locator('.ticket').getByText('Rice', { exact: true })).toBeVisible()

  await app.kill()
  await page.getByRole('button', { name: 'All services' }).click()
  await expect(page.getByText('The list is on the server, and it does not answer.')).toBeVisible()
  await page.keyboard.press('Escape')
  await pick(page.getByLabel('A side or a sauce'), /^Horseradish/)
  await expect(
    page
      .locator('.ticket')
      .getByText(/^Horseradish/)
      .first()
  ).toBeVisible()
  await app.serve()
  await page.reload()
  await expect(page.locator('.ticket').getByText('Rice', { exact: true })).toBeVisible()
  await expect(
    page
      .locator('.ticket')
      .getByText(/^Horseradish/)
      .first()
  ).toBeVisible()
})
