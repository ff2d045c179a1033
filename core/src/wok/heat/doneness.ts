import type { Kill, Rate } from './foods'
import { BOUND, COMMON, FREE, MOST_FOODS, PER_FOOD, PER_PART, P_AREA_A, P_AREA_B, P_SHARE } from './layout'
import { foodC, metalC, type Pan } from './pan'
import { faceC } from './face'
import { BOIL_C, MOVEMENT, PACKET, type Handling } from './parameters'

/** How far a component has come. */
export type Doneness = {
  /** Middle of a piece [°C]. */
  coreC: number
  /** Softening or setting by its mean: 1 is done for a vegetable; an egg is set to 1 - exp(-index). */
  softness: number
  /** Browning by its surface: 1 is fragrant for garlic, 8 burnt. */
  browning: number
  /** Powers of ten by which what makes ill has died in the core. */
  logKill: number
}

const GAS_J_PER_MOL_K = 8.314462
const ZERO_K = 273.15
/** Wet food does not pass the boil; a dry face is followed to here [°C]. */
const MOST_WET_C = 100
const MOST_DRY_C = 260
/** A piece from this thickness on is soft when its middle is [m]. [C] */
const THICK_M = 0.005
/** Below this nothing dies that counts: D-values do not hold there [°C]. */
const KILLS_FROM_C = 50

/** Arrhenius: how fast at a temperature [1/s]. */
export function rateAt(rate: Rate, tempC: number): number {
  const inverse = 1 / (rate.atC + ZERO_K) - 1 / (tempC + ZERO_K)
  return rate.perS * Math.exp((rate.activationJPerMol / GAS_J_PER_MOL_K) * inverse)
}

/** Powers of ten that die a second at a temperature. */
export const killPerS = (kill: Kill, tempC: number): number =>
  tempC < KILLS_FROM_C ? 0 : 10 ** ((tempC - kill.atC) / kill.zK) / kill.dS

/** Rates of one component now: softening, browning, kill [1/s]; scratch of `ratesOf`, so that nothing is allocated. */
const now = new Float64Array(3)

/**
 * Follows doneness from step to step; rates between two steps are taken as their geometric mean. The arrays hold the
 * components in the order of the pan.
 */
export function startDoneness(pan: Pan) {
  const coreC = new Float64Array(MOST_FOODS)
  const softness = new Float64Array(MOST_FOODS)
  const browning = new Float64Array(MOST_FOODS)
  const logKill = new Float64Array(MOST_FOODS)
  const softPerS = new Float64Array(MOST_FOODS)
  const brownPerS = new Float64Array(MOST_FOODS)
  const killsPerS = new Float64Array(MOST_FOODS)
  const faces = new Float64Array(MOST_FOODS)
  const lagS = new Float64Array(MOST_FOODS)
  const all = [coreC, softness, browning, logKill, softPerS, brownPerS, killsPerS, faces, lagS]
  let count = 0

  const take = (index: number) => {
    ratesOf(pan, index, coreC[index]!, faces)
    softPerS[index] = now[0]!
    brownPerS[index] = now[1]!
    killsPerS[index] = now[2]!
  }
  const start = (index: number, one: Doneness) => {
    const { thermal, pieceM, diffusivityM2PerS } = pan.portions[index]!
    lagS[index] = (pieceM * pieceM) / 4 / (thermal.shapeN * diffusivityM2PerS)
    coreC[index] = one.coreC
    softness[index] = one.softness
    browning[index] = one.browning
    logKill[index] = one.logKill
    take(index)
    count = index + 1
  }
  const at = (index: number): Doneness => ({
    coreC: coreC[index]!,
    softness: softness[index]!,
    browning: browning[index]!,
    logKill: logKill[index]!,
  })
  return {
    coreC,
    softness,
    browning,
    logKill,
    /** Browning now [1/s]. */
    brownPerS,
    /** Temperature of the face on the metal [°C]. */
    faces,
    at,
    added(): void {
      for (let index = count; index < pan.portions.length; index += 1)
        start(index, { coreC: foodC(pan, index), softness: 0, browning: 0, logKill: 0 })
    },
    look(_: Pan, stepS: number): void {
      for (let index = 0; index < count; index += 1) {
        const meanC = foodC(pan, index)
        coreC[index] = Math.min(MOST_WET_C, meanC - (meanC - coreC[index]!) * Math.exp(-stepS / lagS[index]!))
        const soft = softPerS[index]!
        const brown = brownPerS[index]!
        const kill = killsPerS[index]!
        take(index)
        softness[index]! += stepS * Math.sqrt(soft * softPerS[index]!)
        browning[index]! += stepS * Math.sqrt(brown * brownPerS[index]!)
        logKill[index]! += stepS * Math.sqrt(kill * killsPerS[index]!)
      }
    },
    /** Takes a component's doneness out with it; what follows moves up by one. */
    lifted(index: number): Doneness {
      const one = at(index)
      for (const some of all) some.copyWithin(index, index + 1, count)
      count -= 1
      return one
    },
    /** Of a component that came back into the vessel as its last. */
    returned(one: Doneness): void {
      start(pan.portions.length - 1, one)
    },
  }
}

