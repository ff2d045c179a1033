import type { RunEvent } from '../wok/runEvent'

/** What may be said of a run, without who said it when. */
export type RunWord = RunEvent extends infer T
  ? T extends RunEvent
    ? Omit<T, 'id' | 'runId' | 'deviceId' | 'atMs' | 'counter'>
    : never
  : never

/** Something said of the run `run` by one phone at an instant [ms]. */
export const saidAt = (atMs: number, word: RunWord, id: string): RunEvent => ({
  id,
  runId: 'run',
  deviceId: 'phone',
  atMs,
  counter: 0,
  ...word,
})
