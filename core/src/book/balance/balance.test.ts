import fc from 'fast-check'
import { acidByGram } from './acid'
import { EGG, GREENS, OIL, PORK, RICE, SALT, SOY, SUGAR, ingredient } from '../../test/ingredients'
import { balanceOf, usualRole, type BalancePart } from './balance'
import { costOf, marginFraction, priceOn } from './cost'
import { causesOf, findingsOf } from './findings'
import { repairOf } from './repair'
import { STYLES } from './style'

const part = (ingredient_: typeof RICE, massG: number): BalancePart => ({
  id: ingredient_.id,
  name: ingredient_.name,
  role: usualRole(ingredient_),
  ingredient: ingredient_,
  massG,
})
const DUCK_LIKE = [part(RICE, 660), part(EGG, 105), part(GREENS, 60), part(OIL, 30), part(SOY, 26), part(SUGAR, 3)]
const soyBrown = STYLES.find((one) => one.id === 'soy-brown')!

test('salt by hand: sodium times 2.5 (Regulation (EU) 1169/2011, Annex I)', () => {
  const { metrics, saltG } = balanceOf(DUCK_LIKE)
  const sodiumMg = 105 * 1.42 + 60 * 22 + 26 * 60
  expect(saltG).toBeCloseTo((sodiumMg * 2.5) / 1000, 9)
  expect(metrics.saltFraction).toBeCloseTo(saltG / 884, 9)
  expect(metrics.freeLiquidFraction).toBeCloseTo((60 * 0.05 + 26 * 0.7) / 660, 9)
  expect(metrics.eggToRice).toBeCloseTo(105 / 660, 9)
})

test('without rice the ratios to rice are unknown, not nothing', () => {
  expect(balanceOf([part(SOY, 10)]).metrics.freeLiquidFraction).toBeNull()
})

test('what boils off makes the rest saltier', () => {
  const before = balanceOf(DUCK_LIKE).metrics.saltFraction
  expect(balanceOf(DUCK_LIKE, 84).metrics.saltFraction).toBeCloseTo((before * 884) / 800, 9)
})

test('a list in another order balances the same, and twice of everything is the same dish', () => {
  fc.assert(
    fc.property(
      fc.shuffledSubarray(DUCK_LIKE, { minLength: DUCK_LIKE.length }),
      fc.double({ min: 0.1, max: 9, noNaN: true }),
      (list, k) => {
        const [one, other] = [balanceOf(DUCK_LIKE), balanceOf(list.map((each) => ({ ...each, massG: each.massG * k })))]
        for (const [metric, value] of Object.entries(one.metrics))
          expect(other.metrics[metric as keyof typeof one.metrics]).toBeCloseTo(value ?? Number.NaN, 9)
        expect([other.allergens, other.colour, other.traits]).toEqual([one.allergens, one.colour, one.traits])
        expect(other.energyKJ / k).toBeCloseTo(one.energyKJ, 6)
      },
    ),
  )
})

test('acid is counted by the gram, not by its mark: 35 g of kimchi are a squeeze of lime, and no more', () => {
  const kimchi = ingredient({ id: 'kimchi', acid: 3 })
  const lime = ingredient({ id: 'lime', role: 'liquid-seasoning:acid', acid: 5 })
  const sourness = (one: typeof RICE, massG: number) =>
    balanceOf([part(RICE, 1000 - massG), part(one, massG)]).metrics.acidScale
  expect(sourness(kimchi, 35)).toBeCloseTo(sourness(lime, 7), 6)
  fc.assert(
    fc.property(fc.nat(500), fc.nat(500), (a, b) => {
      expect(Math.sign(acidByGram(a / 100) - acidByGram(b / 100))).toBe(Math.sign(a - b))
    }),
  )
})

test('it says who brings the salt', () => {
  const [first, second] = causesOf('saltFraction', DUCK_LIKE)
  expect([first?.id, second?.id]).toEqual(['soy', 'greens'])
  expect(first?.share).toBeCloseTo(1560 / 3029.1, 4)
})

test('diets: vegetarian with egg, pork named when it is in', () => {
  expect(balanceOf(DUCK_LIKE).traits).toEqual(['vegetarian'])
  expect(balanceOf([...DUCK_LIKE, part(PORK, 50)]).traits).toEqual(['pork'])
})

