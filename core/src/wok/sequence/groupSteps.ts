import type { BatchGroup } from '../../book/batchComponents'
import { amountOf } from '../../book/scale'
import type { MeasureTools } from '../../measure/practical'
import type { Step } from '../score'

/** Hands only, off the flame [s]: common practice. */
const HANDS_S = { takeOut: 6, finish: 10 } as const
type StepWithoutPlace = Omit<Step, 'id' | 'startS'>

/**
 * Who declined something gets none of it: those portions are taken out first, then the rest is finished, then each portion
 * that was taken out gets what it does want.
 */
export function groupSteps(groups: readonly BatchGroup[], tools: MeasureTools): StepWithoutPlace[] {
  const [inVessel, ...others] = groups
  if (!inVessel) return []
  const off = { heat: 'off', cautions: [], check: null, figure: 'house', surface: 'station' } as const
  return [
    ...others.map(({ portions, without }): StepWithoutPlace => ({
      ...off,
      action: 'takeOut',
      durationS: HANDS_S.takeOut,
      handsOnS: HANDS_S.takeOut,
      entries: [],
      cue: 'setApart',
      reason: 'declinedByGuest',
      apart: { portions, without },
    })),
    ...groups
      .filter(({ components }) => components.length > 0)
      .map(({ portions, components }): StepWithoutPlace => ({
        ...off,
        action: 'finishOn',
        durationS: HANDS_S.finish,
        handsOnS: HANDS_S.finish,
        entries: components.map(({ component, massG }) => ({
          ...amountOf(component, massG, tools),
          motion: component.role === 'garnish' ? 'plate' : 'in',
        })),
        cue: 'tossedThrough',
        reason: 'onlyWhoWantsIt',
        onPortions: portions,
      })),
  ]
}
