/** Whole dinners, from the table's wishes to the Book. */
import { expect, test } from '@playwright/test'
import { App } from './app'
import { pick } from './controls'
import { atDeskAndOnPhone } from './devices'
import { bought, cookedBy, cookUntil, measured, planned, tiles, visit, workedOut } from './kitchen'

const WISHES = [
  ['Ines', 'rare'],
  ['Otto', 'medium rare'],
  ['Per', 'medium rare'],
  ['Quin', 'medium']
] as const

atDeskAndOnPhone(app => {
  test('four steaks to three donenesses: each goes in and comes off at its own, and all stand in the book', async ({ page }) => {
    await page.clock.install()
    await visit(page, `${app().url}/counter`)
    await bought(page, 'strip', { Thickness: 26, 'Weight of one': 210, Length: 120, Width: 75, 'How many': 4 })
    await page.getByRole('link', { name: 'Doneness and guests' }).click()
    const table = page.getByRole('complementary', { name: 'At the table' })
    for (const [i, [name, word]] of WISHES.entries()) {
      await table.getByRole('button', { name: 'Seat a guest' }).click()
      await table.getByLabel(`Name of guest ${i + 1}`).fill(name)
      await pick(table.getByLabel('wants it').nth(i), new RegExp(`^${word} \\d`))
    }
    await page.getByRole('link', { name: 'The plan' }).click()
    await workedOut(page)
    await cookedBy(page, /^Pan/i)
    await pick(page.getByLabel('Turn', { exact: true }), 'once')
    await expect(page.getByText(/All are carved together/)).toHaveCount(3, { timeout: 20_000 })
    await page.getByRole('button', { name: 'On the pass' }).click()
    await expect(page.locator('.ticket').getByText('4 × Strip steak, pan sear, 3 donenesses')).toBeVisible({ timeout: 20_000 })
    await page.getByRole('button', { name: /^Open at the fire/ }).click()
    await expect(page.getByText(/All are carved together/)).toHaveCount(3, { timeout: 20_000 })
    await page.getByRole('button', { name: 'Light the stove' }).click()
    await expect(tiles(page)).toHaveCount(3)
    const called = await cookUntil(page, /carved$/)
    expect(called[0]).toBe('Light the ring')
    expect(called.filter(c => c.startsWith('Light'))).toHaveLength(1)
    const laid = called.filter(c => c.startsWith('Lay'))
    expect(laid.map(c => c.replace(/ in the pan.*/, ''))).toEqual([
      'Lay the medium piece',
      'Lay the 2 medium rare pieces',
      'Lay the rare piece'
    ])
    const off = called.filter(c => c.startsWith('Take')).map(c => c.replace(/ off the heat.*/, ''))
    expect(new Set(off)).toEqual(new Set(['Take the medium piece', 'Take the 2 medium rare pieces', 'Take the rare piece']))
    await page.getByRole('button', { name: 'To the book' }).click()
    for (let left = 2; left > 0; left--) {
      await page.getByRole('link', { name: 'Stove' }).click()
      await cookUntil(page, /carved$/)
      await page.getByRole('button', { name: 'To the book' }).click()
    }
    await visit(page, `${app().url}/book`)
    for (const whose of ['medium piece for Quin', '2 medium rare pieces for Otto and Per', 'rare piece for Ines'])
      await expect(page.getByRole('link', { name: new RegExp(whose) })).toBeVisible()
  })

  test('one cook, one pan: two unlike thin pieces go in one after the other and come off apart, beside chips, a green and their sauce', async ({
    page
  }) => {
    await page.clock.install({ time: new Date('2026-11-27T15:00:00') })
    await visit(page, `${app().url}/counter`)
    await bought(page, 'onglet', { Thickness: 24, 'How many': 1 })
    await page.getByRole('button', { name: 'On the pass' }).click()
    await pick(page.getByLabel('A side or a sauce'), /^Oven chips/)
    await page.getByRole('link', { name: 'Fire', exact: true }).click()
    await page.getByRole('button', { name: 'Another piece' }).click()
    await bought(page, 'flat iron', { Thickness: 30, 'How many': 1 })
    await page.getByRole('button', { name: 'Put it on the ticket' }).click()
    const apart = page.getByRole('button', { name: /^Cook this at/ })
    const together = page.getByText(/In one pan with the hanger steak/)
    await expect(apart.or(together)).toBeVisible()
    if (await apart.isVisible()) await apart.click()
    await expect(together).toBeVisible()
    // What is set of one leaves the other as it was.
    await page.getByLabel('Centre', { exact: true }).fill('57')
    await page.getByLabel('Centre', { exact: true }).press('Enter')
    const pieces = page.getByRole('radiogroup', { name: 'For this service' })
    await pieces.getByText('Hanger steak').click()
    await expect(page.getByLabel('Centre', { exact: true })).toHaveValue('54')
    await pieces.getByText('Flat iron').click()
    await expect(page.getByLabel('Centre', { exact: true })).toHaveValue('57')
    await expect(together).toBeVisible()

    await page.getByRole('link', { name: 'Pass', exact: true }).click()
    const calls = page.getByRole('complementary', { name: 'Calls' }).getByRole('listitem')
    await expect(calls.filter({ hasText: /Sear, in one pan: .*later/ })).toHaveCount(1, { timeout: 20_000 })
    await expect(calls.filter({ hasText: 'chips' }).first()).toBeVisible()
    await page.getByRole('link', { name: 'Fire', exact: true }).click()
    await workedOut(page)
    await page.getByRole('button', { name: /^Light the stove/ }).click()
    await expect(tiles(page)).toHaveCount(2)
    const called = await cookUntil(page, /carved$/, 60)
    const off = called.filter(c => /off the heat/i.test(c))
    expect(new Set(off.map(c => c.replace(/ off the heat.*/, '')))).toEqual(new Set(['Take the hanger steak', 'Take the flat iron']))
    await page.getByRole('button', { name: 'To the book' }).click()
    await expect(page.getByRole('heading', { level: 1, name: /^(Hanger|Flat iron)/ })).toBeVisible()
  })

  test('twenty-four steaks over one kettle go in batches, and the last is carved', async ({ page }) => {
    await page.clock.install({ time: new Date('2026-11-27T15:00:00') })
    await visit(page, `${app().url}/counter`)
    await page.getByLabel('Guests').fill('24')
    await page.getByLabel('Guests').press('Enter')
    await bought(page, 'flat iron', { Thickness: 24, 'Weight of one': 240, Length: 150, Width: 75 })
    await cookedBy(page, /^Grill/i)
    await expect(page.getByText(/All 24 do not fit over the fire at once: \d batches of/)).toBeVisible()
    await page.getByRole('button', { name: 'Light the stove' }).click()
    const batches = await tiles(page).count()
    expect(batches).toBeGreaterThan(1)
    const called = await cookUntil(page, /carved$/, 90)
    expect(called.some(c => /first batch/i.test(c))).toBe(true)
    await page.getByRole('button', { name: 'To the book' }).click()
    await expect(page.getByRole('heading', { level: 1, name: /^Flat iron/ })).toBeVisible()
  })

  test('a fillet roast for eight whose guests are twenty minutes late is kept warm, and carved no further done', async ({ page }) => {
    await page.clock.install({ time: new Date('2026-11-27T17:00:00') })
    await visit(page, `${app().url}/counter`)
    await bought(page, 'whole fillet', { Thickness: 75, 'Weight of one': 1600, Length: 330, Width: 80 })
    await cookedBy(page, /^Roast/i)
    await page.getByRole('button', { name: 'Light the stove' }).click()
    await cookUntil(page, /^Carve/, 20)
    /** When it is called to be carved, s. */
    const carvedAt = async (): Promise<number> => {
      const [minutes, seconds] = (await page.locator('.clock').innerText()).split(':').map(Number)
      return 60 * minutes + seconds + (await page.evaluate(() => Date.now())) / 1000
    }
    const before = await carvedAt()
    await page.getByRole('button', { name: 'Guests are late' }).click()
    await page.getByRole('button', { name: '20 min late' }).click()
    const late = page.getByRole('region', { name: 'The guests are late' })
    await late.getByText(/Keep it warm/).click()
    await expect(late.getByRole('listitem').first()).toContainText('°C')
    await late.getByRole('button', { name: 'Do that' }).click()
    // At the end of its rest, and not before.
    await expect(page.getByRole('heading', { level: 1 })).toHaveText(/under foil into the low oven in$/, { timeout: 20_000 })
    await cookUntil(page, /^Carve/, 2)
    expect(await carvedAt()).toBeGreaterThan(before + 19 * 60)
    await cookUntil(page, /carved$/, 20)
    await page.getByRole('button', { name: 'To the book' }).click()
    await expect(page.getByRole('heading', { level: 1, name: /fillet/i })).toBeVisible()
    await expect(page.locator('.log')).toContainText(/20\smin later, kept warm/)
    await expect(page.locator('.log')).toContainText(/Kept under foil in an oven at 60/)
  })
})

