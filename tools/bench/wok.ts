import { createRequire } from 'node:module'
import { largestBatch, largestBatchFast } from '../../core/src/wok/heat/largestBatch'
import { COMMON, PER_FOOD, type Pan } from '../../core/src/wok/heat/layout'
import { foodC, metalC } from '../../core/src/wok/heat/pan'
import { rates } from '../../core/src/wok/heat/rates'
import type { HeatStation } from '../../core/src/wok/heat/vessel'
import { aWok } from '../../core/src/test/stations'
import { FOODS, fiveMinutes, loaded, RUN_S } from './fiveMinutes'
import { medianMs } from './medianMs'
import { report } from './report'
import { percentile } from './percentile'

const TOLERANCE = 1e-3

type Solver = {
  absoluteTolerance: number
  relativeTolerance: number
  maxStepSize: number
  solve: (f: (t: number, y: number[]) => number[], fromS: number, y: number[], toS: number) => { y: number[] }
}
const { Solver: Odex } = createRequire(import.meta.url)('odex') as { Solver: new (n: number) => Solver }

/** The heat model: a run of five minutes with eight components, and the largest batch of a station. */
export function heatModel(): void {
  const exact = temperatures(fiveMinutes('rk4', 0.0625))
  const ours = fiveMinutes('heun', 1)
  const oursMs = medianMs(() => fiveMinutes('heun', 1))
  report(
    'a run of 300 s, 8 components, 1 s steps',
    `median ${oursMs.toFixed(2)} ms, error ${worst(ours, exact)} K`,
    '<= 2.5 ms',
  )
  const fineMs = medianMs(() => fiveMinutes('rk4', 0.5))
  report(
    'the same for the answer, 0.5 s steps',
    `median ${fineMs.toFixed(2)} ms, error ${worst(fiveMinutes('rk4', 0.5), exact)} K`,
    '',
  )
  const outsideMs = medianMs(outside)
  report(
    'the same equations by odex of the npm registry',
    `median ${outsideMs.toFixed(1)} ms, error ${worst(outside(), exact)} K; ours ${(outsideMs / oursMs).toFixed(0)}x faster`,
    '>= 10x faster at equal error',
  )
  const question = { station: aWok(8000), riceTempC: 4, handling: 'stir' } as const
  const exactMs = medianMs(() => largestBatch(question))
  report('largest batch of a station', `median ${exactMs.toFixed(1)} ms`, '<= 40 ms')
  const errors = STATIONS.map((station) => {
    const batch = largestBatch({ ...question, station })?.massG
    const fast = largestBatchFast({ ...question, station })?.massG
    return Math.abs((fast ?? 0) / (batch ?? Number.NaN) - 1) * 100
  })
  const fastMs = medianMs(() => largestBatchFast(question))
  report(
    'largest batch by steps of 4 s',
    `median ${fastMs.toFixed(1)} ms, error median ${percentile(errors, 0.5).toFixed(1)} %, p95 ${percentile(errors, 0.95).toFixed(1)} %`,
    '<= 5 %, 15 %',
  )
}

const STATIONS: readonly HeatStation[] = [2500, 3500, 4200, 5500, 6800, 8000, 10_000, 13_000].flatMap((powerW) =>
  [0.3, 0.34, 0.38, 0.42].map((diameterM) => aWok(powerW, { diameterM })),
)

function outside(): Pan {
  const pan = loaded()
  const size = COMMON + FOODS.length * PER_FOOD
  const dy = new Float64Array(pan.y.length)
  const at = new Float64Array(pan.y.length)
  const solver = new Odex(size)
  solver.absoluteTolerance = TOLERANCE
  solver.relativeTolerance = TOLERANCE
  solver.maxStepSize = 1
  const slope = (_: number, y: number[]) => {
    at.set(y)
    rates(pan, at, dy)
    return [...dy.subarray(0, size)]
  }
  pan.y.set(solver.solve(slope, 0, [...pan.y.subarray(0, size)], RUN_S).y)
  return pan
}

const temperatures = (pan: Pan) => [metalC(pan), ...FOODS.map((_, index) => foodC(pan, index))]
const worst = (pan: Pan, exact: readonly number[]) =>
  Math.max(...temperatures(pan).map((tempC, i) => Math.abs(tempC - (exact[i] ?? Number.NaN)))).toFixed(3)
