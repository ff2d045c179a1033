import { SCHOOLS } from 'core/book/schools'
import { DISH } from 'core/test/kitchen'
import { SOY } from 'core/test/ingredients'
import { KitchenFile, KITCHEN_FORMAT, StyleList, Tasting } from './book'
import { DishDraft, PutDish } from './dish'
import { Ingredient, IngredientInFile, Price, PutIngredient } from './ingredient'
import { PutRecipe, RecipeLine } from './recipe'
import { changed, faultsOf } from './test/boundary'

const UUID = '01900000-0000-7000-8000-000000000001'
const { version: _version, ...DRAFT } = DISH
const RECIPE = {
  id: 'glaze',
  name: 'Glaze',
  kind: 'sauce',
  role: 'liquidSeasoning',
  state: 'fresh',
  food: 'seasoning',
  lines: [{ id: 'soy', name: 'soy', massG: 100, cut: null, ingredientId: 'soy' }],
  yieldFraction: 1,
  shelfLifeH: 72,
  keep: 'fridge',
}

describe('a dish', () => {
  test('as it stands is taken', () => expect(faultsOf(DishDraft, DRAFT)).toEqual([]))

  test.each<[string, string, unknown, string?]>([
    ['no name', 'name', ' '],
    ['a name of two lines', 'name', 'Duck\nrice'],
    ['an id in capitals', 'id', 'Duck'],
    ['no lines', 'components', []],
    ['an amount of nothing', 'components.1.ratioG', 0],
    ['an amount below nothing', 'components.1.ratioG', -3],
    ['a kilogram to a hundred grams of rice', 'components.1.ratioG', 1001],
    ['an allergen nobody knows', 'components.1.allergens', ['dust'], 'components.1.allergens.0'],
    ['a school nobody knows', 'schools.egg', 'poached'],
    ['a price below nothing', 'priceMinor', -1],
    ['a price in half cents', 'priceMinor', 1199.5],
    ['a portion of two kilograms and more', 'portionRiceG', 2001],
    ['a variation a hundred times as much', 'modifiers.2.scales.0.factor', 100],
    ['a version in a draft: the server gives it', 'version', 3, ''],
  ])('%s is refused at its field', (_what, path, value, at = path) => {
    expect(faultsOf(DishDraft, changed(DRAFT, path, value))).toContain(at)
  })

  test('two lines of one id, no rice, and an egg that nobody cooks are each said where they stand', () => {
    const twice = { ...DRAFT, components: [...DRAFT.components, DRAFT.components[1]] }
    expect(faultsOf(DishDraft, twice)).toEqual(['components'])
    const noRice = { ...DRAFT, components: DRAFT.components.filter((one) => one.role !== 'rice') }
    expect(faultsOf(DishDraft, noRice)).toEqual(['components'])
    const rawEgg = { ...DRAFT, schools: { ...DRAFT.schools, egg: 'none' } }
    expect(faultsOf(DishDraft, rawEgg)).toEqual(['schools.egg'])
  })

  test('every school of the engine may be held, in each of its ways, and left to the engine', () => {
    for (const [name, values] of Object.entries(SCHOOLS))
      for (const value of [...values, 'auto'])
        expect(faultsOf(DishDraft, { ...DRAFT, schools: { [name]: value } })).toEqual([])
  })

  test('shares are parts of one whole, and of nothing that has to be cooked through', () => {
    const sharing = (role: string, ...stages: { at: string; share: number }[]) => {
      const [rice, ...others] = DRAFT.components
      const shared = { ...others[0]!, id: 'shared', role, stages }
      return faultsOf(DishDraft, { ...DRAFT, components: [rice, ...others, shared] })
    }
    const at = `components.${DRAFT.components.length}.stages`
    expect(sharing('drySeasoning', { at: 'egg', share: 0.25 }, { at: 'rice', share: 0.75 })).toEqual([])
    expect(sharing('drySeasoning', { at: 'egg', share: 0.5 }, { at: 'rice', share: 0.6 })).toEqual([at])
    expect(sharing('drySeasoning', { at: 'cellar', share: 0.5 })).toEqual([`${at}.0.at`])
    expect(sharing('drySeasoning')).toEqual([at])
    expect(sharing('protein', { at: 'rice', share: 0.5 })).toEqual([at])
    expect(sharing('fat', { at: 'rice', share: 0.5 })).toEqual([at])
  })

  test('saving names the version that the edit began from', () => {
    expect(faultsOf(PutDish, { version: 1, dish: DRAFT })).toEqual([])
    expect(faultsOf(PutDish, { dish: DRAFT })).toEqual(['version'])
  })
})

