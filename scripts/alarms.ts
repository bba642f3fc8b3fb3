/**
 * How late a call rings on a page that is seen, out of sight, out of sight for so long that the browser lets its timers run
 * once a minute, and asleep. Minutes long, by hand, after a build, and with a Chromium that has tabs:
 *
 *   npm run alarms                     four turns of each
 *   npm run alarms -- --turns 10
 *   npm run alarms -- --hidden 60      a rehearsal's clock instead, so many minutes out of sight
 *
 * The page is driven past the test runner, which keeps every page of its own in sight.
 */
import { existsSync } from 'node:fs'
import { parseArgs } from 'node:util'
import { chromium, type CDPSession } from '@playwright/test'
import { max, median } from 'd3-array'
import { App } from '../e2e/app'

const CHROMIUM = process.env['MACELLAIO_CHROMIUM'] ?? '/usr/bin/chromium'
const { values: given } = parseArgs({ options: { turns: { type: 'string', default: '4' }, hidden: { type: 'string', default: '0' } } })
const TURNS = Number(given.turns)
const HIDDEN_MIN = Number(given.hidden)
/** The browser's own measure is five minutes. */
const THROTTLED_AFTER_S = 10
const TURN_S = 60
const ASLEEP_S = 90
const wait = (ms: number): Promise<void> => new Promise(done => setTimeout(done, ms))

if (!existsSync(CHROMIUM)) {
  console.log(`No Chromium with tabs at ${CHROMIUM}: on Debian apt-get install chromium, or set MACELLAIO_CHROMIUM.`)
  process.exit(1)
}

/** One tab, by the browser's own session. */
class Tab {
  private asked = 0
  private readonly answers = new Map<number, (answer: { result?: { value?: unknown }; exceptionDetails?: unknown }) => void>()

  private constructor(
    private readonly browser: CDPSession,
    private readonly targetId: string,
    private readonly sessionId: string
  ) {
    browser.on('Target.receivedMessageFromTarget', ({ sessionId: of, message }) => {
      if (of !== sessionId) return
      const { id, result } = JSON.parse(message) as { id?: number; result?: { result?: { value?: unknown }; exceptionDetails?: unknown } }
      if (id !== undefined) this.answers.get(id)?.(result ?? {})
    })
  }

  static async open(browser: CDPSession, url: string): Promise<Tab> {
    const { targetId } = await browser.send('Target.createTarget', { url })
    const { sessionId } = await browser.send('Target.attachToTarget', { targetId, flatten: false })
    return new Tab(browser, targetId, sessionId)
  }

  async send(method: string, params: object = {}): Promise<{ result?: { value?: unknown }; exceptionDetails?: unknown }> {
    this.asked += 1
    const id = this.asked
    const answer = new Promise<{ result?: { value?: unknown }; exceptionDetails?: unknown }>(done => this.answers.set(id, done))
    await this.browser.send('Target.sendMessageToTarget', { sessionId: this.sessionId, message: JSON.stringify({ id, method, params }) })
    return answer
  }

  async evaluate<T>(expression: string): Promise<T> {
    const { result, exceptionDetails } = await this.send('Runtime.evaluate', { expression, awaitPromise: true, returnByValue: true })
    if (exceptionDetails !== undefined) throw new Error(JSON.stringify(exceptionDetails))
    return result?.value as T
  }

  async until(expression: string): Promise<void> {
    for (let i = 0; i < 300; i++) {
      if (await this.evaluate<boolean>(`Boolean(${expression})`)) return
      await wait(200)
    }
    throw new Error(`Never came: ${expression}`)
  }

  async front(): Promise<void> {
    await this.browser.send('Target.activateTarget', { targetId: this.targetId })
  }
}

const app = await App.start()
const browser = await chromium.launch({
  executablePath: CHROMIUM,
  headless: false,
  args: [
    '--headless=new',
    '--no-sandbox',
    '--disable-gpu',
    '--mute-audio',
    '--autoplay-policy=no-user-gesture-required',
    `--enable-features=IntensiveWakeUpThrottling:grace_period_seconds/${THROTTLED_AFTER_S}`
  ],
  ignoreDefaultArgs: [
    '--disable-background-timer-throttling',
    '--disable-backgrounding-occluded-windows',
    '--disable-renderer-backgrounding'
  ]
})
const session = await browser.newBrowserCDPSession()
const stove = await Tab.open(session, 'about:blank')
const other = await Tab.open(session, 'about:blank')
await stove.send('Page.enable')
/** Every tone of the loudspeaker, by the wall: a due call is two of them, at 880 Hz and 1100. */
await stove.send('Page.addScriptToEvaluateOnNewDocument', {
  source: `window.rung = []
    const start = OscillatorNode.prototype.start
    OscillatorNode.prototype.start = function (at = 0) {
      if (this.frequency.value === 880) rung.push(Date.now() + 1000 * Math.max(0, at - this.context.currentTime))
      return start.call(this, at)
    }`
})
await stove.front()
const pressed = (words: string): string =>
  `[...document.querySelectorAll('button')].find(b => b.textContent.includes('${words}') && !b.disabled)`
const space = `document.dispatchEvent(new KeyboardEvent('keydown', { key: ' ', code: 'Space', bubbles: true }))`
const heading = `(document.querySelector('h1')?.textContent ?? '')`

