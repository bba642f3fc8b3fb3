/** The Fire with the real app, server and database: kit, schools, guests, safety, and the six dinners of a new user. */
import { expect, test, type Page } from '@playwright/test'
import { App } from './app'
import { visit } from './kitchen'
import { allSettings, pick, picked, typeMoment } from './controls'

let app: App
test.beforeAll(async () => {
  app = await App.start()
})
test.afterAll(() => app.stop())

const figure = (page: Page, line: string) => page.locator(`[data-line="${line}"] .figure`)
const ready = (page: Page) => expect(page.locator('.slate ul.sheet')).toHaveAttribute('aria-busy', 'false', { timeout: 60_000 })
const box = (page: Page, name: string) => page.getByRole('textbox', { name, exact: true })
const way = async (page: Page, kind: string): Promise<void> => {
  await visit(page, `${app.url}/fire/way/${encodeURIComponent(kind)}`)
  await ready(page)
}
async function take(page: Page, search: string, sizes: Readonly<Record<string, string>>): Promise<void> {
  await visit(page, `${app.url}/counter`)
  await page.getByLabel('Search cuts by any name').fill(search)
  await page.getByRole('button', { name: 'Take it to the bench' }).click()
  for (const [name, value] of Object.entries(sizes)) await box(page, name).fill(value)
}

test('a kit of one’s own: a heavier pan takes longer to heat, plans follow it, the server keeps it', async ({ page }) => {
  await visit(page, `${app.url}/fire/kit`)
  await page.getByRole('button', { name: 'change', exact: true }).first().click()
  const heating = page.locator('aside section').first()
  const before = await heating.textContent()
  await box(page, 'Floor thick').fill('9')
  await expect(heating).not.toHaveText(before ?? '')
  await box(page, 'Floor thick').fill('nonsense')
  await expect(page.getByRole('alert')).toBeVisible()
  await box(page, 'Floor thick').fill('9')
  await page.locator('.form').getByLabel('Name').fill('Grandmother’s skillet')
  await page.locator('.form').getByLabel('Name').press('Enter')
  await page.getByRole('button', { name: 'Home kitchen' }).click()
  await expect(page.getByText('Built-in oven, fan')).toBeVisible()
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(page.getByText('Grandmother’s skillet').first()).toBeVisible()
  await expect
    .poll(async () => JSON.stringify(await (await page.request.get(`${app.url}/api/kit`)).json()))
    .toContain('Grandmother’s skillet')
  // Another browser in the same kitchen sees it.
  await page.evaluate(() => localStorage.clear())
  await page.goto(`${app.url}/fire`)
  await expect(picked(page.getByLabel('in the', { exact: true }))).toContainText('Grandmother’s skillet')

  const bad = await page.request.put(`${app.url}/api/kit`, { data: { pans: [] } })
  expect(bad.status()).toBe(422)
  expect(bad.headers()['content-type']).toContain('problem+json')
})

test('a thermometer that reads two degrees high is put right, and an oven that is not there is missed', async ({ page }) => {
  await visit(page, `${app.url}/fire/kit`)
  await page.getByRole('button', { name: 'One pan' }).click()
  await visit(page, `${app.url}/fire`)
  await ready(page)
  const pull = Number(await figure(page, 'pull').textContent())
  await visit(page, `${app.url}/fire/kit`)
  await page.getByRole('button', { name: 'change', exact: true }).last().click()
  await box(page, 'In ice water it shows').fill('2')
  await visit(page, `${app.url}/fire`)
  await ready(page)
  await expect(figure(page, 'pull')).toHaveText(String(pull + 2))
  await expect(page.locator('aside')).toContainText(`that is what it shows where there are ${pull}`)
  await visit(page, `${app.url}/fire/way/roast`)
  await expect(page.getByRole('alert').first()).toContainText('no oven in the kit')
  await visit(page, `${app.url}/fire/kit`)
  await page.getByRole('button', { name: 'Galley' }).click()
  await expect.poll(async () => JSON.stringify(await (await page.request.get(`${app.url}/api/kit`)).json())).toContain('Half-size oven')
})

