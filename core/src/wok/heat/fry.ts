import { advance } from './advance'
import { FOOD_THERMAL } from './foodTable'
import type { FoodLoad } from './load'
import { WATER_OUT } from './layout'
import { emptyPan, heapC, heapMass, metalC, pourOnMetal, putIn, residuals } from './pan'
import type { Pan } from './layout'
import { HOT_C, type Handling } from './parameters'
import { preheat } from './preheat'
import { interfaceC } from './face'
import { vesselOf, type HeatStation } from './vessel'

export type Fry = {
  station: HeatStation
  /** Of the metal under the flame when the oil goes in [°C]; the rim is as warm as preheating makes it. */
  startMetalC: number
  oilG: number
  components: readonly (FoodLoad & { atS: number })[]
  handling: Handling
  durationS: number
}

export type Fried = {
  metal: { timeS: number; tempC: number }[]
  /** Mean of all food, from the moment the first is in. */
  food: { timeS: number; tempC: number }[]
  /** When the mean of all food first reaches 74 °C [s]; null if it never does. */
  timeTo74S: number | null
  /** Lowest of the metal from the first food until 74 °C or the end. */
  lowestMetalC: number
  /** Seconds in which what lies on the metal fries instead of steaming. */
  fryingS: number
  /** When it is hot, fried and dry [s]: 74 °C, 30 s of frying, free water under 0.5 %; null if never. */
  doneS: number | null
  freeWaterFraction: number
  massLossFraction: number
  energyResidual: number
  waterResidual: number
}

/** The interface is above the boil by so much where food fries [°C]. */
export const FRIES_ABOVE_C = 105
const STEP_S = 0.5
export const DONE = { fryingS: 30, freeFraction: 0.005 } as const

/**
 * A run in a vessel with one handling, the flame fully open: what metal and food do. Classical Runge and Kutta with half
 * a second; every addition falls on the end of a step.
 * @throws {RangeError} when a load or the station is outside its range
 */
export function fry({ station, startMetalC, oilG, components, handling, durationS }: Fry): Fried {
  const vessel = vesselOf(station)
  const pan = emptyPan(vessel, startMetalC, preheat(vessel, startMetalC).rimC, oilG, handling)
  const seen = startWatch(pan)
  const loads = components.filter(({ atS }) => atS < durationS).sort((a, b) => a.atS - b.atS)
  for (const load of loads) {
    advance(pan, load.atS, STEP_S, 'rk4', seen.look)
    addLoad(pan, load)
    seen.added(load.massG / 1000)
  }
  advance(pan, durationS, STEP_S, 'rk4', seen.look)
  return seen.result()
}

/** Puts a load in; the water of a sauce lies on the metal first, what is dissolved in it goes to the food at once. */
export function addLoad(pan: Pan, load: FoodLoad): void {
  if (load.food !== 'seasoning') {
    putIn(pan, load)
    return
  }
  const water = load.waterFraction ?? (load.composition ?? FOOD_THERMAL.seasoning.composition).water ?? 0
  putIn(pan, { ...load, massG: load.massG * (1 - water), waterFraction: 0 })
  pourOnMetal(pan, (load.massG / 1000) * water, load.tempC)
}

/** Looks at a pan after every step and keeps what a run is judged by. */
function startWatch(pan: Pan) {
  const metal = [{ timeS: 0, tempC: metalC(pan) }]
  const food: Fried['food'] = []
  let addedKg = 0
  let timeTo74S: number | null = null
  let lowestMetalC = Infinity
  let fryingS = 0
  let doneS: number | null = null
  let wasC: number | null = null
  const look = (_: Pan, stepS: number) => {
    const { atS } = pan
    metal.push({ timeS: atS, tempC: metalC(pan) })
    const nowC = heapC(pan)
    if (nowC === null) return
    food.push({ timeS: atS, tempC: nowC })
    if (timeTo74S === null) {
      lowestMetalC = Math.min(lowestMetalC, metalC(pan))
      if (nowC >= HOT_C)
        timeTo74S = wasC !== null && wasC < HOT_C ? atS - (stepS * (nowC - HOT_C)) / (nowC - wasC) : atS
    }
    wasC = nowC
    if ((interfaceC(pan) ?? 0) > FRIES_ABOVE_C) fryingS += stepS
    const { massKg, freeKg } = heapMass(pan)
    if (doneS === null && timeTo74S !== null && fryingS >= DONE.fryingS && freeKg / massKg < DONE.freeFraction)
      doneS = atS
  }
  const added = (massKg: number) => {
    addedKg += massKg
    lowestMetalC = Math.min(lowestMetalC, metalC(pan))
    wasC = heapC(pan)
  }
  const result = (): Fried => {
    const { massKg, freeKg } = heapMass(pan)
    const { energy, water } = residuals(pan)
    return {
      metal,
      food,
      timeTo74S,
      lowestMetalC: Number.isFinite(lowestMetalC) ? lowestMetalC : metalC(pan),
      fryingS,
      doneS,
      // A gram of sauce boils away within a step: what is then left of it can be a hair below nothing.
      freeWaterFraction: massKg > 0 ? Math.max(0, freeKg) / massKg : 0,
      massLossFraction: addedKg > 0 ? pan.y[WATER_OUT]! / addedKg : 0,
      energyResidual: energy,
      waterResidual: water,
    }
  }
  return { look, added, result }
}
