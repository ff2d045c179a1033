import { practicalMeasure, type MeasureTools, type PracticalMeasure } from '../measure/practical'
import type { Component, Role } from './dish'

/** A component of a batch: its mass [g] and how hands measure it. */
export type BatchAmount = { componentId: string; name: string; role: Role; massG: number; measure: PracticalMeasure }

/** Roles in which a wrong pinch is tasted at once. */
const SALTY_ROLES: readonly Role[] = ['drySeasoning', 'liquidSeasoning', 'paste']

const POURED_ROLES: readonly Role[] = ['liquidSeasoning', 'fat', 'egg', 'paste']

/**
 * Mass [g] of a component in a batch of `riceMassG` cooked rice, by its law: its ratio per 100 g of rice; its ratio against
 * the dish's own portion whatever the batch; a film plus its ratio; its ratio up to a cap; or whole pieces, at least one.
 */
export function componentMassG(component: Component, riceMassG: number, portionRiceG: number): number {
  const { ratioG, scaling, filmG = 0, capG = Infinity, count } = component
  const linearG = (ratioG * riceMassG) / 100
  switch (scaling) {
    case 'linear':
      return linearG
    case 'perBatch':
      return (ratioG * portionRiceG) / 100
    case 'film':
      return filmG + linearG
    case 'capped':
      return Math.min(linearG, capG)
    case 'stepwise':
      return count ? Math.max(1, Math.round(linearG / count.massG)) * count.massG : linearG
  }
}

/** What a batch takes of every component: grams and the kitchen's own measure. */
export function batchAmounts(
  components: readonly Component[],
  riceMassG: number,
  portionRiceG: number,
  tools: MeasureTools,
): BatchAmount[] {
  return components.map((component) => {
    const massG = componentMassG(component, riceMassG, portionRiceG)
    return amountOf(component, massG, tools)
  })
}

/** One component's amount with its practical measure. */
export function amountOf(component: Component, massG: number, tools: MeasureTools): BatchAmount {
  const { id, name, role, gPerML, count } = component
  const measure = practicalMeasure(
    {
      massG,
      isSalty: SALTY_ROLES.includes(role),
      isPourable: POURED_ROLES.includes(role),
      ...(gPerML && { gPerML }),
      ...(count && { count }),
    },
    tools,
  )
  return { componentId: id, name, role, massG, measure }
}

/** Total mass [g] of a batch before anything boils off. */
export function totalMassG(amounts: readonly { massG: number }[]): number {
  return amounts.reduce((sum, { massG }) => sum + massG, 0)
}
