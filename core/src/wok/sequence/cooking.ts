import { advance } from '../heat/advance'
import {
  addLag,
  browningAt,
  browningPerSAt,
  copyFollowing,
  coreCAt,
  donenessAt,
  followAdded,
  followLifted,
  followReturned,
  followStep,
  logKillAt,
  softnessAt,
  startFollowing,
  type Doneness,
  type Following,
} from '../heat/doneness'
import { FRIES_ABOVE_C } from '../heat/fry'
import { FILM, P_AREA_A, PER_PART } from '../heat/layout'
import { inBowl, lift, putBack, setPatch, type Lifted } from '../heat/lift'
import { copyPan, emptyPan, foodC, heapC, heapMass, metalC, pourOil, setWork } from '../heat/pan'
import type { Pan } from '../heat/layout'
import type { Handling } from '../heat/parameters'
import type { Vessel } from '../heat/vessel'
import type { WokComponent } from './component'
import type { Heat } from './levels'
import { patchM2, pour } from './pour'
import { caramelPerS } from './caramel'
import { rendersPerS } from './fats'
import { insideOf, type Inside } from './inside'
import { OPENS_S } from './lumps'
import { PRECISION, type Precision } from './precision'
import { progressBy } from './progress'

const { exp, max, min } = Math

type InBowl = { was: Inside; lifted: Lifted; doneness: Doneness; sinceS: number; outC: number }

const OVER_FROM_C = 72
/** Sauce that has not boiled away counts as none below this [kg]. */
const FILM_GONE_KG = 0.0005

/** What a run is judged by, besides its components. */
export type Seen = {
  /** Lowest metal since the rice went in [°C]. */
  lowestC: number
  fryingS: number
  caramel: number
  /** Highest of the metal while butter is in [°C]. */
  butterC: number
}

/** A vessel being cooked in: the pan of the heat model with what is in it by name, and what lies in bowls. */
export class Cooking {
  private constructor(
    readonly precision: Precision,
    readonly pan: Pan,
    private readonly following: Following,
    readonly inside: Inside[],
    readonly bowls: Map<string, InBowl>,
    readonly seen: Seen,
    private riceIn: boolean,
    private settledS: number,
    private readonly opensS: number,
  ) {}

  /** `opensS`: how soon the cook's tool opens lumps [s]. */
  static start(
    vessel: Vessel,
    metalAC: number,
    metalBC: number,
    precision: Precision,
    opensS: number = OPENS_S.ladle,
  ): Cooking {
    const pan = emptyPan(vessel, metalAC, metalBC, 0, 'stir')
    return new Cooking(precision, pan, startFollowing(), [], new Map(), seenOf(Infinity, 0, 0, 0), false, 0, opensS)
  }

  /** The same as it is now, to go on from in another way. */
  copy(): Cooking {
    const { lowestC, fryingS, caramel, butterC } = this.seen
    return new Cooking(
      this.precision,
      copyPan(this.pan),
      copyFollowing(this.following),
      this.inside.map(({ one, overS, peakC, fatG, lumpS }) => insideOf(one, overS, peakC, fatG, lumpS)),
      new Map(this.bowls),
      seenOf(lowestC, fryingS, caramel, butterC),
      this.riceIn,
      this.settledS,
      this.opensS,
    )
  }

  get isFine(): boolean {
    return this.precision === 'fine'
  }
  get isCoarse(): boolean {
    return this.precision === 'coarse'
  }

  doneness(index: number): Doneness {
    return donenessAt(this.following, index)
  }
  coreC(index: number): number {
    return coreCAt(this.following, index)
  }

  /** Goes on for one step of the precision, or for less where so many seconds are left; no less than its shortest step. */
  step(leftS: number = Infinity, leastS: number = PRECISION[this.precision].leastS): void {
    const { stepS, eggStepS, method } = PRECISION[this.precision]
    const seconds = leftS < stepS ? max(leastS, leftS) : stepS
    advance(this.pan, this.pan.atS + seconds, min(this.isEggAlone() ? eggStepS : stepS, seconds), method, this.look)
  }
  work(heat: Heat, handling: Handling): void {
    setWork(this.pan, { handling, level: heat.open, holdC: heat.ceilingC })
  }
  off(): void {
    setWork(this.pan, { level: 0 })
  }
  oil(massG: number): void {
    pourOil(this.pan, massG / 1000)
  }