describe('repairs', () => {
  const salty = DUCK_LIKE.map((one) => (one.id === 'soy' ? { ...one, massG: 64 } : one))
  const apply = (parts: BalancePart[], repair: ReturnType<typeof repairOf>) =>
    parts.map((one) => ({ ...one, massG: repair?.changes.find((change) => change.id === one.id)?.toG ?? one.massG }))

  test('too much soy is mended by less soy, and by nothing else', () => {
    const repair = repairOf(salty, soyBrown)
    expect(repair?.changes.map((change) => change.id)).toEqual(['soy'])
    expect(repair?.changes[0]?.toG).toBeLessThan(64)
  })

  test('a repaired dish is within every band', () => {
    const amount = fc.double({ min: 1, max: 90, noNaN: true })
    fc.assert(
      fc.property(amount, amount, fc.double({ min: 1, max: 20, noNaN: true }), (soyG, greensG, saltG) => {
        const parts = [
          part(RICE, 660),
          part(EGG, 105),
          part(GREENS, greensG),
          part(OIL, 35),
          part(SOY, soyG),
          part(SALT, saltG),
        ]
        const repair = repairOf(parts, soyBrown)
        if (!repair) return
        const after = apply(parts, repair)
        const left = findingsOf(balanceOf(after), after, soyBrown).filter((one) => one.kind === 'outside')
        expect(left).toEqual([])
      }),
    )
  })

  test('no smaller change of one amount would do', () => {
    const repair = repairOf(salty, soyBrown)
    const change = repair!.changes[0]!
    const halfway = salty.map((one) =>
      one.id === 'soy' ? { ...one, massG: change.toG + (64 - change.toG) * 0.15 } : one,
    )
    expect(findingsOf(balanceOf(halfway), halfway, soyBrown).some((one) => one.kind === 'outside')).toBe(true)
  })

  test('wet sprouts are not cut to a tenth: past a half of them no repair is offered, and the dish says to drain or sear', () => {
    const sprouts = ingredient({ id: 'sprouts', role: 'vegetable', freeLiquidFraction: 0.25 })
    const wet = (massG: number) => [part(RICE, 660), part(EGG, 105), part(OIL, 30), part(SOY, 26), part(sprouts, massG)]
    const least = (massG: number) =>
      repairOf(wet(massG), soyBrown)?.changes.find((change) => change.id === 'sprouts')?.toG ?? massG
    for (const massG of [90, 150, 300, 500]) expect(least(massG)).toBeGreaterThanOrEqual(massG / 2)
    expect(repairOf(wet(500), soyBrown)).toBeNull()
    expect(findingsOf(balanceOf(wet(500)), wet(500), soyBrown)).toContainEqual(
      expect.objectContaining({ metric: 'freeLiquidFraction', side: 'high' }),
    )
  })

  test('a dish that is right needs none', () => {
    const right = DUCK_LIKE
    expect(findingsOf(balanceOf(right), right, soyBrown).filter((one) => one.kind === 'outside')).toEqual([])
    expect(repairOf(right, soyBrown)).toBeNull()
  })
})

describe('cost', () => {
  const price = (fromDay: string, priceMinor: number) => ({ fromDay, packName: 'sack', packG: 10_000, priceMinor })
  test('the price in force is the latest that had begun', () => {
    const prices = [price('2026-01-05', 900), price('2026-09-01', 1000)]
    expect(priceOn(prices, '2026-08-31')?.priceMinor).toBe(900)
    expect(priceOn(prices, '2026-09-01')?.priceMinor).toBe(1000)
    expect(priceOn(prices, '2025-01-01')).toBeNull()
  })

  test('what is trimmed away is paid for; what has no price is named, not guessed', () => {
    const priced = { massG: 80, ediblePortion: 0.8, price: price('2026-01-01', 1000), name: 'onion' }
    expect(costOf([priced]).costMinor).toBeCloseTo(10, 9)
    expect(costOf([priced, { ...priced, price: null, name: 'crab' }])).toMatchObject({
      costMinor: null,
      unpriced: ['crab'],
    })
    expect(marginFraction(1250, 286)).toBeCloseTo(0.7712, 4)
  })
})
