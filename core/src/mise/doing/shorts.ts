import type { ItemUse } from '../need/netNeeds'
import type { DayState, DrawnItem } from './foldDay'

/** What will be there of an item, and what is needed of it [g]. */
export type ItemOutlook = {
  itemId: string
  name: string
  /** What there will be when all is done as it stands now, against what dishes ask [g]. */
  willHaveG: number
  wantedG: number
  shortG: number
  uses: ItemUse[]
}
/** An item of which too little will be there, and what that means. */
export type Short = ItemOutlook & {
  /** Portions that it still makes of those wanted, by dish: shared out in proportion. */
  dishes: { dishId: string; portions: number; ofPortions: number }[]
  portions: number
  ofPortions: number
}

const SLIP_FRACTION = 0.01

/** For each item that dishes take, what there will be once every task is done as it stands, and what that is short of what dishes ask. */
export function outlookOf(drawn: readonly DrawnItem[], day: DayState): ItemOutlook[] {
  const served = drawn.filter((item) => item.isServed)
  return served.map(({ itemId, name, grossG, onHandG, netG, uses }) => {
    const makers = day.tasks.filter((task) => task.gives?.itemId === itemId)
    const came = day.delivered.filter((one) => one.itemId === itemId)
    const isBought = itemId.startsWith('ingredient:')
    const madeG = makers.reduce((sum, task) => sum + (task.doneG ?? task.massG * task.share), 0)
    const broughtG = came.length > 0 || !isBought ? came.reduce((sum, one) => sum + one.massG, 0) : netG
    const willHaveG = onHandG + madeG + broughtG
    return { itemId, name, willHaveG, wantedG: grossG, shortG: Math.max(0, grossG - willHaveG), uses }
  })
}

/** What is short, for how many portions it lasts and of which dishes: what the line must know. */
export function shortsOf(outlook: readonly ItemOutlook[]): Short[] {
  return outlook.flatMap((one) => {
    const dishUses = [...new Map(one.uses.map((use) => [use.dishId, use])).values()]
    const isShort = one.shortG > one.wantedG * SLIP_FRACTION
    if (!isShort || dishUses.length === 0) return []
    const share = one.wantedG > 0 ? one.willHaveG / one.wantedG : 0
    const dishes = dishUses.map(({ dishId, portions }) => ({
      dishId,
      portions: Math.floor(portions * share + 1e-9),
      ofPortions: portions,
    }))
    const sum = (pick: (dish: (typeof dishes)[number]) => number) =>
      dishes.reduce((total, dish) => total + pick(dish), 0)
    return [{ ...one, dishes, portions: sum((dish) => dish.portions), ofPortions: sum((dish) => dish.ofPortions) }]
  })
}
