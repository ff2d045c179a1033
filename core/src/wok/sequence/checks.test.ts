import { aGriddle, aWok, HOB } from '../../test/stations'
import { aBatch } from '../../test/wokDishes'
import { BASIC, DISHES, GARLIC, line, mm, type Line } from '../../test/workingDishes'
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
const RAW = DISHES.filter(([, lines]) =>
  lines.some(([, role, , more]) => role === 'protein' && more?.state !== 'cooked'),
)

describe.each(STATIONS)('at %s', (_, station, batchMassG) => {
  test.each(RAW)('%s: a probe finds done what it is put into', (__, lines) => {
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
