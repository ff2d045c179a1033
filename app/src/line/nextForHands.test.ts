import type { Kitchen } from 'contract/kitchen'
import { batchToFire, nextBoatsMs, nextForHands, runAt } from './nextForHands'
import type { Line, ShownBatch, ShownRun } from './useLinePlan'

const batch = (key: string, stationId: string, setUpStartMs: number) => ({ key, stationId, setUpStartMs }) as ShownBatch
const run = (stationId: string, dueMs: number) => ({ run: { id: stationId, stationId }, state: { dueMs } }) as ShownRun
const line = (batches: ShownBatch[], runs: ShownRun[]) => ({ batches, runs }) as unknown as Line

test('the hands are wanted where something is due first', () => {
  expect(nextForHands(line([batch('a', 'ring-a', 5000)], [run('ring-b', 2000)]), 0)).toMatchObject({
    kind: 'run',
    atMs: 2000,
  })
  expect(nextForHands(line([batch('a', 'ring-a', 1000)], [run('ring-b', 2000)]), 0)).toMatchObject({
    kind: 'fire',
    atMs: 1000,
  })
  expect(nextForHands(line([], []), 0)).toBeNull()
})

test('what is overdue is due now, not in the past', () => {
  expect(nextForHands(line([], [run('ring-b', 2000)]), 9000)).toMatchObject({ atMs: 9000 })
})

test('Fire takes the chosen batch, else the first whose station is free', () => {
  const both = line([batch('a', 'ring-a', 0), batch('b', 'ring-b', 0)], [run('ring-a', 2000)])
  expect(batchToFire(both, null)?.key).toBe('b')
  expect(batchToFire(both, 'a')?.key).toBe('a')
  expect(batchToFire(both, 'gone')?.key).toBe('b')
  expect(runAt(both, 'ring-a')?.run.stationId).toBe('ring-a')
})

test('what is taken away can leave with the next boats of the timetable', () => {
  const at = (h: number, min: number) => Date.UTC(2026, 0, 1, h, min)
  const spans = [{ weekdays: [4], fromMin: 18 * 60, toMin: 19 * 60, everyMin: 20 }]
  const kitchen = { timeZone: 'UTC', waves: { spans, stayMin: 12 } } as unknown as Kitchen
  expect(nextBoatsMs(kitchen, at(18, 25), 3)).toEqual([at(18, 32), at(18, 52), at(19, 12)])
  expect(nextBoatsMs({ ...kitchen, waves: { spans: [], stayMin: 0 } }, at(18, 25), 3)).toEqual([])
})
