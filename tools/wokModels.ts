import {
  WokFryInput,
  WokFryOutput,
  WokLargestBatchInput,
  WokLargestBatchOutput,
  type HeatStation,
} from 'contract/wokModels'
import { fry } from 'core/wok/heat/fry'
import { largestBatch, largestBatchFast } from 'core/wok/heat/largestBatch'
import type { HeatStation as Station } from 'core/wok/heat/vessel'
import type { Answer, Model } from './model'

/** A station of the command line in core's terms. */
export function stationOf({ widthM, lengthM, ...one }: HeatStation): Station {
  return {
    ...one,
    diameterM: one.diameterM ?? null,
    depthM: one.depthM ?? null,
    plateM: widthM !== undefined && lengthM !== undefined ? { width: widthM, length: lengthM } : null,
  }
}

function fryOne(raw: unknown): Answer {
  const input = WokFryInput.parse(raw)
  const fried = fry({ ...input, station: stationOf(input.station) })
  return {
    kind: 'output',
    output: { ...fried, reason: fried.timeTo74S === null ? neverHot(fried.food.at(-1)?.tempC) : null },
  }
}

const neverHot = (endC: number | undefined) =>
  endC === undefined
    ? 'nothing was put in before the end'
    : `the food is at ${endC.toFixed(1)} °C at the end: longer, less food, or more flame`

function largestOne(raw: unknown): Answer {
  const input = WokLargestBatchInput.parse(raw)
  const question = { ...input, station: stationOf(input.station) }
  const batch = largestBatch(question)
  const fast = largestBatchFast(question)
  return {
    kind: 'output',
    output: {
      massG: batch?.massG ?? null,
      limit: batch?.limit ?? null,
      fast: fast?.massG ?? null,
      reason: batch ? null : 'not even 20 g are hot in three minutes on metal above 140 °C: more flame',
    },
  }
}

/** The models of a vessel over heat. */
export const WOK_MODELS: Readonly<Record<string, Model>> = {
  'wok.fry': { input: WokFryInput, output: WokFryOutput, run: fryOne },
  'wok.largestBatch': { input: WokLargestBatchInput, output: WokLargestBatchOutput, run: largestOne },
}
