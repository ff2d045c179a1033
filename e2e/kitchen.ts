import { test as base, expect, type BrowserContext, type Locator, type Page } from '@playwright/test'
import { Run, RunList } from 'contract/run'
import { LineState } from 'contract/line'
import { OpenTickets, type Ticket } from 'contract/ticket'
import { Host } from './host'
import { WIDE_PX } from './width'

/** A kitchen of its own in a database of its own, whose clock the test moves. */
export class Kitchen {
  private database = ''
  private nowMs = 0
  private movedAtMs = Date.now()
  url = ''
  /** What the device of the test's pages shows the kitchen; the owner is signed in at it. */
  token = ''
  private programToken = ''
  private port = 0

  constructor(private readonly host: Host) {}

  /** Opens a copy of the sample kitchen, as it was when it was made. */
  async begin(evenings: number): Promise<void> {
    const sample = await this.host.sample(evenings)
    this.database = sample.database
    this.nowMs = sample.nowMs
    this.movedAtMs = Date.now()
    await this.start()
  }

  /** Starts the server again, where it was before. */
  async start(): Promise<void> {
    const opened = await this.host.order({ do: 'open', database: this.database, nowMs: this.now(), port: this.port })
    this.port = opened.port
    this.token ||= opened.token
    this.programToken ||= opened.programToken
    this.url = `http://127.0.0.1:${this.port}`
  }

  async end(): Promise<void> {
    await this.host.order({ do: 'close' })
  }

