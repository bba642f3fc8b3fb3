/** The real app for a test: its own server process on its own database file, killed and started as the test wants. */
import { spawn, type ChildProcess } from 'node:child_process'
import { copyFileSync, mkdtempSync, rmSync } from 'node:fs'
import { createServer, type AddressInfo } from 'node:net'
import { tmpdir } from 'node:os'
import { join, resolve } from 'node:path'

const ROOT = resolve(import.meta.dirname, '..')
/** A Book that the demo has filled, where one was made beforehand: its plans take some seconds. */
const DEMO_BOOK = 'MACELLAIO_DEMO_BOOK'

export class App {
  private process: ChildProcess | null = null
  private constructor(
    private readonly folder: string,
    private readonly port: number,
    private readonly lanPort: number
  ) {}

  static async start(demo = false): Promise<App> {
    const app = new App(mkdtempSync(join(tmpdir(), 'macellaio-e2e-')), await freePort(), await freePort())
    const filled = process.env[DEMO_BOOK]
    if (demo && filled !== undefined) copyFileSync(filled, app.book)
    await app.serve(demo)
    return app
  }

  get url(): string {
    return `http://127.0.0.1:${this.port}`
  }

  private get book(): string {
    return join(this.folder, 'book.sqlite')
  }

  async serve(demo = false): Promise<void> {
    const environment = {
      ...process.env,
      MACELLAIO_DB: this.book,
      MACELLAIO_PORT: String(this.port),
      MACELLAIO_LAN_PORT: String(this.lanPort),
      // As another device would find it, in whatever network this runs.
      MACELLAIO_LAN_NAME: 'localhost',
      MACELLAIO_LOG: 'warn',
      MACELLAIO_DEMO: demo ? '1' : ''
    }
    this.process = spawn(process.execPath, ['dist/server/main.js'], {
      cwd: ROOT,
      env: environment,
      stdio: ['ignore', 'inherit', 'inherit']
    })
    for (let i = 0; i < 600; i++) {
      const ready = await fetch(`${this.url}/api/health`).then(
        r => r.ok,
        () => false
      )
      if (ready) return
      await new Promise(wait => setTimeout(wait, 100))
    }
    throw new Error('The server did not come up.')
  }

  /** Without warning, as a flat battery would. */
  kill(): Promise<void> {
    return this.end('SIGKILL')
  }

  /** Fills a Book for all that are started with the demo after it. @returns to throw it away */
  static async fillDemoBook(): Promise<() => void> {
    const app = await App.start(true)
    await app.end('SIGTERM')
    process.env[DEMO_BOOK] = app.book
    return () => rmSync(app.folder, { recursive: true, force: true })
  }

  async stop(): Promise<void> {
    await this.end('SIGTERM')
    rmSync(this.folder, { recursive: true, force: true })
  }

  private end(signal: NodeJS.Signals): Promise<void> {
    const { process: child } = this
    this.process = null
    if (!child || child.exitCode !== null) return Promise.resolve()
    return new Promise(ended => {
      child.once('exit', () => ended())
      child.kill(signal)
    })
  }
}

function freePort(): Promise<number> {
  return new Promise((found, failed) => {
    const probe = createServer()
    probe.once('error', failed)
    probe.listen(0, '127.0.0.1', () => {
      const { port } = probe.address() as AddressInfo
      probe.close(() => found(port))
    })
  })
}
