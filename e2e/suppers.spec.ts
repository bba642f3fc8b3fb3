/** Dinners that begin a day before, share an oven or a grill with what stands beside them, or have a guest who eats no meat; each to the Book. */
import { expect, test, type Page } from '@playwright/test'
import { pick, typeMoment } from './controls'
import { atDeskAndOnPhone } from './devices'
import { bought, cookedBy, cookUntil, tiles, untilDue, visit, workedOut } from './kitchen'

const calls = (page: Page) => page.getByRole('complementary', { name: 'Calls' }).getByRole('listitem')
/** On the ticket, with what stands beside it, laid out and nothing in its way. */
async function onThePass(page: Page, beside: readonly RegExp[]): Promise<void> {
  await page.getByRole('button', { name: 'On the pass' }).click()
  // What the example brought goes, once it stands there.
  await expect(page.getByRole('button', { name: /^Take off/ }).first()).toBeVisible()
  for (const off of [/^Take off Small potatoes/, /^Take off Broccoli/, /^Take off Red-wine/]) {
    const button = page.getByRole('button', { name: off })
    if ((await button.count()) > 0) await button.click()
  }
  // The drawing above grows by each when it is laid out: nobody picks from a list that is about to move.
  const laidOut = (): Promise<void> => expect(page.locator('.calls')).toHaveAttribute('aria-busy', 'false', { timeout: 30_000 })
  for (const dish of beside) {
    await laidOut()
    await pick(page.getByLabel('A side or a sauce'), dish)
  }
  await laidOut()
  await expect(page.locator('.conflicts')).toHaveCount(0)
}
async function lit(page: Page): Promise<void> {
  await page.getByRole('link', { name: 'Fire', exact: true }).click()
  await workedOut(page)
  await page.getByRole('button', { name: /^Light the stove/ }).click()
}
async function toTheBook(page: Page, name: RegExp): Promise<void> {
  await page.getByRole('button', { name: 'To the book' }).click()
  await expect(page.getByRole('heading', { level: 1, name })).toBeVisible()
}

