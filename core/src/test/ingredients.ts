import type { Ingredient } from '../book/ingredient'

/** A made-up row of the ingredient table: water unless something is said. */
export const ingredient = (part: Partial<Ingredient> & Pick<Ingredient, 'id'>): Ingredient => ({
  name: part.id,
  aliases: [],
  role: 'vegetable',
  state: 'fresh',
  food: null,
  waterG: 100,
  proteinG: 0,
  fatG: 0,
  carbohydrateG: 0,
  sugarsG: 0,
  fibreG: 0,
  alcoholG: 0,
  sodiumMg: 0,
  energyKJ: 0,
  acid: 0,
  chilliHeat: 0,
  colourLoad: 0,
  freeLiquidFraction: 0,
  ediblePortion: 1,
  densities: [],
  countSizes: [],
  allergens: [],
  allergensUs: part.allergens ?? [],
  mayContain: [],
  areAllergensKnown: true,
  isReadyToEat: null,
  diets: ['vegan', 'vegetarian'],
  source: 'made up for a test',
  confidence: 'high',
  ...part,
})

export const RICE = ingredient({ id: 'rice', role: 'rice', state: 'cooked', waterG: 62, carbohydrateG: 34 })
export const SOY = ingredient({
  id: 'soy',
  role: 'liquid-seasoning:soy',
  state: 'liquid',
  sodiumMg: 6000,
  freeLiquidFraction: 0.7,
  colourLoad: 3,
  densities: [{ form: 'liquid', gPerML: 1.2 }],
  allergens: ['gluten', 'soy'],
})
export const SALT = ingredient({ id: 'salt', role: 'dry-seasoning:salt', state: 'powder', waterG: 0, sodiumMg: 38_758 })
export const SUGAR = ingredient({
  id: 'sugar',
  role: 'dry-seasoning:sugar',
  state: 'powder',
  waterG: 0,
  carbohydrateG: 100,
  sugarsG: 100,
  densities: [{ form: 'level', gPerML: 0.845 }],
})
export const OIL = ingredient({ id: 'oil', role: 'fat:oil', state: 'liquid', waterG: 0, fatG: 100, energyKJ: 3766 })
export const EGG = ingredient({
  id: 'egg',
  role: 'egg',
  state: 'raw',
  waterG: 76,
  proteinG: 12.6,
  fatG: 9.5,
  sodiumMg: 142,
  countSizes: [{ size: 'us-large', massG: 50 }],
  allergens: ['egg'],
  diets: ['vegetarian'],
})
export const GREENS = ingredient({
  id: 'greens',
  role: 'vegetable:pickle',
  state: 'pickled',
  sodiumMg: 2200,
  freeLiquidFraction: 0.05,
})
export const PORK = ingredient({
  id: 'pork',
  role: 'protein:red-meat',
  state: 'cured',
  isReadyToEat: true,
  proteinG: 20,
  fatG: 20,
  sodiumMg: 1000,
  diets: ['pork'],
})
export const HAM_OF_TOFU = ingredient({
  id: 'smoked-tofu',
  role: 'protein:plant',
  state: 'smoked',
  isReadyToEat: true,
  proteinG: 16,
  fatG: 9,
  sodiumMg: 500,
  allergens: ['soy'],
})
