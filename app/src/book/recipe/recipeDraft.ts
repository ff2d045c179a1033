import { cutWords } from '../dish/cutWords'
import { Recipe, type RecipeDraft } from 'contract/recipe'
import { z } from 'zod'
import { slugOf } from 'core/book/resolve'
import { readCut } from 'core/book/resolve'
import { blankLine, gramsText, type DraftLine } from '../draft/draft'
import type { ReadLine } from '../draft/readLines'

export type RecipeHead = Pick<Recipe, 'name' | 'kind' | 'keep' | 'role' | 'state' | 'food'> & {
  shelfLifeH: string
  yieldPercent: string
  gPerML: string
  baseLineKey: string | null
}

/** A recipe's head as it is typed: what the contract asks of it, said beside its field. */
export const recipeHeadForm = (fault: (field: 'name' | 'shelfLifeH' | 'yieldPercent' | 'gPerML') => string) =>
  z.object({
    name: z.string().trim().min(1, fault('name')).max(120),
    kind: Recipe.shape.kind,
    keep: Recipe.shape.keep,
    role: Recipe.shape.role,
    state: Recipe.shape.state,
    food: Recipe.shape.food,
    shelfLifeH: numberText(Recipe.shape.shelfLifeH, fault('shelfLifeH')),
    yieldPercent: numberText(Recipe.shape.yieldFraction, fault('yieldPercent'), 100),
    gPerML: z.literal('').or(numberText(z.number().min(0.03).max(3), fault('gPerML'))),
    baseLineKey: z.string().nullable(),
  })

const number = (text: string) => (text.trim() === '' ? Number.NaN : Number(text.replace(',', '.')))
const numberText = (schema: z.ZodType<number>, fault: string, factor = 1) =>
  z.string().refine((text) => schema.safeParse(number(text) / factor).success, fault)

export const blankRecipeHead: RecipeHead = {
  name: '',
  kind: 'sauce',
  keep: 'fridge',
  role: 'liquidSeasoning',
  state: 'fresh',
  food: 'seasoning',
  shelfLifeH: '72',
  yieldPercent: '100',
  gPerML: '',
  baseLineKey: null,
}

export function recipeHeadOf(recipe: Recipe, lines: readonly DraftLine[]): RecipeHead {
  const { name, kind, keep, role, state, food, shelfLifeH, yieldFraction, gPerML, baseLineId } = recipe
  return {
    name,
    kind,
    keep,
    role,
    state,
    food,
    shelfLifeH: String(shelfLifeH),
    yieldPercent: String(Number((yieldFraction * 100).toFixed(2))),
    gPerML: gPerML === undefined ? '' : String(gPerML),
    baseLineKey: lines.find((line) => line.componentId === baseLineId)?.key ?? null,
  }
}

export const recipeLines = (recipe: Recipe, newKey: () => string): DraftLine[] =>
  recipe.lines.map((line): DraftLine => ({
    ...blankLine(newKey()),
    written: gramsText(line.massG),
    name: line.name,
    cut: cutWords(line.cut),
    ingredientId: line.ingredientId ?? null,
    recipeId: line.recipeId ?? null,
    componentId: line.id,
  }))

const FOOD_BY_ROLE: Readonly<Partial<Record<Recipe['role'], Recipe['food']>>> = {
  paste: 'paste',
  protein: 'poultry',
  finish: 'nut',
  fat: 'oil',
  aromatic: 'allium',
  vegetable: 'readyVeg',
  liquidSeasoning: 'seasoning',
  drySeasoning: 'seasoning',
}

/** The sub-recipe that head and lines say; lines that no ingredient stands behind are left out. */
export function recipeOf(
  head: RecipeHead,
  lines: readonly DraftLine[],
  read: (line: DraftLine) => ReadLine,
  id: string | null,
): z.infer<typeof RecipeDraft> {
  const taken = new Set<string>()
  const idOf = (line: DraftLine) => {
    let wanted = line.componentId ?? slugOf(line.name)
    for (let n = 2; taken.has(wanted); n += 1) wanted = `${slugOf(line.name)}-${n}`
    taken.add(wanted)
    return wanted
  }
  const made = lines.flatMap((line) => {
    const { massG, source, recipeId } = read(line)
    if (massG === null || !(massG > 0) || !source) return []
    return [
      {
        key: line.key,
        line: {
          id: idOf(line),
          name: line.name.trim(),
          massG,
          cut: readCut(line.cut),
          ...(recipeId === null ? { ingredientId: source.id } : { recipeId }),
        },
      },
    ]
  })
  const baseLineId = made.find((one) => one.key === head.baseLineKey)?.line.id
  return {
    id: id ?? slugOf(head.name),
    name: head.name.trim(),
    kind: head.kind,
    role: head.role,
    state: head.state,
    food: id === null ? (FOOD_BY_ROLE[head.role] ?? head.food) : head.food,
    lines: made.map((one) => one.line),
    yieldFraction: number(head.yieldPercent) / 100,
    shelfLifeH: number(head.shelfLifeH),
    keep: head.keep,
    ...(head.gPerML.trim() !== '' && { gPerML: number(head.gPerML) }),
    ...(baseLineId !== undefined && { baseLineId }),
  }
}