test.describe('in one stream', () => {
  let app: App
  test.beforeAll(async () => {
    app = await App.start()
  })
  test.afterAll(() => app.stop())

  test('two unlike pieces and a side at once: one stream, and a dead server and a reload lose none of it', async ({ page }) => {
    await page.clock.install({ time: new Date('2026-11-27T17:00:00') })
    await measured(page, app.url, { cutId: 'ribeye', form: 'roast', thicknessMm: 90, widthMm: 95, lengthMm: 190, weightG: 1500 })
    await planned(page, `${app.url}/fire/plan/roast`)
    await page.getByRole('button', { name: 'Light the stove' }).click()
    await cookUntil(page, /^Put .*rest|^Take|^Off|^Out of the oven/, 6).catch(() => undefined)
    await measured(page, app.url, { cutId: 'flat-iron', count: 2, thicknessMm: 22, weightG: 180 })
    await planned(page, `${app.url}/fire/plan/pan-sear`)
    await page.getByRole('button', { name: 'Light the stove for this one too' }).click()
    await expect(tiles(page)).toHaveCount(2)
    await expect(page.getByRole('heading', { name: 'Light the ring' })).toBeVisible()
    await app.kill()
    await page.keyboard.press('Space')
    await expect(page.getByText('The server does not answer.')).toBeVisible()
    // The ticket is begun: its next call is in the same stream.
    await page.getByRole('link', { name: 'Pass' }).click()
    await page.getByRole('checkbox').first().check()
    await page.getByRole('link', { name: 'Stove' }).click()
    await expect(tiles(page)).toHaveCount(3)
    await app.serve()
    await page.reload()
    await expect
      .poll(async () => ((await (await fetch(`${app.url}/api/cooks`)).json()) as { cooks: unknown[] }).cooks.length, { timeout: 20_000 })
      .toBeGreaterThanOrEqual(2)
  })

  test('twenty-four at the table are said once: at the counter, on the bench, in batches at the fire and on the pass', async ({ page }) => {
    await visit(page, `${app.url}/counter`)
    await page.getByLabel('Guests').fill('24')
    await page.getByLabel('Guests').press('Enter')
    await visit(page, `${app.url}/pass`)
    await expect(page.getByText(/^24 at the table/)).toBeVisible()
    await visit(page, `${app.url}/counter`)
    await page.getByRole('tab', { name: /order|butcher/i }).click()
    const ordered = await page.locator('.order dd').first().innerText()
    await page.getByRole('button', { name: /to the bench/i }).click()
    await expect(page.getByLabel('How many', { exact: true })).toHaveValue(ordered)
    await planned(page, `${app.url}/fire/plan/pan-sear`)
    await expect(page.getByText(/All \d+ do not fit in the pan at once: \d+ batches of/)).toBeVisible()
    await page.getByRole('button', { name: 'Light the stove' }).click()
    await expect(tiles(page).first()).toContainText(/first batch of \d/)
  })
})
