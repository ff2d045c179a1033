import { writeMass } from 'core/measure/scaleUnit'
import type { Kitchen } from 'contract/kitchen'
import type { Recipe } from 'contract/recipe'
import { allergenListOf, type AllergenList } from 'core/book/allergens'
import type { Ingredient } from 'core/book/ingredient'
import { recipeYieldG } from 'core/book/recipe/explode'
import { rgb } from 'pdf-lib'
import { newPdf, printable, textWidth } from '../../print/fonts'
import { kitchenDates } from '../../print/kitchenDates'

const POINTS_PER_MM = 72 / 25.4
const SIZE_MM = { width: 60, height: 40 } as const
const MARGIN_MM = 3
const HOUR_MS = 3_600_000
const INK = rgb(0, 0, 0)

/** A label of 60 × 40 mm for a sub-recipe made now: what, how much, made, use by in large, allergens. */
export async function recipeLabel(
  recipe: Recipe,
  asIngredient: Ingredient | null,
  batches: number,
  kitchen: Kitchen,
  madeAtMs: number,
): Promise<Uint8Array> {
  const { pdf, fonts } = await newPdf(`${recipe.name} label`)
  const { dayTime } = kitchenDates(kitchen)
  const page = pdf.addPage([SIZE_MM.width * POINTS_PER_MM, SIZE_MM.height * POINTS_PER_MM])
  const write = (words: string, baselineMm: number, mostMm: number, bold: boolean) => {
    const roomMm = SIZE_MM.width - 2 * MARGIN_MM
    page.drawText(printable(words), {
      x: MARGIN_MM * POINTS_PER_MM,
      y: page.getHeight() - baselineMm * POINTS_PER_MM,
      size: Math.min(mostMm, roomMm / textWidth(words, bold)) * POINTS_PER_MM,
      font: bold ? fonts.bold : fonts.regular,
      color: INK,
    })
  }
  write(recipe.name, 9, 7, true)
  write(
    `${writeMass(recipeYieldG(recipe) * batches, kitchen.weighsIn)} · version ${recipe.version} · ${recipe.keep}`,
    14.5,
    3.6,
    false,
  )
  write(`made ${dayTime(madeAtMs)}`, 19.5, 3.6, false)
  write(`use by ${dayTime(madeAtMs + recipe.shelfLifeH * HOUR_MS)}`, 27, 7, true)
  allergenLines(asIngredient, allergenListOf(kitchen.ruleSet)).forEach((line, row) =>
    write(line, 32.5 + row * 3, 2.8, true),
  )
  return pdf.save()
}

/** Contains, may contain, and what nobody knows: an empty line would read as "free of everything". */
function allergenLines(row: Ingredient | null, list: AllergenList): string[] {
  if (!row) return ['allergens not known: ask']
  const contains = list === 'us' ? row.allergensUs : row.allergens
  return [
    `contains ${contains.join(', ') || 'none on the list'}`,
    ...(row.mayContain.length > 0 ? [`may contain ${row.mayContain.join(', ')}`] : []),
    ...(row.areAllergensKnown ? [] : ['some of it not known: ask']),
  ]
}
