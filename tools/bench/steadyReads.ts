import { Agent, get } from 'node:http'
import { asDevice } from '../toolDevice'
import { percentile } from './percentile'

/** Six connections, as a browser keeps them open. */
const CONNECTIONS = 6

export type SteadyReads = { p95Ms: number; ok: number; failed: number }

/**
 * Asks for one address at a steady mean rate, as screens do that know nothing of each other: the gaps between requests are
 * exponential (a Poisson process), so that some come together. A wait counts from the moment a request was due.
 */
export async function steadyReads(url: string, ratePerS: number, seconds: number): Promise<SteadyReads> {
  const agent = new Agent({ keepAlive: true, maxSockets: CONNECTIONS })
  const times: number[] = []
  const reads: Promise<void>[] = []
  let dueMs = performance.now()
  const endMs = dueMs + seconds * 1000
  while ((dueMs += exponential(1000 / ratePerS)) < endMs) {
    const restMs = dueMs - performance.now()
    if (restMs > 0) await new Promise((resolve) => setTimeout(resolve, restMs))
    const startMs = dueMs
    reads.push(
      readOnce(url, agent).then((isOk) => {
        if (isOk) times.push(performance.now() - startMs)
      }),
    )
  }
  await Promise.all(reads)
  agent.destroy()
  return { p95Ms: percentile(times, 0.95), ok: times.length, failed: reads.length - times.length }
}

const exponential = (mean: number): number => -Math.log(1 - Math.random()) * mean

const readOnce = (url: string, agent: Agent): Promise<boolean> =>
  new Promise((resolve) => {
    get(url, { agent, headers: asDevice() }, (answer) => {
      answer.on('end', () => resolve(answer.statusCode === 200)).resume()
    }).on('error', () => resolve(false))
  })
