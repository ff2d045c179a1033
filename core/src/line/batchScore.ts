import { allergenListOf } from '../book/allergens'
import { batchComponents, type Batch, type BatchInput } from '../book/batchComponents'
import type { Dish } from '../book/dish'
import type { MeasureTools } from '../measure/practical'
import { CHILLED_RICE, type RiceAtWok } from '../rice/lot/riceAtWok'
import type { CookRules } from '../safety/limits'
import type { Handling } from '../wok/heat/parameters'
import { usualHandling, usualStation } from '../wok/heat/usualStations'
import type { HeatStation } from '../wok/heat/vessel'
import { factorFor } from '../wok/learn/learn'
import type { Score } from '../wok/score'
import { dishFromBook } from '../wok/sequence/fromBook'
import { scoreOf } from '../wok/sequence/scoreOf'
import { sequenceBatch, type Finding, type Sequenced } from '../wok/sequence/sequenceBatch'

/** The heat that a batch is cooked by: a version of a station, how food is moved on it, and how cold and how wet the rice is. */
export type BatchHeat = {
  station: HeatStation
  stationVersion: number
  handling: Handling
  riceTempC: number
  riceWaterFraction: number
  /** What the kitchen's runs say of its seconds; it is in the station's efficiency already. */
  learned?: number | undefined
}

/** A station of the kitchen with what is known of its heat; without a version it is what is usual for its kind and power. */
export type HeatedStation = {
  kind: Dish['stationKind']
  powerW: number | null
  heat?: { version: number; plate: HeatStation } | undefined
  /** What its runs, and those of dishes, say of the model's seconds. */
  learned?: { factor: number; dishes: Readonly<Record<string, number>> } | undefined
}
/** What a score needs to know of the rice. */
export type RiceNow = Pick<RiceAtWok, 'tempC' | 'waterFraction'>
/** Scores are derived in whole steps of both, so that rice on the bench does not change them every minute. */
const STEPS = { tempC: 4, water: 0.02 } as const
/** Warmer than this it is no chilled rice, and its lot says so [°C]. */
const WARMEST_C = 40
/** Rice in the steps that scores are derived in. */
export const riceInSteps = ({ tempC, waterFraction }: RiceNow): RiceNow => ({
  tempC: Math.min(WARMEST_C, Math.max(0, Math.round(tempC / STEPS.tempC) * STEPS.tempC)),
  waterFraction: Math.round(Math.round(waterFraction / STEPS.water) * STEPS.water * 100) / 100,
})

/**
 * The heat of a station for a dish, with rice from the fridge unless more is known of it. Where its runs take longer than the
 * model says, less of its flame reaches the food.
 */
export function heatOf(
  { kind, powerW, heat, learned }: HeatedStation,
  rice: RiceNow = CHILLED_RICE,
  dishId: string | null = null,
): BatchHeat {
  const known = heat?.plate ?? usualStation(kind, powerW)
  const factor = factorFor(learned?.factor, dishId === null ? undefined : learned?.dishes[dishId])
  const station = factor === 1 ? known : { ...known, efficiency: Math.min(0.95, known.efficiency / factor) }
  return {
    station,
    ...(factor !== 1 && { learned: factor }),
    stationVersion: heat?.version ?? 0,
    handling: usualHandling(station),
    riceTempC: rice.tempC,
    riceWaterFraction: rice.waterFraction,
  }
}

/** Why a batch cannot be cooked as ordered, whatever the station. */
export type BatchRefused = {
  kind: 'refused'
  reason: 'modifier' | 'allergen' | 'allergenUnknown' | 'rice'
  names: string[]
}
/** A batch that may be cooked, or why not. */
export type OrderedBatch = { kind: 'batch'; batch: Batch } | BatchRefused
/** The score of a batch, or why it cannot be cooked as ordered, or not at this station. */
export type BatchScore =
  | { kind: 'score'; score: Score; batch: Batch; derived: Pick<Sequenced, 'rejected' | 'runnerUp' | 'pins'> }
  | { kind: 'infeasible'; finding: Finding; batch: Batch; pins: Sequenced['pins'] }
  | BatchRefused

/** The most rice [g] that any station of this trade holds: above it, a slipped digit is likelier than an order. */
const MAX_RICE_G = 20_000

/** What a batch takes of everything, or why it cannot be cooked as ordered. */
export function orderedBatch(dish: Dish, input: BatchInput, rules: CookRules): OrderedBatch {
  const result = batchComponents(dish, input, allergenListOf(rules.ruleSet))
  switch (result.kind) {
    case 'unknown-modifier':
    case 'removes-rice':
      return { kind: 'refused', reason: 'modifier', names: [result.modifierId] }
    case 'allergen-stays':
      return { kind: 'refused', reason: 'allergen', names: [result.allergen, ...result.components] }
    case 'allergen-unknown':
      return { kind: 'refused', reason: 'allergenUnknown', names: [result.allergen, ...result.components] }
    case 'batch':
  }
  const { shared, riceMassG } = result.batch
  const hasRice = shared.some(({ component }) => component.role === 'rice')
  if (!hasRice || !(riceMassG > 0) || riceMassG > MAX_RICE_G) return { kind: 'refused', reason: 'rice', names: [] }
  return result
}

/**
 * The score of a batch at a station: what all portions get alike is derived from its heat, and at the end comes what only
 * some of them get. More than the station can fry well is scored all the same, with its warning. Some tens of milliseconds: never inside a transaction, and on a screen in a worker.
 */
export function batchScore(
  dish: Dish,
  input: BatchInput,
  heat: BatchHeat,
  tools: MeasureTools,
  rules: CookRules,
): BatchScore {
  const ordered = orderedBatch(dish, input, rules)
  if (ordered.kind === 'refused') return ordered
  const { batch } = ordered
  const derived = sequenceBatch(sequenceInput(dish, batch, heat, rules))
  const { choice, finding, steps, rejected, runnerUp, pins, warns } = derived
  if (finding !== null || choice === null)
    return { kind: 'infeasible', finding: finding ?? { bad: [], change: null }, batch, pins }
  const { stationVersion, handling, riceTempC, riceWaterFraction, learned } = heat
  const basis = { stationVersion, handling, riceTempC, riceWaterFraction, choice, warns }
  const score = scoreOf(steps, batch, learned === undefined ? basis : { ...basis, learned }, tools)
  return { kind: 'score', score, batch, derived: { rejected, runnerUp, pins } }
}

/** What the engine is asked for a batch: what all portions share. */
export const sequenceInput = (dish: Dish, batch: Batch, heat: BatchHeat, rules: CookRules) => ({
  dish: dishFromBook(
    dish,
    batch.shared.map(({ component }) => component),
    batch.riceMassG,
    batch.eggWish,
  ),
  station: heat.station,
  handling: heat.handling,
  batchMassG: batch.riceMassG,
  riceTempC: heat.riceTempC,
  riceWaterFraction: heat.riceWaterFraction,
  rules,
  keepsTooMuch: true,
})
