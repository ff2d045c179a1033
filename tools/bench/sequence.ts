import { DISH, EVERYTHING, TOOLS, US } from '../../core/src/test/kitchen'
import { heatOf } from '../../core/src/line/batchHeat'
import { roughStationTimes, stationTimes } from '../../core/src/line/stationTimes'
import { batchSeconds } from '../../core/src/wok/sequence/batchSeconds'
import { derive } from '../../core/src/wok/sequence/derive'
import type { StatedSchools } from '../../core/src/book/schools'
import { lcg } from '../../server/src/demo/chance'
import { DISHES, drawn, derivingMs, spread, STATED } from './deriving'
import { medianMs } from './medianMs'
import { percentile } from './percentile'
import { report } from './report'

const TABLE = { dishes: 60, powersW: [8000, 15_000, 24_000], loads: 12 } as const
/** Deriving the score of dishes at stations that are drawn by chance, the same ones each time. */
export function sequenceEngine(): void {
  time('a score derived, schools stated', STATED, '<= 25 ms p95')
  time('a score derived, schools free', {}, '<= 70 ms p95')
  longSteps()
  tableOfTimes()
}

function time(what: string, schools: StatedSchools, aim: string): void {
  const { tookMs, most } = derivingMs(schools)
  report(what, spread(tookMs, `, at most ${most} simulated`), aim)
}

/** A dish by a way that is known, by long steps, against the same way by fine ones. */
function longSteps(): void {
  const random = lcg(11)
  const cooked = Array.from({ length: DISHES }, () => drawn(random, {})).flatMap((input) => {
    const derived = derive(input)
    return derived.kind === 'derived' ? [{ input, choice: derived.best.choice, run: derived.best.run }] : []
  })
  const predict = () => cooked.map(({ input, choice }) => batchSeconds(input, choice))
  const errors = predict().map(
    ({ totalS, preheatS }, i) => Math.abs((totalS - preheatS) / cooked[i]!.run.totalS - 1) * 100,
  )
  const perDishMs = medianMs(predict) / cooked.length
  report(
    'a whole dish by long steps, its way known',
    `${(1000 / perDishMs).toFixed(0)} a second, error median ${percentile(errors, 0.5).toFixed(1)} %, p95 ${percentile(errors, 0.95).toFixed(1)} %`,
    '>= 20,000 a second, <= 4 %, 14 %',
  )
}

/** What the line asks for of a whole book: dishes whose egg and heat are stated, drawn by chance, at three stations. */
function tableOfTimes(): void {
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
  const size = `${TABLE.dishes} dishes at ${heats.length} stations, up to ${TABLE.loads} portions`
  report(
    `${size}: rough times`,
    `median ${medianMs(rough).toFixed(0)} ms, error median ${percentile(errors, 0.5).toFixed(1)} %, p95 ${percentile(errors, 0.95).toFixed(1)} %`,
    '<= 400 ms',
  )
  report(`${size}: full times`, `${(fullMs / 1000).toFixed(1)} s`, 'none set')
}
