import { latentHeatJPerKg } from '../../physics/water'
import { airLoss, surface } from './airLoss'
import { contact, floatingShare, metalSideWPerM2K, touch } from './contact'
import {
  BOUND,
  COMMON,
  FILM,
  FREE,
  HEAT,
  HEAT_IN,
  HEAT_OUT,
  ICE,
  METAL_A,
  METAL_B,
  MOST_FOODS,
  PER_FOOD,
  PER_PART,
  P_AREA_A,
  P_AREA_B,
  P_AWAY_KG,
  P_BOUND_KG,
  P_DRY_ACTIVITY,
  P_DRY_J_PER_K,
  P_DRY_KG,
  P_FLOATS,
  P_FOOD_SIDE,
  P_GIVES_UP_PER_S,
  P_ICE_TAPER,
  P_INNER,
  P_KEEPS_KG,
  P_MIXES,
  P_SHARE,
  P_SUPPLY,
  P_SURFACE,
  P_TAKES_UP_PER_S,
  V_AIR,
  V_BARE_A,
  V_BARE_B,
  V_BOIL_PER_S,
  V_FILM_C,
  V_FILM_MOST_M2,
  V_HOLD_C,
  V_LEVEL,
  WATER_OUT,
} from './layout'
import { catchShare } from './pan'
import type { Pan } from './layout'
import {
  AIR_C,
  BOIL_C,
  BOIL_J_PER_KG,
  CEILING_BAND_K,
  FLAME_C,
  HALF_WET_FRACTION,
  MELT_PER_S,
  SAUCE_FILM,
  SPREAD_PER_S,
  WATER_J_PER_KGK,
} from './parameters'
import { bareMetalWPerM2 } from './vessel'

const { max, min } = Math

/** Food does take up water to so much against its dry matter [kg/kg]. [C] */
const SWOLLEN = 2.5
/** Vegetables and meat give up their water between these [°C]. [C] */
const GIVES_UP = { fromC: 50, fullC: 95 } as const

/** Of its own water so much is left where boiling within a piece slows, so that it ends without a jump. [C] */
const DRY_TAPER_SHARE = 0.05

/** Scratch of one evaluation: temperatures of the components, and how wet they are. */
const tempOf = new Float64Array(MOST_FOODS)
const mixesOf = new Float64Array(MOST_FOODS)
const wetOf = new Float64Array(MOST_FOODS)

