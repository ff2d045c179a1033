import fc from 'fast-check'
import { component, DISH, RING_HEAT, TOOLS, US } from '../test/kitchen'
import { saidAt, type RunWord } from '../test/runEvents'
import { runState } from '../wok/run'
import type { RunEvent } from '../wok/runEvent'
import { batchScore } from './batchScore'
import { retimeRun, type OrderedRun } from './retimeRun'

const FIRED_MS = 1_700_000_000_000
const at = (second: number) => FIRED_MS + second * 1000
const runOf = (dish = DISH, portions = 2): OrderedRun => {
  const input = { modifiers: [], allergies: [], parts: [{ portions, modifiers: [] }] }
  const result = batchScore(dish, input, RING_HEAT, TOOLS, US)
  if (result.kind !== 'score') throw new Error(result.kind)
  return { id: 'run', firedAtMs: FIRED_MS, score: result.score, handsFree: false, dishVersion: 1, ...input }
}
const run = runOf()
const { steps } = run.score

const say = (second: number, word: RunWord, id = `e-${second}-${word.kind}`): RunEvent => saidAt(at(second), word, id)
/** Every step up to `until` done, each `late` seconds after its planned end where the list says so. */
function doneUntil(until: number, late: Readonly<Record<number, number>>, ofRun = run): RunEvent[] {
  let second = 0
  return ofRun.score.steps.slice(0, until).map((step, index): RunEvent => {
    second += step.durationS + (late[index] ?? 0)
    return step.check
      ? say(second, { kind: 'checked', stepId: step.id, ok: true, tempC: 80, tempF: null }, `c-${index}`)
      : say(second, { kind: 'done', stepId: step.id }, `d-${index}`)
  })
}
const lastS = (events: readonly RunEvent[]) => (events.at(-1)!.atMs - FIRED_MS) / 1000
const rest = (events: readonly RunEvent[], ofRun = run, dish = DISH) =>
  retimeRun(dish, ofRun, events, RING_HEAT.station, US, at(lastS(events)))!

test('a run on time is left as it is, at every step', () => {
  for (let index = 1; index < steps.length - 1; index += 1)
    expect(rest(doneUntil(index, {}))).toMatchObject({ steps: [], laterS: 0, why: 'asPlanned', warnings: [] })
})

test('food that lay in its bowl for longer is cooler: it gets longer to warm, and the rest moves', () => {
  const outs = steps.flatMap(({ entries }, index) => (entries.some(({ motion }) => motion === 'out') ? [index] : []))
  const out = outs.at(-1)!
  const { steps: changed, why, laterS } = rest(doneUntil(out + 1, { [out]: 60 }))
  const back = steps.find(({ id }) => id === 'bringBack')!
  expect(changed.find(({ stepId }) => stepId === 'bringBack')!.durationS).toBeGreaterThan(back.durationS + 5)
  expect(why).toBe('notSoFar')
  expect(laterS).toBeGreaterThan(0)
})

test('rice that came out of its step early is dried later, or said to be wet', () => {
  const rice = steps.findIndex(({ id }) => id === 'riceIn')
  const early = rest(doneUntil(rice + 1, { [rice]: -steps[rice]!.durationS * 0.85 }))
  expect(early.warnings.map(({ code }) => code)).toEqual(expect.arrayContaining(['steams']))
})

test('what reaches its burn limit is not waited for, and is named', () => {
  const dish = {
    ...DISH,
    schools: { egg: 'firstOut' as const, heat: 'full' as const, garlic: 'early' as const },
    components: [
      component({ id: 'rice', role: 'rice', food: 'rice', ratioG: 100 }),
      component({ id: 'garlic', role: 'aromatic', food: 'garlic', ratioG: 2 }),
      component({ id: 'onion', role: 'vegetable', food: 'hardVeg', ratioG: 20 }),
      component({ id: 'oil', role: 'fat', food: 'oil', ratioG: 5 }),
    ],
  }
  const ofRun = runOf(dish)
  const at = ofRun.score.steps.findIndex(({ entries }) => entries.some((one) => one.componentId === 'garlic'))
  const late = rest(doneUntil(at + 1, { [at]: 240 }, ofRun), ofRun, dish)
  expect(late.warnings).toContainEqual(expect.objectContaining({ code: 'burns', componentId: 'garlic' }))
  expect(late.why).toBe('burnLimit')
  expect(late.laterS).toBeLessThanOrEqual(0)
})

test('a flame turned down makes what needs it longer', () => {
  const rice = steps.findIndex(({ id }) => id === 'riceIn')
  const before = doneUntil(rice, {})
  const low = [...before, say(lastS(before) + 5, { kind: 'flame', stepId: 'riceIn', heat: 'low' })]
  expect(rest(low).steps.find(({ stepId }) => stepId === 'riceIn')!.durationS).toBeGreaterThan(
    steps[rice]!.durationS + 10,
  )
})

test('a step that the cook gave more time keeps it; a dish of another version says nothing', () => {
  const before = doneUntil(2, {})
  const held = [...before, say(lastS(before) + 1, { kind: 'later', stepId: steps[2]!.id, delayS: 30 })]
  expect(rest(held).steps.map(({ stepId }) => stepId)).not.toContain(steps[2]!.id)
  expect(retimeRun({ ...DISH, version: 2 }, run, before, RING_HEAT.station, US, at(30))).toBeNull()
})

test('whatever the delays: whole seconds, never over a check, and folding it in gives the food when it says', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 1, max: steps.length - 2 }),
      fc.dictionary(fc.integer({ min: 0, max: 20 }).map(String), fc.integer({ min: -5, max: 60 }), { maxKeys: 4 }),
      (until, late) => {
        const events = doneUntil(until, late)
        const nowMs = at(lastS(events))
        const before = runState(run, events, nowMs)
        if (before.endedMs !== null) return
        const { steps: changed, laterS, why, componentId } = rest(events)
        const said = say(
          lastS(events),
          {
            kind: 'retimed',
            stepId: before.steps[before.stepIndex]!.id,
            steps: changed,
            why,
            componentId,
            causeId: null,
          },
          'z',
        )
        const after = runState(run, [...events, said], nowMs)
        expect(changed.every(({ durationS }) => Number.isInteger(durationS) && durationS >= 0)).toBe(true)
        expect(after.steps.map(({ id, check }) => [id, check])).toEqual(
          before.steps.map(({ id, check }) => [id, check]),
        )
        expect(Math.round((after.upMs - before.upMs) / 1000)).toBe(laterS)
        expect(rest([...events, said]).steps).toEqual([])
      },
    ),
    { numRuns: 25, endOnFailure: true },
  )
})
