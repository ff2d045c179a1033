import type { StatedSchools } from '../book/schools'
import type { ComponentInput } from '../wok/sequence/vocabulary'

/** A component in a line: id, role and mass per 100 g of rice. */
export type Line = [id: string, role: ComponentInput['role'], ratioG: number, more?: Partial<ComponentInput>]
export const line = ([id, role, ratioG, more]: Line): ComponentInput => ({ id, role, ratioG, ...more })
export const mm = (sizeMm: number) => ({ cut: { sizeMm } })

export const BASIC: readonly Line[] = [
  ['rice', 'rice', 100],
  ['oil', 'fat', 4],
]
export const EGG: Line = ['egg', 'egg', 15]
export const GARLIC: Line = ['garlic', 'aromatic', 2]
export const SOY: Line = ['soy', 'liquidSeasoning', 3]
export const SALT: Line = ['salt', 'drySeasoning', 0.5]
export const SCALLION: Line = ['scallion', 'finish', 3]

type Orders = readonly (readonly string[])[]
/**
 * A dish and the orders that kitchens work by: common practice. Things in the order in which they go in,
 * `<id` when it comes back; on a griddle aromatics may go in after the rice.
 */
export type WorkingDish = [
  name: string,
  lines: readonly Line[],
  schools: StatedSchools,
  orders: Orders,
  wokOnly?: Orders,
]
