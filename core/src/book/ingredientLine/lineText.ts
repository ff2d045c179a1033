const FULL_WIDTH_SHIFT = 0xfee0

/** Japanese measures are their own in every kitchen: a spoon of 15 and 5 mL, a cup of 200 mL, a gō of 2401/13310 L. */
const JAPANESE_ML: Readonly<Record<string, number>> = { 大さじ: 15, 小さじ: 5, カップ: 200, 合: (1000 * 2401) / 13310 }
const japaneseML = (word: string) => JAPANESE_ML[word] ?? Number.NaN
const JAPANESE_FIRST = /(大さじ|小さじ|カップ)\s*(\d+(?:\.\d+)?)/g
const JAPANESE_LAST = /(\d+(?:\.\d+)?)\s*(大さじ|小さじ|カップ|合)/g

/** Full-width signs as their common ones, Japanese measures in millilitres, every space as one, "table spoon" in one word, nothing else changed. */
export function plainText(text: string): string {
  return text
    .replace(/[\uff01-\uff5e]/g, (sign) => String.fromCharCode(sign.charCodeAt(0) - FULL_WIDTH_SHIFT))
    .replace(JAPANESE_FIRST, (_all, word: string, number: string) => ` ${Number(number) * japaneseML(word)} mL `)
    .replace(JAPANESE_LAST, (_all, number: string, word: string) => ` ${Number(number) * japaneseML(word)} mL `)
    .replace(/\b(table|tea) (spoons?)\b/gi, '$1$2')
    .replace(/[\s\u00a0\u2000-\u200b\u202f\u3000\ufeff]+/g, ' ')
    .trim()
}

const BULLET = /^(?:(?:[-–—*•·‣◦▪●○+]|\[[ xX✓]?\]|☐|☑|\(?\d{1,2}[.)](?=\s+[^\s]))\s+)+/

/** A line without the bullet or number of a list before it. */
export const withoutBullet = (text: string) => text.replace(BULLET, '')

const HEADING_WORDS =
  /^(?:for (?:the )?[a-z ]+|to (?:serve|finish|garnish)|sauce|marinade|garnish|topping|dressing|paste|filling|ingredients|rice|seasoning)$/i

/** The words of a heading, or null where the line is none: marked by #, a closing colon, capitals, or a word for a part. */
export function headingOf(text: string, hasBullet: boolean): string | null {
  const marked = /^#+\s*(.+?)\s*:?$/.exec(text)
  if (marked) return marked[1] ?? ''
  if (/\d/.test(text) || text === '') return null
  if (/^[^:]+:$/.test(text)) return text.slice(0, -1)
  if (hasBullet) return null
  if (/^[A-Z][A-Z &/-]{2,}$/.test(text)) return text
  return /^[A-Z]/.test(text) &&
    HEADING_WORDS.test(text) &&
    !/^for (?:frying|rolling|dusting)/i.test(text) &&
    text !== 'Rice'
    ? text
    : null
}

/** Where the bracket that opens at `from` closes, counting those inside; the end of the text where it never does. */
export function closingBracket(text: string, from: number): number {
  let open = 0
  for (let i = from; i < text.length; i += 1) {
    if (text[i] === '(' || text[i] === '[') open += 1
    if (text[i] === ')' || text[i] === ']') open -= 1
    if (open === 0) return i
  }
  return text.length
}
