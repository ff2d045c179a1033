import { DISH, RING_HEAT, TOOLS, US } from '../test/kitchen'
import { batchScore } from './batchScore'
import { waitingItems } from './waiting'

describe('amounts of a batch', () => {
  const parts = [
    { portions: 1, modifiers: [] },
    { portions: 1, modifiers: ['no-nori'] },
  ]

  test('a late modifier takes out its share and leaves the rest', () => {
    const result = batchScore(DISH, { modifiers: [], allergies: [], parts }, RING_HEAT, TOOLS, US)
    const entries = result.kind === 'score' ? result.score.steps.flatMap((step) => step.entries) : []
    expect(entries.find((one) => one.componentId === 'nori')?.massG).toBeCloseTo(0.5 * 2.2, 9)
    expect(entries.find((one) => one.componentId === 'rice')?.massG).toBe(440)
  })

  test('an allergen that stays is refused by name', () => {
    expect(batchScore(DISH, { modifiers: [], allergies: ['gluten'], parts }, RING_HEAT, TOOLS, US)).toEqual({
      kind: 'refused',
      reason: 'allergen',
      names: ['gluten', 'soy'],
    })
  })
})

test('what was fired or cancelled does not wait', () => {
  const ticket = { id: 't', number: 1, kind: 'dine' as const, placedAtMs: 0, promisedAtMs: 0, isCancelled: false }
  const line = { id: 'i', dishId: 'duck', portions: 3, firedPortions: 2, modifiers: [], allergies: [] }
  expect(waitingItems([{ ...ticket, items: [line] }]).map((one) => one.portions)).toEqual([1])
  expect(waitingItems([{ ...ticket, items: [{ ...line, firedPortions: 3 }] }])).toEqual([])
  expect(waitingItems([{ ...ticket, isCancelled: true, items: [line] }])).toEqual([])
})
