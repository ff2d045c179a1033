import { EGG, GREENS, OIL, RICE, SALT, SOY } from '../../test/ingredients'
import { balanceOf, usualRole, type BalancePart } from './balance'
import { causesOf, CONTENT, findingsOf } from './findings'
import { METRICS, OIL_BAND_G, STYLES } from './style'

const part = (ingredient: typeof RICE, massG: number): BalancePart => ({
  id: ingredient.id,
  name: ingredient.name,
  role: usualRole(ingredient),
  ingredient,
  massG,
})
const style = STYLES[0]!
const find = (parts: BalancePart[], oil?: keyof typeof OIL_BAND_G) => findingsOf(balanceOf(parts), parts, style, oil)
const kinds = (parts: BalancePart[], oil?: keyof typeof OIL_BAND_G) => find(parts, oil).map(({ kind }) => kind)

describe('oil of a house’s school, by 100 g of rice', () => {
  test.each<[keyof typeof OIL_BAND_G, number, 'low' | 'high' | null]>([
    ['lean', 1.9, 'low'],
    ['lean', 2, null],
    ['lean', 3.6, null],
    ['lean', 3.7, 'high'],
    ['usual', 2.9, 'low'],
    ['usual', 6, null],
    ['rich', 4.9, 'low'],
    ['rich', 9.1, 'high'],
  ])('%s with %d g: %s', (school, oilG, side) => {
    const found = find([part(RICE, 100), part(OIL, oilG)], school).find(({ kind }) => kind === 'oil-school')
    if (side === null) expect(found).toBeUndefined()
    else expect(found).toMatchObject({ side, gPer100G: expect.closeTo(oilG, 9), band: OIL_BAND_G[school] })
  })

  test('without a school or without rice nothing is said of oil', () => {
    expect(kinds([part(RICE, 100), part(OIL, 30)])).not.toContain('oil-school')
    expect(kinds([part(EGG, 100), part(OIL, 30)], 'lean')).not.toContain('oil-school')
  })
})

test('nothing is found of nothing', () => {
  expect(kinds([]).filter((kind) => kind === 'colour')).toEqual([])
})

test('who brings the salt: the most first, three at most, shares of the whole', () => {
  const parts = [part(RICE, 600), part(SOY, 20), part(SALT, 4), part(GREENS, 60), part(EGG, 100)]
  const causes = causesOf('saltFraction', parts)
  expect(causes.map(({ id }) => id)).toEqual([SALT.id, GREENS.id, SOY.id])
  const salt = (one: BalancePart) => CONTENT.saltFraction(one) * one.massG
  const all = parts.reduce((sum, one) => sum + salt(one), 0)
  expect(causes[0]!.share).toBeCloseTo(salt(parts[2]!) / all, 9)
  expect(causes.every(({ share }, i) => i === 0 || share <= causes[i - 1]!.share)).toBe(true)
})

test('a metric that nobody brings has no cause', () => {
  for (const metric of METRICS) expect(causesOf(metric, [])).toEqual([])
  expect(causesOf('chilliScale', [part(RICE, 100)])).toEqual([])
})

test('rice brings no free liquid, whatever its row says; a vegetable brings itself', () => {
  const wet = { ...RICE, freeLiquidFraction: 0.5 }
  expect(CONTENT.freeLiquidFraction(part(wet, 1))).toBe(0)
  expect([CONTENT.vegetableToRice(part(GREENS, 1)), CONTENT.vegetableToRice(part(EGG, 1))]).toEqual([1, 0])
})
