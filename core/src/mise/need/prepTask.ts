import type { Cut } from '../../book/dish'
import type { PrepCaution } from './cautions'
import type { StepKind } from './cards'
import type { PanChoice } from './vessels'

/** A task that must be done before, and how long after it may begin [s]. */
export type TaskNeed = { taskId: string; minLagS: number; maxLagS: number | null }

/** One thing to do, as the plan was drawn: what somebody does with hands, or what goes on without. Instants in ms. */
export type PrepTask = {
  id: string
  /** The item it makes or gets on with; null for the rails and for rice. */
  itemId: string | null
  kind: StepKind
  /** The same step goes on without hands. */
  isWait: boolean
  name: string
  /** What comes out of it, or is in hand [g]; 0 where nothing is weighed. */
  massG: number
  cut: Cut | null
  durationS: number
  hands: number
  skill: string | null
  equipment: readonly string[]
  needs: readonly TaskNeed[]
  notBeforeMs: number | null
  dueMs: number | null
  /** Portions of tonight that cannot be served without it, and of which dishes. */
  portions: number
  dishIds: readonly string[]
  cautions: readonly PrepCaution[]
  /** What stands in the kitchen when it is done: a lot with so long to live. */
  gives: { itemId: string; massG: number; keepS: number } | null
  takes: readonly { itemId: string; massG: number }[]
  pans: PanChoice | null
}
