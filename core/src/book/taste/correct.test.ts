import fc from 'fast-check'
import { OIL, RICE, SALT, SOY, SUGAR, ingredient } from '../../test/ingredients'
import { atHandOf } from './atHand'
import { STYLES } from '../balance/style'
import { correctTaste, VERDICTS, type TasteInput } from './correct'

const { bands } = STYLES.find((one) => one.id === 'soy-brown')!
const LIME = ingredient({ id: 'lime', role: 'liquid-seasoning:acid', acid: 5, freeLiquidFraction: 0.9 })
const WATER = ingredient({ id: 'water', role: 'liquid', freeLiquidFraction: 1 })
const EVERYTHING = [SOY, SALT, SUGAR, RICE, LIME, WATER, OIL].map(atHandOf)
const input = (more: Partial<TasteInput>): TasteInput => ({
  massG: 900,
  saltFraction: 0.008,
  sugarFraction: 0.006,
  freeLiquidFraction: 0.03,
  verdict: 'bland',
  strength: 'weak',
  atHand: EVERYTHING,
  bands,
  ...more,
})
const added = (more: Partial<TasteInput>) => {
  const correction = correctTaste(input(more))
  return correction.kind === 'add' ? correction.additions.map((one) => one.id) : correction.why
}

test('a bland batch with little room for liquid gets salt, and says why not soy', () => {
  const correction = correctTaste(input({ freeLiquidFraction: 0.058, strength: 'strong' }))
  if (correction.kind !== 'add') throw new Error(correction.why)
  expect(correction.additions.map((one) => one.id)).toEqual(['salt'])
  expect(correction.rejected).toEqual([
    expect.objectContaining({ why: 'wets', addition: expect.objectContaining({ id: 'soy' }) }),
  ])
})

test('too salty is mended by rice; with a full wok by nothing', () => {
  expect(added({ verdict: 'salty', saltFraction: 0.013 })).toEqual(['rice'])
  expect(added({ verdict: 'salty', mostMassG: 900 })).toBe('wok-full')
})

test('nothing is diluted with what seasons: pepper by the handful would answer salt', () => {
  const PEPPER = ingredient({ id: 'pepper', role: 'dry-seasoning:spice' })
  const atHand = [PEPPER, SOY, SALT, SUGAR].map(atHandOf)
  expect(typeof added({ verdict: 'salty', strength: 'strong', atHand })).toBe('string')
  expect(added({ verdict: 'salty', atHand: [...atHand, atHandOf(RICE)] })).toEqual(['rice'])
  fc.assert(
    fc.property(
      fc.constantFrom(...VERDICTS),
      fc.constantFrom('weak' as const, 'strong' as const),
      (verdict, strength) => {
        const correction = correctTaste(input({ verdict, strength, atHand: [...EVERYTHING, atHandOf(PEPPER)] }))
        if (correction.kind !== 'add') return
        const pepper = correction.additions.find(({ id }) => id === 'pepper')
        expect(pepper?.massG ?? 0).toBeLessThanOrEqual(900 * 0.004)
      },
    ),
    { endOnFailure: true },
  )
})

test.each([
  ['sharp', ['sugar']],
  ['dry', ['water']],
  ['flat', ['lime']],
  ['wet', ['rice']],
] as const)('%s', (verdict, ids) => expect(added({ verdict })).toEqual(ids))

test('bland at the end of the salt band asks for another taste, not for more salt', () => {
  expect(added({ saltFraction: 0.012 })).toBe('band')
  expect(added({ atHand: [] })).toBe('nothing-at-hand')
})

test('whatever is said: at most three things, none negative, no band crossed, the wok not overfilled, mass and salt kept', () => {
  const share = (most: number) => fc.double({ min: 0, max: most, noNaN: true })
  fc.assert(
    fc.property(
      fc.constantFrom(...VERDICTS),
      fc.constantFrom('weak' as const, 'strong' as const),
      share(0.02),
      share(0.05),
      share(0.1),
      fc.subarray(EVERYTHING),
      fc.double({ min: 880, max: 1400, noNaN: true }),
      (verdict, strength, saltFraction, sugarFraction, freeLiquidFraction, atHand, mostMassG) => {
        const before = input({ verdict, strength, saltFraction, sugarFraction, freeLiquidFraction, atHand, mostMassG })
        const correction = correctTaste(before)
        if (correction.kind !== 'add') return
        const { additions, after } = correction
        expect(additions.length).toBeLessThanOrEqual(3)
        expect(Math.min(...additions.map((one) => one.massG))).toBeGreaterThan(0)
        expect(after.massG).toBeLessThanOrEqual(mostMassG + 1e-6)
        expect(after.freeLiquidFraction).toBeLessThanOrEqual(
          Math.max(bands.freeLiquidFraction.most, freeLiquidFraction) + 1e-6,
        )
        const saltG = additions.reduce(
          (sum, one) => sum + one.massG * EVERYTHING.find((each) => each.id === one.id)!.saltFraction,
          900 * saltFraction,
        )
        expect(after.saltFraction * after.massG).toBeCloseTo(saltG, 6)
      },
    ),
  )
})

test('dry is never answered with acid, and what would wet the rice is refused for that reason', () => {
  expect(added({ verdict: 'dry', atHand: [LIME].map(atHandOf) })).toBe('nothing-at-hand')
  expect(added({ verdict: 'bland', freeLiquidFraction: 0.0599, strength: 'strong', atHand: [SOY].map(atHandOf) })).toBe(
    'wets',
  )
})

test('nobody is told why not a decilitre of lime', () => {
  fc.assert(
    fc.property(
      fc.constantFrom(...VERDICTS),
      fc.constantFrom('weak' as const, 'strong' as const),
      (verdict, strength) => {
        const correction = correctTaste(input({ verdict, strength, freeLiquidFraction: 0.05 }))
        if (correction.kind !== 'add') return
        for (const { addition } of correction.rejected) expect(addition.massG).toBeLessThanOrEqual(45)
      },
    ),
  )
})
