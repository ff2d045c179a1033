/** What a component is at the wok: the class that decides its heat, its seconds and its safety check. */
export const FOODS = [
  'rice',
  'egg',
  'garlic',
  'ginger',
  'allium',
  'herb',
  'paste',
  'hardVeg',
  'stem',
  'crispVeg',
  'leafy',
  'readyVeg',
  'mushroom',
  'seafood',
  'poultry',
  'meat',
  'mince',
  'tofu',
  'nut',
  'oil',
  'sesameOil',
  'seasoning',
] as const
export type Food = (typeof FOODS)[number]

const MEATS = /^protein:(poultry|red-meat|offal|fish|shellfish)$/

/** What a row from before its class was a field says by its id: meat that is minced; null for everything else. */
export const foodSaidById = ({ id, role }: { id: string; role: string }): Food | null =>
  MEATS.test(role) && id.split('-').includes('mince') ? 'mince' : null
