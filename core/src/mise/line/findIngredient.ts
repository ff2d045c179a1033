import type { Ingredient } from '../../book/ingredient'

/** Ingredients by every name they have, so that a line is looked up at once. */
export type IngredientIndex = ReadonlyMap<string, readonly Ingredient[]>

const STATE_WORDS =
  /\b(?:fresh|raw|cooked|chilled|cold|day-old|ready|large|small|medium|whole|plain|good|unsalted|boneless|skinless|extra|firm|baby|ripe|dry|white and green|leaves|florets|thighs?|cloves?)\b/g

/** Rice that is called just rice is rice for frying. */
const FRYING_RICE = 'rice long chilled dry'

export function indexIngredients(ingredients: readonly Ingredient[]): IngredientIndex {
  const index = new Map<string, Ingredient[]>()
  for (const one of ingredients) {
    for (const name of new Set([one.id.replace(/-/g, ' '), one.name, ...one.aliases].flatMap(keysOf))) {
      const known = index.get(name)
      if (known) known.push(one)
      else index.set(name, [one])
    }
  }
  return index
}

/** The row a name means: its whole name, then its singular, then without words of state; null where none is that plain. */
export function lookUp(index: IngredientIndex, name: string, state?: string): Ingredient | null {
  for (const key of keysOf(name)) {
    const found = index.get(key)
    if (found) return found.find((one) => one.state === state) ?? found[0] ?? null
  }
  const bare = plainName(name).replace(STATE_WORDS, ' ').replace(/\s+/g, ' ').trim()
  if (bare === 'rice') return index.get(FRYING_RICE)?.[0] ?? null
  if (bare === '' || bare === plainName(name)) return null
  for (const key of keysOf(bare)) {
    const found = index.get(key)
    if (found) return found.find((one) => one.state === state) ?? found[0] ?? null
  }
  return null
}

/** Names close to one that is not known, for "did you mean": those that share a word, the shortest first. */
export function likeNames(ingredients: readonly Ingredient[], name: string, most = 5): Ingredient[] {
  const words = plainName(name)
    .split(' ')
    .filter((word) => word.length > 2)
  return ingredients
    .map((one) => ({ one, hits: words.filter((word) => haystack(one).includes(singular(word))).length }))
    .filter(({ hits }) => hits > 0)
    .sort((a, b) => b.hits - a.hits || a.one.name.length - b.one.name.length)
    .slice(0, most)
    .map(({ one }) => one)
}

const haystack = (one: Ingredient) => `${one.id} ${one.name} ${one.aliases.join(' ')}`.toLowerCase()

function keysOf(name: string): string[] {
  const plain = plainName(name)
  const single = singular(plain)
  return single === plain ? [plain] : [plain, single]
}

function plainName(name: string): string {
  return name
    .toLowerCase()
    .normalize('NFKD')
    .replace(/[\u0300-\u036f]/g, '')
    .replace(/\(.*?\)/g, ' ')
    .replace(/[^a-z0-9\- ]+/g, ' ')
    .replace(/\s+/g, ' ')
    .trim()
}

function singular(name: string): string {
  if (/(?:ss|us|is)$/.test(name)) return name
  if (/ies$/.test(name) && name.length > 5) return `${name.slice(0, -3)}y`
  if (/(?:oes|ches|shes)$/.test(name)) return name.slice(0, -2)
  return name.endsWith('s') && name.length > 3 ? name.slice(0, -1) : name
}
