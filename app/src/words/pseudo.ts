const ACCENTED: Readonly<Record<string, string>> = {
  a: 'à',
  b: 'ƀ',
  c: 'ç',
  d: 'ð',
  e: 'é',
  f: 'ƒ',
  g: 'ğ',
  h: 'ĥ',
  i: 'î',
  j: 'ĵ',
  k: 'ķ',
  l: 'ļ',
  m: 'ɱ',
  n: 'ñ',
  o: 'ö',
  p: 'þ',
  q: 'ɋ',
  r: 'ŕ',
  s: 'š',
  t: 'ţ',
  u: 'ü',
  v: 'ṽ',
  w: 'ŵ',
  x: 'ẋ',
  y: 'ý',
  z: 'ž',
}
const LONGER = 0.4

type Words = { readonly [key: string]: string | Words }

/** Every sentence accented and two fifths longer, placeholders untouched: what is left in plain letters is hard-coded. */
export function pseudo<T extends Words>(words: T): T {
  const entries = Object.entries(words).map(([key, value]) => [
    key,
    typeof value === 'string' ? stretch(value) : pseudo(value),
  ])
  return Object.fromEntries(entries) as T
}

export function stretch(sentence: string): string {
  const parts = sentence.split(/(\{\{[^}]*\}\}|\$t\([^)]*\))/)
  const plain = parts.map((part) => (part.startsWith('{{') || part.startsWith('$t(') ? part : accent(part)))
  const letters = parts
    .filter((part) => !part.startsWith('{{'))
    .join('')
    .replace(/\s/g, '').length
  return plain.join('') + '~'.repeat(Math.ceil(letters * LONGER))
}

function accent(text: string): string {
  return [...text]
    .map((letter) => {
      const found = ACCENTED[letter.toLowerCase()]
      if (found === undefined) return letter
      return letter === letter.toLowerCase() ? found : found.toUpperCase()
    })
    .join('')
}
