/** How heavy a millilitre is in one form. */
export type Density = { form: string; gPerML: number }
/** What one piece of a size weighs [g]. */
export type CountSize = { size: string; massG: number }
/** How sure a figure of the table is. */
export type Confidence = 'high' | 'medium' | 'low'

/** What `measure` needs to know of an ingredient. Densities and counts are of the edible portion, in the stated form. */
export type MeasuredIngredient = {
  name: string
  densities: readonly Density[]
  countSizes: readonly CountSize[]
  source: string
  confidence: Confidence
}

/** Words that say the same of a form: minced and mince, chopped and chop, florets and floret. */
const stemOf = (word: string): string => word.replace(/(?<=[aeiouy].*)(ed|es|e|s)$/, '').replace(/(.)\1$/, '$1')
const stemsOf = (text: string): string[] => (text.toLowerCase().match(/\p{L}+/gu) ?? []).map(stemOf)

/** The density of the form that the words name ("minced", "dice 5 mm", "loosely packed"); null where none was weighed. */
export function densityNamed(ingredient: Pick<MeasuredIngredient, 'densities'>, words: string): Density | null {
  const stems = new Set(stemsOf(words))
  const isNamed = ({ form }: Density) => stems.size > 0 && stemsOf(form).every((stem) => stems.has(stem))
  return ingredient.densities.find(isNamed) ?? null
}

/** The density of the form that the words name, else the first one known; null where none is known (weigh it once). */
export const densityFor = (ingredient: Pick<MeasuredIngredient, 'densities'>, words = ''): Density | null =>
  densityNamed(ingredient, words) ?? ingredient.densities[0] ?? null

/** The density of the very form where one is named, else the first one known; null where that was never weighed. */
export const densityOf = (ingredient: Pick<MeasuredIngredient, 'densities'>, form?: string): Density | null =>
  form === undefined ? densityFor(ingredient) : densityNamed(ingredient, form)
