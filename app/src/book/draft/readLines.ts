import type { Component, State } from 'core/book/dish'
import { STATES } from 'core/book/dish'
import type { Ingredient } from 'core/book/ingredient'
import { foodOf, readCut, refreshComponent, slugOf } from 'core/book/resolve'
import { usualRole } from 'core/book/balance/balance'
import { STAGED_ROLES } from 'core/book/stages'
import { lookUp } from 'core/book/lookUp'
import { parseLine } from 'core/book/ingredientLine/parseLine'
import type { Flag } from 'core/book/ingredientLine/flags'
import { weighLine } from 'core/book/ingredientLine/weighLine'
import type { MeasureSystem } from 'core/measure/units'
import type { Shelf } from '../useShelf'
import type { DraftLine } from './draft'

/** A line of a draft as it was understood. */
export type ReadLine = {
  massG: number | null
  via: string
  source: Ingredient | null
  recipeId: string | null
  flags: Flag[]
}

/** Reads lines, each once for as long as it and the shelf stay the same. */
export function lineReader(shelf: Shelf, system: MeasureSystem): (line: DraftLine) => ReadLine {
  const known = new WeakMap<DraftLine, ReadLine>()
  return (line) => {
    const before = known.get(line)
    if (before) return before
    const read = readLine(line, shelf, system)
    known.set(line, read)
    return read
  }
}

function readLine(line: DraftLine, shelf: Shelf, system: MeasureSystem): ReadLine {
  const parsed = parseLine(`${line.written} ${line.name}, ${line.cut}`, system)
  const own = line.recipeId ?? line.ingredientId
  const source =
    own === null
      ? lookUp(shelf.index, line.name.trim() || parsed.ingredient, line.state ?? undefined)
      : shelf.lookup({
          ...(line.recipeId !== null && { recipeId: line.recipeId }),
          ...(line.ingredientId !== null && { ingredientId: line.ingredientId }),
        })
  const isRecipe = source !== null && shelf.asIngredients.has(source.id)
  const input = { ...parsed, kind: 'ingredient' as const, ingredient: line.name.trim() || parsed.ingredient }
  const { massG, via, flags } = weighLine(input, source, system)
  return { massG, via, source, recipeId: isRecipe ? source.id : null, flags }
}

/** Grams of rice in a draft: what every other line is a ratio to. Null where no line says so. */
export function riceMassOf(lines: readonly DraftLine[], read: (line: DraftLine) => ReadLine): number | null {
  const sum = lines.reduce((total, line) => {
    const one = read(line)
    return roleOf(line, one) === 'rice' ? total + (one.massG ?? 0) : total
  }, 0)
  return sum > 0 ? sum : null
}

export const roleOf = (line: DraftLine, read: ReadLine) =>
  line.role ?? (read.source ? usualRole(read.source) : 'vegetable')

const STATE_BY_TABLE: Readonly<Record<string, State>> = {
  pickled: 'cured',
  salted: 'cured',
  smoked: 'cured',
  canned: 'cooked',
  toasted: 'cooked',
  fried: 'cooked',
}

const stateOf = (line: DraftLine, { source }: ReadLine): State =>
  line.state ?? STATES.find((one) => one === source?.state) ?? STATE_BY_TABLE[source?.state ?? ''] ?? 'fresh'

/** The components that the understood lines make, in their order; a line without a mass makes none. */
export function componentsOf(
  lines: readonly DraftLine[],
  read: (line: DraftLine) => ReadLine,
  recipeFood: (recipeId: string) => Component['food'] | undefined,
): Component[] {
  const riceG = riceMassOf(lines, read)
  if (riceG === null) return []
  const taken = new Set(lines.flatMap((line) => (line.componentId === null ? [] : [line.componentId])))
  return lines.flatMap((line): Component[] => {
    const one = read(line)
    if (one.massG === null || !(one.massG > 0) || line.name.trim() === '') return []
    const role = roleOf(line, one)
    const food = (one.recipeId === null ? undefined : recipeFood(one.recipeId)) ?? foodOf(role, one.source)
    const component: Component = {
      id: line.componentId ?? freeId(line.name, taken),
      name: line.name.trim(),
      role,
      state: stateOf(line, one),
      food,
      cut: readCut(line.cut),
      ratioG: ratioOf(line, one.massG, riceG),
      scaling: line.scaling,
      ...(line.scaling === 'film' && { filmG: line.filmG }),
      ...(line.scaling === 'capped' && line.capG > 0 && { capG: line.capG }),
      ...(line.stages.length > 0 && STAGED_ROLES.includes(role) && { stages: line.stages }),
      allergens: [],
      ...(one.recipeId !== null ? { recipeId: one.recipeId } : one.source ? { ingredientId: one.source.id } : {}),
      ...(!/^\d+(\.\d+)? g$/.test(line.written) && { written: line.written }),
    }
    return [one.source ? refreshComponent(component, one.source) : component]
  })
}

/** Six decimals are far finer than any scale; an amount that nobody typed over keeps its ratio to the last digit. */
function ratioOf({ written, keptRatio }: DraftLine, massG: number, riceG: number): number {
  if (keptRatio?.written === written && Math.abs(keptRatio.riceG - riceG) < 1e-6) return keptRatio.ratioG
  return Number(((massG / riceG) * 100).toFixed(6))
}

function freeId(name: string, taken: Set<string>): string {
  const wanted = slugOf(name)
  let id = wanted
  for (let n = 2; taken.has(id); n += 1) id = `${wanted}-${n}`
  taken.add(id)
  return id
}