  /** Ends the server as a power cut would. */
  async kill(): Promise<void> {
    await this.host.kill()
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

  /** Asks the kitchen as a device of the owner's, which no page of the test signs in or out at. */
  fetch(path: string, init: RequestInit = {}, token = this.programToken): Promise<Response> {
    return fetch(`${this.url}/api${path}`, { ...init, headers: { ...init.headers, authorization: `Bearer ${token}` } })
  }

  async post(path: string, body: unknown): Promise<Response> {
    return this.fetch(path, {
      method: 'POST',
      body: JSON.stringify(body),
      headers: { 'content-type': 'application/json' },
    })
  }

  async tickets(): Promise<Ticket[]> {
    return OpenTickets.parse(await (await this.fetch('/tickets')).json()).tickets
  }

  async openRuns(): Promise<Run[]> {
    return RunList.parse(await (await this.fetch('/runs')).json()).runs
  }

  async run(id: string): Promise<Run> {
    return Run.parse(await (await this.fetch(`/runs/${id}`)).json())
  }
}

/** What devices of earlier tests kept of their own work, for those that come after them. */
type EarlierDevices = { times: string | null }
type WorkerFixtures = { host: Host; earlier: EarlierDevices }
type Fixtures = {
  evenings: number
  isNewDevice: boolean
  kitchen: Kitchen
  open: (path: string) => Promise<Page>
  complaints: string[]
}

/** Each test has a kitchen of its own; what the browser complains of fails the test. */
export const test = base.extend<Fixtures, WorkerFixtures>({
  evenings: [0, { option: true }],
  /** Usually a device has been here before, and knows how long the dishes take; a new one works it out for seconds. */
  isNewDevice: [false, { option: true }],
  earlier: [
    // oxlint-disable-next-line no-empty-pattern
    async ({}, use) => use({ times: null }),
    { scope: 'worker' },
  ],
  host: [
    // oxlint-disable-next-line no-empty-pattern
    async ({}, use) => {
      const host = new Host()
      await use(host)
      await host.kill()
    },
    { scope: 'worker' },
  ],
  kitchen: async ({ host, evenings }, use) => {
    const kitchen = new Kitchen(host)
    await kitchen.begin(evenings)
    await use(kitchen)
    await kitchen.end()
  },
  // oxlint-disable-next-line no-empty-pattern
  complaints: async ({}, use) => {
    const complaints: string[] = []
    await use(complaints)
    expect(complaints).toEqual([])
  },
  open: async ({ context, kitchen, complaints, earlier, isNewDevice }, use) => {
    await context.clock.install({ time: kitchen.now() })
    await letIn(context, kitchen)
    if (!isNewDevice && earlier.times !== null) await context.addInitScript(hasBefore, earlier.times)
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
    for (const page of context.pages()) {
      const times = await page.evaluate(() => localStorage.getItem('okazu.times')).catch(() => null)
      if ((times?.length ?? 0) > (earlier.times?.length ?? 0)) earlier.times = times
    }
  },
})

export { expect }

function hasBefore(times: string): void {
  try {
    if (localStorage.getItem('okazu.times') === null) localStorage.setItem('okazu.times', times)
  } catch {
    // A device that may keep nothing has not been here before.
  }
}

/** Pages of a context open on the device that the owner is signed in at. */
export const letIn = (context: BrowserContext, { token }: Kitchen) =>
  context.addCookies([{ name: 'okazu_session', value: token, domain: '127.0.0.1', path: '/api', httpOnly: true }])

/** Opens the sheet of who is here: at the foot of the rail, or in the sheet of places. */
export async function openWho(page: Page): Promise<void> {
  if ((page.viewportSize()?.width ?? 0) < WIDE_PX) await page.getByRole('button', { name: /^Go to/ }).click()
  await page
    .getByRole('button', { name: /^Who is here/ })
    .first()
    .click()
}

/** Signs somebody in at the page's device, by the keypad that is on screen already. */
export async function enterPin(page: Page, name: string, pin: string): Promise<void> {
  const sheet = page.getByRole('dialog')
  await sheet.getByRole('radio', { name: new RegExp(`^${name}`) }).click()
  for (const figure of pin) await sheet.getByRole('button', { name: figure, exact: true }).click()
  await sheet.getByRole('button', { name: 'Sign in' }).click()
  await expect(page.getByText(`${name} is here`)).toBeVisible()
}

/**
 * The application's own files are on the device: from here on it opens without a network. Waited for before anything is
 * fired: a starved machine takes longer than a step of a run.
 */
export const shellKept = (page: Page) => page.evaluate(() => navigator.serviceWorker.ready.then(() => undefined))

/** What somebody said of a run, in its order; that a device worked the rest out again nobody said. */
export const cookSaid = ({ events }: Run) => events.filter(({ kind }) => kind !== 'retimed')

/** The big button of the line. */
export const fireButton = (page: Page) => page.getByRole('button', { name: /^Fire / })

/** Waits until the cooks were told an order that stays: before that, what comes first may still change. */
export async function told(page: Page): Promise<void> {
  const at = new URL('/api/line', page.url()).href
  const no = async () => LineState.parse(await (await page.request.get(at)).json()).order?.no ?? null
  let before: number | null = null
  const stays = async () => {
    const now = await no()
    const isSame = now !== null && now === before
    before = now
    return isSame
  }
  await expect.poll(stays, { intervals: [900], timeout: 30_000 }).toBe(true)
}

/** Waits until a batch can be fired; where the first one wants a wash before it, the kimchi of the griddle is chosen, which wants none. */
export async function fireable(page: Page): Promise<void> {
  const kimchi = page.getByRole('button', { name: /^Kimchi and pork belly.*, Griddle, up/ }).first()
  await expect(fireButton(page).or(kimchi).first()).toBeVisible()
  await expect(async () => {
    if ((await fireButton(page).count()) === 0) await kimchi.click({ timeout: 1000 })
    await expect(fireButton(page).last()).toBeVisible({ timeout: 2000 })
  }).toPass({ timeout: 20_000 })
}

/** Fires the duck that waits on Ring A, or whatever the line proposes, and waits for the cook screen; returns the run's id. */
export async function fireFirst(page: Page): Promise<string> {
  await fireable(page)
  await told(page)
  const duck = page.getByRole('button', { name: /^Duck and pickled greens, [2-9] portions, Ring A, up/ })
  // On a starved machine the cooks may be told another order: then the duck of the other ring.
  const elsewhere = page.getByRole('button', { name: /^Duck and pickled greens, [2-9] portions, Ring B, up/ })
  for (const one of [duck, elsewhere])
    if ((await one.count()) > 0) {
      await one.first().click()
      break
    }
  return fireShown(page)
}

/** Fires the batch that stands on the button. */
export async function fireShown(page: Page): Promise<string> {
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
