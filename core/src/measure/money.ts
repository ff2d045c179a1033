import { Decimal } from 'decimal.js'
import { moneyDigits } from './currency'

/** An amount as it is typed and written into files, with the currency's digits and no sign: 12.50, 1200. */
export const moneyText = (minor: number, currency: string): string =>
  new Decimal(minor).times(Decimal.pow(10, -moneyDigits(currency))).toFixed(moneyDigits(currency))

/** A typed price in the smallest unit, null where nothing is typed, or what is wrong with it. */
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
