/**
 * Takes the pictures in docs/screenshots from the demo data. Run by hand after a view
 * has changed; needs a build (`npm run build`).
 */
import { join, resolve } from 'node:path'
import { chromium, type Page } from '@playwright/test'
import type { Piece } from '#core/meat/piece'
import { exerciseById } from '#core/rehearsal/exercises'
import { playedByCalls } from '#core/rehearsal/played.fixture'
import { FIRST_REQUEST } from '#core/request/firstRequest'
import { by } from '#core/request/request'
import { App } from '../e2e/app'
import { pick } from '../e2e/controls'
import { chromiumOrThrow } from './chromium.mjs'

const FOLDER = resolve(import.meta.dirname, '../docs/screenshots')
const FLAGS = ['--no-sandbox', '--disable-gpu', '--disable-background-networking', '--disable-component-update', '--disable-sync']

/** Names of pictures; all where none is given. */
const only = process.argv.slice(2)

const app = await App.start(true)
const browser = await chromium.launch({ executablePath: chromiumOrThrow(), args: FLAGS })

async function view(
  name: string,
  path: string,
  prepare: (page: Page) => Promise<void> = () => Promise.resolve(),
  size = { width: 1280, height: 800 }
): Promise<void> {
  if (only.length > 0 && !only.includes(name)) return
  const page = await browser.newPage({ viewport: size, locale: 'en-GB' })
  await page.clock.install({ time: new Date('2026-11-25T19:10:00') })
  await page.goto(`${app.url}${path}`)
  await settle(page)
  await prepare(page)
  await settle(page)
  await page.screenshot({ path: join(FOLDER, `${name}.png`) })
  await page.close()
}

/** Workers run on real time, the page on its own clock. */
async function settle(page: Page): Promise<void> {
  for (let i = 0; i < 6; i++) {
    await page.clock.runFor(300)
    await page.waitForTimeout(500)
  }
}

async function atTheStove(page: Page): Promise<void> {
  await page.getByRole('button', { name: 'Light the stove' }).click()
  await settle(page)
  await page.keyboard.press('Space')
  await page.clock.runFor(212_000)
  await settle(page)
  await page.keyboard.press('Space')
  for (let turn = 0; turn < 8; turn++) {
    await page.clock.runFor(59_000)
    await settle(page)
    await page.keyboard.press('Space')
  }
  await page.keyboard.press('r')
  await page.getByLabel('The probe reads').fill('26')
  await page.keyboard.press('Enter')
  await page.clock.runFor(35_000)
}

const RIB_JOINT: Piece = {
  cutId: 'ribeye',
  form: 'roast',
  count: 1,
  thicknessMm: 105,
  widthMm: 105,
  lengthMm: 240,
  weightG: 2200,
  startC: 5,
  surface: 'aired'
}

/** A rib joint on the bench, planned. */
async function joint(page: Page): Promise<void> {
  const request = by({ ...FIRST_REQUEST, piece: RIB_JOINT }, 'roast', {})
  await page.evaluate(draft => localStorage.setItem('macellaio.draft', draft), JSON.stringify(request))
  await page.reload()
  await worked(page)
}

/** With four sides and a sauce, six at the table and one to cook. */
async function jointOnThePass(page: Page): Promise<void> {
  await joint(page)
  await page.getByRole('button', { name: 'On the pass' }).click()
  await page.getByRole('textbox', { name: 'At the table' }).fill('6')
  for (const recipe of [/carrots/i, /horseradish/i]) {
    await pick(page.getByLabel('A side or a sauce'), recipe)
    await settle(page)
  }
  await page.evaluate(() => window.scrollTo(0, 0))
}

/** The joint half-way through its oven, its probe read once. */
async function jointAtTheStove(page: Page): Promise<void> {
  await joint(page)
  await page.getByRole('button', { name: 'Light the stove' }).click()
  for (const seconds of [660, 235, 245, 2400]) {
    await settle(page)
    await page.keyboard.press('Space')
    await page.clock.fastForward(1000 * seconds)
  }
  await settle(page)
  await page.keyboard.press('r')
  await page.getByLabel('The probe reads').fill('22')
  await page.keyboard.press('Enter')
  await settle(page)
  await settle(page)
}

