import { readFileSync } from 'node:fs'
import { TRAITS, type Allergen, type Ingredient } from 'core/book/ingredient'
import { FOODS } from 'core/book/food'
import { parse } from 'csv-parse/sync'
import { z } from 'zod'
import { SERVER_FOLDER } from '../../serverFolder'

/** Codes by the names of Regulation (EU) 1169/2011, Annex II, and of US law; nuts and cereals are named one by one. */
const ALLERGEN_BY_NAME: Readonly<Record<string, Allergen>> = {
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
  egg: 'egg',
  'crustacean shellfish': 'crustacean',
  peanut: 'peanut',
  wheat: 'gluten',
  soy: 'soy',
}

const list = z.string().transform((text) => text.split(';').filter((part) => part !== ''))
const pairs = list.transform((parts) =>
  parts.map((part) => {
    const [name = '', value = ''] = part.split('=')
    return { name, value: z.coerce.number().positive().parse(value) }
  }),
)
const number = z.coerce.number().min(0)

function allergenCode(name: string): Allergen {
  if (name.startsWith('cereals containing gluten')) return 'gluten'
  if (name.startsWith('nuts (') || name.startsWith('tree nuts (')) return 'nut'
  const code = ALLERGEN_BY_NAME[name]
  if (!code) throw new RangeError(`unknown allergen "${name}" in the ingredient table`)
  return code
}

const codes = list.transform((names) => [...new Set(names.map(allergenCode))])

const Row = z
  .object({
    id: z.string().min(1),
    name: z.string().min(1),
    aliases: list,
    role: z.string(),
    state: z.string(),
    food: z
      .enum(FOODS)
      .nullable()
      .or(z.literal('').transform(() => null)),
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
    allergensEu: codes,
    allergensUs: codes,
    mayContainEu: codes,
    readyToEat: z.enum(['yes', 'no']),
    diets: list.pipe(z.array(z.enum(TRAITS))),
    source: z.string(),
    confidence: z.enum(['high', 'medium', 'low']),
  })
  .transform(({ densities, countSizes, allergensEu, mayContainEu, readyToEat, ...row }): Ingredient => ({
    ...row,
    densities: densities.map(({ name, value }) => ({ form: name, gPerML: value })),
    countSizes: countSizes.map(({ name, value }) => ({ size: name, massG: value })),
    allergens: allergensEu,
    mayContain: mayContainEu.filter((one) => !allergensEu.includes(one)),
    areAllergensKnown: true,
    isReadyToEat: readyToEat === 'yes',
  }))

/** The ingredient table that ships with the project (`server/data/README.md` says where its figures come from). */
export function readIngredients(file: URL = new URL('data/ingredients.csv', SERVER_FOLDER)): Ingredient[] {
  return z.array(Row).parse(parse(readFileSync(file), { columns: true, bom: true }))
}
