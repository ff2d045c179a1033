import {
  PER_PART,
  P_AREA_A,
  P_AREA_B,
  P_AWAY_KG,
  P_BOUND_KG,
  P_CATCH,
  P_DRY_ACTIVITY,
  P_DRY_J_PER_K,
  P_DRY_KG,
  P_FLOATS,
  P_FOOD_SIDE,
  P_MIXES,
  P_MOST_BROWN,
  P_REACHED,
  P_TIME_SHARE,
  P_TOWARDS,
  P_GIVES_UP_PER_S,
  P_ICE_TAPER,
  P_INNER,
  P_KEEPS_KG,
  P_SHARE,
  P_SUPPLY,
  P_SURFACE,
  P_TAKES_UP_PER_S,
  V_AIR,
  V_BARE_A,
  V_BARE_B,
  V_DRY_SIDE,
  V_FASTEST_PER_S,
  V_FILM_MOST_M2,
  V_PRESSED,
} from './layout'
import type { Pan } from './layout'
import {
  CATCH_BELOW_BOIL_K,
  CONTACT,
  MOVEMENT,
  OIL_FULL_KG_PER_M2,
  PACKET,
  SAUCE_FILM,
  SURFACE,
  WATER_J_PER_KGK,
  type Movement,
} from './parameters'
import { heapOf } from './vessel'

const ICE_TAPER_SHARE = 0.15
/** What vapour carries away from a hot face, against the air alone. [C] */
const AIR_WITH_VAPOUR = 6
/** With less dry matter than this a food is a liquid, which draws together when little of it is left. [C] */
const LIQUID_DRY_SHARE = 0.02
const AWAY_SHARE = 0.1

