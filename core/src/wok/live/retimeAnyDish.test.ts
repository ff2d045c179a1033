import fc from 'fast-check'
import { anyComponents, anySchools } from '../../test/anyDish'
import { HOB, RING } from '../../test/stations'
import { aBatch } from '../../test/wokDishes'
import type { HeatLevel, Step } from '../score'
import { startDeriving } from '../sequence/derive'
import { sequenceBatch } from '../sequence/sequenceBatch'
import { retime, type RunOnItsWay } from './retime'

/** Working out a dish takes a good while on a slow machine. */
jest.setTimeout(300_000)

const anyCase = fc.record({
  components: anyComponents,
  schools: anySchools,
  station: fc.constantFrom(HOB, RING),
  batchMassG: fc.constantFrom(260, 600),
})

/** A dish as it would be cooked, ready to be worked out again on its way; null where it cannot be cooked. */
function cooked({
  components,
  schools,
  station,
  batchMassG,
}: typeof anyCase extends fc.Arbitrary<infer C> ? C : never) {
  const input = aBatch([], schools, { station, batchMassG, dish: { components } })
  const { steps, choice } = sequenceBatch(input)
  if (!choice || steps.length < 2) return null
  const { components: all, station: at } = startDeriving(input)
  const measure = { tool: 'scale', name: '', count: 0, massG: 0, errorFraction: 0 } as const
  const scored = steps.map((step): Step => ({
    ...{ ...step, figure: 'model' },
    entries: step.entries.map((entry) => ({ ...entry, name: entry.componentId, role: 'vegetable', measure })),
  }))
  return { batch: { components: all, station: at, choice }, score: { steps: scored } }
}
type Cooked = NonNullable<ReturnType<typeof cooked>>

/** A run that is in the middle of a step, each step before it ended so many seconds after it should have. */
function onItsWay({ score }: Cooked, stepIndex: number, lateS: readonly number[], spentS: number): RunOnItsWay {
  let atS = 0
  const times = score.steps.slice(0, stepIndex + 1).map(({ id, durationS }, index) => {
    const startS = atS
    atS += Math.max(0, durationS + (lateS[index] ?? 0))
    return { stepId: id, startS, endS: index === stepIndex ? null : atS }
  })
  const nowS = times.at(-1)!.startS + Math.min(spentS, score.steps[stepIndex]!.durationS)
  return { steps: score.steps, stepIndex, times, flames: [], nowS, isHeld: false }
}

test('law: whatever is cooked, a run on time is left as it is, or moved by no more than three seconds', () => {
  let looked = 0
  fc.assert(
    fc.property(anyCase, fc.nat(), fc.nat(40), (one, nth, spentS) => {
      const dish = cooked(one)
      if (!dish) return
      looked += 1
      const run = onItsWay(dish, nth % dish.score.steps.length, [], spentS)
      const { steps, laterS } = retime(dish.batch, dish.score, run)
      expect(Math.abs(laterS)).toBeLessThanOrEqual(3)
      for (const { stepId, durationS } of steps) {
        const plannedS = dish.score.steps.find(({ id }) => id === stepId)!.durationS
        expect([stepId, Math.abs(durationS - plannedS) <= 3]).toEqual([stepId, true])
      }
    }),
    { numRuns: 30, endOnFailure: true },
  )
  expect(looked).toBeGreaterThan(5)
})

test('law: however late it is and whatever flame is set, seconds are whole, none lies in the past, and a check keeps its time', () => {
  fc.assert(
    fc.property(
      anyCase,
      fc.nat(),
      fc.array(fc.integer({ min: -20, max: 120 }), { maxLength: 12 }),
      fc.nat(40),
      fc.option(fc.constantFrom<HeatLevel>('off', 'low', 'full'), { nil: null }),
      (one, nth, lateS, spentS, heat) => {
        const dish = cooked(one)
        if (!dish) return
        const stepIndex = nth % dish.score.steps.length
        const run = onItsWay(dish, stepIndex, lateS, spentS)
        const inHand = dish.score.steps[stepIndex]!
        const flames = heat === null ? [] : [{ stepId: inHand.id, heat, atS: run.times.at(-1)!.startS }]
        const { steps, laterS } = retime(dish.batch, dish.score, { ...run, flames })
        const rest = dish.score.steps.slice(stepIndex)
        for (const { stepId, durationS } of steps) {
          const step = rest.find(({ id }) => id === stepId)
          expect(step).toBeDefined()
          expect(Number.isInteger(durationS)).toBe(true)
          expect(Math.abs(durationS - step!.durationS)).toBeGreaterThanOrEqual(2)
          expect(durationS).toBeLessThanOrEqual(Math.round(1.5 * step!.durationS + 15))
        }
        const changed = new Map(steps.map(({ stepId, durationS }) => [stepId, durationS]))
        const spent = run.nowS - run.times.at(-1)!.startS
        expect(changed.get(inHand.id) ?? inHand.durationS).toBeGreaterThanOrEqual(Math.round(spent))
        const sum = rest.reduce((all, { id, durationS }) => all + (changed.get(id) ?? durationS) - durationS, 0)
        expect(sum).toBe(laterS)
        for (const { id, action } of rest) if (action === 'checkCore') expect(changed.has(id)).toBe(false)
      },
    ),
    { numRuns: 30, endOnFailure: true },
  )
})
