import { derivingMs, STATED } from './deriving'
import { fiveMinutes } from './fiveMinutes'
import { medianMs } from './medianMs'

/** What `inWorker` is told by the worker of a browser [ms]. */
export type InWorker = { fiveMinutesMs: number; statedMs: number[]; freeMs: number[] }

const answer: InWorker = {
  fiveMinutesMs: medianMs(() => fiveMinutes('heun', 1)),
  statedMs: derivingMs(STATED).tookMs,
  freeMs: derivingMs({}).tookMs,
}
postMessage(answer)
