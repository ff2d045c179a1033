import type { MiseTask } from '../useKitchenPlan'

export type LaneTask = { task: MiseTask; fromMs: number; toMs: number; top: number; bottom: number }
type Lane = { id: string; kind: 'waits' | 'person'; top: number; bottom: number }
type PlanLanes = { lanes: Lane[]; tasks: LaneTask[]; heightPx: number }

const WAIT_ROW_PX = 22
const MAX_WAIT_ROWS = 4
const LANE_PX = 78
const BAR_PX = 54
const GAP_PX = 10

/** A lane a person, and above them one for what goes on without hands, with as many rows as run at once. */
export function planLanes(tasks: readonly MiseTask[], people: readonly string[], topPx: number): PlanLanes {
  const placed = tasks.filter((task) => task.at !== null)
  const waits = packed(placed.filter((task) => task.hands === 0))
  const rows = Math.min(MAX_WAIT_ROWS, Math.max(1, ...waits.map((one) => one.row + 1)))
  const waitBottom = topPx + rows * WAIT_ROW_PX + GAP_PX
  const lanes: Lane[] = [
    { id: 'waits', kind: 'waits', top: topPx, bottom: waitBottom },
    ...people.map((id, i): Lane => ({
      id,
      kind: 'person',
      top: waitBottom + i * LANE_PX,
      bottom: waitBottom + (i + 1) * LANE_PX,
    })),
  ]
  const shown: LaneTask[] = waits.map(({ task, row }) => {
    const top = topPx + (row % MAX_WAIT_ROWS) * WAIT_ROW_PX
    return { ...spanOf(task), top, bottom: top + WAIT_ROW_PX - 4 }
  })
  for (const task of placed.filter((one) => one.hands > 0)) {
    const who = task.status === 'open' ? (task.at?.who ?? []) : task.who
    const mine = lanes.filter((lane) => who.includes(lane.id))
    const [first] = mine
    const last = mine.at(-1)
    if (!first || !last) continue
    const inset = (LANE_PX - BAR_PX) / 2
    shown.push({ ...spanOf(task), top: first.top + inset, bottom: last.bottom - inset })
  }
  return { lanes, tasks: shown, heightPx: waitBottom + people.length * LANE_PX - topPx }
}

const spanOf = (task: MiseTask) => ({ task, fromMs: task.at!.startMs, toMs: task.at!.endMs })

/** Waits side by side: each in the first row that is free. */
function packed(tasks: readonly MiseTask[]): { task: MiseTask; row: number }[] {
  const freeFrom: number[] = []
  return [...tasks]
    .sort((a, b) => a.at!.startMs - b.at!.startMs)
    .map((task) => {
      const found = freeFrom.findIndex((ms) => ms <= task.at!.startMs)
      const row = found < 0 ? freeFrom.length : found
      freeFrom[row] = task.at!.endMs
      return { task, row }
    })
}
