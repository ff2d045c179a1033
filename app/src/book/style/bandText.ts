import type { Band, Metric } from 'core/book/balance/style'

const SCALES: readonly Metric[] = ['acidScale', 'chilliScale']
const factorOf = (metric: Metric) => (SCALES.includes(metric) ? 1 : 100)

export type TypedBand = { least: string; most: string }

/** A band as it is typed: per cent, or 0–5 on the house's scales. */
export function typedBand(metric: Metric, { least, most }: Band): TypedBand {
  const text = (value: number) => String(Number((value * factorOf(metric)).toFixed(3)))
  return { least: text(least), most: text(most) }
}

/** A typed band, or what is wrong with it. */
export function readBand(metric: Metric, typed: TypedBand): Band | 'not-a-number' | 'upside-down' {
  const number = (text: string) => (text.trim() === '' ? Number.NaN : Number(text.replace(',', '.')) / factorOf(metric))
  const band = { least: number(typed.least), most: number(typed.most) }
  if (!(band.least >= 0) || !Number.isFinite(band.most)) return 'not-a-number'
  return band.least < band.most ? band : 'upside-down'
}
