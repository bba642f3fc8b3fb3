/** At the stove things go otherwise than planned. */
import { expect, test, type Page } from '@playwright/test'
import type { Piece } from '#core/meat/piece'
import { App } from './app'
import { everyPlaceIsHere, measured, planned, visit } from './kitchen'
import { allSettings, pick } from './controls'

let app: App
test.beforeAll(async () => {
  app = await App.start(true)
})
test.afterAll(() => app.stop())

/** In the pan, the page's clock in hand. */
async function inThePan(page: Page): Promise<void> {
  await page.clock.install()
  await visit(page, `${app.url}/fire`)
  await pick(page.getByLabel('Turn', { exact: true }), 'once')
  await expect(page.getByLabel('Call sheet', { exact: true }).locator('ul[aria-busy]')).toHaveAttribute('aria-busy', 'false')
  await page.getByRole('button', { name: 'Light the stove' }).click()
  await expect(page.getByRole('heading', { name: 'Light the ring' })).toBeVisible()
  await page.keyboard.press('Space')
  await page.clock.fastForward(220_000)
  await page.keyboard.press('Space')
  await expect(page.getByText('Turn 1 of 1.')).toBeVisible()
}

test('a turn made but not said is put where it was, and the book says when it was said', async ({ page }) => {
  await inThePan(page)
  await page.clock.fastForward(14 * 60_000)
  await expect(page.getByText('late by')).toBeVisible()
  await page.keyboard.press('e')
  await page.getByRole('button', { name: 'Turned, 2 min ago' }).click()
  await expect(page.getByRole('heading', { name: /Off the heat/ })).toBeVisible()
  await page.clock.fastForward(6 * 60_000)
  await page.keyboard.press('p')
  await page.clock.fastForward(60_000)
  await page.getByRole('button', { name: 'Carved' }).click()
  await page.getByRole('button', { name: 'To the book' }).click()
  // The page's clock runs on while the test waits, so the seconds are its own.
  await expect(page.locator('.log li').filter({ hasText: 'Turned' })).toHaveText(/1[12]:\d\d\s+Turned\s+written down 2:0\d later/)
})

test('lifted out it waits; pulled too early it is told so and goes back in', async ({ page }) => {
  await inThePan(page)
  await page.clock.fastForward(60_000)
  await page.keyboard.press('l')
  await expect(page.getByRole('heading', { name: /Put the strip steak back in/ })).toBeVisible()
  await page.clock.fastForward(30_000)
  await expect(page.getByText(/1:[34]\d since it went in, 1:[01]\d at the heat/)).toBeVisible()
  await page.keyboard.press('l')
  await expect(page.getByText('Turn 1 of 1.')).toBeVisible()
  await page.clock.fastForward(120_000)
  await page.keyboard.press('p')
  await expect(page.getByText(/Pulled early: it will only reach/)).toBeVisible()
  await page.keyboard.press('l')
  await expect(page.getByText('Turn 1 of 1.')).toBeVisible()
})

test('forgotten in the pan, it says so plainly', async ({ page }) => {
  await inThePan(page)
  await page.clock.fastForward(12 * 60_000)
  await page.keyboard.press('Space')
  await page.clock.fastForward(25 * 60_000)
  await expect(page.getByText(/whatever you do. Take it off now/)).toBeVisible()
})

test('a cook is taken out of the book and put back', async ({ page }) => {
  await visit(page, `${app.url}/book/demo-rump`)
  await page.getByRole('button', { name: 'Take out of the book' }).click()
  await expect(page.getByText('Taken out of the book.')).toBeVisible()
  await page.getByRole('link', { name: 'The book' }).click()
  await expect(page.getByRole('link', { name: 'Fillets, one guest late' })).toBeVisible()
  await expect(page.getByRole('link', { name: 'Rump for a Tuesday' })).toHaveCount(0)
  await page.goBack()
  await page.getByRole('button', { name: 'Take out of the book' }).click()
  await page.getByRole('button', { name: 'Put it back' }).click()
  await page.getByRole('link', { name: 'The book' }).click()
  await expect(page.getByRole('link', { name: 'Rump for a Tuesday' })).toBeVisible()
})

test('with the server dead the places still open, and the book says why it is closed', async ({ page }) => {
  await visit(page, `${app.url}/fire`)
  await everyPlaceIsHere(page)
  await app.kill()
  await page.getByRole('link', { name: 'Counter' }).click()
  await expect(page.getByRole('heading', { name: 'What are you after?' })).toBeVisible()
  await page.getByRole('link', { name: 'Book' }).click()
  await expect(page.getByRole('alert')).toContainText('The server does not answer.')
  await app.serve()
  await page.getByRole('button', { name: 'Try again' }).click()
  await expect(page.getByRole('link', { name: 'Fillets, one guest late' })).toBeVisible()
})

