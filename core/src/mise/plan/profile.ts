import type { Span } from './task'

/** Free units of one resource over time, as steps: `free[i]` holds from `times[i]` to `times[i + 1]`. */
export class Profile {
  private constructor(
    private readonly times: number[],
    private readonly free: number[],
  ) {}

  static constant(units: number): Profile {
    return new Profile([-Infinity], [units])
  }

  /** Nothing free but within the spans, where there are so many units a span; spans may overlap. */
  static within(spans: readonly Span[], units = 1): Profile {
    const profile = Profile.constant(0)
    for (const { fromS, toS } of spans) if (toS > fromS) profile.take(fromS, toS, -units)
    return profile
  }

  copy(): Profile {
    return new Profile(this.times.slice(), this.free.slice())
  }

  /** Time runs the other way. */
  mirrored(): Profile {
    const last = this.times.length - 1
    const times = [-Infinity]
    for (let i = last; i >= 1; i -= 1) times.push(-this.times[i]!)
    return new Profile(times, this.free.slice().reverse())
  }

  /** So many units as both together. */
  plus(other: Profile): Profile {
    const sum = this.copy()
    other.times.forEach((fromS, i) => sum.take(fromS, other.times[i + 1] ?? Infinity, -other.free[i]!))
    return sum
  }

  private indexAt(atS: number): number {
    const { times } = this
    let low = 0
    let high = times.length - 1
    while (low < high) {
      const middle = (low + high + 1) >> 1
      if (times[middle]! <= atS) low = middle
      else high = middle - 1
    }
    return low
  }

  /** The first start at or after `fromS` from which so many units stay free for the duration; Infinity where none. */
  nextFit(fromS: number, durationS: number, units: number): number {
    const { times, free } = this
    let startS = fromS
    for (let i = this.indexAt(fromS); i < times.length && times[i]! < startS + durationS; i += 1) {
      if (free[i]! < units) startS = times[i + 1] ?? Infinity
    }
    return startS
  }

  /** The fewest units free at any moment of the span. */
  leastFree(fromS: number, toS: number): number {
    const { times, free } = this
    let least = Infinity
    for (let i = this.indexAt(fromS); i < times.length && times[i]! < toS; i += 1) least = Math.min(least, free[i]!)
    return least
  }

  /** The next moment after `atS` at which what is free changes; Infinity where it never does. */
  nextChange(atS: number): number {
    return this.times[this.indexAt(atS) + 1] ?? Infinity
  }

  /** Takes units for a span; a negative number gives them back. */
  take(fromS: number, toS: number, units: number): void {
    if (!(toS > fromS)) return
    const first = this.split(fromS)
    const end = toS === Infinity ? this.times.length : this.split(toS)
    for (let i = first; i < end; i += 1) this.free[i]! -= units
  }

  private split(atS: number): number {
    const i = this.indexAt(atS)
    if (this.times[i] === atS) return i
    this.times.splice(i + 1, 0, atS)
    this.free.splice(i + 1, 0, this.free[i]!)
    return i + 1
  }

  /** The latest moment from which the units free until `toS` come to so much work [unit seconds]; -Infinity where none. */
  workedBackFrom(toS: number, workS: number): number {
    const { times, free } = this
    let leftS = workS
    let endS = toS
    for (let i = this.indexAt(toS); i >= 0 && leftS > 0; i -= 1) {
      const units = Math.max(0, free[i]!)
      const spanS = endS - times[i]!
      if (units * spanS >= leftS) return endS - leftS / units
      if (units > 0) leftS -= units * spanS
      endS = times[i]!
    }
    return leftS > 0 ? -Infinity : endS
  }

  /** The longest stretch with so many units free. */
  longestS(units: number): number {
    let longest = 0
    let fromS: number | null = null
    this.times.forEach((atS, i) => {
      if (this.free[i]! >= units) fromS ??= atS
      else if (fromS !== null) {
        longest = Math.max(longest, atS - fromS)
        fromS = null
      }
    })
    return fromS === null ? longest : Infinity
  }
}
