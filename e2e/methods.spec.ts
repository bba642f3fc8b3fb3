/** Every way to cook a piece, compared, turned, and counted back from the table. */
import { readFileSync } from 'node:fs'
import { expect, test, type Page } from '@playwright/test'
import { App } from './app'

let app: App
test.beforeAll(async () => {
  app = await App.start()
})
test.afterAll(() => app.stop())

const table = (page: Page) => page.getByRole('radiogroup', { name: 'Methods' })
const done = (page: Page) => expect(table(page)).toHaveAttribute('aria-busy', 'false', { timeout: 60_000 })
const figure = (page: Page, line: string) => page.locator(`[data-line="${line}"] .figure`)

test('a steak: the pan is quickest, the bath most even and most forgiving, and unsuited ways say why', async ({ page }) => {
  await page.goto(`${app.url}/fire/methods`)
  await done(page)
  const rows = table(page).locator('label')
  await expect(rows.first()).toContainText('pan sear')
  await expect(rows.filter({ hasText: 'roast' }).first()).toContainText('browns too slowly')
  await page.getByRole('textbox', { name: 'Pan' }).fill('250')
  await expect(page.locator('aside')).toContainText('most oils smoke')
  await page.getByRole('radio', { name: 'evenness' }).check()
  await expect(rows.first()).toContainText(/bath|pot/)

  await rows.filter({ hasText: 'oven then sear' }).click()
  await expect(page.getByRole('heading', { name: 'oven then sear' }).first()).toBeVisible()
  const before = await figure(page, 'phase-0').textContent()
  await page.getByRole('textbox', { name: 'Oven' }).fill('150')
  await expect(page.locator('.slate ul')).toHaveAttribute('aria-busy', 'false', { timeout: 20_000 })
  await expect(figure(page, 'phase-0')).not.toHaveText(before ?? '')
  await page.reload()
  await expect(page.getByRole('textbox', { name: 'Oven' })).toHaveValue('150')
  await page.getByRole('button', { name: 'As it is usually set' }).click()
  await expect(page.getByRole('textbox', { name: 'Oven' })).toHaveValue('120')
})

test('a joint: the pan refuses it, the oven takes it, and the evening is counted back', async ({ page }) => {
  await page.goto(`${app.url}/counter`)
  await page.getByLabel('Search cuts by any name').fill('châteaubriand')
  await page.getByRole('button', { name: 'Take it to the bench' }).click()
  await page.getByRole('button', { name: 'To the fire' }).click()
  await expect(page.getByRole('alert')).toContainText('A joint is not cooked in a pan alone.')
  await page.getByRole('link', { name: 'See every way to cook it' }).click()
  await done(page)
  await table(page)
    .locator('label', { hasText: /^roast/ })
    .click()
  const out = Number(await figure(page, 'pull').textContent())
  expect(out).toBeGreaterThan(44)
  expect(out).toBeLessThan(53)
  await page.getByLabel('On the table at').fill('2027-03-05T19:30')
  await expect(page.locator('aside ol li').last()).toContainText('19:30 carve and serve')
  const saved = async (button: string): Promise<string> => {
    const [download] = await Promise.all([page.waitForEvent('download'), page.getByRole('button', { name: button, exact: true }).click()])
    return readFileSync((await download.path())!, 'utf8')
  }
  expect(await saved('PDF')).toMatch(/^%PDF-/)
  await page.getByRole('textbox', { name: 'Oven' }).fill('150')
  const file = await saved('Plan file')
  expect(JSON.parse(file)).toMatchObject({ method: { kind: 'roast', ovenHeat: '150 °C' }, piece: { cut: 'chateaubriand', form: 'roast' } })
  await page.getByRole('button', { name: 'As it is usually set' }).click()
  await page.getByLabel('Open a plan file').setInputFiles({ name: 'plan.json', mimeType: 'application/json', buffer: Buffer.from(file) })
  await expect(page.getByRole('textbox', { name: 'Oven' })).toHaveValue('150')
  await page.getByLabel('Open a plan file').setInputFiles({ name: 'x.json', mimeType: 'application/json', buffer: Buffer.from('soup') })
  await expect(page.getByText('That is not a plan file')).toBeVisible()
  const calendar = await saved('Calendar')
  expect(calendar.match(/BEGIN:VEVENT/g)?.length).toBeGreaterThanOrEqual(3)
  expect(calendar).toContain('carve and serve')
})
