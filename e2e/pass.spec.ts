/** The Pass: everything on the ticket lands at once, and what cannot is told. */
import { expect, test, type Page } from '@playwright/test'
import { App } from './app'
import { choose, pick, typeMoment } from './controls'
import { visit } from './kitchen'

let app: App
test.beforeAll(async () => {
  app = await App.start()
})
test.afterAll(() => app.stop())

const calls = (page: Page) => page.getByRole('complementary', { name: 'Calls' }).getByRole('listitem')
const laidOut = async (page: Page): Promise<void> => {
  await expect(page.getByRole('complementary', { name: 'Calls' }).locator('ol')).toHaveAttribute('aria-busy', 'false', { timeout: 20_000 })
}
const minutes = (text: string): number => {
  const [h, m] = text.split(':').map(Number)
  return 60 * h + m
}

test('a first visit finds a supper laid out to the minute: in the order of time, all of it before the plates', async ({ page }) => {
  await visit(page, `${app.url}/pass`)
  await expect(calls(page).filter({ hasText: 'Carve' })).toBeVisible({ timeout: 20_000 })
  await laidOut(page)
  const times = (await page.locator('.calls time').allInnerTexts()).map(minutes)
  times.slice(1).forEach((t, i) => expect(t).toBeGreaterThanOrEqual(times[i]))
  const serve = minutes((await page.getByLabel('On the table at').inputValue()).slice(-5))
  expect(times.at(-1)).toBe(serve - 2)
  await expect(calls(page).last()).toContainText('Plate up')
})

test('a slow oven and oven chips: both are called; taken off, gone, undone, back; what clashes is told with what is in its way', async ({
  page
}) => {
  await visit(page, `${app.url}/fire/way/oven%20then%20sear`)
  await page.getByRole('button', { name: 'On the pass' }).click({ timeout: 20_000 })
  await expect(page).toHaveURL(/\/pass$/)
  // Two heats for one oven, the potatoes’ and the steak’s, would clash by themselves.
  await page.getByRole('button', { name: 'Take off Small potatoes, roasted' }).click()
  await pick(page.getByLabel('A side or a sauce'), 'Oven chips')
  const off = page.getByRole('button', { name: 'Take off Oven chips' })
  await expect(calls(page).filter({ hasText: 'chips' }).first()).toBeVisible({ timeout: 20_000 })
  await off.click()
  await expect(calls(page).filter({ hasText: 'chips' })).toHaveCount(0, { timeout: 20_000 })
  await page.getByRole('button', { name: 'Undo the last change' }).click()
  await expect(off).toBeVisible()
  await expect(calls(page).filter({ hasText: 'chips' }).first()).toBeVisible({ timeout: 20_000 })

  // Two hours at 90 °C in the one oven: that does not come out, and says in whose way what is.
  await off.click()
  await laidOut(page)
  const clash = page.getByRole('alert').filter({ hasText: /would stand .*In its way: “/ })
  await expect(clash).toHaveCount(0)
  await page.getByText('Something of your own').click()
  await page.getByLabel('What it is').fill('Meringue')
  await pick(page.getByLabel('Where'), 'in the oven')
  await page.getByLabel('Oven', { exact: true }).fill('90')
  await page.getByLabel('How long').fill('120')
  await page.getByRole('button', { name: 'Put it on' }).click()
  await expect(clash).toBeVisible({ timeout: 20_000 })
  await page.getByRole('button', { name: 'Take off Meringue' }).click()
  await expect(calls(page).filter({ hasText: 'Meringue' })).toHaveCount(0, { timeout: 20_000 })
  await laidOut(page)
  await expect(clash).toHaveCount(0)
  await page.getByRole('button', { name: 'Undo the last change' }).click()
  await expect(clash).toBeVisible({ timeout: 20_000 })
})

test('more guests weigh more; what is ticked and typed stays through a reload and a dead server; a later table is later for all that is not begun', async ({
  page
}) => {
  await visit(page, `${app.url}/pass`)
  await expect(calls(page).filter({ hasText: 'Carve' })).toBeVisible({ timeout: 20_000 })
  const ticket = page.getByRole('listitem').filter({ hasText: 'Small potatoes, roasted' }).first()
  await page.getByRole('textbox', { name: 'At the table' }).fill('6')
  await expect(ticket).toContainText('1.40 kg small potatoes')
  await page.getByText('Something of your own').click()
  await page.getByLabel('What it is').fill('Dumplings')
  await page.getByLabel('How long').fill('25')
  await page.getByRole('button', { name: 'Put it on' }).click()
  const own = calls(page).filter({ hasText: 'Dumplings' })
  await expect(own).toBeVisible({ timeout: 20_000 })
  await laidOut(page)
  const before = minutes(await own.locator('time').innerText())
  const plated = minutes(await calls(page).filter({ hasText: 'Plate up' }).locator('time').innerText())
  await own.getByRole('checkbox').check()

  await page.reload()
  await expect(own.getByRole('checkbox')).toBeChecked({ timeout: 20_000 })
  await page.route('**/api/**', route => route.abort())
  await page.getByRole('button', { name: '5 min later' }).click()
  const later = calls(page).filter({ hasText: 'Plate up' })
  await expect.poll(async () => minutes(await later.locator('time').innerText())).toBe(plated + 5)
  // What is on already is left no longer.
  expect(minutes(await own.locator('time').innerText())).toBe(before)
  await page.getByRole('button', { name: /Units/ }).click()
  await expect(ticket).toContainText('3 lb small potatoes')
})