test('the whole plan can be made by keyboard', async ({ page }) => {
  await visit(page, `${app.url}/counter`)
  await page.getByLabel('Search cuts by any name').focus()
  await page.keyboard.type('onglet')
  await page.keyboard.press('Enter')
  await expect(page.getByRole('heading', { name: 'Hanger steak on the bench' })).toBeVisible()
  await page.getByLabel('Thickness').focus()
  const before = Number(await page.getByLabel('Thickness').inputValue())
  await page.keyboard.press('ArrowUp')
  await expect(page.getByLabel('Thickness')).toHaveValue(String(before + 1))
  await page.getByRole('button', { name: 'To the fire' }).focus()
  await page.keyboard.press('Enter')
  const moment = page.getByRole('slider', { name: 'Moment of the cook' })
  await moment.focus()
  await page.keyboard.press('Home')
  await expect(moment).toHaveAttribute('aria-valuetext', /before/)
  await page.keyboard.press('End')
  await expect(moment).toHaveAttribute('aria-valuetext', /on · core/)
})

test('a probe reading moves what is to come; one that cannot be is told, not believed', async ({ page }) => {
  await inThePan(page)
  await page.clock.fastForward(11 * 60_000)
  await page.keyboard.press('Space')
  await page.clock.fastForward(60_000)
  const read = async (celsius: string): Promise<void> => {
    await page.keyboard.press('r')
    await page.getByLabel('The probe reads').fill(celsius)
    await page.keyboard.press('Enter')
  }
  await read('12')
  await expect(page.locator('.against')).toContainText(/behind the forecast.*later than planned/, { timeout: 20_000 })
  await page.keyboard.press('u')
  await expect(page.locator('.against')).toHaveCount(0)
  await read('95')
  await expect(page.locator('.against')).toContainText('no middle of a piece is as hot as boiling water', { timeout: 20_000 })
})

test('a thermometer that speaks for itself is put into a piece and heard', async ({ page, request }) => {
  const say = async (celsius: number): Promise<void> => {
    const answer = await request.post(`${app.url}/api/probes/grey/readings`, { data: { name: 'Grey probe', readings: [{ celsius }] } })
    expect(answer.status()).toBe(202)
  }
  await visit(page, `${app.url}/fire`)
  await expect(page.getByLabel('Call sheet', { exact: true }).locator('ul[aria-busy]')).toHaveAttribute('aria-busy', 'false')
  await page.getByRole('button', { name: 'Light the stove' }).click()
  await expect(page.getByRole('heading', { name: 'Light the ring' })).toBeVisible()
  await page.keyboard.press('Space')
  await expect(page.getByRole('heading', { name: /Lay the strip steak/ })).toBeVisible()
  await page.keyboard.press('Space')
  await expect(page.getByText(/Turn 1 of/)).toBeVisible()
  await expect(async () => {
    await say(21.4)
    await expect(page.getByLabel('Thermometers').getByText('21.4 °C')).toBeVisible({ timeout: 1500 })
  }).toPass()
  await pick(page.getByLabel('Where Grey probe is'), /in Strip steak/)
  await page.waitForTimeout(50)
  await say(9.5)
  await say(9.6)
  await expect(page.locator('.against')).toContainText(/Grey probe read 9\.6\s°C/)
  await page.getByRole('button', { name: 'Undo' }).click()
  // Taken back is what a hand has said, not what the thermometer did.
  await expect(page.getByRole('heading', { name: /Lay the strip steak/ })).toBeVisible()
})

test('the fat edge is called when its turn comes', async ({ page }) => {
  await page.clock.install()
  await visit(page, `${app.url}/fire`)
  await pick(page.getByLabel('Turn', { exact: true }), 'once')
  await allSettings(page)
  await page.getByRole('textbox', { name: 'Fat edge' }).fill('1')
  await expect(page.getByLabel('Call sheet', { exact: true }).locator('ul[aria-busy]')).toHaveAttribute('aria-busy', 'false')
  await page.getByRole('button', { name: 'Light the stove' }).click()
  await expect(page.getByRole('heading', { name: 'Light the ring' })).toBeVisible()
  await page.keyboard.press('Space')
  await page.clock.fastForward(220_000)
  await page.keyboard.press('Space')
  await expect(page.getByText('Turn 1 of 1.')).toBeVisible()
  await page.clock.fastForward(11 * 60_000)
  await page.keyboard.press('Space')
  await expect(page.getByRole('heading', { name: /Stand the strip steak on the fat edge/ })).toBeVisible()
  await page.clock.fastForward(10 * 60_000)
  await page.keyboard.press('Space')
  await expect(page.getByRole('heading', { name: /Off the heat/ })).toBeVisible()
})

