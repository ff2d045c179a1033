const digitsOf = new Map<string, number>()

/** Digits after the point of a currency (ISO 4217, as `Intl` knows them): 2 for USD, 0 for JPY, 3 for KWD. */
export function moneyDigits(currency: string): number {
  const known = digitsOf.get(currency)
  if (known !== undefined) return known
  const { maximumFractionDigits = 2 } = new Intl.NumberFormat('en', { style: 'currency', currency }).resolvedOptions()
  digitsOf.set(currency, maximumFractionDigits)
  return maximumFractionDigits
}

/** An amount in the currency itself, to be shown, from one in its smallest unit: 1250 cents are 12.5. */
export const majorOf = (minor: number, currency: string): number => minor / 10 ** moneyDigits(currency)
