import type { MeasuredIngredient } from '../measure/ingredient'
import type { Food } from './food'

/** What a diet asks of an ingredient: `vegan` and `vegetarian` are fit for it, `alcohol` and `pork` are in it. */
export const TRAITS = ['vegan', 'vegetarian', 'alcohol', 'pork'] as const
export type Trait = (typeof TRAITS)[number]

/** What 100 g of the edible portion hold. */
export type Composition = {
  waterG: number
  proteinG: number
  fatG: number
  carbohydrateG: number
  sugarsG: number
  fibreG: number
  alcoholG: number
  sodiumMg: number
  energyKJ: number
  /** 0–5, house judgement, as chilli heat and darkening are. */
  acid: number
  chilliHeat: number
  colourLoad: number
  /** Share of the mass that enters the wok as free water [g/g]. */
  freeLiquidFraction: number
}

/**
 * An ingredient in a state. Sources and confidence stand in the row; allergens are codes of `ALLERGENS`, conservative for
 * usual recipes, and say nothing of traces. A dish is free of one only where neither list has it and the lists are known.
 */
export type Ingredient = MeasuredIngredient &
  Composition & {
    id: string
    aliases: readonly string[]
    /** `role` or `role:group`, such as `protein:poultry`. */
    role: string
    state: string
    /** What it is at the wok, where its group does not say it: mince, garlic, ginger; null where the group does. */
    food: Food | null
    /** Of what is bought, so much is eaten [g/g]. */
    ediblePortion: number
    /** By the list of the EU. */
    allergens: readonly Allergen[]
    /** By the list of the US, in the same codes: a pine nut is a nut there, barley is no wheat. */
    allergensUs: readonly Allergen[]
    /** What common kinds hold though the usual recipe does not. */
    mayContain: readonly Allergen[]
    /** Whether somebody said what is in it: an empty list that nobody confirmed says nothing. */
    areAllergensKnown: boolean
    /** Whether it can be eaten as it comes; null where nobody said so. */
    isReadyToEat: boolean | null
    diets: readonly Trait[]
  }

/** The 14 of Regulation (EU) 1169/2011, Annex II; they contain the nine that US law names. */
export const ALLERGENS = [
  'gluten',
  'crustacean',
  'egg',
  'fish',
  'peanut',
  'soy',
  'milk',
  'nut',
  'celery',
  'mustard',
  'sesame',
  'sulphite',
  'lupin',
  'mollusc',
] as const
export type Allergen = (typeof ALLERGENS)[number]
