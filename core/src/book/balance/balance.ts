import { acidByGram } from './acid'
import type { Role } from '../dish'
import type { Allergen, Ingredient, Trait } from '../ingredient'
import type { Colour, Metric } from './style'

/** A component as it is weighed: its ingredient and its mass in the portion [g]. */
export type BalancePart = { id: string; name: string; role: Role; ingredient: Ingredient; massG: number }

/** What a portion holds: masses, fractions of the whole, and the house's scales. */
export type Balance = {
  massG: number
  riceMassG: number
  metrics: Record<Exclude<Metric, RiceMetric>, number> & Record<RiceMetric, number | null>
  colour: Colour
  energyKJ: number
  proteinG: number
  carbohydrateG: number
  sugarsG: number
  fatG: number
  fibreG: number
  saltG: number
  alcoholG: number
  allergens: Allergen[]
  /** Fit for these diets, or carrying what they forbid. */
  traits: Trait[]
}
/** Measured against the rice: unknown where there is none. */
export type RiceMetric = 'freeLiquidFraction' | 'vegetableToRice' | 'proteinToRice' | 'eggToRice'

/** Salt equivalent of sodium. Source: Regulation (EU) 1169/2011, Annex I. */
export const SALT_PER_SODIUM = 2.5
const MG_PER_G = 1000

/** Lime juice at an eighth of the dish is 5 of 5 on the house's scale; chilli the same. House judgement. */
export const SCALE_PER_SHARE = 8
const MAX_SCALE = 5
/** Darkening of the seasoning, per 100 g of rice, from which a dish is tan, brown, deep. House judgement. */
const COLOUR_FROM = { tan: 3, brown: 12, deep: 32 } as const
const COLOURING: readonly Role[] = ['liquidSeasoning', 'drySeasoning', 'paste']

/**
 * Salt, sweetness, fat, free liquid, ratios, colour and nutrition of what goes into a batch, from everything in it. Masses
 * in grams as they enter the wok; `evaporatedG` is what the flame takes, so that fractions are of the finished batch.
 * Free liquid is the water that sauces, wet vegetables and undrained items bring, against the rice; the rice's own is not
 * in it. Order does not matter beyond rounding.
 * Error: that of the composition table (salt of cured and pickled things up to 30 %).
 */
export function balanceOf(parts: readonly BalancePart[], evaporatedG = 0): Balance {
  let sumG = 0
  let riceMassG = 0
  let liquidG = 0
  let vegetableG = 0
  let proteinMassG = 0
  let eggG = 0
  let acid = 0
  let chilli = 0
  let colour = 0
  const total = { energyKJ: 0, proteinG: 0, carbohydrateG: 0, sugarsG: 0, fatG: 0, fibreG: 0, saltG: 0, alcoholG: 0 }
  for (const { role, ingredient, massG } of parts) {
    sumG += massG
    const share = massG / 100
    total.energyKJ += ingredient.energyKJ * share
    total.proteinG += ingredient.proteinG * share
    total.carbohydrateG += ingredient.carbohydrateG * share
    total.sugarsG += ingredient.sugarsG * share
    total.fatG += ingredient.fatG * share
    total.fibreG += ingredient.fibreG * share
    total.alcoholG += ingredient.alcoholG * share
    total.saltG += (ingredient.sodiumMg * SALT_PER_SODIUM * share) / MG_PER_G
    acid += acidByGram(ingredient.acid) * massG
    chilli += ingredient.chilliHeat * massG
    if (COLOURING.includes(role)) colour += ingredient.colourLoad * massG
    if (role === 'rice') riceMassG += massG
    else liquidG += ingredient.freeLiquidFraction * massG
    if (role === 'vegetable') vegetableG += massG
    if (role === 'protein') proteinMassG += massG
    if (role === 'egg') eggG += massG
  }
  const massG = Math.max(0, sumG - evaporatedG)
  const ofMass = (g: number) => (massG > 0 ? g / massG : 0)
  const ofRice = (g: number) => (riceMassG > 0 ? g / riceMassG : null)
  const scale = (load: number) => Math.min(MAX_SCALE, ofMass(load) * SCALE_PER_SHARE)
  return {
    massG,
    riceMassG,
    metrics: {
      saltFraction: ofMass(total.saltG),
      sugarFraction: ofMass(total.sugarsG),
      fatFraction: ofMass(total.fatG),
      freeLiquidFraction: ofRice(liquidG),
      vegetableToRice: ofRice(vegetableG),
      proteinToRice: ofRice(proteinMassG),
      eggToRice: ofRice(eggG),
      acidScale: scale(acid),
      chilliScale: scale(chilli),
    },
    colour: colourOf(((ofRice(colour) ?? ofMass(colour)) || 0) * 100),
    ...total,
    allergens: [...new Set(parts.flatMap((part) => part.ingredient.allergens))].sort(),
    traits: traitsOf(parts),
  }
}

function colourOf(loadPer100G: number): Colour {
  if (loadPer100G >= COLOUR_FROM.deep) return 'deep'
  if (loadPer100G >= COLOUR_FROM.brown) return 'brown'
  return loadPer100G >= COLOUR_FROM.tan ? 'tan' : 'pale'
}

function traitsOf(parts: readonly BalancePart[]): Trait[] {
  const every = (trait: Trait) => parts.length > 0 && parts.every((part) => part.ingredient.diets.includes(trait))
  const some = (trait: Trait) => parts.some((part) => part.ingredient.diets.includes(trait))
  return [...(['vegan', 'vegetarian'] as const).filter(every), ...(['alcohol', 'pork'] as const).filter(some)]
}

const ROLE_BY_WORD: Readonly<Record<string, Role>> = {
  rice: 'rice',
  noodle: 'rice',
  egg: 'egg',
  protein: 'protein',
  vegetable: 'vegetable',
  aromatic: 'aromatic',
  paste: 'paste',
  fat: 'fat',
  finish: 'finish',
  garnish: 'garnish',
  liquid: 'liquidSeasoning',
  'liquid-seasoning': 'liquidSeasoning',
  'dry-seasoning': 'drySeasoning',
}

/** The role that an ingredient has in a dish unless the dish says otherwise. */
export const usualRole = (ingredient: Pick<Ingredient, 'role'>): Role =>
  ROLE_BY_WORD[ingredient.role.split(':')[0] ?? ''] ?? 'vegetable'
