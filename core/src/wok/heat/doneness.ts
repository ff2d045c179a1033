import type { Kill, Rate } from './foods'
import { BOUND, COMMON, FREE, PER_FOOD, PER_PART, P_AREA_A, P_AREA_B, P_SHARE } from './layout'
import { foodC, metalC, type Pan } from './pan'
import { faceC } from './face'
import { BOIL_C, MOVEMENT, PACKET } from './parameters'

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

/** Follows doneness from step to step; rates between two steps are taken as their geometric mean. */
export function startDoneness(pan: Pan) {
  const state: Doneness[] = []
  const was: DonenessRates[] = []
  const now = (index: number) => ratesOf(pan, index, state[index]!.coreC)
  const added = () => {
    for (let index = state.length; index < pan.portions.length; index += 1) {
      state.push({ coreC: foodC(pan, index), softness: 0, browning: 0, logKill: 0 })
      was.push(now(index))
    }
  }
  const look = (_: Pan, stepS: number) => {
    state.forEach((one, index) => {
      const { thermal, pieceM, diffusivityM2PerS } = pan.portions[index]!
      const lagS = (pieceM * pieceM) / 4 / (thermal.shapeN * diffusivityM2PerS)
      const meanC = foodC(pan, index)
      one.coreC = Math.min(MOST_WET_C, meanC - (meanC - one.coreC) * Math.exp(-stepS / lagS))
      const before = was[index]!
      const after = now(index)
      one.softness += stepS * Math.sqrt(before.soft * after.soft)
      one.browning += stepS * Math.sqrt(before.brown * after.brown)
      one.logKill += stepS * Math.sqrt(before.kill * after.kill)
      was[index] = after
    })
  }
  /** Takes a component's doneness out with it; what follows moves up by one. */
  const lifted = (index: number): Doneness => {
    was.splice(index, 1)
    return state.splice(index, 1)[0]!
  }
  /** Of a component that came back into the vessel as its last. */
  const returned = (doneness: Doneness) => {
    state.push({ ...doneness })
    was.push(now(state.length - 1))
  }
  return { added, look, lifted, returned, state: state as readonly Doneness[] }
}

type DonenessRates = { soft: number; brown: number; kill: number }

function ratesOf(pan: Pan, index: number, coreC: number): DonenessRates {
  const { thermal, pieceM } = pan.portions[index]!
  const meanC = Math.min(MOST_WET_C, foodC(pan, index))
  return {
    soft: thermal.softens ? rateAt(thermal.softens, pieceM >= THICK_M ? coreC : meanC) : 0,
    brown: rateAt(thermal.browns, Math.min(MOST_DRY_C, filmC(pan, index))) * contactTimeShare(pan, index),
    kill: thermal.kill ? killPerS(thermal.kill, coreC) : 0,
  }
}

/** Share of the time that a piece lies on the metal: what the heap covers, one packet deep, against its volume. */
function contactTimeShare(pan: Pan, index: number): number {
  const part = index * PER_PART
  const covers = (pan.parts[part + P_AREA_A]! + pan.parts[part + P_AREA_B]!) / MOVEMENT[pan.handling].contactShare
  return Math.min(1, (covers * PACKET.depthM) / pan.portions[index]!.volumeM3)
}

/** Temperature of the face that browns [°C]: between the interface and the metal, the drier and the more alone the hotter. */
function filmC(pan: Pan, index: number): number {
  const share = pan.parts[index * PER_PART + P_SHARE]!
  const { contactS } = MOVEMENT[pan.handling]
  const interfaceC = faceC(pan, index)
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
  return Math.min(1, Math.max(0, dried)) ** 1.5
}
