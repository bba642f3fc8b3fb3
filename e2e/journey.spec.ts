/** From the Counter to the Book through the real interface, server and database. */
import { expect, test, type Page } from '@playwright/test'
import { App } from './app'
import { choose, pick } from './controls'

let app: App
test.beforeAll(async () => {
  app = await App.start()
})
test.afterAll(() => app.stop())

const figure = (page: Page, line: string) => page.locator(`[data-line="${line}"] .figure`)
const sheet = (page: Page) => page.getByLabel('Call sheet', { exact: true }).locator('ul[aria-busy]')

/** The plan on the screen is the one for what is on the screen. */
async function planned(page: Page): Promise<void> {
  await expect(sheet(page)).toHaveAttribute('aria-busy', 'false')
}

test('a cook buys, measures, plans, cooks, judges and finds it again', async ({ page }) => {
  await page.clock.install()
  await page.goto(`${app.url}/counter`)
  await page.getByLabel('Search cuts by any name').fill('shin')
  await expect(page.getByRole('alert')).toContainText('Not for pan, oven or coals.')
  await expect(page.getByRole('button', { name: 'Take it to the bench' })).toHaveCount(0)

  await page.getByLabel('Search cuts by any name').fill('bife de chorizo')
  await expect(page.getByRole('heading', { name: 'Strip steak' })).toBeVisible()
  await page.getByRole('button', { name: 'Take it to the bench' }).click()

  await page.getByLabel('Thickness', { exact: true }).fill('1 in')
  await page.getByLabel('Weight of one').fill('280')
  await page.getByLabel('Length').fill('15 cm')
  await page.getByLabel('Width').fill('85')
  await page.getByLabel('How many').fill('1')
  await expect(page.getByText('Yes: sizes and weight fit')).toBeVisible()
  await page.getByLabel('Weight of one').fill('1400')
  await expect(page.getByRole('alert')).toContainText('the scale says')
  await expect(page.getByText('Likeliest culprit: the weight')).toBeVisible()
  await page.getByRole('button', { name: /Make the weight/ }).click()
  await expect(page.getByText('Yes: sizes and weight fit')).toBeVisible()
  await page.getByRole('button', { name: 'To the fire' }).click()

  await planned(page)
  await expect(page.getByRole('heading', { level: 1, name: 'Strip steak, 25 mm' })).toBeVisible()
  await pick(page.getByLabel('Turn', { exact: true }), 'twice a side')
  await planned(page)
  const off = Number(await figure(page, 'pull').textContent())
  expect(off).toBeGreaterThan(42)
  expect(off).toBeLessThan(53)
  await expect(figure(page, 'eat')).toHaveText('54')

  await page.getByRole('button', { name: 'Light the stove' }).click()
  await expect(page.getByRole('heading', { name: 'Light the ring' })).toBeVisible()
  await page.getByRole('button', { name: 'Ring is lit' }).click()
  await page.clock.runFor(1000)
  await expect(page.getByRole('heading', { name: /Lay the strip steak in the pan in/ })).toBeVisible()
  await page.clock.fastForward(240_000)
  await page.keyboard.press('Space')

  for (let turn = 1; turn <= 3; turn++) {
    await expect(page.getByText(`Turn ${turn} of 3.`)).toBeVisible()
    await page.clock.fastForward(115_000)
    await page.keyboard.press('Space')
  }
  await expect(page.getByRole('heading', { name: /Off the heat/ })).toBeVisible()
  await page.keyboard.press('r')
  await page.getByLabel('The probe reads').fill('500')
  await page.keyboard.press('Enter')
  await expect(page.getByRole('alert')).toContainText('110')
  await page.getByLabel('The probe reads').fill('46.5')
  await page.keyboard.press('Enter')
  await expect(page.locator('aside').getByText('You read 46.5')).toBeVisible()
  await page.clock.fastForward(60_000)
  await page.keyboard.press('p')
  await expect(page.getByRole('heading', { name: /Carve/ })).toBeVisible()
  await page.keyboard.press('u')
  await expect(page.getByRole('heading', { name: /Off the heat/ })).toBeVisible()
  await page.keyboard.press('p')
  await page.clock.fastForward(300_000)
  await page.getByRole('button', { name: 'Carved' }).click()

  await choose(page, 'as wanted')
  await choose(page, 'good')
  await page.getByLabel('Notes').fill('Rosy, and the rim crisp.')
  await page.getByLabel('Notes').blur()
  await page.getByRole('button', { name: 'To the book' }).click()

  await expect(page.getByRole('heading', { level: 1, name: 'Strip steak, 25 mm' })).toBeVisible()
  await expect(page.getByText('Read 46.5')).toBeVisible()
  await expect(page.getByLabel('Notes')).toHaveValue('Rosy, and the rim crisp.')
  await page.getByRole('link', { name: 'The book' }).click()
  await page.getByLabel('Search the book').fill('rosy rim')
  await page.clock.runFor(1000)
  await expect(page.getByRole('row', { name: /as wanted, crust good/ })).toHaveCount(1)
})

test('a first visit lands on a finished plan within a minute, and is told that it is an example', async ({ page }) => {
  const began = Date.now()
  await page.goto(app.url)
  await planned(page)
  expect(Date.now() - began).toBeLessThan(60_000)
  await expect(page.getByText('A ready example')).toBeVisible()
  await expect(page.getByRole('button', { name: 'Light the stove' })).toBeEnabled()
})
