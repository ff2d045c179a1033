import { rateAt } from '../heat/doneness'
import { FOOD_THERMAL } from '../heat/foodTable'
import type { Portion } from '../heat/load'
import { BOIL_C, CONTACT, MELT_J_PER_KG, WATER_J_PER_KGK, type Handling } from '../heat/parameters'
import { portionFor, READY_C, type WokComponent } from '../sequence/component'
import type { Move, Segment, Until } from '../sequence/moves'
import type { Parts } from '../sequence/parts'
import { softSeconds } from '../sequence/place'
import { RICE } from '../sequence/run'
import { LOOKS_S, oilShare, STAYS_COOL } from '../sequence/simulate'

/** Food that goes in or leaves with a move, of the load that the way was prepared with. */
export type Food = {
  /** Heat that takes it to the boil, its ice included [J]; none of what comes back warm. */
  boilJ: number
  jPerK: number
  freeKg: number
  boundKg: number
  volumeM3: number
  layerM2: number
}

/** What has to be done to a component before a move ends, as if it were alone at fixed temperatures. */
export type Need = {
  /** Number of the move that brought it in, and of the one that took it out; -1 where none did. */
  cameWith: number
  leftWith: number
  /** Lag of its core, softening at 88 °C, browning and burning at 150 °C [s]. */
  lagS: number
  softS: number
  brownS: number
  burnS: number
  /** What it takes to come to the heat of what it lies against [s]. */
  mixS: number
  /** To the core that it is heated to [K]; 0 where no core is asked. */
  coreK: number
  isRaw: boolean
  volumeM3: number
}

/** What a move waits for, where its seconds follow from the food. */
export type Waits = {
  /** Share of the target at which the next thing goes in. */
  at: number
  leastS: number
  mostS: number
  needs: readonly Need[]
  /** What may burn first and so ends it. */
  burns: readonly Need[]
}

/** A move of a way of cooking, in numbers. */
export type PreparedMove = {
  segment: Segment
  handling: Handling | null
  /** What ends it, by its number among `KINDS`. */
  kind: number
  isSauce: boolean
  isRice: boolean
  isOil: boolean
  oilKg: number
  goes: Food | null
  leaves: Food | null
  /** Seconds that do not depend on the food. */
  seconds: number
  waits: Waits | null
}

/** What ends a move, where that follows from the food; last, an empty vessel that comes to its heat before oil goes in. */
const NUMBER_OF_KIND: Readonly<Record<Until['kind'], number>> = {
  progress: 0,
  baseEnd: 1,
  riceHalf: 2,
  riceDone: 3,
  crust: 4,
  dry: 5,
  seconds: 6,
  held: 6,
}
export const KINDS = 7

const BROWNS_AT_C = 150
const RICE_SLOTS: readonly Move['slot'][] = ['rice', 'turn', 'halfTime', 'crust', 'lid']

/** The moves of a way, read once: its seconds at any station and for any load follow without reading the dish again. */
export function preparedWay(moves: readonly Move[], parts: Parts): PreparedMove[] {
  const oilings = moves.filter(({ kind }) => kind === 'oil').length
  const fatKg = parts.fat.reduce((sum, { massG }) => sum + massG, 0) / 1000
  const cameWith = new Map<string, number>()
  const leftWith = new Map<string, number>()
  let oiled = 0
  return moves.map((move, index) => {
    const some = move.ids.flatMap((id) => parts.byId.get(id) ?? [])
    const goesIn = move.kind === 'back' || (move.kind === 'in' && !STAYS_COOL.includes(move.slot))
    const goesOut = move.kind === 'out' || move.kind === 'aside'
    for (const { id } of some) {
      if (goesIn) cameWith.set(id, index)
      if (goesOut) leftWith.set(id, index)
    }
    const isOil = move.kind === 'oil'
    const oilKg = isOil ? oilShare(oiled, oilings) * fatKg : 0
    if (isOil) oiled += 1
    const need = (one: WokComponent) => needOf(one, move, cameWith.get(one.id) ?? index, leftWith.get(one.id) ?? -1)
    const inside = [...cameWith.keys()].flatMap((id) => parts.byId.get(id) ?? [])
    return {
      segment: move.segment,
      handling: move.handling ?? null,
      kind: NUMBER_OF_KIND[move.until.kind],
      isSauce: move.slot === 'sauce',
      isRice: move.until.kind === 'riceHalf' || move.until.kind === 'riceDone',
      isOil,
      oilKg,
      goes: goesIn ? foodOf(some, move) : null,
      leaves: goesOut ? foodOf(some, move) : null,
      seconds: secondsOf(move),
      waits: waitsOf(move, parts, inside, need),
    }
  })
}