describe('an ingredient', () => {
  test.each<[string, string, unknown]>([
    ['more water than there is', 'waterG', 101],
    ['salt beyond salt', 'sodiumMg', 50_000],
    ['energy beyond fat', 'energyKJ', 4000],
    ['nothing of it eaten', 'ediblePortion', 0],
    ['lighter than any food', 'densities.0.gPerML', 0.01],
    ['heavier than salt', 'densities.0.gPerML', 4],
    ['a form without a name', 'densities.0.form', ' '],
    ['no source', 'source', ' '],
    ['a class nobody knows', 'food', 'dragon'],
    ['an acid beyond the scale', 'acid', 6],
    ['a role with spaces', 'role', 'my sauce'],
  ])('%s is refused at its field', (_what, path, value) => {
    expect(faultsOf(Ingredient, changed(SOY, path, value))).toContain(path)
  })

  test('a hundred grams hold a hundred grams, with three of slack as tables round', () => {
    const holding = (waterG: number) => ({ ...SOY, waterG, carbohydrateG: 30, proteinG: 8 })
    expect(faultsOf(Ingredient, holding(65))).toEqual([])
    expect(faultsOf(Ingredient, holding(66))).toEqual(['waterG'])
    expect(faultsOf(Ingredient, { ...SOY, waterG: 60, carbohydrateG: 5, sugarsG: 9 })).toEqual(['sugarsG'])
  })

  test('a file from before the class of a food was a field is read: minced meat is mince, minced garlic is not', () => {
    const { food: _food, ...old } = SOY
    const read = (id: string, role: string) => IngredientInFile.parse({ ...old, id, role }).food
    expect(read('pork-mince', 'protein:red-meat')).toBe('mince')
    expect(read('garlic-mince', 'aromatic:allium')).toBeNull()
    expect(read('chicken-thigh', 'protein:poultry')).toBeNull()
    expect(IngredientInFile.parse({ ...SOY, id: 'pork-mince', role: 'protein:red-meat', food: null }).food).toBeNull()
    expect(faultsOf(Ingredient, old)).toEqual(['food'])
  })

  test('prices are whole coins of a pack that weighs something', () => {
    const price = { fromDay: '2026-11-01', packName: 'sack', packG: 10_000, priceMinor: 1800 }
    expect(faultsOf(Price, price)).toEqual([])
    expect(faultsOf(Price, { ...price, packG: 0 })).toEqual(['packG'])
    expect(faultsOf(Price, { ...price, priceMinor: -1 })).toEqual(['priceMinor'])
    expect(faultsOf(Price, { ...price, priceMinor: 0.5 })).toEqual(['priceMinor'])
    expect(faultsOf(Price, { ...price, fromDay: '2026-02-30' })).toEqual(['fromDay'])
    expect(faultsOf(PutIngredient, { version: -1, ingredient: SOY })).toEqual(['version'])
  })
})

describe('a sub-recipe', () => {
  const put = { version: 0, recipe: RECIPE }
  test('as it stands is taken', () => expect(faultsOf(PutRecipe, put)).toEqual([]))

  test.each<[string, string, unknown]>([
    ['no lines', 'recipe.lines', []],
    ['a line without mass', 'recipe.lines.0.massG', 0],
    ['nothing left over', 'recipe.yieldFraction', 0],
    ['kept for two years', 'recipe.shelfLifeH', 17_520],
    ['kept in a drawer', 'recipe.keep', 'drawer'],
    ['as light as air', 'recipe.gPerML', 0.001],
  ])('%s is refused at its field', (_what, path, value) => {
    expect(faultsOf(PutRecipe, changed(put, path, value))).toEqual([path])
  })

  test('a line is an ingredient or a sub-recipe: one of them, and not both', () => {
    const line = { id: 'x', name: 'x', massG: 1, cut: null }
    expect(RecipeLine.safeParse(line).success).toBe(false)
    expect(RecipeLine.safeParse({ ...line, ingredientId: 'soy', recipeId: 'glaze' }).success).toBe(false)
    expect(RecipeLine.safeParse({ ...line, recipeId: 'glaze' }).success).toBe(true)
  })
})

test('a style’s lower end lies below its upper end, and it has a colour', () => {
  const style = { id: 'curry', name: 'Curry', bands: {}, colours: ['amber'] }
  const metrics = faultsOf(StyleList, { version: 0, styles: [{ ...style, colours: [] }] })
  expect(metrics).toContain('styles.0.colours')
  const upside = { ...style, bands: { saltFraction: { least: 0.02, most: 0.01 } } }
  expect(faultsOf(StyleList, { version: 0, styles: [upside] })).toContain('styles.0.bands.saltFraction')
})

test('a tasting is said once, of a version, in words that are known', () => {
  const tasting = {
    id: UUID,
    dishId: 'duck',
    dishVersion: 2,
    verdict: 'bland',
    strength: 'weak',
    atMs: 1_764_100_000_000,
    added: [],
  }
  expect(faultsOf(Tasting, tasting)).toEqual([])
  expect(faultsOf(Tasting, { ...tasting, verdict: 'meh' })).toEqual(['verdict'])
  expect(faultsOf(Tasting, { ...tasting, dishVersion: 0 })).toEqual(['dishVersion'])
  expect(faultsOf(Tasting, { ...tasting, added: [{ id: 'salt', name: 'salt', massG: 0 }] })).toEqual(['added.0.massG'])
})

test('a kitchen file says what it is', () => {
  const file = { format: KITCHEN_FORMAT, dishes: [DRAFT], recipes: [RECIPE], ingredients: [], prices: [], styles: [] }
  expect(faultsOf(KitchenFile, file)).toEqual([])
  expect(KitchenFile.safeParse({ ...file, format: 'kitchen' }).error?.issues[0]?.message).toContain(KITCHEN_FORMAT)
  expect(faultsOf(KitchenFile, changed(file, 'recipes', undefined))).toEqual(['recipes'])
})
