import type { Component } from '../../book/dish'
import { isRawEgg, isRawProtein } from '../../book/rawFood'
import { pinsAmong, type Pin } from '../../book/pins'
import { componentMassG } from '../../book/scale'
import type { HeatFood } from '../heat/foods'
import type { ComponentInput, DishInput, Tag } from './vocabulary'
import type { StatedSchools } from '../../book/schools'

/** What the book has of a dish, as the engine asks for it. Amounts follow the batch: a film of oil is no fixed share of the rice. */
export function dishFromBook(
  dish: { name: string; schools: StatedSchools; portionRiceG: number; pins?: readonly Pin[] },
  components: readonly Component[],
  riceMassG: number,
): DishInput {
  return {
    name: dish.name,
    schools: dish.schools,
    pins: pinsAmong(dish.pins ?? [], new Set(components.map(({ id }) => id))),
    components: components.map((one) => componentFromBook(one, riceMassG, dish.portionRiceG)),
  }
}

function componentFromBook(one: Component, riceMassG: number, portionRiceG: number): ComponentInput {
  const tags = tagsOf(one)
  return {
    id: one.id,
    role: one.role,
    state: one.state,
    food: heatFoodOf(one),
    ...(one.cut && { cut: { shape: one.cut.shape, sizeMm: one.cut.sizeMm } }),
    ratioG: (100 * componentMassG(one, riceMassG, portionRiceG)) / riceMassG,
    ...(tags.length > 0 && { tags }),
    allergens: one.allergens,
    ...(one.isRaw === false && { readyToEat: true }),
    ...((isRawProtein(one) || isRawEgg(one)) && { mustCook: true }),
  }
}

/** Cured meat heats as such; everything else is the class that the book has. */
const heatFoodOf = ({ food, state }: Component): HeatFood =>
  state === 'cured' && (food === 'meat' || food === 'mince') ? 'cured' : food

/** A yolk is known by its row; sesame oil by its class. */
function tagsOf({ food, ingredientId = '' }: Component): Tag[] {
  const tags: Tag[] = []
  if (food === 'sesameOil') tags.push('sesame')
  if (ingredientId === 'egg-yolk') tags.push('yolk')
  return tags
}
