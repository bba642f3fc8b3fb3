/** The first minute: what this is, the answer in the first glance, a plan of one's own piece in a few touches, on any screen. */
import { gzipSync } from 'node:zlib'
import { expect, test, type Page, type Response } from '@playwright/test'
import { App } from './app'
import { choose } from './controls'

let app: App
test.beforeAll(async () => {
  app = await App.start()
})
test.afterAll(() => app.stop())

const figure = (page: Page, line: string) => page.locator(`[data-line="${line}"] .figure`)

for (const [width, height] of [
  [1280, 800],
  [390, 844]
] as const) {
  test.describe(`on ${width} × ${height}`, () => {
    test.use({ viewport: { width, height }, hasTouch: width < 500 })

    test('the answer stands in the first screen: what, off at, how long, rest, when, and the button', async ({ page }) => {
      await page.goto(app.url)
      await expect(figure(page, 'pull')).toBeVisible()
      const places = width < 500 ? (await page.getByRole('navigation', { name: 'Places' }).boundingBox())!.y : height
      for (const shown of [
        page.getByRole('heading', { level: 1 }),
        page.getByText('This is a ready example'),
        figure(page, 'pull'),
        figure(page, 'after'),
        page.locator('[data-line="rest"] .figure'),
        page.getByLabel('On the table at'),
        page.getByRole('button', { name: 'Light the stove' })
      ]) {
        const box = (await shown.boundingBox())!
        expect(box.y + box.height).toBeLessThanOrEqual(places)
      }
      expect(await page.evaluate(() => scrollY)).toBe(0)
    })

    test('from nothing to a plan of one’s own piece in six touches', async ({ page }) => {
      let touches = 0
      const touch = async (what: () => Promise<unknown>): Promise<void> => {
        touches += 1
        await what()
      }
      await page.goto(app.url)
      await touch(() => page.getByRole('button', { name: 'I have the meat' }).click())
      await touch(() => page.getByLabel('The cut').click())
      await page.keyboard.type('bavete')
      await page.keyboard.press('Enter')
      await expect(page.getByRole('heading', { name: /^Bavette/ })).toBeVisible()
      await touch(() => page.getByLabel('Thickness', { exact: true }).click())
      await page.keyboard.press('Control+A')
      await page.keyboard.type('3 cm')
      await touch(() => page.getByRole('button', { name: 'To the fire' }).click())
      await expect(page.getByRole('heading', { level: 1 })).toContainText('Bavette, 30 mm')
      await expect(figure(page, 'pull')).toBeVisible()
      await touch(() => choose(page, /^rare/))
      await expect(figure(page, 'eat')).toHaveText('50')
      await expect(page.getByText('This is a ready example')).toHaveCount(0)
      expect(touches).toBeLessThanOrEqual(6)
    })
  })
}

test('what is put away stays away', async ({ page }) => {
  await page.goto(app.url)
  await page.getByRole('button', { name: 'Hide this' }).click()
  await page.reload()
  await expect(figure(page, 'pull')).toBeVisible()
  await expect(page.getByText('This is a ready example')).toHaveCount(0)
})

test('a page opens at its top, wherever the one before was', async ({ page }) => {
  await page.goto(`${app.url}/counter`)
  await page.evaluate(() => scrollTo(0, 900))
  await page.getByRole('link', { name: 'Bench', exact: true }).click()
  await expect(page.getByRole('heading', { level: 1 })).toBeVisible()
  await expect.poll(() => page.evaluate(() => scrollY)).toBe(0)
})

test('the first answer waits for no other place, and for less than 450 kB of script', async ({ page }) => {
  await page.route(/\/assets\/places-.*\.js$/, route => route.abort())
  const came = new Map<string, Response>()
  const heard = (response: Response): void => {
    const [, name] = /assets\/(.*)-.{8}\.js$/.exec(response.url()) ?? []
    if (name !== undefined) came.set(name, response)
  }
  page.on('response', heard)
  await page.goto(app.url)
  await expect(figure(page, 'pull')).toBeVisible()
  page.off('response', heard)
  expect([...came.keys()]).toEqual(expect.arrayContaining(['first', 'engine.worker']))
  const sizes = await Promise.all([...came.values()].map(async response => gzipSync(await response.body()).length))
  expect(sizes.reduce((sum, size) => sum + size, 0)).toBeLessThan(450_000)
})

test('a place that does not come at first is asked for again; one that never comes says so, and what was there stays', async ({ page }) => {
  const places = /assets\/places-/
  let blinks = 2
  await page.route(places, route => (blinks-- > 0 ? route.abort() : route.continue()))
  await page.goto(`${app.url}/pass`)
  await expect(page.getByRole('heading', { name: 'The pass' })).toBeVisible()

  const cut = await page.context().newPage()
  await cut.route(places, route => route.abort())
  await cut.goto(`${app.url}/stove`)
  await cut.getByRole('link', { name: 'Book' }).click()
  await expect(cut.getByRole('alert')).toHaveText(/Book: this place has not come/)
  await expect(cut.getByRole('heading', { name: 'Nothing on the stove' })).toBeVisible()
  await cut.unroute(places)
  await cut.getByRole('button', { name: 'Try again' }).click()
  await expect(cut.getByRole('heading', { level: 1, name: 'The book' })).toBeVisible()
  await expect(cut.getByRole('alert')).toHaveCount(0)

  // Nothing stands there yet: it is loaded anew.
  await cut.route(places, route => route.abort())
  await cut.goto(`${app.url}/book`)
  await cut.getByRole('button', { name: 'Try again' }).waitFor()
  await cut.unroute(places)
  await cut.getByRole('button', { name: 'Try again' }).click()
  await expect(cut.getByRole('heading', { level: 1, name: 'The book' })).toBeVisible()
})
