import { READING_NOW_MS } from './lotHolding'

/** How long rice that was cold has been out of the cold, and how long it was frozen: what a lot's clocks add up [ms]. */
export class ColdClock {
  /** The last cold reading; null until it was cold. */
  lastColdMs: number | null = null
  outSinceMs: number | null = null
  freezes = 0
  private outBeforeMs = 0
  private frozenSinceMs: number | null = null
  private frozenBeforeMs = 0

  /** A reading that counts, at a place that is warm or cold: out of the cold it runs from the last cold reading. */
  reading(isCold: boolean, isInWarmth: boolean, atMs: number): void {
    if (isCold) {
      this.lastColdMs = atMs
      if (isInWarmth) this.outSinceMs ??= atMs
      else this.comeIn(atMs)
    } else if (this.lastColdMs !== null) this.outSinceMs ??= this.lastColdMs
  }

  /** Moved to a place; back into the cold it stops the clock only with a cold reading taken just now, or frozen. */
  moved(to: { isInWarmth: boolean; isFreezer: boolean }, atMs: number, heardMs: number): void {
    if (this.lastColdMs !== null) {
      if (to.isInWarmth) this.outSinceMs ??= atMs
      else if (to.isFreezer || atMs - this.lastColdMs <= READING_NOW_MS) this.comeIn(atMs)
    }
    if (to.isFreezer && this.frozenSinceMs === null) {
      this.frozenSinceMs = Math.max(atMs, heardMs)
      this.freezes += 1
    }
    if (!to.isFreezer && this.frozenSinceMs !== null) {
      this.frozenBeforeMs += Math.max(0, atMs - this.frozenSinceMs)
      this.frozenSinceMs = null
    }
  }

  /** Frozen from the beginning: it came so. */
  cameFrozen(atMs: number): void {
    this.frozenSinceMs = atMs
  }

  /** Rice poured in brings its time out of the cold along: the longer counts; of time frozen the shorter. */
  join(took: { outS: number; frozenMs: number; freezes: number }, isEmpty: boolean): void {
    this.outBeforeMs = Math.max(this.outBeforeMs, took.outS * 1000)
    this.frozenBeforeMs = isEmpty ? took.frozenMs : Math.min(this.frozenBeforeMs, took.frozenMs)
    this.freezes = Math.max(this.freezes, took.freezes)
  }

  outMs(nowMs: number, isOver: boolean): number {
    return this.outBeforeMs + (this.outSinceMs === null || isOver ? 0 : Math.max(0, nowMs - this.outSinceMs))
  }

  frozenMs(nowMs: number): number {
    return this.frozenBeforeMs + (this.frozenSinceMs === null ? 0 : Math.max(0, nowMs - this.frozenSinceMs))
  }

  private comeIn(atMs: number): void {
    if (this.outSinceMs === null) return
    this.outBeforeMs += Math.max(0, atMs - this.outSinceMs)
    this.outSinceMs = null
  }
}
