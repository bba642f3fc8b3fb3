/** The Book: what it remembers teaches what to plan with. */
import { expect, test } from '@playwright/test'
import { App } from './app'
import { visit } from './kitchen'

let app: App
test.beforeAll(async () => {
  app = await App.start(true)
})
test.afterAll(() => app.stop())

test('what finished cooks teach is planned with when the cook says so, stands in the kit, and is taken back', async ({ page }) => {
  const pull = async (): Promise<number> => {
    await visit(page, `${app.url}/fire/way/sear%20then%20oven`)
    const sheet = page.getByLabel('Call sheet', { exact: true }).locator('ul.sheet')
    await expect(sheet).toHaveAttribute('aria-busy', 'false', { timeout: 20_000 })
    return Number.parseFloat(
      await sheet
        .locator('[data-line="pull"]')
        .innerText()
        .then(t => t.replace(/^\D+/, ''))
    )
  }
  const before = await pull()
  await visit(page, `${app.url}/book`)
  const taught = page.getByRole('region', { name: 'What your cooks say of your kit' })
  await expect(taught).toHaveAttribute('aria-busy', 'false', { timeout: 60_000 })
  const pan = taught.getByRole('listitem').filter({ hasText: 'Cast-iron pan, 28 cm' })
  await expect(pan).toContainText(/from 5 cooks/)
  await expect(taught.getByRole('listitem').filter({ hasText: 'oven' })).toContainText('too little yet to plan with')
  await pan.getByRole('button', { name: 'Plan with this' }).click()
  await expect(pan).toContainText(/plans go by −\d+/)

  await visit(page, `${app.url}/fire/kit`)
  await page.getByRole('button', { name: 'change', exact: true }).first().click()
  const heat = page.getByLabel('Heat to the meat')
  expect(Number(await heat.inputValue())).toBeLessThan(97)
  expect(Math.abs((await pull()) - before)).toBeLessThan(4)

  await visit(page, `${app.url}/book`)
  await expect(taught).toHaveAttribute('aria-busy', 'false', { timeout: 60_000 })
  await pan.getByRole('button', { name: 'As usual again' }).click()
  await expect(pan.getByRole('button', { name: 'Plan with this' })).toBeVisible()
})

test('with the server dead what the kit has taught says so', async ({ page }) => {
  await visit(page, `${app.url}/book`)
  await expect(page.getByRole('region', { name: 'What your cooks say of your kit' })).toBeVisible()
  await page.route('**/api/cooks/read', route => route.abort())
  await page.getByRole('link', { name: 'Fire', exact: true }).click()
  await page.getByRole('link', { name: 'Book', exact: true }).click()
  await expect(page.getByRole('region', { name: 'What your cooks say of your kit' }).getByRole('alert')).toContainText('does not answer')
})
