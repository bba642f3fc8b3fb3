/** The real app for a test: its own server process on its own database file, killed and started as the test wants. */
import { spawn, type ChildProcess } from 'node:child_process'
import { mkdtempSync, rmSync } from 'node:fs'
import { createServer, type AddressInfo } from 'node:net'
import { tmpdir } from 'node:os'
import { join, resolve } from 'node:path'

const ROOT = resolve(import.meta.dirname, '..')

export class App {
  private process: ChildProcess | null = null
  private constructor(
    private readonly folder: string,
    private readonly port: number
  ) {}

  static async start(demo = false): Promise<App> {
    const app = new App(mkdtempSync(join(tmpdir(), 'macellaio-e2e-')), await freePort())
    await app.serve(demo)
    return app
  }

  get url(): string {
    return `http://127.0.0.1:${this.port}`
  }

  async serve(demo = false): Promise<void> {
    const environment = {
      ...process.env,
      MACELLAIO_DB: join(this.folder, 'book.sqlite'),
      MACELLAIO_PORT: String(this.port),
      MACELLAIO_LOG: 'warn',
      MACELLAIO_DEMO: demo ? '1' : ''
    }
    this.process = spawn(process.execPath, ['--import', 'tsx', 'server/src/main.ts'], {
      cwd: ROOT,
      env: environment,
      stdio: ['ignore', 'inherit', 'inherit']
    })
    for (let i = 0; i < 240; i++) {
      const ready = await fetch(`${this.url}/api/health`).then(
        r => r.ok,
        () => false
      )
      if (ready) return
      await new Promise(wait => setTimeout(wait, 250))
    }
    throw new Error('The server did not come up.')
  }

  /** Without warning, as a flat battery would. */
  kill(): Promise<void> {
    return this.end('SIGKILL')
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
