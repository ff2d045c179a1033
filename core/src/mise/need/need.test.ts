import fc from 'fast-check'
import { input, DISHES, drawn, HOUR_MS, SERVICE_MS, SHELF } from '../../test/prepKitchen'
import { buyList, doubtDelivery } from './buy'
import { cautionsOf } from './cautions'
import { stepsOf } from './cards'
import { itemIdOf } from './item'
import { netNeeds, type Needs } from './netNeeds'
import { prepTasks } from './prepTasks'
import { riceTasks } from './riceTasks'
import { packRails, pansFor, RAIL_MM } from './vessels'

const netOf = ({ items }: Needs) =>
  Object.fromEntries(items.map((item) => [item.itemId, Math.round(item.netG * 1e6) / 1e6]))

test('needs by hand: sauce of a sauce by its yield, cuts by what is left after trimming, a film once a batch', () => {
  const needs = netNeeds(input())
  // 20 × 200 g × 8 % = 320 g glaze, boiled down to 0.8: 200 g house soy and 200 g wine; house soy is nine tenths soy.
  expect(netOf(needs)).toMatchObject({
    'recipe:glaze': 320,
    'recipe:house-soy': 200,
    'ingredient:wine': 200,
    'ingredient:soy': 180,
    'ingredient:sugar': 20,
    // 20 × 4 g + 10 × 2 g, of which peeling leaves 0.8.
    'cut:garlic:mince-2': 100,
    'ingredient:garlic': 125,
    'cut:crab:shred-6': 400,
    'ingredient:crab': 800,
    // Half a film of 6 g a portion, two to a batch, and 2 % of the rice.
    'ingredient:oil': 20 * (3 + 4),
  })
  expect(needs.faults).toEqual([])
})

test('what is on hand is taken off at every step, the old and what spoils before the end is not', () => {
  const onHand = [
    { itemId: 'recipe:glaze', massG: 300, useByMs: SERVICE_MS + 2 * HOUR_MS },
    { itemId: 'recipe:glaze', massG: 999, useByMs: SERVICE_MS },
    { itemId: 'ingredient:soy', massG: 5, useByMs: null },
  ]
  expect(netOf(netNeeds(input({ onHand })))).toMatchObject({
    'recipe:glaze': 20,
    'recipe:house-soy': 12.5,
    'ingredient:soy': 6.25,
    'ingredient:sugar': 1.25,
  })
})

test('a par is made even where no dish asks for as much, and nothing where there is enough', () => {
  const pars = new Map([
    ['recipe:house-soy', 1000],
    ['ingredient:wine', 50],
  ])
  expect(netOf(netNeeds(input({ pars })))).toMatchObject({ 'recipe:house-soy': 1000, 'ingredient:wine': 200 })
  const none = netNeeds(input({ pars, portions: new Map() }))
  expect(netOf(none)).toEqual({
    'recipe:house-soy': 1000,
    'ingredient:wine': 50,
    'ingredient:soy': 900,
    'ingredient:sugar': 100,
  })
})

/** Every gram of every portion walked down one by one, without sharing anything between portions. */
function slowRecount(portions: ReadonlyMap<string, number>): Map<string, number> {
  const sums = new Map<string, number>()
  const add = (id: string, massG: number) => sums.set(id, (sums.get(id) ?? 0) + massG)
  const open = (recipeId: string, massG: number): void => {
    const recipe = SHELF.recipes.get(recipeId)!
    const rawG = recipe.lines.reduce((sum, line) => sum + line.massG, 0)
    for (const line of recipe.lines) {
      const partG = (line.massG / (rawG * recipe.yieldFraction)) * massG
      if (line.recipeId === undefined)
        add(line.ingredientId!, partG / SHELF.ingredients.get(line.ingredientId!)!.ediblePortion)
      else open(line.recipeId, partG)
    }
  }
  for (const dish of DISHES)
    for (let n = 0; n < (portions.get(dish.id) ?? 0); n += 1)
      for (const one of dish.components) {
        if (one.role === 'rice') continue
        const massG = (one.ratioG * dish.portionRiceG) / 100 + (one.scaling === 'film' ? one.filmG! / 2 : 0)
        if (one.recipeId !== undefined) open(one.recipeId, massG)
        else add(one.ingredientId!, massG / (one.cut ? SHELF.ingredients.get(one.ingredientId!)!.ediblePortion : 1))
      }
  return sums
}

