import type { Food } from '../../book/food'
import type { StepKind } from './cards'

/** What can hurt somebody in a task. */
export const CAUTIONS = ['raw', 'shellfish', 'slicer', 'hotOil', 'steam', 'chilli', 'thaw', 'nuts', 'lift'] as const
export type PrepCaution = (typeof CAUTIONS)[number]

const RAW_FOODS: readonly Food[] = ['poultry', 'meat', 'mince', 'seafood', 'egg']
const STEAMY: readonly StepKind[] = ['blanch', 'steam', 'simmer', 'cook']
const LIFT_G = 12_000

/** What may hurt someone at a step: told there, and the local code decides. */
export function cautionsOf(task: {
  kind: StepKind
  food: Food
  isRaw: boolean
  hasChilli: boolean
  cutSizeMm: number | null
  massG: number
}): PrepCaution[] {
  const { kind, food, isRaw, hasChilli, cutSizeMm, massG } = task
  const cautions: PrepCaution[] = []
  if (isRaw && RAW_FOODS.includes(food) && kind !== 'cool') cautions.push('raw')
  if (food === 'seafood' && kind === 'pick') cautions.push('shellfish')
  if (kind === 'cut' && cutSizeMm !== null && cutSizeMm <= 3) cautions.push('slicer')
  if (kind === 'toast') cautions.push('hotOil')
  if (STEAMY.includes(kind)) cautions.push('steam')
  if (hasChilli && ['cut', 'pound', 'mix', 'toast', 'simmer'].includes(kind)) cautions.push('chilli')
  if (kind === 'thaw') cautions.push('thaw')
  if (food === 'nut') cautions.push('nuts')
  if (massG > LIFT_G) cautions.push('lift')
  return cautions
}
