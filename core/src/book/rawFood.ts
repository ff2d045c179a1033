import type { CheckedFood } from '../safety/limits'
import type { Component } from './dish'
import type { Food } from './food'

const RAW_FOODS: readonly Food[] = ['seafood', 'poultry', 'meat', 'mince']

/**
 * True of meat, poultry and seafood that must be cooked through at this station, whatever it is called and whatever its role:
 * its row of the table says whether it is raw, and what nobody knows is.
 */
export function isRawProtein({ food, role, isRaw }: Component): boolean {
  const isOddEgg = food === 'egg' && role !== 'egg'
  return (RAW_FOODS.includes(food) || isOddEgg) && isRaw !== false
}

/** True of an egg, in its role, that must be cooked at this station. */
export const isRawEgg = ({ role, isRaw }: Component): boolean => role === 'egg' && isRaw !== false

/** Which check a component needs at this station; null where none. */
export function rawFoodOf(component: Component): CheckedFood | null {
  if (isRawEgg(component)) return 'egg'
  if (!isRawProtein(component)) return null
  switch (component.food) {
    case 'egg':
    case 'meat':
    case 'mince':
    case 'seafood':
      return component.food
    default:
      return 'poultry'
  }
}
