import { advance } from '../heat/advance'
import { startDoneness, type Doneness } from '../heat/doneness'
import { addLoad, FRIES_ABOVE_C } from '../heat/fry'
import { FILM, P_AREA_A, PER_PART } from '../heat/layout'
import { inBowl, lift, putBack, setPatch, type Lifted } from '../heat/lift'
import { emptyPan, heapMass, metalC, putIn, setWork, type Pan } from '../heat/pan'
import type { Handling } from '../heat/parameters'
import type { Vessel } from '../heat/vessel'
import { loadOf, type WokComponent } from './component'
import type { Heat } from './levels'
import { progressBy } from './progress'

/** A component in the vessel, or in a bowl beside it. */
export type Inside = {
  one: WokComponent
  /** Seconds in which it was done and above 72 °C. */
  overS: number
  /** Hottest that its core has been [°C]. */
  peakC: number
}
type InBowl = Inside & { lifted: Lifted; doneness: Doneness; sinceS: number; outC: number }

/** Steps of the simulation: coarse where runs are ranked, fine for the one that is kept. */
export const PRECISION = {
  ranking: { stepS: 1, method: 'heun' },
  fine: { stepS: 0.5, method: 'rk4' },
} as const
export type Precision = keyof typeof PRECISION
/** An egg by itself on hot metal is stiff: it takes this step [s]. */
const EGG_STEP_S = 0.25
const OVER_FROM_C = 72
/** Sauce that has not boiled away counts as none below this [kg]. */
const FILM_GONE_KG = 0.0005
/** Sugar and soy on hot metal: index by Arrhenius where the sauce lies, a part of the way to the metal. [C] */
const CARAMEL = { perS: 0.3, atC: 173, activationJPerMol: 120_000, towardsMetal: 0.35 } as const
/** An egg among food spreads so thin, and takes at most so much of the metal. [C] */
const PATCH = { depthM: 0.004, mostShare: 0.3 } as const

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
  const done = startDoneness(pan)
  const inside: Inside[] = []
  const bowls = new Map<string, InBowl>()
  const seen: Seen = { lowestC: Infinity, fryingS: 0, caramel: 0, butterC: 0 }
  let riceIn = false

  const look = (_: Pan, stepS: number) => {
    done.look(pan, stepS)
    inside.forEach((it, index) => {
      const coreC = done.coreC[index]!
      if (coreC > it.peakC) it.peakC = coreC
      if (coreC > OVER_FROM_C && progressAt(index) >= 1) it.overS += stepS
      if (it.one.place === 'butter') seen.butterC = Math.max(seen.butterC, metalC(pan))
    })
    if (pan.y[FILM]! > FILM_GONE_KG) seen.caramel += stepS * caramelPerS(metalC(pan))
    if (!riceIn) return
    seen.lowestC = Math.min(seen.lowestC, metalC(pan))
    if (meanFaceC() > FRIES_ABOVE_C) seen.fryingS += stepS
  }
  const progressAt = (index: number): number =>
    progressBy(
      inside[index]!.one,
      done.coreC[index]!,
      done.softness[index]!,
      done.browning[index]!,
      done.logKill[index]!,
    )
  /** Mean of the faces that lie on the metal under the flame [°C]. */
  const meanFaceC = (): number => {
    let area = 0
    let sum = 0
    for (let index = 0; index < inside.length; index += 1) {
      const own = pan.parts[index * PER_PART + P_AREA_A]!
      area += own
      sum += own * done.faces[index]!
    }
    return area > 0 ? sum / area : 0
  }
  const isEggAlone = () => !riceIn && inside.some(({ one }) => one.place === 'egg')

  return {
    pan,
    seen,
    inside: inside as readonly Inside[],
    bowls: bowls as ReadonlyMap<string, InBowl>,
    doneness: (index: number): Doneness => done.at(index),
    coreC: (index: number): number => done.coreC[index]!,
    /** Goes on for one step of the precision. */
    step(seconds: number = PRECISION[precision].stepS): void {
      const { stepS, method } = PRECISION[precision]
      if (isEggAlone()) advance(pan, pan.atS + seconds, EGG_STEP_S, 'rk4', look)
      else advance(pan, pan.atS + seconds, Math.min(stepS, seconds), method, look)
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
      done.added()
      if (one.place === 'rice') {
        riceIn = true
        seen.lowestC = Math.min(seen.lowestC, metalC(pan))
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
        bowls.set(it.one.id, { ...it, lifted, doneness: done.lifted(index), sinceS: pan.atS, outC: lifted.tempC })
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
      done.returned({ ...bowl.doneness, coreC: Math.min(bowl.doneness.coreC, cooled.tempC) })
      return bowl.outC - cooled.tempC
    },
    /** Least progress of components that are in the vessel; without end where none of them is. */
    progress(ids: readonly string[]): number {
      let least = Infinity
      for (let index = 0; index < inside.length; index += 1)
        if (ids.includes(inside[index]!.one.id)) least = Math.min(least, progressAt(index))
      return least
    },
    /** How fast a component browns now [1/s]. */
    browningPerS: (index: number): number => done.brownPerS[index]!,
    /** Worst burn of what is in the vessel. */
    burn(): number {
      let worst = 0
      for (let index = 0; index < inside.length; index += 1)
        worst = Math.max(worst, done.browning[index]! / inside[index]!.one.burnAt)
      return worst
    },
    freeFraction: (): number => {
      const { massKg, freeKg } = heapMass(pan)
      return massKg > 0 ? (Math.max(0, freeKg) + pan.y[FILM]!) / massKg : 0
    },
  }
}
export type Cooking = ReturnType<typeof startCooking>

/** A liquid that is poured on the food brings all its water as free water; on the bare wall it boils there first. */
function pour(pan: Pan, one: WokComponent, share: number, isOnWall: boolean): void {
  const load = loadOf(one, share)
  if (one.place !== 'sauce') putIn(pan, load)
  else if (isOnWall) addLoad(pan, load)
  else putIn(pan, { ...load, freeFraction: 1 })
}

function patchM2(pan: Pan, index: number): number {
  const volumeM3 = pan.portions[index]!.volumeM3
  return Math.min(PATCH.mostShare * pan.vessel.areaAM2, volumeM3 / PATCH.depthM)
}

function caramelPerS(metalTempC: number): number {
  const atC = 100 + CARAMEL.towardsMetal * Math.max(0, metalTempC - 100)
  const inverse = 1 / (CARAMEL.atC + 273.15) - 1 / (atC + 273.15)
  return CARAMEL.perS * Math.exp((CARAMEL.activationJPerMol / 8.314462) * inverse)
}