test('net needs come to a slow recount, portion by portion', () => {
  fc.assert(
    fc.property(fc.nat(40), fc.nat(40), (glazed, crabby) => {
      const portions = new Map([
        ['glazed', glazed],
        ['crabby', crabby],
      ])
      const net = netOf(netNeeds(input({ portions })))
      for (const [id, massG] of slowRecount(portions)) expect(net[`ingredient:${id}`] ?? 0).toBeCloseTo(massG, 4)
    }),
    { numRuns: 60, seed: 21 },
  )
})

test('a sub-recipe that contains itself is named and the rest is still worked out', () => {
  const loop = {
    ...SHELF.recipes.get('house-soy')!,
    lines: [{ id: 'glaze', name: 'glaze', massG: 10, cut: null, recipeId: 'glaze' }],
  }
  const shelf = { ...SHELF, recipes: new Map([...SHELF.recipes, ['house-soy', loop]]) }
  const needs = netNeeds(input({ shelf }))
  expect(needs.faults).toEqual([{ itemId: 'recipe:house-soy', why: 'cycle', name: 'glaze' }])
  expect(netOf(needs)['cut:garlic:mince-2']).toBe(100)
})

describe('tasks', () => {
  const { tasks } = drawn()
  const find = (id: string) => tasks.find((task) => task.id === id)!

  test('each item is made after what goes into it, waits stand apart from hands, rails come last with all hands', () => {
    expect(find('recipe:glaze/1-mix').needs.map((need) => need.taskId)).toEqual(['recipe:house-soy/1-mix'])
    expect(find('cut:crab:shred-6/1-thaw-wait')).toMatchObject({ hands: 0, durationS: 19 * 3600, isWait: true })
    expect(find('cut:crab:shred-6/2-cut').needs).toEqual([
      { taskId: 'cut:crab:shred-6/1-thaw-wait', minLagS: 0, maxLagS: 24 * 3600 },
    ])
    const rails = find('rails')
    expect(rails).toMatchObject({ hands: 2, durationS: 900 })
    expect(rails.needs.map((need) => need.taskId).sort()).toEqual([
      'cut:crab:shred-6/2-cut',
      'cut:garlic:mince-2/1-cut',
      'recipe:glaze/1-mix',
    ])
  })

  test('only the last step gives a lot, the first takes what it is made of', () => {
    expect(find('cut:crab:shred-6/1-thaw')).toMatchObject({
      gives: null,
      takes: [{ itemId: 'ingredient:crab', massG: 800 }],
    })
    expect(find('cut:crab:shred-6/2-cut')).toMatchObject({
      takes: [],
      gives: { itemId: 'cut:crab:shred-6', massG: 400, keepS: 24 * 3600 },
      portions: 10,
      dishIds: ['crabby'],
    })
  })

  test('what keeps shorter than the service lasts is named, and still planned as late as can be', () => {
    const needs = netNeeds(input())
    const cards = [
      {
        itemId: 'recipe:glaze',
        keepH: 0.5,
        steps: stepsOf(
          needs.items.find((item) => item.itemId === 'recipe:glaze')!,
          [],
          'sauce',
        ),
      },
    ]
    const made = prepTasks({
      needs,
      shelf: SHELF,
      cards,
      serviceFromMs: SERVICE_MS,
      serviceToMs: SERVICE_MS + HOUR_MS,
      railsS: 900,
      railHands: 2,
    })
    expect(made.keepFaults).toEqual([{ itemId: 'recipe:glaze', name: 'glaze', keepS: 1800, neededS: 4500 }])
    const glaze = made.tasks.find((task) => task.id === 'recipe:glaze/1-mix')!
    expect(glaze.notBeforeMs! + glaze.durationS * 1000).toBeLessThanOrEqual(SERVICE_MS - 900_000)
  })

  test('rice loads are washed, cooked in their vessel, spread at once, and cold before the kitchen closes', () => {
    const load = { dryMassG: 3000, waterG: 3600, cookedMassG: 6300, cookS: 1200, restS: 600 }
    const rice = riceTasks({
      loads: [load, load] as never,
      vesselId: 'steamer',
      coolS: 9000,
      coldByMs: SERVICE_MS,
      portions: 50,
    })
    expect(rice.map((task) => [task.id, task.hands, task.durationS])).toEqual(
      [1, 2].flatMap((n) => [
        [`rice:${n}/wash`, 1, 600],
        [`rice:${n}/cook`, 0, 1800],
        [`rice:${n}/spread`, 1, 480],
        [`rice:${n}/cool`, 0, 9000],
        [`rice:${n}/log`, 1, 60],
      ]),
    )
    expect(rice[1]).toMatchObject({ equipment: ['vessel:steamer'], dueMs: SERVICE_MS })
  })
})