/** Three donenesses from one pan, two of them in, and the potatoes called from the pass. */
async function severalAtTheStove(page: Page): Promise<void> {
  const named = [
    { id: 'guest-one', name: 'Ines', targetC: 50 },
    { id: 'guest-two', name: 'Otto', targetC: 54 },
    { id: 'guest-three', name: 'Per', targetC: 54 },
    { id: 'guest-four', name: 'Quin', targetC: 59 }
  ]
  const piece: Piece = { ...FIRST_REQUEST.piece, count: 4, thicknessMm: 26, weightG: 210, lengthMm: 120, widthMm: 75 }
  const request = { ...FIRST_REQUEST, piece, guests: { ...FIRST_REQUEST.guests, named } }
  await page.evaluate(draft => localStorage.setItem('macellaio.draft', draft), JSON.stringify(request))
  await page.goto(`${app.url}/pass`)
  await settle(page)
  await page.getByRole('checkbox').first().check()
  await page.goto(`${app.url}/fire/plan/pan-sear`)
  await worked(page)
  await settle(page)
  await page.getByRole('button', { name: 'Light the stove' }).click()
  for (const seconds of [214, 25]) {
    await settle(page)
    await page.keyboard.press('Space')
    await page.clock.fastForward(1000 * seconds)
  }
  await settle(page)
}

/** A weak ring, cooked by the clock alone. @returns where it is cut open */
async function rehearsed(): Promise<string> {
  const ask = async (path: string, body: object): Promise<void> => {
    const headers = { 'Content-Type': 'application/json' }
    const { ok, status } = await fetch(`${app.url}/api${path}`, { method: 'POST', headers, body: JSON.stringify(body) })
    if (!ok) throw new Error(`${path} was answered ${status}`)
  }
  const exercise = exerciseById('weak-ring')!
  const { events, outcome: _, ...cook } = playedByCalls(exercise.parts[0].request, { pulled: 20, carved: -60 })
  const id = 'rehearsal-picture'
  await ask('/rehearsals', { id, exercise: exercise.id })
  await ask('/cooks', { ...cook, title: '2 × Strip steak, 32 mm', service: { id, after: null, called: '' }, rehearsed: true })
  await ask(`/cooks/${cook.id}/events`, { events })
  return `/rehearse/${id}`
}

// Before anything is cooked: the Book as the demo has it.
await view('book', '/book')
await view('cook', '/book/demo-flat-iron')
await view('fire', '/fire')
await view('counter', '/counter', async page => page.getByRole('button', { name: /^Rump cap:/ }).click())
await view(
  'larder',
  '/larder',
  async page =>
    void (await page
      .getByText(/^thawed/)
      .first()
      .waitFor())
)
await view('prepare', '/bench', async page => {
  await page.getByRole('tab', { name: 'Get it ready' }).click()
  await page.getByText('begins to brown').first().waitFor()
})
await view('methods', '/fire/methods', async page => page.locator('[aria-label="Methods"][aria-busy="false"]').waitFor({ timeout: 60_000 }))
const worked = (page: Page): Promise<void> => page.locator('.slate ul.sheet[aria-busy="false"]').waitFor({ timeout: 60_000 })
await view('plan-oven', '/fire/plan/sear-then-oven', worked)
await view('stove-joint', '/fire/plan/roast', jointAtTheStove)
await view('pass', '/fire/plan/roast', jointOnThePass)
await view('stove-several', '/fire/plan/pan-sear', severalAtTheStove)
await view('pot', '/fire/plan/pot', async page => {
  await worked(page)
  await page.locator('section.pot').scrollIntoViewIfNeeded()
  await page.evaluate(() => window.scrollBy(0, -60))
})
await view('doneness', '/fire/doneness', async page => {
  await page.getByRole('button', { name: 'Seat a guest' }).click()
  await page.getByRole('button', { name: 'Seat a guest' }).click()
  await pick(page.getByLabel('wants it').nth(1), /^medium \d/)
})
await view('kit', '/fire/kit', async page => page.getByRole('button', { name: 'change', exact: true }).first().click())
await view('bench', '/bench', async page => page.getByLabel('Weight of one').fill('300'))
await view('stove', '/fire', atTheStove)
await view('stove-phone', '/fire', atTheStove, { width: 390, height: 844 })

await view('rehearse', '/rehearse')
await view('cut-open', await rehearsed())

await browser.close()
await app.stop()
