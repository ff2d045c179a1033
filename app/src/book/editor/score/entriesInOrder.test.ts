import { DISH, EVERYTHING, scoreOnRing } from 'core/test/kitchen'
import { pinOfMove } from 'core/book/pins'
import { entriesInOrder } from './entriesInOrder'

const components = EVERYTHING.filter(({ id }) => ['rice', 'egg', 'garlic', 'soy', 'scallion', 'oil'].includes(id))
const dish = { ...DISH, components }

test('each thing stands once, where it first goes in, with its whole mass; oil has no place of its own', () => {
  const entries = entriesInOrder(scoreOnRing(1, dish))
  expect(entries.map(({ componentId }) => componentId).sort()).toEqual(components.map(({ id }) => id).sort())
  expect(entries.find(({ componentId }) => componentId === 'oil')).toMatchObject({ isPoured: true })
  expect(entries.find(({ componentId }) => componentId === 'oil')!.massG).toBeCloseTo(11, 1)
  expect(entries.find(({ componentId }) => componentId === 'scallion')).toMatchObject({ isOffFlame: true })
  expect(entries.map(({ atS }) => atS)).toEqual([...entries.map(({ atS }) => atS)].sort((a, b) => a - b))
})

test('a pin that a drag made is kept by the engine, or refused with what stands against it', () => {
  const order = entriesInOrder(scoreOnRing(1, dish))
    .filter(({ isPoured }) => !isPoured)
    .map(({ componentId }) => componentId)
  const pin = pinOfMove(order, 'garlic', order.indexOf('rice'))!
  const pinned = entriesInOrder(scoreOnRing(1, { ...dish, pins: [pin] })).map(({ componentId }) => componentId)
  expect(pinned.indexOf('garlic')).toBeGreaterThan(pinned.indexOf('rice'))
})
