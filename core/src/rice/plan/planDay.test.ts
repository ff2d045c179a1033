import { leftForDay, lotForDay, plannedDay, plannedService, type LotForDay } from './planDay'

const input = { serviceId: 'evening', forecast: { expected: 80, spread: 16 }, portionG: 220 }
const NONE = { portions: {}, event: null }

test('the record plans, an event moves it, a person overrules both', () => {
  expect(plannedService(input, NONE)).toEqual({ portions: 80, spread: 16, portionG: 220 })
  const regatta = { portions: {}, event: { name: 'regatta', percent: 50 } }
  expect(plannedService(input, regatta)).toMatchObject({ portions: 120, spread: 24 })
  expect(plannedService(input, { ...regatta, portions: { evening: 100 } })).toMatchObject({ portions: 100, spread: 10 })
  expect(plannedService({ ...input, forecast: null }, NONE)).toMatchObject({ portions: 0, spread: 0 })
})

test('services add up, their misses like independent ones, the portion by what is sold', () => {
  const noon = { portions: 30, spread: 6, portionG: 200 }
  const evening = { portions: 90, spread: 8, portionG: 240 }
  expect(plannedDay([noon, evening])).toEqual({ expected: 120, spread: 10, portionG: 230 })
  expect(plannedDay([{ portions: 0, spread: 0, portionG: 220 }])).toMatchObject({ expected: 0, portionG: 220 })
})

test('tonight takes the oldest; tomorrow gets what may still be used, and never what stood on the bench', () => {
  const lot = (id: string, massG: number, useByMs: number, stage: LotForDay['stage'] = 'ready'): LotForDay => ({
    id,
    name: id,
    massG,
    useByMs,
    stage,
    cookedAtMs: useByMs - 100,
  })
  const lots = [
    lot('old', 1000, 50),
    lot('new', 4000, 200),
    lot('out', 500, 300, 'tempering'),
    lot('hot', 3000, 300, 'cooling'),
  ]
  expect(leftForDay(lots, 0, 100)).toBe(7000)
  expect(leftForDay(lots, 2500, 100)).toBe(6000)
  expect(leftForDay(lots, 90_000, 100)).toBe(3000)
  expect(leftForDay(lots, 0, 250)).toBe(3000)
})

test('a load on the heat counts by what it will weigh: 3000 g rice, 3600 g water, 8 g/min for 30 min', () => {
  const state = { massG: 0, useByMs: null, cookedAtMs: null }
  const load = { vesselId: 'v', method: 'steamer' as const, blend: { long: 1 }, dryMassG: 3000, waterG: 3600 }
  const lot = { id: 'a', name: 'R-1', load }
  const vessels = [{ id: 'v', steamGPerMin: 8 }]
  expect(lotForDay(lot, { ...state, stage: 'cooking' }, vessels)).toMatchObject({ stage: 'cooling', massG: 6360 })
  expect(lotForDay(lot, { ...state, stage: 'refused', massG: 900 }, vessels)).toBeNull()
  expect(lotForDay(lot, { ...state, stage: 'ready', massG: 900 }, vessels)).toMatchObject({ massG: 900 })
})
