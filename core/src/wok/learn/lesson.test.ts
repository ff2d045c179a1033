import { scoreOnRing } from '../../test/kitchen'
import { saidAt, type RunWord } from '../../test/runEvents'
import type { RunEvent } from '../runEvent'
import { lessonOf } from './lesson'

const score = scoreOnRing(2)
const run = { id: 'run', stationId: 'ring-a', dishId: 'everything', firedAtMs: 0, score, handsFree: false }
const event = (atS: number, word: RunWord): RunEvent =>
  saidAt(atS * 1000, word, `${atS} ${word.kind} ${'stepId' in word ? word.stepId : ''}`)

/** Every step cooked for so many times its plan; a check is answered `lookS` after its time. */
function cooked(times: number, lookS = 0): RunEvent[] {
  let atS = 0
  return score.steps.map((step): RunEvent => {
    atS += step.durationS * times + (step.check ? lookS : 0)
    return step.check
      ? event(atS, { kind: 'checked', stepId: step.id, ok: true, tempC: null, tempF: null })
      : event(atS, { kind: 'done', stepId: step.id })
  })
}
const ratio = (events: RunEvent[]) => {
  const lesson = lessonOf(run, events, 1e9)
  return lesson && lesson.actualS / lesson.plannedS
}

test('a run that takes a tenth longer says so; the seconds in which somebody looks do not', () => {
  expect(ratio(cooked(1))).toBeCloseTo(1, 3)
  expect(ratio(cooked(1.1))).toBeCloseTo(1.1, 2)
  expect(ratio(cooked(1, 4))).toBeCloseTo(1, 3)
  expect(ratio(cooked(1, 60))).toBeGreaterThan(1.1)
})

test('a run that went on by itself says that the plan was right', () => {
  const yes = score.steps
    .filter(({ check }) => check)
    .map((step) => event(0, { kind: 'checked', stepId: step.id, ok: true, tempC: null, tempF: null }))
  let atS = 0
  const events = score.steps.flatMap((step, i) => {
    atS += step.durationS
    const answer = yes.find((one) => 'stepId' in one && one.stepId === step.id)
    return answer ? [{ ...answer, atMs: atS * 1000, id: `y-${i}` }] : []
  })
  expect(lessonOf({ ...run, handsFree: true }, events, 1e9)!.actualS).toBeCloseTo(
    lessonOf({ ...run, handsFree: true }, events, 1e9)!.plannedS,
    3,
  )
})

test('nothing is learnt from a run that was stopped, left open for hours, or scored by house figures', () => {
  expect(lessonOf(run, [...cooked(1).slice(0, 5), event(400, { kind: 'stopped' })], 1e9)).toBeNull()
  const left = cooked(1).map((one, i) => (i < 6 ? one : { ...one, atMs: one.atMs + 20 * 3_600_000 }))
  expect(lessonOf(run, left, 1e12)).toBeNull()
  const { basis: _basis, ...bare } = score
  expect(lessonOf({ ...run, score: bare }, cooked(1), 1e9)).toBeNull()
  expect(lessonOf(run, cooked(1).slice(0, 5), 1e9)).toBeNull()
})

test('a step with a trouble, a turned flame, or a rest that was worked out again does not count', () => {
  const at = score.steps.findIndex(({ action }) => action === 'riceIn')
  const riceIn = score.steps[at]!
  const slow = cooked(1).map((one, i) => (i < at ? one : { ...one, atMs: one.atMs + 60_000 }))
  expect(ratio(slow)).toBeGreaterThan(1.05)
  const inside = cooked(1)[at - 1]!.atMs / 1000 + 2
  const sticking = event(inside, { kind: 'trouble', trouble: 'sticking', stepId: riceIn.id })
  expect(ratio([...slow, sticking])).toBeCloseTo(1, 3)
  expect(ratio([...slow, event(inside, { kind: 'flame', stepId: riceIn.id, heat: 'low' })])).toBeCloseTo(1, 3)
})
