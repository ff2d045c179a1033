import type { MiseEvent } from 'contract/mise/event'
import { lotNameOf } from 'core/mise/stock/foldStock'
import { kitchenNowMs } from '../../device/clock'
import { sayOfMise, type SaidOfMise } from '../useMise'
import type { MiseTask } from '../useKitchenPlan'
import { waitAfter } from './taskOrder'

type Gave = NonNullable<Extract<MiseEvent, { kind: 'ended' }>['gave']>

/** A second tap so soon is the same tap: it neither begins twice nor ends what was just begun. */
const DOUBLE_TAP_MS = 1500
let lastBegun = { id: '', atMs: 0 }
export const isJustBegun = (taskId: string): boolean =>
  lastBegun.id === taskId && performance.now() - lastBegun.atMs < DOUBLE_TAP_MS

/** Begins a task; whoever holds the phone does it, else who the plan names. */
export function beginTask(task: MiseTask, personId: string | null): string[] {
  if (isJustBegun(task.id)) return []
  lastBegun = { id: task.id, atMs: performance.now() }
  const named = task.at?.who ?? []
  const own = personId === null ? [] : [personId]
  const staffIds = personId !== null && task.hands <= 1 ? own : [...new Set([...named, ...own])]
  return sayOfMise(task.planId, { kind: 'began', taskId: task.id, staffIds })
}

type Finished = { ids: string[]; lot: string | null; useByMs: number | null }

/**
 * Ends a task with what came out: what it gave is a lot with its use-by, what it took leaves the shelf in proportion, and the
 * wait that follows at once has begun.
 */
export function endTask(task: MiseTask, tasks: readonly MiseTask[], massG: number | null): Finished {
  const outG = massG ?? task.massG * task.share
  const share = task.massG > 0 ? outG / task.massG : 1
  const gave: Gave | null = task.gives && {
    itemId: task.gives.itemId,
    massG: outG,
    useByMs: Math.round(kitchenNowMs() + task.gives.keepS * 1000),
    placeId: null,
  }
  const took = task.takes.map((take) => ({ itemId: take.itemId, massG: take.massG * share }))
  const wait = waitAfter(task, tasks)
  const said: SaidOfMise[] = [{ kind: 'ended', taskId: task.id, massG: outG, gave, took }]
  if (wait) said.push({ kind: 'began', taskId: wait.id, staffIds: [] })
  const ids = sayOfMise(task.planId, ...said)
  return { ids, lot: gave ? lotNameOf(ids[0] ?? '') : null, useByMs: gave?.useByMs ?? null }
}
