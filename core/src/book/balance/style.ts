/** Between which values a metric should lie. */
export type Band = { least: number; most: number }

/** What is measured of a dish and has a band: fractions of the finished mass, or of the rice. */
export const METRICS = [
  'saltFraction',
  'sugarFraction',
  'fatFraction',
  'freeLiquidFraction',
  'vegetableToRice',
  'proteinToRice',
  'eggToRice',
  'acidScale',
  'chilliScale',
] as const
export type Metric = (typeof METRICS)[number]

/** How dark a dish is, from pale to deep. */
export const COLOURS = ['pale', 'tan', 'brown', 'deep'] as const
export type Colour = (typeof COLOURS)[number]

/** A style of dish: the band of every metric, and the colours it may have. */
export type Style = { id: string; name: string; bands: Readonly<Record<Metric, Band>>; colours: readonly Colour[] }

const band = (least: number, most: number): Band => ({ least, most })

/** Common practice, for a dish of fried rice of any style; a style narrows what it cares about. House figures. */
const USUAL: Style['bands'] = {
  saltFraction: band(0.007, 0.012),
  sugarFraction: band(0, 0.018),
  fatFraction: band(0.03, 0.09),
  freeLiquidFraction: band(0, 0.06),
  vegetableToRice: band(0, 1),
  proteinToRice: band(0, 0.6),
  eggToRice: band(0, 0.45),
  acidScale: band(0, 2),
  chilliScale: band(0, 2),
}

/** Styles to begin with, each with its bands; a kitchen edits them. House figures, common practice. */
export const STYLES: readonly Style[] = [
  { id: 'pale', name: 'pale and clean', bands: { ...USUAL, acidScale: band(0, 1) }, colours: ['pale', 'tan'] },
  {
    id: 'soy-brown',
    name: 'soy-brown',
    bands: { ...USUAL, saltFraction: band(0.008, 0.012) },
    colours: ['tan', 'brown'],
  },
  {
    id: 'sweet-soy',
    name: 'sweet soy',
    bands: { ...USUAL, sugarFraction: band(0.02, 0.045), freeLiquidFraction: band(0, 0.08) },
    colours: ['brown', 'deep'],
  },
  {
    id: 'curry',
    name: 'curry',
    bands: { ...USUAL, sugarFraction: band(0, 0.025), chilliScale: band(0, 3) },
    colours: ['tan', 'brown'],
  },
  {
    id: 'tangy-hot',
    name: 'tangy and hot',
    bands: {
      ...USUAL,
      sugarFraction: band(0, 0.03),
      acidScale: band(0.5, 4),
      chilliScale: band(0.3, 4),
      freeLiquidFraction: band(0, 0.08),
    },
    colours: ['tan', 'brown', 'deep'],
  },
  {
    id: 'garlic-butter',
    name: 'garlic butter',
    bands: { ...USUAL, fatFraction: band(0.05, 0.12) },
    colours: ['pale', 'tan'],
  },
]

/** Oil to 100 g of rice by the house's school [g]: lean is a teaspoon a cup. Common practice. */
export const OIL_BAND_G = { lean: band(2, 3.6), usual: band(3, 6), rich: band(5, 9) } as const