const secondsOf = ({ until, kind }: Move): number =>
  until.kind === 'seconds' || until.kind === 'held' ? until.seconds + (kind === 'out' ? LOOKS_S : 0) : 0

function foodOf(some: readonly WokComponent[], { shares, kind }: Move): Food {
  const sum: Food = { boilJ: 0, jPerK: 0, freeKg: 0, boundKg: 0, volumeM3: 0, layerM2: 0 }
  for (const one of some) {
    const share = shares?.[one.id] ?? 1
    const { freeKg, boundKg, dryJPerK, volumeM3, layerM2 } = portionFor(one)
    const jPerK = dryJPerK + (freeKg + boundKg) * WATER_J_PER_KGK
    const { water = 0 } = one.composition ?? FOOD_THERMAL[one.food].composition
    const iceJ = one.isFrozen ? (one.massG / 1000) * water * MELT_J_PER_KG : 0
    sum.boilJ += kind === 'back' ? 0 : share * (jPerK * (BOIL_C - one.tempC) + iceJ)
    sum.jPerK += share * jPerK
    sum.freeKg += share * freeKg
    sum.boundKg += share * boundKg
    sum.volumeM3 += share * volumeM3
    sum.layerM2 += share * layerM2
  }
  return sum
}

function waitsOf(
  { until, slot }: Move,
  parts: Parts,
  inside: readonly WokComponent[],
  need: (one: WokComponent) => Need,
): Waits | null {
  if (until.kind === 'seconds' || until.kind === 'held') return null
  const ids = 'ids' in until ? [...until.ids, ...(until.kind === 'baseEnd' ? until.aromatics : [])] : []
  const some = ids.flatMap((id) => parts.byId.get(id) ?? [])
  return {
    at: until.kind === 'progress' ? until.at : 1,
    leastS: 'leastS' in until ? (until.leastS ?? 0) : 0,
    mostS: 'mostS' in until ? until.mostS : RICE.mostS,
    needs: (RICE_SLOTS.includes(slot) ? [...parts.rice, ...some] : some).map(need),
    burns: until.kind === 'baseEnd' ? inside.map(need) : [],
  }
}

function needOf(one: WokComponent, { until }: Move, cameWith: number, leftWith: number): Need {
  const at = until.kind === 'progress' ? until.at : 1
  const portion = portionFor(one)
  const { pieceM, thermal, diffusivityM2PerS, volumeM3 } = portion
  const brownsPerS = rateAt(thermal.browns, BROWNS_AT_C)
  const softens = isSoftened(one)
  const browns = isBrowned(one)
  return {
    cameWith,
    leftWith,
    lagS: (pieceM * pieceM) / 4 / (thermal.shapeN * diffusivityM2PerS),
    softS: softens ? at * softSeconds(one.food, one.goal) : 0,
    brownS: browns ? (at * one.goal) / brownsPerS : 0,
    burnS: one.burnAt / brownsPerS,
    mixS: mixSeconds(portion),
    coreK: softens || browns ? 0 : at * ((one.coreC ?? READY_C.aimed) - one.tempC),
    isRaw: one.place === 'raw',
    volumeM3,
  }
}

function mixSeconds({ piecesM2, pieceM, thermal, pieceWPerMK, dryJPerK, freeKg, boundKg }: Portion): number {
  const resistance = 1 / CONTACT.dryWPerM2K + pieceM / thermal.shapeN / pieceWPerMK
  return ((dryJPerK + (freeKg + boundKg) * WATER_J_PER_KGK) * resistance) / piecesM2
}

const isBrowned = ({ target, food }: WokComponent): boolean =>
  target === 'golden' || target === 'bloomed' || (target === 'fragrant' && food !== 'allium')

function isSoftened({ place, target, food }: WokComponent): boolean {
  if (place === 'raw') return false
  if (target === 'fragrant') return food === 'allium'
  return target === 'set' || target === 'softened' || target === 'tenderCrisp' || target === 'wilted'
}
