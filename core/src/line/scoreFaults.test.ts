import { DISH, EVERYTHING, RING_HEAT, TOOLS, US } from '../test/kitchen'
import type { Score, Step } from '../wok/score'
import { orderedBatch } from './orderedBatch'
import { batchScore } from './batchScore'
import { scoreFaults, type ScoreFault } from './scoreFaults'

const IDS = ['rice', 'egg', 'chicken', 'garlic', 'soy', 'scallion', 'nori', 'oil']
const dish = { ...DISH, components: EVERYTHING.filter(({ id }) => IDS.includes(id)) }
const input = {
  modifiers: [],
  allergies: [],
  parts: [
    { portions: 1, modifiers: [] },
    { portions: 1, modifiers: ['no-nori'] },
  ],
}
const result = batchScore(dish, input, RING_HEAT, TOOLS, US)
if (result.kind !== 'score') throw new Error(result.kind)
const { score, batch } = result
const whyOf = (changed: Score, rules = US) => [...new Set(scoreFaults(changed, batch, rules).map(({ why }) => why))]
const edited = (change: (step: Step) => Step): Score => ({ ...score, steps: score.steps.map(change) })
const entriesOf = (id: string, change: (entry: Step['entries'][number]) => Step['entries'][number][]) =>
  edited((step) => ({
    ...step,
    entries: step.entries.flatMap((entry) => (entry.componentId === id ? change(entry) : [entry])),
  }))

test('a score that was derived for the batch has no fault', () => {
  expect(scoreFaults(score, batch, US)).toEqual([])
})

test.each<[string, ScoreFault['why'], Score]>([
  [
    'a step begins before the one before it has ended',
    'time',
    edited((step) => ({ ...step, startS: step.startS + 1 })),
  ],
  ['the whole is not the sum of its steps', 'time', { ...score, totalS: score.totalS + 5 }],
  ['two steps have one id', 'time', edited((step) => ({ ...step, id: 'same' }))],
  [
    'metal that the device says is warm',
    'time',
    edited((step) => ({ ...step, figures: { ...step.figures, fromC: 180 } })),
  ],
  ['half of the chicken', 'mass', entriesOf('chicken', (one) => [{ ...one, massG: one.massG / 2 }])],
  ['no chicken at all', 'missing', entriesOf('chicken', () => [])],
  [
    'something that the batch does not have',
    'stranger',
    entriesOf('soy', (one) => [one, { ...one, componentId: 'fish', name: 'fish' }]),
  ],
  ['another rice mass', 'mass', { ...score, riceMassG: score.riceMassG + 100 }],
  [
    'the chicken without its check',
    'noCheck',
    edited((step) => (step.check?.food === 'poultry' ? { ...step, check: null } : step)),
  ],
  [
    'the rice without its check',
    'noCheck',
    edited((step) => (step.check?.food === 'rice' ? { ...step, check: null } : step)),
  ],
  [
    'the chicken with a lower limit',
    'noCheck',
    edited((step) =>
      step.check?.food === 'poultry'
        ? { ...step, check: { ...step.check, limit: { ...step.check.limit, coreC: 60 } } }
        : step,
    ),
  ],
  [
    'nori for those too who declined it',
    'apart',
    edited((step) => (step.action === 'finishOn' ? { ...step, action: 'finishOff' } : step)),
  ],
  ['figures of another engine', 'engine', { ...score, engine: 'rules-2' }],
])('%s is found', (_what, why, changed) => {
  expect(whyOf(changed)).toContain(why)
})

test('a score for other guests does not hold for an allergy: what they must not have is a stranger in it', () => {
  const without = orderedBatch(
    dish,
    { modifiers: ['no-egg'], allergies: [], parts: [{ portions: 2, modifiers: ['no-egg'] }] },
    US,
  )
  if (without.kind !== 'batch') throw new Error(without.kind)
  const faults = scoreFaults(score, without.batch, US)
  expect(faults).toContainEqual({ field: 'score.steps', why: 'stranger', names: ['egg'] })
})

test('limits are those of the kitchen: what holds in the US does not for chicken in the UK', () => {
  expect(whyOf(score, { ruleSet: 'uk' })).toEqual(['noCheck'])
})

test('of a large order that is fried in parts, every part is checked: the last one without its check is refused', () => {
  const large = { ...dish, schools: { ...dish.schools, batches: 'tossedInBowl' as const } }
  const weak = { ...RING_HEAT, station: { ...RING_HEAT.station, powerW: 4000 }, handling: 'stir' as const }
  const order = { ...input, parts: [{ portions: 6, modifiers: [] }] }
  const derived = batchScore(large, order, weak, TOOLS, US)
  if (derived.kind !== 'score') throw new Error(derived.kind)
  const { steps } = derived.score
  const riceIn = steps.flatMap(({ entries }, at) =>
    entries.some((one) => one.componentId === 'rice' && one.motion === 'in') ? [at] : [],
  )
  expect(riceIn.length).toBeGreaterThan(1)
  expect(scoreFaults(derived.score, derived.batch, US)).toEqual([])
  const unchecked = steps.map((step, at) => (at > riceIn.at(-1)! ? { ...step, check: null } : step))
  expect(scoreFaults({ ...derived.score, steps: unchecked }, derived.batch, US)).toContainEqual({
    field: 'score.steps',
    why: 'noCheck',
    names: ['rice'],
  })
})
