import { FIGURES } from '../../core/src/wok/quick/figures'
import { HIDDEN, softsign, WEIGHTS } from '../../core/src/wok/quick/moveNet'
import { normal } from '../../server/src/demo/chance'
import type { Sample } from './samples'

const BATCH = 64
const FASTEST = 3e-3
const SLOWEST = 1e-5
/** Further off than this an error counts no more than in proportion. */
const HUBER = 0.5
const OUT = HIDDEN * (FIGURES + 1)

/** Long moves count more: they are what the whole time is off by. */
const weightOf = (logS: number) => 0.2 + Math.exp(logS) / 60

/** Fits the net by Adam (Kingma and Ba, 2015) with a cosine schedule. @returns weights in the order of `moveNet` */
export function train(samples: Sample[], rounds: number, random: () => number): Float64Array {
  const weights = Float64Array.from({ length: WEIGHTS }, (_, i) =>
    i >= OUT ? normal(random) / Math.sqrt(HIDDEN) : normal(random) / Math.sqrt(FIGURES),
  )
  weights[WEIGHTS - 1] = 3
  const mean = new Float64Array(WEIGHTS)
  const square = new Float64Array(WEIGHTS)
  const slope = new Float64Array(WEIGHTS)
  let step = 0
  for (let round = 0; round < rounds; round += 1) {
    const rate = SLOWEST + FASTEST * 0.5 * (1 + Math.cos((Math.PI * round) / rounds))
    shuffle(samples, random)
    let error = 0
    for (let from = 0; from + BATCH <= samples.length; from += BATCH) {
      slope.fill(0)
      for (let k = from; k < from + BATCH; k += 1) error += addSlope(samples[k]!, weights, slope)
      step += 1
      for (let i = 0; i < WEIGHTS; i += 1) {
        const one = slope[i]! / BATCH
        mean[i] = 0.9 * mean[i]! + 0.1 * one
        square[i] = 0.999 * square[i]! + 0.001 * one * one
        weights[i]! -= (rate * mean[i]!) / (1 - 0.9 ** step) / (Math.sqrt(square[i]! / (1 - 0.999 ** step)) + 1e-8)
      }
    }
    console.log(`round ${round + 1} of ${rounds}: ${(error / samples.length).toFixed(5)}`)
  }
  return weights
}

const bent = new Float64Array(HIDDEN)

function addSlope({ x, logS }: Sample, weights: Float64Array, slope: Float64Array): number {
  let sum = weights[WEIGHTS - 1]!
  for (let unit = 0; unit < HIDDEN; unit += 1) {
    const at = unit * (FIGURES + 1)
    let a = weights[at + FIGURES]!
    for (let i = 0; i < FIGURES; i += 1) a += weights[at + i]! * x[i]!
    bent[unit] = softsign(a)
    sum += bent[unit]! * weights[OUT + unit]!
  }
  const off = sum - logS
  const weight = weightOf(logS)
  const pulls = Math.max(-HUBER, Math.min(HUBER, off)) * weight
  slope[WEIGHTS - 1]! += pulls
  for (let unit = 0; unit < HIDDEN; unit += 1) {
    const at = unit * (FIGURES + 1)
    slope[OUT + unit]! += pulls * bent[unit]!
    const inner = pulls * weights[OUT + unit]! * (1 - Math.abs(bent[unit]!)) ** 2
    for (let i = 0; i < FIGURES; i += 1) slope[at + i]! += inner * x[i]!
    slope[at + FIGURES]! += inner
  }
  return off * off * weight
}

function shuffle<T>(some: T[], random: () => number): void {
  for (let i = some.length - 1; i > 0; i -= 1) {
    const j = Math.floor(random() * (i + 1))
    const one = some[i]!
    some[i] = some[j]!
    some[j] = one
  }
}
