import type { Component } from '../../book/dish'
import { isRawEgg, isRawProtein } from '../../book/rawFood'
import type { EggWish } from '../../book/eggWish'
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
  eggWish: EggWish | null = null,
): DishInput {
  return {
    name: dish.name,
    schools: schoolsFor(dish.schools, eggWish),
    eggWish,
    pins: pinsAmong(dish.pins ?? [], new Set(components.map(({ id }) => id))),
    components: components.map((one) => componentFromBook(one, riceMassG, dish.portionRiceG, eggWish)),
  }
}

/** An egg well done is broken up until it is dry; a runny one is fried beside the rice and goes on top. */
function schoolsFor(schools: StatedSchools, eggWish: EggWish | null): StatedSchools {
  switch (eggWish) {
    case null:
      return schools
    case 'wellDone':
      return { ...schools, eggBreak: 'crumbled' }
    case 'runny':
      return { ...schools, egg: 'onTop' }
  }
}
/** Share of an egg that is set when a guest wants no wet spot in it. [C] */
const WELL_DONE = 0.98

function componentFromBook(
  one: Component,
  riceMassG: number,
  portionRiceG: number,
  eggWish: EggWish | null,
): ComponentInput {
  const tags = tagsOf(one)
  const smokesAtC = SMOKES_AT_C[one.ingredientId ?? '']
  return {
    id: one.id,
    role: one.role,
    state: one.state,
    food: heatFoodOf(one),
    ...(one.cut && { cut: { shape: one.cut.shape, sizeMm: one.cut.sizeMm } }),
    ratioG: (100 * componentMassG(one, riceMassG, portionRiceG)) / riceMassG,
    ...(tags.length > 0 && { tags }),
    ...(one.role === 'egg' && eggWish === 'wellDone' && { target: { kind: 'set' as const, value: WELL_DONE } }),
    ...(one.stages && { stages: one.stages }),
    ...(one.composition && { composition: one.composition }),
    ...(one.fatFraction !== undefined && { fatFraction: one.fatFraction }),
    ...(smokesAtC !== undefined && { smokesAtC }),
    allergens: one.allergens,
    ...(one.isRaw === false && { readyToEat: true }),
    ...((isRawProtein(one) || isRawEgg(one)) && { mustCook: true }),
  }
}

/** Cured meat heats as such; everything else is the class that the book has. */
const heatFoodOf = ({ food, state }: Component): HeatFood =>
  state === 'cured' && (food === 'meat' || food === 'mince') ? 'cured' : food

/** Smoke points of the table's fats [°C], as they are usually sold: from memory. */
const SMOKES_AT_C: Readonly<Record<string, number>> = {
  'oil-rapeseed': 220,
  'oil-peanut': 230,
  'oil-soy': 230,
  'oil-sunflower': 227,
  'oil-rice-bran': 232,
  lard: 190,
  'fat-chicken': 190,
  ghee: 250,
}

/** A yolk is known by its row; sesame oil by its class. */
function tagsOf({ food, ingredientId = '' }: Component): Tag[] {
  const tags: Tag[] = []
  if (food === 'sesameOil') tags.push('sesame')
  if (ingredientId === 'egg-yolk') tags.push('yolk')
  return tags
}
