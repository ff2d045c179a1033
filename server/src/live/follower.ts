import type { LiveChange } from 'contract/run'
import type { Pool } from 'mysql2/promise'
import type { Logger } from 'pino'
import { changesAfter, newestChangeNo } from '../db/outbox'

/** How often other servers' changes are looked for [ms]; one's own wake the follower at once. */
const POLL_MS = 100
const RETRY_MS = 1000

type Listener = (change: LiveChange) => void

/** Follows the outbox for every open stream of this process with one reader. */
export class LiveFollower {
  private readonly listeners = new Set<Listener>()
  private lastNo: number | null = null
  private isBusy = false
  private isAgain = false
  private timer: NodeJS.Timeout | null = null

  constructor(
    private readonly pool: Pool,
    private readonly kitchenId: string,
    private readonly log: Logger,
  ) {}

  async start(): Promise<void> {
    this.lastNo = await newestChangeNo(this.pool, this.kitchenId)
    this.schedule(POLL_MS)
  }

  stop(): void {
    if (this.timer) clearTimeout(this.timer)
    this.timer = null
    this.listeners.clear()
  }

  listen(listener: Listener): () => void {
    this.listeners.add(listener)
    return () => this.listeners.delete(listener)
  }

  /** Something was committed here: look now rather than at the next poll. */
  readonly wake = (): void => {
    void this.read()
  }

  private schedule(ms: number): void {
    this.timer = setTimeout(() => void this.read().then(() => this.timer && this.schedule(POLL_MS)), ms)
  }

  private async read(): Promise<void> {
    if (this.isBusy) {
      this.isAgain = true
      return
    }
    this.isBusy = true
    try {
      do {
        this.isAgain = false
        await this.readOnce()
      } while (this.isAgain)
    } catch (error) {
      this.log.warn({ err: error }, 'outbox not read, trying again')
      await new Promise((resolve) => setTimeout(resolve, RETRY_MS))
    } finally {
      this.isBusy = false
    }
  }

  private async readOnce(): Promise<void> {
    if (this.lastNo === null) return
    for (const change of await changesAfter(this.pool, this.kitchenId, this.lastNo)) {
      this.lastNo = change.no
      this.listeners.forEach((listener) => listener(change))
    }
  }
}

/** The followers of a process: one for each kitchen that somebody looks at. */
export class Followers {
  private readonly all = new Map<string, { follower: LiveFollower; started: Promise<void> }>()

  constructor(
    private readonly pool: Pool,
    private readonly log: Logger,
  ) {}

  /** The follower of a kitchen; it reads from the moment that `started` is over. */
  of(kitchenId: string): { follower: LiveFollower; started: Promise<void> } {
    let one = this.all.get(kitchenId)
    if (!one) {
      const follower = new LiveFollower(this.pool, kitchenId, this.log)
      one = { follower, started: follower.start() }
      // A database that is away: the next one who asks begins anew.
      one.started.catch(() => this.all.delete(kitchenId))
      this.all.set(kitchenId, one)
    }
    return one
  }

  /** Something of a kitchen was committed here. */
  wake(kitchenId: string): void {
    this.all.get(kitchenId)?.follower.wake()
  }

  stop(): void {
    for (const { follower } of this.all.values()) follower.stop()
    this.all.clear()
  }
}
