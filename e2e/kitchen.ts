/** A cook in the kitchen of a test: a piece measured, planned and cooked by what is called. */
import { expect, type Locator, type Page } from '@playwright/test'
import type { Piece } from '#core/meat/piece'
import { pick } from './controls'
import { FIRST_REQUEST } from '#core/request/firstRequest'
import type { Guest } from '#core/request/request'

/** Opens a place of the app at `url`; from another of its places as a link does: the page, and what looks at it, stay. */
export async function visit(page: Page, url: string): Promise<void> {
  const { origin, pathname, search } = new URL(url)
  const here = page.url()
  if (!here.startsWith(origin) || here.startsWith(bareOf(origin))) await page.goto(url)
  else
    await page.evaluate(to => {
      history.pushState(null, '', to)
      dispatchEvent(new PopStateEvent('popstate'))
    }, pathname + search)
}
/** Of the app's address, but none of its places: what the browser keeps is there and nothing runs. */
const bareOf = (url: string): string => new URL('/api/health', url).href

/** On the bench and at the fire of the app at `url` as if it had been measured; the page is to be opened then. */
export async function measured(page: Page, url: string, piece: Partial<Piece>, named: readonly Guest[] = []): Promise<void> {
  await page.goto(bareOf(url))
  const draft = { ...FIRST_REQUEST, piece: { ...FIRST_REQUEST.piece, ...piece }, guests: { ...FIRST_REQUEST.guests, named } }
  await page.evaluate(of => {
    localStorage.setItem('macellaio.draft', of)
    localStorage.setItem('macellaio.touched', 'true')
  }, JSON.stringify(draft))
}
/** They come a second after the first answer. */
export const everyPlaceIsHere = (page: Page): Promise<unknown> =>
  page.waitForFunction(() => performance.getEntriesByType('resource').some(r => /places-.*js$/.test(r.name)))
export const workedOut = (page: Page): Promise<void> =>
  expect(page.getByLabel('Call sheet', { exact: true }).locator('ul.sheet')).toHaveAttribute('aria-busy', 'false', { timeout: 20_000 })
/** The plan at an address, worked out. */
export async function planned(page: Page, url: string): Promise<void> {
  await visit(page, url)
  await workedOut(page)
}
export const tiles = (page: Page): Locator => page.getByRole('navigation', { name: 'All that is on' }).getByRole('button')

/** On to when what is called is due. */
export async function untilDue(page: Page): Promise<void> {
  const clock = page.locator('.clock')
  if ((await clock.count()) === 0) return
  await page.clock.fastForward(1000 * (await secondsLeft(page)) + 400)
}
/** To the next call: "4:30", and of a joint "1:42:30". */
export const secondsLeft = async (page: Page): Promise<number> =>
  (await page.locator('.clock').innerText())
    .split(/[^\d]+/)
    .filter(Boolean)
    .reduce((sum, part) => 60 * sum + Number(part), 0)

/** Does what is called when it is called, until the heading says what is wanted. */
export async function cookUntil(page: Page, wanted: RegExp, most = 40): Promise<string[]> {
  const called: string[] = []
  for (let i = 0; i < most; i++) {
    await expect(page.getByRole('heading', { level: 1 })).not.toHaveText(/Reckoning/)
    await expect(page.getByText('reckoning…')).toHaveCount(0)
    const heading = await page.getByRole('heading', { level: 1 }).innerText()
    if (wanted.test(heading)) return called
    called.push(heading)
    if (/ in$/.test(heading)) await untilDue(page)
    await page.keyboard.press('Space')
  }
  throw new Error(`Never came to ${String(wanted)}: ${called.join(' | ')}`)
}

/** What is typed on the bench, mm and g, each under its own label. */
type Measures = Partial<Record<'Thickness' | 'Weight of one' | 'Length' | 'Width' | 'How many', number>>
/** A cut found at the counter, bought, measured on the bench. */
export async function bought(page: Page, search: string, measures: Measures): Promise<void> {
  await page.getByLabel('Search cuts by any name').fill(search)
  await page.getByRole('button', { name: 'Take it to the bench' }).click()
  for (const [label, value] of Object.entries(measures)) {
    await page.getByLabel(label, { exact: true }).fill(String(value))
    await page.getByLabel(label, { exact: true }).press('Enter')
  }
  await page.getByRole('button', { name: 'To the fire' }).click()
  await workedOut(page)
}
/** Another way to cook it, chosen at the head of its plan. */
export async function cookedBy(page: Page, way: RegExp): Promise<void> {
  await pick(page.getByLabel('Cooked by'), way)
  await workedOut(page)
}
