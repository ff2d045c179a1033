import { EMPTY_G } from './whyNotUsable'

/** What is there of a lot [g], and where the rest went. */
export class RiceMass {
  usedG = 0
  discardedG = 0
  /** What runs took beyond what was there, a gram at least each time. */
  overdrawnG = 0

  constructor(public nowG: number) {}

  isEmpty(): boolean {
    return this.nowG < EMPTY_G
  }

  /** A run took so much: it did, whatever was there. */
  draw(massG: number): void {
    this.usedG += massG
    const beyondG = massG - this.nowG
    this.nowG = Math.max(0, this.nowG - massG)
    if (beyondG >= EMPTY_G) this.overdrawnG += beyondG
  }

  /** Thrown away: all of it where nobody said how much. */
  discard(massG: number | null): void {
    const goneG = Math.min(massG ?? this.nowG, this.nowG)
    this.nowG -= goneG
    this.discardedG += goneG
  }

  /** Counted: what runs took beyond what was thought is settled by it. */
  count(massG: number): void {
    this.nowG = massG
    this.overdrawnG = 0
  }

  give(massG: number): void {
    this.nowG = Math.max(0, this.nowG - massG)
  }
}
