import { eveningAgain } from 'core/line/past/eveningAgain'
import { searchedPlan } from 'core/line/plan/search'
import { exposeWork } from '../../device/exposeWork'

/** A plan of the line takes some hundred milliseconds, and must not wait behind scores. */
export const lineWork = { searchedPlan, eveningAgain }
export type LineWork = typeof lineWork

exposeWork(lineWork)
