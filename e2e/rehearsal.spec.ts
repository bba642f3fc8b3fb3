/** Learners at the stove: an exercise played to its cut, one by eye and ear on a phone, and two who rehearse together. */
import { expect, test, type Locator, type Page } from '@playwright/test'
import { App } from './app'
import { devices } from './devices'
import { visit } from './kitchen'

let app: App
test.beforeAll(async () => {
  app = await App.start()
})
test.afterAll(() => app.stop())
const device = devices()

const key = (page: Page, name: string | RegExp): Locator => page.getByRole('button', { name })
async function begin(page: Page, name: string): Promise<void> {
  await page.goto(`${app.url}/rehearse`)
  await key(page, `Begin: ${name}`).click()
  await expect(page.getByRole('region', { name: 'Rehearsal' })).toContainText(name)
}

test('a thin steak at sixty times its speed, as it is called, and cut open', async ({ page }) => {
  test.setTimeout(150_000)
  await begin(page, 'Thin, and soon over')
  await page.getByText('60×', { exact: true }).click()
  const open = key(page, 'See it cut open')
  const act = page.locator('button.act')
  await expect(async () => {
    const left = page.getByRole('timer')
    const shows = (await left.count()) > 0 ? await left.innerText() : ''
    if (shows === '' || /late|^0:0[0-5]/.test(shows)) await act.click({ timeout: 1000 })
    expect(await open.count()).toBe(1)
  }).toPass({ timeout: 120_000, intervals: [150] })
  await open.click()
  await expect(page.getByRole('heading', { name: 'Thin, and soon over' })).toBeVisible()
  const points = Number(await page.locator('.piece .points b').innerText())
  expect(points).toBeGreaterThan(40)
  await expect(page.getByText(/The middle came to \d\d\.\d\s°C, wanted was 55\s°C/)).toBeVisible()
  await expect(page.getByRole('figure')).toHaveCount(3)
  await page.getByRole('slider').press('Home')
  await expect(page.getByRole('figure').first()).toContainText('At 0:00')
  await key(page, 'To the other exercises').click()
  await expect(page.getByText(`best so far ${points} of 100`)).toBeVisible()
  // What was rehearsed is no page of the Book, and no stove is lit.
  await visit(page, `${app.url}/book`)
  await expect(page.getByText('Nothing yet.')).toBeVisible()
  await visit(page, `${app.url}/stove`)
  await expect(page.getByRole('heading', { name: 'Nothing on the stove' })).toBeVisible()
})

test('on a phone, by eye and ear alone: laid in too cold and cut too soon, it is seen why', async ({ browser }) => {
  const page = await device(browser, 390, 844)
  await begin(page, 'When is it hot?')
  await key(page, 'It is lit').click()
  const signs = page.getByRole('group', { name: 'Signs' })
  await expect(signs).toContainText('a drop of water lies there and steams')
  // At its own pace, or a slow machine would find it half cooked.
  await key(page, 'It is in').click()
  await expect(signs).toContainText('The face that shows')
  await key(page, 'Press it').click()
  // What is true of it nobody knows, nor how long this machine takes: raw or nearly so it is.
  await expect(signs).toContainText(/Under the finger (soft as raw|soft, and gives far)/)
  await key(page, 'Put the thermometer in').click()
  await expect(signs).toContainText(/shows \d+\.\d\s°C/)
  // What was going on is still going on after a look away.
  await page.reload()
  await expect(signs).toContainText('The face that shows')
  await page.getByText('10×', { exact: true }).click()
  await key(page, 'Off the heat').click()
  await key(page, 'Carved').click()
  await key(page, 'See it cut open').click()
  await expect(page.locator('.piece .points')).toHaveText(/^0\s*of 100/)
  await expect(page.getByText(/^Taken off .*early: .*colder in the middle/)).toBeVisible()
  await expect(page.getByText('It showed')).toBeVisible()
})

test('two rehearse together: each hears what is his, and both see what the other has done', async ({ browser }) => {
  const [one, other] = [await device(browser, 1280, 800), await device(browser, 390, 844)]
  await begin(one, 'Rare and medium, one pan')
  await other.goto(`${app.url}/rehearse`)
  await key(other, 'Join in: Rare and medium, one pan').click()
  const tiles = other.getByRole('navigation', { name: 'All that is on' }).getByRole('button')
  await expect(tiles).toHaveCount(2)
  await one.getByLabel('What is called at this device').click()
  await one.getByTitle('Calls the medium strip').click()
  await other.getByLabel('What is called at this device').click()
  await other.getByTitle('Calls the rare strip').click()
  await expect(one.getByRole('heading', { level: 1 })).toHaveText('Light the ring')
  await key(one, 'Ring is lit').click()
  await key(one, 'It is in the pan').click()
  await expect(tiles.filter({ hasText: 'medium strip' })).not.toContainText('not lit yet')
  await expect(other.getByRole('heading', { level: 1 })).toHaveText(/rare strip/i)
})
