/** Whole dinners, from the table's wishes to the Book. */
import { expect, test, type Page } from '@playwright/test'
import { FIRST_REQUEST } from '#core/request/firstRequest'
import type { Piece } from '#core/meat/piece'
import type { Guest } from '#core/request/request'
import { App } from './app'
import { pick } from './controls'

let app: App
test.beforeAll(async () => {
  app = await App.start()
})
test.afterAll(() => app.stop())

/** On the bench and at the fire as if it had been measured. */
async function measured(page: Page, piece: Partial<Piece>, named: readonly Guest[] = []): Promise<void> {
  const draft = { ...FIRST_REQUEST, piece: { ...FIRST_REQUEST.piece, ...piece }, guests: { ...FIRST_REQUEST.guests, named } }
  await page.evaluate(of => {
    localStorage.setItem('macellaio.draft', of)
    localStorage.setItem('macellaio.touched', 'true')
  }, JSON.stringify(draft))
}
async function planned(page: Page, path: string): Promise<void> {
  await page.goto(`${app.url}${path}`)
  await expect(page.getByLabel('Call sheet', { exact: true }).locator('ul.sheet')).toHaveAttribute('aria-busy', 'false', {
    timeout: 20_000
  })
}
const tiles = (page: Page) => page.getByRole('navigation', { name: 'All that is on' }).getByRole('button')

/** Does what is called when it is called, until the heading says what is wanted. */
async function cookUntil(page: Page, wanted: RegExp, most = 40): Promise<string[]> {
  const called: string[] = []
  for (let i = 0; i < most; i++) {
    await expect(page.getByRole('heading', { level: 1 })).not.toHaveText(/Reckoning/)
    await expect(page.getByText('reckoning…')).toHaveCount(0)
    const heading = await page.getByRole('heading', { level: 1 }).innerText()
    if (wanted.test(heading)) return called
    called.push(heading)
    const clock = page.locator('.clock')
    if ((await clock.count()) > 0) {
      const [minutes, seconds] = (await clock.innerText())
        .split(/[^\d]+/)
        .filter(Boolean)
        .slice(-2)
        .map(Number)
      if (/ in$/.test(heading)) await page.clock.fastForward((60 * minutes + seconds) * 1000 + 400)
    }
    await page.keyboard.press('Space')
  }
  throw new Error(`Never came to ${String(wanted)}: ${called.join(' | ')}`)
}

test('four steaks to three donenesses: each goes in and comes off at its own, and all stand in the book', async ({ page }) => {
  await page.clock.install()
  await page.goto(`${app.url}/fire`)
  await measured(page, { count: 4, thicknessMm: 26, weightG: 210, lengthMm: 120, widthMm: 75 }, [
    { id: 'guest-1', name: 'Ines', targetC: 50 },
    { id: 'guest-2', name: 'Otto', targetC: 54 },
    { id: 'guest-3', name: 'Per', targetC: 54 },
    { id: 'guest-4', name: 'Quin', targetC: 59 }
  ])
  await planned(page, '/fire/plan/pan-sear')
  await pick(page.getByLabel('Turn', { exact: true }), 'once')
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
  await page.goto(`${app.url}/book`)
  for (const whose of ['medium piece for Quin', '2 medium rare pieces for Otto and Per', 'rare piece for Ines'])
    await expect(page.getByRole('link', { name: new RegExp(whose) })).toBeVisible()
})

test('two unlike pieces and a side at once: one stream, and a dead server and a reload lose none of it', async ({ page }) => {
  await page.clock.install({ time: new Date('2026-11-27T17:00:00') })
  await page.goto(`${app.url}/fire`)
  await measured(page, { cutId: 'ribeye', form: 'roast', thicknessMm: 90, widthMm: 95, lengthMm: 190, weightG: 1500 })
  await planned(page, '/fire/plan/roast')
  await page.getByRole('button', { name: 'Light the stove' }).click()
  await cookUntil(page, /^Put .*rest|^Take|^Off|^Out of the oven/, 6).catch(() => undefined)
  await page.goto(`${app.url}/fire`)
  await measured(page, { cutId: 'flat-iron', count: 2, thicknessMm: 22, weightG: 180 })
  await planned(page, '/fire/plan/pan-sear')
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
  await page.goto(`${app.url}/counter`)
  await page.getByLabel('Guests').fill('24')
  await page.getByLabel('Guests').press('Enter')
  await page.goto(`${app.url}/pass`)
  await expect(page.getByText(/^24 at the table/)).toBeVisible()
  await page.goto(`${app.url}/counter`)
  await page.getByRole('tab', { name: /order|butcher/i }).click()
  const ordered = await page.locator('.order dd').first().innerText()
  await page.getByRole('button', { name: /to the bench/i }).click()
  await expect(page.getByLabel('How many', { exact: true })).toHaveValue(ordered)
  await planned(page, '/fire/plan/pan-sear')
  await expect(page.getByText(/All \d+ do not fit in the pan at once: \d+ batches of/)).toBeVisible()
  await page.getByRole('button', { name: 'Light the stove' }).click()
  await expect(tiles(page).first()).toContainText(/first batch of \d/)
})
