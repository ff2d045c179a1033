/** Systems of kitchen measures. The same word in two systems is two units. */
export const MEASURE_SYSTEMS = ['us', 'us-label', 'metric', 'au', 'jp', 'uk', 'in', 'sg', 'rice-cooker'] as const
export type MeasureSystem = (typeof MEASURE_SYSTEMS)[number]

/** Units of mass that lines are written in. */
export type MassUnit = 'mg' | 'g' | 'kg' | 'oz' | 'lb' | 'catty' | 'tael'
/** Units of volume that lines are written in. */
export type VolumeUnit =
  'mL' | 'cL' | 'dL' | 'L' | 'tsp' | 'tbsp' | 'cup' | 'fl oz' | 'pint' | 'quart' | 'gallon' | 'gō'

/**
 * Grams in a unit of mass. Source: NIST Handbook 44, Appendix C (avoirdupois pound 453.59237 g exactly, ounce a
 * sixteenth of it). Catty and tael as in Hong Kong, Singapore and Malaysia, 1⅓ lb and a sixteenth of it (from memory of
 * Hong Kong's Weights and Measures Ordinance); the jin of 500 g is another unit, and is not read as one.
 */
export const MASS_UNIT_G: Readonly<Record<MassUnit, number>> = {
  mg: 0.001,
  g: 1,
  kg: 1000,
  oz: 28.349523125,
  lb: 453.59237,
  catty: (453.59237 * 4) / 3,
  tael: 453.59237 / 12,
}

/** US gallon: 231 cubic inches of 2.54 cm exactly. Source: NIST Handbook 44, Appendix C. */
const US_GALLON_ML = 231 * 2.54 ** 3
/** Imperial gallon. Source: UK Weights and Measures Act 1985, Schedule 1 (from memory). */
const UK_GALLON_ML = 4546.09
/** Shō is 2401/1331 L and gō a tenth of it. Source: Japan's Weights and Measures Act of 1891 (from memory). */
const GO_ML = (1000 * 2401) / 1331 / 10

type VolumeTable = Readonly<Partial<Record<VolumeUnit, number>>>

const imperial: VolumeTable = {
  'fl oz': UK_GALLON_ML / 160,
  pint: UK_GALLON_ML / 8,
  quart: UK_GALLON_ML / 4,
  gallon: UK_GALLON_ML,
}

/**
 * Millilitres in a unit of volume, by system; a unit that the system does not define is missing.
 * Sources: us NIST SP 811 and Handbook 44 App. C · us-label 21 CFR 101.9(b)(5)(viii) · au, jp and metric common kitchen
 * standards (Australian tablespoon 20 mL, Japanese cup 200 mL) · uk metric spoons, imperial half-pint cup ·
 * in and sg spoons of 5 and 15 mL, common practice ·
 * rice-cooker the 180 mL cup that comes with the pot.
 */
export const VOLUME_UNIT_ML: Readonly<Record<MeasureSystem, VolumeTable>> = {
  us: {
    tsp: US_GALLON_ML / 768,
    tbsp: US_GALLON_ML / 256,
    'fl oz': US_GALLON_ML / 128,
    cup: US_GALLON_ML / 16,
    pint: US_GALLON_ML / 8,
    quart: US_GALLON_ML / 4,
    gallon: US_GALLON_ML,
  },
  'us-label': { tsp: 5, tbsp: 15, cup: 240, 'fl oz': 30 },
  metric: { tsp: 5, tbsp: 15, cup: 250 },
  au: { tsp: 5, tbsp: 20, cup: 250, ...imperial },
  jp: { tsp: 5, tbsp: 15, cup: 200, gō: GO_ML },
  uk: { tsp: 5, tbsp: 15, cup: UK_GALLON_ML / 16, ...imperial },
  in: { tsp: 5, tbsp: 15, cup: 240 },
  sg: { tsp: 5, tbsp: 15, cup: 250 },
  'rice-cooker': { tsp: 5, tbsp: 15, cup: 180, gō: GO_ML },
}

const SPELLINGS: Readonly<Record<string, MassUnit | VolumeUnit>> = {
  mg: 'mg',
  g: 'g',
  gr: 'g',
  gms: 'g',
  gram: 'g',
  grams: 'g',
  kg: 'kg',
  kgs: 'kg',
  kilo: 'kg',
  kilos: 'kg',
  kilogram: 'kg',
  kilograms: 'kg',
  oz: 'oz',
  ounce: 'oz',
  ounces: 'oz',
  lb: 'lb',
  lbs: 'lb',
  pound: 'lb',
  pounds: 'lb',
  catty: 'catty',
  catties: 'catty',
  kati: 'catty',
  tael: 'tael',
  taels: 'tael',
  ml: 'mL',
  millilitre: 'mL',
  millilitres: 'mL',
  milliliter: 'mL',
  milliliters: 'mL',
  cc: 'mL',
  cl: 'cL',
  centilitre: 'cL',
  centilitres: 'cL',
  dl: 'dL',
  decilitre: 'dL',
  decilitres: 'dL',
  l: 'L',
  litre: 'L',
  litres: 'L',
  liter: 'L',
  liters: 'L',
  tsp: 'tsp',
  tsps: 'tsp',
  teaspoonful: 'tsp',
  teaspoon: 'tsp',
  teaspoons: 'tsp',
  tbsp: 'tbsp',
  tbsps: 'tbsp',
  tbs: 'tbsp',
  tblsp: 'tbsp',
  tablespoonful: 'tbsp',
  tablespoonfuls: 'tbsp',
  tablespoon: 'tbsp',
  tablespoons: 'tbsp',
  cup: 'cup',
  cups: 'cup',
  cupful: 'cup',
  'fl oz': 'fl oz',
  floz: 'fl oz',
  'fluid ounce': 'fl oz',
  'fluid ounces': 'fl oz',
  pint: 'pint',
  pints: 'pint',
  pt: 'pint',
  quart: 'quart',
  quarts: 'quart',
  qt: 'quart',
  gallon: 'gallon',
  gallons: 'gallon',
  gal: 'gallon',
  gō: 'gō',
  go: 'gō',
}

/** The unit a cook means by a word, or null where the word names no unit of mass or volume. */
export function readUnit(word: string): MassUnit | VolumeUnit | null {
  return SPELLINGS[word.trim().toLowerCase().replace(/\.$/, '').replace(/\s+/g, ' ')] ?? null
}

/** Whether a unit weighs rather than fills. */
export function isMassUnit(unit: MassUnit | VolumeUnit): unit is MassUnit {
  return unit in MASS_UNIT_G
}

/** Millilitres in one unit of the system, or null where the system does not define it. mL, cL, dL and L are in every system. */
export function volumeUnitML(unit: VolumeUnit, system: MeasureSystem): number | null {
  if (unit === 'mL') return 1
  if (unit === 'cL') return 10
  if (unit === 'dL') return 100
  if (unit === 'L') return 1000
  return VOLUME_UNIT_ML[system][unit] ?? null
}

/** Whether a unit of volume is the same in every system. */
export const isMetricVolume = (unit: VolumeUnit): boolean =>
  unit === 'mL' || unit === 'cL' || unit === 'dL' || unit === 'L'
