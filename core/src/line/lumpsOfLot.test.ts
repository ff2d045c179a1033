import { CHILLED_RICE } from '../rice/lot/riceAtWok'
import { DISH, EVERYTHING, TOOLS, US } from '../test/kitchen'
import { heatOf, riceInSteps } from './batchHeat'
import { batchScore } from './batchScore'

test('blocks get their seconds at the wok, and the score says what it was derived from', () => {
  const score = (lumpMm: number | null) => {
    const heat = heatOf({ kind: 'wok', powerW: 15_000 }, riceInSteps({ ...CHILLED_RICE, lumpMm }))
    const components = EVERYTHING.filter(({ id }) => ['rice', 'egg', 'soy', 'oil'].includes(id))
    const batch = { modifiers: [], allergies: [], parts: [{ portions: 2, modifiers: [] }] }
    const scored = batchScore({ ...DISH, components }, batch, heat, TOOLS, US)
    if (scored.kind !== 'score') throw new Error('it derives')
    return scored.score
  }
  const [unknown, loose, blocks] = [score(null), score(0), score(40)]
  expect(loose.totalS).toBe(unknown.totalS)
  expect(blocks.totalS).toBeGreaterThan(loose.totalS)
  expect(blocks.basis?.riceLumpMm).toBe(40)
  expect(loose.basis).not.toHaveProperty('riceLumpMm')
})
