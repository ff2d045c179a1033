import fc from 'fast-check'
import { majorOf, moneyDigits } from './currency'
import { moneyText, readMoney, sumMinor } from './money'

test('a currency has the digits of ISO 4217 (JPY 0, USD 2, KWD 3; from memory)', () => {
  expect(['JPY', 'USD', 'KWD'].map(moneyDigits)).toEqual([0, 2, 3])
  expect(moneyText(1250, 'USD')).toBe('12.50')
  expect(moneyText(1250, 'JPY')).toBe('1250')
  expect(majorOf(1250, 'KWD')).toBe(1.25)
})

test.each([
  ['12.50', 'USD', { minor: 1250 }],
  ['$ 12,5', 'USD', { minor: 1250 }],
  ['¥1200', 'JPY', { minor: 1200 }],
  ['.5', 'USD', { minor: 50 }],
  ['', 'USD', { minor: null }],
  ['-3', 'USD', { fault: 'negative' }],
  ['12.505', 'USD', { fault: 'too-fine' }],
  ['12.5', 'JPY', { fault: 'too-fine' }],
  ['1e3', 'USD', { fault: 'not-a-price' }],
  ['twelve', 'USD', { fault: 'not-a-price' }],
])('%s in %s', (text, currency, read) => {
  expect(readMoney(text, currency)).toEqual(read)
})

test('law: what is written is read again as the same amount', () => {
  fc.assert(
    fc.property(fc.integer({ min: 0, max: 100_000_000 }), fc.constantFrom('USD', 'JPY', 'KWD'), (minor, currency) => {
      expect(readMoney(moneyText(minor, currency), currency)).toEqual({ minor })
    }),
  )
})

test('ten times a tenth of a cent is one cent, whatever the order', () => {
  expect(sumMinor(Array.from({ length: 10 }, () => 0.1))).toBe(1)
})
