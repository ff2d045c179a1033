import { setTimeout as wait } from 'node:timers/promises'
import type { Browser, BrowserContext, Page } from '@playwright/test'
import { openAsDevice } from '../toolDevice'

/** A tap under which the page is loaded again is never answered: nobody waits for it longer than this. */
const TAP_MS = 1500
const atMost = (work: Promise<unknown>) => Promise.race([work.catch(() => undefined), wait(TAP_MS)])

export type Said = { kind: string; subjectId: string; body: { id?: string; events?: { id: string; kind: string }[] } }

/** The washing of a station is said by holding for a second. */
const HOLD_MS = 1300
const KEPT = 'okazu.outbox/'

/** A phone that taps twice, and remembers outside the page everything that the page ever kept to be sent. */
export class Phone {
  readonly said = new Map<string, Said>()
  yesTaps = 0

  private constructor(
    private readonly context: BrowserContext,
    readonly page: Page,
    private readonly url: string,
  ) {}

  static async open(browser: Browser, url: string): Promise<Phone> {
    const context = await browser.newContext({ viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true })
    await openAsDevice(context)
    await context.clock.install({ time: Date.now() })
    const page = await context.newPage()
    const phone = new Phone(context, page, url)
    await context.exposeFunction('okazuSaid', (key: string, value: string) => {
      phone.said.set(key, JSON.parse(value) as Said)
    })
    await context.addInitScript((prefix) => {
      const { value: setItem } = Object.getOwnPropertyDescriptor(Storage.prototype, 'setItem') as {
        value: (this: Storage, key: string, value: string) => void
      }
      Storage.prototype.setItem = function (key: string, value: string) {
        setItem.call(this, key, value)
        if (key.startsWith(prefix))
          (globalThis as unknown as { okazuSaid: (k: string, v: string) => void }).okazuSaid(key, value)
      }
    }, KEPT)
    await page.goto(`${url}/line`)
    await page.evaluate(() => navigator.serviceWorker.ready.then(() => undefined))
    return phone
  }

  /** Does whatever the screen asks for next, with both thumbs, and goes on to the other screen when nothing is left here. */
  async act(): Promise<void> {
    await this.tapTwice(/^It was just now/)
    await (this.page.url().includes('/wok/') ? this.cook() : this.fire())
  }

  /** Fires what the line proposes, or says that the station was washed, or goes to the run that stands there. */
  private async fire(): Promise<void> {
    if (!this.page.url().endsWith('/line')) await this.look('/line')
    if (await this.tapTwice(/^Fire /)) {
      await this.page.waitForURL(/\/wok\//, { timeout: 800 }).catch(() => undefined)
      return
    }
    if (!(await this.hold(/ is washed/))) await this.tapTwice(/^Open /)
  }

  /** Says whatever the wok asks for now; a check is answered once it is shown. */
  private async cook(): Promise<void> {
    const yes = this.page.getByRole('button', { name: /^Yes, it is/ })
    if (await yes.isVisible()) {
      // A tap that a reload cuts off may have been heard.
      this.yesTaps += 1
      await yes.click({ timeout: 1000 }).catch(() => undefined)
      return
    }
    if (await this.tapTwice(/^Done/)) return
    if (await this.page.getByText(/See the record|Next on the line/).count()) await this.look('/line')
  }

  async look(path: string): Promise<void> {
    if (this.page.url() !== this.url + path) await this.go(path)
  }

  async cut(isCut: boolean): Promise<void> {
    await this.context.setOffline(isCut)
  }

  async reload(): Promise<void> {
    await this.page.reload({ timeout: 10_000 }).catch(() => undefined)
  }

  async setClock(offMs: number): Promise<void> {
    await this.context.clock.setSystemTime(Date.now() + offMs)
  }

  /** Keys of what this phone has not sent yet, and of what was refused. */
  async waiting(): Promise<{ unsent: string[]; refused: string[] }> {
    const kept = await this.page.evaluate(() => Object.entries(localStorage) as [string, string][])
    const parcels = kept.filter(([key]) => key.startsWith(KEPT))
    const isRefused = ([, value]: [string, string]) => (JSON.parse(value) as { refusal: unknown }).refusal !== null
    const keys = (some: [string, string][]) => some.map(([key]) => key)
    return { unsent: keys(parcels.filter((one) => !isRefused(one))), refused: keys(parcels.filter(isRefused)) }
  }

  private async go(path: string): Promise<void> {
    await this.page.goto(this.url + path, { timeout: 10_000 }).catch(() => undefined)
  }

  private async tapTwice(name: RegExp): Promise<boolean> {
    const at = await this.middleOf(name)
    if (!at) return false
    for (let tap = 0; tap < 2; tap += 1) await atMost(this.page.touchscreen.tap(at.x, at.y))
    return true
  }

  private async hold(name: RegExp): Promise<boolean> {
    const at = await this.middleOf(name)
    if (!at) return false
    await this.page.mouse.move(at.x, at.y)
    await this.page.mouse.down()
    await wait(HOLD_MS)
    await this.page.mouse.up()
    return true
  }

  private async middleOf(name: RegExp): Promise<{ x: number; y: number } | null> {
    const button = this.page.getByRole('button', { name }).last()
    if (!(await button.isVisible().catch(() => false))) return null
    const box = await button.boundingBox({ timeout: 500 }).catch(() => null)
    return box && { x: box.x + box.width / 2, y: box.y + box.height / 2 }
  }
}