atDeskAndOnPhone(app => {
  test('poached in a pot tonight, sliced cold tomorrow at half past twelve: iced, chilled, called by its day', async ({ page }) => {
    await page.clock.install({ time: new Date('2026-11-27T17:30:00') })
    await visit(page, `${app().url}/counter`)
    await bought(page, 'eye of round', { Thickness: 62, 'Weight of one': 460, Length: 120, Width: 66 })
    await cookedBy(page, /^Pot/)
    await page.getByRole('button', { name: 'Plan all of it to be sliced cold' }).click({ timeout: 20_000 })
    await expect(page.getByText('Then in the fridge', { exact: true }).first()).toBeVisible()
    await expect(page.getByText(/its middle is at 5\s°C after/)).toBeVisible({ timeout: 20_000 })
    await workedOut(page)
    await onThePass(page, [/^Green salad/, /^Horseradish cream/])
    await typeMoment(page.getByLabel('On the table at'), '28 Nov 2026 12:30')
    await expect(calls(page).filter({ hasText: 'Slice it cold and thin' })).toContainText(/12:2\d/, { timeout: 20_000 })
    await expect(calls(page).filter({ hasText: 'Seared all round' })).toContainText('Fri 27 Nov')
    await expect(calls(page).filter({ hasText: 'Dress the salad' })).not.toContainText('Fri')
    await lit(page)
    await cookUntil(page, /into the fridge in$/, 12)
    await expect(page.getByText(/In ice and water until then/)).toBeVisible()
    await cookUntil(page, /^Slice it cold/, 2)
    await untilDue(page)
    await page.getByRole('button', { name: /^Sliced/ }).click()
    await toTheBook(page, /^Eye of round/)
  })

  test('a fillet in pastry: seared, cooled, pasted, wrapped, washed, looked at, carved; with its paste and beans', async ({ page }) => {
    await page.clock.install({ time: new Date('2026-11-27T15:00:00') })
    await visit(page, `${app().url}/counter`)
    await bought(page, 'chateaubriand', { Thickness: 68, 'Weight of one': 720, Length: 170, Width: 72 })
    await cookedBy(page, /pastry/i)
    await onThePass(page, [/^Mushroom paste/, /^Green beans/])
    const whats = await calls(page).locator('.what').allInnerTexts()
    const order = ['Sear it on all sides', 'Cool it on a rack', 'Spread the mushroom paste', 'Wrap it in cold pastry', 'Brush it with egg']
    const at = order.map(o => whats.findIndex(w => w.startsWith(o)))
    expect(at.every(i => i >= 0)).toBe(true)
    expect([...at].sort((a, b) => a - b)).toEqual(at)
    await lit(page)
    const called = await cookUntil(page, /carved$/, 20)
    expect(called[0]).toMatch(/oven/i)
    expect(called.findIndex(c => c.startsWith('Look at the pastry'))).toBeGreaterThan(called.findIndex(c => /into the oven/.test(c)))
    expect(called.some(c => /^Carve/.test(c))).toBe(true)
    await toTheBook(page, /pastry|^Ch/i)
  })

  test('thick steaks and a braise in one oven at one heat, with chips fried twice, and two cooks who are called by name', async ({
    page
  }) => {
    await page.clock.install({ time: new Date('2026-11-27T14:00:00') })
    await visit(page, `${app().url}/counter`)
    await bought(page, 'ribeye', { Thickness: 48, 'Weight of one': 520, Length: 150, Width: 95, 'How many': 2 })
    await cookedBy(page, /^Sear(ed)?,? then (the )?oven/i)
    await page.getByLabel('Oven', { exact: true }).fill('155')
    await page.getByLabel('Oven', { exact: true }).press('Enter')
    await workedOut(page)
    await page.getByRole('button', { name: 'On the pass' }).click()
    await page.getByLabel('Cooking', { exact: true }).fill('2')
    await page.getByLabel('By name').fill('Ines, Per')
    await page.getByLabel('By name').press('Enter')
    await page.getByRole('link', { name: 'Fire', exact: true }).click()
    await workedOut(page)
    await onThePass(page, [/^A small braise/, /^Chips fried twice/])
    // One setting of the oven does for both.
    await expect(calls(page).filter({ hasText: /(Set|Turn) the oven to/ })).toHaveCount(1)
    await expect(calls(page).filter({ hasText: 'Braise in the oven without its lid' })).toHaveCount(1)
    await expect(calls(page).filter({ hasText: 'Fry the chips crisp' }).first()).toBeVisible()
    for (const cook of ['Ines', 'Per']) await expect(calls(page).filter({ hasText: cook }).first()).toBeVisible()
    await lit(page)
    await expect(
      tiles(page)
        .first()
        .or(page.getByRole('heading', { level: 1 }))
    ).toBeVisible()
    await cookUntil(page, /carved$/, 90)
    await toTheBook(page, /Ribeye/i)
  })

  test('a whole muscle over two zones, vegetables on the bars before it, and a guest who eats no meat', async ({ page }) => {
    await page.clock.install({ time: new Date('2026-11-27T15:00:00') })
    await visit(page, `${app().url}/counter`)
    await bought(page, 'tri-tip', { Thickness: 58, 'Weight of one': 1150, Length: 220, Width: 120 })
    await cookedBy(page, /two.zone/i)
    await page.getByRole('link', { name: 'Doneness and guests' }).click()
    const table = page.getByRole('complementary', { name: 'At the table' })
    await table.getByRole('button', { name: 'Seat a guest' }).click()
    await table.getByLabel('Name of guest 1').fill('Ada')
    await pick(table.getByLabel('wants it'), 'no meat')
    await page.getByRole('link', { name: 'The plan' }).click()
    await workedOut(page)
    await onThePass(page, [/^Vegetables from the grill/, /^Raw herb/])
    await expect(page.getByText('One of them eats no meat, and nothing on the ticket is for that')).toBeVisible()
    await page.getByRole('button', { name: 'Cauliflower steaks from the grill', exact: true }).click()
    await expect(page.getByText('One of them eats no meat')).toHaveCount(0)
    await expect(page.getByLabel('Guests who eat Cauliflower steaks from the grill, for who eats no meat')).toHaveValue(/^1\b/)
    await expect(page.getByText(/^280\sg cauliflower/)).toBeVisible()
    await expect(page.locator('.calls')).toHaveAttribute('aria-busy', 'false', { timeout: 20_000 })
    await expect(page.locator('.conflicts')).toHaveCount(0)
    const whats = await calls(page).locator('.what').allInnerTexts()
    const first = (says: RegExp): number => whats.findIndex(w => says.test(w))
    // Clean bars for who eats no meat; the others' vegetables before it or in its rest.
    const [over, off] = [first(/^(Rolled over|Over) the coals/), first(/^Out at/)]
    expect(first(/^Cauliflower onto clean bars/)).toBeGreaterThanOrEqual(0)
    expect(first(/^Cauliflower onto clean bars/)).toBeLessThan(over)
    const others = first(/^Vegetables onto the bars/)
    expect(others < over || others > off).toBe(true)
    await lit(page)
    const called = await cookUntil(page, /carved$/, 90)
    expect(called.some(c => /coals/.test(c))).toBe(true)
    await toTheBook(page, /Tri-tip/i)
  })
})
