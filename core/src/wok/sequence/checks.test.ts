import { aGriddle, aWok, HOB } from '../../test/stations'
import { aBatch } from '../../test/wokDishes'
import { RAW_MEAT_DISHES } from '../../test/rawMeatDishes'
import { BASIC, GARLIC, line, mm, type Line } from '../../test/workingLines'
import { usualHandling } from '../heat/usualStations'
import type { HeatStation } from '../heat/vessel'
import { axesOf, majorChoices } from './choices'
import { derive, startDeriving } from './derive'
import { movesOf } from './grammar'
import { faultsOf } from './judge'
import { simulate } from './simulate'

const STATIONS: readonly [string, HeatStation, number][] = [
  ['a hob', HOB, 260],
  ['a ring of 15 kW', aWok(15_000), 450],
  ['a griddle', aGriddle(), 700],
]
const batch = (station: HeatStation, batchMassG: number, lines: readonly Line[]) =>
  aBatch(
    [],
    {},
    {
      station,
      batchMassG,
      handling: usualHandling(station),
      dish: { components: [...BASIC, ...lines].map(line) },
    },
  )

describe.each(STATIONS)('at %s', (_, station, batchMassG) => {
  test.each(RAW_MEAT_DISHES)('%s: a probe finds done what it is put into', (__, lines) => {
    const derived = derive(batch(station, batchMassG, lines))
    if (derived.kind !== 'derived') throw new Error('it derives')
    for (const { unproven } of derived.best.run.moves) expect(unproven).toEqual([])
  })
})

/** Garlic near its burn limit ends the base, done or not; the rice that follows would finish thick frozen shrimp, unseen. */
test('raw food that only the rice would finish is a fault at its check', () => {
  const SHRIMP: Line = ['shrimp', 'protein', 20, { food: 'seafood', state: 'frozen', ...mm(16) }]
  const { dish, components, parts, station } = startDeriving(batch(HOB, 260, [SHRIMP, GARLIC]))
  const runs = majorChoices(axesOf(dish.schools, parts, station), dish.schools)
    .map((choice) => simulate(parts, choice, movesOf(parts, choice), station, 'ranking'))
    .filter((run) => run.moves.some(({ unproven }) => unproven.length > 0))
  expect(runs.length).toBeGreaterThan(0)
  for (const run of runs)
    expect(faultsOf(run, components, dish)).toContainEqual({ code: 'rawCold', componentIds: ['shrimp'] })
  const finished = runs.filter((run) =>
    run.ended.every(({ one, peakC }) => one.place !== 'raw' || peakC >= (one.coreC ?? 0)),
  )
  expect(finished.length).toBeGreaterThan(0)
})

/** Half way into the rice is a place for peas with any egg; only an egg under the rice has them there by itself. */
test('a pin that takes another place for one thing does not take another egg for the dish', () => {
  const lines: Line[] = [
    ['egg', 'egg', 15],
    GARLIC,
    ['paste', 'paste', 4],
    ['shrimp', 'protein', 12, { food: 'seafood', ...mm(12) }],
    ['ham', 'protein', 8, { food: 'cured', readyToEat: true }],
    ['peas', 'vegetable', 8, { food: 'peas', state: 'blanched' }],
    ['soy', 'liquidSeasoning', 3],
  ]
  const input = batch(aWok(15_000), 450, lines)
  const free = derive(input)
  const pinned = derive({ ...input, dish: { ...input.dish, pins: [{ component: 'peas', after: 'rice' }] } })
  if (free.kind !== 'derived' || pinned.kind !== 'derived') throw new Error('both derive')
  expect(pinned.pins.map(({ isKept }) => isKept)).toEqual([true])
  expect(pinned.best.choice).toMatchObject({ egg: free.best.choice.egg, readyVeg: 'halfTime' })
})
