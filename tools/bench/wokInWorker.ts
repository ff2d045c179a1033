import { derivingMs, STATED } from './deriving'
import { fiveMinutes } from './fiveMinutes'
import { medianMs } from './medianMs'
import { fittedDishes, tableOfTimes } from './roughTimes'

/** What `inWorker` is told by the worker of a browser [ms]. */
export type InWorker = {
  fiveMinutesMs: number
  statedMs: number[]
  freeMs: number[]
  fitted: ReturnType<typeof fittedDishes>
  table: ReturnType<typeof tableOfTimes>
}

const answer: InWorker = {
  fiveMinutesMs: medianMs(() => fiveMinutes('heun', 1)),
  statedMs: derivingMs(STATED).tookMs,
  freeMs: derivingMs({}).tookMs,
  fitted: fittedDishes(),
  table: tableOfTimes(),
}
postMessage(answer)
