import fc from 'fast-check'
import { DISH } from '../../test/kitchen'
import { countGap, expectedStock, walkingOrder, type Usage } from './expected'
import { stockG, type ItemStock } from './foldStock'
import { usageOf } from './usage'

const item = (part: Partial<ItemStock> = {}): ItemStock =>
  ({ itemId: 'glaze', looseG: 0, lots: [], lastCount: null, otherCount: null, ...part }) as ItemStock
const lot = (id: string, leftG: number, useByMs: number, atMs = 10) => ({
  id,
  leftG,
  massG: leftG,
  useByMs,
  atMs,
  placeId: null,
})
const used = (massG: number, atMs = 50): Usage => ({ itemId: 'glaze', atMs, massG })
const left = (stock: ItemStock, usage: Usage[]) => stockG(expectedStock(new Map([[stock.itemId, stock]]), usage)[0]!)

test('what the wok drew is taken off, and only what was drawn since somebody counted', () => {
  const counted = item({ lots: [lot('a', 900, 100)] as never, lastCount: { atMs: 40 } as never })
  expect(left(counted, [used(200)])).toBe(700)
  expect(left(counted, [used(200, 30)])).toBe(900)
  expect(left(counted, [used(200), { itemId: 'soy', atMs: 60, massG: 500 }])).toBe(700)
})

test('the oldest lot goes first, and an empty one is no lot any more', () => {
  const stock = item({ lots: [lot('young', 500, 300, 20), lot('old', 200, 100)] as never })
  const [now] = expectedStock(new Map([['glaze', stock]]), [used(350)])
  expect(now!.lots.map((one) => [one.id, one.leftG])).toEqual([['young', 350]])
})

test('law: nothing is below nothing, and nothing is there that was not', () => {
  fc.assert(
    fc.property(
      fc.array(fc.integer({ min: 0, max: 900 }), { maxLength: 4 }),
      fc.integer({ min: 0, max: 3000 }),
      (masses, massG) => {
        const stock = item({ lots: masses.map((one, i) => lot(`l${i}`, one, 100 + i)) as never })
        const before = stockG(stock)
        const after = left(stock, [used(massG)])
        expect(after).toBeGreaterThanOrEqual(0)
        expect(after).toBeLessThanOrEqual(before + 1e-6)
        if (masses.length > 0) expect(after).toBeGreaterThanOrEqual(before - massG - masses.length * 0.5 - 1e-6)
      },
    ),
  )
})

test.each([
  [1000, 1000, false],
  [1000, 940, false],
  [1000, 899, true],
  [1000, 1101, true],
  [100, 60, false],
  [100, 40, true],
  [0, 40, false],
  [0, 60, true],
  [10_000, 9_100, false],
])(
  '%i g expected and %i g found: large is %s (a tenth and fifty grams, a house figure)',
  (expectedG, foundG, isLarge) => {
    expect(countGap(expectedG, foundG)).toEqual({ expectedG, foundG, gapG: foundG - expectedG, isLarge })
  },
)

test('the walk follows the shelves, then the alphabet; what has no place is last', () => {
  const row = (itemId: string, placeId: string | null, name = itemId) => ({ itemId, placeId, name })
  const rows = [
    row('d', null),
    row('c', 'dry'),
    row('b', 'walk-in', 'Zest'),
    row('a', 'walk-in', 'apple'),
    row('e', 'gone'),
  ]
  expect(walkingOrder(rows, ['walk-in', 'dry']).map((one) => one.itemId)).toEqual(['a', 'b', 'c', 'd', 'e'])
})

describe('what the wok drew', () => {
  const run = (portions: number, modifiers: string[] = []) => ({
    firedAtMs: 7,
    modifiers,
    parts: [{ portions, modifiers: [] }],
  })
  const grams = (usage: Usage[], itemId: string) =>
    usage.filter((one) => one.itemId === itemId).reduce((sum, one) => sum + one.massG, 0)

  test('rice has its own lots; everything else is drawn by its mass, at the instant of the firing', () => {
    const usage = usageOf([run(2)], () => DISH, 'us')
    expect(usage.every((one) => one.atMs === 7)).toBe(true)
    expect(usage.some((one) => one.itemId.includes('rice'))).toBe(false)
    // 3 g soy to 100 g of rice, 220 g a portion, two portions.
    expect(grams(usage, 'ingredient:soy')).toBeCloseTo(13.2, 9)
  })

  test('what was left out was not drawn, and a dish that is gone drew nothing that can be known', () => {
    expect(
      grams(
        usageOf([run(2, ['no-egg'])], () => DISH, 'us'),
        'ingredient:egg',
      ),
    ).toBe(0)
    expect(usageOf([run(2)], () => undefined, 'us')).toEqual([])
    expect(usageOf([run(2, ['no-rice'])], () => DISH, 'us')).toEqual([])
  })

  test('what ran out was not drawn; what stood in was, by its mass, in a form that the mise has', () => {
    const ranOut = (ingredientId: string | null) => [{ ...run(2), ranOut: [{ componentId: 'soy', ingredientId }] }]
    expect(
      grams(
        usageOf(ranOut(null), () => DISH, 'us'),
        'ingredient:soy',
      ),
    ).toBe(0)
    const drawn = usageOf([run(2)], () => DISH, 'us').length
    expect(usageOf(ranOut(null), () => DISH, 'us')).toHaveLength(drawn - 1)
    const bought = usageOf(ranOut('tamari'), () => DISH, 'us')
    expect(grams(bought, 'ingredient:soy')).toBe(0)
    expect(grams(bought, 'ingredient:tamari')).toBeCloseTo(13.2, 9)
    const dice = { kind: 'cut', ingredientId: 'tamari', cut: { shape: 'dice', sizeMm: 5 } } as const
    const asMise = usageOf(ranOut('tamari'), () => DISH, 'us', [dice])
    expect(grams(asMise, 'cut:tamari:dice-5')).toBeCloseTo(13.2, 9)
  })

  test('law: two runs draw what one of both draws, where nothing counts by the batch', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 9 }), fc.integer({ min: 1, max: 9 }), (a, b) => {
        const apart = usageOf([run(a), run(b)], () => DISH, 'us')
        const together = usageOf([run(a + b)], () => DISH, 'us')
        for (const { itemId } of together) expect(grams(apart, itemId)).toBeCloseTo(grams(together, itemId), 6)
      }),
    )
  })
})
