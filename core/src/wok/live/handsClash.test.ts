import fc from 'fast-check'
import { runState, type FiredRun } from '../run'
import type { RunEvent } from '../runEvent'
import type { Step } from '../score'
import { handsClash, type HandsClash, type HandsRun } from './handsClash'

const FIRED_MS = 1_700_000_000_000
type Short = [durationS: number, handsS: number, bearsS: number]
function runOf(id: string, firedS: number, short: readonly Short[]): FiredRun {
  let startS = 0
  const steps = short.map(([durationS, handsOnS, bearsS], i): Step => {
    const step: Step = {
      ...{ id: `${id}${i}`, action: 'baseIn', startS, durationS, heat: 'full', entries: [], cue: 'fragrant' },
      ...{ reason: 'slowFirst', cautions: [], check: null, figure: 'model', handsOnS, latestS: startS + bearsS },
    }
    startS += durationS
    return step
  })
  const score = { engine: 'heat-1' as const, steps, totalS: startS, riceMassG: 0, batchMassG: 0 }
  return { id, firedAtMs: FIRED_MS + firedS * 1000, score, handsFree: true }
}
const at = (runs: readonly FiredRun[], nowMs: number, said: readonly RunEvent[] = []): HandsRun[] =>
  runs.map((run) => ({ id: run.id, state: runState(run, said, nowMs) }))
const later = ({ runId, stepId, byS }: NonNullable<HandsClash['wait']>, nowMs: number): RunEvent => ({
  ...{ id: 'w', runId, deviceId: 'phone', atMs: nowMs, counter: 0 },
  ...{ kind: 'later', stepId, delayS: byS },
})

const HEATS: Short = [20, 0, 60]
// Ring A is tossed from second 20 to 50; ring B, fired ten seconds later, wants hands from second 30 on.
const A = runOf('a', 0, [HEATS, [30, 30, 60], [60, 0, 60], [10, 10, 60]])

test('the one that wants hands waits until they are free, if its food bears it', () => {
  const b = runOf('b', 10, [HEATS, [10, 10, 25], [100, 0, 60]])
  const nowMs = FIRED_MS + 12_000
  expect(handsClash(at([A, b], nowMs), nowMs)).toEqual({
    atMs: FIRED_MS + 30_000,
    busy: { runId: 'a', stepId: 'a1' },
    wants: { runId: 'b', stepId: 'b1' },
    wait: { runId: 'b', stepId: 'b0', byS: 20 },
  })
})

test('where it cannot wait, the other one does, unless it has begun', () => {
  const b = runOf('b', 10, [HEATS, [10, 10, 5], [100, 0, 60]])
  const before = FIRED_MS + 12_000
  expect(handsClash(at([A, b], before), before)?.wait).toEqual({ runId: 'a', stepId: 'a0', byS: 20 })
  const begun = FIRED_MS + 22_000
  expect(handsClash(at([A, b], begun), begun)).toMatchObject({ wants: { stepId: 'b1' }, wait: null })
})

test('what has waited already bears so much less', () => {
  const b = runOf('b', 10, [HEATS, [10, 10, 25], [100, 0, 60]])
  const nowMs = FIRED_MS + 12_000
  const waited = later({ runId: 'b', stepId: 'b0', byS: 8 }, nowMs)
  expect(handsClash(at([A, b], nowMs, [waited]), nowMs)?.wait).toEqual({ runId: 'b', stepId: 'b0', byS: 12 })
  const most = later({ runId: 'b', stepId: 'b0', byS: 15 }, nowMs)
  const tight = runOf('b', 10, [HEATS, [10, 10, 19], [100, 0, 60]])
  expect(handsClash(at([A, tight], nowMs, [most]), nowMs)?.wait?.runId).toBe('a')
})

test('no clash: hands that are free in time, one run alone, one that is over, and what is far off', () => {
  const nowMs = FIRED_MS + 12_000
  const free = runOf('b', 34, [HEATS, [10, 10, 25]])
  const far = runOf('b', 10, [
    [200, 0, 60],
    [10, 10, 25],
  ])
  const over = runOf('b', 0, [
    [5, 0, 60],
    [5, 5, 60],
  ])
  for (const other of [free, far, over]) expect(handsClash(at([A, other], nowMs), nowMs)).toBeNull()
  expect(handsClash(at([A], nowMs), nowMs)).toBeNull()
})

test('law: who waits as advised no longer clashes there, and never waits longer than its food bears', () => {
  const short = fc.tuple(fc.integer({ min: 2, max: 60 }), fc.boolean(), fc.integer({ min: 0, max: 90 }))
  const steps = fc
    .array(short, { minLength: 2, maxLength: 6 })
    .map((all) => all.map(([durationS, isHandsOn, bearsS]): Short => [durationS, isHandsOn ? durationS : 0, bearsS]))
  fc.assert(
    fc.property(
      steps,
      steps,
      fc.integer({ min: 0, max: 60 }),
      fc.integer({ min: 0, max: 120 }),
      (a, b, firedS, nowS) => {
        const runs = [runOf('a', 0, a), runOf('b', firedS, b)]
        const nowMs = FIRED_MS + Math.max(firedS, nowS) * 1000
        const clash = handsClash(at(runs, nowMs), nowMs)
        if (!clash?.wait) return
        const { wait, wants, busy } = clash
        const { steps: own } = runs.find(({ id }) => id === wait.runId)!.score
        const next = own[own.findIndex(({ id }) => id === wait.stepId) + 1]!
        expect(wait.byS).toBeLessThanOrEqual(next.latestS! - next.startS)
        const after = handsClash(at(runs, nowMs, [later(wait, nowMs)]), nowMs)
        expect([after?.wants.stepId, after?.busy.stepId]).not.toEqual([wants.stepId, busy.stepId])
      },
    ),
    { endOnFailure: true, numRuns: 400 },
  )
})
