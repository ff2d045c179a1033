import { advance } from '../heat/advance'
import {
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
import { addLoad, FRIES_ABOVE_C } from '../heat/fry'
import { FILM, P_AREA_A, PER_PART } from '../heat/layout'
import { inBowl, lift, putBack, setPatch, type Lifted } from '../heat/lift'
import { copyPan, emptyPan, heapMass, metalC, putIn, setWork } from '../heat/pan'
import type { Pan } from '../heat/layout'
import type { Handling } from '../heat/parameters'
import type { Vessel } from '../heat/vessel'
import { loadOf, type WokComponent } from './component'
import type { Heat } from './levels'
import { progressBy } from './progress'

const { exp, max, min } = Math

/** A component in the vessel, or in a bowl beside it. */
export type Inside = {
  one: WokComponent
  /** Seconds in which it was done and above 72 °C. */
  overS: number
  /** Hottest that its core has been [°C]. */
  peakC: number
}
type InBowl = Inside & { lifted: Lifted; doneness: Doneness; sinceS: number; outC: number }

/**
 * Steps of the simulation [s]: coarse where runs are ranked, fine for the one that is kept, long where only the
 * whole time is asked for; finer while an egg sets.
 */
const PRECISION = {
  ranking: { stepS: 1, eggStepS: 0.5, method: 'heun' },
  fine: { stepS: 0.5, eggStepS: 0.25, method: 'rk4' },
  coarse: { stepS: 4, eggStepS: 1, method: 'heun' },
} as const
export type Precision = keyof typeof PRECISION
const OVER_FROM_C = 72
/** Sauce that has not boiled away counts as none below this [kg]. */
const FILM_GONE_KG = 0.0005
/** Sugar and soy on hot metal: index by Arrhenius where the sauce lies, a part of the way to the metal. [C] */
const CARAMEL = { perS: 0.3, atC: 173, activationJPerMol: 120_000, towardsMetal: 0.35 } as const
/** An egg among food spreads so thin, and takes at most so much of the metal. [C] */
const PATCH = { depthM: 0.004, mostShare: 0.3 } as const

/** What is worse for being done too long. */
const BEARS_LITTLE: readonly WokComponent['place'][] = ['raw', 'ready', 'egg']

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
export function startCooking(vessel: Vessel, metalAC: number, metalBC: number, precision: Precision) {
  const pan = emptyPan(vessel, metalAC, metalBC, 0, 'stir')
  const seen: Seen = { lowestC: Infinity, fryingS: 0, caramel: 0, butterC: 0 }
  return cookingOf({ pan, following: startFollowing(), inside: [], bowls: new Map(), seen, riceIn: false }, precision)
}

type State = {
  pan: Pan
  following: Following
  inside: Inside[]
  bowls: Map<string, InBowl>
  seen: Seen
  riceIn: boolean
}

function cookingOf({ pan, following, inside, bowls, seen, ...state }: State, precision: Precision) {
  let { riceIn } = state

  const look = (_: Pan, stepS: number) => {
    followStep(pan, following, stepS)
    for (let index = 0; index < inside.length; index += 1) {
      const it = inside[index]!
      const coreC = coreCAt(following, index)
      if (coreC > it.peakC) it.peakC = coreC
      const { place } = it.one
      if (coreC > OVER_FROM_C && BEARS_LITTLE.includes(place) && progressAt(index) >= 1) it.overS += stepS
      if (place === 'butter') seen.butterC = max(seen.butterC, metalC(pan))
    }
    if (pan.y[FILM]! > FILM_GONE_KG) seen.caramel += stepS * caramelPerS(metalC(pan))
    if (!riceIn) return
    seen.lowestC = min(seen.lowestC, metalC(pan))
    if (meanFaceC() > FRIES_ABOVE_C) seen.fryingS += stepS
  }
  const progressAt = (index: number): number =>
    progressBy(
      inside[index]!.one,
      coreCAt(following, index),
      softnessAt(following, index),
      browningAt(following, index),
      logKillAt(following, index),
    )
  /** Mean of the faces that lie on the metal under the flame [°C]. */
  const meanFaceC = (): number => {
    let area = 0
    let sum = 0
    for (let index = 0; index < inside.length; index += 1) {
      const own = pan.parts[index * PER_PART + P_AREA_A]!
      area += own
      sum += own * pan.faces[index]!
    }
    return area > 0 ? sum / area : 0
  }
  const isEggAlone = () => !riceIn && inside.some(({ one }) => one.place === 'egg')

  return {
    /** The same as it is now, to go on from in another way. */
    copy() {
      const other = copyPan(pan)
      return cookingOf(
        {
          pan: other,
          following: copyFollowing(following),
          inside: inside.map((it) => ({ ...it })),
          bowls: new Map(bowls),
          seen: { ...seen },
          riceIn,
        },
        precision,
      )
    },
    pan,
    seen,
    inside: inside as readonly Inside[],
    bowls: bowls as ReadonlyMap<string, InBowl>,
    doneness: (index: number): Doneness => donenessAt(following, index),
    coreC: (index: number): number => coreCAt(following, index),
    /** Goes on for one step of the precision. */
    step(seconds: number = PRECISION[precision].stepS): void {
      const { stepS, eggStepS, method } = PRECISION[precision]
      advance(pan, pan.atS + seconds, min(isEggAlone() ? eggStepS : stepS, seconds), method, look)
    },
    work(heat: Heat, handling: Handling): void {
      setWork(pan, { handling, level: heat.open, holdC: heat.ceilingC })
    },
    off(): void {
      setWork(pan, { level: 0 })
    },
    oil(massG: number): void {
      pan.oilKg += massG / 1000
    },
    /** Puts a share of a component in, on the bare wall or on metal of its own where asked. */
    add(one: WokComponent, share: number, how: { isPatch?: boolean; isOnWall?: boolean }): void {
      const before = pan.portions.length
      pour(pan, one, share, how.isOnWall ?? false)
      if (pan.portions.length === before) return
      inside.push({ one, overS: 0, peakC: one.tempC })
      followAdded(pan, following)
      if (one.place === 'rice') {
        riceIn = true
        seen.lowestC = min(seen.lowestC, metalC(pan))
      }
      if (how.isPatch) setPatch(pan, before, patchM2(pan, before))
    },
    /** Folds what has metal of its own into the heap. */
    fold(): void {
      pan.portions.forEach(({ patchM2: own }, index) => {
        if (own > 0) setPatch(pan, index, 0)
      })
    },
    /** Takes components out into bowls. */
    takeOut(ids: readonly string[]): void {
      for (let index = inside.length - 1; index >= 0; index -= 1) {
        const it = inside[index]!
        if (!ids.includes(it.one.id)) continue
        const lifted = lift(pan, index)
        bowls.set(it.one.id, {
          ...it,
          lifted,
          doneness: followLifted(following, index),
          sinceS: pan.atS,
          outC: lifted.tempC,
        })
        inside.splice(index, 1)
      }
    },
    /** Puts what lies in a bowl back; how much it has cooled comes back [K]. */
    bringBack(id: string): number {
      const bowl = bowls.get(id)
      if (!bowl) return 0
      bowls.delete(id)
      const cooled = inBowl(bowl.lifted, pan.atS - bowl.sinceS)
      putBack(pan, cooled)
      inside.push({ one: bowl.one, overS: bowl.overS, peakC: bowl.peakC })
      followReturned(pan, following, { ...bowl.doneness, coreC: min(bowl.doneness.coreC, cooled.tempC) })
      return bowl.outC - cooled.tempC
    },
    /** Numbers of components in the vessel, which stay until something goes in or out. */
    indexesOf: (ids: readonly string[]): number[] =>
      inside.flatMap(({ one }, index) => (ids.includes(one.id) ? [index] : [])),
    /** Least progress of these; without end where there are none. */
    progress(indexes: readonly number[]): number {
      let least = Infinity
      for (const index of indexes) least = min(least, progressAt(index))
      return least
    },
    isFine: precision === 'fine',
    isCoarse: precision === 'coarse',
    /** How fast a component browns now [1/s]. */
    browningPerS: (index: number): number => browningPerSAt(following, index),
    /** Worst burn of what is in the vessel. */
    burn(): number {
      let worst = 0
      for (let index = 0; index < inside.length; index += 1)
        worst = max(worst, browningAt(following, index) / inside[index]!.one.burnAt)
      return worst
    },
    freeFraction: (): number => {
      const { massKg, freeKg } = heapMass(pan)
      return massKg > 0 ? (max(0, freeKg) + pan.y[FILM]!) / massKg : 0
    },
  }
}
export type Cooking = ReturnType<typeof cookingOf>

/** A liquid that is poured on the food brings all its water as free water; on the bare wall it boils there first. */
function pour(pan: Pan, one: WokComponent, share: number, isOnWall: boolean): void {
  const load = loadOf(one, share)
  if (one.place !== 'sauce') putIn(pan, load)
  else if (isOnWall) addLoad(pan, load)
  else putIn(pan, { ...load, freeFraction: 1 })
}

function patchM2(pan: Pan, index: number): number {
  const volumeM3 = pan.portions[index]!.volumeM3
  return min(PATCH.mostShare * pan.vessel.areaAM2, volumeM3 / PATCH.depthM)
}

function caramelPerS(metalTempC: number): number {
  const atC = 100 + CARAMEL.towardsMetal * max(0, metalTempC - 100)
  const inverse = 1 / (CARAMEL.atC + 273.15) - 1 / (atC + 273.15)
  return CARAMEL.perS * exp((CARAMEL.activationJPerMol / 8.314462) * inverse)
}
