import type { CardRow } from 'contract/mise/cards'
import type { PrepCard, Step } from 'contract/mise/house'
import type { z } from 'zod'

const MIN_S = 60

/** A step as it is typed, times in minutes. */
export type TypedStep = {
  kind: z.infer<typeof Step>['kind']
  handsOn: string
  perKg: string
  wait: string
  hands: string
  equipment: string[]
  skill: string
}
/** A step as it was read, times in minutes. */
export type ReadStep = Omit<TypedStep, 'handsOn' | 'perKg' | 'wait' | 'hands'> & {
  handsOn: number
  perKg: number
  wait: number
  hands: number
}

export const NEW_STEP: TypedStep = {
  kind: 'cut',
  handsOn: '5',
  perKg: '0',
  wait: '0',
  hands: '1',
  equipment: [],
  skill: '',
}

const minutes = (s: number) => String(Math.round((s / MIN_S) * 10) / 10)

export const typedSteps = (card: CardRow): TypedStep[] =>
  card.steps.map((step) => ({
    kind: step.kind,
    handsOn: minutes(step.handsOnS),
    perKg: minutes(step.handsOnSPerKg),
    wait: minutes(step.waitS),
    hands: String(step.hands),
    equipment: [...step.equipment],
    skill: step.skill ?? '',
  }))

/** The card that was typed. A step that was there keeps how long the next may wait for it, while it waits as long. */
export function cardOf(card: CardRow, steps: readonly ReadStep[], keepH: number | null): z.infer<typeof PrepCard> {
  return {
    itemId: card.itemId,
    ...(keepH !== null && { keepH }),
    steps: steps.map(({ kind, handsOn, perKg, wait, hands, equipment, skill }, i) => {
      const before = card.steps[i]
      const waitS = wait * MIN_S
      const mostWaitS = before?.kind === kind && before.waitS === waitS ? before.mostWaitS : undefined
      return {
        kind,
        handsOnS: handsOn * MIN_S,
        handsOnSPerKg: perKg * MIN_S,
        waitS,
        hands,
        equipment,
        ...(skill.trim() !== '' && { skill: skill.trim() }),
        ...(mostWaitS !== undefined && { mostWaitS }),
      }
    }),
  }
}
