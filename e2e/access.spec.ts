/** Everyone is able to use it: what axe finds, on a desk and a phone, and what is lost where it is read larger. */
import { readFileSync } from 'node:fs'
import { createRequire } from 'node:module'
import { expect, test, type Page } from '@playwright/test'
import { App } from './app'
import { choose } from './controls'
import { visit } from './kitchen'

const AXE = readFileSync(createRequire(import.meta.url).resolve('axe-core/axe.min.js'), 'utf8')

let app: App
test.beforeAll(async () => {
  app = await App.start(true)
})
test.afterAll(() => app.stop())

const PLACES = [
  '/counter',
  '/larder',
  '/bench',
  '/fire',
  '/fire/methods',
  '/fire/way/pot',
  '/fire/way/roast',
  '/fire/doneness',
  '/fire/kit',
  '/pass',
  '/pass/recipes/gratin',
  '/screens',
  '/stove',
  '/rehearse',
  '/rehearse/drills',
  '/rehearse/finger',
  '/book',
  '/book/demo-strip-galley',
  '/book/demo-strip-galley/beside/demo-flat-iron'
]
/** What is wider than the page, or cut off in its box. */
const lost = (page: Page): Promise<string[]> =>
  page.evaluate(() => {
    const wide = document.documentElement.clientWidth
    const found = document.documentElement.scrollWidth > wide ? [`the page, ${document.documentElement.scrollWidth}`] : []
    for (const e of Array.from(document.querySelectorAll<HTMLElement>('body *'))) {
      if (e.childElementCount > 0 || !e.textContent.trim() || e.closest('svg, .apexcharts-canvas, [aria-hidden=true]')) continue
      const { width, height, right } = e.getBoundingClientRect()
      const { overflowX, visibility } = getComputedStyle(e)
      if (width < 2 || height < 2 || visibility === 'hidden') continue
      if (right > wide + 1 && !e.closest('.ant-table-content, .ant-tabs-nav')) found.push(`off the edge: ${e.textContent.trim()}`)
      if (overflowX !== 'visible' && e.scrollWidth > e.clientWidth + 1) found.push(`cut off: ${e.textContent.trim()}`)
    }
    return found
  })
/** Of a page of 1280 × 800 read at 200 %, and at 400 % (WCAG 2.2, 1.4.4 and 1.4.10). */
const ENLARGED = [
  { width: 640, height: 400 },
  { width: 320, height: 256 }
] as const
test('axe finds nothing at any place, nor on a phone; made larger, nothing is lost of it', async ({ page }) => {
  // A colour on its way to another is neither.
  await page.emulateMedia({ reducedMotion: 'reduce' })
  test.setTimeout(240_000)
  await page.goto(app.url)
  let before = ''
  for (const path of PLACES) {
    await page.setViewportSize({ width: 1280, height: 800 })
    await visit(page, `${app.url}${path}`)
    await page.waitForTimeout(700)
    const read = await page.getByRole('main').innerText()
    expect(read, `${path} shows what is its own`).not.toBe(before)
    before = read
    expect(await violations(page), path).toEqual([])
    await page.setViewportSize({ width: 390, height: 844 })
    await page.waitForTimeout(200)
    expect(await violations(page), `${path} on a phone`).toEqual([])
    expect(await lost(page), `${path} on a phone`).toEqual([])
    for (const viewport of ENLARGED) {
      await page.setViewportSize(viewport)
      // A chart follows a moment later.
      await expect.poll(() => lost(page), { message: `${path} at ${viewport.width} px` }).toEqual([])
    }
  }
})

test('axe finds nothing at a lit stove with every panel open, and a thermometer that speaks', async ({ page, request }) => {
  await request.post(`${app.url}/api/probes/grey/readings`, { data: { readings: [{ celsius: 20 }] } })
  await page.goto(`${app.url}/fire`)
  await page.getByRole('button', { name: 'Light the stove' }).click()
  await page.getByRole('button', { name: 'Ring is lit' }).click()
  await page.getByRole('button', { name: 'It is in' }).click()
  await page.keyboard.press('r')
  await page.getByLabel('The probe reads').fill('nonsense')
  await page.keyboard.press('Enter')
  await page.getByRole('button', { name: /I’m late/ }).click()
  await expect(page.getByLabel('Thermometers')).toBeVisible()
  expect(await violations(page)).toEqual([])
})

test('axe finds nothing where a cook is judged, in service as by day', async ({ page }) => {
  await page.goto(`${app.url}/fire`)
  await page.getByRole('button', { name: 'Light the stove' }).click()
  await page.getByRole('button', { name: 'Ring is lit' }).click()
  await page.getByRole('button', { name: 'It is in' }).click()
  await page.keyboard.press('p')
  await page.getByRole('button', { name: 'Carved' }).click()
  await expect(page.getByText('not said').first()).toBeVisible()
  expect(await violations(page)).toEqual([])
  // What is chosen lies on its own ground, which axe does not see through to.
  const ratios = await page.locator('.ant-radio-button-wrapper-checked').evaluateAll(contrasts)
  expect(ratios).toHaveLength(2)
  expect(Math.min(...ratios)).toBeGreaterThan(4.5)
})
/** Of each text and the ground it is on (WCAG 2.2, relative luminance). */
function contrasts(all: Element[]): number[] {
  const luminance = (rgb: string): number => {
    const [r, g, b] = rgb.match(/[\d.]+/g)!.map(v => (Number(v) <= 10.3 ? Number(v) / 3295 : ((Number(v) / 255 + 0.055) / 1.055) ** 2.4))
    return 0.2126 * r + 0.7152 * g + 0.0722 * b
  }
  return all.map(element => {
    const { color, backgroundColor } = getComputedStyle(element)
    const [dark, light] = [luminance(color), luminance(backgroundColor)].sort((a, b) => a - b)
    return (light + 0.05) / (dark + 0.05)
  })
}

test('axe finds nothing at the counter with its questions, at the order slip, at the board and at the list', async ({ page }) => {
  await page.goto(`${app.url}/counter`)
  await choose(page, 'Lifted off')
  await page.getByRole('tab', { name: 'Order slip' }).click()
  await expect(page.getByText('in the pan, grey edge').first()).toBeVisible()
  expect(await violations(page)).toEqual([])
  await page.getByRole('button', { name: 'No name on it' }).click()
  expect(await violations(page)).toEqual([])
  await visit(page, `${app.url}/larder`)
  await page.getByRole('button', { name: 'A new packet' }).click()
  expect(await violations(page)).toEqual([])
  await visit(page, `${app.url}/bench`)
  await page.getByRole('tab', { name: 'Portion a whole one' }).click()
  expect(await violations(page)).toEqual([])
  await page.getByRole('tab', { name: 'Get it ready' }).click()
  await expect(page.getByText('begins to brown').first()).toBeVisible()
  expect(await violations(page)).toEqual([])
})

async function violations(page: Page): Promise<string[]> {
  // Once for each page: it is half a megabyte to read.
  if (!(await page.evaluate(() => 'axe' in window))) await page.evaluate(AXE)
  return page.evaluate(async () => {
    const { axe } = window as unknown as {
      axe: { run(where: Document, options: object): Promise<{ violations: { id: string; nodes: { html: string }[] }[] }> }
    }
    const found = await axe.run(document, {
      resultTypes: ['violations'],
      runOnly: ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa']
    })
    return found.violations.map(v => `${v.id}: ${v.nodes.map(n => n.html.slice(0, 160)).join(' | ')}`)
  })
}
