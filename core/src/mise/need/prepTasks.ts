import { densityNamed } from '../../measure/ingredient'
import type { Ingredient } from '../../book/ingredient'
import type { Recipe } from '../../book/recipe/recipe'
import type { BookShelf } from '../../book/recipe/explode'
import { cautionsOf } from './cautions'
import { cutKeepsH, stepsOf, type PrepCard, type PrepStep } from './cards'
import type { ItemNeed, Needs } from './netNeeds'
import type { PrepTask, TaskNeed } from './prepTask'
import { LOOSE_G_PER_ML, pansFor } from './vessels'
import { wholeUp } from '../../math/wholeUp'

/** Net needs, the cards, and the service that the tasks are for. */
export type TasksInput = {
  needs: Needs
  shelf: BookShelf
  cards: readonly PrepCard[]
  serviceFromMs: number
  serviceToMs: number
  /** All hands set the rails for so long before the service, with so many people. */
  railsS: number
  railHands: number
}

/** A made thing that cannot live as long as it must: from when it is done to the end of the service. */
export type KeepFault = { itemId: string; name: string; keepS: number; neededS: number }

const H_MS = 3_600_000
const H_S = 3600
const STEP_ROUND_S = 60
/** What was put together stands so long at the most before it soaks, cooks or cools. */
const STAND_S = 900

/**
 * Tasks from net needs: each step of an item's card with hands, then without where it goes on; items that take another item
 * wait for it; the rails last, with all hands. What keeps shorter than until the end of the service is held back to as late
 * as it can be, and where that is after the service began, it is named.
 */
export function prepTasks(input: TasksInput): { tasks: PrepTask[]; keepFaults: KeepFault[] } {
  const { needs, serviceFromMs, serviceToMs, railsS, railHands } = input
  const lastOf = new Map<string, string>()
  const tasks: PrepTask[] = []
  const keepFaults: KeepFault[] = []
  for (const need of needs.items) {
    if (need.netG <= 0) continue
    const own = tasksOfItem(need, input, lastOf)
    const last = own.at(-1)
    if (!last?.gives) continue
    lastOf.set(need.itemId, last.id)
    const neededS = (serviceToMs - serviceFromMs) / 1000 + railsS
    if (last.gives.keepS < neededS && need.uses.length > 0)
      keepFaults.push({ itemId: need.itemId, name: need.name, keepS: last.gives.keepS, neededS })
    tasks.push(...own)
  }
  const asNeed = (taskId: string): TaskNeed => ({ taskId, minLagS: 0, maxLagS: null })
  const waited = new Set(tasks.flatMap((task) => task.needs.map(({ taskId }) => taskId)))
  const ends = tasks.filter((task) => !waited.has(task.id)).map((task) => asNeed(task.id))
  if (railHands > 0 && railsS > 0)
    tasks.push({
      ...BLANK,
      id: 'rails',
      kind: 'rails',
      name: 'rails',
      durationS: railsS,
      hands: railHands,
      needs: ends,
    })
  return { tasks, keepFaults }
}

const BLANK = {
  itemId: null,
  isWait: false,
  massG: 0,
  cut: null,
  skill: null,
  equipment: [],
  notBeforeMs: null,
  dueMs: null,
  portions: 0,
  dishIds: [],
  cautions: [],
  gives: null,
  takes: [],
  pans: null,
} satisfies Partial<PrepTask>

function tasksOfItem(need: ItemNeed, input: TasksInput, lastOf: ReadonlyMap<string, string>): PrepTask[] {
  const recipe = need.ref.kind === 'recipe' ? input.shelf.recipes.get(need.ref.recipeId) : undefined
  const steps = stepsOf(need, input.cards, recipe?.kind ?? null)
  if (steps.length === 0) return []
  const card = input.cards.find((one) => one.itemId === need.itemId)
  const keepS = (card?.keepH ?? recipe?.shelfLifeH ?? cutKeepsH(need.food)) * H_S
  const inners: TaskNeed[] = need.takes.flatMap(({ itemId }) => {
    const taskId = lastOf.get(itemId)
    return taskId === undefined ? [] : [{ taskId, minLagS: 0, maxLagS: null }]
  })
  const tasks = steps.flatMap((step, i) => tasksOfStep(step, i, need, input))
  chain(tasks, steps, inners)
  const last = tasks.at(-1)
  if (!last) return []
  const aliveMs = input.serviceToMs - keepS * 1000 - last.durationS * 1000
  last.gives = { itemId: need.itemId, massG: need.netG, keepS }
  // What cannot live until the end is made as late as the rails allow, and the finding says so.
  last.notBeforeMs = Math.min(aliveMs, input.serviceFromMs - input.railsS * 1000 - last.durationS * 1000 - H_MS)
  const first = tasks[0]!
  first.takes = need.takes
  return tasks
}

