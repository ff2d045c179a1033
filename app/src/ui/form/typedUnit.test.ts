import fc from 'fast-check'
import { typedCelsius, typedGrams, typedKilograms } from './typedUnit'

test('ounces, pounds and °F stand in their fields and are kept in grams, kilograms and °C', () => {
  expect(typedGrams('oz').show(260)).toBe('9.17')
  expect(typedGrams('oz').read(9)).toBeCloseTo(255.1457, 4)
  expect(typedKilograms('oz').show(1.6)).toBe('3.53')
  expect(typedKilograms('oz').read(4)).toBeCloseTo(1.81437, 5)
  expect(typedCelsius('F').show(4)).toBe('39.2')
  expect(typedCelsius('F').read(41)).toBeCloseTo(5, 10)
  expect(typedCelsius('C').show(null)).toBe('')
})

test('what was not touched keeps all its digits, in every unit', () => {
  const units = [typedGrams('g'), typedGrams('oz'), typedKilograms('oz'), typedCelsius('F'), typedCelsius('C')]
  fc.assert(
    fc.property(fc.constantFrom(...units), fc.double({ min: -40, max: 5000, noNaN: true }), (unit, value) => {
      expect(unit.read(Number(unit.show(value)), value)).toBe(value)
      expect(unit.read(Number(unit.show(value)))).toBeCloseTo(value, 0)
    }),
    { endOnFailure: true },
  )
})
