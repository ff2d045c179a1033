import type { RecipeReview } from 'contract/book'
import { indexIngredients, lookUp } from 'core/book/lookUp'
import { parseLine } from 'core/book/ingredientLine/parseLine'
import { weighLine } from 'core/book/ingredientLine/weighLine'
import type { Ingredient } from 'core/book/ingredient'
import type { MeasureSystem } from 'core/measure/units'
import { decodeHTML } from 'entities'
import { Problem } from '../../http/problems'

type Node = Record<string, unknown>

const MAX_RECIPES = 50
const MAX_LINES = 400
const MAX_WORDS = 2000
const MAX_DEPTH = 12
/** Read into fields of their own, or of no use in a kitchen. */
const READ = ['name', 'recipeIngredient', 'ingredients', 'recipeInstructions', 'recipeYield', 'yield']

/**
 * Recipes of a JSON-LD document, for review: a Recipe at the top, in a list, in @graph or inside another thing; one value
 * where many are expected and many where one is; markup in text taken off. Properties without a place here are kept in
 * words, so that nothing is dropped silently.
 * @throws {Problem} bad-json, not-a-recipe
 */
export function readJsonLd(text: string, ingredients: readonly Ingredient[], system: MeasureSystem): RecipeReview[] {
  const recipes = recipesIn(parseJson(text), 0).slice(0, MAX_RECIPES)
  if (recipes.length === 0) {
    throw new Problem('not-a-recipe', {
      detail: 'no node has the type Recipe: send JSON-LD with a Recipe of schema.org, alone, in a list or in @graph',
    })
  }
  const index = indexIngredients(ingredients)
  return recipes.map((recipe) => review(recipe, index, system))
}

function parseJson(text: string): unknown {
  const script = /<script[^>]*application\/ld\+json[^>]*>([\s\S]*?)<\/script>/i.exec(text)
  try {
    return JSON.parse(script?.[1] ?? text)
  } catch (error) {
    const reason = error instanceof Error ? error.message : 'unreadable'
    throw new Problem('bad-json', { detail: `the file is not JSON (${reason}): export it again as JSON-LD` })
  }
}

function recipesIn(value: unknown, depth: number): Node[] {
  if (depth > MAX_DEPTH || value === null || typeof value !== 'object') return []
  if (Array.isArray(value)) return value.flatMap((one) => recipesIn(one, depth + 1))
  const node = value as Node
  if (isOfType(node, 'Recipe')) return [node]
  return Object.values(node).flatMap((one) => recipesIn(one, depth + 1))
}

const isOfType = (node: Node, type: string) =>
  listOf(node['@type']).some((one) => typeof one === 'string' && one.split(/[/#:]/).at(-1) === type)

const listOf = (value: unknown): unknown[] =>
  Array.isArray(value) ? value : value === undefined || value === null ? [] : [value]

/** A key by its last word: `schema:name` and `https://schema.org/name` are `name`. */
const keyed = (node: Node) =>
  new Map(Object.entries(node).map(([key, value]) => [key.split(/[/#:]/).at(-1) ?? key, value]))

function review(node: Node, index: ReturnType<typeof indexIngredients>, system: MeasureSystem): RecipeReview {
  const fields = keyed(node)
  const written = [...listOf(fields.get('recipeIngredient')), ...listOf(fields.get('ingredients'))].flatMap((one) =>
    wordsOf(one).split(/\r?\n/),
  )
  const leftOver = [...fields]
    .filter(([key, value]) => !key.startsWith('@') && !READ.includes(key) && value !== null)
    .map(([property, value]) => ({ property, text: wordsOf(value).slice(0, MAX_WORDS) }))
    .filter(({ text }) => text !== '')
  const cut =
    written.length > MAX_LINES ? [{ property: 'recipeIngredient', text: written.slice(MAX_LINES).join('\n') }] : []
  return {
    name: wordsOf(listOf(fields.get('name'))[0]) || 'Recipe without a name',
    portions: portionsOf(listOf(fields.get('recipeYield') ?? fields.get('yield'))),
    lines: written.slice(0, MAX_LINES).map((text) => reviewLine(text, index, system)),
    steps: listOf(fields.get('recipeInstructions')).flatMap(stepsOf),
    leftOver: [...leftOver, ...cut],
  }
}

function reviewLine(text: string, index: ReturnType<typeof indexIngredients>, system: MeasureSystem) {
  const line = parseLine(text, system)
  const row = line.ingredient === '' ? null : lookUp(index, line.ingredient)
  const { massG, isUnderstood, flags } = weighLine(line, row, system)
  return {
    text,
    kind: line.kind,
    ingredientId: row?.id ?? null,
    ingredient: line.ingredient,
    prep: line.prep,
    massG,
    understood: isUnderstood,
    flags: flags.map(({ code, message, values }) => ({ code, message, values: { ...values } })),
  }
}

function portionsOf(values: readonly unknown[]): number | null {
  for (const value of values) {
    const number = typeof value === 'number' ? value : Number(/\d+(?:\.\d+)?/.exec(wordsOf(value))?.[0])
    if (Number.isFinite(number) && number > 0) return number
  }
  return null
}

function stepsOf(value: unknown): string[] {
  if (value !== null && typeof value === 'object' && !Array.isArray(value)) {
    const fields = keyed(value as Node)
    const inner = listOf(fields.get('itemListElement')).flatMap(stepsOf)
    return inner.length > 0 ? [wordsOf(fields.get('name')), ...inner].filter(Boolean) : [wordsOf(value)].filter(Boolean)
  }
  return wordsOf(value)
    .split(/\n+/)
    .map((one) => one.trim())
    .filter(Boolean)
}

/** Any value as plain words: text without markup, the text or name of a thing, a list by lines. */
function wordsOf(value: unknown): string {
  if (typeof value === 'string') return plain(value)
  if (typeof value === 'number' || typeof value === 'boolean') return String(value)
  if (Array.isArray(value)) return value.map(wordsOf).filter(Boolean).join('\n')
  if (value === null || typeof value !== 'object') return ''
  const fields = keyed(value as Node)
  const told = fields.get('text') ?? fields.get('name') ?? fields.get('value') ?? fields.get('url')
  if (told !== undefined) return wordsOf(told)
  return [...fields]
    .filter(([key]) => !key.startsWith('@'))
    .map(([key, one]) => `${key}: ${wordsOf(one)}`)
    .join(', ')
}

function plain(text: string): string {
  return decodeHTML(text.replace(/<(?:br|\/p|\/li|\/div)[^>]*>/gi, '\n').replace(/<[^>]*>/g, ''))
    .replace(/<[^>]*>/g, '')
    .replace(/[ \t\u00a0]+/g, ' ')
    .replace(/ *\n */g, '\n')
    .trim()
}
