import type { BatchInput } from '../book/batchComponents'
import type { Dish } from '../book/dish'
import type { SchoolValue } from '../book/schools'
import type { MeasureTools } from '../measure/practical'
import type { CookRules } from '../safety/limits'
import { batchSeconds, type BatchSeconds } from '../wok/sequence/batchSeconds'
import type { SequenceInput } from '../wok/sequence/derive'
import type { Choice } from '../wok/sequence/vocabulary'
import { batchFlameMap, outcomeOf, type BatchFlameCell, type Outcome } from '../wok/whatIf/batchFlame'
import { traceOf, type TracePoint } from '../wok/whatIf/trace'
import { heatOf, type BatchHeat, type HeatedStation } from './batchHeat'
import { orderedBatch } from './orderedBatch'
import { batchScore, sequenceInput, type BatchScore } from './batchScore'
import { liveBatch } from './liveBatch'

/** What somebody wonders about a dish at a station. */
export type Wondered = {
  portions: number
  powerW: number
  riceTempC: number
  riceWaterFraction: number
  /** Lumps of rice that was not loosened [mm]; 0 is loose. */
  riceLumpMm: number
  /** Times what the dish has: liquid seasoning, and the size of cut pieces. */
  sauceFactor: number
  cutFactor: number
  /** Null leaves the egg to the dish. */
  egg: SchoolValue<'egg'> | null
}

/** The dish as wondered: more sauce, larger pieces, another way with the egg. */
export function dishAsWondered(dish: Dish, { sauceFactor, cutFactor, egg }: Wondered): Dish {
  return {
    ...dish,
    schools: egg === null ? dish.schools : { ...dish.schools, egg },
    components: dish.components.map((one) => ({
      ...one,
      ...(one.role === 'liquidSeasoning' && { ratioG: one.ratioG * sauceFactor }),
      ...(one.cut && one.cut.sizeMm !== null && { cut: { ...one.cut, sizeMm: one.cut.sizeMm * cutFactor } }),
    })),
  }
}

const batchOf = (portions: number): BatchInput => ({
  modifiers: [],
  allergies: [],
  parts: [{ portions, modifiers: [] }],
})

function heatAsWondered(
  dishId: string,
  station: HeatedStation,
  { powerW, riceTempC, riceWaterFraction, riceLumpMm }: Wondered,
): BatchHeat {
  const heat = heatOf(station, { tempC: riceTempC, waterFraction: riceWaterFraction, lumpMm: null }, dishId)
  return { ...heat, riceLumpMm, station: { ...heat.station, powerW } }
}

/** In full: the score that the engine derives, and what pan and rice do in it; no trace where no way holds. */
export type WonderedScore = { result: BatchScore; trace: TracePoint[] }
export function whatIfScore(
  dish: Dish,
  station: HeatedStation,
  wondered: Wondered,
  tools: MeasureTools,
  rules: CookRules,
): WonderedScore {
  const changed = dishAsWondered(dish, wondered)
  const heat = heatAsWondered(dish.id, station, wondered)
  const result = batchScore(changed, batchOf(wondered.portions), heat, tools, rules)
  if (result.kind !== 'score') return { result, trace: [] }
  const batch = liveBatch(changed, batchOf(wondered.portions), result.score, heat.station, rules)
  return { result, trace: batch ? traceOf(batch, result.score) : [] }
}

/** At once, by a way that was derived before: an estimate. Null where the dish has no rice to fry. */
export type WonderedQuick = BatchSeconds & { outcome: Outcome }
export function whatIfQuick(
  dish: Dish,
  station: HeatedStation,
  wondered: Wondered,
  choice: Choice,
  rules: CookRules,
): WonderedQuick | null {
  const inputOf = inputsOf(dish, station, wondered, rules)
  if (!inputOf) return null
  const seconds = batchSeconds(inputOf(wondered.portions * dish.portionRiceG, wondered.powerW), choice)
  return { ...seconds, outcome: outcomeOf(seconds) }
}

/** Batches × flames of the dish as wondered, by a way that was derived before. */
export function whatIfMap(
  dish: Dish,
  station: HeatedStation,
  wondered: Wondered,
  choice: Choice,
  rules: CookRules,
  ricesG: readonly number[],
  powersW: readonly number[],
): BatchFlameCell[] {
  const inputOf = inputsOf(dish, station, wondered, rules)
  return inputOf ? batchFlameMap(inputOf, choice, ricesG, powersW) : []
}

function inputsOf(
  dish: Dish,
  station: HeatedStation,
  wondered: Wondered,
  rules: CookRules,
): ((riceG: number, powerW: number) => SequenceInput) | null {
  const changed = dishAsWondered(dish, wondered)
  const ordered = orderedBatch(changed, batchOf(wondered.portions), rules)
  if (ordered.kind === 'refused') return null
  return (riceG, powerW) =>
    sequenceInput(
      changed,
      { ...ordered.batch, riceMassG: riceG },
      heatAsWondered(dish.id, station, { ...wondered, powerW }),
      rules,
    )
}
