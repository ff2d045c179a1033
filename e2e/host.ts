import { spawn, type ChildProcess } from 'node:child_process'
import { randomUUID } from 'node:crypto'
import { once } from 'node:events'
import { createInterface, type Interface } from 'node:readline'

/** Every test begins here, in the evening service: what a plan says hangs on the hour, as cooks of the hour do. */
const SERVICE_MS = Date.parse('2026-11-27T18:42:00Z')

const freshName = () => `e2e_${randomUUID().replaceAll('-', '')}`

type Opened = { port: number; token: string; programToken: string }
type Order =
  | { do: 'make'; database: string; nowMs: number; evenings: number }
  | { do: 'open'; database: string; nowMs: number; port: number }
  | { do: 'copy'; database: string; to: string }
  | { do: 'close' }

/** The server process of one test worker, and the sample kitchens it makes once and each test gets a copy of. */
export class Host {
  private process: ChildProcess | null = null
  private answers: Interface | null = null
  private readonly samples = new Map<number, { database: string; nowMs: number }>()
  private readonly socket = (process.env['OKAZU_TEST_DB'] ?? '').split(' ')[2] ?? ''

  /** @returns the port of what was opened, and tokens of two devices that were let in: one for pages, one for the test itself. */
  async order(order: Order): Promise<Opened> {
    const answers = this.start()
    const heard = new AbortController()
    const { signal } = heard
    const line = once(answers, 'line', { signal }) as Promise<[string]>
    const gone = once(answers, 'close', { signal }).then(() => Promise.reject(new Error('the server process ended')))
    gone.catch(() => undefined)
    this.process!.stdin!.write(`${JSON.stringify(order)}\n`)
    const [text] = await Promise.race([line, gone]).finally(() => heard.abort())
    return JSON.parse(text) as Opened
  }

  /** A database with a fresh copy of the sample kitchen, and the time at which its tickets were taken. */
  async sample(evenings: number): Promise<{ database: string; nowMs: number }> {
    let made = this.samples.get(evenings)
    if (!made) {
      made = { database: freshName(), nowMs: SERVICE_MS }
      await this.order({ do: 'make', ...made, evenings })
      this.samples.set(evenings, made)
    }
    const database = freshName()
    await this.order({ do: 'copy', database: made.database, to: database })
    return { database, nowMs: made.nowMs }
  }

  /** Ends the server as a power cut would. */
  async kill(): Promise<void> {
    const child = this.process
    this.process = null
    if (!child || child.exitCode !== null) return
    const gone = once(child, 'exit')
    child.kill('SIGKILL')
    await gone
  }

  private start(): Interface {
    if (this.process && this.answers) return this.answers
    this.process = spawn('node', ['--enable-source-maps', 'server/dist/testHost.mjs'], {
      env: { ...process.env, OKAZU_DB_SOCKET: this.socket, TZ: 'UTC' },
      stdio: ['pipe', 'pipe', 'inherit'],
    })
    this.answers = createInterface({ input: this.process.stdout! })
    return this.answers
  }
}
