import type { Ingredient } from './ingredient'

/** Ingredients by every name they have, by the words of it in any order, and the names for those that are mistyped. */
export type IngredientIndex = {
  byName: ReadonlyMap<string, readonly Ingredient[]>
  byWords: ReadonlyMap<string, readonly Ingredient[]>
}

const STATE_WORDS =
  /\b(?:fresh|raw|cooked|chilled|cold|day-old|ready|large|small|medium|whole|plain|good|unsalted|boneless|skinless|extra|firm|baby|ripe|dry|white and green|leaves|florets|thighs?|cloves?)\b/g

/** Rice that is called just rice is rice for frying. */
const FRYING_RICE = 'rice long chilled dry'

/** The table by every name it is known under. */
export function indexIngredients(ingredients: readonly Ingredient[]): IngredientIndex {
  const byName = new Map<string, Ingredient[]>()
  const byWords = new Map<string, Ingredient[]>()
  const add = (index: Map<string, Ingredient[]>, key: string, one: Ingredient) => {
    const known = index.get(key)
    if (!known) index.set(key, [one])
    else if (!known.includes(one)) known.push(one)
  }
  for (const one of ingredients) {
    for (const name of [one.id.replace(/-/g, ' '), one.name, ...one.aliases]) {
      for (const key of keysOf(name)) add(byName, key, one)
      const words = wordsKey(name)
      if (words !== '') add(byWords, words, one)
    }
  }
  return { byName, byWords }
}

/**
 * The row a name means: its whole name, then its singular, then its words in any order without words of state, then a slip
 * of the pen in it. Whole words only, so that mangetout is no answer to peas; null where none is that plain or where two
 * rows are as near.
 */
export function lookUp(index: IngredientIndex, name: string, state?: string): Ingredient | null {
  const pick = (found: readonly Ingredient[]) => found.find((one) => one.state === state) ?? found[0] ?? null
  const names = state === 'cooked' && !/\bcooked\b/i.test(name) ? [`cooked ${name}`, name] : [name]
  for (const key of names.flatMap(keysOf)) {
    const found = index.byName.get(key)
    if (found) return pick(found)
  }
  const bare = bareName(name)
  if (bare === 'rice') return index.byName.get(FRYING_RICE)?.[0] ?? null
  if (bare === '') return null
  for (const key of keysOf(bare)) {
    const found = index.byName.get(key)
    if (found) return pick(found)
  }
  const found = index.byWords.get(wordsKey(name))
  if (found && found.length === 1) return found[0] ?? null
  return mistyped(index, bare)
}

/** Slips allowed in a word of so many letters: none in short ones, where one letter is another food. */
const slipsIn = (name: string) => (name.length >= 10 ? 2 : name.length >= 6 ? 1 : 0)

function mistyped(index: IngredientIndex, name: string): Ingredient | null {
  const most = slipsIn(name)
  if (most === 0) return null
  let nearest = most + 1
  let rows = new Set<Ingredient>()
  for (const [known, found] of index.byName) {
    if (Math.abs(known.length - name.length) > most || known[0] !== name[0]) continue
    const slips = slipsBetween(known, name, most)
    if (slips > nearest || slips > most) continue
    if (slips < nearest) rows = new Set()
    nearest = slips
    found.forEach((one) => rows.add(one))
  }
  const [only] = rows
  return rows.size === 1 ? (only ?? null) : null
}

/** Letters put in, left out, changed or swapped with the next between two names; more than `most` counts as `most + 1`. */
function slipsBetween(a: string, b: string, most: number): number {
  let before: number[] = []
  let row = Array.from({ length: b.length + 1 }, (_, j) => j)
  for (let i = 1; i <= a.length; i += 1) {
    const next = [i]
    for (let j = 1; j <= b.length; j += 1) {
      const change = (row[j - 1] ?? 0) + (a[i - 1] === b[j - 1] ? 0 : 1)
      const isSwap = i > 1 && j > 1 && a[i - 1] === b[j - 2] && a[i - 2] === b[j - 1]
      const swap = isSwap ? (before[j - 2] ?? 0) + 1 : Infinity
      next.push(Math.min(change, swap, (row[j] ?? 0) + 1, (next[j - 1] ?? 0) + 1))
    }
    if (Math.min(...next) > most) return most + 1
    before = row
    row = next
  }
  return row[b.length] ?? most + 1
}

/** Names close to one that is not known, for "did you mean": those that share a word, the shortest first. */
export function likeNames(ingredients: readonly Ingredient[], name: string, most = 5): Ingredient[] {
  const words = plainName(name)
    .split(' ')
    .filter((word) => word.length > 2)
  return ingredients
    .map((one) => ({ one, hits: words.filter((word) => haystack(one).has(singular(word))).length }))
    .filter(({ hits }) => hits > 0)
    .sort((a, b) => b.hits - a.hits || a.one.name.length - b.one.name.length)
    .slice(0, most)
    .map(({ one }) => one)
}

const wordsOfRow = new WeakMap<Ingredient, ReadonlySet<string>>()
function haystack(one: Ingredient): ReadonlySet<string> {
  const known = wordsOfRow.get(one)
  if (known) return known
  const names = [one.id.replace(/-/g, ' '), one.name, ...one.aliases]
  const words = new Set(names.flatMap((name) => plainName(name).split(' ').map(singular)))
  wordsOfRow.set(one, words)
  return words
}

const bareName = (name: string) => plainName(name).replace(STATE_WORDS, ' ').replace(/\s+/g, ' ').trim()

/** The words that say what it is, each in its singular, in order of the alphabet. */
const wordsKey = (name: string) =>
  [...new Set(bareName(name).replace(/-/g, ' ').split(' ').filter(Boolean).map(singular))].sort().join(' ')

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
