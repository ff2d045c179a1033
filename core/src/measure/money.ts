import { Decimal } from 'decimal.js'

const digitsOf = new Map<string, number>()

/** Digits after the point of a currency (ISO 4217, as `Intl` knows them): 2 for USD, 0 for JPY, 3 for KWD. */
export function moneyDigits(currency: string): number {
  const known = digitsOf.get(currency)
  if (known !== undefined) return known
  const { maximumFractionDigits = 2 } = new Intl.NumberFormat('en', { style: 'currency', currency }).resolvedOptions()
  digitsOf.set(currency, maximumFractionDigits)
  return maximumFractionDigits
}

/** An amount in the currency itself from one in its smallest unit: 1250 cents are 12.5. */
export const majorOf = (minor: number, currency: string): number =>
  new Decimal(minor).times(Decimal.pow(10, -moneyDigits(currency))).toNumber()

/** An amount as it is typed and written into files, with the currency's digits and no sign: 12.50, 1200. */
export const moneyText = (minor: number, currency: string): string =>
  new Decimal(minor).times(Decimal.pow(10, -moneyDigits(currency))).toFixed(moneyDigits(currency))

export type TypedMoney = { minor: number | null } | { fault: 'negative' | 'not-a-price' | 'too-fine' }

/**
 * A typed price in the smallest unit of the currency; null where nothing is typed. A sign of the currency before it is
 * passed over; more digits than the currency has are a fault, so that no price is rounded in silence.
 */
export function readMoney(text: string, currency: string): TypedMoney {
  const plain = text
    .trim()
    .replace(/^[\p{Sc}\s]+/u, '')
    .replace(',', '.')
  if (plain === '') return { minor: null }
  if (!/^-?(\d+\.?\d*|\.\d+)$/.test(plain)) return { fault: 'not-a-price' }
  const minor = new Decimal(plain).times(Decimal.pow(10, moneyDigits(currency)))
  if (minor.isNegative() && !minor.isZero()) return { fault: 'negative' }
  return minor.isInteger() ? { minor: minor.toNumber() } : { fault: 'too-fine' }
}

/** The sum of amounts, exact in decimal fractions of the smallest unit. */
export const sumMinor = (amounts: readonly number[]): number =>
  amounts.reduce((sum, one) => sum.plus(one), new Decimal(0)).toNumber()