/** Writes into `dy` how fast everything in the vessel changes when it stands as in `y`. Allocates nothing. */
export function rates(pan: Pan, y: Float64Array, dy: Float64Array): void {
  const { vessel, fixed, parts, faces } = pan
  const count = pan.portions.length
  const aC = y[METAL_A]! / vessel.capacityAJPerK
  const bC = y[METAL_B]! / vessel.capacityBJPerK
  const inW = burnerW(pan, aC)
  const acrossW = vessel.conductanceWPerK * (aC - bC)
  const outAW = fixed[V_BARE_A]! * bareMetalWPerM2(aC, vessel.emissivity)
  const outBW = fixed[V_BARE_B]! * bareMetalWPerM2(bC, vessel.emissivity)
  let metalA = vessel.shareA * inW - acrossW - outAW
  let metalB = (1 - vessel.shareA) * inW + acrossW - outBW
  let out = outAW + outBW
  let waterOut = 0
  let steamKgPerS = 0
  let freeKg = 0
  let freeHeat = 0
  let mixesWPerK = 0
  let mixesW = 0

  for (let i = 0; i < count; i += 1) {
    const at = COMMON + i * PER_FOOD
    const free = y[at + FREE]!
    const water = free + y[at + BOUND]!
    const capacityJPerK = parts[i * PER_PART + P_DRY_J_PER_K]! + water * WATER_J_PER_KGK
    const tempC = y[at + HEAT]! / capacityJPerK
    const fraction = free / (parts[i * PER_PART + P_DRY_KG]! + water)
    tempOf[i] = tempC
    wetOf[i] = fraction <= 0 ? 0 : fraction / (fraction + HALF_WET_FRACTION)
    freeKg += free
    freeHeat += free * tempC
    const mixes = parts[i * PER_PART + P_MIXES]! * capacityJPerK
    mixesOf[i] = mixes
    mixesWPerK += mixes
    mixesW += mixes * tempC
  }
  const freeC = freeKg > 0 ? freeHeat / freeKg : 0
  // Every piece lies against pieces of all the food, by their share of all faces.
  const amongC = mixesWPerK > 0 ? mixesW / mixesWPerK : 0

  for (let i = 0; i < count; i += 1) {
    const at = COMMON + i * PER_FOOD
    const part = i * PER_PART
    const tempC = tempOf[i]!
    const wet = wetOf[i]!
    const free = y[at + FREE]!
    const bound = y[at + BOUND]!
    const foodSide = parts[part + P_FOOD_SIDE]!
    const boundKg = parts[part + P_BOUND_KG]!
    const inner = boundKg > 0 ? (parts[part + P_INNER]! * max(0, bound)) / boundKg : 0
    const mass = parts[part + P_DRY_KG]! + free + bound
    const outer = (parts[part + P_SUPPLY]! * max(0, free)) / mass
    const supply = outer + inner
    const floats = parts[part + P_FLOATS]!
    const away = parts[part + P_AWAY_KG]!
    const left = away > 0 ? max(0, free + bound) / (max(0, free + bound) + away) : 1
    let heat = mixesOf[i]! * (amongC - tempC)
    let steam = 0
    const areaA = left * parts[part + P_AREA_A]!
    if (areaA > 0) {
      touch(aC, tempC, metalSideWPerM2K(fixed, wet, floats, aC), foodSide, supply)
      heat += areaA * contact[0]!
      steam += areaA * contact[1]!
      metalA -= areaA * contact[0]!
      faces[i] = contact[2]!
    }
    const areaB = left * parts[part + P_AREA_B]!
    if (areaB > 0) {
      touch(bC, tempC, metalSideWPerM2K(fixed, wet, floats, bC), foodSide, supply)
      heat += areaB * contact[0]!
      steam += areaB * contact[1]!
      metalB -= areaB * contact[0]!
    }
    // Steam leaves the food with the heat of its water and with that of its evaporation.
    const steamHeat = steam * (BOIL_J_PER_KG + WATER_J_PER_KGK * BOIL_C)
    heat -= steamHeat
    const fromFree = supply > 0 ? (steam * outer) / supply : 0
    let dFree = -fromFree
    let dBound = fromFree - steam
    steamKgPerS += steam

    const area = left * parts[part + P_SURFACE]!
    if (area > 0) {
      const activity = parts[part + P_DRY_ACTIVITY]! + (1 - parts[part + P_DRY_ACTIVITY]!) * wet
      const air = airLoss(tempC, activity, foodSide, fixed[V_AIR]!)
      const surfaceC = surface[0]!
      const boundShare = boundKg > 0 ? (1 - wet) * min(1, max(0, bound) / boundKg) : 0
      const vapour = area * air * (wet + boundShare)
      const lost =
        area * fixed[V_AIR]! * (surfaceC - AIR_C) + vapour * (latentHeatJPerKg(surfaceC) + WATER_J_PER_KGK * tempC)
      heat -= lost
      out += lost
      waterOut += vapour
      dFree -= area * air * wet
      dBound -= area * air * boundShare
    }
    const water = max(0, free) + max(0, bound)
    if (tempC > BOIL_C && water > 0) {
      // Food above the boil gives its surplus off as steam; what is nearly dry has none left to give.
      const has = water / (water + DRY_TAPER_SHARE * boundKg)
      const boils = (has * fixed[V_BOIL_PER_S]! * (y[at + HEAT]! / tempC) * (tempC - BOIL_C)) / BOIL_J_PER_KG
      const carried = boils * (BOIL_J_PER_KG + WATER_J_PER_KGK * tempC)
      heat -= carried
      out += carried
      waterOut += boils
      dFree -= (boils * max(0, free)) / water
      dBound -= (boils * max(0, bound)) / water
    }
    const givesUp =
      parts[part + P_GIVES_UP_PER_S]! *
      min(1, max(0, (tempC - GIVES_UP.fromC) / (GIVES_UP.fullC - GIVES_UP.fromC))) *
      max(0, bound - parts[part + P_KEEPS_KG]!)
    const takesUpPerS = parts[part + P_TAKES_UP_PER_S]!
    const takesUp =
      takesUpPerS > 0 ? takesUpPerS * max(0, free) * min(1, max(0, 1 - bound / (SWOLLEN * parts[part + P_DRY_KG]!))) : 0
    const spreads = freeKg > 0 ? SPREAD_PER_S : 0
    const arrives = spreads * parts[part + P_SHARE]! * freeKg
    const leaves = spreads * free
    heat += (arrives * freeC - leaves * tempC) * WATER_J_PER_KGK
    dFree += givesUp - takesUp + arrives - leaves
    dBound += takesUp - givesUp

    const ice = max(0, y[at + ICE]!)
    const melts = tempC > 0 && ice > 0 ? (MELT_PER_S * y[at + HEAT]! * ice) / (ice + parts[part + P_ICE_TAPER]!) : 0
    heat -= melts
    dy[at + HEAT] = heat
    dy[at + FREE] = dFree
    dy[at + BOUND] = dBound
    dy[at + ICE] = -melts
  }

  let caughtKg = 0
  const steamHeat = BOIL_J_PER_KG + WATER_J_PER_KGK * BOIL_C
  for (let i = 0; i < count; i += 1) {
    const at = COMMON + i * PER_FOOD
    const part = i * PER_PART
    const caught = steamKgPerS * parts[part + P_SHARE]! * catchShare(parts, part, tempOf[i]!)
    caughtKg += caught
    dy[at + HEAT]! += caught * steamHeat
    dy[at + FREE]! += caught
  }
  waterOut += steamKgPerS - caughtKg
  out += (steamKgPerS - caughtKg) * steamHeat

  const film = y[FILM]!
  if (film > 0) {
    const boils = sauceSteamKgPerS(pan, film, aC)
    const drains = count > 0 ? film / SAUCE_FILM.drainS : 0
    const filmC = fixed[V_FILM_C]!
    const taken = boils * (BOIL_J_PER_KG + WATER_J_PER_KGK * (BOIL_C - filmC))
    metalA -= taken
    out += taken + boils * WATER_J_PER_KGK * filmC
    waterOut += boils
    dy[FILM] = -boils - drains
    for (let i = 0; i < count; i += 1) {
      const at = COMMON + i * PER_FOOD
      const share = drains * parts[i * PER_PART + P_SHARE]!
      dy[at + FREE]! += share
      dy[at + HEAT]! += share * WATER_J_PER_KGK * filmC
    }
  } else dy[FILM] = 0

  dy[METAL_A] = metalA
  dy[METAL_B] = metalB
  dy[HEAT_IN] = inW
  dy[HEAT_OUT] = out
  dy[WATER_OUT] = waterOut
}

/** What the burner gives the metal [W]. */
function burnerW({ vessel, fixed }: Pan, metalTempC: number): number {
  const flame = vessel.hasFlame ? (FLAME_C - metalTempC) / (FLAME_C - BOIL_C) : 1
  const open = min(1, max(0, (fixed[V_HOLD_C]! - metalTempC) / CEILING_BAND_K))
  return fixed[V_LEVEL]! * vessel.netW * max(0, flame) * open
}

/** Steam of the sauce that lies on the metal [kg/s]. */
function sauceSteamKgPerS({ fixed }: Pan, filmKg: number, metalTempC: number): number {
  if (metalTempC <= BOIL_C) return 0
  const areaM2 = min(fixed[V_FILM_MOST_M2]!, filmKg / SAUCE_FILM.kgPerM2)
  const latent = BOIL_J_PER_KG + WATER_J_PER_KGK * (BOIL_C - fixed[V_FILM_C]!)
  return (SAUCE_FILM.wPerM2K * floatingShare(metalTempC) * (metalTempC - BOIL_C) * areaM2) / latent
}
