import { retimeRun } from 'core/line/retimeRun'
import { exposeWork } from '../device/exposeWork'

/** The rest of a run is worked out while its cook waits for it: it must not stand behind scores. */
export const liveWork = { retimeRun }
export type LiveWork = typeof liveWork

exposeWork(liveWork)
