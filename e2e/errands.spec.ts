/** Five unlike cooks at the counter: each goes home with the right order, or has the right piece on the bench. */
import { readFileSync } from 'node:fs'
import { expect, test, type Page } from '@playwright/test'
import { App } from './app'
import { choose, pick, picked } from './controls'

let app: App
test.beforeAll(async () => {
  app = await App.start()
})
test.afterAll(() => app.stop())
test.beforeEach(async ({ page }) => {
  await page.goto(`${app.url}/counter`)
})

const first = (page: Page) => page.getByRole('radiogroup', { name: 'Cuts' }).locator('label').first()
const slip = (page: Page) => page.getByRole('tab', { name: 'Order slip' }).click()

test('a cheap dinner for six with a barbecue', async ({ page }) => {
  await page.getByLabel('Guests').fill('6')
  await pick(page.getByLabel('Appetite'), 'very hungry')
  await page.getByRole('checkbox', { name: 'a pan' }).uncheck()
  await page.getByRole('checkbox', { name: 'an oven' }).uncheck()
  await page.getByRole('checkbox', { name: 'a barbecue' }).check()
  await page.getByLabel('Most a kilo may cost').fill('14')
  await page.keyboard.press('Tab')
  await expect(first(page)).not.toContainText(/Fillet steak|Ribeye|Rib roast|Rib cap|Strip/)
  await first(page).click()
  await slip(page)
  await expect(page.locator('blockquote')).toContainText('not needled')
  // What it costs a plate follows from a typed price.
  await page.getByLabel('Its price a kilo').first().fill('12,50')
  await page.keyboard.press('Tab')
  await expect(page.locator('article').first()).toContainText(/Cost\s*\d+\.\d\d/)
  await page.reload()
  await expect(page.getByLabel('Guests')).toHaveValue('6')
})

test('two fillet steaks, and one guest wants his well done', async ({ page }) => {
  await page.getByLabel('Guests').fill('2')
  await page.keyboard.press('Tab')
  await pick(page.getByLabel('done', { exact: true }), 'some rare, some well done')
  await page.getByLabel('Search cuts by any name').fill('filet mignon')
  await expect(page.getByRole('heading', { name: 'Fillet steak' })).toBeVisible()
  await slip(page)
  await pick(page.getByLabel('Butcher in'), 'Australia')
  await expect(page.locator('blockquote')).toContainText('Two pieces of eye fillet')
  await expect(page.getByText(/38\s*mm/).first()).toBeVisible()
  const [download] = await Promise.all([page.waitForEvent('download'), page.getByRole('button', { name: 'PDF' }).click()])
  expect(download.suggestedFilename()).toBe('order-fillet.pdf')
  expect(
    readFileSync((await download.path())!)
      .subarray(0, 5)
      .toString()
  ).toBe('%PDF-')
  const [text] = await Promise.all([page.waitForEvent('download'), page.getByRole('button', { name: 'Text' }).click()])
  expect(readFileSync((await text.path())!, 'utf8')).toContain('psoas major')
})

test('a whole rump cap in vacuum, portioned with the grain', async ({ page }) => {
  await page.getByLabel('Search cuts by any name').fill('picanha')
  await page.getByRole('button', { name: 'Take it to the bench' }).click()
  await page.getByRole('tab', { name: 'Portion a whole one' }).click()
  await expect(page.getByText('The knife goes with it here')).toBeVisible()
  await page.getByRole('button', { name: 'one for each of 4' }).click()
  const rows = page.locator('tbody tr')
  await expect(rows).toHaveCount(4)
  const grams = async (): Promise<number[]> => (await rows.locator('td:nth-child(2)').allInnerTexts()).map(parseFloat)
  const before = await grams()
  expect(Math.max(...before) / Math.min(...before)).toBeLessThan(1.05)
  // The knife goes by keyboard too.
  await page.getByRole('slider', { name: 'Knife line 1' }).focus()
  for (let i = 0; i < 12; i++) await page.keyboard.press('ArrowRight')
  const after = await grams()
  expect(after[0]).toBeGreaterThan(before[0])
  expect(after[1]).toBeLessThan(before[1])
  await rows.first().getByRole('button').click()
  await expect(page.getByLabel('Weight of one')).toHaveValue(String(after[0]))
  await expect(page.getByText('Yes: sizes and weight fit')).toBeVisible()
  await page.getByRole('tab', { name: 'Get it ready' }).click()
  await expect(page.getByText('Score the fat cap')).toBeVisible()
})

