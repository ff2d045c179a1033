import type { LoadPlan } from '../../rice/loads'
import type { PrepTask } from './prepTask'

/** The loads of a day's rice and by when they must be cold. */
export type RiceTasksInput = {
  loads: readonly LoadPlan[]
  vesselId: string
  coolS: number | null
  /** The last tray is cold and logged by then. */
  coldByMs: number
  portions: number
}

const WASH_S = 600
const SPREAD_S = 480
/** Rested rice waits in its vessel for a hand, no longer. */
const HOLD_S = 1200
const LOG_S = 60

/** Rice loads as tasks among the others: washed, cooked in their vessel, spread, cooled, all cold before the kitchen closes. */
export function riceTasks({ loads, vesselId, coolS, coldByMs, portions }: RiceTasksInput): PrepTask[] {
  return loads.flatMap((load, i) => {
    const name = `rice ${i + 1}`
    const id = (step: string) => `rice:${i + 1}/${step}`
    const after = (step: string, maxLagS: number | null = null) => [{ taskId: id(step), minLagS: 0, maxLagS }]
    const common = {
      itemId: null,
      isWait: false,
      name,
      massG: load.cookedMassG,
      cut: null,
      hands: 1,
      skill: null,
      equipment: [],
      notBeforeMs: null,
      dueMs: coldByMs,
      portions,
      dishIds: [],
      cautions: [],
      gives: null,
      takes: [],
      pans: null,
    } satisfies Partial<PrepTask>
    const tasks: PrepTask[] = [
      { ...common, id: id('wash'), kind: 'wash', massG: load.dryMassG, durationS: WASH_S, needs: [] },
      {
        ...common,
        id: id('cook'),
        kind: 'cook',
        isWait: true,
        hands: 0,
        equipment: [`vessel:${vesselId}`],
        durationS: load.cookS + load.restS,
        needs: after('wash'),
        cautions: ['steam'],
      },
      {
        ...common,
        id: id('spread'),
        kind: 'spread',
        durationS: SPREAD_S,
        needs: after('cook', HOLD_S),
        cautions: ['steam', 'lift'],
      },
    ]
    if (coolS !== null) {
      tasks.push(
        {
          ...common,
          id: id('cool'),
          kind: 'cool',
          isWait: true,
          hands: 0,
          durationS: Math.ceil(coolS),
          needs: after('spread', 0),
        },
        { ...common, id: id('log'), kind: 'cool', durationS: LOG_S, needs: after('cool') },
      )
    }
    return tasks
  })
}
