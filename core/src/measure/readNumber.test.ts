import fc from 'fast-check'
import { readNumber } from './readNumber'
import { writeNumber, writeQuantity } from './writeNumber'

const read = (text: string) => readNumber(text, 0)

test.each<[string, number, string]>([
  ['2', 2, ''],
  ['2.5', 2.5, ''],
  ['2,5', 2.5, ''],
  ['.5 kg', 0.5, ' kg'],
  ['1,000', 1000, ''],
  ['12,500 g', 12_500, ' g'],
  ['1,000.5', 1000.5, ''],
  ['1 000 g', 1000, ' g'],
  ['0,500', 0.5, ''],
  ['1/2 cup', 0.5, ' cup'],
  ['1⁄2 cup', 0.5, ' cup'],
  ['1 1/2 cups', 1.5, ' cups'],
  ['1-1/2 cups', 1.5, ' cups'],
  ['1 and 1/2 cups', 1.5, ' cups'],
  ['1 and a 1/2 cups', 1.5, ' cups'],
  ['2 and ¼ cups', 2.25, ' cups'],
  ['1½', 1.5, ''],
  ['1 ½ tsp', 1.5, ' tsp'],
  ['¾ oz', 0.75, ' oz'],
  ['⅓ cup', 1 / 3, ' cup'],
  ['2⅔', 2 + 2 / 3, ''],
  ['3⅝', 3.625, ''],
  ['⅒', 0.1, ''],
  ['a pinch', 1, ' pinch'],
  ['An egg', 1, ' egg'],
  ['two eggs', 2, ' eggs'],
  ['Twelve eggs', 12, ' eggs'],
  ['a dozen eggs', 12, ' eggs'],
  ['two dozen eggs', 24, ' eggs'],
  ['half a dozen eggs', 6, ' eggs'],
  ['half an onion', 0.5, ' onion'],
  ['a quarter onion', 0.25, ' onion'],
  ['one and a half cups', 1.5, ' cups'],
  ['two and a quarter cups', 2.25, ' cups'],
])('"%s" begins with %s', (text, value, rest) => {
  const number = read(text)
  expect(number?.value).toBeCloseTo(value, 9)
  expect(text.slice(number!.end).trim()).toBe(rest.trim())
})

test.each(['', 'soy', '-2 eggs', 'tonight', 'eggs 2', '½soy'.slice(1), '/2', ','])(
  '"%s" begins with no number',
  (text) => {
    expect(read(text)).toBeNull()
  },
)

test.each([
  ['1/0 cup', 1],
  ['2 1/0 cup', 2],
])('a fraction by nothing is none: "%s" is %d and the rest is said after it', (text, value) => {
  expect(read(text)?.value).toBe(value)
})

test('a number is read where it stands, not only at the beginning', () => {
  expect(readNumber('soy 2½ tbsp', 4)).toEqual({ value: 2.5, end: 6 })
  expect(readNumber('soy 2½ tbsp', 3)).toBeNull()
})

describe('laws', () => {
  const eighths = fc.integer({ min: 1, max: 8000 }).map((n) => n / 8)
  const thirds = fc.integer({ min: 1, max: 3000 }).map((n) => n / 3)
  const decimals = fc.integer({ min: 1, max: 99_999_999 }).map((n) => n / 10_000)

  test('what is written is read back, within a millionth', () => {
    fc.assert(
      fc.property(fc.oneof(eighths, thirds, decimals), (value) => {
        const text = writeNumber(value)
        const number = read(text)
        expect(number?.end).toBe(text.length)
        expect(number?.value).toBeCloseTo(value, 5)
      }),
    )
  })

  test('eighths and thirds are written as a cook writes them: never as a decimal', () => {
    fc.assert(fc.property(fc.oneof(eighths, thirds), (value) => expect(writeNumber(value)).not.toMatch(/[.]/)))
  })

  test('a comma and a point are the same decimal sign', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 999 }), fc.integer({ min: 0, max: 99 }), (whole, part) => {
        const digits = String(part).padStart(2, '0')
        expect(read(`${whole},${digits}`)?.value).toBe(read(`${whole}.${digits}`)?.value)
      }),
    )
  })

  test('groups of three are thousands, wherever they are parted', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1000, max: 99_999_999 }), (value) => {
        for (const separator of [',', ' ', ' ', ' '])
          expect(read(value.toLocaleString('en-US').replaceAll(',', separator))?.value).toBe(value)
      }),
    )
  })

  test('any text gives a finite number of zero or more that ends within it, or none', () => {
    fc.assert(
      fc.property(fc.string({ unit: 'binary', maxLength: 30 }), fc.nat(30), (text, from) => {
        const number = readNumber(text, from)
        if (number === null) return
        expect(number.value).toBeGreaterThanOrEqual(0)
        expect(Number.isFinite(number.value)).toBe(true)
        expect(number.end).toBeGreaterThan(from)
        expect(number.end).toBeLessThanOrEqual(text.length)
      }),
    )
  })
})

test.each<[number, number | null, string | null, string]>([
  [1.5, null, 'tbsp', '1½ tbsp'],
  [2, 3, 'clove', '2–3 clove'],
  [40, null, 'g', '40 g'],
  [1 / 3, null, 'cup', '⅓ cup'],
  [0.3333, null, 'cup', '0.3333 cup'],
  [3, null, null, '3'],
  [0.1, 0.25, 'g', '0.1–¼ g'],
])('%s to %s %s is written "%s"', (value, most, unit, text) => expect(writeQuantity(value, most, unit)).toBe(text))
