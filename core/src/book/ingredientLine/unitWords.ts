import { readUnit, type MassUnit, type VolumeUnit } from '../../measure/units'

/** Words that count a thing in pieces of its own: their mass belongs to the ingredient. */
const PIECES: Readonly<Record<string, readonly string[]>> = {
  clove: ['clove', 'cloves'],
  stalk: ['stalk', 'stalks', 'stem', 'stems'],
  sprig: ['sprig', 'sprigs'],
  bunch: ['bunch', 'bunches'],
  head: ['head', 'heads'],
  knob: ['knob', 'knobs', 'thumb', 'thumbs'],
  piece: ['piece', 'pieces', 'pc', 'pcs'],
  slice: ['slice', 'slices'],
  sheet: ['sheet', 'sheets'],
  leaf: ['leaf', 'leaves'],
  stick: ['stick', 'sticks'],
  rasher: ['rasher', 'rashers'],
  fillet: ['fillet', 'fillets', 'filet', 'filets'],
  ear: ['ear', 'ears'],
  inch: ['inch', 'inches', '"'],
  cm: ['cm', 'centimetre', 'centimetres', 'centimeter', 'centimeters'],
  can: ['can', 'cans', 'tin', 'tins'],
  jar: ['jar', 'jars'],
  packet: [
    'packet',
    'packets',
    'pack',
    'packs',
    'package',
    'packages',
    'pkg',
    'sachet',
    'sachets',
    'pouch',
    'pouches',
    'carton',
    'cartons',
  ],
  bag: ['bag', 'bags'],
  bottle: ['bottle', 'bottles'],
  bowl: ['bowl', 'bowls'],
  ladle: ['ladle', 'ladles', 'ladleful', 'ladlefuls'],
  handful: ['handful', 'handfuls'],
  pinch: ['pinch', 'pinches'],
  dash: ['dash', 'dashes'],
  drop: ['drop', 'drops'],
  splash: ['splash', 'splashes', 'drizzle', 'drizzles', 'glug', 'glugs'],
  block: ['block', 'blocks'],
  tub: ['tub', 'tubs'],
  portion: ['portion', 'portions', 'serving', 'servings'],
}
const PIECE_BY_WORD = new Map(
  Object.entries(PIECES).flatMap(([unit, words]) => words.map((word) => [word, unit] as const)),
)

/** Vessels that hold a stated amount each: "2 x 400 g tins". */
export const CONTAINERS: readonly string[] = ['can', 'jar', 'packet', 'bag', 'bottle', 'bowl', 'piece', 'block', 'tub']
/** Every word for such a vessel, as a pattern. */
export const CONTAINER_WORDS = CONTAINERS.flatMap((unit) => PIECES[unit] ?? []).join('|')

/** Words for what a cut leaves, as a pattern: a length before them is that of the cut. */
export const CUT_SHAPES = 'diced?|cubes?|cubed|strips?|slices?|sliced|rings?|batons?|matchsticks?|chunks?|rounds?|thick'

const NO_UNIT = new Set(['ea', 'each', 'no', 'count'])

/** `x` means "so many of them", without a unit of its own. */
export type UnitRead = { unit: MassUnit | VolumeUnit | (string & {}) | null; end: number; isMeasure: boolean }

const FLUID_OUNCE = /(?:fl|fluid)\.?\s*(?:oz|ounces?)\b\.?/iy
const UNIT_WORD = /(?:[a-zō]+|")/iy
/** "T" and "t" are told apart by case alone. */
const BY_CASE: Readonly<Record<string, VolumeUnit>> = { T: 'tbsp', t: 'tsp', C: 'cup' }
/** Words that may be no unit; with a full stop "c." is a cup all the same. */
const AMBIGUOUS = new Set(['go', 'c'])

/** The unit word at a place, with its full stop; null where the word there is no unit. */
export function readUnitWord(text: string, from: number): UnitRead | null {
  FLUID_OUNCE.lastIndex = from
  if (FLUID_OUNCE.test(text)) return { unit: 'fl oz', end: FLUID_OUNCE.lastIndex, isMeasure: true }
  UNIT_WORD.lastIndex = from
  const found = UNIT_WORD.exec(text)
  if (!found) return null
  const word = found[0]
  const dot = text[from + word.length] === '.' ? 1 : 0
  const end = from + word.length + dot
  const byCase = BY_CASE[word] ?? (word === 'c' && dot === 1 ? 'cup' : undefined)
  if (byCase) return { unit: byCase, end, isMeasure: true }
  const lower = word.toLowerCase()
  if (lower === 'in' && dot === 1) return { unit: 'inch', end, isMeasure: false }
  const measure = AMBIGUOUS.has(lower) ? null : readUnit(lower)
  if (measure) return { unit: measure, end, isMeasure: true }
  const piece = PIECE_BY_WORD.get(lower)
  if (piece) return { unit: piece, end, isMeasure: false }
  return NO_UNIT.has(lower) ? { unit: null, end, isMeasure: false } : null
}