  /** Puts a share of a component in, on the bare wall or on metal of its own where asked. */
  add(one: WokComponent, share: number, how: { isPatch?: boolean; isOnWall?: boolean }): void {
    const { pan } = this
    const before = pan.portions.length
    pour(pan, one, share, how.isOnWall ?? false)
    if (pan.portions.length === before) return
    this.inside.push(insideOf(one, 0, one.tempC, one.rendersG * share, one.lumpLagS))
    followAdded(pan, this.following)
    addLag(this.following, before, one.lumpLagS)
    if (one.place === 'rice') {
      // Each part of a large order has to fry for itself.
      if (this.riceIn && this.inside.filter(({ one: { place } }) => place === 'rice').length === 1)
        this.seen.fryingS = 0
      this.riceIn = true
      this.seen.lowestC = min(this.seen.lowestC, metalC(pan))
    }
    if (how.isPatch) setPatch(pan, before, patchM2(pan, before))
  }
  /**
   * Fat that ran out of what lies in the vessel since the last time, which is on the metal from now on [g]. Settled at the
   * end of a step: how the food lies is worked out anew with it.
   */
  settleFat(): number {
    const seconds = this.pan.atS - this.settledS
    this.settledS = this.pan.atS
    let ranG = 0
    for (let index = 0; index < this.inside.length; index += 1) {
      const it = this.inside[index]!
      if (it.fatG <= 0) continue
      const left = it.fatG * exp(-rendersPerS(foodC(this.pan, index)) * seconds)
      ranG += it.fatG - left
      it.fatG = left
    }
    if (ranG > 0) this.oil(ranG)
    return ranG
  }
  /** Folds what has metal of its own into the heap. */
  fold(): void {
    for (let index = 0; index < this.pan.portions.length; index += 1)
      if (this.pan.patches[index]! > 0) setPatch(this.pan, index, 0)
  }
  /** Takes components out into bowls. */
  takeOut(ids: readonly string[]): void {
    for (let index = this.inside.length - 1; index >= 0; index -= 1) {
      const was = this.inside[index]!
      if (!ids.includes(was.one.id)) continue
      const lifted = lift(this.pan, index)
      const doneness = followLifted(this.following, index)
      this.bowls.set(was.one.id, { was, lifted, doneness, sinceS: this.pan.atS, outC: lifted.tempC })
      this.inside.splice(index, 1)
    }
  }
  /** Puts what lies in a bowl back; how much it has cooled comes back [K]. */
  bringBack(id: string): number {
    const bowl = this.bowls.get(id)
    if (!bowl) return 0
    this.bowls.delete(id)
    const { was, doneness } = bowl
    const cooled = inBowl(bowl.lifted, this.pan.atS - bowl.sinceS)
    putBack(this.pan, cooled)
    this.inside.push(insideOf(was.one, was.overS, was.peakC, was.fatG, was.lumpS))
    followReturned(this.pan, this.following, { ...doneness, coreC: min(doneness.coreC, cooled.tempC) })
    return bowl.outC - cooled.tempC
  }

  /** Everything in bowls and in the vessel tossed together [°C]; null where no bowl is filled. */
  bowlC(): number | null {
    let heat = 0
    let mass = 0
    for (const { lifted, sinceS } of this.bowls.values()) {
      const cooled = inBowl(lifted, this.pan.atS - sinceS)
      const massKg = cooled.portion.dryKg + cooled.freeKg + cooled.boundKg
      heat += massKg * cooled.tempC
      mass += massKg
    }
    if (mass === 0) return null
    const inVessel = heapMass(this.pan).massKg
    return (heat + inVessel * (heapC(this.pan) ?? 0)) / (mass + inVessel)
  }

  /** Numbers of components in the vessel, which stay until something goes in or out. */
  indexesOf(ids: readonly string[]): number[] {
    return this.inside.flatMap(({ one }, index) => (ids.includes(one.id) ? [index] : []))
  }
  /** Least progress of these; without end where there are none. */
  progress(indexes: readonly number[]): number {
    let least = Infinity
    for (const index of indexes) least = min(least, this.progressAt(index))
    return least
  }
  /** How fast a component browns now [1/s]. */
  browningPerS(index: number): number {
    return browningPerSAt(this.following, index)
  }
  /** Worst burn of what is in the vessel. */
  burn(): number {
    let worst = 0
    for (let index = 0; index < this.inside.length; index += 1)
      worst = max(worst, browningAt(this.following, index) / this.inside[index]!.one.burnAt)
    return worst
  }
  freeFraction(): number {
    const { massKg, freeKg } = heapMass(this.pan)
    return massKg > 0 ? (max(0, freeKg) + this.pan.y[FILM]!) / massKg : 0
  }

  /** After every step: what the components have come to, and what the whole run is judged by. */
  private readonly look = (_: Pan, stepS: number): void => {
    const { pan, following, inside, seen } = this
    followStep(pan, following, stepS)
    for (let index = 0; index < inside.length; index += 1) {
      const it = inside[index]!
      const coreC = coreCAt(following, index)
      if (coreC > it.peakC) it.peakC = coreC
      if (it.lumpS > 0) {
        const left = it.lumpS * exp(-stepS / this.opensS)
        addLag(following, index, left - it.lumpS)
        it.lumpS = left
      }
      if (it.bearsLittle && coreC > OVER_FROM_C && this.progressAt(index) >= 1) it.overS += stepS
      if (it.one.place === 'butter') seen.butterC = max(seen.butterC, metalC(pan))
    }
    if (pan.y[FILM]! > FILM_GONE_KG) seen.caramel += stepS * caramelPerS(metalC(pan))
    if (!this.riceIn) return
    seen.lowestC = min(seen.lowestC, metalC(pan))
    if (this.meanFaceC() > FRIES_ABOVE_C) seen.fryingS += stepS
  }
  private progressAt(index: number): number {
    const { following } = this
    return progressBy(
      this.inside[index]!.one,
      coreCAt(following, index),
      softnessAt(following, index),
      browningAt(following, index),
      logKillAt(following, index),
    )
  }
  /** Mean of the faces that lie on the metal under the flame [°C]. */
  private meanFaceC(): number {
    const { parts, faces } = this.pan
    let area = 0
    let sum = 0
    for (let index = 0; index < this.inside.length; index += 1) {
      const own = parts[index * PER_PART + P_AREA_A]!
      area += own
      sum += own * faces[index]!
    }
    return area > 0 ? sum / area : 0
  }
  private isEggAlone(): boolean {
    return !this.riceIn && this.inside.some(({ one }) => one.place === 'egg')
  }
}

// Built in one place, so that all have one shape.
const seenOf = (lowestC: number, fryingS: number, caramel: number, butterC: number): Seen => ({
  lowestC,
  fryingS,
  caramel,
  butterC,
})
