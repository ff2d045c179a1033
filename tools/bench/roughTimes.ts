import { DISH, EVERYTHING, TOOLS, US } from '../../core/src/test/kitchen'
import { heatOf } from '../../core/src/line/batchHeat'
import { roughStationTimes, stationTimes } from '../../core/src/line/stationTimes'
import { prepareDish, quickSeconds } from '../../core/src/wok/quick/quickSeconds'
import { derive } from '../../core/src/wok/sequence/derive'
import { lcg } from '../../server/src/demo/chance'
import { DISHES, drawn } from './deriving'
import { medianMs } from './medianMs'
import { percentile } from './percentile'

/** How quickly something is worked out [ms for each], and how far it is off [%]. */
export type SpeedAndError = { ms: number; medianError: number; p95Error: number }

const errorsOf = (errors: readonly number[]) => ({
  medianError: percentile(errors, 0.5),
  p95Error: percentile(errors, 0.95),
})

const LOADS = [1, 0.9, 0.8, 0.7, 0.6, 0.5]

/** Whole dishes by fitted moves, on dishes and stations that they were not fitted to: read once, then asked for any load. */
export function fittedDishes(): SpeedAndError & { readMs: number } {
  const random = lcg(11)
  const cooked = Array.from({ length: DISHES }, () => drawn(random, {})).flatMap((input) => {
    const derived = derive(input)
    return derived.kind === 'derived' ? [{ input, choice: derived.best.choice, run: derived.best.run }] : []
  })
  const read = () => cooked.map(({ input, choice }) => prepareDish(input, choice))
  const prepared = read()
  const errors = prepared.map((one, i) => Math.abs(quickSeconds(one) / cooked[i]!.run.totalS - 1) * 100)
  const predict = () => prepared.map((one) => LOADS.map((load) => quickSeconds(one, load)))
  return {
    ms: medianMs(predict) / prepared.length / LOADS.length,
    readMs: medianMs(read) / prepared.length,
    ...errorsOf(errors),
  }
}

export const TABLE = { dishes: 60, powersW: [8000, 15_000, 24_000], loads: 12 } as const

/** What the line asks for of a whole book: dishes whose egg and heat are stated, drawn by chance, at three stations. */
export function tableOfTimes(): SpeedAndError & { fullMs: number } {
  const random = lcg(5)
  const dishes = Array.from({ length: TABLE.dishes }, () => ({
    ...DISH,
    components: EVERYTHING.filter(({ role }) => role === 'rice' || random() < 0.5),
  }))
  const heats = TABLE.powersW.map((powerW) => heatOf({ kind: 'wok', powerW }))
  const pairs = dishes.flatMap((dish) => heats.map((heat) => ({ dish, heat })))
  const rough = () => pairs.map(({ dish, heat }) => roughStationTimes(dish, TABLE.loads, heat, US)?.seconds ?? [])
  const full = () => pairs.map(({ dish, heat }) => stationTimes(dish, TABLE.loads, heat, TOOLS, US).seconds)
  const beganMs = performance.now()
  const answers = full()
  const fullMs = performance.now() - beganMs
  const errors = rough().flatMap((seconds, i) =>
    seconds.flatMap((one, n) => (answers[i]![n] === undefined ? [] : [Math.abs(one / answers[i]![n] - 1) * 100])),
  )
  return { ms: medianMs(rough), fullMs, ...errorsOf(errors) }
}
