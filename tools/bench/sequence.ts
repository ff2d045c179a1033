import { batchSeconds } from '../../core/src/wok/sequence/batchSeconds'
import { derive } from '../../core/src/wok/sequence/derive'
import type { StatedSchools } from '../../core/src/book/schools'
import { lcg } from '../../server/src/demo/chance'
import { DISHES, drawn, derivingMs, spread, STATED } from './deriving'
import { medianMs } from './medianMs'
import { percentile } from './percentile'
import { report } from './report'

/** Deriving the score of dishes at stations that are drawn by chance, the same ones each time. */
export function sequenceEngine(): void {
  time('a score derived, schools stated', STATED, '<= 25 ms p95')
  time('a score derived, schools free', {}, '<= 70 ms p95')
  longSteps()
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
  report('a whole dish by long steps, its way known', speedAndError(perDishMs, errors), 'none set')
}

const speedAndError = (perDishMs: number, errors: readonly number[]): string =>
  `${(1000 / perDishMs).toFixed(0)} a second, error median ${percentile(errors, 0.5).toFixed(1)} %, p95 ${percentile(errors, 0.95).toFixed(1)} %`