test('the schools: the same word, other degrees; a scale of one’s own; a guest who must not have it rare', async ({ page }) => {
  await visit(page, `${app.url}/fire/doneness`)
  await page.getByRole('button', { name: 'Late school: medium rare' }).press('Enter')
  await page.getByRole('textbox', { name: 'aim at' }).nth(2).fill('55')
  await page.getByRole('textbox', { name: 'aim at' }).nth(2).fill('61')
  await expect(page.getByRole('alert')).toContainText('It is not kept')
  await page.getByRole('textbox', { name: 'aim at' }).nth(2).fill('55')
  await page.getByRole('button', { name: 'My own: medium rare, 55' }).click()
  await page.getByText('Someone is pregnant').click()
  await visit(page, `${app.url}/fire`)
  await ready(page)
  await expect(box(page, 'Centre')).toHaveValue('55')
  await expect(page.getByRole('button', { name: /Light the stove/ })).toBeDisabled()
  await page.getByText('I know, and cook it as planned').click()
  await expect(page.getByRole('button', { name: /Light the stove/ })).toBeEnabled()
  // Another plan, another yes.
  await box(page, 'Centre').fill('56')
  await expect(page.getByRole('button', { name: /Light the stove/ })).toBeDisabled()
  await page.getByRole('button', { name: 'Cook it to 63' }).click()
  await ready(page)
  await expect(page.getByText('Not safe as it stands')).toHaveCount(0)
  await expect(page.getByRole('button', { name: /Light the stove/ })).toBeEnabled()
})

test('thin hanger pieces: a few minutes, turned all the while', async ({ page }) => {
  await take(page, 'hanger', { Thickness: '20', 'Weight of one': '250' })
  await visit(page, `${app.url}/fire`)
  await box(page, 'Pan').fill('200')
  await pick(page.getByLabel('Turn', { exact: true }), 'every 30 s')
  await ready(page)
  await expect(figure(page, 'after')).toContainText(/^[2-6]/)
})

test('a bone-in rib steak for two with two donenesses: one part served, the rest back to the oven', async ({ page }) => {
  await take(page, 'bone-in rib steak', { 'How many': '1', Thickness: '50', 'Weight of one': '1000', 'Bone along it': '15' })
  await visit(page, `${app.url}/fire/doneness`)
  await page.getByRole('button', { name: 'Seat a guest' }).click()
  await page.getByRole('button', { name: 'Seat a guest' }).click()
  await page.getByLabel('Name of guest 2').fill('Bo')
  await pick(page.getByLabel('wants it').nth(1), /^medium \d/)
  await way(page, 'sear then oven')
  await expect(page.locator('.guests ol')).toContainText('What is left goes back in the oven', { timeout: 60_000 })
  await expect(page.locator('.guests ol')).toContainText('Bo: medium, 59')
  await expect(page.locator('section.carve')).toContainText('Off the bone first')
})

test('a tenderloin roast for eight at half past seven, given out as a calendar', async ({ page }) => {
  await take(page, 'whole fillet', { 'Weight of one': '1800' })
  await way(page, 'roast')
  await typeMoment(page.getByLabel('On the table at'), '5 Mar 2027 19:30')
  await expect(page.locator('aside .times li').last()).toContainText('19:30 carve and serve')
  const out = Number(await figure(page, 'pull').textContent())
  expect(out).toBeGreaterThan(42)
  expect(out).toBeLessThan(53)
})

test('a rump cap in a bath by the clock, half of it kept for another day', async ({ page }) => {
  await take(page, 'rump cap', { Thickness: '32', 'Weight of one': '250' })
  await way(page, 'bath then sear')
  await box(page, 'Centre').fill('57')
  await allSettings(page)
  await pick(page.getByLabel('Time in the water'), 'by the clock')
  await box(page, 'namely').fill('60')
  await box(page, 'Fat edge').fill('1')
  await ready(page)
  await expect(figure(page, 'phase-0')).toHaveText('1')
  await expect(page.locator('.keep')).toContainText('ice and water for', { timeout: 60_000 })
  await page.getByRole('button', { name: /^Write (it|them) in the larder/ }).click()
  await visit(page, `${app.url}/larder`)
  await expect(page.getByText(/cooked to 57\s°C: sliced cold/)).toBeVisible()
})

test('a round in a pot without a machine: mixed, falling, topped up', async ({ page }) => {
  await take(page, 'eye of round', { 'Weight of one': '400' })
  await way(page, 'pot')
  await expect(page.locator('.pot')).toContainText('make 82')
  const out = await figure(page, 'after').textContent()
  await allSettings(page)
  await box(page, 'Top up every').fill('10')
  await box(page, 'with boiling water').fill('0.5')
  await ready(page)
  await expect(figure(page, 'after')).not.toHaveText(out ?? '')
})

test('a pastry-wrapped fillet: both times are weighed, and an unsuited piece says why', async ({ page }) => {
  await visit(page, `${app.url}/fire/way/in%20pastry`)
  await expect(page.getByRole('alert').first()).toContainText('Pastry goes round a trimmed log')
  await take(page, 'châteaubriand', { 'Weight of one': '600' })
  await way(page, 'in pastry')
  await expect(page.locator('aside')).toContainText('In pastry the climb is less sure')
  await box(page, 'Oven').fill('nonsense')
  await expect(page.getByRole('alert').first()).toBeVisible()
  await expect(page.getByRole('button', { name: 'PDF' })).toHaveCount(0)
})
