import { BookAllergensInput, BookAllergensOutput } from 'contract/allergenModel'
import { dishVerdict, type AllergenList, type AllergenVerdict } from 'core/book/allergens'
import type { Component } from 'core/book/dish'
import type { Allergen, Ingredient } from 'core/book/ingredient'
import { indexIngredients, lookUp } from 'core/book/lookUp'
import { refreshComponent } from 'core/book/resolve'
import { parseLine } from 'core/book/ingredientLine/parseLine'
import { readIngredients } from '../server/src/book/ingredient/table.csv'
import { DEMO_KITCHEN } from '../server/src/demo/kitchen'
import type { Answer, Model } from './model'

type Named = { name: string; row: Ingredient | null }
type NamedInput = string | { ingredient: string }

function openShelf() {
  const table = readIngredients()
  return { table, index: indexIngredients(table) }
}
let shelf: ReturnType<typeof openShelf> | null = null

/** Which list a system of measures stands for: US kitchens go by the nine of US law besides the EU's. */
const listOf = (system: string): AllergenList => (system.startsWith('us') ? 'us' : 'eu')
const nameOf = (one: NamedInput) => (typeof one === 'string' ? one : one.ingredient)

function run(raw: unknown): Answer {
  const input = BookAllergensInput.parse(raw)
  const system = input.system ?? DEMO_KITCHEN.tools.system
  const { table, index } = (shelf ??= openShelf())
  const named = (name: string): Named => ({
    name,
    row: table.find((one) => one.id === name) ?? lookUp(index, name),
  })
  const lines = typeof input.lines === 'string' ? input.lines.split(/\r\n|[\r\n]/) : (input.lines ?? [])
  let parts = [
    ...lines
      .map((text) => ({ text, line: parseLine(text, system) }))
      .filter(({ line }) => line.kind === 'ingredient')
      .map(({ text, line }) => (line.ingredient === '' ? { name: text, row: null } : named(line.ingredient))),
    ...(input.components ?? []).map((one) => named(nameOf(one))),
  ]
  const means = (asked: string) => {
    const row = named(asked).row
    return (part: Named) => part.name === asked || (row !== null && part.row?.id === row.id)
  }
  for (const [i, { removes, swaps, adds }] of input.modifiers.entries()) {
    const missing = [...removes, ...swaps.map((one) => one.from)].find((asked) => !parts.some(means(asked)))
    if (missing !== undefined)
      return {
        kind: 'faults',
        faults: [
          {
            field: `modifiers.${i}`,
            message: `"${missing}" is not in it: use ${parts.map((one) => one.name).join(', ')}`,
          },
        ],
      }
    parts = parts.filter((part) => !removes.some((asked) => means(asked)(part)))
    for (const { from, to } of swaps) parts = parts.map((part) => (means(from)(part) ? named(nameOf(to)) : part))
    parts = [...parts, ...adds.map((one) => named(nameOf(one)))]
  }
  const components = parts.map(componentOf)
  const judged = input.allergies.map((allergy) => ({ allergy, ...dishVerdict(components, allergy, listOf(system)) }))
  return {
    kind: 'output',
    output: BookAllergensOutput.parse({
      verdicts: Object.fromEntries(judged.map(({ allergy, verdict }) => [allergy, verdict])),
      because: judged.flatMap(({ allergy, verdict, because }) =>
        because.map(({ name }) => ({ allergy, component: name, why: whyOf(verdict, name, allergy) })),
      ),
    }),
  }
}

function componentOf({ name, row }: Named, i: number): Component {
  const component: Component = {
    id: `c-${i}`,
    name,
    role: 'vegetable',
    state: 'fresh',
    food: 'crispVeg',
    cut: null,
    ratioG: 1,
    scaling: 'linear',
    allergens: [],
  }
  return row ? refreshComponent({ ...component, ingredientId: row.id }, row) : component
}

function whyOf(verdict: AllergenVerdict, name: string, allergy: Allergen): string {
  switch (verdict) {
    case 'contains':
      return `${name} contains ${allergy}`
    case 'mayContain':
      return `some kinds of ${name} hold ${allergy}: read the label, and ask the lead`
    case 'unknown':
      return `${name} is not in the table: say what is in it`
    case 'free':
      return ''
  }
}

export const ALLERGEN_MODEL: Readonly<Record<string, Model>> = {
  'book.allergens': { input: BookAllergensInput, output: BookAllergensOutput, run },
}