function tasksOfStep(step: PrepStep, no: number, need: ItemNeed, input: TasksInput): PrepTask[] {
  const kg = need.netG / 1000
  const handsOnS = roundS(step.handsOnS + step.handsOnSPerKg * kg)
  const rows = rowsIn(need, input.shelf)
  const density = looseDensityOf(need, input.shelf)
  const portions = sum(bestUses(need).map((use) => use.portions))
  const common = {
    ...BLANK,
    itemId: need.itemId,
    kind: step.kind,
    name: need.name,
    massG: need.netG,
    cut: step.kind === 'cut' || step.kind === 'mix' || step.kind === 'pick' ? need.cut : null,
    equipment: [...step.equipment],
    portions,
    dishIds: [...new Set(need.uses.map((use) => use.dishId))],
    cautions: cautionsOf({
      kind: step.kind,
      food: need.food,
      isRaw: need.state === 'raw' || need.state === 'marinated' || rows.some((row) => row.state === 'raw'),
      hasChilli: rows.some((row) => row.chilliHeat >= 2),
      cutSizeMm: need.cut?.sizeMm ?? null,
      massG: need.netG,
    }),
    pans: pansFor(need.netG, density),
  }
  const id = `${need.itemId}/${no + 1}-${step.kind}`
  const tasks: PrepTask[] = []
  if (handsOnS > 0)
    tasks.push({
      ...common,
      id,
      isWait: false,
      durationS: handsOnS,
      hands: step.hands,
      skill: step.skill ?? null,
      needs: [],
    })
  if (step.waitS > 0)
    tasks.push({ ...common, id: `${id}-wait`, isWait: true, durationS: step.waitS, hands: 0, cut: null, needs: [] })
  return tasks
}

/** Each after the one before; the wait of a step at once after its hands, the next step within its most wait. */
function chain(tasks: PrepTask[], steps: readonly PrepStep[], inners: readonly TaskNeed[]): void {
  tasks.forEach((task, i) => {
    const before = tasks[i - 1]
    if (!before) {
      task.needs = inners
      return
    }
    const mostS = task.isWait ? STAND_S : mostWaitBefore(before, steps)
    task.needs = [{ taskId: before.id, minLagS: 0, maxLagS: mostS }]
  })
}

function mostWaitBefore(before: PrepTask, steps: readonly PrepStep[]): number | null {
  const step = steps.find((one) => one.kind === before.kind && one.waitS > 0 === before.isWait)
  return step?.mostWaitS ?? null
}

/** Portions by dish once, however many components of a dish want the item. */
function bestUses(need: ItemNeed) {
  return [...new Map(need.uses.map((use) => [use.dishId, use])).values()]
}

function rowsIn(need: ItemNeed, shelf: BookShelf): Ingredient[] {
  const ids =
    need.ref.kind === 'recipe'
      ? (shelf.recipes.get(need.ref.recipeId)?.lines ?? []).map((line: Recipe['lines'][number]) => line.ingredientId)
      : [need.ref.ingredientId]
  return ids.flatMap((id) => (id === undefined ? [] : (shelf.ingredients.get(id) ?? [])))
}

function looseDensityOf(need: ItemNeed, shelf: BookShelf): number {
  if (need.ref.kind === 'recipe') return shelf.recipes.get(need.ref.recipeId)?.gPerML ?? 1
  const row = shelf.ingredients.get(need.ref.ingredientId)
  const weighed = row && densityNamed(row, need.cut?.shape ?? '')
  return weighed?.gPerML ?? (need.cut?.shape === 'beaten' ? 1.03 : LOOSE_G_PER_ML)
}

const roundS = (s: number) => wholeUp(s / STEP_ROUND_S) * STEP_ROUND_S
const sum = (all: readonly number[]) => all.reduce((total, one) => total + one, 0)
