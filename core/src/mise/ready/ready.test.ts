import { readinessOf, type ReadyInput } from './readiness'
import { portionsBefore, reachOf } from './stave'

const boats = [10, 20, 30].flatMap((atMs) => [
  { atMs, dishId: 'duck', portions: 2 },
  { atMs, dishId: 'crab', portions: 1 },
])
const sauce = {
  itemId: 'recipe:sauce',
  name: 'sauce',
  wantedG: 60,
  shortG: 0,
  uses: [{ dishId: 'duck', componentId: 's', gPerPortion: 10, portions: 6 }],
}
const picked = {
  itemId: 'cut:crab',
  name: 'crab',
  wantedG: 90,
  shortG: 0,
  uses: [{ dishId: 'crab', componentId: 'c', gPerPortion: 30, portions: 3 }],
}

const input = (part: Partial<ReadyInput> = {}): ReadyInput => ({
  boats,
  outlook: [
    { ...sauce, willHaveG: 60 },
    { ...picked, willHaveG: 90 },
  ],
  stockG: new Map([
    ['recipe:sauce', 60],
    ['cut:crab', 90],
  ]),
  tasks: [],
  schedule: null,
  rice: {
    usableG: 2000,
    comingG: 0,
    startByMs: null,
    gPerPortion: new Map([
      ['duck', 200],
      ['crab', 200],
    ]),
  },
  stations: [{ id: 'ring', name: 'Ring', kind: 'wok', heatMin: 8 }],
  stationKindOf: new Map([
    ['duck', 'wok'],
    ['crab', 'wok'],
  ]),
  checked: new Map([
    ['station:ring', 1],
    ['probe', 1],
  ]),
  handsHere: 2,
  serviceMs: 10,
  checks: ['probe'],
  ...part,
})

test('a mass reaches to the first boat that it does not serve in full', () => {
  const uses = [{ dishId: 'duck', gPerPortion: 10 }]
  expect(reachOf(60, uses, boats)).toEqual({ untilMs: null, shortG: 0, shortPortions: 0 })
  expect(reachOf(35, uses, boats)).toEqual({ untilMs: 20, shortG: 25, shortPortions: 2.5 })
  expect(reachOf(0, uses, boats)).toMatchObject({ untilMs: 10, shortPortions: 6 })
  expect(portionsBefore(boats, 20)).toBe(3)
})

test('everything stands: ready, for all portions', () => {
  expect(readinessOf(input())).toMatchObject({
    portions: 9,
    holdsPortions: 9,
    nowPortions: 9,
    untilMs: null,
    open: [],
    firstOut: null,
  })
})

test('the shortest stave decides, and says which dish goes and what is missing', () => {
  const ready = readinessOf(
    input({
      outlook: [
        { ...sauce, willHaveG: 60 },
        { ...picked, willHaveG: 45 },
      ],
      stockG: new Map([
        ['recipe:sauce', 60],
        ['cut:crab', 45],
      ]),
    }),
  )
  expect(ready).toMatchObject({
    holdsPortions: 3,
    untilMs: 20,
    firstOut: { id: 'cut:crab', kind: 'mise', dishIds: ['crab'], shortPortions: 1.5, missingG: 45 },
  })
  expect(ready.open).toMatchObject([{ id: 'cut:crab', state: 'short', fix: { kind: 'bring', massG: 45, doByMs: 20 } }])
})

test('what the plan still makes is coming, with the task that brings it and its latest start', () => {
  const task = { id: 't', itemId: 'cut:crab', status: 'open' } as never
  const at = { id: 't', startMs: 4, endMs: 8, latestStartMs: 6, isFixed: false } as never
  const ready = readinessOf(
    input({ stockG: new Map([['recipe:sauce', 60]]), tasks: [task], schedule: { tasks: [at] } as never }),
  )
  expect(ready).toMatchObject({ holdsPortions: 9, nowPortions: 0 })
  expect(ready.open).toMatchObject([
    { id: 'cut:crab', state: 'coming', fix: { kind: 'task', taskId: 't', doByMs: 6, readyMs: 8 } },
  ])
})

test('a cold station, a check not made, too few hands and too little rice each have their stave', () => {
  const cold = readinessOf(input({ checked: new Map() }))
  expect(cold.open.map((stave) => [stave.id, stave.fix?.kind])).toEqual([
    ['station:ring', 'light'],
    ['probe', 'check'],
  ])
  const nobody = readinessOf(input({ handsHere: 0 }))
  expect(nobody).toMatchObject({ holdsPortions: 0, firstOut: { kind: 'hands', fix: { kind: 'staff' } } })
  const rice = readinessOf(input({ rice: { ...input().rice, usableG: 700, comingG: 300 } }))
  expect(rice).toMatchObject({ untilMs: 20, firstOut: { kind: 'rice', fix: { kind: 'rice', massG: 800 } } })
})
