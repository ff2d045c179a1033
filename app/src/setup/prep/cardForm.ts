import type { CardRow } from 'contract/mise/cards'
import type { PrepCard, Step } from 'contract/mise/house'
import { bulkUnitG, type ScaleUnit } from 'core/measure/scaleUnit'
import type { z } from 'zod'
import { typedUnit } from '../../ui/form/typedUnit'

const MIN_S = 60

/** A step as it is typed, times in minutes. */
export type TypedStep = {
  kind: z.infer<typeof Step>['kind']
  handsOn: string
  perBulk: string
  wait: string
  hands: string
  equipment: string[]
  skill: string
}
/** A step as it was read, times in minutes. */
export type ReadStep = Omit<TypedStep, 'handsOn' | 'perBulk' | 'wait' | 'hands'> & {
  handsOn: number
  perBulk: number
  wait: number
  hands: number
}

export const NEW_STEP: TypedStep = {
  kind: 'cut',
  handsOn: '5',
  perBulk: '0',
  wait: '0',
  hands: '1',
  equipment: [],
  skill: '',
}

const minutes = (s: number) => String(Math.round((s / MIN_S) * 10) / 10)
/** Seconds a kilogram, typed as minutes for each of the large unit. */
const minutesEach = (weighsIn: ScaleUnit) => typedUnit((MIN_S * bulkUnitG('g')) / bulkUnitG(weighsIn))

export const typedSteps = (card: CardRow, weighsIn: ScaleUnit): TypedStep[] =>
  card.steps.map((step) => ({
    kind: step.kind,
    handsOn: minutes(step.handsOnS),
    perBulk: minutesEach(weighsIn).show(step.handsOnSPerKg),
    wait: minutes(step.waitS),
    hands: String(step.hands),
    equipment: [...step.equipment],
    skill: step.skill ?? '',
  }))

/** The card that was typed. A step that was there keeps how long the next may wait for it, while it waits as long. */
export function cardOf(
  card: CardRow,
  { steps, keepH }: { steps: readonly ReadStep[]; keepH: number | null },
  weighsIn: ScaleUnit,
): z.infer<typeof PrepCard> {
  return {
    itemId: card.itemId,
    ...(keepH !== null && { keepH }),
    steps: steps.map(({ kind, handsOn, perBulk, wait, hands, equipment, skill }, i) => {
      const before = card.steps[i]
      const waitS = wait * MIN_S
      const mostWaitS = before?.kind === kind && before.waitS === waitS ? before.mostWaitS : undefined
      return {
        kind,
        handsOnS: handsOn * MIN_S,
        handsOnSPerKg: minutesEach(weighsIn).read(perBulk, before?.handsOnSPerKg),
        waitS,
        hands,
        equipment,
        ...(skill.trim() !== '' && { skill: skill.trim() }),
        ...(mostWaitS !== undefined && { mostWaitS }),
      }
    }),
  }
}