test('a ticket file goes out and comes in; another file is refused and nothing is lost', async ({ page }) => {
  await visit(page, `${app.url}/pass`)
  await expect(calls(page).filter({ hasText: 'Carve' })).toBeVisible({ timeout: 20_000 })
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Ticket file', exact: true }).click()
  ])
  const path = await download.path()
  await page.getByRole('button', { name: 'Take off Broccoli' }).click()
  await expect(calls(page).filter({ hasText: 'Broccoli' })).toHaveCount(0, { timeout: 20_000 })
  const file = page.locator('input[type=file]')
  await file.setInputFiles({ name: 'x.json', mimeType: 'application/json', buffer: Buffer.from('{"format":"other"}') })
  await expect(page.getByText(/That file cannot be used.*must say/)).toBeVisible()
  await file.setInputFiles(path)
  await expect(calls(page).filter({ hasText: 'Broccoli' }).first()).toBeVisible({ timeout: 20_000 })
})

test('a service that should have begun says so, and is moved to when it can be', async ({ page }) => {
  await visit(page, `${app.url}/pass`)
  await expect(calls(page).filter({ hasText: 'Carve' })).toBeVisible({ timeout: 20_000 })
  const soon = new Date(Date.now() + 10 * 60_000)
  const local = new Date(soon.getTime() - soon.getTimezoneOffset() * 60_000).toISOString().slice(0, 16).replace('T', ' ')
  await typeMoment(page.getByLabel('On the table at'), local)
  const alert = page.getByRole('alert').filter({ hasText: 'should have begun' })
  await expect(alert).toBeVisible()
  await alert.getByRole('button', { name: /^Serve at/ }).click()
  await expect(alert).toHaveCount(0)
})

test('while it is cooked the next call stands large, goes on by the space bar, and is taken back in the list', async ({ page }) => {
  await visit(page, `${app.url}/pass`)
  await expect(calls(page).filter({ hasText: 'Carve' })).toBeVisible({ timeout: 20_000 })
  const next = page.getByRole('region', { name: 'Next' })
  await calls(page).first().getByRole('checkbox').check()
  const second = (await calls(page).nth(1).locator('.what').innerText()).trim()
  await expect(next).toContainText(second)
  await page.getByRole('heading', { name: 'The pass' }).click()
  await page.keyboard.press(' ')
  await expect(calls(page).nth(1).getByRole('checkbox')).toBeChecked()
  await expect(next).toContainText((await calls(page).nth(2).locator('.what').innerText()).trim())
  await calls(page).nth(1).getByRole('checkbox').uncheck()
  await expect(next).toContainText(second)
  await page.getByRole('button', { name: 'Tick nothing' }).click()
  await expect(next).toHaveCount(0)
})

test('what is changed at the fire is changed on the ticket, once it is on it, and goes back to the fire so', async ({ page }) => {
  await visit(page, `${app.url}/fire/way/sear%20then%20oven`)
  await page.getByLabel('Oven', { exact: true }).fill('165')
  await page.getByLabel('Centre', { exact: true }).fill('57')
  await page.getByLabel('Centre', { exact: true }).press('Enter')
  const sheet = page.getByLabel('Call sheet', { exact: true }).locator('ul.sheet')
  await expect(sheet.locator('[data-line="eat"] .figure')).toHaveText('57', { timeout: 20_000 })
  await page.getByRole('button', { name: 'On the pass' }).click()
  await expect(calls(page).filter({ hasText: 'Set the oven to' })).toBeVisible({ timeout: 20_000 })
  const out = calls(page)
    .filter({ hasText: /Out at/ })
    .locator('.what')
  const before = Number(/\d+/.exec(await out.innerText())?.[0])

  await page.getByRole('link', { name: 'Fire', exact: true }).click()
  await page.getByLabel('Centre', { exact: true }).fill('50')
  await page.getByLabel('Centre', { exact: true }).press('Enter')
  await page.getByRole('link', { name: 'Pass', exact: true }).click()
  await expect.poll(async () => Number(/\d+/.exec(await out.innerText())?.[0]), { timeout: 20_000 }).toBeLessThan(before - 4)
  await page.getByRole('button', { name: /^Open at the fire: .*sear then oven/ }).click()
  await expect(page.getByLabel('Oven', { exact: true })).toHaveValue('165')
  await expect(page.getByLabel('Centre', { exact: true })).toHaveValue('50')
  await page.getByRole('button', { name: 'On the pass' }).click({ timeout: 20_000 })
  await expect(page.getByRole('button', { name: /^Open at the fire: / })).toHaveCount(1)
})

test('beef that is not safe as it stands does not come onto the ticket by the side door', async ({ page }) => {
  await visit(page, `${app.url}/bench`)
  await choose(page, 'needled or rolled')
  await visit(page, `${app.url}/pass`)
  await expect(page.getByText('not safe as it stands')).toBeVisible({ timeout: 20_000 })
  await expect(calls(page).filter({ hasText: 'Carve' })).toHaveCount(0)
  await visit(page, `${app.url}/fire`)
  await expect(page.getByRole('button', { name: 'On the pass' })).toBeDisabled({ timeout: 20_000 })
})
