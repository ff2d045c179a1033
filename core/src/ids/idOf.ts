const LONGEST = 50

/** The letters and figures of a name as an id, accents left off: "Ring Ö 1" is `ring-o-1`; `fallback` where it has none. */
export function lettersOf(name: string, fallback: string): string {
  const letters = name
    .normalize('NFKD')
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, '-')
    .slice(0, LONGEST)
    .replace(/^-+|-+$/g, '')
  return letters || fallback
}

/** An id of a name that none of `taken` has: numbered from 2 on where the name alone is taken. */
export function idOf(name: string, fallback: string, taken: readonly string[]): string {
  const base = lettersOf(name, fallback)
  for (let n = 1; ; n += 1) {
    const id = n === 1 ? base : `${base}-${n}`
    if (!taken.includes(id)) return id
  }
}