test('a packet without a label from a quarter animal', async ({ page }) => {
  await page.getByRole('link', { name: 'What is in the fridge' }).click()
  await page.getByRole('button', { name: 'A new packet' }).click()
  await page.getByLabel('What is written on it').fill('hind 7')
  await page.getByRole('button', { name: 'Put it in' }).click()
  await expect(page.getByText('hind 7')).toBeVisible()
  // It asks at once.
  await page.getByRole('link', { name: 'Find out what it is' }).click()
  // A long lean log, fibres along it, skin all round: whatever is asked, in whatever order.
  const eyeOfRound = /^(No bone|A log or a joint|I see their ends|Along its length|No|Hardly any|Hindquarter)/
  for (let i = 0; i < 8; i++) {
    if (await page.getByText(/^It is one of these|^It is this one/).isVisible()) break
    const answer = page.locator('.answers button').filter({ hasText: eyeOfRound }).first()
    await answer.click()
  }
  await page.locator('.identify li button', { hasText: 'Eye of round' }).click()
  await expect(page.getByRole('heading', { name: 'Eye of round', exact: true })).toBeVisible()
  await expect(page.locator('aside')).toContainText('thin as the knife allows')
})

test('a Sunday roast for ten', async ({ page }) => {
  await page.getByLabel('Guests').fill('10')
  await page.keyboard.press('Tab')
  await pick(page.getByLabel('within', { exact: true }), '4 h')
  await first(page).click()
  await slip(page)
  await expect(page.locator('blockquote')).toContainText('tied')
  await expect(page.locator('aside dl').first()).toContainText(/kg/)
  await page.getByRole('button', { name: 'Change it' }).click()
  await page.getByLabel('Anything else').fill('for Sunday, fat side up')
  await page.keyboard.press('Escape')
  await expect(page.locator('aside')).toContainText('for Sunday, fat side up')
})

test('the side of beef is walked with the arrows, and a name lifts the layer its muscle is in', async ({ page }) => {
  await page.getByRole('button', { name: /^Strip:/ }).focus()
  await page.keyboard.press('ArrowRight')
  await expect(page.getByRole('button', { name: /^Rump:/ })).toHaveAttribute('aria-pressed', 'true')
  await expect(page.getByRole('heading', { name: 'Rump steak' }).first()).toBeVisible()
  await page.getByLabel('Search cuts by any name').fill('onglet')
  await expect(page.getByRole('button', { name: /^Hanger:/ })).toHaveAttribute('aria-pressed', 'true')
})

test('“sirloin” is asked about, by country', async ({ page }) => {
  await page.getByLabel('Search cuts by any name').fill('sirloin')
  await page.getByRole('button', { name: 'United States: rump steak' }).click()
  await expect(page.getByRole('heading', { name: 'Rump steak' })).toBeVisible()
  await expect(picked(page.getByLabel('Butcher in'))).toContainText('United States')
})

test('the larder survives a dead server, counts the days, and thaws by the engine', async ({ page }) => {
  await page.goto(`${app.url}/larder`)
  await expect(page.getByRole('button', { name: 'A new packet' })).toBeVisible()
  await app.kill()
  await page.getByRole('button', { name: 'A new packet' }).click()
  await page.getByLabel('What is written on it').fill('TNDRLN')
  await page.getByRole('button', { name: 'It is' }).click()
  await choose(page, 'freezer')
  await page.getByRole('button', { name: 'Put it in' }).click()
  await expect(page.getByText('The server does not answer.')).toBeVisible()
  await app.serve()
  await expect(page.getByText('The server does not answer.')).toHaveCount(0, { timeout: 20_000 })
  // What the server had before something was said comes after it, and takes nothing of it back.
  let said = (): void => undefined
  const held = new Promise<void>(resolve => (said = resolve))
  await page.route('**/api/packets', async route => {
    const response = await route.fetch()
    await held
    await route.fulfill({ response })
  })
  await page.reload()
  const thawing = page.waitForResponse(r => r.request().method() === 'PUT' && r.url().includes('/api/packets/'))
  await page.getByRole('button', { name: 'Thaw in the fridge' }).click()
  await thawing
  said()
  // Whatever is asked from here on is nobody's to hold up.
  await page.unrouteAll({ behavior: 'wait' })
  await expect(page.getByText(/thawed \w+day \d\d:\d\d, in the fridge/)).toBeVisible()
  const item = page.locator('li', { hasText: 'Fillet steak' })
  await item.getByRole('button', { name: 'To the bench' }).click()
  await expect(page.getByRole('heading', { name: 'Fillet steak on the bench' })).toBeVisible()
  await expect(page.getByText('From the larder: use by')).toBeVisible()
})