/** When the piece was laid in or turned last, epoch ms, by what the server has been told. */
async function lastSaid(): Promise<number> {
  for (let i = 0; i < 50; i++) {
    const { cooks } = (await (await fetch(`${app.url}/api/cooks`)).json()) as { cooks: { id: string }[] }
    for (const { id } of cooks) {
      const { events } = (await (await fetch(`${app.url}/api/cooks/${id}`)).json()) as { events: { kind: string; at: number }[] }
      const last = events.filter(e => e.kind === 'laid' || e.kind === 'turned').at(-1)
      if (last) return last.at
    }
    await wait(200)
  }
  throw new Error('Nothing was laid in.')
}

/** The turn that is due next rings; then it is said. @returns ms by which it was late */
async function aTurn(): Promise<number> {
  await stove.until(`${heading}.startsWith('Turn')`)
  const said = await stove.evaluate<number>('Date.now()')
  const due = (await lastSaid()) + 1000 * TURN_S
  await wait(Math.max(0, due - said))
  for (let i = 0; i < 400; i++) {
    const rung = await stove.evaluate<number | null>(`rung.find(at => at > ${said}) ?? null`)
    if (rung !== null) {
      await stove.evaluate(space)
      await wait(1500)
      return rung - due
    }
    await wait(250)
  }
  throw new Error('It never rang.')
}
async function turns(what: string): Promise<void> {
  const late: number[] = []
  for (let i = 0; i < TURNS; i++) late.push(await aTurn())
  const state = await stove.evaluate<string>('document.visibilityState')
  console.log(
    `${what.padEnd(46)} ${state.padEnd(8)} late by ${((median(late) ?? NaN) / 1000).toFixed(2)} s (median), ${((max(late) ?? NaN) / 1000).toFixed(2)} s at most, of ${late.length}`
  )
}

/** A piece that lies in the pan and is turned each minute: in sight, out of it, and through a sleep. */
async function alarms(): Promise<void> {
  await stove.send('Page.navigate', { url: `${app.url}/fire/plan/pan-sear` })
  await stove.until(pressed('Light the stove'))
  await stove.until(`document.querySelector('ul.sheet')?.getAttribute('aria-busy') === 'false'`)
  await stove.evaluate(`${pressed('Light the stove')}.click()`)
  await stove.until(`${heading}.startsWith('Light')`)
  await stove.evaluate(space)
  await stove.until(`${heading}.startsWith('Lay')`)
  await stove.evaluate(space)
  await turns('in sight')
  await other.front()
  await stove.evaluate(`(window.ticks = [], setInterval(() => ticks.push(Date.now()), 1000), 0)`)
  await turns('out of sight, timers let run once a minute')
  const ticks = await stove.evaluate<number>('ticks.length')
  console.log(`${'  a timer of each second of that page ran'.padEnd(46)} ${ticks} times in ${TURNS} min`)

  // The machine's lid is shut: nothing of the page runs, and a turn falls due meanwhile.
  await stove.until(`${heading}.startsWith('Turn')`)
  const before = await stove.evaluate<number>('Date.now()')
  await stove.send('Page.setWebLifecycleState', { state: 'frozen' })
  await wait(1000 * ASLEEP_S)
  const woken = Date.now()
  await stove.send('Page.setWebLifecycleState', { state: 'active' })
  await stove.front()
  await stove.until(`rung.some(at => at > ${before})`)
  const rung = await stove.evaluate<number>(`rung.find(at => at > ${before})`)
  console.log(
    `${`asleep for ${ASLEEP_S} s, a turn due meanwhile`.padEnd(46)} ${''.padEnd(8)} rings ${((rung - woken) / 1000).toFixed(2)} s after waking`
  )
}

/** A rehearsal is begun and put out of sight: what its stove shows, against the wall, at each of its own ticks. */
async function hidden(): Promise<void> {
  await stove.send('Page.navigate', { url: `${app.url}/rehearse` })
  const begin = `document.querySelector('button[aria-label^="Begin: "]')`
  await stove.until(begin)
  await stove.evaluate(`${begin}.click()`)
  await stove.until(`localStorage.getItem('macellaio.rehearsing.clock')`)
  await wait(5000)
  const stores = `document.querySelector('#app').__vue_app__.config.globalProperties.$pinia._s`
  await stove.evaluate(`(() => {
    const stove = ${stores}.get('stove')
    const [shown, wall] = [stove.now, Date.now()]
    window.offs = []
    setInterval(() => undefined, 1000)
    ${stores}.get('stove').$subscribe(() => offs.push(stove.now - shown - (Date.now() - wall)), { flush: 'sync' })
  })()`)
  await other.front()
  await wait(60_000 * HIDDEN_MIN)
  const state = await stove.evaluate<string>('document.visibilityState')
  const [ticks, ...ends] = await stove.evaluate<number[]>('[offs.length, Math.min(...offs), Math.max(...offs), offs.at(-1)]')
  const [least, most, last] = ends.map(ms => `${(ms / 1000).toFixed(3)} s`)
  console.log(`a rehearsal ${HIDDEN_MIN} min ${state}: ${ticks} ticks, its clock off by ${least} to ${most}, ${last} at the end`)
}

try {
  await (HIDDEN_MIN > 0 ? hidden() : alarms())
} finally {
  await browser.close()
  await app.stop()
}
