import type { Dish } from 'contract/dish'
import { totalMassG } from 'core/book/scale'
import { batchAmounts } from 'core/book/scale'
import { partsOf, type Lookup } from 'core/book/balance/dishBalance'
import { balanceOf } from 'core/book/balance/balance'
import type { MeasureTools } from 'core/measure/practical'
import { writeQuantity } from 'core/measure/writeNumber'
import type { Score } from 'core/wok/score'
import { stepText } from '../print/stepText'

const KJ_PER_KCAL = 4.184

/**
 * A dish as schema.org Recipe in JSON-LD, one portion: amounts in grams with the kitchen's measure beside, nutrition by
 * portion, diets only where every component is known to fit.
 */
export function dishJsonLd(dish: Dish, lookup: Lookup, tools: MeasureTools, score: Score | null) {
  const riceG = dish.portionRiceG
  const amounts = batchAmounts(dish.components, riceG, riceG, tools)
  const { parts, unknown } = partsOf(dish.components, riceG, riceG, lookup)
  const balance = balanceOf(parts)
  const grams = (value: number) => `${Number(value.toFixed(1))} g`
  const isKnown = unknown.length === 0
  const diets = isKnown ? balance.traits : []
  return {
    '@context': 'https://schema.org',
    '@type': 'Recipe',
    name: dish.name,
    alternateName: dish.shortName,
    identifier: dish.id,
    version: String(dish.version),
    recipeCategory: 'Fried rice',
    cookingMethod: dish.stationKind === 'wok' ? 'Stir-frying in a wok' : 'Frying on a griddle',
    recipeYield: '1 portion',
    ...(dish.style && { keywords: dish.style }),
    ...(score && { cookTime: `PT${Math.round(score.totalS)}S` }),
    recipeIngredient: dish.components.map((component, i) => {
      const { massG, measure } = amounts[i]!
      const cut = component.cut ? [component.cut.shape, component.cut.sizeMm && `${component.cut.sizeMm} mm`] : []
      const hand =
        measure.tool === 'scale' ? [] : [`(${writeQuantity(measure.count, null, measure.name || measure.tool)})`]
      const words = [grams(massG), component.name, ...hand].join(' ')
      return cut.filter(Boolean).length > 0 ? `${words}, ${cut.filter(Boolean).join(' ')}` : words
    }),
    recipeInstructions: (score?.steps ?? []).map((step) => ({
      '@type': 'HowToStep',
      text: stepText(step, dish.stationKind, 'g'),
    })),
    ...(isKnown && {
      nutrition: {
        '@type': 'NutritionInformation',
        servingSize: `${Math.round(totalMassG(amounts))} g`,
        calories: `${Math.round(balance.energyKJ / KJ_PER_KCAL)} kcal`,
        proteinContent: grams(balance.proteinG),
        fatContent: grams(balance.fatG),
        carbohydrateContent: grams(balance.carbohydrateG),
        sugarContent: grams(balance.sugarsG),
        fiberContent: grams(balance.fibreG),
        sodiumContent: `${Math.round((balance.saltG / 2.5) * 1000)} mg`,
      },
    }),
    suitableForDiet: [
      ...(diets.includes('vegan') ? ['https://schema.org/VeganDiet'] : []),
      ...(diets.includes('vegetarian') ? ['https://schema.org/VegetarianDiet'] : []),
    ],
  }
}
