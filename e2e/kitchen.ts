import { test as base, expect, type BrowserContext, type Locator, type Page } from '@playwright/test'
import { Run, RunList } from 'contract/run'
import { TicketList, type Ticket } from 'contract/ticket'
import { spawn, type ChildProcess } from 'node:child_process'
import { once } from 'node:events'
import { randomUUID } from 'node:crypto'

/** A server process of its own on a database of its own, whose clock the test moves. */
export class Kitchen {
  private process: ChildProcess | null = null
  private readonly database = `e2e_${randomUUID().replaceAll('-', '')}`
  private nowMs = Date.now()
  private movedAtMs = Date.now()
  url = ''
  private port = 0

  constructor(private readonly evenings: number) {}

  async start(): Promise<void> {
    const [, , socket = ''] = (process.env['OKAZU_TEST_DB'] ?? '').split(' ')
    const child = spawn('node', ['--enable-source-maps', 'server/dist/main.mjs'], {
      env: {
        ...process.env,
        OKAZU_PORT: String(this.port),
        OKAZU_DB_SOCKET: socket,
        OKAZU_DB_NAME: this.database,
        OKAZU_TEST_CLOCK: '1',
        OKAZU_DEMO_EVENINGS: String(this.evenings),
        OKAZU_LOG: 'error',
        TZ: 'UTC',
      },
      stdio: ['ignore', 'pipe', 'inherit'],
    })
    this.process = child
    const isFirst = this.port === 0
    for await (const chunk of child.stdout) {
      const found = /ready at http:\/\/127\.0\.0\.1:(\d+)/.exec(String(chunk))
      if (!found) continue
      this.port = Number(found[1])
      this.url = `http://127.0.0.1:${this.port}`
      break
    }
    if (!isFirst) await this.moveServer()
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

  now(): number {
    return this.nowMs + (Date.now() - this.movedAtMs)
  }

  private async moveServer(): Promise<void> {
    await fetch(`${this.url}/api/test-clock`, { method: 'PUT', body: JSON.stringify({ nowMs: this.now() }) })
  }

  /** Lets time pass for the kitchen and every page of the context. */
  async pass(context: BrowserContext, seconds: number): Promise<void> {
    this.nowMs = this.now() + seconds * 1000
    this.movedAtMs = Date.now()
    await context.clock.fastForward(seconds * 1000)
    await this.moveServer()
    await context.pages()[0]?.waitForTimeout(350)
  }

  async post(path: string, body: unknown): Promise<Response> {
    return fetch(`${this.url}/api${path}`, {
      method: 'POST',
      body: JSON.stringify(body),
      headers: { 'content-type': 'application/json' },
    })
  }

  async tickets(): Promise<Ticket[]> {
    return TicketList.parse(await (await fetch(`${this.url}/api/tickets`)).json()).tickets
  }

  async openRuns(): Promise<Run[]> {
    return RunList.parse(await (await fetch(`${this.url}/api/runs`)).json()).runs
  }

  async run(id: string): Promise<Run> {
    return Run.parse(await (await fetch(`${this.url}/api/runs/${id}`)).json())
  }
}

type Fixtures = { evenings: number; kitchen: Kitchen; open: (path: string) => Promise<Page>; complaints: string[] }

/** Each test has a kitchen of its own; what the browser complains of fails the test. */
export const test = base.extend<Fixtures>({
  evenings: [0, { option: true }],
  kitchen: async ({ evenings }, use) => {
    const kitchen = new Kitchen(evenings)
    await kitchen.start()
    await use(kitchen)
    await kitchen.kill()
  },
  // eslint-disable-next-line no-empty-pattern
  complaints: async ({}, use) => {
    const complaints: string[] = []
    await use(complaints)
    expect(complaints).toEqual([])
  },
  open: async ({ context, kitchen, complaints }, use) => {
    await context.clock.install()
    await use(async (path) => {
      const page = await context.newPage()
      page.on('pageerror', (error) => complaints.push(error.message))
      page.on('console', (message) => {
        const isNetwork = /Failed to load resource|net::ERR|ERR_CONNECTION|EventSource/.test(message.text())
        if (message.type() === 'error' && !isNetwork) complaints.push(message.text())
      })
      await page.addInitScript(() =>
        document.addEventListener('securitypolicyviolation', (event) =>
          console.error(`CSP: ${event.violatedDirective} ${event.blockedURI}`),
        ),
      )
      await page.goto(kitchen.url + path)
      return page
    })
  },
})

export { expect }

/** The big button of the line. */
export const fireButton = (page: Page) => page.getByRole('button', { name: /^Fire / })

/** Fires whatever the line proposes first and waits for the cook screen; returns the run's id. */
export async function fireFirst(page: Page): Promise<string> {
  await fireButton(page).last().click()
  await page.waitForURL(/\/wok\/[0-9a-f-]{36}/)
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Heat the wok')
  return page.url().split('/').at(-1) ?? ''
}

/** The step that the cook screen shows. */
export const step = (page: Page) => page.getByRole('heading', { level: 1 })

/** Holds a button by the keyboard until it counts as held. */
export async function hold(button: Locator, kitchen: Kitchen, context: BrowserContext): Promise<void> {
  await button.focus()
  await button.page().keyboard.down('Enter')
  await kitchen.pass(context, 1.5)
  await button.page().keyboard.up('Enter')
}