/** By another way than the pan, lit from its own page. */
async function by(page: Page, way: string, piece: Partial<Piece> = {}): Promise<void> {
  await page.clock.install()
  await measured(page, app.url, piece)
  await planned(page, `${app.url}/fire/way/${encodeURIComponent(way)}`)
  await page.getByRole('button', { name: 'Light the stove' }).click()
}
const called = (page: Page, text: RegExp) => expect(page.getByRole('heading', { name: text })).toBeVisible({ timeout: 20_000 })

test('from the pan into the oven: what is slow is lit first, every step is called, the book says where it was', async ({ page }) => {
  await by(page, 'sear then oven')
  await called(page, /Heat the oven/)
  await page.keyboard.press('Space')
  await called(page, /Light the ring/)
  await page.clock.fastForward(11 * 60_000)
  await page.keyboard.press('Space')
  await called(page, /Lay the strip steak in the pan/)
  await page.clock.fastForward(220_000)
  for (const next of [/Turn the strip steak/, /Turn the strip steak/, /Turn the strip steak/, /into the oven/, /Out of the oven in/]) {
    await page.keyboard.press('Space')
    await called(page, next)
    await page.clock.fastForward(60_000)
  }
  await expect(page.locator('.advice').first()).toContainText(/When the probe reads 5\d/)
  // Forgotten: it is said, and the forecast follows.
  await page.clock.fastForward(30 * 60_000)
  await page.clock.fastForward(10_000)
  await expect(page.getByText(/will peak at .* whatever you do/)).toBeVisible({ timeout: 20_000 })
  await page.keyboard.press('Space')
  await called(page, /Carve/)
  await page.clock.fastForward(5 * 60_000)
  await page.keyboard.press('Space')
  await page.getByRole('button', { name: 'To the book' }).click()
  await expect(page.locator('.log')).toContainText('On a rack in the oven')
  await expect(page.locator('.log li').filter({ hasText: 'Turned' })).toHaveCount(3)
})

test('a joint in the oven heeds its probe, and a dead server and a closed page lose nothing of it', async ({ page }) => {
  const joint: Partial<Piece> = { cutId: 'fillet', form: 'roast', count: 1, thicknessMm: 62, widthMm: 62, lengthMm: 220, weightG: 700 }
  await by(page, 'in pastry', joint)
  await called(page, /Heat the oven/)
  await page.keyboard.press('Space')
  await called(page, /Put the fillet joint into the oven/)
  await page.clock.fastForward(15 * 60_000)
  await page.keyboard.press('Space')
  await called(page, /Look at the pastry in/)
  await page.clock.fastForward(10 * 60_000)
  await page.keyboard.press('Space')
  await called(page, /Out of the oven in/)
  await app.kill()
  await page.clock.fastForward(10 * 60_000)
  await page.keyboard.press('r')
  await page.getByLabel('The probe reads').fill('15')
  await page.keyboard.press('Enter')
  await expect(page.locator('.against')).toContainText(/You read 15.*forecast/, { timeout: 30_000 })
  await app.serve(true)
  await page.reload()
  await called(page, /Out of the oven in/)
  await expect(page.locator('.against')).toContainText(/You read 15/, { timeout: 30_000 })
  await expect(page.getByRole('img', { name: /Core: \d+ °C now/ })).toBeVisible()
  await page.clock.fastForward(2 * 60_000)
  await page.keyboard.press('p')
  await expect(page.getByText(/Pulled early: it will only reach/)).toBeVisible({ timeout: 20_000 })
  await page.keyboard.press('l')
  await called(page, /Out of the oven in/)
})

test('what was pressed with a finger is done with: space is the stove’s again', async ({ page }) => {
  await visit(page, `${app.url}/fire`)
  await page.getByRole('button', { name: 'Light the stove' }).click({ timeout: 20_000 })
  await expect(page.getByRole('heading', { name: 'Light the ring' })).toBeVisible()
  await page.keyboard.press('Space')
  await expect(page.getByRole('button', { name: /Undo/ })).toBeEnabled()
  await expect(page.getByRole('heading', { level: 1 })).not.toContainText(/Light the ring|Reckoning/)
  const lit = await page.getByRole('heading', { level: 1 }).innerText()
  await page.getByRole('button', { name: /Undo/ }).click()
  await expect(page.getByRole('heading', { name: 'Light the ring' })).toBeVisible()
  await page.keyboard.press('Space')
  await expect(page.getByRole('heading', { level: 1 })).toHaveText(lit)
  // And after the menu.
  await page.getByRole('link', { name: 'Book', exact: true }).click()
  await page.getByRole('link', { name: /^Stove/ }).click()
  await page.keyboard.press('u')
  await expect(page.getByRole('heading', { name: 'Light the ring' })).toBeVisible()
  await page.keyboard.press('Space')
  await expect(page.getByRole('button', { name: /Undo/ })).toBeEnabled()
})