function ratesOf(pan: Pan, index: number, coreC: number, faces: Float64Array): void {
  const { thermal, pieceM } = pan.portions[index]!
  const meanC = Math.min(MOST_WET_C, foodC(pan, index))
  faces[index] = faceC(pan, index)
  now[0] = thermal.softens ? rateAt(thermal.softens, pieceM >= THICK_M ? coreC : meanC) : 0
  now[1] = Math.min(
    mostBrownPerS(pan, index),
    rateAt(thermal.browns, Math.min(MOST_DRY_C, filmC(pan, index, faces[index]))) * contactTimeShare(pan, index),
  )
  now[2] = thermal.kill ? killPerS(thermal.kill, coreC) : 0
}

/** Little of it among food that is left or flipped: most of it lies inside the heap, away from the metal [1/s]. [C] */
const AMONG_STILL = { shareBelow: 0.3, mostPerS: 0.25 } as const
const STILL: readonly Handling[] = ['leave', 'flip', 'press']
function mostBrownPerS(pan: Pan, index: number): number {
  const isAmong = pan.parts[index * PER_PART + P_SHARE]! < AMONG_STILL.shareBelow
  return isAmong && STILL.includes(pan.handling) ? AMONG_STILL.mostPerS : Infinity
}

/** Share of the time that a piece lies on the metal: what the heap covers, one packet deep, against its volume. */
function contactTimeShare(pan: Pan, index: number): number {
  const part = index * PER_PART
  const covers = (pan.parts[part + P_AREA_A]! + pan.parts[part + P_AREA_B]!) / MOVEMENT[pan.handling].contactShare
  return Math.min(1, (covers * PACKET.depthM) / pan.portions[index]!.volumeM3)
}

/** Temperature of the face that browns [°C]: between the interface and the metal, the drier and the more alone the hotter. */
function filmC(pan: Pan, index: number, interfaceC: number): number {
  const share = pan.parts[index * PER_PART + P_SHARE]!
  const { contactS } = MOVEMENT[pan.handling]
  const towards = interfaceC + (0.1 + 0.4 * share) * Math.max(0, metalC(pan) - interfaceC)
  const reached = share + ((1 - share) * contactS) / (contactS + 1)
  if (towards <= BOIL_C) return towards
  return BOIL_C + reached * (towards - BOIL_C) * driedShare(pan, index)
}

/** Share of its own water that a component has lost: a face browns as it dries. */
function driedShare(pan: Pan, index: number): number {
  const { freeKg, boundKg } = pan.portions[index]!
  const at = COMMON + index * PER_FOOD
  const hadKg = freeKg + boundKg
  const dried = hadKg > 0 ? 1 - (pan.y[at + FREE]! + pan.y[at + BOUND]!) / hadKg : 1
  const share = Math.min(1, Math.max(0, dried))
  return share * Math.sqrt(share)
}