test('an id says all of an item', () => {
  expect(itemIdOf({ kind: 'cut', ingredientId: 'garlic', cut: { shape: 'mince', sizeMm: 2 } })).toBe(
    'cut:garlic:mince-2',
  )
  expect(itemIdOf({ kind: 'cut', ingredientId: 'egg', cut: { shape: 'beaten', sizeMm: null } })).toBe('cut:egg:beaten')
  expect(itemIdOf({ kind: 'recipe', recipeId: 'glaze' })).toBe('recipe:glaze')
})

test('what may hurt stands at its step', () => {
  const plain = { food: 'hardVeg', isRaw: false, hasChilli: false, cutSizeMm: 5, massG: 500 } as const
  expect(cautionsOf({ ...plain, kind: 'cut', food: 'poultry', isRaw: true })).toEqual(['raw'])
  expect(cautionsOf({ ...plain, kind: 'cut', cutSizeMm: 2 })).toEqual(['slicer'])
  expect(cautionsOf({ ...plain, kind: 'pound', hasChilli: true })).toEqual(['chilli'])
  expect(cautionsOf({ ...plain, kind: 'blanch', massG: 20_000 })).toEqual(['steam', 'lift'])
  expect(cautionsOf({ ...plain, kind: 'pick', food: 'seafood' })).toEqual(['shellfish'])
})

describe('pans', () => {
  test('a mass goes into the smallest pan that holds it, shallow before deep, several where none does', () => {
    expect(pansFor(300, 0.55)).toEqual({ size: '1/9', depthMm: 65, count: 1 })
    expect(pansFor(0)).toBeNull()
    expect(pansFor(60_000, 0.55)).toMatchObject({ size: '1/1', depthMm: 150 })
    expect(pansFor(60_000, 0.55)!.count).toBeGreaterThan(3)
  })

  test('rails: no pan overlaps another or leaves its rail, and none is lost', () => {
    const size = fc.constantFrom('1/1', '1/2', '1/3', '1/4', '1/6', '1/9')
    fc.assert(
      fc.property(fc.array(size, { maxLength: 40 }), (sizes) => {
        const pans = sizes.map((one, i) => ({ itemId: `p${i}`, size: one as '1/1' }))
        const rails = packRails(pans)
        expect(
          rails
            .flat()
            .map(({ pan }) => pan.itemId)
            .sort(),
        ).toEqual(pans.map((pan) => pan.itemId).sort())
        for (const spots of rails)
          for (const a of spots) {
            expect(a.xMm + a.alongMm).toBeLessThanOrEqual(RAIL_MM.alongMm + 2)
            expect(a.yMm + a.acrossMm).toBeLessThanOrEqual(RAIL_MM.acrossMm + 2)
            for (const b of spots)
              if (a !== b)
                expect(
                  a.xMm + a.alongMm <= b.xMm + 1e-9 ||
                    b.xMm + b.alongMm <= a.xMm + 1e-9 ||
                    a.yMm + a.acrossMm <= b.yMm + 1e-9 ||
                    b.yMm + b.acrossMm <= a.yMm + 1e-9,
                ).toBe(true)
          }
        const area = pans.reduce((sum, { size: one }) => sum + 1 / Number(one.split('/')[1]), 0)
        expect(rails.length).toBeGreaterThanOrEqual(Math.floor(area - 0.35))
      }),
      { numRuns: 100, seed: 22 },
    )
  })
})

test('what to buy comes in whole packs where one is known', () => {
  const needs = netNeeds(input())
  const lines = buyList(needs.items, SHELF, (id) =>
    id === 'soy' ? { packName: 'can', packG: 100, priceMinor: 250 } : null,
  )
  expect(lines.find((line) => line.ingredientId === 'soy')).toMatchObject({ packs: 2, buyG: 200, costMinor: 500 })
  expect(lines.find((line) => line.ingredientId === 'crab')).toMatchObject({ packs: null, buyG: 800, costMinor: null })
  expect(lines.some((line) => line.name.startsWith('cut'))).toBe(false)
})

test('ten times the order is a slipped digit, four times is asked about, a little more is not', () => {
  expect(doubtDelivery(1500, 15_000)).toEqual({ kind: 'ten-times', likelyG: 1500 })
  expect(doubtDelivery(1500, 1_490_000)).toEqual({ kind: 'ten-times', likelyG: 1490 })
  expect(doubtDelivery(1500, 6000)).toEqual({ kind: 'far-more', orderedG: 1500 })
  expect(doubtDelivery(1500, 1800)).toBeNull()
  expect(doubtDelivery(1500, 900)).toBeNull()
})
