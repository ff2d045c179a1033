import { readFileSync } from 'node:fs'
import { TRAITS, type Allergen, type Ingredient } from 'core/book/ingredient'
import { parse } from 'csv-parse/sync'
import { z } from 'zod'
import { SERVER_FOLDER } from '../../serverFolder'

const ALLERGEN_BY_EU_NAME: Readonly<Record<string, Allergen>> = {
  crustaceans: 'crustacean',
  eggs: 'egg',
  fish: 'fish',
  peanuts: 'peanut',
  soybeans: 'soy',
  milk: 'milk',
  celery: 'celery',
  mustard: 'mustard',
  sesame: 'sesame',
  sulphites: 'sulphite',
  lupin: 'lupin',
  molluscs: 'mollusc',
}

const list = z.string().transform((text) => text.split(';').filter((part) => part !== ''))
const pairs = list.transform((parts) =>
  parts.map((part) => {
    const [name = '', value = ''] = part.split('=')
    return { name, value: z.coerce.number().positive().parse(value) }
  }),
)
const number = z.coerce.number().min(0)

const Row = z
  .object({
    id: z.string().min(1),
    name: z.string().min(1),
    aliases: list,
    role: z.string(),
    state: z.string(),
    waterG: number,
    proteinG: number,
    fatG: number,
    carbohydrateG: number,
    sugarsG: number,
    fibreG: number,
    alcoholG: number,
    sodiumMg: number,
    energyKJ: number,
    acid: number,
    chilliHeat: number,
    colourLoad: number,
    freeLiquidFraction: number,
    ediblePortion: number,
    densities: pairs,
    countSizes: pairs,
    allergensEu: list,
    diets: list.pipe(z.array(z.enum(TRAITS))),
    source: z.string(),
    confidence: z.enum(['high', 'medium', 'low']),
  })
  .transform(({ densities, countSizes, allergensEu, ...row }): Ingredient => ({
    ...row,
    densities: densities.map(({ name, value }) => ({ form: name, gPerML: value })),
    countSizes: countSizes.map(({ name, value }) => ({ size: name, massG: value })),
    allergens: [...new Set(allergensEu.map(allergenCode))],
  }))

function allergenCode(euName: string): Allergen {
  if (euName.startsWith('cereals containing gluten')) return 'gluten'
  if (euName.startsWith('nuts (')) return 'nut'
  const code = ALLERGEN_BY_EU_NAME[euName]
  if (!code) throw new RangeError(`unknown allergen "${euName}" in the ingredient table`)
  return code
}

/** The ingredient table that ships with the project (`server/data/README.md` says where its figures come from). */
export function readIngredients(file: URL = new URL('data/ingredients.csv', SERVER_FOLDER)): Ingredient[] {
  return z.array(Row).parse(parse(readFileSync(file), { columns: true, bom: true }))
}
