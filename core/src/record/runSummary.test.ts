import { scoreOnRing } from '../test/kitchen'
import type { RunEvent } from '../wok/runEvent'
import { runRecord } from './runSummary'

const score = scoreOnRing(2)
const FIRED_MS = 1_700_000_000_000
const run = { id: 'run', firedAtMs: FIRED_MS, score, handsFree: true }
const at = (second: number) => FIRED_MS + second * 1000
const first = score.steps[0]!
const later: RunEvent = {
  id: 'a',
  runId: 'run',
  deviceId: 'd',
  atMs: at(2),
  counter: 0,
  kind: 'later',
  stepId: first.id,
  delayS: 10,
}
const stop: RunEvent = {
  id: 'b',
  runId: 'run',
  deviceId: 'd',
  atMs: at(first.durationS + 1),
  counter: 0,
  kind: 'stopped',
}

test('plan stands beside run: ten seconds more are ten seconds late', () => {
  const record = runRecord(run, [later], at(first.durationS + 11))
  expect(record.steps[0]).toMatchObject({ plannedStartS: 0, actualStartS: 0, lateS: 0 })
  expect(record.steps[1]).toMatchObject({ actualStartS: first.durationS + 10, lateS: 10, endedBy: null })
  expect([record.plannedS, record.actualS, record.lateS]).toEqual([score.totalS, null, null])
})

test('a stopped run leaves later steps unreached and is not called late', () => {
  const record = runRecord(run, [later, stop], at(500))
  expect(record.steps[1]).toMatchObject({ actualStartS: null, lateS: null })
  expect(record).toMatchObject({ actualS: first.durationS + 1, lateS: null })
})