/** Works out what is fixed until the next change: how the heap lies, and what each component touches. */
export function arrange(pan: Pan): void {
  const { vessel, portions, fixed, parts, patches } = pan
  const move = MOVEMENT[pan.handling]
  let volumeM3 = 0
  let layerM2 = 0
  let patchesM2 = 0
  let apartM3 = 0
  for (let index = 0; index < portions.length; index += 1) {
    const one = portions[index]!
    patchesM2 += patches[index]!
    if (patches[index]! > 0) {
      apartM3 += one.volumeM3
      continue
    }
    volumeM3 += one.volumeM3
    layerM2 += one.layerM2
  }
  const heap = heapOf(vessel, volumeM3, layerM2, move.spread)
  const coversAM2 = Math.min(heap.coversM2, vessel.areaAM2 - patchesM2)
  const coversBM2 = Math.min(heap.coversM2 - coversAM2, vessel.areaBM2)
  fixed[V_BARE_A] = vessel.areaAM2 - coversAM2 - patchesM2
  fixed[V_BARE_B] = vessel.areaBM2 - coversBM2 + vessel.outsideBM2
  const oilFull = heap.coversM2 > 0 ? Math.min(1, pan.oilKg / (OIL_FULL_KG_PER_M2 * heap.coversM2)) : 0
  fixed[V_DRY_SIDE] = oilFull
  fixed[V_PRESSED] = move.pressed
  fixed[V_AIR] = SURFACE.airWPerM2K * move.air
  fixed[V_FILM_MOST_M2] = SAUCE_FILM.mostShare * vessel.areaAM2
  const caught = move.caught * (move.hasLid ? 1 : 1 - Math.exp(-heap.depthM / SURFACE.catchDepthM))
  fixed[V_FASTEST_PER_S] = 0
  const metalSide = (CONTACT.dryWPerM2K + CONTACT.oilWPerM2K * oilFull) * move.pressed
  portions.forEach((one, index) => {
    const at = index * PER_PART
    const patchM2 = patches[index]!
    const isApart = patchM2 > 0
    // Where nothing else is in, what lies apart is all that water and steam can go to.
    const share = volumeM3 === 0 ? one.volumeM3 / apartM3 : isApart ? 0 : one.volumeM3 / volumeM3
    const packet = Math.sqrt((one.bedWPerMK * one.bedKgPerM3 * one.bedJPerKgK) / (Math.PI * move.contactS))
    const piece = one.pieceM / 2 / ((one.thermal.shapeN / 2) * one.pieceWPerMK)
    const touches = one.thermal.hasGaps ? Math.min(1, vessel.contact * move.contactShare) : 1
    parts[at + P_AREA_A] = isApart ? patchM2 : coversAM2 * share * touches
    parts[at + P_AREA_B] = coversBM2 * share * touches
    parts[at + P_SURFACE] = isApart ? patchM2 : heap.surfaceM2 * share * move.surface
    parts[at + P_FOOD_SIDE] = one.thermal.convectsWPerM2K ?? 1 / (1 / (2 * packet) + piece)
    const foodSide = parts[at + P_FOOD_SIDE]!
    const touched = parts[at + P_AREA_A]! + parts[at + P_AREA_B]!
    const heats = (touched * metalSide * foodSide) / (metalSide + foodSide) / one.dryJPerK
    const airSide = AIR_WITH_VAPOUR * fixed[V_AIR]!
    const cools = (parts[at + P_SURFACE]! * airSide * foodSide) / (airSide + foodSide) / one.dryJPerK
    const mixes = isApart ? 0 : (one.piecesM2 * CONTACT.dryWPerM2K * foodSide) / (CONTACT.dryWPerM2K + foodSide)
    const evens = mixes / (one.dryJPerK + (one.freeKg + one.boundKg) * WATER_J_PER_KGK)
    parts[at + P_MIXES] = evens
    fixed[V_FASTEST_PER_S] = Math.max(fixed[V_FASTEST_PER_S]!, heats + cools + evens)
    parts[at + P_SUPPLY] = (PACKET.share * one.bedKgPerM3 * PACKET.depthM) / move.contactS
    parts[at + P_INNER] = one.thermal.innerKgPerM2S
    parts[at + P_DRY_J_PER_K] = one.dryJPerK
    parts[at + P_DRY_KG] = one.dryKg
    parts[at + P_BOUND_KG] = one.boundKg
    parts[at + P_KEEPS_KG] = one.boundKg - one.givesUpKg
    parts[at + P_GIVES_UP_PER_S] = one.thermal.givesUpPerS
    parts[at + P_TAKES_UP_PER_S] = one.thermal.takesUpPerS
    parts[at + P_CATCH] = caught / CATCH_BELOW_BOIL_K
    parts[at + P_SHARE] = share
    const waterKg = one.freeKg + one.boundKg
    parts[at + P_AWAY_KG] = one.dryKg < LIQUID_DRY_SHARE * waterKg ? AWAY_SHARE * waterKg : 0
    parts[at + P_FLOATS] = one.thermal.convectsWPerM2K === undefined ? 1 : 0
    parts[at + P_ICE_TAPER] = ICE_TAPER_SHARE * one.iceJ
    parts[at + P_DRY_ACTIVITY] = one.thermal.dryActivity
    const ownM2 = isApart ? patchM2 / move.contactShare : (coversAM2 + coversBM2) * share
    arrangeBrowning(parts, at, one.volumeM3, ownM2, share, move)
  })
}

/** Among food that is left or turned little of a small thing lies on the metal: it browns no faster than so [1/s]. [C] */
const AMONG_STILL = { shareBelow: 0.3, mostPerS: 0.25 } as const

/** What browns a component: how long of the time it lies on the metal, and how near to it its face comes. [C] */
function arrangeBrowning(
  parts: Float64Array,
  at: number,
  volumeM3: number,
  ownM2: number,
  share: number,
  move: Movement,
): void {
  parts[at + P_TIME_SHARE] = Math.min(1, (ownM2 * PACKET.depthM) / volumeM3)
  parts[at + P_TOWARDS] = 0.1 + 0.4 * share
  parts[at + P_REACHED] = share + ((1 - share) * move.contactS) / (move.contactS + 1)
  parts[at + P_MOST_BROWN] = move.isStill && share < AMONG_STILL.shareBelow ? AMONG_STILL.mostPerS : Infinity
}
