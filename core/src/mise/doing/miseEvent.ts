import type { Stamped } from '../../event/eventOrder'

/** Why something is thrown away. */
export const WASTE_REASONS = ['old', 'spoilt', 'dropped', 'burnt', 'overMade', 'trim', 'warm'] as const
export type WasteReason = (typeof WASTE_REASONS)[number]

/** What came out of a task, and where it stands. */
export type Gave = { itemId: string; massG: number; useByMs: number; placeId: string | null }
/** What a task used up [g]. */
export type Took = { itemId: string; massG: number }

type Base = Stamped & { day: string; deviceId: string }

/**
 * What is said of a day's mise. Nothing is edited: `undone` names the event it takes back.
 * - `ended` with less than was planned is done short; what it gave is a lot named after the event, what it took leaves the shelf;
 * - `split` cuts what is left of a task in two, for two people; `handed` to nobody gives it back to the plan;
 * - `slow`: it takes so much longer than planned;
 * - `counted` is all that was found of an item in the house; `lotId` where one lot alone was counted;
 * - `settled` says which of two counts that disagree is right, whichever was said later;
 * - `dropped` takes a dish off tonight's menu.
 */
export type MiseEvent = Base &
  (
    | { kind: 'began'; taskId: string; staffIds: string[] }
    | { kind: 'ended'; taskId: string; massG: number | null; gave: Gave | null; took: Took[] }
    | { kind: 'handed'; taskId: string; staffId: string | null }
    | { kind: 'split'; taskId: string }
    | { kind: 'slow'; taskId: string; moreS: number }
    | { kind: 'away'; staffId: string; fromMs: number; toMs: number }
    | { kind: 'down'; equipmentId: string; count: number; fromMs: number; toMs: number }
    | { kind: 'delivered'; itemId: string; orderedG: number | null; massG: number; useByMs: number | null }
    | { kind: 'dropped'; dishId: string }
    | { kind: 'checked'; checkId: string }
    | { kind: 'counted'; itemId: string; placeId: string | null; massG: number; expectedG: number | null }
    | { kind: 'settled'; itemId: string; keptId: string; otherId: string }
    | { kind: 'wasted'; itemId: string; lotId: string | null; massG: number; reason: WasteReason }
    | { kind: 'undone'; eventId: string }
  )
