export type Density = { form: string; gPerML: number }
export type CountSize = { size: string; massG: number }
export type Confidence = 'high' | 'medium' | 'low'

/** What `measure` needs to know of an ingredient. Densities and counts are of the edible portion, in the stated form. */
export type MeasuredIngredient = {
  name: string
  densities: readonly Density[]
  countSizes: readonly CountSize[]
  source: string
  confidence: Confidence
}

/** The density of the form asked for, or the first one known; null where none is known (weigh it once). */
export function densityOf(ingredient: MeasuredIngredient, form?: string): Density | null {
  if (form === undefined) return ingredient.densities[0] ?? null
  return ingredient.densities.find((density) => density.form === form) ?? null
}
