/** The phone by the stove: let in over the network by a code, it cooks the same service, and is put out again. */
import { expect, test } from '@playwright/test'
import { App } from './app'
import { devices } from './devices'
import { secondsLeft } from './kitchen'

let app: App
test.beforeAll(async () => {
  app = await App.start()
})
test.afterAll(() => app.stop())

const device = devices()

test('a phone comes in by the code that is shown and cooks beside the desk, through a dead server, a cut network, a clock that is set and a sleep; and is put out', async ({
  page,
  browser
}) => {
  test.setTimeout(240_000)
  await page.clock.install()
  await page.goto(`${app.url}/fire`)
  await page.getByRole('button', { name: 'Light the stove' }).click()
  await page.getByRole('button', { name: 'Ring is lit' }).click()
  await page.getByRole('button', { name: 'It is in' }).click()
  await expect(page.getByText('Turn 1 of ')).toBeVisible()
  await page.getByRole('link', { name: 'On the phone' }).click()
  await expect(page.getByText('Shut: only this machine reaches it.')).toBeVisible()
  await page.getByRole('switch').click()
  await page.getByRole('button', { name: 'Show a code for a phone' }).click()
  await expect(page.getByAltText('The code to scan')).toBeVisible()
  const url = await page.locator('.url').innerText()

  // Who has no code sees the lock and nothing else.
  const stranger = await device(browser, 390, 844)
  await stranger.goto(new URL('/book', url).href)
  await expect(stranger.getByRole('heading', { name: 'This kitchen does not know this device yet' })).toBeVisible()
  expect(await stranger.evaluate(async () => (await fetch('/api/cooks')).status)).toBe(401)

  const phone = await device(browser, 390, 844)
  await phone.goto(url)
  await phone.getByLabel('What this device is called').fill('Galley phone')
  await phone.getByRole('button', { name: 'Come in' }).click()
  await expect(phone).toHaveURL(/\/stove$/)
  await expect(phone.getByText('Turn 1 of ')).toBeVisible()
  await phone.getByRole('button', { name: 'Turned' }).click()
  await expect(page.getByText('Galley phone')).toBeVisible()
  await page.getByRole('link', { name: /Stove/ }).click()
  await expect(page.getByText('Turn 2 of ')).toBeVisible({ timeout: 10_000 })

  await app.kill()
  // Sooner it would be the same turn, said twice.
  await phone.waitForTimeout(2200)
  await phone.getByRole('button', { name: 'Turned' }).click()
  await expect(phone.getByText('Turn 3 of ')).toBeVisible()
  await app.serve()
  // It was left open, and the phone is known.
  await expect(page.getByText('Turn 3 of ')).toBeVisible({ timeout: 30_000 })

  // The network is cut, and the desk goes on meanwhile.
  const sooner = 2200
  await phone.context().setOffline(true)
  await page.waitForTimeout(sooner)
  await page.getByRole('button', { name: 'Turned' }).click()
  await expect(page.getByText('Turn 4 of ')).toBeVisible()
  await phone.context().setOffline(false)
  await expect(phone.getByText('Turn 4 of ')).toBeVisible({ timeout: 30_000 })

  // Somebody sets the desk's clock on by an hour.
  await page.clock.setSystemTime((await page.evaluate(() => Date.now())) + 3_600_000)
  await page.clock.runFor(2000)
  await expect(page.getByText('Turn 4 of ')).toBeVisible()
  await phone.waitForTimeout(sooner)
  await phone.getByRole('button', { name: 'Turned' }).click()
  await expect(page.getByText('Turn 5 of ')).toBeVisible({ timeout: 30_000 })

  // The desk's page stands still, as in a sleep, and its server is killed and started meanwhile.
  const asleep = await page.evaluate(() => Date.now())
  const since = Date.now()
  await page.clock.pauseAt(asleep + 500)
  await app.kill()
  await app.serve()
  await phone.waitForTimeout(sooner)
  await phone.getByRole('button', { name: 'Turned' }).click()
  await expect(phone.getByText('Turn 6 of ')).toBeVisible()
  await phone.waitForTimeout(10_000)
  await page.clock.setSystemTime(asleep + (Date.now() - since))
  await page.clock.resume()
  await expect(page.getByText('Turn 6 of ')).toBeVisible({ timeout: 30_000 })
  // What it has slept has cooked, and the hour that the clock was set by has not.
  await expect(async () => {
    const [desk, other] = await Promise.all([secondsLeft(page), secondsLeft(phone)])
    expect(Math.abs(desk - other)).toBeLessThan(4)
  }).toPass()

  // Nothing lost, nothing said twice, and one time for both.
  await expect(async () => {
    const { cooks } = (await (await fetch(`${app.url}/api/cooks`)).json()) as { cooks: { id: string }[] }
    const { events } = (await (await fetch(`${app.url}/api/cooks/${cooks[0].id}`)).json()) as { events: { kind: string; at: number }[] }
    expect(events.map(e => e.kind)).toEqual(['lit', 'laid', 'turned', 'turned', 'turned', 'turned', 'turned'])
    const at = events.map(e => e.at)
    expect(at).toEqual([...at].sort((a, b) => a - b))
    expect(at[at.length - 1] - at[0]).toBeLessThan(180_000)
  }).toPass()

  await page.getByRole('link', { name: 'On the phone' }).click()
  await page.getByRole('button', { name: 'Put out Galley phone' }).click()
  await expect(page.getByText('No other device is let in.')).toBeVisible()
  await phone.reload()
  await expect(phone.getByRole('heading', { name: 'This kitchen does not know this device yet' })).toBeVisible({ timeout: 20_000 })
})
