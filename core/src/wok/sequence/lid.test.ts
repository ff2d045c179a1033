import { aBatch, CARROT, PEAS } from '../../test/wokDishes'
import { HOB } from '../../test/stations'
import { fry } from '../heat/fry'
import { sequenceBatch } from './sequenceBatch'

const peasOnHob = (handling: 'leave' | 'cover') =>
  fry({
    station: HOB,
    startMetalC: 180,
    oilG: 10,
    components: [{ food: 'peas', massG: 300, tempC: -18, isFrozen: true, atS: 0 }],
    handling,
    durationS: 240,
  })

test('under a lid frozen peas get hot sooner, and keep their water: the steam stays in', () => {
  const open = peasOnHob('leave')
  const covered = peasOnHob('cover')
  expect(covered.timeTo74S).toBeLessThan(open.timeTo74S ?? Infinity)
  expect(covered.massLossFraction).toBeLessThan(open.massLossFraction)
  expect(covered.energyResidual).toBeLessThan(1e-9)
  expect(covered.waterResidual).toBeLessThan(1e-9)
})

const dish = [{ ...CARROT, ratioG: 20, cut: { sizeMm: 8 } }, PEAS]

test('on the vegetables: the lid is a step of its own after the last of them, that nobody stands at', () => {
  const covered = sequenceBatch(aBatch(dish, { egg: 'firstOut', lid: 'onBase' }))
  expect(covered.finding).toBeNull()
  const at = covered.steps.findIndex(({ action }) => action === 'lidOn')
  expect(covered.steps[at - 1]!.action).toBe('baseIn')
  expect(covered.steps[at]).toMatchObject({ reason: 'lidKeepsSteam', entries: [], cautions: ['steamUnderLid'] })
  expect(covered.steps[at]!.handsOnS).toBeLessThanOrEqual(3)
  expect(covered.steps[at]!.durationS).toBeGreaterThan(10)
  expect(covered.steps.slice(at).some(({ action }) => action === 'riceIn')).toBe(true)
})

test('on the rice: it warms half-way under the lid, and is turned and fried dry after it', () => {
  const covered = sequenceBatch(aBatch([], { egg: 'firstOut', lid: 'onRice' }))
  expect(covered.finding).toBeNull()
  const actions = covered.steps.map(({ action }) => action)
  const at = actions.indexOf('lidOn')
  expect(actions.slice(at - 1, at + 2)).toEqual(['riceIn', 'lidOn', 'turnRice'])
})

test('nobody puts a lid on unasked, and there is none where nothing would lie under it', () => {
  expect(sequenceBatch(aBatch(dish)).steps.map(({ action }) => action)).not.toContain('lidOn')
  const bare = aBatch([], { egg: 'firstOut', lid: 'onBase' })
  const components = bare.dish.components.filter(({ id }) => id !== 'garlic')
  const actions = sequenceBatch({ ...bare, dish: { ...bare.dish, components } }).steps.map(({ action }) => action)
  expect(actions).not.toContain('lidOn')
})
