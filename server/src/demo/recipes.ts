import type { RecipeDraft } from 'contract/recipe'
import type { z } from 'zod'

type Draft = z.infer<typeof RecipeDraft>
type Line = [name: string, from: string, massG: number, written?: string]

const lines = (...all: Line[]): Draft['lines'] =>
  all.map(([name, from, massG, written]) => ({
    id: from.replace('recipe:', ''),
    name,
    massG,
    cut: null,
    ...(from.startsWith('recipe:') ? { recipeId: from.slice('recipe:'.length) } : { ingredientId: from }),
    ...(written !== undefined && { written }),
  }))

/** Sub-recipes of the sample kitchen, made up by us; inner ones first. */
export const DEMO_RECIPES: Draft[] = [
  {
    id: 'house-soy',
    name: 'house soy',
    kind: 'sauce',
    role: 'liquidSeasoning',
    state: 'fresh',
    food: 'seasoning',
    lines: lines(
      ['light soy', 'soy-sauce-light', 900, '900 g light soy sauce'],
      ['sugar', 'sugar-white', 120, '120 g white sugar'],
    ),
    yieldFraction: 1,
    shelfLifeH: 14 * 24,
    keep: 'fridge',
  },
  {
    id: 'duck-sauce',
    name: 'duck sauce',
    kind: 'sauce',
    role: 'liquidSeasoning',
    state: 'fresh',
    food: 'seasoning',
    lines: lines(
      ['house soy', 'recipe:house-soy', 680, '680 g house soy'],
      ['rice wine', 'rice-wine', 400, '400 g rice wine'],
    ),
    yieldFraction: 1,
    shelfLifeH: 5 * 24,
    keep: 'fridge',
  },
  {
    id: 'marinated-chicken',
    name: 'marinated chicken',
    kind: 'marinade',
    role: 'protein',
    state: 'marinated',
    food: 'poultry',
    lines: lines(
      ['chicken thigh', 'chicken-thigh-raw', 2000, '2 kg chicken thighs, diced 8 mm'],
      ['salt', 'salt-fine', 8, '8 g fine salt'],
      ['sugar', 'sugar-white', 26, '26 g white sugar'],
      ['starch', 'starch-maize', 18, '18 g cornflour'],
      ['light soy', 'soy-sauce-light', 20, '20 g light soy sauce'],
      ['rice wine', 'rice-wine', 20, '20 g rice wine'],
      ['oil', 'oil-rapeseed', 30, '30 g rapeseed oil'],
    ),
    yieldFraction: 1,
    shelfLifeH: 24,
    keep: 'fridge',
    baseLineId: 'chicken-thigh-raw',
  },
  {
    id: 'black-bean-paste',
    name: 'black bean paste',
    kind: 'paste',
    role: 'paste',
    state: 'cured',
    food: 'paste',
    lines: lines(
      ['black bean', 'black-bean-fermented', 500, '500 g fermented black beans'],
      ['garlic', 'garlic', 120, '120 g garlic, minced'],
      ['rice wine', 'rice-wine', 100, '100 g rice wine'],
      ['oil', 'oil-rapeseed', 140, '140 g rapeseed oil'],
    ),
    yieldFraction: 0.94,
    shelfLifeH: 10 * 24,
    keep: 'fridge',
  },
  {
    id: 'kimchi-glaze',
    name: 'kimchi glaze',
    kind: 'sauce',
    role: 'liquidSeasoning',
    state: 'fresh',
    food: 'seasoning',
    lines: lines(
      ['house soy', 'recipe:house-soy', 400, '400 g house soy'],
      ['chilli paste', 'chilli-paste-fermented', 150, '150 g fermented chilli paste'],
      ['sesame oil', 'oil-sesame-toasted', 30, '30 g toasted sesame oil'],
    ),
    yieldFraction: 1,
    shelfLifeH: 7 * 24,
    keep: 'fridge',
  },
  {
    id: 'toasted-peanut',
    name: 'toasted peanut',
    kind: 'toasted',
    role: 'finish',
    state: 'cooked',
    food: 'nut',
    lines: lines(['raw peanut', 'peanut-raw', 1000, '1 kg raw peanuts']),
    yieldFraction: 0.955,
    shelfLifeH: 7 * 24,
    keep: 'room',
  },
  {
    id: 'garlic-butter',
    name: 'garlic butter',
    kind: 'butter',
    role: 'finish',
    state: 'fresh',
    food: 'oil',
    lines: lines(
      ['butter', 'butter-unsalted', 280, '280 g unsalted butter'],
      ['garlic', 'garlic', 15, '15 g garlic, minced'],
      ['light soy', 'soy-sauce-light', 25, '25 g light soy sauce'],
    ),
    yieldFraction: 1,
    shelfLifeH: 5 * 24,
    keep: 'fridge',
  },
]
